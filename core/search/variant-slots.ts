import { grow } from './arrays';
import { Bitset } from './bitset';
import type { FinderEntry } from './entry';
import type { VariantsState } from './state';

/** What stands for Infinity in a column; above all amounts and counts that can be saved. */
const NO_LIMIT = 2 ** 31 - 1;

/** Numbers by variant slot; variants are many, so theirs take half the room. The array is another one after growing. */
interface Column {
  at: Int32Array<ArrayBuffer>;
}

/**
 * The variants of all products, each in a slot of its own; those of one product stand side by side. A run of slots that
 * became free is used again by the next product with as many variants.
 */
export class VariantSlots {
  alive = new Bitset(64);
  /** variant slot → slot of its product */
  owner = new Uint32Array(64);
  /** by slot of the product: its first variant slot, and how many it has */
  #start = new Uint32Array(64);
  #count = new Uint32Array(64);
  #ids: string[] = [];
  /** all slots from here on were never used */
  end = 0;
  /** by length: where free runs start */
  readonly #free = new Map<number, number[]>();
  readonly #columns: Map<string, Column>;

  constructor(columns: readonly string[]) {
    this.#columns = new Map(columns.map((name) => [name, { at: new Int32Array(64) }]));
  }

  static of({ alive, owner, start, count, ids, end, free, columns }: VariantsState): VariantSlots {
    const slots = new VariantSlots([]);
    slots.alive = Bitset.of(alive);
    slots.owner = owner;
    slots.#start = start;
    slots.#count = count;
    slots.#ids = ids;
    slots.end = end;
    for (const [length, starts] of free) slots.#free.set(length, starts);
    for (const [name, at] of columns) slots.#columns.set(name, { at });
    return slots;
  }

  state(): VariantsState {
    return {
      alive: this.alive.state(),
      owner: this.owner.slice(),
      start: this.#start.slice(),
      count: this.#count.slice(),
      ids: this.#ids.slice(),
      end: this.end,
      free: Array.from(this.#free, ([length, starts]) => [length, starts.slice()]),
      columns: Array.from(this.#columns, ([name, { at }]) => [name, at.slice()]),
    };
  }

  get bytes(): number {
    let bytes = this.owner.byteLength;
    for (const { at } of this.#columns.values()) bytes += at.byteLength;
    return bytes;
  }

  id(variantSlot: number): string {
    return this.#ids[variantSlot]!;
  }

  /** First variant slot of a product. */
  start(slot: number): number {
    return this.#start[slot]!;
  }

  count(slot: number): number {
    return this.#count[slot]!;
  }

  /** Infinity stands in it as the largest number. */
  column(name: string): Int32Array {
    return this.#columns.get(name)!.at;
  }

  /** The products that own at least one of these variants, put into `products`. */
  productsOf(variants: Bitset, products: Bitset): Bitset {
    const { owner } = this;
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
  variantsOf(products: Bitset, variants = new Bitset(this.alive.size)): Bitset {
    products.forEach((slot) => {
      const start = this.#start[slot]!;
      const end = start + this.#count[slot]!;
      for (let variant = start; variant < end; variant++) variants.add(variant);
    });
    return variants;
  }

  /** Gives a product slots for its variants, and answers the first. */
  put(slot: number, variants: FinderEntry['variants']): number {
    const start = this.#takeRun(variants.length);
    this.#start[slot] = start;
    this.#count[slot] = variants.length;
    for (let i = 0; i < variants.length; i++) {
      const { id, numbers } = variants[i]!;
      const at = start + i;
      this.owner[at] = slot;
      this.#ids[at] = id;
      this.alive.add(at);
      for (const [name, column] of this.#columns) column.at[at] = Math.min(numbers[name]!, NO_LIMIT);
    }
    return start;
  }

  /** Gives a variant other numbers. */
  renumber(variantSlot: number, numbers: Readonly<Record<string, number>>): void {
    for (const name in numbers) this.#columns.get(name)!.at[variantSlot] = Math.min(numbers[name]!, NO_LIMIT);
  }

  /** Takes the variants of a product out. */
  clear(slot: number): void {
    const [start, count] = [this.#start[slot]!, this.#count[slot]!];
    for (let variant = start; variant < start + count; variant++) this.alive.delete(variant);
    this.#count[slot] = 0;
    if (count === 0) return;
    const runs = this.#free.get(count);
    if (runs) runs.push(start);
    else this.#free.set(count, [start]);
  }

  reserve(variants: number): void {
    const size = Math.ceil(variants * 1.02) + 64;
    this.alive = this.alive.sized(size);
    this.owner = grow(this.owner, size, Uint32Array);
    for (const column of this.#columns.values()) column.at = grow(column.at, size, Int32Array);
  }

  /** Makes room for products with slots below `size`. */
  reserveProducts(size: number): void {
    this.#start = grow(this.#start, size, Uint32Array);
    this.#count = grow(this.#count, size, Uint32Array);
  }

  #takeRun(length: number): number {
    const free = this.#free.get(length)?.pop();
    if (free !== undefined) return free;
    const start = this.end;
    this.end += length;
    if (this.end > this.alive.size) this.reserve(this.end * 1.2);
    return start;
  }
}
