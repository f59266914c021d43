import type { whyFoundRoutes } from '../../contract/why-found';
import { faceUrl } from '../../core/storefront/card';
import { pageSizeAt } from '../../core/storefront/listing-view';
import { whyFound } from '../../core/storefront/why-found';
import { boundsOf } from '../../core/search/axis';
import { list } from '../../core/search/listing';
import type { Histogram, ListingResult } from '../../core/search/listing-query';
import { understand } from '../../core/shop/understand';
import { cachedByVersion } from '../../core/shop/cached-by-version';
import { productChecks } from '../../core/loose-ends/checks/product-rules';
import { checkRule } from '../../core/rules/check';
import { explain } from '../../core/rules/explain';
import type { Field } from '../../core/rules/field';
import { filterName, filtersOf } from '../../core/rules/filters';
import { membersOf } from '../../core/rules/members';
import type { Rule } from '../../core/model/rule';
import { actualWords, sentenceOf } from '../../core/rules/text/sentence';
import type { GoodsQuery, GoodsSection, goodsRoutes } from '../../contract/goods';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';
import { goodsRow } from '../products/queries';
import { fieldsUsed, goodsFields, supplyColumns } from '../state/goods-fields';
import { productOrRefuse } from '../state/product-or-refuse';

/** Values of one field that are told; of more only those that most products have. */
const MOST_VALUES = 300;

const isNumeric = ({ type }: Field) => type === 'number' || type === 'money' || type === 'date';

/** Orders that somebody asked for, until the catalog changes. */
const orders = cachedByVersion(() => new Map<string, ArrayLike<number>>());

/** Places of the words of a choice field in the alphabet, by slot, so that goods can be sorted by it. */
function fillRanks(catalog: Catalog, field: Field): string {
  const { shop } = catalog.working;
  const words = [...(field.choices ?? [])].map(([, label]) => label).sort((a, b) => a.localeCompare(b));
  const rankOf = new Map(words.map((label, rank) => [label, rank]));
  const ranks = new Float64Array(shop.index.alive.size).fill(NaN);
  shop.index.alive.forEach((slot) => {
    const [first] = field.read(shop.facts(shop.index.id(slot))!) as readonly string[];
    const label = first === undefined ? undefined : field.choices?.get(first);
    if (label !== undefined) ranks[slot] = rankOf.get(label)!;
  });
  const column = `rank of ${field.key}`;
  shop.index.fillColumn(column, ranks);
  return column;
}

/** The order that a list is asked for: the key of a field, after "-" from the highest down. */
function orderOf(catalog: Catalog, sort: string, isSearch: boolean): string | ArrayLike<number> {
  const usual = isSearch ? 'match' : 'newest';
  if (sort === '' || sort === 'newest') return sort || usual;
  const { shop } = catalog.working;
  const known = orders(shop).get(sort);
  if (known) return known;
  const isDown = sort.startsWith('-');
  const key = isDown ? sort.slice(1) : sort;
  const field = goodsFields(catalog).get(key);
  if (!field) return usual;
  let order: ArrayLike<number>;
  if (field.key === 'title') {
    const titles = shop.index.order('title')!.slots();
    order = isDown ? titles.reverse() : titles;
  } else if (field.type === 'text' || field.setOf) return usual;
  else if (field.type === 'yesNo') {
    const flags = new Float64Array(shop.index.alive.size);
    shop.index.alive.forEach((slot) => (flags[slot] = field.read(shop.facts(shop.index.id(slot))!) ? 0 : 1));
    shop.index.fillColumn(`rank of ${key}`, flags);
    order = shop.index.sortedByColumn(`rank of ${key}`, isDown, 'newest');
  } else {
    supplyColumns(catalog, [key]);
    order = shop.index.sortedByColumn(isNumeric(field) ? key : fillRanks(catalog, field), isDown, 'newest');
  }
  orders(shop).set(sort, order);
  return order;
}

/** Bounds of histograms, by field; worked out again every minute at most: they tell where bars are drawn, no more. */
const axes = new WeakMap<Catalog, { minute: number; bounds: Map<string, number[]> }>();

function keptAxes(catalog: Catalog): Map<string, number[]> {
  const minute = Math.floor(catalog.now / 60);
  let kept = axes.get(catalog);
  if (kept?.minute !== minute) axes.set(catalog, (kept = { minute, bounds: new Map() }));
  return kept.bounds;
}

/** Bounds of the histogram of a field, over all goods, so that they stay while the goods are narrowed. */
function axisOf(catalog: Catalog, field: Field): number[] {
  const { shop } = catalog.working;
  const kept = keptAxes(catalog);
  let bounds = kept.get(field.key);
  if (!bounds || bounds.length === 0) {
    supplyColumns(catalog, [field.key]);
    const column = shop.index.column(field.key);
    const sorted = orderOf(catalog, field.key, false) as ArrayLike<number>;
    let known = sorted.length;
    while (known > 0 && Number.isNaN(column[sorted[known - 1]!]!)) known--;
    const part = field.type === 'money' ? 100 : (field.unit?.parts ?? 1);
    bounds = boundsOf(known, (place) => column[sorted[place]!]!, part, field.type === 'date');
    kept.set(field.key, bounds);
  }
  return bounds;
}

/** Finds what a query asks for, with what is counted along. */
function find(
  catalog: Catalog,
  { text, rule, sort, offset, limit }: Pick<GoodsQuery, 'text' | 'rule' | 'sort' | 'offset' | 'limit'>,
  count: readonly string[] = [],
  histograms: readonly Histogram[] = [],
): ListingResult {
  const { shop } = catalog.working;
  supplyColumns(catalog, [...fieldsUsed(rule), ...histograms.map(({ column }) => column)]);
  return list(shop.index, {
    ...filtersOf(rule, shop.index, goodsFields(catalog), catalog.now),
    text: understand(shop, text),
    sort: orderOf(catalog, sort, text.trim() !== ''),
    tieOrder: 'newest',
    offset,
    limit,
    count,
    histograms,
  });
}

