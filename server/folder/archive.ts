import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, mkdirSync } from 'node:fs';
import { statfs } from 'node:fs/promises';
import { dirname } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Transform, Writable } from 'node:stream';
import { crc32 } from 'node:zlib';
import { fromBuffer, open as openZip, type Entry, type ZipFile as OpenZip } from 'yauzl';
import { ZipFile } from 'yazl';

/** A file that is to go into an archive, or was found in one. */
export interface ArchivedFile {
  /** with slashes, such as media/ab/… */
  name: string;
  path: string;
  /** pictures and films are packed as small as they get already */
  isPacked?: boolean;
}

/** An archive is not one, or not whole; in plain words. */
export class ArchiveError extends Error {}

const DAMAGED = 'This ZIP is damaged or not complete.';

/** Writes files into a ZIP, one after another, however large they are. `each` is told how many are in. */
export async function writeArchive(
  target: string,
  files: readonly ArchivedFile[],
  each: (done: number) => void,
): Promise<void> {
  const zip = new ZipFile();
  const writing = pipeline(zip.outputStream, createWriteStream(target, { mode: 0o600 }));
  let done = 0;
  for (const { name, path, isPacked } of files)
    zip.addReadStreamLazy(name, { compress: !isPacked, mode: 0o100600 }, (take) => {
      each(done++);
      take(null, createReadStream(path));
    });
  zip.end();
  await writing;
}

const opening = (from: string | Buffer): Promise<OpenZip> =>
  new Promise((resolve, reject) => {
    // The library refuses names that lead out of the archive.
    const options = { lazyEntries: true, autoClose: false, decodeStrings: true };
    const opened = (error: Error | null, zip?: OpenZip) => (zip ? resolve(zip) : reject(error));
    if (typeof from === 'string') openZip(from, options, opened);
    else fromBuffer(from, options, opened);
  });

/** The entries of an archive, in its order. Throws ArchiveError. */
export async function entriesOf(from: string | Buffer): Promise<{ zip: OpenZip; entries: Entry[] }> {
  let zip: OpenZip | undefined;
  try {
    const opened = (zip = await opening(from));
    const entries: Entry[] = [];
    await new Promise<void>((resolve, reject) => {
      opened.on('entry', (entry: Entry) => {
        if (!entry.fileName.endsWith('/')) entries.push(entry);
        opened.readEntry();
      });
      opened.on('end', resolve);
      opened.on('error', reject);
      opened.readEntry();
    });
    return { zip: opened, entries };
  } catch (error) {
    zip?.close();
    // What the library says of names is about paths that lead out of the archive.
    throw /relative path|absolute path|characters in fileName/.test((error as Error).message)
      ? new ArchiveError('A name in this ZIP leads out of it, so nothing of it is used.')
      : new ArchiveError(DAMAGED);
  }
}

/** Passes an entry on, and fails at its end where it is not what the archive says it is. */
function checking(entry: Entry, hash?: { update: (bytes: Buffer) => unknown }): Transform {
  let sum = 0;
  return new Transform({
    transform(bytes: Buffer, _encoding, next) {
      sum = crc32(bytes, sum);
      hash?.update(bytes);
      next(null, bytes);
    },
    flush(end) {
      end(sum === entry.crc32 ? null : new ArchiveError(DAMAGED));
    },
  });
}

const streamOf = (zip: OpenZip, entry: Entry) =>
  new Promise<NodeJS.ReadableStream>((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (stream ? resolve(stream) : reject(error))),
  );

/** Reads an entry to its end, to a file or to nowhere; answers its SHA-256. Throws ArchiveError. */
export async function readEntry(zip: OpenZip, entry: Entry, to: string | undefined): Promise<string> {
  const hash = createHash('sha256');
  try {
    const stream = await streamOf(zip, entry);
    if (to === undefined)
      await pipeline(stream, checking(entry, hash), new Writable({ write: (_bytes, _encoding, next) => next() }));
    else {
      mkdirSync(dirname(to), { recursive: true });
      await pipeline(stream, checking(entry, hash), createWriteStream(to, { mode: 0o600, flush: true }));
    }
    return hash.digest('hex');
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code?.startsWith('E')) throw error;
    throw new ArchiveError(DAMAGED);
  }
}

/** Reads a small entry into memory. Throws ArchiveError where it is larger than `most` bytes. */
export async function readSmall(zip: OpenZip, entry: Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most) throw new ArchiveError(DAMAGED);
  const parts: Buffer[] = [];
  try {
    const stream = await streamOf(zip, entry);
    await pipeline(stream, checking(entry), async (source: AsyncIterable<Buffer>) => {
      for await (const part of source) parts.push(part);
    });
  } catch {
    throw new ArchiveError(DAMAGED);
  }
  return Buffer.concat(parts);
}

/** Refuses an archive that would need more room than the disk has. */
export async function refuseWithoutRoom(folder: string, entries: readonly Entry[]): Promise<void> {
  const needed = entries.reduce((sum, { uncompressedSize }) => sum + uncompressedSize, 0);
  const { bavail, bsize } = await statfs(folder);
  if (needed > bavail * bsize)
    throw new ArchiveError(
      `Unpacked, this ZIP has ${Math.ceil(needed / 1e9)} GB; there is not so much room on the disk.`,
    );
}
