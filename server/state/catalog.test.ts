import fc from 'fast-check';
import { EMPTY_RULE } from '../../core/model/rule';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ResolvedShop } from '../../core/shop/resolved-shop';
import { cardOf } from '../../core/storefront/card';
import { CannotUndoError } from '../database/journal';
import { Catalog } from './catalog';
import { createCollection } from '../groups/collection-writes';
import { changeNamed, namedOrNew, removeNamed } from '../groups/named-writes';
import { changeProduct, createProduct, removeProduct } from '../products/product-writes';
import { setUp } from '../people/set-up';
import { changeVariants } from '../products/variant-writes';

const ALL = Number.MAX_SAFE_INTEGER;

/** How many products have each value that any has. */
function* facets({ index }: ResolvedShop): Generator<string> {
  for (const [id, { facet, value, products }] of index.facets.values.entries())
    if (products.count() > 0) yield `${facet} ${value} ${index.facets.totals[id]} ${products.count()}`;
}

/** All that shoppers could tell of a shop, and what the seller sees beside it. */
function seen(shop: ResolvedShop) {
  const products = [...shop.products.keys()].sort();
  const hits = (words: string) =>
    shop.index.text.search(words, shop.index.alive.size, shop.index.scratch)?.hits.count();
  const idAt = (slot: number) => shop.index.id(slot);
  return {
    products: products.map((id) => ({
      facts: { ...shop.facts(id), document: undefined },
      card: cardOf(shop, shop.index.slot(id)!),
      found: hits(shop.products.get(id)!.title),
    })),
    orders: shop.index.shape.sorts.map(({ key }) => shop.index.orderedSlots(shop.index.alive, key).map(idAt)),
    totals: [...facets(shop)].sort(),
    brands: [...shop.brands.values()].sort((a, b) => (a.id < b.id ? -1 : 1)),
    ofBrands: ['Tern', 'Alula', 'Skua', 'Linnet'].map(hits),
    members: [...shop.collections.keys()]
      .sort()
      .map((id) => shop.memberships.of(id, shop.now).toArray().map(idAt).sort()),
  };
}

const state = ({ live, working }: Catalog) => ({
  changed: [...working.changed].sort(),
  live: seen(live.shop),
  working: seen(working.shop),
  hashes: [...live.hashes].sort(),
});

function undoIfAny(catalog: Catalog, user: string): void {
  try {
    catalog.journal.undo(catalog.actor(user));
  } catch (error) {
    if (!(error instanceof CannotUndoError)) throw error;
  }
}

const steps = fc.array(
  fc.oneof(
    fc.record({ do: fc.constant('add' as const), live: fc.boolean() }),
    fc.record({
      do: fc.constant('retitle' as const),
      at: fc.nat(9),
      title: fc.constantFrom('Delta', 'Sled', 'Box kite'),
    }),
    fc.record({ do: fc.constant('reprice' as const), at: fc.nat(9), price: fc.integer({ min: 100, max: 300 }) }),
    fc.record({ do: fc.constant('stock' as const), at: fc.nat(9), stock: fc.nat(2) }),
    fc.record({
      do: fc.constant('stand' as const),
      at: fc.nat(9),
      status: fc.constantFrom('live' as const, 'off' as const),
    }),
    fc.record({ do: fc.constant('remove' as const), at: fc.nat(9) }),
    fc.record({ do: fc.constant('brand' as const), at: fc.nat(9), brand: fc.nat(1) }),
    fc.record({ do: fc.constant('dropBrand' as const), brand: fc.nat(1) }),
    fc.record({ do: fc.constant('nameBrand' as const), brand: fc.nat(1), name: fc.constantFrom('Skua', 'Linnet') }),
    fc.constant({ do: 'undo' as const }),
    fc.constant({ do: 'putLive' as const }),
    fc.record({ do: fc.constant('goBack' as const), by: fc.nat(3) }),
    fc.record({ do: fc.constant('reopen' as const), killed: fc.boolean() }),
  ),
  { minLength: 4, maxLength: 16 },
);

