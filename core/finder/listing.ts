import { Bitset } from './bitset';
import type { FinderIndex } from './finder-index';

/** At least one of these values of the facet. */
export interface ChoiceFilter {
  facet: string;
  values: readonly string[];
  onVariant: boolean;
}

/** A number column of variants between two ends, both included. */
export interface RangeFilter {
  column: string;
  min: number;
  max: number;
}

export interface ListingQuery {
  /** products among which to look; all when absent */
  base?: Bitset;
  text?: string;
  /** AND across filters, OR inside one; those on variants must hold on one and the same variant */
  choices?: readonly ChoiceFilter[];
  ranges?: readonly RangeFilter[];
  /** key of one of the index's orders; 'match' for the best text match first; or slots in an order of one's own */
  sort: string | readonly number[];
  /** order that breaks ties between equal text matches */
  tieOrder?: string;
  offset: number;
  limit: number;
  /** facets whose values are counted */
  count?: readonly string[];
  /** variant columns whose lowest and highest value is wanted */
  extent?: readonly string[];
}

export interface ListingResult {
  total: number;
  /** product slots of the page */
  slots: number[];
  /** facet → value id → number of products that would match with this value, whatever else of the facet is chosen */
  counts: Map<string, Map<number, number>>;
  extents: Map<string, { min: number; max: number } | null>;
  /** variants that pass all variant filters; undefined when there are none */
  variants: Bitset | undefined;
}

interface VariantFilter {
  name: string;
  set: Bitset;
  /** the products that have such a variant, where that is known without walking the variants */
  products: Bitset | undefined;
}

/** What passes the variant filters: the variants, and the products that own one of them. */
interface Passing {
  variants: Bitset;
  products: Bitset;
}

/** Answers one listing query. Synchronous; cost is that of a few passes over bitsets and over the matching products. */
export function list(index: FinderIndex, query: ListingQuery): ListingResult {
  return new Listing(index, query).run();
}

class Listing {
  readonly #products: { name: string; set: Bitset }[] = [];
  readonly #variants: VariantFilter[] = [];
  readonly #base: Bitset;
  #scores: Uint32Array | undefined;

  constructor(
    readonly index: FinderIndex,
    readonly query: ListingQuery,
  ) {
    this.#base = index.alive.clone();
    if (query.base) this.#base.and(query.base);
    const match = query.text === undefined ? undefined : index.text.search(query.text, index.alive.size);
    if (match) {
      this.#base.and(match.hits);
      this.#scores = match.scores;
    }
    for (const choice of query.choices ?? []) {
      const name = choice.facet;
      const products = this.#productChoice(choice);
      if (choice.onVariant) this.#variants.push({ name, set: this.#variantChoice(choice), products });
      else this.#products.push({ name, set: products });
    }
    for (const { column, min, max } of query.ranges ?? []) {
      const set = index.whereNumber(index.variantColumn(column), min, max, index.aliveVariants);
      this.#variants.push({ name: column, set, products: undefined });
    }
  }

  run(): ListingResult {
    const { query } = this;
    const passing = this.#passingWithout(undefined);
    const products = this.#productsWithout(undefined, passing);
    const counts = new Map<string, Map<number, number>>();
    const wanted = query.count ?? [];
    const isActive = (facet: string) =>
      this.#products.some((filter) => filter.name === facet) || this.#variants.some((filter) => filter.name === facet);
    this.#countInto(
      counts,
      wanted.filter((facet) => !isActive(facet)),
      products,
      passing,
    );
    for (const facet of wanted.filter(isActive)) {
      const others = this.#passingWithout(facet);
      this.#countInto(counts, [facet], this.#productsWithout(facet, others), others);
    }
    const extents = new Map<string, { min: number; max: number } | null>();
    for (const column of query.extent ?? []) {
      const others = this.#passingWithout(column);
      extents.set(column, this.#extent(column, this.#productsWithout(column, others), others));
    }
    const total = products.count();
    return { total, slots: this.#page(products, total), counts, extents, variants: passing?.variants };
  }

  #productChoice(choice: ChoiceFilter): Bitset {
    const set = new Bitset(this.index.alive.size);
    for (const value of choice.values) {
      const posting = this.index.posting(choice.facet, value);
      if (posting) set.or(posting);
    }
    return set;
  }

