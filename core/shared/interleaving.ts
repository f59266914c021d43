/**
 * Spreads things so that neighbours differ wherever that is possible: each time the first, in the given order, that is
 * unlike the one before; unless one sort is so many that it must be taken now to part the rest. Things of the same sort
 * stay in their order, and the same things always come out alike. Things without a sort (undefined) are unlike all others.
 * O(n log n).
 */
export function mixed<T>(things: readonly T[], sortOf: (thing: T) => string | number | undefined): T[] {
  const queues = new Map<string | number, number[]>();
  const alone: number[][] = [];
  things.forEach((thing, place) => {
    const sort = sortOf(thing);
    const queue = sort === undefined ? undefined : queues.get(sort);
    if (queue) queue.push(place);
    else if (sort === undefined) alone.push([place]);
    else queues.set(sort, [place]);
  });
  const lines = [...queues.values(), ...alone].map((places): Line => ({ places, next: 0, weight: [0, 0], at: [0, 0] }));
  const heads = new Heap(FIRST, lines, headWeight);
  // The longest line is wanted by its length, which shrinks only when it is taken from: the heap is mended then.
  const lengths = new Heap(LONGEST, lines, lengthWeight);
  const out: T[] = [];
  let before: Line | undefined;
  for (let left = things.length; left > 0; left--) {
    const longest = lengths.first();
    const isPressing = (longest.places.length - longest.next) * 2 > left;
    const line = isPressing && longest !== before ? longest : firstUnlike(heads, before);
    out.push(things[line.places[line.next]!]!);
    line.next++;
    const isEmpty = line.next === line.places.length;
    for (const heap of [heads, lengths]) {
      if (isEmpty) heap.remove(line);
      else heap.moved(line);
    }
    before = line;
  }
  return out;
}

/** Things of one sort, in order. */
interface Line {
  places: number[];
  next: number;
  /** in each of the two heaps: what it is ordered by, and where it stands */
  weight: [number, number];
  at: [number, number];
}

const FIRST = 0;
const LONGEST = 1;
const headWeight = ({ places, next }: Line) => places[next]!;
const lengthWeight = ({ places, next }: Line) => next - places.length;

function firstUnlike(heads: Heap, before: Line | undefined): Line {
  const first = heads.first();
  return first === before ? (heads.second() ?? first) : first;
}

/** The lightest line first. Lines know where they stand, so that one whose weight changed is moved at once. */
class Heap {
  readonly #lines: Line[] = [];

  constructor(
    readonly key: 0 | 1,
    lines: readonly Line[],
    readonly weigh: (line: Line) => number,
  ) {
    for (const line of lines) {
      this.#put(line, this.#lines.length);
      this.moved(line);
    }
  }

  first(): Line {
    return this.#lines[0]!;
  }

  second(): Line | undefined {
    const [, a, b] = this.#lines;
    return a && b ? (a.weight[this.key] <= b.weight[this.key] ? a : b) : a;
  }

  remove(line: Line): void {
    const place = line.at[this.key];
    const last = this.#lines.pop()!;
    if (last === line) return;
    this.#put(last, place);
    this.moved(last);
  }

  /** To be called after the weight of a line changed. */
  moved(line: Line): void {
    const { key } = this;
    const lines = this.#lines;
    const weight = this.weigh(line);
    line.weight[key] = weight;
    let place = line.at[key];
    for (;;) {
      let next = (place - 1) >> 1;
      if (place === 0 || weight >= lines[next]!.weight[key]) {
        next = 2 * place + 1;
        if (next + 1 < lines.length && lines[next + 1]!.weight[key] < lines[next]!.weight[key]) next++;
        if (next >= lines.length || lines[next]!.weight[key] >= weight) return;
      }
      this.#put(lines[next]!, place);
      this.#put(line, next);
      place = next;
    }
  }

  #put(line: Line, place: number): void {
    this.#lines[place] = line;
    line.at[this.key] = place;
  }
}
