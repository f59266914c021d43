import { Bitset, popcount } from './bitset';
import { fold } from '../catalog/identity';
import type { FinderEntry, FinderShape, FinderSource, SortKey } from './entry';
import { grow, MetIds } from './arrays';
import { Facets, type Facet } from './facets';
import { IdLists } from './id-lists';
import { Scratch } from './scratch';
import { sideBySide } from './side-by-side';
import { sortedBy, sortedByText } from './slot-sort';
import { SortedOrder } from './sorted-order';
import type { IndexState } from './state';
import type { Synonyms } from './synonyms';
import { TextIndex } from './text-index';

/** Numbers by slot; the array is another one after growing. Variants are many, so theirs take half the room. */
interface Column<T extends Float64Array | Int32Array = Float64Array<ArrayBuffer>> {
  at: T;
}

/** So few of 32 slots are looked at one by one. */
const FEW_BITS = 8;

/** What stands for Infinity in a column of variants; above all amounts and counts that can be saved. */
const NO_LIMIT = 2 ** 31 - 1;

/**
 * All products and variants in memory, in columns: see README.md beside this file. Slots are small numbers given to
 * products and variants; those of removed ones are used again. Queries are in listing.ts.
 */
export class FinderIndex {
  text = new TextIndex();
  /** sets for the queries of listing.ts */
  readonly scratch = new Scratch();
  alive: Bitset;
  aliveVariants: Bitset;
  readonly #ids: string[] = [];
  readonly #titles: string[] = [];
  readonly #slotOf = new Map<string, number>();
  readonly #freeSlots: number[] = [];
  readonly #columns: Map<string, Column>;
  /** columns that are read from the source, since somebody asked for them */
  readonly #derived = new Set<string>();
  /** columns that were filled in, and stay as they are until the next time */
  readonly #filled = new Set<string>();
  readonly #variantColumns: Map<string, Column<Int32Array<ArrayBuffer>>>;
  readonly #orders = new Map<string, SortedOrder>();
  facets = new Facets();
  /** value ids of a product: its own, those of one facet side by side, then, from the mark on, those of its variants */
  valuesOf = new IdLists(16);
  variantValuesOf = new IdLists(16);
  #variantStart = new Uint32Array(64);
  #variantCount = new Uint32Array(64);
  variantProduct = new Uint32Array(64);
  #variantIds: string[] = [];
  #variantEnd = 0;
  /** value ids of the product, and of the variant, being placed */
  readonly #productMet = new MetIds();
  readonly #variantMet = new MetIds();
  readonly #freeVariants = new Map<number, number[]>();

  constructor(
    readonly shape: FinderShape,
    readonly source?: FinderSource,
  ) {
    this.alive = new Bitset(64);
    this.aliveVariants = new Bitset(64);
    this.#columns = new Map(shape.columns.map((name) => [name, { at: new Float64Array(64) }]));
    this.#variantColumns = new Map(shape.variantColumns.map((name) => [name, { at: new Int32Array(64) }]));
    for (const sort of shape.sorts) this.#orders.set(sort.key, new SortedOrder(this.#compare(sort)));
  }

  get size(): number {
    return this.#slotOf.size;
  }

