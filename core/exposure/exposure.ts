import type { VisitGraph } from './visit-graph';
import { comings, menuUses, Nearby, TOLERANCE } from './visits';

/** Stands for the page of the product itself among the places that show it. */
export const OWN_PAGE = -1;

/** A place at which visits see a product. */
interface Sighting {
  /** `OWN_PAGE`, or a place of the graph */
  place: number;
  /** the chance that a visit sees the product there before anywhere else */
  first: number;
}

export interface Exposures {
  /** by product: the chance that a visit sees it at least once */
  products: Float64Array;
  /** by place: how often a visit comes there */
  entries: Float64Array;
  /** by place: the chance that a visit comes there at all */
  reached: Float64Array;
  /** where a product is seen first, the likeliest place first; together its exposure */
  sightings: (product: number) => Sighting[];
}

/** Of a product in more places than this, those where visits hardly come are left out of the sum. */
const MOST_PLACES = 240;
/** Rounds of a system that is solved by going round; one that takes longer is solved by elimination. */
const MOST_ROUNDS = 30;
const SETTLED = 1e-10;

/** Solves a full system in place, by elimination with the largest pivot. O(size³). */
function eliminate(matrix: Float64Array, right: Float64Array, size: number): void {
  for (let k = 0; k < size; k++) {
    let pivot = k;
    for (let i = k + 1; i < size; i++)
      if (Math.abs(matrix[i * size + k]!) > Math.abs(matrix[pivot * size + k]!)) pivot = i;
    if (pivot !== k) {
      for (let j = k; j < size; j++) {
        const other = matrix[k * size + j]!;
        matrix[k * size + j] = matrix[pivot * size + j]!;
        matrix[pivot * size + j] = other;
      }
      const other = right[k]!;
      right[k] = right[pivot]!;
      right[pivot] = other;
    }
    const head = matrix[k * size + k]!;
    for (let i = k + 1; i < size; i++) {
      const factor = matrix[i * size + k]! / head;
      if (factor === 0) continue;
      for (let j = k + 1; j < size; j++) matrix[i * size + j]! -= factor * matrix[k * size + j]!;
      right[i]! -= factor * right[k]!;
    }
  }
  for (let i = size - 1; i >= 0; i--) {
    let sum = right[i]!;
    for (let j = i + 1; j < size; j++) sum -= matrix[i * size + j]! * right[j]!;
    right[i] = sum / matrix[i * size + i]!;
  }
}

/**
 * Solves a full system into `out`. What is away from the diagonal is small where visits seldom come back, so going round
 * settles within a few rounds: O(size²) for each. Where it does not, O(size³).
 */
function solve(matrix: Float64Array, right: Float64Array, size: number, out: Float64Array): void {
  for (let i = 0; i < size; i++) out[i] = right[i]!;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let change = 0;
    for (let i = 0; i < size; i++) {
      let sum = right[i]!;
      const row = i * size;
      for (let j = 0; j < size; j++) sum -= matrix[row + j]! * out[j]!;
      const step = sum / matrix[row + i]!;
      out[i]! += step;
      change = Math.max(change, Math.abs(step));
    }
    if (change < SETTLED) return;
  }
  for (let i = 0; i < size; i++) out[i] = right[i]!;
  eliminate(matrix, out, size);
}

/** The cards of each product that are taken into account, as places in the graph's arrays: a flat list, and where each begins. */
function cardsUsed({ cardsFrom, cardPlace, cardSeen, pageOf }: VisitGraph, entries: Float64Array) {
  const products = pageOf.length;
  const from = new Uint32Array(products + 1);
  const cards = new Uint32Array(cardPlace.length);
  let length = 0;
  for (let p = 0; p < products; p++) {
    const [first, end] = [cardsFrom[p]!, cardsFrom[p + 1]!];
    if (pageOf[p]! >= 0 && end - first <= MOST_PLACES) for (let at = first; at < end; at++) cards[length++] = at;
    else if (pageOf[p]! >= 0) {
      const value = (at: number) => entries[cardPlace[at]!]! * cardSeen[at]!;
      const all = Array.from({ length: end - first }, (_, i) => first + i).sort((a, b) => value(b) - value(a) || a - b);
      for (const at of all.slice(0, MOST_PLACES)) cards[length++] = at;
    }
    from[p + 1] = length;
  }
  return { from, cards };
}

/** Lists of pairs by the first of them: those of `key` are from `from[key]` to `from[key + 1]`. */
class PairsByKey {
  readonly from: Uint32Array;
  readonly a: Uint32Array;
  readonly b: Uint32Array;

  constructor(keys: number, each: (tell: (key: number, a: number, b: number) => void) => void) {
    this.from = new Uint32Array(keys + 1);
    each((key) => void this.from[key + 1]!++);
    for (let key = 0; key < keys; key++) this.from[key + 1]! += this.from[key]!;
    const next = this.from.slice(0, keys);
    this.a = new Uint32Array(this.from[keys]!);
    this.b = new Uint32Array(this.from[keys]!);
    each((key, a, b) => {
      const at = next[key]!++;
      this.a[at] = a;
      this.b[at] = b;
    });
  }
}

