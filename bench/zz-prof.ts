import { scaledCatalog } from '/work/main/demo/scale';
import { FinderIndex } from '/work/main/core/finder/finder-index';
import { entryOf, finderShape, factsOf } from '/work/main/core/placement/facts';
import { CategoryTree } from '/work/main/core/catalog/category-tree';
const c = scaledCatalog(50000);
const stock = new Map(c.products.flatMap((p) => p.variants.map((v) => [v.id, v.stock] as const)));
const tree = new CategoryTree(c.categories);
const tagName = new Map(c.tags.map((t) => [t.id, t.name]));
const brandName = new Map(c.brands.map((t) => [t.id, t.name]));
let t = performance.now();
const facts = c.products.map((p) => factsOf(p, (id) => stock.get(id) ?? null, tree, ['live']));
console.log('facts', performance.now() - t);
t = performance.now();
const entries = c.products.map((p, i) =>
  entryOf(facts[i]!, p, { brand: brandName.get(p.brandId!)!, tags: p.tagIds.map((x) => tagName.get(x)).join(' ') }),
);
console.log('entries', performance.now() - t);
for (let k = 0; k < 8; k++) {
  t = performance.now();
  const ix = new FinderIndex(finderShape);
  ix.load(entries);
  console.log('build', performance.now() - t, (ix.bytes / 1048576).toFixed(1));
}
