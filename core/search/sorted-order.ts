/** slot → place; of half the size while places fit */
type Ranks = Uint16Array<ArrayBuffer> | Uint32Array<ArrayBuffer>;

/** Slots kept in order. Changing one slot is a binary search and one block move; ranks are made again when asked for. */
export class SortedOrder {
  #slots: Uint32Array<ArrayBuffer> = new Uint32Array(64);
  #ranks: Ranks = new Uint16Array(0);
  #stale = true;
  length = 0;

  /** `compare` must be total: it may answer 0 only for a slot and itself. */
  constructor(readonly compare: (a: number, b: number) => number) {}

  get bytes(): number {
    return this.#slots.byteLength + this.#ranks.byteLength;
  }

  at(place: number): number {
    return this.#slots[place]!;
  }

  /** The first slot, in order, that passes the test. */
  find(test: (slot: number) => boolean): number | undefined {
    for (let place = 0; place < this.length; place++) if (test(this.#slots[place]!)) return this.#slots[place]!;
    return undefined;
  }

  /** Replaces everything by `slots`, which must be in the order of `compare`. */
  load(slots: Uint32Array<ArrayBuffer>): void {
    this.#slots = slots;
    this.length = slots.length;
    this.#stale = true;
  }

  /** A copy of its slots, in order. */
  slots(): Uint32Array<ArrayBuffer> {
    return this.#slots.slice(0, this.length);
  }

  insert(slot: number): void {
    if (this.length === this.#slots.length) {
      const next = new Uint32Array(Math.ceil(this.#slots.length * 1.4) + 64);
      next.set(this.#slots);
      this.#slots = next;
    }
    const place = this.#placeOf(slot);
    this.#slots.copyWithin(place + 1, place, this.length);
    this.#slots[place] = slot;
    this.length++;
    this.#stale = true;
  }

  /** Takes a slot out; must be called while its sort keys are still those it was inserted with. */
  remove(slot: number): void {
    const place = this.#placeOf(slot);
    this.#slots.copyWithin(place, place + 1, this.length);
    this.length--;
    this.#stale = true;
  }

  /** slot → place, for `capacity` slots. */
  ranks(capacity: number): Ranks {
    if (this.#stale || this.#ranks.length < capacity) {
      if (this.#ranks.length < capacity)
        this.#ranks = capacity <= 0x10000 ? new Uint16Array(capacity) : new Uint32Array(capacity);
      for (let place = 0; place < this.length; place++) this.#ranks[this.#slots[place]!] = place;
      this.#stale = false;
    }
    return this.#ranks;
  }

  #placeOf(slot: number): number {
    let low = 0;
    let high = this.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (this.compare(this.#slots[middle]!, slot) < 0) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
