import Database from 'better-sqlite3';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { zipSync, strToU8, unzipSync } from 'fflate';
import { storePicture } from '../media/picture-store';
import { setUp } from '../people/set-up';
import { createProduct } from '../products/product-writes';
import { Catalog } from '../state/catalog';
import { backUp, BackupError, readCard } from './backup';
import { FolderInUseError } from './lock';
import { finishRestore, restore, unpackBackup } from './restore';

const person = { shopName: 'Lark & Line', name: 'Kim', email: 'kim@example.com', password: 'wind over the bay' };
const at = new Date('2027-03-01T10:00:00Z');

let home: string;
let folder: string;
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), 'dispona-backup-'));
  folder = join(home, 'data');
});
afterEach(() => rmSync(home, { recursive: true, force: true }));

/** A shop with a few products, a picture and a file. */
async function smallShop(products = 5) {
  const catalog = new Catalog(folder);
  const user = await setUp(catalog, person);
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#0b6a69' } })
    .png()
    .toBuffer();
  const { media } = await storePicture(catalog.db, catalog.mediaFolder, picture, 'kite.png', '2027-01-01T00:00:00Z');
  mkdirSync(join(folder, 'files', 'ab'), { recursive: true });
  writeFileSync(join(folder, 'files', 'ab', 'abcdef'), 'a plan');
  const add = () => createProduct(catalog, user, { title: 'Kite', kind: 'physical', price: 100 });
  for (let i = 0; i < products; i++) add();
  return { catalog, add, media };
}

const productsIn = (shop: string): number => {
  const db = new Database(join(shop, 'dispona.sqlite'), { readonly: true });
  try {
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(db.pragma('foreign_key_check')).toEqual([]);
    return db.prepare('SELECT count(*) FROM product').pluck().get() as number;
  } finally {
    db.close();
  }
};

test('made while the shop is written to, a backup is whole and can be put back', async () => {
  const { catalog, add, media } = await smallShop();
  const backups = [];
  for (let i = 0; i < 4; i++) {
    const target = join(home, `backup-${i}.zip`);
    const card = backUp(folder, target, at);
    // Whatever is written meanwhile is in it, or is not; it is never half in it.
    for (let more = 0; more < 5; more++) add();
    backups.push({ target, card: await card });
  }
  catalog.close();
  for (const { target, card } of backups) {
    expect(await readCard(target)).toEqual(card);
    expect(card).toMatchObject({ shop: 'Lark & Line', pictures: 1, files: 1, at: at.toISOString() });
    const into = join(home, 'into');
    await unpackBackup(target, into, at);
    expect(finishRestore(into)).toBeUndefined();
    expect(productsIn(into)).toBe(card.products);
    expect(existsSync(join(into, 'media', media.slice(0, 2), media, '1600.webp'))).toBe(true);
    expect(readFileSync(join(into, 'files', 'ab', 'abcdef'), 'utf8')).toBe('a plan');
    rmSync(into, { recursive: true });
  }
  const aside = await restore(backups[0]!.target, folder, at);
  expect(aside).toBe(join(folder, 'before-2027-03-01T10-00-00-000Z'));
  const again = new Catalog(folder);
  expect(again.working.products.size).toBe(backups[0]!.card.products);
  again.close();
  expect(productsIn(aside!)).toBe(25);
  expect(readdirSync(home).filter((name) => name.endsWith('.part'))).toEqual([]);
});

test('a restore that is stopped after any of its steps is finished by the next start', async () => {
  const { catalog } = await smallShop(2);
  catalog.close();
  await backUp(folder, join(home, 'two.zip'), at);
  const later = new Catalog(folder);
  createProduct(later, null, { title: 'Third', kind: 'physical', price: 100 });
  later.close();
  // What a killed process can leave: none, some, or all of the moves of one restore.
  const moves = ['dispona.sqlite', 'media', 'films', 'files'];
  for (let done = 0; done <= moves.length * 2; done++) {
    const shop = join(home, `stopped-${done}`);
    cpSync(folder, shop, { recursive: true });
    rmSync(join(shop, 'dispona.lock'), { force: true });
    await unpackBackup(join(home, 'two.zip'), shop, at);
    const aside = join(shop, 'before-2027-03-01T10-00-00-000Z');
    mkdirSync(aside);
    for (const [i, name] of moves.entries()) {
      if (done > i * 2 && existsSync(join(shop, name))) renameSync(join(shop, name), join(aside, name));
      if (done > i * 2 + 1) renameSync(join(shop, 'restored', name), join(shop, name));
    }
    const started = new Catalog(shop);
    expect([done, started.working.products.size]).toEqual([done, 2]);
    started.close();
    expect(productsIn(aside)).toBe(3);
    expect(existsSync(join(shop, 'restored'))).toBe(false);
    expect(readFileSync(join(shop, 'files', 'ab', 'abcdef'), 'utf8')).toBe('a plan');
  }
});