  #variantChoice(choice: ChoiceFilter): Bitset {
    const set = new Bitset(this.index.aliveVariants.size);
    for (const value of choice.values) {
      const posting = this.index.variantPosting(choice.facet, value);
      if (posting) set.or(posting);
    }
    return set;
  }

  /** What passes every variant filter but the named one; undefined when no filter is left. */
  #passingWithout(name: string | undefined): Passing | undefined {
    const filters = name === undefined ? this.#variants : this.#variants.filter((filter) => filter.name !== name);
    const first = filters[0];
    if (!first) return undefined;
    if (filters.length === 1) {
      first.products ??= this.index.productsOf(first.set);
      return { variants: first.set, products: first.products };
    }
    const variants = first.set.clone();
    for (const filter of filters.slice(1)) variants.and(filter.set);
    return { variants, products: this.index.productsOf(variants) };
  }

  #productsWithout(name: string | undefined, passing: Passing | undefined): Bitset {
    const set = this.#base.clone();
    for (const filter of this.#products) if (filter.name !== name) set.and(filter.set);
    return passing ? set.and(passing.products) : set;
  }

  #countInto(
    counts: Map<string, Map<number, number>>,
    facets: readonly string[],
    products: Bitset,
    passing: Passing | undefined,
  ): void {
    if (facets.length === 0) return;
    const byProduct = this.#countProducts(products);
    const byVariant = passing ? this.#countVariants(products, passing.variants) : undefined;
    for (const facet of facets) {
      const found = new Map<number, number>();
      for (const id of this.index.facet(facet)?.values() ?? []) {
        const onVariants = this.index.facetValues[id]!.variants !== undefined;
        const count = byVariant && onVariants ? byVariant[id]! : byProduct[id]!;
        if (count > 0) found.set(id, count);
      }
      counts.set(facet, found);
    }
  }

  /** Products per value id, by walking the matching products, or the others when those are fewer. */
  #countProducts(products: Bitset): Uint32Array {
    const { index } = this;
    const counts = new Uint32Array(index.facetValues.length);
    const { valuesOf } = index;
    const { pool } = valuesOf;
    const isFew = products.count() * 2 <= index.size;
    const { words } = isFew ? products : index.alive.clone().andNot(products);
    // Written out, as is the loop below: they are where a listing spends its time.
    for (let w = 0; w < words.length; w++) {
      let left = words[w]!;
      while (left !== 0) {
        const bit = left & -left;
        const slot = (w << 5) + 31 - Math.clz32(bit);
        left ^= bit;
        const start = valuesOf.start(slot);
        const end = start + valuesOf.length(slot);
        for (let i = start; i < end; i++) counts[pool[i]!]!++;
      }
    }
    if (!isFew) for (let id = 0; id < counts.length; id++) counts[id] = index.totals[id]! - counts[id]!;
    return counts;
  }

  /** Products per value id, counting a product where one passing variant has the value. */
  #countVariants(products: Bitset, variants: Bitset): Uint32Array {
    const { index } = this;
    const counts = new Uint32Array(index.facetValues.length);
    const lastProduct = new Int32Array(index.facetValues.length).fill(-1);
    const { variantValuesOf, variantProduct } = index;
    const { pool } = variantValuesOf;
    const { words } = variants;
    for (let w = 0; w < words.length; w++) {
      let left = words[w]!;
      while (left !== 0) {
        const bit = left & -left;
        const variant = (w << 5) + 31 - Math.clz32(bit);
        left ^= bit;
        const product = variantProduct[variant]!;
        if (!products.has(product)) continue;
        const start = variantValuesOf.start(variant);
        const end = start + variantValuesOf.length(variant);
        for (let i = start; i < end; i++) {
          const id = pool[i]!;
          if (lastProduct[id] === product) continue;
          lastProduct[id] = product;
          counts[id]!++;
        }
      }
    }
    return counts;
  }

  #extent(column: string, products: Bitset, passing: Passing | undefined): { min: number; max: number } | null {
    const { index } = this;
    let min = Infinity;
    let max = -Infinity;
    if (passing) {
      const numbers = index.variantColumn(column);
      const owner = index.variantProduct;
      passing.variants.forEach((variant) => {
        if (!products.has(owner[variant]!)) return;
        const x = numbers[variant]!;
        if (x < min) min = x;
        if (x > max) max = x;
      });
    } else {
      const { low, high } = index.shape.extents[column]!;
      const [lows, highs] = [index.column(low), index.column(high)];
      products.forEach((slot) => {
        if (index.variants(slot).count === 0) return;
        if (lows[slot]! < min) min = lows[slot]!;
        if (highs[slot]! > max) max = highs[slot]!;
      });
    }
    return min <= max ? { min, max } : null;
  }

  #page(products: Bitset, total: number): number[] {
    const { index, query } = this;
    const { offset, limit, sort } = query;
    if (offset >= total || limit <= 0) return [];
    if (typeof sort !== 'string') return pick(sort.length, (i) => sort[i]!, products, offset, limit);
    if (sort === 'match' && this.#scores) return this.#bestMatches(products, this.#scores);
    const order = index.order(sort);
    if (!order) throw new Error(`There is no order "${sort}".`);
    if (total * 24 > index.size) return pick(order.length, (place) => order.at(place), products, offset, limit);
    const ranks = order.ranks(index.alive.size);
    const places = new Uint32Array(total);
    let n = 0;
    products.forEach((slot) => (places[n++] = ranks[slot]!));
    return Array.from(places.sort().subarray(offset, offset + limit), (place) => order.at(place));
  }

  /** Highest score first: only scores that can reach the page are sorted. */
  #bestMatches(products: Bitset, scores: Uint32Array): number[] {
    const { index, query } = this;
    const order = index.order(query.tieOrder ?? this.index.shape.sorts[0]!.key)!;
    const ranks = order.ranks(index.alive.size);
    const needed = query.offset + query.limit;
    let highest = 0;
    products.forEach((slot) => {
      if (scores[slot]! > highest) highest = scores[slot]!;
    });
    const histogram = new Uint32Array(highest + 1);
    products.forEach((slot) => histogram[scores[slot]!]!++);
    let lowest = highest;
    for (let found = histogram[highest]!; found < needed && lowest > 0;) found += histogram[--lowest]!;
    const span = index.alive.size;
    const keys: number[] = [];
    products.forEach((slot) => {
      const score = scores[slot]!;
      if (score >= lowest) keys.push((highest - score) * span + ranks[slot]!);
    });
    return Array.from(Float64Array.from(keys).sort().subarray(query.offset, needed), (key) => order.at(key % span));
  }
}

/** The slots of one page, met while walking an order. */
function pick(
  length: number,
  at: (place: number) => number,
  products: Bitset,
  offset: number,
  limit: number,
): number[] {
  const slots: number[] = [];
  let seen = 0;
  for (let place = 0; place < length && slots.length < limit; place++) {
    const slot = at(place);
    if (products.has(slot) && seen++ >= offset) slots.push(slot);
  }
  return slots;
}
