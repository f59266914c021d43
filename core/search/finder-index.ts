import { Bitset, popcount } from './bitset';
import { fold } from '../shared/fold';
import type { FinderEntry, FinderShape, FinderSource, SortKey } from './entry';
import { grow, MetIds } from './arrays';
import { Facets, type Facet } from './facets';
import { IdLists } from './id-lists';
import { Scratch } from './scratch';
import { sideBySide } from './side-by-side';
import { sortedBy, sortedByText } from './slot-sort';
import { SortedOrder } from './sorted-order';
import type { IndexState } from './state';
import { TextIndex } from './text-index';
import { VariantSlots } from './variant-slots';

/** Numbers by slot; the array is another one after growing. */
interface Column {
  at: Float64Array<ArrayBuffer>;
}

/** What is other of a product when nothing but its numbers, and one value of its variants, turned. */
export interface Renumbered {
  id: string;
  numbers: Readonly<Record<string, number>>;
  /** in the order in which they were put: their numbers, and whether each has the value */
  variants: readonly { numbers: Readonly<Record<string, number>>; has: boolean }[];
}

/** From so many products on, sorting an order afresh is quicker than moving each within it. */
const MANY_MOVED = 300;

/** So few of 32 slots are looked at one by one. */
const FEW_BITS = 8;

/**
 * All products and variants in memory, in columns: see README.md beside this file. Slots are small numbers given to
 * products and variants; those of removed ones are used again. Queries are in listing.ts.
 */
export class FinderIndex {
  text = new TextIndex();
  /** sets for the queries of listing.ts */
  readonly scratch = new Scratch();
  alive: Bitset;
  readonly #ids: string[] = [];
  readonly #titles: string[] = [];
  readonly #slotOf = new Map<string, number>();
  readonly #freeSlots: number[] = [];
  readonly #columns: Map<string, Column>;
  /** columns that are read from the source, since somebody asked for them */
  readonly #derived = new Set<string>();
  /** columns that were filled in, and stay as they are until the next time */
  readonly #filled = new Set<string>();
  readonly #orders = new Map<string, SortedOrder>();
  facets = new Facets();
  /** value ids of a product: its own, those of one facet side by side, then, from the mark on, those of its variants */
  valuesOf = new IdLists(16);
  variants: VariantSlots;
  variantValuesOf = new IdLists(16);
  /** value ids of the product, and of the variant, being placed */
  readonly #productMet = new MetIds();
  readonly #variantMet = new MetIds();

  constructor(
    readonly shape: FinderShape,
    readonly source?: FinderSource,
  ) {
    this.alive = new Bitset(64);
    this.variants = new VariantSlots(shape.variantColumns);
    this.#columns = new Map(shape.columns.map((name) => [name, { at: new Float64Array(64) }]));
    for (const sort of shape.sorts) this.#orders.set(sort.key, new SortedOrder(this.#compare(sort)));
  }

  get size(): number {
    return this.#slotOf.size;
  }

