import type { FacetView, ListingView } from './views';
import { layoutAt, usualFilter, usualListings, type ListingLayout, type ShopperSort } from '../model/listing-layout';
import { type Attribute } from '../model/spec-sheet';
import { SPEC_SCALE } from '../products/spec-values';
import { hourOf } from '../shared/moment';
import type { Bitset } from '../search/bitset';
import { list } from '../search/listing';
import type { ChoiceFilter, ListingResult, ProductSpan } from '../search/listing-query';
import { cardOf } from './card';
import { AVAILABLE, LAST, UNTOLD } from '../shop/facts';
import { optionField, optionOfField, specField, specFrom, specUpTo } from '../rules/field';
import { arranged, finderOrder, type Arrangement } from '../shop/arrangement';
import { cachedByVersion } from '../shop/cached-by-version';
import { isOpen, type GroupRef } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { sheetsInOrder } from '../shop/shop-fields';
import { understand, variantsMeant } from '../shop/understand';

/** A listing that grows by a button holds so many goods on one page at most; beyond them it goes on page by page. */
const MOST_TOGETHER = 480;
/** Fewer goods than these with all that was searched for are followed by some that come close. */
export const FILL_TO = 12;
/** Deepest page that is answered; beyond it a page is empty. */
export const MAX_PAGE = 10_000;

export type ListingPlace = { kind: 'all' } | GroupRef;

export interface ListingRequest {
  at: ListingPlace;
  q: string;
  page: number;
  /** a sort key, or '' for the usual one */
  sort: string;
  /** facet key as in addresses → chosen values */
  choices: ReadonlyMap<string, readonly string[]>;
  /** minor units */
  price: { min: number; max: number } | null;
  /** facet key of a spec in numbers → wanted span, in its unit */
  spans: ReadonlyMap<string, { min: number; max: number }>;
}

/** Columns of the orders that the index does not keep sorted, from the highest down. */
const sortColumns: Partial<Record<string, string>> = { discount: 'discount', sold: 'sold90' } satisfies Partial<
  Record<ShopperSort, string>
>;
const BEST_MATCH = 'match';

const NEW = 'new';
/** Goods count as new for so many days. */
const NEW_DAYS = 30;
const DAY = 86_400;

const RESERVED = new Set(['category', 'brand', 'tag', 'price', 'stock', 'sale', 'new']);

/** Facet of variants whose price is reduced now. */
const ON_SALE = 'onSale';

interface FacetSource {
  /** as in addresses */
  key: string;
  /** as in the index */
  facet: string;
  label: string;
  onVariant: boolean;
  toIndex: (value: string) => string | undefined;
  /** values that are shown, by their key in the index; all when absent */
  among?: ReadonlySet<string>;
}

interface DescribedValue {
  /** key and id in the index */
  indexValue: string;
  id: number;
  value: string;
  label: string;
  colour?: string;
}

/** Attributes of these types that the seller offers as filters. */
function filterAttributes(shop: Shop, types: readonly Attribute['type'][]): Attribute[] {
  const all = new Map(sheetsInOrder(shop).flatMap(({ attributes }) => attributes.map((each) => [each.id, each])));
  return [...all.values()].filter(({ filterable, type }) => filterable && types.includes(type));
}

const choiceAttributes = (shop: Shop) => filterAttributes(shop, ['choice', 'choices', 'yesNo']);
export const numberAttributes = (shop: Shop) => filterAttributes(shop, ['number', 'range']);

/** The columns that hold the numbers of an attribute. */
export function spanOfAttribute({ id, type }: Attribute): ProductSpan {
  const name = specField(id);
  return type === 'range' ? { name, low: specFrom(name), high: specUpTo(name) } : { name, low: name, high: name };
}

