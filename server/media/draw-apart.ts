import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { builtOrSource } from '../shared/built-or-source';

/** A drawing that takes longer was made to. */
const PATIENCE_MS = 5_000;
const MOST_OUTPUT = 200 * 1024 * 1024;

const queue: (() => void)[] = [];
let isDrawing = false;

/** Waits until nothing else is drawn: one at a time, so that pictures of other sorts have room. */
async function turn(): Promise<() => void> {
  if (isDrawing) await new Promise<void>((resolve) => queue.push(resolve));
  isDrawing = true;
  return () => {
    isDrawing = false;
    queue.shift()?.();
  };
}

/** What is drawn in a process of its own, by the name of its file. */
type Drawer = 'draw-svg' | 'draw-card';

/**
 * What a drawer makes of what it gets, in a process that is stopped when it takes too long; `args` are handed over. Undefined
 * when nothing came of it.
 */
export async function drawApart(
  drawer: Drawer,
  input: Buffer,
  ...args: readonly number[]
): Promise<Buffer | undefined> {
  const done = await turn();
  try {
    return await draw(drawer, input, args);
  } finally {
    done();
  }
}

/** Draws an SVG as PNG, at most `most` pixels wide and high. Undefined when nothing came of it. */
export const drawSvg = (svg: Buffer, most: number, pixels: number): Promise<Buffer | undefined> =>
  drawApart('draw-svg', svg, most, pixels);

function draw(drawer: Drawer, input: Buffer, args: readonly number[]): Promise<Buffer | undefined> {
  const file = fileURLToPath(builtOrSource(import.meta.url, `${drawer}.js`, `${drawer}.mjs`));
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [file, ...args.map(String)], { stdio: ['pipe', 'pipe', 'ignore'] });
    const chunks: Buffer[] = [];
    let size = 0;
    const timer = setTimeout(() => child.kill('SIGKILL'), PATIENCE_MS);
    child.stdout.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size > MOST_OUTPUT) child.kill('SIGKILL');
      else chunks.push(chunk);
    });
    child.on('error', () => resolve(undefined));
    child.on('close', (code) => {
      clearTimeout(timer);
      resolve(code === 0 ? Buffer.concat(chunks) : undefined);
    });
    child.stdin.on('error', () => undefined);
    child.stdin.end(input);
  });
}
