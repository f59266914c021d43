import { deserialize, serialize } from 'node:v8';
import { put } from '../core/testing/shop';
import type { ShopDocument } from '../core/model/document';
import { FinderIndex } from '../core/search/finder-index';
import { list } from '../core/search/listing';
import type { IndexState } from '../core/search/state';
import { collectionDefaults } from '../core/model/group';
import { NEWEST_FIRST } from '../core/model/order';
import { Bitset } from '../core/search/bitset';
import { arranged } from '../core/shop/arrangement';
import { entryOf, finderShape } from '../core/shop/facts';
import { overlapOf } from '../core/shop/overlap';
import { understand } from '../core/shop/understand';
import { ResolvedShop } from '../core/shop/resolved-shop';
import { effectivePrice, marginOf, priceSteps } from '../core/pricing/price';
import { contributionsOf } from '../core/rules/contributions';
import { membersOf } from '../core/rules/members';
import type { Rule } from '../core/model/rule';
import { scaledCatalog, type ScaledCatalog } from '../demo/scale';
import { seeded } from '../demo/random';
import { median, ms, spread, spreadOf, timeEach, timeOnce, timeRounds, type Spread } from './measure';
import { itemsjsPeer, sqlitePeer } from './peers';
import { benchQueries, facets, isOnVariant, type BenchQuery } from './queries';

const QUERIES = 500;
const PEER_QUERIES = 80;
const WARM_ROUNDS = 3;
/** Each query is asked so often, round by round. */
const ROUNDS = 3;
const BUILDS = 5;
/** Goods of a collection whose order is mixed. */
const MIXED = 5_000;
const NOW = Date.UTC(2026, 0, 1) / 1000;

export function shopOf(catalog: ScaledCatalog): ResolvedShop {
  const stock = new Map(
    catalog.products.flatMap((product) => product.variants.map((variant) => [variant.id, variant.stock] as const)),
  );
  const shop = new ResolvedShop({ stock: (id) => stock.get(id) ?? null });
  const documents = (kind: string, list: readonly { id: string }[]) =>
    list.map((body) => ({ kind, key: body.id, body }) as unknown as ShopDocument);
  shop.load([
    ...documents('category', catalog.categories),
    ...documents('brand', catalog.brands),
    ...documents('tag', catalog.tags),
    ...documents('product', catalog.products),
  ]);
  return shop;
}

function entriesOf(shop: ResolvedShop) {
  return [...shop.products.values()].map((product) =>
    entryOf(shop.facts(product.id)!, product, {
      brand: shop.brands.get(product.brandId!)!.name,
      tags: product.tagIds.map((id) => shop.tags.get(id)!.name),
      specs: '',
      specNames: [],
    }),
  );
}

/** Asks as the shop does: the text is read first, so that forms of words, names of groups and slips count. */
function ask(shop: ResolvedShop, query: BenchQuery, extent: string[] = []): number {
  return list(shop.index, {
    text: query.text && understand(shop, query.text, 12),
    choices: Object.entries(query.filters).map(([facet, values]) => ({ facet, values, onVariant: isOnVariant(facet) })),
    ranges: query.price ? [{ column: 'price', ...query.price }] : [],
    sort: query.text ? 'match' : query.sort,
    tieOrder: 'featured',
    offset: 0,
    limit: 24,
    count: facets,
    extent,
  }).total;
}

function randomRules(catalog: ScaledCatalog, count: number): Rule[] {
  const random = seeded(5);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  return Array.from({ length: count }, (): Rule => ({
    match: 'all',
    of: [
      { field: 'category', is: 'anyOf', value: [pick(catalog.categories).id, pick(catalog.categories).id] },
      { field: 'price', is: 'below', value: 1_000 + Math.floor(random() * 20_000) },
      {
        match: random() < 0.7 ? 'any' : 'none',
        of: [
          { field: 'tag', is: 'anyOf', value: [pick(catalog.tags).id, pick(catalog.tags).id] },
          { field: 'brand', is: 'anyOf', value: [pick(catalog.brands).id] },
        ],
      },
      ...(random() < 0.3 ? [{ field: 'stock', is: 'above' as const, value: 0 }] : []),
    ],
  }));
}

export interface CoreFigures {
  size: number;
  variants: number;
  finder: Spread;
  exact: Spread;
  peers: { name: string; spread: Spread }[];
  buildMs: number;
  readMs: number;
  indexBytes: number;
  updateMs: Spread;
  rulesMs: number;
  collectionsMs: number;
  refreshMs: Spread;
  nearMissMs: Spread;
  mixMs: number;
  overlapMs: number;
  pricingMs: number;
}

