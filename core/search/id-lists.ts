import type { IdListsState, Pool } from './state';

const poolOf = (bits: 8 | 16 | 32, size: number): Pool =>
  bits === 8 ? new Uint8Array(size) : bits === 16 ? new Uint16Array(size) : new Uint32Array(size);

/** Longest list of one row; texts and values of a product are capped far below it. */
const LONGEST = 0xffff;

/**
 * For each row a short list of numbers, all in one typed array (compressed sparse rows). A list that outgrows its place
 * moves to the end; the space it leaves is won back when half of the array is waste. Numbers are kept in `bits` bits,
 * and all in 32 from the first on that needs more. A list may have a mark, a place that parts it in two.
 */
export class IdLists {
  /** two numbers a row, side by side as they are read together: where its list starts; its length and, above it, its mark */
  #rows = new Uint32Array(128);
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

  static of({ bits, pool, end, waste, rows, room }: IdListsState): IdLists {
    const lists = new IdLists(bits);
    lists.#pool = pool;
    lists.#end = end;
    lists.#waste = waste;
    lists.#rows = rows;
    for (const [row, size] of room) lists.#room.set(row, size);
    return lists;
  }

  state(): IdListsState {
    return {
      bits: this.#bits,
      pool: this.#pool.slice(),
      end: this.#end,
      waste: this.#waste,
      rows: this.#rows.slice(),
      room: [...this.#room],
    };
  }

  get bytes(): number {
    return this.#pool.byteLength + this.#rows.byteLength;
  }

  /**
   * For loops over many rows: the list of row r begins at `rows[2r]` of the pool; `rows[2r + 1]` holds its length in the
   * lower 16 bits, its mark in the upper ones.
   */
  get rows(): Uint32Array {
    return this.#rows;
  }

  get pool(): Pool {
    return this.#pool;
  }

  start(row: number): number {
    return this.#rows[row * 2] ?? 0;
  }

  length(row: number): number {
    return (this.#rows[row * 2 + 1] ?? 0) & LONGEST;
  }

  /** The place that parts a list in two; 0 where it has none. */
  mark(row: number): number {
    return (this.#rows[row * 2 + 1] ?? 0) >>> 16;
  }

  get(row: number): Pool {
    const start = this.start(row);
    return this.#pool.subarray(start, start + this.length(row));
  }

  /** Makes the first `length` of `ids` the list of a row, with a mark at `mark`. */
  set(row: number, ids: ArrayLike<number>, length = ids.length, mark = 0): void {
    if (length > LONGEST) throw new RangeError(`A list can hold ${LONGEST} numbers, not ${length}.`);
    if (row * 2 >= this.#rows.length) this.#resizeRows(Math.max(row + 1, Math.ceil(this.#rows.length * 0.6)));
    const room = this.#room.get(row) ?? this.length(row);
    if (length > room) {
      this.#waste += room;
      this.#room.delete(row);
      if (this.#waste > this.#pool.length / 2) {
        this.#rows[row * 2 + 1] = 0;
        this.#compact();
      }
      if (this.#end + length > this.#pool.length)
        this.#resizePool(Math.max(this.#end + length, Math.ceil(this.#pool.length * 1.2)));
      this.#rows[row * 2] = this.#end;
      this.#end += length;
    } else if (length < room) this.#room.set(row, room);
    else this.#room.delete(row);
    if (this.#bits < 32) {
      let bits = 0;
      for (let i = 0; i < length; i++) bits |= ids[i]!;
      if (bits >>> this.#bits !== 0) this.#widen();
    }
    const start = this.start(row);
    const pool = this.#pool;
    for (let i = 0; i < length; i++) pool[start + i] = ids[i]!;
    this.#rows[row * 2 + 1] = (mark << 16) | length;
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
    const next = new Uint32Array(rows * 2);
    next.set(this.#rows.length > next.length ? this.#rows.subarray(0, next.length) : this.#rows);
    this.#rows = next;
  }

  #resizePool(size: number): void {
    const next = poolOf(this.#bits, size);
    next.set(this.#pool.subarray(0, this.#end));
    this.#pool = next;
  }

  #compact(): void {
    const next = poolOf(this.#bits, this.#pool.length);
    let end = 0;
    for (let row = 0; row * 2 < this.#rows.length; row++) {
      const list = this.get(row);
      next.set(list, end);
      this.#rows[row * 2] = end;
      end += list.length;
    }
    this.#room.clear();
    this.#pool = next;
    this.#end = end;
    this.#waste = 0;
  }
}