/**
 * The exposure of every product. With y the expected comings of visitors who have not seen the product yet, x those of all,
 * N what comes after and s the chance of seeing it at each place, y = x − (Nᵀ − 1) S y; the exposure is s · y. Only the
 * places that show the product matter, so each is one small system. O(places × what is near + Σ places of a product²).
 */
export function exposuresOf(graph: VisitGraph, tolerance = TOLERANCE): Exposures {
  const { places, cardPlace, cardSeen, cardChance, pageOf, menu, menuTo, begins, beginsAt } = graph;
  const products = pageOf.length;
  const byLinks = comings(graph, begins);
  const byMenu = comings(graph, menu);
  const uses = menuUses(graph);
  const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, value, i) => sum + value * b[i]!, 0);
  // Sherman–Morrison: what a use of the menus adds, and all that follow from it.
  const again = 1 / (1 - dot(byMenu, graph.menuChance));
  const used = dot(byLinks, graph.menuChance) * again;
  const entries = byLinks.map((value, i) => value + used * byMenu[i]!);

  const { from: usedFrom, cards } = cardsUsed(graph, entries);
  /** by product: where its rows begin. A row for each of its cards, then one for its page: comings from there to each card. */
  const rowsFrom = new Uint32Array(products + 1);
  let most = 1;
  for (let p = 0; p < products; p++) {
    const count = usedFrom[p + 1]! - usedFrom[p]!;
    most = Math.max(most, count + 1);
    rowsFrom[p + 1] = rowsFrom[p]! + count * (count + 1);
  }
  const between = new Float64Array(rowsFrom[products]!);
  const rowsAt = new PairsByKey(places, (tell) => {
    for (let p = 0; p < products; p++) {
      const [first, end] = [usedFrom[p]!, usedFrom[p + 1]!];
      for (let at = first; at < end; at++) tell(cardPlace[cards[at]!]!, p, at - first);
      if (end > first) tell(pageOf[p]!, p, end - first);
    }
  });
  const reached = new Float64Array(places);
  const nearby = new Nearby(graph, tolerance);
  for (let place = 0; place < places; place++) {
    const near = nearby.from(place);
    reached[place] = entries[place]! / (near[place]! + uses[place]! * byMenu[place]! * again);
    for (let pair = rowsAt.from[place]!; pair < rowsAt.from[place + 1]!; pair++) {
      const p = rowsAt.a[pair]!;
      const [first, end] = [usedFrom[p]!, usedFrom[p + 1]!];
      let to = rowsFrom[p]! + rowsAt.b[pair]! * (end - first);
      for (let at = first; at < end; at++) between[to++] = near[cardPlace[cards[at]!]!]!;
    }
  }

  const matrix = new Float64Array(most * most);
  const [x, viaMenu, y] = [new Float64Array(most), new Float64Array(most), new Float64Array(most)];
  /** The first sightings of a product at each of its cards and then on its own page, in `y`; answers how many there are. */
  const findFirst = (p: number): number => {
    const first = usedFrom[p]!;
    const count = usedFrom[p + 1]! - first;
    const size = count + 1;
    // The page itself is come to by its cards, by the menus, and from outside.
    let toPage = beginsAt[p]!;
    let menuToPage = menuTo[p]!;
    for (let j = 0; j < count; j++) {
      const card = cards[first + j]!;
      const place = cardPlace[card]!;
      x[j] = entries[place]!;
      viaMenu[j] = byMenu[place]!;
      toPage += byLinks[place]! * cardChance[card]!;
      menuToPage += byMenu[place]! * cardChance[card]!;
    }
    viaMenu[count] = menuToPage;
    x[count] = toPage + used * menuToPage;
    for (let i = 0; i < size; i++) {
      const row = rowsFrom[p]! + i * count;
      const card = i < count ? cards[first + i]! : -1;
      const seen = card < 0 ? 1 : cardSeen[card]!;
      const menus = uses[card < 0 ? pageOf[p]! : cardPlace[card]!]! * again;
      let onToPage = 0;
      for (let j = 0; j < count; j++) {
        const after = between[row + j]!;
        onToPage += after * cardChance[cards[first + j]!]!;
        matrix[j * size + i] = (after + menus * viaMenu[j]! - Number(i === j)) * seen;
      }
      matrix[count * size + i] = (onToPage + menus * menuToPage) * seen;
      matrix[i * size + i]! += 1;
    }
    solve(matrix, x, size, y);
    for (let i = 0; i < count; i++) y[i]! *= cardSeen[cards[first + i]!]!;
    return size;
  };
  const exposure = new Float64Array(products);
  for (let p = 0; p < products; p++) {
    if (pageOf[p]! < 0) continue;
    const size = findFirst(p);
    let sum = 0;
    for (let i = 0; i < size; i++) sum += y[i]!;
    exposure[p] = sum;
  }
  return {
    products: exposure,
    entries,
    reached,
    sightings: (p) => {
      if (pageOf[p] === undefined || pageOf[p] < 0) return [];
      const size = findFirst(p);
      return Array.from({ length: size }, (_, i) => ({
        place: i < size - 1 ? cardPlace[cards[usedFrom[p]! + i]!]! : OWN_PAGE,
        first: y[i]!,
      }))
        .filter(({ first }) => first > 0)
        .sort((a, b) => b.first - a.first);
    },
  };
}
