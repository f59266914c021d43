/** Ids met so far, each once; used again for one product after the other. */
export class MetIds {
  ids = new Uint32Array(64);
  length = 0;
  #stamp = new Uint32Array(256);
  #round = 0;

  empty(): this {
    this.length = 0;
    this.#round++;
    return this;
  }

  add(id: number): void {
    if (id >= this.#stamp.length) this.#stamp = grow(this.#stamp, id * 2, Uint32Array);
    if (this.#stamp[id] === this.#round) return;
    this.#stamp[id] = this.#round;
    if (this.length === this.ids.length) this.ids = grow(this.ids, this.length * 2, Uint32Array);
    this.ids[this.length++] = id;
  }

  /** Puts those of equal key side by side, the lowest key first. For few ids that mostly are so already. */
  sortBy(keys: Uint16Array): void {
    const { ids } = this;
    for (let i = 1; i < this.length; i++) {
      const id = ids[i]!;
      const key = keys[id]!;
      let at = i;
      for (; at > 0 && keys[ids[at - 1]!]! > key; at--) ids[at] = ids[at - 1]!;
      ids[at] = id;
    }
  }
}

/** A copy with room for at least `size` numbers. */
export function grow<T extends Uint32Array | Uint16Array | Int32Array | Float64Array>(
  array: T,
  size: number,
  make: new (size: number) => T,
): T {
  const next = new make(Math.max(size, array.length));
  next.set(array);
  return next;
}