describe('a catalog that is opened again', () => {
  test('is as it was, whatever was changed, undone, put live and gone back to before', async () => {
    await fc.assert(
      fc.asyncProperty(steps, fc.boolean(), fc.boolean(), async (steps, putsFirst, keepsIndex) => {
        const folder = mkdtempSync(join(tmpdir(), 'dispona-'));
        let minutes = 0;
        const clock = () => new Date(Date.UTC(2027, 2, 1, 10, minutes++));
        const open = () => new Catalog(folder, clock, keepsIndex ? 0 : Infinity);
        let catalog = open();
        const user = await setUp(catalog, {
          shopName: 'Test',
          name: 'Kim',
          email: 'kim@example.com',
          password: 'a long one',
        });
        const brands = ['Tern', 'Alula'].map((name) => namedOrNew(catalog, user, 'brand', name).id);
        createCollection(catalog, user, { name: 'All', source: 'picked', picked: [], rule: EMPTY_RULE });
        // So many that a few changed ones do not outweigh the rest: the shops are then copied when opened.
        for (let i = 0; i < 10; i++) {
          const made = createProduct(catalog, user, { title: `Kite ${i}`, kind: 'physical', price: 150 + i });
          changeProduct(catalog, user, made, { seen: ALL, fields: { status: 'live', brandId: brands[i % 2] } });
        }
        if (putsFirst) catalog.putLive('', user);
        catalog.close();
        catalog = open();
        try {
          for (const each of steps) {
            const ids = [...catalog.working.products.keys()].sort();
            const id = 'at' in each ? ids[each.at % Math.max(1, ids.length)] : undefined;
            const change = (fields: object) => id && changeProduct(catalog, user, id, { seen: ALL, fields });
            const vary = (fields: object) => {
              const variants = catalog.working.products.get(id ?? '')?.variants ?? [];
              if (id && variants.length)
                changeVariants(
                  catalog,
                  user,
                  id,
                  ALL,
                  variants.map((variant) => ({ id: variant.id, fields })),
                );
            };
            if (each.do === 'add') {
              const made = createProduct(catalog, user, { title: 'Kite', kind: 'physical', price: 200 });
              if (each.live) changeProduct(catalog, user, made, { seen: ALL, fields: { status: 'live' } });
            } else if (each.do === 'retitle') change({ title: each.title });
            else if (each.do === 'stand') change({ status: each.status });
            else if (each.do === 'brand') {
              const brandId = brands[each.brand]!;
              if (catalog.working.shop.brands.has(brandId)) change({ brandId });
            } else if (each.do === 'dropBrand') {
              const brandId = brands[each.brand]!;
              if (catalog.working.shop.brands.has(brandId)) removeNamed(catalog, user, 'brand', brandId);
            } else if (each.do === 'nameBrand') {
              const [id, { name }] = [brands[each.brand]!, each];
              const isFree = ![...catalog.working.shop.brands.values()].some((brand) => brand.name === name);
              if (catalog.working.shop.brands.has(id) && isFree) changeNamed(catalog, user, 'brand', id, { name });
            } else if (each.do === 'reprice') vary({ price: each.price });
            else if (each.do === 'stock') vary({ stock: each.stock });
            else if (each.do === 'remove') {
              if (id) removeProduct(catalog, user, id);
            } else if (each.do === 'undo') undoIfAny(catalog, user);
            else if (each.do === 'putLive') catalog.putLive('', user);
            else if (each.do === 'goBack') {
              const old = catalog.live.edition - each.by;
              if (old > 0) catalog.goBack(old, '', user);
            } else {
              const before = state(catalog);
              // Who is killed keeps nothing: the file, if there is one, is that of an earlier end.
              if (each.killed) catalog.drop();
              else catalog.close();
              catalog = open();
              expect(state(catalog)).toEqual(before);
              while (!catalog.verifySome(3));
              expect(state(catalog)).toEqual(before);
            }
          }
          const before = state(catalog);
          catalog.drop();
          catalog = open();
          expect(state(catalog)).toEqual(before);
        } finally {
          catalog.close();
          rmSync(folder, { recursive: true, force: true });
        }
      }),
      { numRuns: 15 },
    );
  }, 120_000);

  test('finds out by comparing when a product was changed behind its back', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'dispona-'));
    let catalog = new Catalog(folder);
    const user = await setUp(catalog, {
      shopName: 'Test',
      name: 'Kim',
      email: 'kim@example.com',
      password: 'a long one',
    });
    const ids = ['One', 'Two', 'Three', 'Four', 'Five'].map((title) => {
      const id = createProduct(catalog, user, { title, kind: 'physical', price: 200 });
      changeProduct(catalog, user, id, { seen: ALL, fields: { status: 'live' } });
      return id;
    });
    catalog.putLive('', user);
    // As a repair by hand would: no trigger, no journal.
    catalog.db.exec(`DROP TRIGGER journal_product_update`);
    catalog.db.prepare(`UPDATE product SET title = 'Renamed' WHERE id = ?`).run(ids[2]);
    catalog.close();
    catalog = new Catalog(folder);
    expect(catalog.working.changed.size).toBe(0);
    while (!catalog.verifySome(2));
    expect([...catalog.working.changed]).toEqual([`product:${ids[2]}`]);
    expect(catalog.live.shop.products.get(ids[2]!)!.title).toBe('Three');
    expect(catalog.working.shop.facts(ids[2]!)!.status).toContain('changed');
    catalog.close();
    rmSync(folder, { recursive: true, force: true });
  });
});
