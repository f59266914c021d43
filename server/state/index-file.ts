import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import { crc32 } from 'node:zlib';
import type { IndexState } from '../../core/search/state';
import { codeMark } from '../shared/code-mark';

/** The index of the working shop as it was, and from what it was made. */
export interface StoredIndex {
  /** fingerprint of what products are worked out from, beside themselves */
  basis: string;
  /** by product id, the fingerprint of the product that the index knows */
  fingerprints: ReadonlyMap<string, string>;
  /** moment, seconds since 1970, for which it stands */
  now: number;
  index: IndexState;
}

const FILE = 'index.kept';
const MARK_LENGTH = 40;
const HEAD_LENGTH = MARK_LENGTH + 4;

/** Writes the index beside the database; whoever dies meanwhile leaves the file that was there. */
export function writeIndexFile(folder: string, kept: StoredIndex): void {
  const content = serialize(kept);
  const head = Buffer.alloc(HEAD_LENGTH);
  head.write(codeMark(), 'latin1');
  head.writeUInt32LE(crc32(content), MARK_LENGTH);
  const path = join(folder, FILE);
  writeFileSync(`${path}.new`, Buffer.concat([head, content]));
  renameSync(`${path}.new`, path);
}

/** The index that this very program kept; undefined where there is none, or none that is whole. */
export function readIndexFile(folder: string): StoredIndex | undefined {
  try {
    const file = readFileSync(join(folder, FILE));
    if (file.toString('latin1', 0, MARK_LENGTH) !== codeMark()) return undefined;
    const content = file.subarray(HEAD_LENGTH);
    return crc32(content) === file.readUInt32LE(MARK_LENGTH) ? (deserialize(content) as StoredIndex) : undefined;
  } catch {
    return undefined;
  }
}
