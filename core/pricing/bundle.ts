import { lessPercent } from './price';

/** A product that may stand in a slot. Prices in minor units, of one piece. */
export interface BundlePart {
  id: string;
  /** price of its cheapest and of its dearest variant that can be had */
  low: number;
  high: number;
  /** pieces of all its variants; Infinity when they are not counted */
  stock: number;
}

export interface SlotParts {
  min: number;
  max: number;
  parts: readonly BundlePart[];
}

export interface BundleStock {
  /** how often the bundle can be made; Infinity when nothing in it is counted */
  stock: number;
  /** the slots, by place, that run out first; empty when there is no end to it */
  scarce: number[];
}

const stockOf = (parts: Iterable<BundlePart>) => {
  let sum = 0;
  for (const { stock } of parts) sum += stock;
  return sum;
};

/**
 * How often a bundle can be made from its parts, a product in several slots counted once. Some slots can be filled k
 * times exactly if every choice of them finds k times its fewest pieces among the products that may stand in any of
 * them (Hall's condition), so the scarcest choice tells. When every slot may stay empty, the pieces of all parts are
 * told instead. O(2^slots × parts).
 */
export function bundleStock(slots: readonly SlotParts[]): BundleStock {
  const needed = slots.flatMap((slot, at) => (slot.min > 0 ? [{ ...slot, at }] : []));
  if (needed.length === 0) {
    const parts = new Map(slots.flatMap((slot) => slot.parts.map((part) => [part.id, part])));
    return { stock: stockOf(parts.values()), scarce: [] };
  }
  let least: BundleStock = { stock: Infinity, scarce: [] };
  for (let chosen = 1; chosen < 1 << needed.length; chosen++) {
    const some = needed.filter((_, i) => (chosen & (1 << i)) !== 0);
    const parts = new Map(some.flatMap((slot) => slot.parts.map((part) => [part.id, part])));
    const stock = Math.floor(stockOf(parts.values()) / some.reduce((sum, { min }) => sum + min, 0));
    if (stock < least.stock) least = { stock, scarce: some.map(({ at }) => at) };
  }
  return least;
}

/** Of the parts that can be had; of all, where none can. */
const ofThoseThere = (parts: readonly BundlePart[]) => {
  const there = parts.filter(({ stock }) => stock > 0);
  return there.length > 0 ? there : parts;
};

/**
 * The lowest and the highest sum that a bundle priced by its parts can come to, less `off` basis points; rounded once.
 * When every slot may stay empty, the lowest is one piece of the cheapest part.
 */
export function bundlePrice(slots: readonly SlotParts[], off: number): { low: number; high: number } {
  const ends = slots.flatMap(({ min, max, parts }) => {
    const there = ofThoseThere(parts);
    if (there.length === 0) return [];
    return [
      { min, max, low: Math.min(...there.map(({ low }) => low)), high: Math.max(...there.map(({ high }) => high)) },
    ];
  });
  if (ends.length === 0) return { low: 0, high: 0 };
  const isOpen = ends.every(({ min }) => min === 0);
  const low = isOpen ? Math.min(...ends.map((end) => end.low)) : ends.reduce((sum, end) => sum + end.min * end.low, 0);
  const high = ends.reduce((sum, end) => sum + end.max * end.high, 0);
  return { low: lessPercent(low, off), high: lessPercent(high, off) };
}