  /** Bytes held by the typed arrays. */
  get bytes(): number {
    let bytes = this.text.bytes + this.valuesOf.bytes + this.variantValuesOf.bytes + this.variantProduct.byteLength;
    for (const column of [...this.#columns.values(), ...this.#variantColumns.values()]) bytes += column.at.byteLength;
    for (const order of this.#orders.values()) bytes += order.bytes;
    return bytes + this.facets.bytes;
  }

  slot(id: string): number | undefined {
    return this.#slotOf.get(id);
  }

  id(slot: number): string {
    return this.#ids[slot]!;
  }

  variantId(variantSlot: number): string {
    return this.#variantIds[variantSlot]!;
  }

  /** First variant slot of a product; its variants stand side by side. */
  variantStart(slot: number): number {
    return this.#variantStart[slot]!;
  }

  variantCount(slot: number): number {
    return this.#variantCount[slot]!;
  }

  /**
   * A product column; NaN, which lies in no span, where a product has no such number. One that is asked for the first time
   * is read from the source, and kept fresh from then on.
   */
  column(name: string): Float64Array {
    const known = this.#columns.get(name);
    if (known) return known.at;
    const { at } = this.#column(name);
    const { source } = this;
    if (source) {
      this.#derived.add(name);
      this.alive.forEach((slot) => (at[slot] = source.number(this.id(slot), name)));
    }
    return at;
  }

  /** Puts numbers that follow from all products together into a column, by slot; they stay until the next time. */
  fillColumn(name: string, numbers: ArrayLike<number>): void {
    const { at } = this.#column(name);
    this.#filled.add(name);
    for (let slot = 0; slot < at.length; slot++) at[slot] = numbers[slot] ?? NaN;
  }

  /** A column of variants; Infinity stands there as the largest number. */
  variantColumn(name: string): Int32Array {
    return this.#variantColumns.get(name)!.at;
  }

  order(key: string): SortedOrder | undefined {
    return this.#orders.get(key);
  }

  /** The product column that an order sorts by. */
  orderColumn(key: string): Float64Array {
    return this.column(this.shape.sorts.find((sort) => sort.key === key)!.by);
  }

  facet(name: string): Facet | undefined {
    return this.facets.facet(name);
  }

  posting(facet: string, value: string): Bitset | undefined {
    return this.facets.find(facet, value)?.products;
  }

  variantPosting(facet: string, value: string): Bitset | undefined {
    return this.facets.find(facet, value)?.variants;
  }

  /** The products that own at least one of these variants, put into `products`. */
  productsOf(variants: Bitset, products = new Bitset(this.alive.size)): Bitset {
    const owner = this.variantProduct;
    const from = variants.words;
    const to = products.words;
    // Written out: this loop runs over every variant, and a call for each would cost more than the work.
    for (let w = 0; w < from.length; w++) {
      let left = from[w]!;
      while (left !== 0) {
        const bit = left & -left;
        const product = owner[(w << 5) + 31 - Math.clz32(bit)]!;
        to[product >>> 5]! |= 1 << (product & 31);
        left ^= bit;
      }
    }
    return products;
  }

  /** The variants of these products, put into `variants`. */
  variantsOf(products: Bitset, variants = new Bitset(this.aliveVariants.size)): Bitset {
    products.forEach((slot) => {
      const start = this.#variantStart[slot]!;
      const end = start + this.#variantCount[slot]!;
      for (let variant = start; variant < end; variant++) variants.add(variant);
    });
    return variants;
  }

  /** Of `among`, the slots whose number lies between the ends, both included, put into `set`, which may be `among` itself. */
  whereNumber(
    column: Float64Array | Int32Array,
    low: number,
    high: number,
    among: Bitset,
    set = new Bitset(among.size),
  ): Bitset {
    const { words } = among;
    for (let w = 0; w < words.length; w++) {
      const alive = words[w]!;
      if (alive === 0) continue;
      const first = w << 5;
      let word = 0;
      if (popcount(alive) <= FEW_BITS) {
        for (let left = alive; left !== 0; left &= left - 1) {
          const x = column[first + 31 - Math.clz32(left & -left)]!;
          if (x >= low && x <= high) word |= left & -left;
        }
        set.words[w] = word;
        continue;
      }
      // Without branches, which a processor cannot foresee in a column of prices: three times as quick.
      for (let bit = 0; bit < 32; bit++) {
        const x = column[first + bit]!;
        word |= (+(x >= low) & +(x <= high)) << bit;
      }
      set.words[w] = word & alive;
    }
    return set;
  }

  /** The slots of a set in one of the index's orders. */
  orderedSlots(set: Bitset, key: string): number[] {
    const ranks = this.order(key)!.ranks(this.alive.size);
    return set.toArray().sort((a, b) => ranks[a]! - ranks[b]!);
  }

  /** Keeps of `own` the products whose text of this name passes the test once folded. */
  keepText(own: Bitset, name: string, test: (folded: string) => boolean): Bitset {
    const { source } = this;
    if (name === 'title') return own.keep((slot) => test(this.#titles[slot]!));
    return source ? own.keep((slot) => test(fold(source.text(this.id(slot), name)))) : own.clear();
  }

  /** All slots by a product column; those without a number come last, equal ones stand as in the order `tie`. O(n log n). */
  sortedByColumn(name: string, descending: boolean, tie: string): Uint32Array {
    const column = this.column(name);
    const slots = Uint32Array.from(this.order(tie)!.slots());
    const has = slots.filter((slot) => !Number.isNaN(column[slot]!));
    const sorted = new Uint32Array(slots.length);
    sorted.set(sortedBy(column, descending, has));
    sorted.set(
      slots.filter((slot) => Number.isNaN(column[slot]!)),
      has.length,
    );
    return sorted;
  }

  /** Fills an index that is still empty. O(n log n) for the orders, linear for the rest. */
  load(all: readonly FinderEntry[]): void {
    if (this.#ids.length > 0) throw new Error('Only a new index can be loaded.');
    const entries = sideBySide(all, this.shape.near);
    this.#reserve(entries.length);
    this.#reserveVariants(entries.reduce((sum, entry) => sum + entry.variants.length, 0));
    for (const entry of entries) this.#place(entry, this.#takeSlot(entry.id));
    this.text.load(entries.length, (slot) => entries[slot]!.texts);
    this.#loadOrders();
    this.valuesOf.trim(entries.length);
    this.variantValuesOf.trim(this.#variantEnd);
  }

  /** An index that answers alike and changes by itself. Costs little more than the memory it takes. Its source must know the same. */
  copy(source = this.source): FinderIndex {
    const copy = FinderIndex.of(this.shape, this.state(), source, this.text.synonyms);
    for (const name of this.#filled) copy.#filled.add(name);
    if (source) for (const name of this.#derived) copy.#derived.add(name);
    for (const name of [...copy.#filled, ...copy.#derived]) copy.#column(name).at = this.#columns.get(name)!.at.slice();
    return copy;
  }

  /** The index whose state this is. It takes the arrays over; columns that follow from the source are read when asked for. */
  static of(shape: FinderShape, state: IndexState, source?: FinderSource, synonyms?: Synonyms): FinderIndex {
    const index = new FinderIndex(shape, source);
    index.text = TextIndex.of(state.text, synonyms);
    index.facets = Facets.of(state.facets);
    index.alive = Bitset.of(state.alive);
    index.aliveVariants = Bitset.of(state.aliveVariants);
    index.valuesOf = IdLists.of(state.valuesOf);
    index.variantValuesOf = IdLists.of(state.variantValuesOf);
    index.#variantStart = state.variantStart;
    index.#variantCount = state.variantCount;
    index.variantProduct = state.variantProduct;
    index.#variantIds = state.variantIds;
    index.#variantEnd = state.variantEnd;
    // Orders compare by these arrays and columns, so they are filled, not replaced.
    for (const id of state.ids) index.#ids.push(id);
    for (const title of state.titles) index.#titles.push(title);
    for (const slot of state.freeSlots) index.#freeSlots.push(slot);
    index.alive.forEach((slot) => index.#slotOf.set(state.ids[slot]!, slot));
    for (const [length, starts] of state.freeVariants) index.#freeVariants.set(length, starts);
    for (const [name, numbers] of state.columns) index.#column(name).at = numbers;
    for (const [name, numbers] of state.variantColumns) index.#variantColumns.get(name)!.at = numbers;
    for (const [key, slots] of state.orders) index.#orders.get(key)!.load(slots);
    return index;
  }

  /** All there is to know but the synonyms, in arrays of its own. Linear. */
  state(): IndexState {
    const follows = (name: string) => this.#derived.has(name) || this.#filled.has(name);
    const columns = [...this.#columns].filter(([name]) => !follows(name));
    return {
      text: this.text.state(),
      facets: this.facets.state(),
      alive: this.alive.state(),
      aliveVariants: this.aliveVariants.state(),
      ids: this.#ids.slice(),
      titles: this.#titles.slice(),
      freeSlots: this.#freeSlots.slice(),
      columns: columns.map(([name, { at }]) => [name, at.slice()]),
      variantColumns: Array.from(this.#variantColumns, ([name, { at }]) => [name, at.slice()]),
      orders: Array.from(this.#orders, ([key, order]) => [key, order.slots()]),
      valuesOf: this.valuesOf.state(),
      variantValuesOf: this.variantValuesOf.state(),
      variantStart: this.#variantStart.slice(),
      variantCount: this.#variantCount.slice(),
      variantProduct: this.variantProduct.slice(),
      variantIds: this.#variantIds.slice(),
      variantEnd: this.#variantEnd,
      freeVariants: Array.from(this.#freeVariants, ([length, starts]) => [length, starts.slice()]),
    };
  }

  /** Adds a product or replaces the one with the same id. `sameTexts`: its texts are known to be those it had. */
  put(entry: FinderEntry, { sameTexts = false } = {}): void {
    const known = this.#slotOf.get(entry.id);
    if (known === undefined) {
      const slot = this.#place(entry, this.#takeSlot(entry.id));
      this.text.set(slot, entry.texts);
      for (const order of this.#orders.values()) order.insert(slot);
      return;
    }
    // Orders that the change does not concern stay as they are: moving within one costs a block move.
    const moved = this.shape.sorts
      .filter((sort) => this.#isMoved(sort, known, entry))
      .map((sort) => this.#orders.get(sort.key)!);
    for (const order of moved) order.remove(known);
    this.#clearValues(known);
    this.#place(entry, known);
    if (!sameTexts) this.text.set(known, entry.texts);
    for (const order of moved) order.insert(known);
  }

  /** Gives a product these values of a facet of products, in place of those that it has; all else of it stays. */
  replaceValues(id: string, facet: string, values: readonly string[]): void {
    const slot = this.#slotOf.get(id);
    if (slot === undefined) return;
    const { facets, valuesOf } = this;
    const number = facets.facet(facet)?.number;
    const before = valuesOf.get(slot).slice();
    const mark = valuesOf.mark(slot);
    const met = this.#productMet.empty();
    for (let i = 0; i < mark; i++) {
      if (facets.facetOf[before[i]!] === number) this.#takeValue(slot, before[i]!);
      else met.add(before[i]!);
    }
    for (const value of values) {
      const valueId = facets.idOf(facet, value, false, this.alive.size);
      this.#giveValue(slot, valueId);
      met.add(valueId);
    }
    met.sortBy(facets.facetOf);
    const own = met.length;
    for (let i = mark; i < before.length; i++) met.add(before[i]!);
    valuesOf.set(slot, met.ids, met.length, own);
  }

  remove(id: string): void {
    const slot = this.#slotOf.get(id);
    if (slot === undefined) return;
    for (const order of this.#orders.values()) order.remove(slot);
    this.text.remove(slot);
    this.#clearValues(slot);
    this.alive.delete(slot);
    this.#slotOf.delete(id);
    this.#freeSlots.push(slot);
  }

  /** Takes the facet values and the variants of a slot out. */
  #clearValues(slot: number): void {
    for (const valueId of this.valuesOf.get(slot)) this.#takeValue(slot, valueId);
    this.valuesOf.set(slot, []);
    const [start, count] = [this.#variantStart[slot]!, this.#variantCount[slot]!];
    for (let variant = start; variant < start + count; variant++) {
      for (const valueId of this.variantValuesOf.get(variant)) this.facets.values[valueId]!.variants!.delete(variant);
      this.variantValuesOf.set(variant, []);
      this.aliveVariants.delete(variant);
    }
    this.#freeVariantRun(start, count);
    this.#variantCount[slot] = 0;
  }

  #isMoved({ by, then }: SortKey, slot: number, entry: FinderEntry): boolean {
    const isOther = (key: string) =>
      key === 'title' ? this.#titles[slot] !== entry.title : this.#columns.get(key)!.at[slot] !== entry.numbers[key];
    return isOther(by) || (then !== undefined && isOther(then));
  }

  /** Without comparing slot by slot, as single changes do, which would take several times as long. */
  #loadOrders(): void {
    const byId = sortedByText(this.#ids, false, Uint32Array.from(this.#ids.keys()));
    const tieOrders = new Map([['', byId]]);
    for (const { key, by, descending = false, then = '' } of this.shape.sorts) {
      let tie = tieOrders.get(then);
      if (!tie) tieOrders.set(then, (tie = sortedBy(this.column(then), true, byId)));
      const sorted =
        by === 'title' ? sortedByText(this.#titles, descending, tie) : sortedBy(this.column(by), descending, tie);
      this.#orders.get(key)!.load(sorted);
    }
  }

  #takeSlot(id: string): number {
    const slot = this.#freeSlots.pop() ?? this.#ids.length;
    if (slot >= this.alive.size) this.#reserve(slot + 1);
    this.#ids[slot] = id;
    this.#slotOf.set(id, slot);
    return slot;
  }

  #compare({ by, descending, then }: SortKey): (a: number, b: number) => number {
    const sign = descending ? -1 : 1;
    const ids = this.#ids;
    const byId = (a: number, b: number) => (a === b ? 0 : ids[a]! < ids[b]! ? -1 : 1);
    const second = then === undefined ? undefined : this.#columns.get(then)!;
    const tie = second ? (a: number, b: number) => second.at[b]! - second.at[a]! || byId(a, b) : byId;
    if (by === 'title') {
      const titles = this.#titles;
      return (a, b) => (titles[a] === titles[b] ? tie(a, b) : titles[a]! < titles[b]! ? -sign : sign);
    }
    const first = this.#columns.get(by)!;
    return (a, b) => (first.at[a] === first.at[b] ? tie(a, b) : first.at[a]! < first.at[b]! ? -sign : sign);
  }

  #place(entry: FinderEntry, slot: number): number {
    this.#titles[slot] = entry.title;
    this.alive.add(slot);
    this.#placeNumbers(slot, entry);
    const { facets } = this;
    const met = this.#productMet.empty();
    const { values } = entry;
    // Plain loops here and below: filling an index comes through them for every value of every product and variant.
    for (let v = 0; v < values.length; v++) met.add(facets.idOf(values[v]![0], values[v]![1], false, this.alive.size));
    met.sortBy(facets.facetOf);
    const own = met.length;
    this.#placeVariants(slot, entry);
    for (let i = 0; i < met.length; i++) this.#giveValue(slot, met.ids[i]!);
    this.valuesOf.set(slot, met.ids, met.length, own);
    return slot;
  }

  #giveValue(slot: number, valueId: number): void {
    const posting = this.facets.values[valueId]!;
    if (slot >= posting.products.size) posting.products = posting.products.sized(this.alive.size);
    posting.products.add(slot);
    this.facets.totals[valueId]!++;
  }

  #takeValue(slot: number, valueId: number): void {
    this.facets.values[valueId]!.products.delete(slot);
    this.facets.totals[valueId]!--;
  }

  #placeNumbers(slot: number, { id, numbers }: FinderEntry): void {
    for (const column of this.#columns.values()) column.at[slot] = NaN;
    for (const name in numbers) this.#column(name).at[slot] = numbers[name]!;
    for (const name of this.#derived) this.#column(name).at[slot] = this.source!.number(id, name);
  }

  #placeVariants(slot: number, entry: FinderEntry): void {
    const count = entry.variants.length;
    const start = this.#takeVariantRun(count);
    this.#variantStart[slot] = start;
    this.#variantCount[slot] = count;
    const { variantProduct, aliveVariants, facets } = this;
    for (let i = 0; i < count; i++) {
      const variant = entry.variants[i]!;
      const at = start + i;
      variantProduct[at] = slot;
      this.#variantIds[at] = variant.id;
      aliveVariants.add(at);
      for (const name of this.shape.variantColumns)
        this.#variantColumns.get(name)!.at[at] = Math.min(variant.numbers[name]!, NO_LIMIT);
      const met = this.#variantMet.empty();
      const { values } = variant;
      for (let v = 0; v < values.length; v++) {
        const id = facets.idOf(values[v]![0], values[v]![1], true, this.alive.size);
        met.add(id);
        this.#productMet.add(id);
        const posting = facets.values[id]!;
        if (!posting.variants || at >= posting.variants.size)
          posting.variants = posting.variants?.sized(aliveVariants.size) ?? new Bitset(aliveVariants.size);
        posting.variants.add(at);
      }
      this.variantValuesOf.set(at, met.ids, met.length);
    }
  }

  #column(name: string): Column {
    let column = this.#columns.get(name);
    if (!column) this.#columns.set(name, (column = { at: new Float64Array(this.alive.size).fill(NaN) }));
    return column;
  }

  #takeVariantRun(count: number): number {
    const free = this.#freeVariants.get(count)?.pop();
    if (free !== undefined) return free;
    const start = this.#variantEnd;
    this.#variantEnd += count;
    if (this.#variantEnd > this.aliveVariants.size) this.#reserveVariants(this.#variantEnd * 1.2);
    return start;
  }

  #freeVariantRun(start: number, count: number): void {
    if (count === 0) return;
    const runs = this.#freeVariants.get(count);
    if (runs) runs.push(start);
    else this.#freeVariants.set(count, [start]);
  }

  #reserveVariants(variants: number): void {
    const size = Math.ceil(variants * 1.02) + 64;
    this.aliveVariants = this.aliveVariants.sized(size);
    this.variantProduct = grow(this.variantProduct, size, Uint32Array);
    for (const column of this.#variantColumns.values()) column.at = grow(column.at, size, Int32Array);
  }

  #reserve(products: number): void {
    if (products <= this.alive.size) return;
    const size = Math.ceil(products * 1.05) + 64;
    this.alive = this.alive.sized(size);
    this.#variantStart = grow(this.#variantStart, size, Uint32Array);
    this.#variantCount = grow(this.#variantCount, size, Uint32Array);
    for (const column of this.#columns.values()) column.at = grow(column.at, size, Float64Array);
  }
}
