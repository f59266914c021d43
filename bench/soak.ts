import { fork } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { Agent, request } from 'undici';
import { fill } from './fill';
import { makeApp } from '../server/app/app';
import { Catalog } from '../server/state/catalog';
import { recordSales } from '../server/orders/sales';
import { setUp } from '../server/people/set-up';
import { noAssets } from '../shop/render';

/**
 * Does memory level off? A server with 2,000 products under mixed load, with 40 event streams, for as many minutes as told:
 * `npm run bench:soak -- 60`. Prints once a minute what stays in use after a collection.
 */
const PRODUCTS = 2_000;
const STREAMS = 40;
const CLIENTS = 8;

const signIn = { shopName: 'Soak', name: 'Kim', email: 'kim@example.com', password: 'wind over the whole bay' };
const megabytes = (bytes: number) => (bytes / 1024 / 1024).toFixed(1).padStart(7);

async function serve(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-soak-'));
  new Catalog(folder).close();
  fill(folder, PRODUCTS);
  const catalog = new Catalog(folder);
  await setUp(catalog, signIn);
  catalog.putLive('', null);
  const app = makeApp({
    catalog,
    assets: noAssets,
    origin: '',
    log: { error: console.error, warn: () => undefined },
  });
  const server = createServer(app).listen(0, '127.0.0.1', () =>
    process.send!({ port: (server.address() as AddressInfo).port, ids: [...catalog.working.products.keys()] }),
  );
  setInterval(() => catalog.passTime(), 1_000).unref();
  process.on('message', (message) => {
    if (message === 'sell') {
      const productId = [...catalog.working.products.keys()][0]!;
      recordSales(catalog, [{ productId, day: Math.floor(catalog.now / 86_400) * 86_400, pieces: 1 }]);
      return;
    }
    globalThis.gc!();
    globalThis.gc!();
    const { heapUsed, external, arrayBuffers, rss } = process.memoryUsage();
    process.send!({ heapUsed, external, arrayBuffers, rss });
  });
}

interface Memory {
  heapUsed: number;
  external: number;
  arrayBuffers: number;
  rss: number;
}

async function drive(minutes: number): Promise<void> {
  const child = fork(import.meta.filename, ['serve'], { execArgv: ['--expose-gc', '--import', 'tsx'] });
  const once = <T>() => new Promise<T>((resolve) => child.once('message', (message) => resolve(message as T)));
  const { port, ids } = await once<{ port: number; ids: string[] }>();
  const origin = `http://127.0.0.1:${port}`;
  const dispatcher = new Agent({ connections: CLIENTS + STREAMS + 2 });
  const sent = await request(`${origin}/api/session`, {
    dispatcher,
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ email: signIn.email, password: signIn.password }),
  });
  const { token } = (await sent.body.json()) as { token: string };
  const headers = {
    Cookie: String(sent.headers['set-cookie']).split(';')[0]!,
    'X-Dispona-Token': token,
    'Content-Type': 'application/json',
  };
  for (let i = 0; i < STREAMS; i++) {
    const stream = await request(`${origin}/api/events`, { dispatcher, headers, bodyTimeout: 0, headersTimeout: 0 });
    // Every fourth tab is asleep, and reads nothing.
    if (i % 4 !== 0) stream.body.on('data', () => undefined);
  }
  const end = Date.now() + minutes * 60_000;
  let count = 0;
  const pick = () => ids[Math.floor(Math.random() * ids.length)]!;
  const get = async (path: string) => (await request(origin + path, { dispatcher, headers })).body.dump();
  const client = async () => {
    while (Date.now() < end) {
      count++;
      const kind = count % 20;
      if (kind === 0)
        await request(`${origin}/api/products/${pick()}`, {
          dispatcher,
          method: 'PATCH',
          headers,
          body: JSON.stringify({ seen: Number.MAX_SAFE_INTEGER, fields: { summary: `Said ${count} times` } }),
        }).then(({ body }) => body.dump());
      else if (kind === 1 && count % 400 === 1)
        await request(`${origin}/api/editions`, { dispatcher, method: 'POST', headers, body: '{}' }).then(({ body }) =>
          body.dump(),
        );
      else if (kind < 8)
        await get(`/shop-api/listing?q=${'abcdefghij'[count % 10]}${count % 500}&page=${1 + (count % 9)}`);
      else if (kind < 12) await get(`/search?q=kite+${count}`);
      else if (kind < 15) await get(`/api/products/${pick()}`);
      else if (kind < 17) await get(count % 2 ? '/api/groups' : '/api/review');
      else await get('/');
      if (count % 200 === 0) child.send('sell');
      await sleep(4);
    }
  };
  const clients = Array.from({ length: CLIENTS }, client);
  console.log('minute   requests     heap   external    arrays      rss   (MB after a collection)');
  for (let minute = 0; minute <= minutes; minute++) {
    const told = once<Memory>();
    child.send('measure');
    const { heapUsed, external, arrayBuffers, rss } = await told;
    const cells = [heapUsed, external, arrayBuffers, rss].map(megabytes).join('   ');
    console.log(`${String(minute).padStart(6)}   ${String(count).padStart(8)}  ${cells}`);
    if (minute < minutes) await sleep(60_000);
  }
  await Promise.all(clients);
  child.kill();
}

if (process.argv[2] === 'serve') await serve();
else {
  await drive(Number(process.argv[2] ?? 60));
  process.exit(0);
}