  /** Bytes held by the typed arrays. */
  get bytes(): number {
    let bytes = this.text.bytes + this.valuesOf.bytes + this.variantValuesOf.bytes + this.variants.bytes;
    for (const { at } of this.#columns.values()) bytes += at.byteLength;
    for (const order of this.#orders.values()) bytes += order.bytes;
    return bytes + this.facets.bytes;
  }

  slot(id: string): number | undefined {
    return this.#slotOf.get(id);
  }

  id(slot: number): string {
    return this.#ids[slot]!;
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

  /** The title of a product, folded. */
  title(slot: number): string {
    return this.#titles[slot]!;
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
    return this.variants.productsOf(variants, products);
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
    this.variants.reserve(entries.reduce((sum, entry) => sum + entry.variants.length, 0));
    for (const entry of entries) this.#place(entry, this.#takeSlot(entry.id));
    this.text.load(entries.length, (slot) => entries[slot]!.texts);
    this.#loadOrders();
    this.valuesOf.trim(entries.length);
    this.variantValuesOf.trim(this.variants.end);
  }

  /** An index that answers alike and changes by itself. Costs little more than the memory it takes. Its source must know the same. */
  copy(source = this.source): FinderIndex {
    const copy = FinderIndex.of(this.shape, this.state(), source, this.text);
    for (const name of this.#filled) copy.#filled.add(name);
    if (source) for (const name of this.#derived) copy.#derived.add(name);
    for (const name of [...copy.#filled, ...copy.#derived]) copy.#column(name).at = this.#columns.get(name)!.at.slice();
    return copy;
  }

  /** The index whose state this is. It takes the arrays over; columns that follow from the source are read when asked for. */
  static of(
    shape: FinderShape,
    state: IndexState,
    source?: FinderSource,
    words?: Pick<TextIndex, 'synonyms' | 'language'>,
  ): FinderIndex {
    const index = new FinderIndex(shape, source);
    index.text = TextIndex.of(state.text, words?.synonyms, words?.language);
    index.facets = Facets.of(state.facets);
    index.alive = Bitset.of(state.alive);
    index.variants = VariantSlots.of(state.variants);
    index.valuesOf = IdLists.of(state.valuesOf);
    index.variantValuesOf = IdLists.of(state.variantValuesOf);
    // Orders compare by these arrays and columns, so they are filled, not replaced.
    for (const id of state.ids) index.#ids.push(id);
    for (const title of state.titles) index.#titles.push(title);
    for (const slot of state.freeSlots) index.#freeSlots.push(slot);
    index.alive.forEach((slot) => index.#slotOf.set(state.ids[slot]!, slot));
    for (const [name, numbers] of state.columns) index.#column(name).at = numbers;
    for (const [key, slots] of state.orders) index.#orders.get(key)!.load(slots);
    return index;
  }

  /** All there is to know but the synonyms and the language, in arrays of its own. Linear. */
  state(): IndexState {
    const follows = (name: string) => this.#derived.has(name) || this.#filled.has(name);
    const columns = [...this.#columns].filter(([name]) => !follows(name));
    return {
      text: this.text.state(),
      facets: this.facets.state(),
      alive: this.alive.state(),
      variants: this.variants.state(),
      ids: this.#ids.slice(),
      titles: this.#titles.slice(),
      freeSlots: this.#freeSlots.slice(),
      columns: columns.map(([name, { at }]) => [name, at.slice()]),
      orders: Array.from(this.#orders, ([key, order]) => [key, order.slots()]),
      valuesOf: this.valuesOf.state(),
      variantValuesOf: this.variantValuesOf.state(),
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

  /**
   * Gives products other numbers, and their variants too, along with whether each has one value of a facet of variants; all
   * else of them stays. All must be in the index. Much quicker than putting each again. O(changed + n log n for each order that they concern).
   */
  renumber(all: readonly Renumbered[], [facet, value]: readonly [facet: string, value: string]): void {
    const names = new Set(all.flatMap(({ numbers }) => Object.keys(numbers)));
    const sorts = this.shape.sorts.filter(({ by, then = '' }) => names.has(by) || names.has(then));
    const isMany = all.length >= MANY_MOVED;
    const orders = sorts.map(({ key }) => this.#orders.get(key)!);
    const slots = all.map(({ id }) => this.#slotOf.get(id)!);
    if (!isMany) for (const order of orders) for (const slot of slots) order.remove(slot);
    const valueId = this.facets.idOf(facet, value, true, this.alive.size);
    for (let i = 0; i < all.length; i++) {
      const { id, numbers, variants } = all[i]!;
      const slot = slots[i]!;
      for (const name in numbers) this.#column(name).at[slot] = numbers[name]!;
      for (const name of this.#derived) this.#column(name).at[slot] = this.source!.number(id, name);
      this.#renumberVariants(slot, variants, valueId);
    }
    sorts.forEach((sort, i) => {
      if (!isMany) for (const slot of slots) orders[i]!.insert(slot);
      else orders[i]!.load(this.#sorted(sort, orders[i]!));
    });
  }

  #renumberVariants(slot: number, variants: Renumbered['variants'], valueId: number): void {
    const start = this.variants.start(slot);
    let has = false;
    variants.forEach((variant, i) => {
      const at = start + i;
      this.variants.renumber(at, variant.numbers);
      has ||= variant.has;
      const own = this.variantValuesOf.get(at);
      const had = own.includes(valueId);
      if (had === variant.has) return;
      const next = had ? [...own].filter((each) => each !== valueId) : [...own, valueId];
      this.variantValuesOf.set(at, next);
      const posting = this.facets.values[valueId]!;
      const { size } = this.variants.alive;
      if (!posting.variants || at >= posting.variants.size)
        posting.variants = posting.variants?.sized(size) ?? new Bitset(size);
      if (variant.has) posting.variants.add(at);
      else posting.variants.delete(at);
    });
    const values = this.valuesOf.get(slot);
    if (values.includes(valueId) === has) return;
    const mark = this.valuesOf.mark(slot);
    if (has) this.#giveValue(slot, valueId);
    else this.#takeValue(slot, valueId);
    const next = has ? [...values, valueId] : [...values].filter((each) => each !== valueId);
    this.valuesOf.set(slot, next, next.length, mark);
  }

  /** The slots of an order as its columns are now. */
  #sorted(sort: SortKey, order: SortedOrder): Uint32Array<ArrayBuffer> {
    const { by, descending = false, then } = sort;
    // Where another order is sorted by what decides between equals, it is known already.
    const tie = this.shape.sorts.find((each) => each.by === then && each.descending && each.then === undefined);
    if (tie && by !== 'title') return sortedBy(this.column(by), descending, this.#orders.get(tie.key)!.slots());
    return order.slots().sort(this.#compare(sort));
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
    const start = this.variants.start(slot);
    const end = start + this.variants.count(slot);
    for (let variant = start; variant < end; variant++) {
      for (const valueId of this.variantValuesOf.get(variant)) this.facets.values[valueId]!.variants!.delete(variant);
      this.variantValuesOf.set(variant, []);
    }
    this.variants.clear(slot);
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

  #placeVariants(slot: number, { variants }: FinderEntry): void {
    const start = this.variants.put(slot, variants);
    const { facets } = this;
    const { size } = this.variants.alive;
    for (let i = 0; i < variants.length; i++) {
      const at = start + i;
      const met = this.#variantMet.empty();
      const { values } = variants[i]!;
      for (let v = 0; v < values.length; v++) {
        const id = facets.idOf(values[v]![0], values[v]![1], true, this.alive.size);
        met.add(id);
        this.#productMet.add(id);
        const posting = facets.values[id]!;
        if (!posting.variants || at >= posting.variants.size)
          posting.variants = posting.variants?.sized(size) ?? new Bitset(size);
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

  #reserve(products: number): void {
    if (products <= this.alive.size) return;
    const size = Math.ceil(products * 1.05) + 64;
    this.alive = this.alive.sized(size);
    this.variants.reserveProducts(size);
    for (const column of this.#columns.values()) column.at = grow(column.at, size, Float64Array);
  }
}
