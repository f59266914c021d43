import { shelfWarning } from '../../core/groups/shelf-warning';
import { refusals } from '../shared/refusals';
import type { Category, Collection } from '../../core/model/group';
import { nearNames } from '../../core/groups/near-names';
import { statusAt } from '../../core/products/status';
import { cachedByVersion } from '../../core/shop/cached-by-version';
import { groupsOf, type GroupKind, type GroupRef } from '../../core/shop/open-groups';
import { orderOf } from '../../core/shop/arrangement';
import { overlapOf } from '../../core/shop/overlap';
import { firstSlots } from '../../core/storefront/pages/place-goods';
import { targetSchema } from '../../core/model/target';
import { usesOf } from '../../core/storefront/uses';
import { waysTo } from '../../core/storefront/where-it-shows';
import { sentenceOf } from '../../core/rules/text/sentence';
import type { CategoryRow, GroupShownStatus, groupRoutes, NamedRow, Shelf, ShelfHead } from '../../contract/groups';
import type { AnswerOf } from '../../contract/route';
import { shelfOrder } from '../store/groups';
import type { Catalog } from '../state/catalog';
import { problemsOfRule } from './checks';
import { notFound } from '../shared/problem';
import { goodsRows } from '../products/queries';
import { groupOrRefuse } from './group-or-refuse';
import { refOf } from '../state/working';

/** Goods of a category that are told one by one. */
const CATEGORY_LENGTH = 300;

function shownStatusOf(catalog: Catalog, { kind, id }: GroupRef): GroupShownStatus {
  const group = groupsOf(catalog.working.shop, kind).get(id)!;
  const phase =
    'status' in group ? statusAt({ liveFrom: null, liveUntil: null, ...group }, catalog.working.shop.now) : 'live';
  if (phase === 'off' || phase === 'waiting' || phase === 'ended') return phase;
  if (!catalog.live.hashes.has(refOf(kind, id))) return 'new';
  return catalog.working.changed.has(refOf(kind, id)) ? 'changed' : 'live';
}

const shared = (catalog: Catalog, at: GroupRef) => ({
  shownStatus: shownStatusOf(catalog, at),
  ways: waysTo(catalog.working.shop, at.kind, at.id),
});

function shelfHead(catalog: Catalog, collection: Collection): ShelfHead {
  const { shop } = catalog.working;
  const { id, rule, picked } = collection;
  const isRule = collection.source === 'rule';
  const total = isRule ? shop.memberships.of(id, catalog.now).count() : picked.length;
  return {
    ...collection,
    ...shared(catalog, { kind: 'collection', id }),
    total,
    sentence: isRule ? sentenceOf(rule, shop.fields, shop.settings.currency) : '',
    orderWords: isRule ? orderOf(shop, collection.order) : '',
    problems: isRule && rule.of.length > 0 ? problemsOfRule(catalog, id, rule) : [],
    warning: shelfWarning(collection, total),
  };
}

/** One collection with its first goods. */
export function shelf(catalog: Catalog, id: string, limit = 500): Shelf {
  const { shop } = catalog.working;
  const collection = groupOrRefuse(catalog, 'collection', id);
  // A shelf picked by hand shows drafts too: they were put there, and would be missed.
  const ids =
    collection.source === 'rule'
      ? firstSlots(shop, { kind: 'collection', id }, limit, catalog.now).slots.map((slot) => shop.index.id(slot))
      : collection.picked.slice(0, limit);
  return { ...shelfHead(catalog, collection), goods: goodsRows(catalog, ids) };
}

/** In how many products each category stands itself, apart from those below it. */
const ownCounts = cachedByVersion((shop) => {
  const counts = new Map<string, number>();
  for (const { categoryIds } of shop.products.values())
    for (const id of categoryIds) counts.set(id, (counts.get(id) ?? 0) + 1);
  return counts;
});

function categoryRow(catalog: Catalog, category: Category, level: number): CategoryRow {
  const { shop } = catalog.working;
  const { id } = category;
  return {
    ...category,
    ...shared(catalog, { kind: 'category', id }),
    level,
    count: shop.index.posting('category', id)?.count() ?? 0,
    own: ownCounts(shop).get(id) ?? 0,
  };
}

const uncategorised = cachedByVersion(
  (shop) => [...shop.products.values()].filter((product) => product.categoryIds.length === 0).length,
);

