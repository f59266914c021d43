import type { CategoryTree } from '../groups/category-tree';
import { type SpecSheet } from '../model/spec-sheet';
import { specProblem } from '../products/spec-values';
import { statusAt } from '../products/status';
import { fold } from '../shared/fold';
import { nameKey } from '../shared/name-key';
import { plainText } from '../shared/plain-text';
import type { ProductDocument } from '../model/document';
import type { FacetPair, FinderEntry, FinderShape } from '../search/entry';
import type { Renumbered } from '../search/finder-index';
import { effectivePrice, marginOf, type EffectivePrice } from '../pricing/price';
import type { ProductFacts, VariantFacts } from '../rules/facts';
import { taxRateOf, type TaxOfShop } from '../pricing/tax';
import { textsOf, type WordsBeside } from './words-beside';
import { eachFacet, optionField, SOLD_WITHIN, specField, specFrom, specUpTo } from '../rules/field';

/** Facet of products: where they are in their life. */
export const STATUS = 'status';

/** Standing of products that shoppers meet in listings and strips. */
export const LISTED = 'listed';

/** Facet of products whose price is not told; its only value is 'price'. */
export const UNTOLD = 'untold';

/** Facet of sold-out products that are to stand last; its only value is 'yes'. */
export const LAST = 'last';

/** Facet of variants that can be bought now; its only value is 'in'. */
export const AVAILABLE = 'available';

/** Above all places among featured products, so that the first of them has the highest number, and all have one. */
const FEATURED = 1_000_000;

/** The finder's columns and orders as the shop and the desk use them. */
export const finderShape: FinderShape = {
  near: 'category',
  columns: ['price', 'priceMax', 'stock', 'created', 'featured', 'worth'],
  variantColumns: ['price', 'stock'],
  extents: { price: { low: 'price-up', high: 'price-top' } },
  sorts: [
    { key: 'featured', by: 'featured', descending: true, then: 'created' },
    { key: 'newest', by: 'created', descending: true },
    { key: 'price-up', by: 'price', then: 'created' },
    { key: 'price-down', by: 'price', descending: true, then: 'created' },
    { key: 'price-top', by: 'priceMax', descending: true },
    { key: 'title', by: 'title' },
    { key: 'worth', by: 'worth', descending: true, then: 'created' },
    { key: 'stock-up', by: 'stock', then: 'created' },
  ],
};

const featuredRank = ({ featured, featuredPlace }: ProductFacts) => (featured ? FEATURED - featuredPlace : 0);

/** Days over which it is counted what sold. */
const WORTH_DAYS = 90;
const MOST_SOLD = 1_000_000;

/** Tells goods apart that a search fits alike: featured ones in their order, then what sold more, then what is in stock. */
function worthOf(facts: ProductFacts): number {
  const sold = Math.min(MOST_SOLD - 1, facts.sold[WORTH_DAYS] ?? 0);
  return (featuredRank(facts) * MOST_SOLD + sold) * 2 + Number(facts.stock > 0);
}

/** The same few names come again with every product. */
const MOST_KEPT = 10_000;

function remembered<T>(make: (name: string) => T): (name: string) => T {
  const kept = new Map<string, T>();
  return (name) => {
    let made = kept.get(name);
    if (made === undefined) {
      made = make(name);
      if (kept.size < MOST_KEPT) kept.set(name, made);
    }
    return made;
  };
}

/** Key of an option, the same for all products that have an option of this name. */
export const optionKey = remembered(nameKey);
/** Key of an option value. */
export const optionValueKey = remembered(nameKey);

/** The same pairs of facet and value are shared by all products that have them: there are a million of them in a large shop. */
const pairsOf = remembered((facet) => remembered((value): [string, string] => [facet, value]));
const pairOf = (facet: string, value: string) => pairsOf(facet)(value);
const optionPairsOf = remembered((key) => pairsOf(optionField(key)));

/** Pieces sold of a product on one day. Like stock they are no part of a document, and hold from the moment they are known. */
export interface DaySales {
  /** midnight, UTC, seconds since 1970 */
  day: number;
  pieces: number;
}

const DAY = 86_400;
const NOTHING_SOLD: ProductFacts['sold'] = {};

/** What was sold within the last so many days: today and the days before it. */
function soldFacts(sales: readonly DaySales[], now: number): Pick<ProductFacts, 'sold' | 'lastSold'> {
  if (sales.length === 0) return { sold: NOTHING_SOLD, lastSold: NaN };
  const sold: Record<number, number> = {};
  for (const days of SOLD_WITHIN)
    sold[days] = sales.reduce((sum, { day, pieces }) => (isWithin(day, days, now) ? sum + pieces : sum), 0);
  return { sold, lastSold: sales[0]!.day };
}

const isWithin = (day: number, days: number, now: number) => day > now - days * DAY;

