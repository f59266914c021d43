/**
 * For each row a short list of numbers, all in one typed array (compressed sparse rows). A list that outgrows its place
 * moves to the end; the space it leaves is won back when half of the array is waste.
 */
export class IdLists {
  #start = new Uint32Array(64);
  #length = new Uint32Array(64);
  #room = new Uint32Array(64);
  #pool = new Uint32Array(1024);
  #end = 0;
  #waste = 0;

  get bytes(): number {
    return this.#pool.byteLength + 3 * this.#start.byteLength;
  }

  get pool(): Uint32Array {
    return this.#pool;
  }

  start(row: number): number {
    return this.#start[row] ?? 0;
  }

  length(row: number): number {
    return this.#length[row] ?? 0;
  }

  get(row: number): Uint32Array {
    const start = this.start(row);
    return this.#pool.subarray(start, start + this.length(row));
  }

  set(row: number, ids: ArrayLike<number>): void {
    if (row >= this.#start.length) this.#growRows(row + 1);
    if (ids.length > this.#room[row]!) {
      this.#waste += this.#room[row]!;
      if (this.#waste > this.#pool.length / 2) {
        this.#room[row] = 0;
        this.#length[row] = 0;
        this.#compact();
      }
      this.#ensurePool(ids.length);
      this.#start[row] = this.#end;
      this.#room[row] = ids.length;
      this.#end += ids.length;
    }
    this.#pool.set(ids, this.#start[row]!);
    this.#length[row] = ids.length;
  }

  #growRows(rows: number): void {
    const size = Math.max(rows, Math.ceil(this.#start.length * 1.2));
    const grown = (old: Uint32Array) => {
      const next = new Uint32Array(size);
      next.set(old);
      return next;
    };
    this.#start = grown(this.#start);
    this.#length = grown(this.#length);
    this.#room = grown(this.#room);
  }

  #ensurePool(extra: number): void {
    if (this.#end + extra <= this.#pool.length) return;
    const next = new Uint32Array(Math.max(this.#end + extra, Math.ceil(this.#pool.length * 1.2)));
    next.set(this.#pool.subarray(0, this.#end));
    this.#pool = next;
  }

  #compact(): void {
    const next = new Uint32Array(this.#pool.length);
    let end = 0;
    for (let row = 0; row < this.#start.length; row++) {
      const length = this.#length[row]!;
      next.set(this.#pool.subarray(this.#start[row]!, this.#start[row]! + length), end);
      this.#start[row] = end;
      this.#room[row] = length;
      end += length;
    }
    this.#pool = next;
    this.#end = end;
    this.#waste = 0;
  }
}
