import Database from 'better-sqlite3';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { Catalog } from '../state/catalog';
import { createProduct } from '../products/product-writes';
import { setUp } from '../people/set-up';
import { storePicture } from '../media/picture-store';
import { BackupError, backUp, restore } from './backup';
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

const person = { shopName: 'Test', name: 'Kim', email: 'kim@example.com', password: 'wind over the bay' };

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
  const left = [join(own, '480.webp.1.2.part'), join(folder, 'index.kept.new')];
  for (const path of left) writeFileSync(path, 'half');
  const old = new Date(Date.now() - 60_000);
  for (const path of [...left, unknown]) utimesSync(path, old, old);
  expect(await sweepFolder(catalog.db, folder, Date.now() - 30_000)).toBe(3);
  for (const path of [...left, unknown]) expect(existsSync(path)).toBe(false);
  expect(existsSync(join(own, '480.webp'))).toBe(true);
  expect(existsSync(arriving)).toBe(true);
  catalog.close();
});

describe('a backup', () => {
  test('made while the shop is written to is whole, and can be put back', async () => {
    const catalog = new Catalog(folder);
    const user = await setUp(catalog, person);
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#0b6a69' } })
      .png()
      .toBuffer();
    const { media } = await storePicture(catalog.db, catalog.mediaFolder, picture, 'kite.png', '2027-01-01T00:00:00Z');
    mkdirSync(join(folder, 'files', 'ab'), { recursive: true });
    writeFileSync(join(folder, 'files', 'ab', 'abcdef'), 'a plan');
    const add = () => createProduct(catalog, user, { title: 'Kite', kind: 'physical', price: 100 });
    for (let i = 0; i < 5; i++) add();
    const backups = [];
    for (let i = 0; i < 5; i++) {
      const target = join(home, `backup-${i}`);
      const size = backUp(folder, target);
      // Whatever is written meanwhile is in it, or is not; it is never half in it.
      for (let more = 0; more < 5; more++) add();
      backups.push({ target, size: await size });
    }
    catalog.close();
    for (const { target, size } of backups) {
      const db = new Database(join(target, 'dispona.sqlite'), { readonly: true });
      expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
      expect(db.pragma('foreign_key_check')).toEqual([]);
      expect(db.prepare('SELECT count(*) FROM product').pluck().get()).toBe(size.products);
      db.close();
      expect(existsSync(join(target, 'media', media.slice(0, 2), media, '1600.webp'))).toBe(true);
      expect(readFileSync(join(target, 'files', 'ab', 'abcdef'), 'utf8')).toBe('a plan');
    }
    const aside = await restore(backups[0]!.target, folder, new Date('2027-03-01T10:00:00Z'));
    expect(aside).toBe(`${folder}.before-2027-03-01T10-00-00-000Z`);
    const again = new Catalog(folder);
    expect(again.working.products.size).toBe(backups[0]!.size.products);
    again.close();
    const before = new Catalog(aside!);
    expect(before.working.products.size).toBe(30);
    before.close();
  });

  test('is refused in plain words where it cannot be made or put back', async () => {
    await expect(backUp(folder, join(home, 'b'))).rejects.toThrow(BackupError);
    const catalog = new Catalog(folder);
    await expect(backUp(folder, home)).rejects.toThrow(/something at .* already/);
    await backUp(folder, join(home, 'b'));
    await expect(restore(join(home, 'b'), folder, new Date())).rejects.toThrow(FolderInUseError);
    catalog.close();
    writeFileSync(join(home, 'b', 'dispona.sqlite'), 'x'.repeat(5_000));
    await expect(restore(join(home, 'b'), folder, new Date())).rejects.toMatchObject({ code: 'SQLITE_NOTADB' });
    new Catalog(folder).close();
  });
});
