import type { VisitGraph } from './visit-graph';
import { comings, menuUses, Nearby, TOLERANCE } from './visits';

/** Stands for the page of the product itself among the places that show it. */
export const OWN_PAGE = -1;

/** A place at which visits see a product. */
export interface Sighting {
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

/** Solves a full system in place, by elimination with the largest pivot. O(size³). */
function solve(matrix: Float64Array, right: Float64Array, size: number): Float64Array {
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
  return right;
}

/**
 * The exposure of every product. With y the expected comings of visitors who have not seen the product yet, x those of all,
 * N what comes after and s the chance of seeing it at each place, y = x − (Nᵀ − 1) S y; the exposure is s · y. Only the
 * places that show the product matter, so each is one small system. O(places × what is near + Σ places of a product³).
 */
export function exposuresOf(graph: VisitGraph, tolerance = TOLERANCE): Exposures {
  const { places, cardsFrom, cardPlace, cardSeen, cardChance, pageOf, menu, menuTo, begins, beginsAt } = graph;
  const products = pageOf.length;
  const byLinks = comings(graph, begins);
  const byMenu = comings(graph, menu);
  const uses = menuUses(graph);
  const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, value, i) => sum + value * b[i]!, 0);
  // Sherman–Morrison: what a use of the menus adds, and all that follow from it.
  const again = 1 / (1 - dot(byMenu, graph.menuChance));
  const used = dot(byLinks, graph.menuChance) * again;
  const entries = byLinks.map((value, i) => value + used * byMenu[i]!);

  // The places of each product that are taken into account, and room for what comes between them.
  const kept: Uint32Array[] = [];
  const sizes = new Uint32Array(products + 1);
  for (let p = 0; p < products; p++) {
    let own = cardPlace.slice(cardsFrom[p], cardsFrom[p + 1]);
    let at = own.map((_, i) => cardsFrom[p]! + i);
    if (own.length > MOST_PLACES) {
      at = at.sort((a, b) => entries[cardPlace[b]!]! * cardSeen[b]! - entries[cardPlace[a]!]! * cardSeen[a]!);
      at = at.slice(0, MOST_PLACES).sort();
      own = at.map((each) => cardPlace[each]!);
    }
    kept.push(at);
    sizes[p + 1] = sizes[p]! + (pageOf[p]! < 0 ? 0 : own.length * (own.length + 1));
  }
  /** by product: a row for each of its places, then one for its page: comings from there to each of its places */
  const between = new Float64Array(sizes[products]!);
  const reached = new Float64Array(places);
  const nearby = new Nearby(graph, tolerance);
  const shownAt: [product: number, row: number][][] = Array.from({ length: places }, () => []);
  for (let p = 0; p < products; p++)
    if (pageOf[p]! >= 0) {
      kept[p]!.forEach((at, row) => shownAt[cardPlace[at]!]!.push([p, row]));
      if (kept[p]!.length > 0) shownAt[pageOf[p]!]!.push([p, kept[p]!.length]);
    }
  for (let place = 0; place < places; place++) {
    const near = nearby.from(place);
    reached[place] = entries[place]! / (near[place]! + uses[place]! * byMenu[place]! * again);
    for (const [p, row] of shownAt[place]!) {
      const at = kept[p]!;
      const from = sizes[p]! + row * at.length;
      for (let j = 0; j < at.length; j++) between[from + j] = near[cardPlace[at[j]!]!]!;
    }
  }

  /** The first sightings of a product by place, its own page last. */
  const firstSightings = (p: number): Float64Array => {
    const at = kept[p]!;
    const count = at.length;
    const size = count + 1;
    const from = sizes[p]!;
    const page = pageOf[p]!;
    const place = (i: number) => (i < count ? cardPlace[at[i]!]! : page);
    // The page itself is come to by its cards, the menus, and from outside.
    const toPage = (row: (j: number) => number) => {
      let sum = 0;
      for (let j = 0; j < count; j++) sum += row(j) * cardChance[at[j]!]!;
      return sum;
    };
    const x = new Float64Array(size);
    const viaMenu = new Float64Array(size);
    for (let j = 0; j < count; j++) {
      x[j] = entries[place(j)]!;
      viaMenu[j] = byMenu[place(j)]!;
    }
    viaMenu[count] = menuTo[p]! + toPage((j) => viaMenu[j]!);
    x[count] = beginsAt[p]! + toPage((j) => byLinks[place(j)]!) + used * viaMenu[count]!;
    const seen = (i: number) => (i < count ? cardSeen[at[i]!]! : 1);
    const matrix = new Float64Array(size * size);
    for (let i = 0; i < size; i++) {
      const row = (j: number) => between[from + i * count + j]!;
      const menus = uses[place(i)]! * again;
      for (let j = 0; j < size; j++) {
        const local = j < count ? row(j) : toPage(row) + Number(i === count);
        const after = local + menus * viaMenu[j]! - Number(i === j);
        matrix[j * size + i] = Number(i === j) + after * seen(i);
      }
    }
    const first = solve(matrix, x, size);
    for (let i = 0; i < size; i++) first[i]! *= seen(i);
    return first;
  };
  const exposure = new Float64Array(products);
  for (let p = 0; p < products; p++)
    if (pageOf[p]! >= 0) exposure[p] = firstSightings(p).reduce((sum, value) => sum + value, 0);
  return {
    products: exposure,
    entries,
    reached,
    sightings: (p) => {
      if (pageOf[p] === undefined || pageOf[p] < 0) return [];
      const first = firstSightings(p);
      return [...first]
        .map((value, i) => ({ place: i < kept[p]!.length ? cardPlace[kept[p]![i]!]! : OWN_PAGE, first: value }))
        .filter((sighting) => sighting.first > 0)
        .sort((a, b) => b.first - a.first);
    },
  };
}
