import { performance } from 'node:perf_hooks';
import { prepareBulk } from '../server/bulk/bulk';
import type { Catalog } from '../server/state/catalog';
import { listGoods } from '../server/search/queries';
import { readSheet } from '../server/bulk/sheet';
import { changeVariants } from '../server/products/variant-writes';
import type { Condition, Rule } from '../core/model/rule';
import type { Job } from '../contract/bulk';
import { spreadOf, timeEach, timeOnce, type Spread } from './measure';
import type { BenchQuery } from './queries';

/** Most variants that the bulk change touches: as many as the plan names. */
const VARIANTS = 50_000;
/** Rows of the sheet that is read. */
const SHEET_ROWS = 5_000;

export interface GoodsFigures {
  /** the goods list with the counts of all fields, four distributions and 60 rows */
  list: Spread;
  /** the same, each after a price was changed */
  listAfterChange: Spread;
  sheetMs: number;
  bulkVariants: number;
  bulkMs: number;
  undoMs: number;
  /** longest that a request had to wait meanwhile */
  waitMs: number;
}

const conditionsOf = ({ filters, price }: BenchQuery): Condition[] => [
  ...Object.entries(filters)
    .filter(([facet]) => facet !== 'available')
    .map(([field, value]): Condition => ({ field, is: 'anyOf', value: [...value] })),
  ...(price ? [{ field: 'price', is: 'between' as const, value: [price.min, price.max] as [number, number] }] : []),
];

function ruleOf(query: BenchQuery): Rule {
  const conditions = conditionsOf(query);
  const onVariant = conditions.filter(({ field }) => field.startsWith('option.') || field === 'price');
  const others = conditions.filter((condition) => !onVariant.includes(condition));
  return {
    match: 'all',
    of: [
      ...others,
      ...(onVariant.length > 0 ? [{ variants: 'some' as const, match: 'all' as const, of: onVariant }] : []),
    ],
  };
}

export async function measureGoods(catalog: Catalog, queries: readonly BenchQuery[]): Promise<GoodsFigures> {
  const ask = (query: BenchQuery) =>
    listGoods(catalog, {
      text: query.text,
      rule: ruleOf(query),
      sort: '',
      offset: 0,
      limit: 60,
      open: ['price', 'stock', 'margin', 'created'],
      columns: [],
      need: 'all',
    });
  for (const query of queries) ask(query);
  const list = spreadOf(timeEach(queries, ask));
  const products = [...catalog.working.products.values()];
  const listAfterChange = spreadOf(
    queries.slice(0, 40).map((query, i) => {
      const { id, variants } = products[i]!;
      changeVariants(catalog, null, id, Number.MAX_SAFE_INTEGER, [
        { id: variants[0]!.id, fields: { price: variants[0]!.price + 200, salePrice: null } },
      ]);
      return timeOnce(() => ask(query)).ms;
    }),
  );
  const some = (most: number) => {
    let variants = 0;
    const ids = products.filter((product) => (variants += product.variants.length) <= most).map(({ id }) => id);
    return { ids, variants: Math.min(most, variants) };
  };
  const sheetMs = timeOnce(() =>
    JSON.stringify(readSheet(catalog, { which: { ids: some(SHEET_ROWS).ids, matching: null } })),
  ).ms;

  const { ids, variants } = some(VARIANTS);
  const job = (id: string): Job => ({ id, label: id, state: 'waiting', done: 0, total: ids.length, outcome: '' });
  let waitMs = 0;
  let last = performance.now();
  // What is asked waits until the loop comes round: as long as that takes, and no longer.
  const watch = setInterval(() => {
    const now = performance.now();
    waitMs = Math.max(waitMs, now - last - 5);
    last = now;
  }, 5);
  const start = performance.now();
  const raise = {
    do: 'price' as const,
    by: { how: 'percent' as const, more: 400 },
    rounding: { step: 100, ending: 90, way: 'nearest' as const },
    floor: 1_000,
  };
  const { changeId } = await catalog.jobs.begin(job('raise'), null, () => prepareBulk(catalog, raise, ids));
  const bulkMs = performance.now() - start;
  const again = performance.now();
  await catalog.jobs.begin(job('undo'), null, async () => ({ work: { what: 'reverse', changeId: changeId! } }));
  const undoMs = performance.now() - again;
  clearInterval(watch);
  return { list, listAfterChange, sheetMs, bulkVariants: variants, bulkMs, undoMs, waitMs };
}
