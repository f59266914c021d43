import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ProblemError } from '../shared/problem';
import { Catalog } from '../state/catalog';
import { addToCategory, changeCategory, createCategory, mergeCategory, removeCategory } from './category-writes';
import { createProduct } from '../products/product-writes';

const at = fc.nat({ max: 30 });
const step = fc.oneof(
  fc.record({ do: fc.constant('add' as const), parent: at }),
  fc.record({ do: fc.constant('move' as const), which: at, parent: at, place: fc.nat({ max: 4 }) }),
  fc.record({ do: fc.constant('merge' as const), which: at, into: at }),
  fc.record({ do: fc.constant('remove' as const), which: at, other: at }),
  fc.record({ do: fc.constant('put' as const), which: at, product: at }),
);

test('however categories are moved, merged and deleted with a home for their goods, every product keeps a category', () => {
  fc.assert(
    fc.property(fc.array(step, { maxLength: 14 }), (steps) => {
      const folder = mkdtempSync(join(tmpdir(), 'dispona-'));
      const catalog = new Catalog(folder);
      try {
        const { shop, products } = catalog.working;
        const root = createCategory(catalog, null, { name: 'Root', parentId: null }).id;
        const ids = ['One', 'Two', 'Three'].map((title) =>
          createProduct(catalog, null, { title, kind: 'physical', price: 0 }),
        );
        addToCategory(catalog, null, root, ids);
        const categories = () => [...shop.categories.keys()];
        const one = (n: number) => categories()[n % categories().length]!;
        for (const each of steps) {
          try {
            if (each.do === 'add') createCategory(catalog, null, { name: 'Some', parentId: one(each.parent) });
            else if (each.do === 'put')
              addToCategory(catalog, null, one(each.which), [ids[each.product % ids.length]!]);
            else if (each.do === 'merge') mergeCategory(catalog, null, one(each.which), one(each.into));
            else if (each.do === 'move')
              changeCategory(catalog, null, one(each.which), { parentId: one(each.parent), place: each.place });
            else removeCategory(catalog, null, one(each.which), { products: 'toOther', other: one(each.other) });
          } catch (error) {
            // What would tear the tree is refused, in words, and changes nothing.
            if (!(error instanceof ProblemError)) throw error;
          }
          const reached = new Set(shop.tree.flat().map(({ category }) => category.id));
          expect(reached.size).toBe(shop.categories.size);
          for (const id of ids) {
            const { categoryIds } = products.get(id)!;
            expect(categoryIds.length).toBeGreaterThan(0);
            expect(categoryIds.every((category) => reached.has(category))).toBe(true);
            expect(new Set(categoryIds).size).toBe(categoryIds.length);
          }
        }
      } finally {
        catalog.close();
        rmSync(folder, { recursive: true, force: true });
      }
    }),
    { numRuns: 40 },
  );
});