export function measureCore(size: number, log: (line: string) => void): CoreFigures {
  const catalog = scaledCatalog(size);
  const shop = shopOf(catalog);
  const entries = entriesOf(shop);
  let index = new FinderIndex(finderShape);
  // As at the start of a server: without the rubbish of what was measured before.
  const builds = Array.from({ length: BUILDS }, () => {
    globalThis.gc?.();
    return timeOnce(() => {
      index = new FinderIndex(finderShape);
      index.load(entries);
    }).ms;
  });
  const buildMs = spreadOf(builds).p50;
  const stored = serialize(index.state());
  const readMs = median(BUILDS, () => FinderIndex.of(finderShape, deserialize(stored) as IndexState));
  const queries = benchQueries(catalog, QUERIES, 'mixed');
  const exactQueries = benchQueries(catalog, QUERIES, 'exact');
  // A server runs for days: measured is code that is compiled already, on a heap without the rubbish of building.
  // Collected before warming, as the peers are timed right after theirs: collecting moves what a pass has just touched.
  globalThis.gc?.();
  for (let round = 0; round < WARM_ROUNDS; round++)
    for (const query of [...queries, ...exactQueries].reverse()) ask(shop, query, ['price']);
  const finder = spreadOf(timeRounds(ROUNDS, queries, (query) => ask(shop, query)));
  const exact = spreadOf(timeRounds(ROUNDS, exactQueries, (query) => ask(shop, query, ['price'])));
  log(`${size}: finder ${spread(finder)} ms`);

  const peers = (process.env.NO_PEERS ? [] : [sqlitePeer, itemsjsPeer]).map((make) => {
    const peer = make(entries);
    const some = queries.slice(0, PEER_QUERIES);
    for (const query of some) peer.ask(query);
    const result = { name: peer.name, spread: spreadOf(timeRounds(ROUNDS, some, (query) => peer.ask(query))) };
    log(`${size}: ${peer.name} ${spread(result.spread)} ms`);
    return result;
  });

  const changed = catalog.products.slice(0, 200).map((product) => ({ ...product, title: `${product.title} again` }));
  const updateMs = spreadOf(timeEach(changed, (product) => put(shop, 'product', product.id, product)));
  const terms = catalog.products.map((product, i) => ({
    ...product,
    saleUntil: i % 3 === 0 ? new Date((NOW + 86_400) * 1000).toISOString() : null,
    quantityPrices: i % 4 === 0 ? [{ from: 2, off: 500 }] : [],
  }));
  const pricingMs = median(5, () => {
    for (const product of terms)
      for (const variant of product.variants) {
        const { price } = effectivePrice(product, variant, NOW);
        marginOf(price, variant.cost, 2_100, true);
        if (product.quantityPrices.length > 0) priceSteps(product, variant, NOW, 3);
      }
  });
  const rules = randomRules(catalog, 200);
  const rulesMs = median(9, () => rules.forEach((rule) => membersOf(rule, shop.index, shop.fields, NOW)));
  rules.forEach((rule, i) =>
    put(shop, 'collection', `k_${i}`, {
      ...collectionDefaults,
      id: `k_${i}`,
      name: `Collection ${i}`,
      slug: `collection-${i}`,
      source: 'rule',
      picked: [],
      rule,
      order: NEWEST_FIRST,
    }),
  );
  const ids = [...shop.collections.keys()];
  const collectionsMs = median(9, () => {
    shop.memberships.clear();
    for (const id of ids) shop.memberships.of(id, NOW);
  });
  const refreshed = catalog.products.slice(200, 700).map(({ id }) => id);
  for (const id of refreshed) shop.memberships.refresh(id);
  const refreshMs = spreadOf(timeEach(refreshed, (id) => shop.memberships.refresh(id)));
  const tryRule = (rule: Rule) => contributionsOf(rule, shop.index, shop.fields, NOW, shop.listed);
  rules.forEach(tryRule);
  const nearMissMs = spreadOf(timeEach(rules, tryRule));
  const some = new Bitset(shop.index.alive.size);
  for (const slot of shop.listed.toArray().slice(0, MIXED)) some.add(slot);
  const mix = { pins: [], order: { keys: [{ by: 'margin', down: true }], mix: 'brand' as const, soldOutLast: true } };
  arranged(shop, some, mix);
  const mixMs = median(9, () => arranged(shop, some, mix));
  overlapOf(shop, NOW);
  const overlapMs = median(3, () => overlapOf(shop, NOW));
  log(`${size}: 200 rules ${ms(rulesMs)} ms, one product against them ${spread(refreshMs)} ms`);
  return {
    size,
    variants: catalog.products.reduce((sum, product) => sum + product.variants.length, 0),
    finder,
    exact,
    peers,
    buildMs,
    readMs,
    indexBytes: index.bytes,
    updateMs,
    rulesMs,
    collectionsMs,
    refreshMs,
    nearMissMs,
    mixMs,
    overlapMs,
    pricingMs,
  };
}
