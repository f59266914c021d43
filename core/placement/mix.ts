/**
 * Spreads things so that neighbours differ wherever that is possible: each time the first, in the given order, that is
 * unlike the one before; unless one sort is so many that it must be taken now to part the rest. Things of the same sort
 * stay in their order, and the same things always come out alike. Things without a sort (undefined) are unlike all others.
 * O(n log n).
 */
export function mixed<T>(things: readonly T[], sortOf: (thing: T) => string | undefined): T[] {
  const queues = new Map<string | number, number[]>();
  things.forEach((thing, place) => {
    const sort = sortOf(thing) ?? place;
    const queue = queues.get(sort);
    if (queue) queue.push(place);
    else queues.set(sort, [place]);
  });
  const lines = [...queues.values()].map((places) => ({ places, next: 0 }));
  const heads = new Heap<Line>((line) => line.places[line.next]!);
  // The longest line is wanted by its length, which shrinks only when it is taken from: the heap is mended then.
  const lengths = new Heap<Line>((line) => line.next - line.places.length);
  for (const line of lines) {
    heads.add(line);
    lengths.add(line);
  }
  const out: T[] = [];
  let before: Line | undefined;
  for (let left = things.length; left > 0; left--) {
    const longest = lengths.first();
    const isPressing = (longest.places.length - longest.next) * 2 > left;
    const line = isPressing && longest !== before ? longest : firstUnlike(heads, before);
    out.push(things[line.places[line.next]!]!);
    line.next++;
    heads.moved(line);
    lengths.moved(line);
    if (line.next === line.places.length) {
      heads.remove(line);
      lengths.remove(line);
    }
    before = line;
  }
  return out;
}

interface Line {
  places: number[];
  next: number;
}

function firstUnlike(heads: Heap<Line>, before: Line | undefined): Line {
  const first = heads.first();
  return first === before ? (heads.second() ?? first) : first;
}

/** The least first; items may change their weight. */
class Heap<T extends object> {
  readonly #items: T[] = [];
  readonly #places = new Map<T, number>();

  constructor(readonly weight: (item: T) => number) {}

  first(): T {
    return this.#items[0]!;
  }

  second(): T | undefined {
    const [, a, b] = this.#items;
    return a && b ? (this.weight(a) <= this.weight(b) ? a : b) : a;
  }

  add(item: T): void {
    this.#put(item, this.#items.length);
    this.moved(item);
  }

  remove(item: T): void {
    const place = this.#places.get(item)!;
    const last = this.#items.pop()!;
    this.#places.delete(item);
    if (last === item) return;
    this.#put(last, place);
    this.moved(last);
  }

  /** To be called after the weight of an item changed. */
  moved(item: T): void {
    let place = this.#places.get(item)!;
    for (;;) {
      const parent = (place - 1) >> 1;
      const child = this.#lighterChild(place);
      const next =
        place > 0 && this.weight(item) < this.weight(this.#items[parent]!)
          ? parent
          : child !== undefined && this.weight(this.#items[child]!) < this.weight(item)
            ? child
            : undefined;
      if (next === undefined) return;
      this.#put(this.#items[next]!, place);
      this.#put(item, next);
      place = next;
    }
  }

  #lighterChild(place: number): number | undefined {
    const left = 2 * place + 1;
    const [a, b] = [this.#items[left], this.#items[left + 1]];
    if (!a) return undefined;
    return b && this.weight(b) < this.weight(a) ? left + 1 : left;
  }

  #put(item: T, place: number): void {
    this.#items[place] = item;
    this.#places.set(item, place);
  }
}
