import { scaledCatalog } from '/work/main/demo/scale';
import { FinderIndex } from '/work/main/core/finder/finder-index';
import { list } from '/work/main/core/finder/listing';
import { entryOf, finderShape, factsOf } from '/work/main/core/placement/facts';
import { CategoryTree } from '/work/main/core/catalog/category-tree';
import { benchQueries, facets, isOnVariant } from './queries';
import { spreadOf, timeEach, spread } from './measure';
const c = scaledCatalog(50000);
const stock = new Map(c.products.flatMap((p) => p.variants.map((v) => [v.id, v.stock] as const)));
const tree = new CategoryTree(c.categories);
const tagName = new Map(c.tags.map((t) => [t.id, t.name]));
const brandName = new Map(c.brands.map((t) => [t.id, t.name]));
const facts = c.products.map((p) => factsOf(p, (id) => stock.get(id) ?? null, tree, ['live']));
const entries = c.products.map((p, i) =>
  entryOf(facts[i]!, p, { brand: brandName.get(p.brandId!)!, tags: p.tagIds.map((x) => tagName.get(x)).join(' ') }),
);
const index = new FinderIndex(finderShape);
index.load(entries);
const ask = (query: any, extent: string[] = []) =>
  list(index, {
    text: query.text,
    choices: Object.entries(query.filters).map(([facet, values]) => ({
      facet,
      values: values as string[],
      onVariant: isOnVariant(facet),
    })),
    ranges: query.price ? [{ column: 'price', ...query.price }] : [],
    sort: query.text ? 'match' : query.sort,
    tieOrder: 'featured',
    offset: 0,
    limit: 24,
    count: facets,
    extent,
  }).total;
const mixed = benchQueries(c, 500, 'mixed'),
  exact = benchQueries(c, 500, 'exact');
for (let k = 0; k < 1; k++) {
  console.log(
    'mixed',
    spread(spreadOf(timeEach(mixed, (q) => ask(q)))),
    ' exact',
    spread(spreadOf(timeEach(exact, (q) => ask(q, ['price'])))),
  );
}
console.log((index.bytes / 1048576).toFixed(1), 'MB');
const ix: any = index;
console.log(
  'values',
  ix.valuesOf.bytes / 1e6,
  'vvalues',
  ix.variantValuesOf.bytes / 1e6,
  'text',
  ix.text.bytes / 1e6,
  'facets',
  ix.facetValues.reduce(
    (s: number, v: any) => s + v.products.words.byteLength + (v.variants?.words.byteLength ?? 0),
    0,
  ) / 1e6,
  ix.facetValues.length,
  ix.text.wordCount,
);