/** Next moment, seconds since 1970, at which a sale drops out of a span of days; undefined when none does. */
export function nextSaleEdge(sales: readonly DaySales[], now: number): number | undefined {
  let next: number | undefined;
  for (const { day } of sales)
    for (const days of SOLD_WITHIN) {
      const at = day + days * DAY;
      if (at > now && (next === undefined || at < next)) next = at;
    }
  return next;
}

/** What the facts of a product come from, beside its document. */
export interface FactSources {
  stock: (variantId: string) => number | null;
  /** the last day first */
  sales: readonly DaySales[];
  settings: TaxOfShop;
  tree: CategoryTree;
  sheets: ReadonlyMap<string, SpecSheet>;
  /** standings beyond those that follow from the product itself, such as "changed" */
  marks: readonly string[];
  /** seconds since 1970 */
  now: number;
  /** what follows for a bundle from its parts */
  bundle?: { price: { low: number; high: number } | null; stock: number };
}

/** Standings as rules and filters know them. */
function standingsOf(product: ProductDocument, isSoldOut: boolean, { marks, now }: FactSources): string[] {
  const phase = statusAt(product, now);
  const isListed = phase === 'live' && !(isSoldOut && product.whenSoldOut === 'hide');
  return [phase, ...(isListed ? [LISTED] : []), ...(isSoldOut ? ['soldOut'] : []), ...marks];
}

/** What rules and filters know of a product at one moment. */
export function factsOf(product: ProductDocument, sources: FactSources): ProductFacts {
  const { tree, sheets, now, bundle } = sources;
  const stock = (id: string) => (bundle ? bundle.stock : (sources.stock(id) ?? Infinity));
  const names = product.options.map((option) => ({
    key: optionKey(option.name),
    values: new Map(option.values.map((value) => [value.id, optionValueKey(value.name)])),
  }));
  const costs: number[] = [];
  let margin = NaN;
  let discount = 0;
  let stockValue = NaN;
  const taxRate = taxRateOf(sources.settings, product.taxClass, now);
  const variants = product.variants.map((variant): VariantFacts => {
    const { price, wasPrice } = bundle?.price
      ? { price: bundle.price.low, wasPrice: null }
      : effectivePrice(product, variant, now);
    const options: Record<string, string> = {};
    names.forEach(({ key, values }, at) => {
      const value = values.get(variant.values[at] ?? '');
      if (value) options[key] = value;
    });
    const left = stock(variant.id);
    if (wasPrice !== null) discount = Math.max(discount, Math.round(((wasPrice - price) * 10_000) / wasPrice));
    const { cost } = variant;
    if (cost !== null) {
      costs.push(cost);
      const own = marginOf(price, cost, taxRate, sources.settings.taxIncluded);
      if (own !== null && !(own >= margin)) margin = own;
      if (Number.isFinite(left)) stockValue = (Number.isNaN(stockValue) ? 0 : stockValue) + left * cost;
    }
    return { id: variant.id, price, onSale: wasPrice !== null, stock: left, options };
  });
  const total = variants.reduce((sum, variant) => sum + variant.stock, 0);
  return {
    id: product.id,
    title: product.title,
    kind: product.kind,
    status: standingsOf(product, total <= 0 && variants.length > 0, sources),
    price: variants.length ? Math.min(...variants.map((variant) => variant.price)) : 0,
    priceMax: bundle?.price?.high ?? Math.max(0, ...variants.map((variant) => variant.price)),
    onSale: variants.some((variant) => variant.onSale),
    stock: total,
    cost: costs.length ? Math.min(...costs) : NaN,
    margin,
    discount,
    stockValue,
    ...soldFacts(sources.sales, now),
    pictures: product.pictures.length,
    supplier: product.supplier,
    document: product,
    created: Math.floor(Date.parse(product.created) / 1000),
    featured: product.featured,
    featuredPlace: product.featuredPlace,
    last: product.whenSoldOut === 'last' && total <= 0,
    specs: specFacts(product, sheets),
    category: [...new Set(product.categoryIds.flatMap((id) => tree.path(id).map((category) => category.id)))],
    tag: product.tagIds,
    brand: product.brandId,
    variants,
  };
}

/** Facts of a product as they are at other prices; all that does not follow from prices stays. */
export function factsAtPrices(
  facts: ProductFacts,
  product: ProductDocument,
  price: (variant: ProductDocument['variants'][number]) => EffectivePrice,
  tax: { rate: number; included: boolean },
): ProductFacts {
  let [low, high, discount, margin] = [Infinity, 0, 0, NaN];
  let onSale = false;
  const variants = product.variants.map((variant, i): VariantFacts => {
    const { price: now, wasPrice } = price(variant);
    low = Math.min(low, now);
    high = Math.max(high, now);
    onSale ||= wasPrice !== null;
    if (wasPrice !== null) discount = Math.max(discount, Math.round(((wasPrice - now) * 10_000) / wasPrice));
    const own = marginOf(now, variant.cost, tax.rate, tax.included);
    if (own !== null && !(own >= margin)) margin = own;
    return { ...facts.variants[i]!, price: now, onSale: wasPrice !== null };
  });
  return { ...facts, variants, price: variants.length > 0 ? low : 0, priceMax: high, onSale, discount, margin };
}