const near = cachedByVersion((shop) =>
  (['brand', 'tag'] as const).flatMap((kind) =>
    nearNames([...groupsOf(shop, kind).values()]).map(({ a, b }) => ({ kind, a: a.id, b: b.id })),
  ),
);

function namedRows(catalog: Catalog, kind: 'brand' | 'tag'): NamedRow[] {
  const { shop } = catalog.working;
  return [...(kind === 'brand' ? shop.brands : shop.tags).values()]
    .map((thing) => ({
      ...thing,
      ...shared(catalog, { kind, id: thing.id }),
      count: shop.index.posting(kind, thing.id)?.count() ?? 0,
    }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

export function groupsOverview(catalog: Catalog): AnswerOf<typeof groupRoutes.overview> {
  const { shop } = catalog.working;
  return {
    categories: shop.tree.flat().map(({ category, level }) => categoryRow(catalog, category, level)),
    uncategorised: uncategorised(shop),
    shelves: shelfOrder(catalog.db).map((id) => shelfHead(catalog, shop.collections.get(id)!)),
    brands: namedRows(catalog, 'brand'),
    tags: namedRows(catalog, 'tag'),
    near: near(shop),
  };
}

/** One category with its goods, as they stand. */
export function wholeCategory(catalog: Catalog, id: string): AnswerOf<typeof groupRoutes.category> {
  const { shop, products } = catalog.working;
  const category = groupOrRefuse(catalog, 'category', id);
  const { slots } = firstSlots(shop, { kind: 'category', id }, CATEGORY_LENGTH, catalog.now);
  const all = shop.index.posting('category', id)?.toArray() ?? [];
  return {
    category: categoryRow(catalog, category, shop.tree.path(id).length),
    goods: goodsRows(
      catalog,
      slots.map((slot) => shop.index.id(slot)),
    ),
    orderWords: orderOf(shop, category.order),
    withoutSheet: all.filter((slot) => products.get(shop.index.id(slot))!.specSheetId === null).length,
  };
}

/** Pairs and products that the overlap tells one by one. */
const MOST_PAIRS = 400;
const MOST_GOODS = 60;

const overlaps = cachedByVersion((shop) => overlapOf(shop, shop.now));

export function collectionOverlap(catalog: Catalog): AnswerOf<typeof groupRoutes.overlap> {
  const { shop } = catalog.working;
  const { counts, pairs, spread } = overlaps(shop);
  const collections = [...shop.collections.values()].map(({ id, name }) => ({ id, name, count: counts.get(id)! }));
  const placeOf = new Map(collections.map(({ id }, i) => [id, i]));
  const inHowMany = new Uint16Array(shop.index.alive.size);
  for (const id of shop.collections.keys())
    shop.memberships.of(id, shop.now).forEach((slot) => {
      inHowMany[slot]!++;
    });
  const listed = shop.listed.toArray();
  const idsOf = (slots: readonly number[]) => slots.slice(0, MOST_GOODS).map((slot) => shop.index.id(slot));
  const many = listed.filter((slot) => inHowMany[slot]! > 0).sort((a, b) => inHowMany[b]! - inHowMany[a]! || a - b);
  return {
    collections,
    pairs: pairs
      .slice(0, MOST_PAIRS)
      .map(({ a, b, shared: both }) => ({ a: placeOf.get(a)!, b: placeOf.get(b)!, shared: both })),
    spread,
    none: goodsRows(catalog, idsOf(listed.filter((slot) => inHowMany[slot] === 0))),
    many: goodsRows(catalog, idsOf(many)).map((row) => ({
      ...row,
      collections: inHowMany[shop.index.slot(row.id)!]!,
    })),
  };
}

/** The kind of group that an address names; undefined for none. */
export const groupKindOf = (kind: string | undefined): GroupKind | undefined =>
  (['category', 'collection', 'brand', 'tag'] as const).find((each) => each === kind);

/** Uses that are told one by one. */
const MOST_USES = 30;

/** What names a group or a page of the working copy. */
export function usesOfTarget({ working }: Catalog, target: unknown): AnswerOf<typeof groupRoutes.uses> {
  const read = targetSchema.safeParse(target);
  if (!read.success) throw notFound(refusals.nothingOfThisSort);
  const uses = usesOf(working.shop, read.data, working.products.values());
  return { total: uses.length, uses: uses.slice(0, MOST_USES) };
}