test('a process that is killed while it backs up or restores leaves all or nothing', async () => {
  const { catalog } = await smallShop(60);
  catalog.close();
  const good = join(home, 'good.zip');
  await backUp(folder, good, at);
  const cli = (what: string, where: string, delay: number) =>
    new Promise<void>((resolve) => {
      const child = spawn(process.execPath, ['--import', 'tsx', 'server/app/backup.ts', what, where], {
        env: { ...process.env, DISPONA_DATA: what === 'restore' ? join(home, 'target') : folder },
        stdio: 'ignore',
      });
      void once(child, 'exit').then(() => resolve());
      setTimeout(() => child.kill('SIGKILL'), delay);
    });
  for (const delay of [250, 450, 650, 850, 1_200]) {
    const target = join(home, `killed-${delay}.zip`);
    await cli('backup', target, delay);
    if (existsSync(target)) expect((await readCard(target)).products).toBe(60);
    rmSync(join(home, 'target'), { recursive: true, force: true });
    await cli('restore', good, delay);
    const started = new Catalog(join(home, 'target'));
    expect([0, 60]).toContain(started.working.products.size);
    started.close();
  }
}, 60_000);

describe('what is no backup is refused in plain words, and nothing changes', () => {
  const packed = () => unzipSync(readFileSync(join(home, 'good.zip')));
  beforeEach(async () => {
    const { catalog } = await smallShop(1);
    catalog.close();
    await backUp(folder, join(home, 'good.zip'), at);
  });
  const refused = async (name: string, content: Uint8Array) => {
    writeFileSync(join(home, name), content);
    const before = readdirSync(folder).sort();
    const words = await restore(join(home, name), folder, at).then(
      () => '',
      (error: Error) => error.message,
    );
    expect(readdirSync(folder).sort()).toEqual(before);
    expect(productsIn(folder)).toBe(1);
    return words;
  };

  test('files of other sorts, and ZIPs of something else', async () => {
    expect(await refused('a.zip', strToU8('This is text.'))).toMatch(/damaged or not complete/);
    expect(await refused('b.zip', zipSync({ 'cat.jpg': strToU8('meow') }))).toMatch(/no backup of a shop/);
    expect(await refused('c.zip', zipSync({ 'backup.json': strToU8('{') }))).toMatch(/no backup of a shop/);
  });

  test('half of one, one with a bit turned, and one without its database', async () => {
    const whole = readFileSync(join(home, 'good.zip'));
    expect(await refused('half.zip', whole.subarray(0, whole.length / 2))).toMatch(/damaged/);
    const turned = Buffer.from(whole);
    const place = Math.floor(whole.length / 3);
    turned.writeUInt8(turned.readUInt8(place) ^ 8, place);
    expect(await refused('turned.zip', turned)).toMatch(/damaged/);
    const { 'dispona.sqlite': _, ...rest } = packed();
    expect(await refused('none.zip', zipSync(rest))).toMatch(/no database/);
    const other = { ...packed(), 'dispona.sqlite': strToU8('not this') };
    expect(await refused('other.zip', zipSync(other))).toMatch(/not the one that was put into it/);
  });

  test('names that lead out of it, and files that a shop does not have', async () => {
    expect(await refused('out.zip', zipSync({ ...packed(), '../evil': strToU8('x') }))).toMatch(/leads out/);
    expect(await refused('out.zip', zipSync({ ...packed(), '/etc/evil': strToU8('x') }))).toMatch(/leads out/);
    expect(await refused('odd.zip', zipSync({ ...packed(), 'media/ab/../../x': strToU8('x') }))).toMatch(/leads out/);
    expect(await refused('odd.zip', zipSync({ ...packed(), 'dispona.lock': strToU8('x') }))).toMatch(/dispona.lock/);
  });

  test('one that is not wanted any more once it was checked', async () => {
    const sure = () => {
      throw new BackupError('set up meanwhile');
    };
    await expect(unpackBackup(join(home, 'good.zip'), folder, at, { sure })).rejects.toThrow('set up meanwhile');
    expect(finishRestore(folder)).toBeUndefined();
    expect(readdirSync(folder).filter((name) => name.startsWith('restored'))).toEqual([]);
  });

  test('one of a newer Dispona', async () => {
    const files = packed();
    const path = join(home, 'newer.sqlite');
    writeFileSync(path, files['dispona.sqlite']!);
    const card = JSON.parse(new TextDecoder().decode(files['backup.json'])) as { version: number };
    files['backup.json'] = strToU8(JSON.stringify({ ...card, version: card.version + 1 }));
    expect(await refused('newer.zip', zipSync(files))).toMatch(/newer Dispona/);
  });

  test('a place that is taken, a folder without a shop, a shop that is running', async () => {
    await expect(backUp(folder, join(home, 'good.zip'), at)).rejects.toThrow(/something at .* already/);
    await expect(backUp(home, join(home, 'b.zip'), at)).rejects.toThrow(BackupError);
    await expect(restore(join(home, 'nowhere.zip'), folder, at)).rejects.toThrow(/no backup at/);
    const running = new Catalog(folder);
    await expect(restore(join(home, 'good.zip'), folder, at)).rejects.toThrow(FolderInUseError);
    running.close();
  });
});
