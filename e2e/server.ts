import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

export const root = resolve(import.meta.dirname, '..');

export interface RunningShop {
  url: string;
  folder: string;
  process: ChildProcess;
  stop: () => Promise<void>;
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });
}

const ended = (child: ChildProcess) =>
  child.exitCode !== null || child.signalCode !== null
    ? Promise.resolve()
    : new Promise<void>((done) => child.once('exit', () => done()));

async function untilHealthy(url: string, child: ChildProcess): Promise<void> {
  for (let i = 0; i < 300; i++) {
    if (child.exitCode !== null) throw new Error(`The server ended with ${child.exitCode}.`);
    const answer = await fetch(`${url}/healthz`).catch(() => undefined);
    if (answer?.ok) return;
    await new Promise((wait) => setTimeout(wait, 100));
  }
  throw new Error('The server did not get ready.');
}

/** Starts the built server on `folder`, or on a new empty one, as `npm start` does. */
export async function startShop(folder = mkdtempSync(join(tmpdir(), 'dispona-e2e-'))): Promise<RunningShop> {
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    cwd: root,
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', DISPONA_DATA: folder, LOG_LEVEL: 'error' },
    stdio: 'inherit',
  });
  await untilHealthy(url, child);
  return {
    url,
    folder,
    process: child,
    stop: async () => {
      child.kill('SIGTERM');
      await ended(child);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Ends a server at once, as a power cut would. */
export async function killHard(shop: RunningShop): Promise<void> {
  shop.process.kill('SIGKILL');
  await ended(shop.process);
}
