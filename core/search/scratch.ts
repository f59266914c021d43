import { Bitset } from './bitset';

/**
 * Bitsets that are used again by each query, so that a query makes almost no garbage. A query begins with `reset`; what it
 * took is valid until the next one begins. Queries are synchronous, so no two are under way at once.
 */
export class Scratch {
  readonly #pools = new Map<number, { sets: Bitset[]; used: number }>();

  #slots = new Uint32Array(0);

  /** Room for the slots of one set; the next call hands out the same room. */
  slots(size: number): Uint32Array {
    if (this.#slots.length < size) this.#slots = new Uint32Array(size);
    return this.#slots;
  }

  reset(): void {
    for (const pool of this.#pools.values()) pool.used = 0;
  }

  /** An empty set for slots below `size`. */
  take(size: number): Bitset {
    let pool = this.#pools.get(size);
    if (!pool) {
      // Sizes change only when the index grows; sets of sizes gone by would never be used again.
      if (this.#pools.size > 4) this.#pools.clear();
      this.#pools.set(size, (pool = { sets: [], used: 0 }));
    }
    const set = (pool.sets[pool.used] ??= new Bitset(size));
    pool.used++;
    return set.clear();
  }

  copy(set: Bitset): Bitset {
    return this.take(set.size).copyFrom(set);
  }
}
