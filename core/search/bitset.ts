import type { BitsetState } from './state';

/** Bits that are set in a word. */
export function popcount(word: number): number {
  let x = word - ((word >>> 1) & 0x55555555);
  x = (x & 0x33333333) + ((x >>> 2) & 0x33333333);
  return Math.imul((x + (x >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/**
 * A set of slot numbers below `size`, one bit each. Operations change the set they are called on and return it; sets of
 * unequal size are combined as if the shorter were filled up with zeros.
 */
export class Bitset {
  words: Uint32Array<ArrayBuffer>;

  constructor(
    readonly size: number,
    words = new Uint32Array((size + 31) >>> 5),
  ) {
    this.words = words;
  }

  has(slot: number): boolean {
    return ((this.words[slot >>> 5] ?? 0) & (1 << (slot & 31))) !== 0;
  }

  add(slot: number): this {
    this.words[slot >>> 5]! |= 1 << (slot & 31);
    return this;
  }

  delete(slot: number): this {
    this.words[slot >>> 5]! &= ~(1 << (slot & 31));
    return this;
  }

  clear(): this {
    this.words.fill(0);
    return this;
  }

  static of({ size, words }: BitsetState): Bitset {
    return new Bitset(size, words);
  }

  state(): BitsetState {
    return { size: this.size, words: this.words.slice() };
  }

  clone(): Bitset {
    return this.sized(this.size);
  }

  /** A copy that can hold slots below `size`. */
  sized(size: number): Bitset {
    const copy = new Bitset(size);
    const shared = Math.min(copy.words.length, this.words.length);
    copy.words.set(this.words.length === shared ? this.words : this.words.subarray(0, shared));
    return copy;
  }

  /** Takes over the content of `other`; for scratch sets that are used again and again. */
  copyFrom(other: Bitset): this {
    const shared = Math.min(this.words.length, other.words.length);
    this.words.set(other.words.length === shared ? other.words : other.words.subarray(0, shared));
    this.words.fill(0, shared);
    return this;
  }

  and(other: Bitset): this {
    const a = this.words;
    const b = other.words;
    const shared = Math.min(a.length, b.length);
    for (let i = 0; i < shared; i++) a[i]! &= b[i]!;
    a.fill(0, shared);
    return this;
  }

  or(other: Bitset): this {
    const a = this.words;
    const b = other.words;
    const shared = Math.min(a.length, b.length);
    for (let i = 0; i < shared; i++) a[i]! |= b[i]!;
    return this;
  }

  andNot(other: Bitset): this {
    const a = this.words;
    const b = other.words;
    const shared = Math.min(a.length, b.length);
    for (let i = 0; i < shared; i++) a[i]! &= ~b[i]!;
    return this;
  }

  /** Keeps only the slots for which `test` is true. */
  keep(test: (slot: number) => boolean): this {
    const { words } = this;
    for (let i = 0; i < words.length; i++) {
      let left = words[i]!;
      let kept = 0;
      while (left !== 0) {
        const bit = left & -left;
        if (test((i << 5) + 31 - Math.clz32(bit))) kept |= bit;
        left ^= bit;
      }
      words[i] = kept;
    }
    return this;
  }

  count(): number {
    const { words } = this;
    let n = 0;
    for (let i = 0; i < words.length; i++) n += popcount(words[i]!);
    return n;
  }

  /** Size of the intersection, without making it. */
  countAnd(other: Bitset): number {
    const a = this.words;
    const b = other.words;
    const shared = Math.min(a.length, b.length);
    let n = 0;
    for (let i = 0; i < shared; i++) n += popcount(a[i]! & b[i]!);
    return n;
  }

  forEach(visit: (slot: number) => void): void {
    const { words } = this;
    for (let i = 0; i < words.length; i++) {
      let left = words[i]!;
      while (left !== 0) {
        const bit = left & -left;
        visit((i << 5) + 31 - Math.clz32(bit));
        left ^= bit;
      }
    }
  }

  /** Writes the slots into `target` in rising order; answers how many. Plain loops over them beat a call for each. */
  writeSlots(target: Uint32Array): number {
    const { words } = this;
    let n = 0;
    for (let i = 0; i < words.length; i++) {
      let left = words[i]!;
      while (left !== 0) {
        const bit = left & -left;
        target[n++] = (i << 5) + 31 - Math.clz32(bit);
        left ^= bit;
      }
    }
    return n;
  }

  toArray(): number[] {
    const slots: number[] = [];
    this.forEach((slot) => slots.push(slot));
    return slots;
  }
}
