import type { Bitset } from './bitset';
import { countAll, countFacet } from './counting';
import { addTitleFit } from './title-fit';
import type { FinderIndex } from './finder-index';
import type { ChoiceFilter, ProductSpan, Histogram, ListingQuery, ListingResult } from './listing-query';

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

/** So few products that looking at each is quicker than walking an order until one is met. */
const SPARSE = 500;

/** A listing of less than one product in so many is narrow: its variants are looked up rather than all scanned. */
const NARROW = 4;

/** Of fewer than one in so many, the places in an order are looked up and sorted; else the order is walked. */
const WALK_ORDER = 24;

/** Answers one listing query. Synchronous; cost is that of a few passes over bitsets and over the matching products. */
export function list(index: FinderIndex, query: ListingQuery): ListingResult {
  return new Listing(index, query).run();
}

class Listing {
  readonly #products: { name: string; set: Bitset }[] = [];
  readonly #variants: VariantFilter[] = [];
  readonly #base: Bitset;
  #scores: Uint32Array | undefined;
  #dropped: string[] = [];
  #full: Bitset | undefined;

  constructor(
    readonly index: FinderIndex,
    readonly query: ListingQuery,
  ) {
    const { scratch } = index;
    scratch.reset();
    this.#base = scratch.copy(index.alive);
    if (query.base) this.#base.and(query.base);
    const text = query.texts?.index ?? index.text;
    const match = query.text === undefined ? undefined : text.search(query.text, index.alive.size, scratch);
    if (match) {
      this.#base.and(match.hits);
      this.#dropped = match.dropped;
      this.#full = match.full;
      this.#scores = match.scores;
    }
    for (const choice of query.choices ?? []) {
      const name = choice.facet;
      const products = this.#productChoice(choice);
      if (choice.onVariant) this.#variants.push({ name, set: this.#variantChoice(choice), products });
      else this.#products.push({ name, set: products });
    }
    for (const { name, low, high, min, max } of query.spans ?? []) {
      const set = index.whereNumber(index.column(high), min, Infinity, this.#base, scratch.take(index.alive.size));
      set.and(index.whereNumber(index.column(low), -Infinity, max, this.#base, scratch.take(index.alive.size)));
      this.#products.push({ name, set });
    }
    if (query.variantBase) this.#variants.push({ name: '', set: query.variantBase, products: undefined });
    const { ranges = [] } = query;
    const among = ranges.length > 0 ? this.#variantsOfBase() : index.variants.alive;
    for (const { column, name = column, min, max } of ranges) {
      const room = scratch.take(index.variants.alive.size);
      const set = index.whereNumber(index.variants.column(column), min, max, among, room);
      this.#variants.push({ name, set, products: undefined });
    }
  }

  run(): ListingResult {
    const { index, query } = this;
    const passing = this.#passingWithout(undefined);
    const products = this.#productsWithout(undefined, passing);
    const counts = new Map<string, Uint32Array>();
    const wanted = query.count ?? [];
    const isActive = (facet: string) =>
      this.#products.some((filter) => filter.name === facet) || this.#variants.some((filter) => filter.name === facet);
    const unasked = wanted.filter((facet) => !isActive(facet));
    if (unasked.length > 0) {
      const all = countAll(index, products, passing?.variants);
      for (const facet of unasked) counts.set(facet, all);
    }
    for (const facet of wanted.filter(isActive)) {
      const others = this.#passingWithout(facet);
      counts.set(facet, countFacet(index, facet, this.#productsWithout(facet, others), others?.variants));
    }
    const extents = new Map<string, { min: number; max: number } | null>();
    for (const column of query.extent ?? []) {
      const others = this.#passingWithout(column);
      const products = this.#productsWithout(column, others);
      if (query.extentWithout) products.andNot(query.extentWithout);
      extents.set(column, this.#extent(column, products, others));
    }
    for (const span of query.spanExtents ?? []) extents.set(span.name, this.#spanExtent(span, passing));
    const total = products.count();
    const histograms = new Map(
      (query.histograms ?? []).map((wanted) => [wanted.name, this.#histogram(wanted, isActive, products, passing)]),
    );
    const slots = this.#page(products, total);
    // Sets of the scratch are used again by the next query; what leaves is a copy.
    return {
      total,
      slots,
      products: products.clone(),
      dropped: this.#dropped,
      full: this.#full ? this.#full.countAnd(products) : total,
      counts,
      extents,
      histograms,
      variants: passing?.variants.clone(),
    };
  }

  /** The variants whose numbers matter: all, or when the listing is narrow from the start, those of its products. */
  #variantsOfBase(): Bitset {
    const { index } = this;
    if (this.#base.count() * NARROW > index.size) return index.variants.alive;
    return index.variants.variantsOf(this.#base, index.scratch.take(index.variants.alive.size));
  }

  #productChoice(choice: ChoiceFilter): Bitset {
    const set = this.index.scratch.take(this.index.alive.size);
    for (const value of choice.values) {
      const posting = this.index.posting(choice.facet, value);
      if (posting) set.or(posting);
    }
    return set;
  }

  #variantChoice(choice: ChoiceFilter): Bitset {
    const set = this.index.scratch.take(this.index.variants.alive.size);
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
      first.products ??= this.#owners(first.set);
      return { variants: first.set, products: first.products };
    }
    const variants = this.index.scratch.copy(first.set);
    for (const filter of filters.slice(1)) variants.and(filter.set);
    return { variants, products: this.#owners(variants) };
  }

  #owners(variants: Bitset): Bitset {
    return this.index.productsOf(variants, this.index.scratch.take(this.index.alive.size));
  }

  #productsWithout(name: string | undefined, passing: Passing | undefined): Bitset {
    const set = this.index.scratch.copy(this.#base);
    for (const filter of this.#products) if (filter.name !== name) set.and(filter.set);
    return passing ? set.and(passing.products) : set;
  }

  #extent(column: string, products: Bitset, passing: Passing | undefined): { min: number; max: number } | null {
    const { index } = this;
    const { low, high } = index.shape.extents[column]!;
    if (!passing && products.count() >= SPARSE) {
      const hasVariants = (slot: number) => products.has(slot) && index.variants.count(slot) > 0;
      const [lowest, highest] = [index.order(low)!.find(hasVariants), index.order(high)!.find(hasVariants)];
      if (lowest === undefined || highest === undefined) return null;
      return { min: index.orderColumn(low)[lowest]!, max: index.orderColumn(high)[highest]! };
    }
    const numbers = index.variants.column(column);
    let min = Infinity;
    let max = -Infinity;
    products.forEach((slot) => {
      const start = index.variants.start(slot);
      const end = start + index.variants.count(slot);
      for (let variant = start; variant < end; variant++) {
        if (passing && !passing.variants.has(variant)) continue;
        const x = numbers[variant]!;
        if (x < min) min = x;
        if (x > max) max = x;
      }
    });
    return min <= max ? { min, max } : null;
  }

  #spanExtent({ name, low, high }: ProductSpan, passing: Passing | undefined): { min: number; max: number } | null {
    const [lows, highs] = [this.index.column(low), this.index.column(high)];
    let min = Infinity;
    let max = -Infinity;
    this.#productsWithout(name, passing).forEach((slot) => {
      // NaN, where a product has no such number, is neither below nor above anything.
      if (lows[slot]! < min) min = lows[slot]!;
      if (highs[slot]! > max) max = highs[slot]!;
    });
    return min <= max ? { min, max } : null;
  }

  #histogram(
    { name, column, onVariant, bounds }: Histogram,
    isActive: (name: string) => boolean,
    matching: Bitset,
    passingAll: Passing | undefined,
  ): Uint32Array {
    const { index } = this;
    const passing = isActive(name) ? this.#passingWithout(name) : passingAll;
    const products = isActive(name) ? this.#productsWithout(name, passing) : matching;
    const counts = new Uint32Array(Math.max(1, bounds.length - 1));
    const place = (x: number) => {
      let low = 0;
      for (let high = counts.length - 1; low < high;) {
        const middle = (low + high + 1) >>> 1;
        if (x >= bounds[middle]!) low = middle;
        else high = middle - 1;
      }
      return low;
    };
    if (!onVariant) {
      const numbers = index.column(column);
      products.forEach((slot) => {
        if (!Number.isNaN(numbers[slot]!)) counts[place(numbers[slot]!)]!++;
      });
      return counts;
    }
    const numbers = index.variants.column(column);
    const lastMet = new Int32Array(counts.length).fill(-1);
    products.forEach((slot) => {
      const start = index.variants.start(slot);
      const end = start + index.variants.count(slot);
      for (let variant = start; variant < end; variant++) {
        if (passing && !passing.variants.has(variant)) continue;
        const at = place(numbers[variant]!);
        if (lastMet[at] === slot) continue;
        lastMet[at] = slot;
        counts[at]!++;
      }
    });
    return counts;
  }

  /** The slots of the page: those that come last stand behind the others, each in the same order. */
  #page(products: Bitset, total: number): number[] {
    const { offset, limit, last } = this.query;
    const lastTotal = last ? last.countAnd(products) : 0;
    if (!last || lastTotal === 0) return this.#pageOf(products, total, offset, limit);
    const { scratch } = this.index;
    const firstTotal = total - lastTotal;
    const first = this.#pageOf(scratch.copy(products).andNot(last), firstTotal, offset, limit);
    if (first.length === limit) return first;
    const rest = scratch.copy(products).and(last);
    return [...first, ...this.#pageOf(rest, lastTotal, Math.max(0, offset - firstTotal), limit - first.length)];
  }

  #pageOf(products: Bitset, total: number, offset: number, limit: number): number[] {
    const { index, query } = this;
    const { sort } = query;
    if (offset >= total || limit <= 0) return [];
    if (typeof sort !== 'string') return pick(sort.length, (i) => sort[i]!, products, offset, limit);
    if (sort === 'match' && this.#scores) {
      const { index: text, title } = query.texts ?? { index: index.text, title: (slot: number) => index.title(slot) };
      if (typeof query.text === 'object' && text.language)
        addTitleFit({ hits: products, scores: this.#scores }, query.text.stems, title, text.language);
      return this.#bestMatches(products, this.#scores, offset, limit);
    }
    const order = index.order(sort);
    if (!order) throw new Error(`There is no order "${sort}".`);
    if (total * WALK_ORDER > index.size) return pick(order.length, (place) => order.at(place), products, offset, limit);
    const ranks = order.ranks(index.alive.size);
    const places = new Uint32Array(total);
    let n = 0;
    products.forEach((slot) => (places[n++] = ranks[slot]!));
    return Array.from(places.sort().subarray(offset, offset + limit), (place) => order.at(place));
  }

  /** Highest score first: only scores that can reach the page are sorted. */
  #bestMatches(products: Bitset, scores: Uint32Array, offset: number, limit: number): number[] {
    const { index, query } = this;
    const order = index.order(query.tieOrder ?? this.index.shape.sorts[0]!.key)!;
    const ranks = order.ranks(index.alive.size);
    const needed = offset + limit;
    const slots = index.scratch.slots(index.alive.size);
    const total = products.writeSlots(slots);
    let highest = 0;
    for (let i = 0; i < total; i++) if (scores[slots[i]!]! > highest) highest = scores[slots[i]!]!;
    const histogram = new Uint32Array(highest + 1);
    for (let i = 0; i < total; i++) histogram[scores[slots[i]!]!]!++;
    let lowest = highest;
    for (let found = histogram[highest]!; found < needed && lowest > 0;) found += histogram[--lowest]!;
    // Those above the lowest score of the page are sorted; of those that have it, when very many, the order tells the first.
    const span = index.alive.size;
    if (histogram[lowest]! * WALK_ORDER < order.length) lowest--;
    const above: number[] = [];
    for (let i = 0; i < total; i++) {
      const slot = slots[i]!;
      const score = scores[slot]!;
      if (score > lowest) above.push((highest - score) * span + ranks[slot]!);
    }
    const sorted = Float64Array.from(above).sort().subarray(offset, needed);
    const page = Array.from(sorted, (key) => order.at(key % span));
    let skip = Math.max(0, offset - above.length);
    const left = lowest < 0 || above.length >= needed ? 0 : order.length;
    for (let place = 0; place < left && page.length < limit; place++) {
      const slot = order.at(place);
      if (scores[slot] === lowest && products.has(slot) && skip-- <= 0) page.push(slot);
    }
    return page;
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
