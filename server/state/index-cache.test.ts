import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Catalog } from './catalog';
import { IndexCache } from './index-cache';
import { createProduct } from '../products/product-writes';
import { setUp } from '../people/set-up';
import { changeVariants } from '../products/variant-writes';

const ALL = Number.MAX_SAFE_INTEGER;
const NOW = new Date('2027-03-01T10:00:00Z');
const seconds = NOW.getTime() / 1000;

let folder: string;
let catalog: Catalog;
let ids: string[];
const path = () => join(folder, 'index.kept');
const open = () => new Catalog(folder, () => NOW, 0);

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dispona-'));
  catalog = open();
  await setUp(catalog, { shopName: 'Test', name: 'Kim', email: 'kim@example.com', password: 'a long one' });
  ids = ['Tern', 'Skua', 'Wren'].map((title) => createProduct(catalog, null, { title, kind: 'physical', price: 200 }));
});

afterEach(() => {
  catalog.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Which products could be taken from the file at a moment; undefined when it cannot be used at all. */
function held(moment = seconds): string[] | undefined {
  const keeper = new IndexCache(catalog.db, folder, 0);
  const before = keeper.before(moment);
  const known = [...keeper.products()].map(({ id }) => id);
  return before && known.filter(before.holds);
}

const reprice = (id: string, price: number) => {
  const { variants } = catalog.working.products.get(id)!;
  changeVariants(catalog, null, id, ALL, [{ id: variants[0]!.id, fields: { price } }]);
};

const tend = () => {
  for (let i = 0; i < 20; i++) catalog.compareSome(2);
};

test('the index is kept when there is nothing else to do, and again when much has changed', () => {
  expect(held()).toBeUndefined();
  tend();
  expect(held()).toEqual(ids);
  reprice(ids[1]!, 300);
  expect(held()).toEqual([ids[0], ids[2]]);
  tend();
  expect(held()).toEqual(ids);
});

test('it is kept at the end, and holds no product that changed since, not even by hand', () => {
  catalog.close();
  catalog = open();
  expect(held()).toEqual(ids);
  catalog.db.exec('DROP TRIGGER journal_product_update');
  catalog.db.prepare(`UPDATE product SET title = 'Heron' WHERE id = ?`).run(ids[0]);
  expect(held()).toEqual(ids.slice(1));
  catalog.drop();
  catalog = open();
  expect(catalog.working.shop.facts(ids[0]!)!.title).toBe('Heron');
});

test('a file that is damaged, of another program, or of a later moment is not used', () => {
  catalog.close();
  const whole = readFileSync(path());
  const withByte = (at: number) => {
    const bytes = Buffer.from(whole);
    bytes[at]! ^= 1;
    writeFileSync(path(), bytes);
  };
  catalog = open();
  expect(held(seconds - 1)).toBeUndefined();
  for (const place of [0, 40, 60, Math.floor(whole.length / 2), whole.length - 1]) {
    withByte(place);
    expect(held()).toBeUndefined();
  }
  writeFileSync(path(), whole.subarray(0, 30));
  expect(held()).toBeUndefined();
  writeFileSync(path(), whole);
  expect(held()).toEqual(ids);
});

test('where the file cannot be written, nothing else fails', () => {
  mkdirSync(`${path()}.new`);
  tend();
  reprice(ids[0]!, 400);
  tend();
  catalog.close();
  catalog = open();
  expect(held()).toBeUndefined();
  expect(catalog.working.shop.facts(ids[0]!)!.price).toBe(400);
});
