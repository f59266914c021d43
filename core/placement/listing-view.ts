import type { Bitset } from '../finder/bitset';
import { list, type ChoiceFilter, type ListingResult } from '../finder/listing';
import { cardOf, type ProductCard } from './card';
import { AVAILABLE } from './facts';
import type { ResolvedShop } from './resolved-shop';

export const PAGE_SIZE = 24;
/** Deepest page that is answered; beyond it a page is empty. */
export const MAX_PAGE = 10_000;

export type ListingPlace = { kind: 'all' } | { kind: 'category' | 'collection'; id: string };

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
}

export interface FacetValueView {
  value: string;
  label: string;
  count: number;
  selected: boolean;
  colour?: string;
}

export type FacetView =
  | { key: string; label: string; type: 'choice'; values: FacetValueView[] }
  | {
      key: string;
      label: string;
      type: 'range';
      values: { min: number; max: number };
      selected: { min: number; max: number } | null;
    };

export interface ListingView {
  total: number;
  page: number;
  pageSize: number;
  sorts: { key: string; label: string }[];
  sort: string;
  items: ProductCard[];
  facets: FacetView[];
}

const sorts = [
  { key: 'featured', label: 'Featured' },
  { key: 'newest', label: 'Newest' },
  { key: 'price-up', label: 'Price, low to high' },
  { key: 'price-down', label: 'Price, high to low' },
  { key: 'title', label: 'Name, A to Z' },
];
const bestMatch = { key: 'match', label: 'Best match' };

const RESERVED = new Set(['category', 'brand', 'tag', 'price', 'stock']);

interface FacetSource {
  /** as in addresses */
  key: string;
  /** as in the index */
  facet: string;
  label: string;
  onVariant: boolean;
  toIndex: (value: string) => string | undefined;
  describe: (value: string) => { value: string; label: string; order: number | string; colour?: string } | undefined;
}

function groupFacet(
  shop: ResolvedShop,
  kind: 'category' | 'brand' | 'tag',
  label: string,
  among?: Set<string>,
): FacetSource {
  const map = { category: shop.categories, brand: shop.brands, tag: shop.tags }[kind];
  const place = new Map(kind === 'category' ? shop.tree.flat().map(({ category }, i) => [category.id, i]) : []);
  return {
    key: kind,
    facet: kind,
    label,
    onVariant: false,
    toIndex: (slug) => shop.bySlug(kind, slug),
    describe: (id) => {
      const group = map.get(id);
      if (!group || (among && !among.has(id))) return undefined;
      return { value: group.slug, label: group.name, order: place.get(id) ?? group.name };
    },
  };
}

/** The choice filters that shoppers get at a place, in order. */
function facetSources(
  shop: ResolvedShop,
  at: ListingPlace,
  chosen: ReadonlyMap<string, readonly string[]>,
): FacetSource[] {
  const parent = at.kind === 'category' ? at.id : null;
  const among = new Set(shop.tree.children(parent).map((category) => category.id));
  for (const slug of chosen.get('category') ?? []) among.add(shop.bySlug('category', slug) ?? '');
  const sources = [groupFacet(shop, 'category', 'Category', among), groupFacet(shop, 'brand', 'Brand')];
  for (const [key, option] of shop.options) {
    const order = new Map([...option.values.keys()].map((value, i) => [value, i]));
    sources.push({
      key: RESERVED.has(key) ? `option.${key}` : key,
      facet: `option.${key}`,
      label: option.label,
      onVariant: true,
      toIndex: (value) => value,
      describe: (value) => ({
        value,
        label: option.values.get(value) ?? value,
        order: order.get(value) ?? 0,
        colour: option.swatches.get(value),
      }),
    });
  }
  sources.push({
    key: 'stock',
    facet: AVAILABLE,
    label: 'Stock',
    onVariant: true,
    toIndex: (value) => value,
    describe: (value) => ({ value, label: 'In stock', order: 0 }),
  });
  return sources;
}

/** Products that stand at a place, before any filter. */
export function placeSet(shop: ResolvedShop, at: ListingPlace, now: number): Bitset {
  const listed = shop.listed.clone();
  if (at.kind === 'category') {
    const posting = shop.index.posting('category', at.id);
    return posting ? listed.and(posting) : listed.clear();
  }
  return at.kind === 'collection' ? listed.and(shop.members(at.id, now)) : listed;
}

function orderAt(shop: ResolvedShop, at: ListingPlace, sort: string): string | number[] {
  const collection = at.kind === 'collection' ? shop.collections.get(at.id) : undefined;
  return sort === 'featured' && collection ? shop.orderOf(collection) : sort;
}

/** One page of a listing with exact counts, as shoppers see it at `now` (seconds since 1970). */
export function listingView(shop: ResolvedShop, request: ListingRequest, now: number): ListingView {
  const { at, q, choices, price } = request;
  const offered = q.trim() ? [bestMatch, ...sorts] : sorts;
  const sort = offered.find(({ key }) => key === request.sort)?.key ?? offered[0]!.key;
  const sources = facetSources(shop, at, choices);
  const filters: ChoiceFilter[] = [];
  for (const { key, facet, onVariant, toIndex } of sources) {
    const values = choices.get(key);
    if (values?.length) filters.push({ facet, onVariant, values: values.flatMap((value) => toIndex(value) ?? []) });
  }
  const result = list(shop.index, {
    base: placeSet(shop, at, now),
    text: q,
    choices: filters,
    ranges: price ? [{ column: 'price', ...price }] : [],
    sort: orderAt(shop, at, sort),
    tieOrder: 'featured',
    offset: (request.page - 1) * PAGE_SIZE,
    limit: PAGE_SIZE,
    count: sources.map(({ facet }) => facet),
    extent: ['price'],
  });
  const facets = sources.flatMap((source) => choiceFacet(shop, source, result, choices.get(source.key) ?? []));
  const extent = result.extents.get('price');
  if (extent) facets.splice(1, 0, { key: 'price', label: 'Price', type: 'range', values: extent, selected: price });
  return {
    total: result.total,
    page: request.page,
    pageSize: PAGE_SIZE,
    sorts: offered,
    sort,
    items: result.slots.map((slot) => cardOf(shop, slot, result.variants)),
    facets,
  };
}

function choiceFacet(
  shop: ResolvedShop,
  source: FacetSource,
  result: ListingResult,
  chosen: readonly string[],
): FacetView[] {
  const counts = result.counts.get(source.facet)!;
  const values: (FacetValueView & { order: number | string })[] = [];
  for (const [indexValue, id] of shop.index.facet(source.facet) ?? []) {
    const described = source.describe(indexValue);
    if (!described) continue;
    const count = counts[id] ?? 0;
    const selected = chosen.includes(described.value);
    if (count > 0 || selected) values.push({ ...described, count, selected });
  }
  if (values.length === 0) return [];
  values.sort((a, b) => (a.order === b.order ? 0 : a.order < b.order ? -1 : 1));
  return [
    {
      key: source.key,
      label: source.label,
      type: 'choice',
      values: values.map(({ order: _order, ...value }) => value),
    },
  ];
}
