import Database from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type Db } from '../database/connection';
import { insertProduct } from './put-products';
import { readStoredProducts, storedProductsAhead } from './products';
import { readRowsInThread } from './rows-in-thread';

let folder: string;
let db: Db;

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'dispona-'));
  openDatabase(folder).close();
  // A connection of its own, without a journal.
  db = new Database(join(folder, 'dispona.sqlite'));
  for (let i = 0; i < 1_200; i++)
    insertProduct(
      db,
      `p_test${String(i).padStart(4, '0')}`,
      { kind: 'physical', title: `Kite “${i}” \\ größer\n`, slug: `kite-${i}` },
      '2026-01-01T00:00:00.000Z',
    );
});

afterAll(() => {
  db.close();
  rmSync(folder, { recursive: true, force: true });
});

test('products read in a thread are those that are read here, all of them, in the same order, with the same fingerprints', () => {
  const read = [...storedProductsAhead(db)];
  expect(read).toEqual(readStoredProducts(db));
  expect(read).toHaveLength(1_200);
});

test('what waits in the database is read, but not what was begun and not committed', () => {
  db.exec('BEGIN');
  db.exec(`UPDATE product SET title = 'not yet' WHERE slug = 'kite-0'`);
  const seen = [...readRowsInThread(db, `SELECT json_quote(title) FROM product WHERE title = 'not yet'`, 'sha1')];
  db.exec('ROLLBACK');
  expect(seen).toEqual([]);
});

test('a thread that fails says so instead of leaving rows out', () => {
  const read = (sql: string) => [...readRowsInThread(db, sql, 'sha1')];
  expect(() => read('SELECT json_quote(title), nonsense FROM product')).toThrow('nonsense');
  expect(() => read(`SELECT iif(slug < 'kite-5', json_quote(title), json('{broken')) FROM product`)).toThrow(
    'malformed',
  );
});
