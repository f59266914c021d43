type Pool = Uint8Array<ArrayBuffer> | Uint16Array<ArrayBuffer> | Uint32Array<ArrayBuffer>;

const poolOf = (bits: 8 | 16 | 32, size: number): Pool =>
  bits === 8 ? new Uint8Array(size) : bits === 16 ? new Uint16Array(size) : new Uint32Array(size);

/** Longest list of one row; texts and values of a product are capped far below it. */
const LONGEST = 0xffff;

/**
 * For each row a short list of numbers, all in one typed array (compressed sparse rows). A list that outgrows its place
 * moves to the end; the space it leaves is won back when half of the array is waste. Numbers are kept in `bits` bits,
 * and all in 32 from the first on that needs more.
 */
export class IdLists {
  #start = new Uint32Array(64);
  #length = new Uint16Array(64);
  /** room of the lists that have more of it than they fill; of the others, it is their length */
  readonly #room = new Map<number, number>();
  #bits: 8 | 16 | 32;
  #pool: Pool;
  #end = 0;
  #waste = 0;

  constructor(bits: 8 | 16 | 32) {
    this.#bits = bits;
    this.#pool = poolOf(bits, 1024);
  }

  copy(): IdLists {
    const copy = new IdLists(this.#bits);
    copy.#start = this.#start.slice();
    copy.#length = this.#length.slice();
    for (const [row, room] of this.#room) copy.#room.set(row, room);
    copy.#pool = this.#pool.slice();
    copy.#end = this.#end;
    copy.#waste = this.#waste;
    return copy;
  }

  get bytes(): number {
    return this.#pool.byteLength + this.#start.byteLength + this.#length.byteLength;
  }

  get pool(): Pool {
    return this.#pool;
  }

  start(row: number): number {
    return this.#start[row] ?? 0;
  }

  length(row: number): number {
    return this.#length[row] ?? 0;
  }

  get(row: number): Pool {
    const start = this.start(row);
    return this.#pool.subarray(start, start + this.length(row));
  }

  /** Makes the first `length` of `ids` the list of a row. */
  set(row: number, ids: ArrayLike<number>, length = ids.length): void {
    if (length > LONGEST) throw new RangeError(`A list can hold ${LONGEST} numbers, not ${length}.`);
    if (row >= this.#start.length) this.#resizeRows(Math.max(row + 1, Math.ceil(this.#start.length * 1.2)));
    const room = this.#room.get(row) ?? this.#length[row]!;
    if (length > room) {
      this.#waste += room;
      this.#room.delete(row);
      if (this.#waste > this.#pool.length / 2) {
        this.#length[row] = 0;
        this.#compact();
      }
      if (this.#end + length > this.#pool.length)
        this.#resizePool(Math.max(this.#end + length, Math.ceil(this.#pool.length * 1.2)));
      this.#start[row] = this.#end;
      this.#end += length;
    } else if (length < room) this.#room.set(row, room);
    else this.#room.delete(row);
    if (this.#bits < 32) {
      let bits = 0;
      for (let i = 0; i < length; i++) bits |= ids[i]!;
      if (bits >>> this.#bits !== 0) this.#widen();
    }
    const start = this.#start[row]!;
    const pool = this.#pool;
    for (let i = 0; i < length; i++) pool[start + i] = ids[i]!;
    this.#length[row] = length;
  }

  /** Gives back the room beyond `rows` rows and what they hold, but for a little spare. For after filling. */
  trim(rows: number): void {
    this.#resizeRows(Math.ceil(rows * 1.02) + 64);
    this.#resizePool(Math.ceil(this.#end * 1.02) + 64);
  }

  #widen(): void {
    this.#bits = 32;
    this.#resizePool(this.#pool.length);
  }

  #resizeRows(rows: number): void {
    const resized = <T extends Uint16Array | Uint32Array>(old: T, next: T): T => {
      next.set(old.length > rows ? old.subarray(0, rows) : old);
      return next;
    };
    this.#start = resized(this.#start, new Uint32Array(rows));
    this.#length = resized(this.#length, new Uint16Array(rows));
  }

  #resizePool(size: number): void {
    const next = poolOf(this.#bits, size);
    next.set(this.#pool.subarray(0, this.#end));
    this.#pool = next;
  }

  #compact(): void {
    const next = poolOf(this.#bits, this.#pool.length);
    let end = 0;
    for (let row = 0; row < this.#start.length; row++) {
      const length = this.#length[row]!;
      next.set(this.#pool.subarray(this.#start[row]!, this.#start[row]! + length), end);
      this.#start[row] = end;
      end += length;
    }
    this.#room.clear();
    this.#pool = next;
    this.#end = end;
    this.#waste = 0;
  }
}
