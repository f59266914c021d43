import type { VisitGraph } from './visit-graph';

/** Chances below this are not followed further when what lies near a place is asked for: exposures are right to 0.01 %. */
export const TOLERANCE = 1e-4;
/** Power iteration stops when nothing changes by more. */
const EXACT = 1e-11;

/** Expected comings to each place, for visits that begin as `start` says and do not use the menus. */
export function comings(graph: VisitGraph, start: Float64Array): Float64Array {
  const { places, linksFrom, linkTo, linkChance } = graph;
  let now = start;
  for (;;) {
    const next = start.slice();
    let change = 0;
    for (let i = 0; i < places; i++) {
      const chance = now[i]!;
      if (chance === 0) continue;
      for (let at = linksFrom[i]!; at < linksFrom[i + 1]!; at++) next[linkTo[at]!]! += chance * linkChance[at]!;
    }
    for (let i = 0; i < places; i++) change = Math.max(change, Math.abs(next[i]! - now[i]!));
    now = next;
    if (change < EXACT) return now;
  }
}

/** By place: how often the menus will be used, per link in full sight, by a visitor who is there and has not used them yet. */
export function menuUses(graph: VisitGraph): Float64Array {
  const { places, linksFrom, linkTo, linkChance, menuChance } = graph;
  const uses = menuChance.slice();
  for (let change = 1; change >= EXACT;) {
    change = 0;
    // From the last to the first, each with what is known by then: half as many rounds as taking turns.
    for (let i = places - 1; i >= 0; i--) {
      let sum = menuChance[i]!;
      for (let at = linksFrom[i]!; at < linksFrom[i + 1]!; at++) sum += linkChance[at]! * uses[linkTo[at]!]!;
      change = Math.max(change, Math.abs(sum - uses[i]!));
      uses[i] = sum;
    }
  }
  return uses;
}

/**
 * Expected comings to the places near one, for a visitor who is there and does not use the menus; the start counts as one.
 * Cost: the links within reach of the tolerance.
 */
export class Nearby {
  readonly #sums: Float64Array;
  readonly #rest: Float64Array;
  readonly #isQueued: Uint8Array;
  readonly #met: number[] = [];

  constructor(
    readonly graph: VisitGraph,
    readonly tolerance: number,
  ) {
    this.#sums = new Float64Array(graph.places);
    this.#rest = new Float64Array(graph.places);
    this.#isQueued = new Uint8Array(graph.places);
  }

  /** By place; holds until it is asked again. */
  from(start: number): Float64Array {
    const { linksFrom, linkTo, linkChance } = this.graph;
    const [sums, rest, isQueued, met] = [this.#sums, this.#rest, this.#isQueued, this.#met];
    for (const place of met) {
      sums[place] = 0;
      rest[place] = 0;
    }
    met.length = 0;
    const queue = [start];
    rest[start] = 1;
    isQueued[start] = 1;
    met.push(start);
    for (let head = 0; head < queue.length; head++) {
      const place = queue[head]!;
      isQueued[place] = 0;
      const chance = rest[place]!;
      rest[place] = 0;
      sums[place]! += chance;
      for (let at = linksFrom[place]!; at < linksFrom[place + 1]!; at++) {
        const to = linkTo[at]!;
        const before = rest[to]!;
        const after = before + chance * linkChance[at]!;
        if (before === 0 && sums[to] === 0) met.push(to);
        rest[to] = after;
        if (after > this.tolerance && isQueued[to] === 0) {
          isQueued[to] = 1;
          queue.push(to);
        }
      }
    }
    // What was not followed any further is still where it came to.
    for (const place of met) sums[place]! += rest[place]!;
    return sums;
  }
}