/** All values of a facet, in the order and with the words in which shoppers read them. */
function describeFacet(shop: Shop, facet: string): DescribedValue[] {
  const values: (DescribedValue & { order: number | string })[] = [];
  const groups = { category: shop.categories, brand: shop.brands }[facet];
  const places = new Map(facet === 'category' ? shop.tree.flat().map(({ category }, i) => [category.id, i]) : []);
  const option = shop.options.get(optionOfField(facet) ?? '');
  const attribute = choiceAttributes(shop).find((each) => specField(each.id) === facet);
  const optionPlaces = new Map([...(option?.values.keys() ?? [])].map((value, i) => [value, i]));
  for (const [indexValue, id] of shop.index.facet(facet)?.values ?? []) {
    // Values that products had once are still known to the index.
    if (shop.index.facets.totals[id] === 0) continue;
    const group = groups?.get(indexValue);
    if (group) {
      const order = places.get(indexValue) ?? group.name;
      values.push({ indexValue, id, value: group.slug, label: group.name, order });
    } else if (option) {
      const label = option.values.get(indexValue) ?? indexValue;
      const colour = option.swatches.get(indexValue);
      values.push({ indexValue, id, value: indexValue, label, colour, order: optionPlaces.get(indexValue) ?? 0 });
    } else if (attribute) {
      const place = attribute.choices.findIndex((choice) => choice.id === indexValue);
      const label =
        attribute.type === 'yesNo'
          ? shop.say(indexValue === 'yes' ? 'told.yes' : 'told.no')
          : attribute.choices[place]?.name;
      if (label !== undefined) values.push({ indexValue, id, value: indexValue, label, order: place });
    } else if (facet === AVAILABLE)
      values.push({ indexValue, id, value: indexValue, label: shop.say('filter.inStock'), order: 0 });
    else if (facet === ON_SALE)
      values.push({ indexValue, id, value: indexValue, label: shop.say('filter.onSale'), order: 0 });
  }
  values.sort((a, b) => (a.order === b.order ? (a.indexValue < b.indexValue ? -1 : 1) : a.order < b.order ? -1 : 1));
  return values.map(({ order: _order, ...value }) => value);
}

/** Facets described so far: a listing is asked for far more often than the shop changes. */
const describedFacets = cachedByVersion(() => new Map<string, DescribedValue[]>());

function describedValues(shop: Shop, facet: string): DescribedValue[] {
  const described = describedFacets(shop);
  let values = described.get(facet);
  if (!values) described.set(facet, (values = describeFacet(shop, facet)));
  return values;
}

/** The choice filters that shoppers get at a place, in order. */
export function facetSources(
  shop: Shop,
  at: ListingPlace,
  chosen: ReadonlyMap<string, readonly string[]>,
): FacetSource[] {
  const parent = at.kind === 'category' ? at.id : null;
  const open = shop.tree.children(parent).filter(({ id }) => isOpen(shop, { kind: 'category', id }));
  const among = new Set(open.map((category) => category.id));
  for (const slug of chosen.get('category') ?? []) among.add(shop.bySlug('category', slug) ?? '');
  const ofGroup = (kind: 'category' | 'brand') => (slug: string) => shop.bySlug(kind, slug);
  const asIs = (value: string) => value;
  const sources: FacetSource[] = [
    {
      key: 'category',
      facet: 'category',
      label: shop.say('filter.category'),
      onVariant: false,
      toIndex: ofGroup('category'),
      among,
    },
    // All goods of a brand's own page have that brand.
    ...(at.kind === 'brand'
      ? []
      : [
          {
            key: 'brand',
            facet: 'brand',
            label: shop.say('filter.brand'),
            onVariant: false,
            toIndex: ofGroup('brand'),
          },
        ]),
  ];
  for (const [key, { label }] of shop.options) {
    const inAddress = RESERVED.has(key) ? `option.${key}` : key;
    sources.push({ key: inAddress, facet: optionField(key), label, onVariant: true, toIndex: asIs });
  }
  for (const { id, name } of choiceAttributes(shop))
    sources.push({ key: specField(id), facet: specField(id), label: name, onVariant: false, toIndex: asIs });
  sources.push({ key: 'sale', facet: ON_SALE, label: shop.say('filter.reduced'), onVariant: true, toIndex: asIs });
  sources.push({ key: 'stock', facet: AVAILABLE, label: shop.say('filter.stock'), onVariant: true, toIndex: asIs });
  return sources;
}

/** Products that stand at a place, before any filter. */
export function placeSet(shop: Shop, at: ListingPlace, now: number): Bitset {
  const listed = shop.listed.clone();
  if (at.kind === 'all') return listed;
  const set = at.kind === 'collection' ? shop.memberships.of(at.id, now) : shop.index.posting(at.kind, at.id);
  return set ? listed.and(set) : listed.clear();
}

/** Orders of categories that were arranged by hand, until the shop changes. */
const arrangedCategories = cachedByVersion(() => new Map<string, number[]>());

function categoryOrder(shop: Shop, id: string, arrangement: Arrangement, now: number): string | number[] {
  const named = finderOrder(arrangement);
  if (named !== undefined) return named;
  const kept = arrangedCategories(shop);
  let slots = kept.get(id);
  if (!slots) kept.set(id, (slots = arranged(shop, placeSet(shop, { kind: 'category', id }, now), arrangement)));
  return slots;
}

