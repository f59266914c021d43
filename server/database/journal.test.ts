import Database from 'better-sqlite3';
import fc from 'fast-check';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { written } from '../../core/history/done';
import { NewerDatabaseError, openDatabase, type Db } from './connection';
import { CannotUndoError, Journal } from './journal';
import { journaledTables } from './journal-triggers';

const actor = { userId: null, at: '2026-01-01T00:00:00.000Z' };
let folder: string;
let db: Db;
let journal: Journal;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'dispona-'));
  db = openDatabase(folder);
  journal = new Journal(db);
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true });
});

/** Hash over every row of every journaled table. */
function contentHash(): string {
  const hash = createHash('sha256');
  for (const { name } of journaledTables)
    for (const row of db
      .prepare(`SELECT * FROM ${name}`)
      .all()
      .map((each) => JSON.stringify(each))
      .sort())
      hash.update(row);
  return hash.digest('hex');
}

const n = fc.integer({ min: 0, max: 4 });
const step = fc.oneof(
  n.map((i) => [`INSERT OR IGNORE INTO brand (id, name, slug) VALUES ('b${i}', 'Brand', 'b${i}')`]),
  n.map((i) => [`DELETE FROM brand WHERE id = 'b${i}'`]),
  fc.tuple(n, n).map(([i, b]) => [
    `INSERT OR IGNORE INTO product (id, kind, title, slug, brand_id, created)
     VALUES ('p${i}', 'physical', 'Kite', 'p${i}', (SELECT id FROM brand WHERE id = 'b${b}'), 'now')`,
    `INSERT OR IGNORE INTO variant (id, product_id, position, value_ids, price) VALUES ('v${i}', 'p${i}', 0, '[]', ${b})`,
  ]),
  fc
    .tuple(n, fc.string())
    .map(([i, title]) => [
      `UPDATE product SET title = '${title.replace(/'/g, "''").replace(/\0/g, '')}' WHERE id = 'p${i}'`,
    ]),
  fc
    .tuple(n, n)
    .map(([i, price]) => [`UPDATE variant SET price = ${price}, sale_price = nullif(${i}, 2) WHERE id = 'v${i}'`]),
  n.map((i) => [`DELETE FROM product WHERE id = 'p${i}'`]),
  fc
    .tuple(n, n)
    .map(([i, j]) => [
      `INSERT OR IGNORE INTO tag (id, name, slug) VALUES ('t${j}', 'Tag', 't${j}')`,
      `INSERT OR IGNORE INTO product_tag (product_id, tag_id) SELECT id, 't${j}' FROM product WHERE id = 'p${i}'`,
    ]),
);

test('undoing everything returns to the content before, and redoing everything to the content after', () => {
  fc.assert(
    fc.property(fc.array(fc.array(step, { minLength: 1, maxLength: 3 }), { maxLength: 12 }), (changes) => {
      const before = contentHash();
      let count = 0;
      for (const steps of changes) {
        const { changeId } = journal.change(written('Random'), actor, () =>
          steps.flat().forEach((sql) => db.prepare(sql).run()),
        );
        if (changeId !== undefined) count++;
      }
      const after = contentHash();
      for (let i = 0; i < count; i++) journal.undo(actor);
      expect(contentHash()).toBe(before);
      for (let i = 0; i < count; i++) journal.redo(actor);
      expect(contentHash()).toBe(after);
      for (let i = 0; i < count; i++) journal.undo(actor);
    }),
    { numRuns: 60 },
  );
});

test('a thousand random changes, one after the other, are undone to the same content', () => {
  const changes = fc.array(fc.array(step, { minLength: 1, maxLength: 3 }), { minLength: 1_000, maxLength: 1_000 });
  fc.assert(
    fc.property(changes, (all) => {
      const before = contentHash();
      let count = 0;
      for (const steps of all) {
        const write = () => steps.flat().forEach((sql) => db.prepare(sql).run());
        if (journal.change(written('Random'), actor, write).changeId !== undefined) count++;
      }
      expect(count).toBeGreaterThan(300);
      for (let i = 0; i < count; i++) journal.undo(actor);
      expect(contentHash()).toBe(before);
    }),
    { numRuns: 1, endOnFailure: true },
  );
});

const put = (id: string, name: string) => () =>
  void db
    .prepare(`INSERT INTO tag (id, name, slug) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET name = excluded.name`)
    .run(id, name, id);

test('a change of somebody else on the same row stops an undo, and is named', () => {
  const [kim, lee] = ['u_kim', 'u_lee'].map((userId) => ({ ...actor, userId }));
  journal.change(written('Kim adds'), kim!, put('t1', 'a'));
  journal.change(written('Lee renames'), lee!, put('t1', 'b'));
  const attempt = () => journal.undo(kim!);
  expect(attempt).toThrow(CannotUndoError);
  try {
    attempt();
  } catch (error) {
    expect((error as CannotUndoError).because.map(({ label }) => label)).toEqual(['Lee renames']);
  }
  expect(db.prepare(`SELECT name FROM tag`).pluck().all()).toEqual(['b']);
});

test('a new change ends what could be redone', () => {
  journal.change(written('One'), actor, put('t1', 'a'));
  journal.undo(actor);
  journal.change(written('Two'), actor, put('t2', 'b'));
  expect(() => journal.redo(actor)).toThrow('nothing to redo');
});

test('a failing change leaves nothing behind, and a write outside of a change is refused', () => {
  const before = contentHash();
  expect(() =>
    journal.change(written('Fails'), actor, () => {
      put('t1', 'a')();
      throw new Error('half way');
    }),
  ).toThrow('half way');
  expect(contentHash()).toBe(before);
  expect(put('t1', 'a')).toThrow(/outside of change/);
  expect(journal.history(10)).toEqual([]);
});

test('a database of a newer version is refused and left as it is', () => {
  db.close();
  const raw = new Database(join(folder, 'dispona.sqlite'));
  raw.pragma('user_version = 999');
  raw.close();
  expect(() => openDatabase(folder)).toThrow(NewerDatabaseError);
  db = new Database(join(folder, 'dispona.sqlite'));
  expect(db.pragma('user_version', { simple: true })).toBe(999);
});