/** Ids of all goods that match, in order. */
export function matchingIds(catalog: Catalog, { text, rule }: { text: string; rule: Rule }): string[] {
  const { index } = catalog.working.shop;
  return find(catalog, { text, rule, sort: '', offset: 0, limit: index.size }).slots.map((slot) => index.id(slot));
}

export function countMatching(catalog: Catalog, { text, rule }: { text: string; rule: Rule }): number {
  return find(catalog, { text, rule, sort: 'newest', offset: 0, limit: 0 }).total;
}

/** True when a group "one variant where" stands outermost: then what variants have is asked of one and the same. */
const asksOneVariant = (rule: Rule) => rule.match === 'all' && rule.of.some((node) => 'variants' in node);

/** The goods list: working products narrowed by text and rule, with what they can be narrowed by further. */
export function listGoods(catalog: Catalog, query: GoodsQuery): AnswerOf<typeof goodsRoutes.list> {
  const { shop, products } = catalog.working;
  const fields = goodsFields(catalog);
  const onVariant = asksOneVariant(query.rule);
  const isAboutVariant = (field: Field) => onVariant && field.readVariant !== undefined;
  const choices = [...fields.values()].filter((field) => field.type === 'choice' || field.type === 'yesNo');
  const histograms = query.open.flatMap((key): Histogram[] => {
    const field = fields.get(key);
    if (!field || !isNumeric(field)) return [];
    const about = isAboutVariant(field);
    return [{ name: filterName(key, about), column: key, onVariant: about, bounds: axisOf(catalog, field) }];
  });
  const isWhole = query.need === 'all';
  const result = find(catalog, query, isWhole ? choices.map(({ key }) => key) : [], isWhole ? histograms : []);
  // What else is worked out below would take the result's sets for itself.
  const matching = result.products.clone();
  const sections = !isWhole
    ? []
    : [...fields.values()].flatMap((field): GoodsSection[] => {
        const shared = { key: field.key, label: field.label, onVariant: isAboutVariant(field) };
        if (isNumeric(field)) {
          const bounds = query.open.includes(field.key) ? axisOf(catalog, field) : [];
          const counts = result.histograms.get(filterName(field.key, shared.onVariant));
          const unit = field.unit ?? null;
          return [{ ...shared, type: field.type as 'number', unit, bounds, counts: counts ? [...counts] : [] }];
        }
        if (field.type === 'text') return [];
        const counts = result.counts.get(field.key)!;
        const countOf = (value: string) =>
          field.setOf?.(value).countAnd(matching) ?? counts[shop.index.facets.valueId(field.key, value) ?? -1] ?? 0;
        if (field.type === 'yesNo') {
          const count = countOf('yes');
          return [
            { ...shared, type: 'choice', values: count > 0 ? [{ value: 'yes', label: 'yes', count, level: 1 }] : [] },
          ];
        }
        const named =
          field.key === 'category'
            ? shop.tree.flat().map(({ category: { id, name }, level }) => ({ value: id, label: name, level }))
            : [...field.choices!].map(([value, label]) => ({ value, label, level: 1 }));
        const values = named.map((each) => ({ ...each, count: countOf(each.value) })).filter(({ count }) => count > 0);
        if (field.key !== 'category' && field.key !== 'status')
          values.sort((a, b) => b.count - a.count || a.label.localeCompare(b.label));
        return [{ ...shared, type: 'choice', values: values.slice(0, MOST_VALUES) }];
      });
  const { currency } = shop.settings;
  const columns = query.columns.flatMap((key) => fields.get(key) ?? []);
  return {
    total: result.total,
    all: products.size,
    rows: result.slots.map((slot) => {
      const id = shop.index.id(slot);
      const facts = shop.facts(id)!;
      const cells = columns.map((field) => {
        const actual = field.read(facts);
        if (typeof actual === 'boolean') return actual ? 'yes' : '';
        return typeof actual === 'string' ? actual.slice(0, 200) : actualWords(field, actual, currency);
      });
      return { ...goodsRow(catalog, products.get(id)!), cells };
    }),
    sections,
    looseEnds: isWhole
      ? productChecks.map(({ key, label, node }) => {
          const one: Rule = { match: 'all', of: [node] };
          supplyColumns(catalog, fieldsUsed(one));
          return { key, label, node, count: membersOf(one, shop.index, fields, catalog.now).and(matching).count() };
        })
      : [],
    sentence: query.rule.of.length > 0 ? sentenceOf(query.rule, fields, currency) : '',
    problems: query.rule.of.length > 0 ? checkRule(query.rule, fields) : [],
  };
}

/** Why a product is among the goods of a rule, or is not. */
export function whyListed(catalog: Catalog, id: string, rule: Rule): AnswerOf<typeof goodsRoutes.why> {
  const { shop } = catalog.working;
  const facts = shop.facts(productOrRefuse(catalog, id).id)!;
  return explain(rule, facts, goodsFields(catalog), catalog.now, shop.settings.currency);
}

/** Why a search of shoppers finds the goods of the first page of the working copy. */
export function whyFoundIn({ working: { shop } }: Catalog, q: string): AnswerOf<typeof whyFoundRoutes.why> {
  const { goods, ...rest } = whyFound(shop, q, pageSizeAt(shop, { kind: 'all' }));
  return { ...rest, goods: goods.map((found) => ({ ...found, thumbnail: faceUrl(shop.products.get(found.id)) })) };
}