/** The own order of a place: a name of one of the finder's orders, or slots. */
export function ownOrder(shop: Shop, at: ListingPlace, now: number): string | number[] {
  if (at.kind === 'collection') {
    const collection = shop.collections.get(at.id);
    if (collection) return shop.memberships.orderOf(collection, now);
  }
  const category = at.kind === 'category' ? shop.categories.get(at.id) : undefined;
  return category ? categoryOrder(shop, category.id, category, now) : 'featured';
}

/** Goods on one page of a place. */
export const pageSizeAt = (shop: Shop, at: ListingPlace): number => layoutAt(shop.settings.listings, at).perPage;

/** How the goods of a place stand before a shopper chooses an order. */
export const firstSort = (shop: Shop, at: ListingPlace): ShopperSort => layoutAt(shop.settings.listings, at).sorts[0]!;

function slotsInOrder(shop: Shop, at: ListingPlace, sort: string, now: number): string | ArrayLike<number> {
  if (sort === 'featured') return ownOrder(shop, at, now);
  if (sort === 'title') return shop.titleOrder;
  const column = sortColumns[sort];
  return column === undefined ? sort : sortedSlots(shop, column);
}

/** The order in which goods stand at a place to begin with: a name of one of the finder's orders, or slots. */
export const firstOrder = (shop: Shop, at: ListingPlace, now: number): string | ArrayLike<number> =>
  slotsInOrder(shop, at, firstSort(shop, at), now);

/** Orders by a column that the index does not keep sorted, until the shop changes. */
const columnOrders = cachedByVersion(() => new Map<string, ArrayLike<number>>());

function sortedSlots(shop: Shop, column: string): ArrayLike<number> {
  const kept = columnOrders(shop);
  let slots = kept.get(column);
  if (!slots) kept.set(column, (slots = shop.index.sortedByColumn(column, true, 'featured')));
  return slots;
}

/** One page of a listing with exact counts, as shoppers see it at `now` (seconds since 1970). */
export function listingView(shop: Shop, request: ListingRequest, now: number): ListingView {
  const { at, q, choices, price } = request;
  const layout = layoutAt(shop.settings.listings, at);
  const sorts = layout.sorts.map((key) => ({ key: key, label: shop.say(`sort.${key}`) }));
  const { texts } = shop;
  const offered = texts.index.holdsWords(q) ? [{ key: BEST_MATCH, label: shop.say('sort.match') }, ...sorts] : sorts;
  const sort = offered.find(({ key }) => key === request.sort)?.key ?? offered[0]!.key;
  const isTogether = layout.paging === 'more' && request.page * layout.perPage <= MOST_TOGETHER;
  const sources = facetSources(shop, at, choices);
  const filters: ChoiceFilter[] = [];
  for (const { key, facet, onVariant, toIndex } of sources) {
    const values = choices.get(key);
    if (values?.length) filters.push({ facet, onVariant, values: values.flatMap((value) => toIndex(value) ?? []) });
  }
  const isNewOnly = choices.get(NEW)?.includes('yes') ?? false;
  const newGoods = { name: NEW, low: 'created', high: 'created', min: hourOf(now) - NEW_DAYS * DAY, max: Infinity };
  const base = placeSet(shop, at, now);
  const meant = q === '' ? undefined : variantsMeant(shop, q);
  // A price that is given on request must not be found out by narrowing.
  const untold = shop.index.posting(UNTOLD, 'price');
  if (price && untold) base.andNot(untold);
  const measured = numberAttributes(shop).map((attribute) => ({ attribute, span: spanOfAttribute(attribute) }));
  const result = list(shop.index, {
    base,
    text: understand(shop, q, FILL_TO),
    texts,
    choices: filters,
    ranges: price ? [{ column: 'price', ...price }] : [],
    sort: slotsInOrder(shop, at, sort, now),
    tieOrder: 'worth',
    offset: isTogether ? 0 : (request.page - 1) * layout.perPage,
    limit: isTogether ? request.page * layout.perPage : layout.perPage,
    last: shop.index.posting(LAST, 'yes'),
    count: sources.map(({ facet }) => facet),
    extent: ['price'],
    extentWithout: untold,
    spans: [
      ...measured.flatMap(({ span }) => {
        const wanted = request.spans.get(span.name);
        return wanted ? [{ ...span, min: wanted.min * SPEC_SCALE, max: wanted.max * SPEC_SCALE }] : [];
      }),
      ...(isNewOnly ? [newGoods] : []),
    ],
    histograms: [{ name: NEW, column: 'created', onVariant: false, bounds: [-Infinity, newGoods.min, Infinity] }],
    spanExtents: measured.map(({ span }) => span),
  });
  const facets = sources.flatMap((source) => choiceFacet(shop, source, result, choices.get(source.key) ?? []));
  const newest = result.histograms.get(NEW)![1]!;
  if (isNewOnly || (newest > 0 && newest < result.total))
    facets.push({
      key: NEW,
      label: shop.say('filter.new'),
      type: 'choice',
      values: [
        { value: 'yes', label: shop.say('filter.added', { count: NEW_DAYS }), count: newest, selected: isNewOnly },
      ],
    });
  const extent = result.extents.get('price');
  if (extent)
    facets.splice(1, 0, {
      key: 'price',
      label: shop.say('filter.price'),
      type: 'range',
      values: extent,
      selected: chosenSpan(price),
    });
  for (const { attribute, span } of measured) {
    const found = result.extents.get(span.name);
    const selected = request.spans.get(span.name) ?? null;
    // Where all have the same number there is nothing to narrow.
    if (!selected && (!found || found.min === found.max)) continue;
    facets.push({
      key: span.name,
      label: attribute.name,
      type: 'range',
      values: { min: (found?.min ?? 0) / SPEC_SCALE, max: (found?.max ?? 0) / SPEC_SCALE },
      selected: chosenSpan(selected),
      unit: attribute.unit,
    });
  }
  const labels = facets.map(({ label }) => label);
  return {
    total: result.total,
    page: request.page,
    pageSize: layout.perPage,
    sorts: offered,
    sort,
    items: result.slots.map((slot) => cardOf(shop, slot, shownVariants(result.variants, meant))),
    without: result.dropped,
    full: result.full,
    // Specs of one name are told apart by their spec sheets.
    facets: laidOut(
      facets.map((facet, i) =>
        labels.indexOf(facet.label) === i && labels.lastIndexOf(facet.label) === i
          ? facet
          : { ...facet, label: shop.fields.get(facet.key)?.label ?? facet.label },
      ),
      layout,
    ),
    ...drawnLayout(layout),
  };
}

