import { blockOf, isInBlock, isSameBlock, sizeOf, stepFrom, type Block, type Place } from './block';

/** Which cells of a table are picked together: from a cell on, by keys or by pointing. */
export class BlockStore {
  #begin: Place = { row: 0, column: 0 };
  #end: Place = { row: 0, column: 0 };
  #block: Block | undefined;
  readonly #listeners = new Set<() => void>();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** The block, of one cell where nothing was picked beyond it; undefined before it began. The same object until it changes. */
  readonly block = (): Block | undefined => this.#block;

  /** The block where it is more than one cell. */
  readonly many = (): Block | undefined => (this.#block && sizeOf(this.#block) > 1 ? this.#block : undefined);

  readonly isPicked = (row: number, column: number): boolean => {
    const many = this.many();
    return many !== undefined && isInBlock(many, row, column);
  };

  /** Begins anew at a cell. */
  begin(place: Place): void {
    this.#begin = place;
    this.reach(place);
  }

  /** Lets go of all but the cell where it began. */
  readonly single = (): void => this.begin(this.#begin);

  /** Grows, or shrinks, to a cell. */
  reach(place: Place): void {
    const block = blockOf(this.#begin, place);
    const known = this.#block;
    this.#end = place;
    if (known && isSameBlock(known, block)) return;
    this.#block = block;
    for (const listener of this.#listeners) listener();
  }

  /** The same to where an arrow key leads, so many cells on and not beyond `last`; false for other keys. */
  extend(key: string, by: number, last: Place): boolean {
    const to = stepFrom(this.#end, key, by, last);
    if (to) this.reach(to);
    return to !== undefined;
  }
}
