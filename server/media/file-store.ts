import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';

const ARRIVING = 'arriving';

/** Where uploads lie while they arrive. What an earlier run left unfinished there is thrown away. */
export function arrivingFolder(folder: string): string {
  const arriving = join(folder, ARRIVING);
  mkdirSync(arriving, { recursive: true });
  for (const name of readdirSync(arriving)) rmSync(join(arriving, name), { force: true });
  return arriving;
}

/** Path of a file by the hash of its content. */
export const filePath = (folder: string, content: string) => join(folder, content.slice(0, 2), content);

/** Takes a file that arrived whole into the store, without reading it into memory. Answers the hash of its content. */
export async function keepFile(folder: string, arrived: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(arrived), hash);
  const content = hash.digest('hex').slice(0, 40);
  const path = filePath(folder, content);
  await mkdir(join(path, '..'), { recursive: true });
  await rename(arrived, path);
  return content;
}

export const dropArrived = (arrived: string) => rm(arrived, { force: true });