const isChosen = (facet: FacetView): boolean =>
  facet.type === 'range' ? facet.selected !== null : facet.values.some(({ selected }) => selected);

/** Filters in the seller's order and form. One that is hidden is there only while an address has chosen it. */
function laidOut(facets: readonly FacetView[], { filters, filtersAt }: ListingLayout): FacetView[] {
  if (filtersAt === 'none') return facets.filter(isChosen);
  if (filters.length === 0) return [...facets];
  const places = new Map(filters.map(({ key }, i) => [key, i]));
  return facets
    .map((facet, i) => ({ facet, at: places.get(facet.key) ?? filters.length + i }))
    .sort((a, b) => a.at - b.at)
    .flatMap(({ facet }) => {
      const own = filters[places.get(facet.key) ?? -1];
      if (!own) return [facet];
      if (!own.shown && !isChosen(facet)) return [];
      const form = {
        ...(!own.open && { folded: true }),
        ...(own.as === 'swatches' && { swatches: true }),
        ...(own.top !== usualFilter('').top && { top: own.top }),
      };
      return [{ ...facet, ...form }];
    });
}

/** How the goods stand on the page, where that is not as usual. */
function drawnLayout({ columns, phoneColumns, paging, filtersAt }: ListingLayout): Pick<ListingView, 'layout'> {
  const isUsual =
    columns === usualListings.columns &&
    phoneColumns === usualListings.phoneColumns &&
    paging === usualListings.paging &&
    filtersAt === usualListings.filtersAt;
  return isUsual ? {} : { layout: { columns, phoneColumns, paging, filtersAt } };
}

/** Variants of which a card shows the first: those that pass the filters and are what the text speaks of. */
const shownVariants = (passing: Bitset | undefined, meant: Bitset | undefined) =>
  passing && meant ? passing.clone().and(meant) : (passing ?? meant);

const ended = (x: number) => (Number.isFinite(x) ? x : null);
const chosenSpan = (span: { min: number; max: number } | null) =>
  span && { min: ended(span.min), max: ended(span.max) };

function choiceFacet(shop: Shop, source: FacetSource, result: ListingResult, chosen: readonly string[]): FacetView[] {
  const counts = result.counts.get(source.facet)!;
  const values: Extract<FacetView, { type: 'choice' }>['values'] = [];
  for (const { indexValue, id, value, label, colour } of describedValues(shop, source.facet)) {
    if (source.among && !source.among.has(indexValue)) continue;
    const count = counts[id] ?? 0;
    const selected = chosen.includes(value);
    if (count > 0 || selected) values.push({ value, label, colour, count, selected });
  }
  // What all of them have, or none, parts nothing.
  const [only] = values;
  if (!only || (values.length === 1 && !only.selected && only.count === result.total)) return [];
  return [{ key: source.key, label: source.label, type: 'choice', values }];
}
