import { blockOf, isInBlock, sizeOf, stepFrom, type Block, type Place } from './block';

/** Which block of a table is picked, for tables whose cells are drawn by themselves. */
export class BlockStore {
  #anchor: Place = { row: 0, column: 0 };
  #end: Place = { row: 0, column: 0 };
  #isPicked = false;
  readonly #listeners = new Set<() => void>();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** The cells that are picked together; undefined for a single one. */
  get block(): Block | undefined {
    const block = blockOf(this.#anchor, this.#end);
    return this.#isPicked && sizeOf(block) > 1 ? block : undefined;
  }

  has = (row: number, column: number): boolean => {
    const { block } = this;
    return block !== undefined && isInBlock(block, row, column);
  };

  /** Begins at a cell; nothing else is picked then. */
  begin(place: Place): void {
    this.#anchor = this.#end = place;
    this.#set(false);
  }

  /** Grows, or shrinks, to where an arrow key leads; false for other keys. */
  extend(key: string, by: number, last: Place): boolean {
    const to = stepFrom(this.#end, key, by, last);
    if (!to) return false;
    this.#end = to;
    this.#set(true);
    return true;
  }

  /** Grows to a cell. */
  reach(place: Place): void {
    this.#end = place;
    this.#set(true);
  }

  #set(isPicked: boolean): void {
    this.#isPicked = isPicked;
    for (const listener of this.#listeners) listener();
  }
}