/** What of a product the index has to know when nothing but its prices turned. */
export const renumbered = (facts: ProductFacts): Renumbered => ({
  id: facts.id,
  numbers: { price: facts.price, priceMax: facts.priceMax },
  variants: facts.variants.map(({ price, onSale }) => ({ numbers: { price }, has: onSale })),
});

/** The value of variants that turns with their prices. */
export const ON_SALE = ['onSale', 'yes'] as const;

/** What rules and filters know of the specs: choices by id, yes/no, and numbers; words and empty ones are left out. */
function specFacts(product: ProductDocument, sheets: ReadonlyMap<string, SpecSheet>): ProductFacts['specs'] {
  const facts: Record<string, readonly string[] | number | boolean> = {};
  const sheet = product.specSheetId === null ? undefined : sheets.get(product.specSheetId);
  for (const attribute of sheet?.attributes ?? []) {
    const value = product.specs[attribute.id];
    if (value === undefined || specProblem(attribute, value) !== undefined) continue;
    const field = specField(attribute.id);
    if (typeof value === 'object' && 'min' in value) {
      facts[specFrom(field)] = value.min;
      facts[specUpTo(field)] = value.max;
    } else if (attribute.type === 'date') facts[field] = Date.parse(value as string) / 1000;
    else if (typeof value !== 'string') facts[field] = value;
  }
  return facts;
}

function numbersOf(specs: ProductFacts['specs']): Record<string, number> {
  const numbers: Record<string, number> = {};
  for (const [field, fact] of Object.entries(specs)) if (typeof fact === 'number') numbers[field] = fact;
  return numbers;
}

const sameList = <T>(a: readonly T[], b: readonly T[], isSame: (a: T, b: T) => boolean = (x, y) => x === y) =>
  a === b || (a.length === b.length && a.every((each, i) => isSame(each, b[i]!)));

/** True when all that is searched of two states of a product is the same, as long as nothing it names was renamed. */
export function haveSameTexts(a: ProductDocument, b: ProductDocument): boolean {
  return (
    a.title === b.title &&
    a.summary === b.summary &&
    a.description === b.description &&
    a.brandId === b.brandId &&
    a.specSheetId === b.specSheetId &&
    sameList(a.tagIds, b.tagIds) &&
    sameList(a.variants, b.variants, (x, y) => x.sku === y.sku && x.barcode === y.barcode) &&
    sameList(a.options, b.options, (x, y) => sameList(x.values, y.values, (v, w) => v.name === w.name)) &&
    (a.specs === b.specs || JSON.stringify(a.specs) === JSON.stringify(b.specs)) &&
    sameList(a.customFields, b.customFields, (x, y) => x.label === y.label && x.value === y.value)
  );
}

/** The finder's entry for a product. Without `words`, it holds no texts: for a product whose texts are known to be the same. */
export function entryOf(facts: ProductFacts, product: ProductDocument, words: WordsBeside | undefined): FinderEntry {
  const values: FacetPair[] = [];
  const add = (facet: string, value: string) => values.push(pairOf(facet, value));
  eachFacet(facts, add);
  if (facts.last) add(LAST, 'yes');
  if (product.priceOnRequest) add(UNTOLD, 'price');
  for (const [field, fact] of Object.entries(facts.specs)) {
    if (typeof fact === 'boolean') add(field, fact ? 'yes' : 'no');
    else if (typeof fact !== 'number') for (const choice of fact) add(field, choice);
  }
  return {
    id: facts.id,
    title: fold(facts.title),
    numbers: {
      price: facts.price,
      priceMax: facts.priceMax,
      stock: facts.stock,
      created: facts.created,
      featured: featuredRank(facts),
      worth: worthOf(facts),
      ...numbersOf(facts.specs),
    },
    values,
    texts: words ? textsOf(product, plainText(product.description), words) : [],
    variants: facts.variants.map((variant) => {
      const own: FacetPair[] = Object.entries(variant.options).map(([key, value]) => optionPairsOf(key)(value));
      if (variant.onSale) own.push(pairOf(...ON_SALE));
      if (variant.stock > 0) own.push(pairOf(AVAILABLE, 'in'));
      return { id: variant.id, numbers: { price: variant.price, stock: variant.stock }, values: own };
    }),
  };
}
