import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { builtOrSource } from '../shared/built-or-source';

/** A drawing that takes longer was made to. */
const PATIENCE_MS = 5_000;
const MOST_OUTPUT = 200 * 1024 * 1024;

const queue: (() => void)[] = [];
let isDrawing = false;

/** Waits until no other SVG is drawn: one at a time, so that pictures of other sorts have room. */
async function turn(): Promise<() => void> {
  if (isDrawing) await new Promise<void>((resolve) => queue.push(resolve));
  isDrawing = true;
  return () => {
    isDrawing = false;
    queue.shift()?.();
  };
}

/**
 * Draws an SVG as PNG, at most `most` pixels wide and high, in a process that is stopped when it takes too long. Undefined
 * when nothing came of it.
 */
export async function drawSvg(svg: Buffer, most: number, pixels: number): Promise<Buffer | undefined> {
  const done = await turn();
  try {
    return await draw(svg, most, pixels);
  } finally {
    done();
  }
}

function draw(svg: Buffer, most: number, pixels: number): Promise<Buffer | undefined> {
  const file = fileURLToPath(builtOrSource(import.meta.url, 'draw-svg.js', 'draw-svg.mjs'));
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [file, String(most), String(pixels)], { stdio: ['pipe', 'pipe', 'ignore'] });
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
    child.stdin.end(svg);
  });
}
