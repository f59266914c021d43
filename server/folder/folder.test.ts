import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { Catalog } from '../state/catalog';
import { storePicture } from '../media/picture-store';
import { failureWords, isDiskFull } from './failure';
import { FolderInUseError, lockFolder } from './lock';
import { sweepFolder } from './sweep';

let home: string;
let folder: string;
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), 'dispona-folder-'));
  folder = join(home, 'data');
});
afterEach(() => rmSync(home, { recursive: true, force: true }));

describe('a folder belongs to one server at a time', () => {
  test('a second one is refused in plain words, until the first one lets go', () => {
    const first = new Catalog(folder);
    expect(() => new Catalog(folder)).toThrow(FolderInUseError);
    expect(() => new Catalog(folder)).toThrow(/Stop that one first, or give this one a folder of its own/);
    first.close();
    new Catalog(folder).close();
  });

  test('a process that was killed holds nothing any more', async () => {
    mkdirSync(folder);
    const script = `const db = new (require('better-sqlite3'))(process.argv[1]); db.pragma('journal_mode = MEMORY'); db.exec('BEGIN EXCLUSIVE'); console.log('held'); setInterval(() => {}, 1000)`;
    const child = spawn(process.execPath, ['-e', script, join(folder, 'dispona.lock')], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await once(child.stdout, 'data');
    expect(() => lockFolder(folder)).toThrow(FolderInUseError);
    child.kill('SIGKILL');
    await once(child, 'exit');
    lockFolder(folder)();
  });

  test('a database that cannot be opened does not keep the folder', () => {
    mkdirSync(folder);
    writeFileSync(
      join(folder, 'dispona.sqlite'),
      'This is no database, but long enough to be read as one. '.repeat(40),
    );
    let failure: unknown;
    try {
      new Catalog(folder);
    } catch (error) {
      failure = error;
    }
    expect(failureWords(failure)).toMatch(/The database is damaged .*npm run restore/);
    rmSync(join(folder, 'dispona.sqlite'));
    new Catalog(folder).close();
  });
});

describe('failures of disk and database are told in words', () => {
  test('of every sort, and only those', () => {
    expect(failureWords({ code: 'SQLITE_FULL' })).toMatch(/disk is full/);
    expect(isDiskFull({ code: 'ENOSPC' })).toBe(true);
    expect(failureWords({ code: 'SQLITE_CORRUPT_INDEX' })).toMatch(/damaged/);
    expect(failureWords({ code: 'EACCES' })).toMatch(/may not write/);
    expect(failureWords(new TypeError('x is undefined'))).toBeUndefined();
    expect(failureWords(undefined)).toBeUndefined();
  });
});

test('what a process that died left half written goes, what is known or still on its way stays', async () => {
  const catalog = new Catalog(folder);
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#e4572e' } })
    .png()
    .toBuffer();
  const { media } = await storePicture(catalog.db, catalog.mediaFolder, picture, 'kite.png', '2027-01-01T00:00:00Z');
  const own = join(catalog.mediaFolder, media.slice(0, 2), media);
  const unknown = join(catalog.mediaFolder, 'ab', 'ab'.repeat(16));
  const arriving = join(catalog.mediaFolder, 'cd', 'cd'.repeat(16));
  for (const path of [unknown, arriving]) mkdirSync(path, { recursive: true });
  mkdirSync(join(folder, 'backups'));
  const left = [
    join(own, '480.webp.1.2.part'),
    join(folder, 'index.kept.new'),
    join(folder, 'backups', 'nightly-2027-03-01T03-00-00.zip.part'),
  ];
  for (const path of left) writeFileSync(path, 'half');
  const old = new Date(Date.now() - 60_000);
  for (const path of [...left, unknown]) utimesSync(path, old, old);
  expect(await sweepFolder(catalog.db, folder, Date.now() - 30_000)).toBe(4);
  for (const path of [...left, unknown]) expect(existsSync(path)).toBe(false);
  expect(existsSync(join(own, '480.webp'))).toBe(true);
  expect(existsSync(arriving)).toBe(true);
  catalog.close();
});
