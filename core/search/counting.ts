import type { Bitset } from './bitset';
import type { FinderIndex } from './finder-index';

/** What looking for one facet among a product's values costs, in words of two bitsets that could be intersected instead. */
const LOOK_COST = 6;

/**
 * How many of `products` have each value, by value id, for all facets. `passing`: variants of which one must own a value of
 * a variant; each product owns at least one of them. Linear in the values of the products, or in those of all others when
 * these are fewer.
 */
export function countAll(index: FinderIndex, products: Bitset, passing?: Bitset): Uint32Array {
  const counts = new Uint32Array(index.facets.values.length);
  const slots = index.scratch.slots(index.alive.size);
  if (products.count() * 2 <= index.size) {
    const total = products.writeSlots(slots);
    if (passing) addExact(index, counts, slots, total, passing.words);
    else addLists(index, counts, slots, total);
    return counts;
  }
  const others = index.scratch.copy(index.alive).andNot(products);
  addLists(index, counts, slots, others.writeSlots(slots));
  for (let id = 0; id < counts.length; id++) counts[id] = index.facets.totals[id]! - counts[id]!;
  if (passing) correct(index, counts, slots, products.writeSlots(slots), passing.words);
  return counts;
}

/** The same for the values of one facet; of the others' counts nothing is said. */
export function countFacet(index: FinderIndex, name: string, products: Bitset, passing?: Bitset): Uint32Array {
  const counts = new Uint32Array(index.facets.values.length);
  const facet = index.facet(name);
  if (!facet) return counts;
  const { values, onVariants } = facet;
  const slots = index.scratch.slots(index.alive.size);
  const matching = products.count();
  if (onVariants && passing) {
    const seen = unseen(counts);
    const total = products.writeSlots(slots);
    for (let s = 0; s < total; s++) addPassing(index, counts, seen, slots[s]!, passing.words);
    return counts;
  }
  const isFew = matching * 2 <= index.size;
  if (values.size * products.words.length < LOOK_COST * (isFew ? matching : index.size - matching)) {
    for (const id of values.values()) counts[id] = index.facets.values[id]!.products.countAnd(products);
    return counts;
  }
  const walked = isFew ? products : index.scratch.copy(index.alive).andNot(products);
  addFacet(index, counts, facet.number, onVariants, slots, walked.writeSlots(slots));
  if (!isFew) for (const id of values.values()) counts[id] = index.facets.totals[id]! - counts[id]!;
  return counts;
}

/**
 * Counts the ids between two places of a pool. This loop is where a listing spends its time: eight ids a turn spare the
 * engine from looking the arrays up again for each, and make it twice as quick.
 */
function addRun(counts: Uint32Array, pool: ArrayLike<number>, from: number, to: number): void {
  let i = from;
  for (; i + 7 < to; i += 8) {
    counts[pool[i]!]!++;
    counts[pool[i + 1]!]!++;
    counts[pool[i + 2]!]!++;
    counts[pool[i + 3]!]!++;
    counts[pool[i + 4]!]!++;
    counts[pool[i + 5]!]!++;
    counts[pool[i + 6]!]!++;
    counts[pool[i + 7]!]!++;
  }
  for (; i < to; i++) counts[pool[i]!]!++;
}

function addLists(index: FinderIndex, counts: Uint32Array, slots: Uint32Array, total: number): void {
  const { rows, pool } = index.valuesOf;
  for (let s = 0; s < total; s++) {
    const slot = slots[s]!;
    const start = rows[slot * 2]!;
    addRun(counts, pool, start, start + (rows[slot * 2 + 1]! & 0xffff));
  }
}

/** Own values of each product, and those of its passing variants, each once. */
function addExact(
  index: FinderIndex,
  counts: Uint32Array,
  slots: Uint32Array,
  total: number,
  passing: Uint32Array,
): void {
  const { rows, pool } = index.valuesOf;
  const seen = unseen(counts);
  for (let s = 0; s < total; s++) {
    const slot = slots[s]!;
    const failing = hasFailing(index, slot, passing);
    const start = rows[slot * 2]!;
    const lengths = rows[slot * 2 + 1]!;
    // Where all variants pass, the list says all there is to count.
    addRun(counts, pool, start, start + (failing ? lengths >>> 16 : lengths & 0xffff));
    if (failing) addPassing(index, counts, seen, slot, passing);
  }
}

/** Makes the counts of variants' values exact where they were counted for products some of whose variants do not pass. */
function correct(
  index: FinderIndex,
  counts: Uint32Array,
  slots: Uint32Array,
  total: number,
  passing: Uint32Array,
): void {
  const { rows, pool } = index.valuesOf;
  const seen = unseen(counts);
  for (let s = 0; s < total; s++) {
    const slot = slots[s]!;
    if (!hasFailing(index, slot, passing)) continue;
    const lengths = rows[slot * 2 + 1]!;
    const end = rows[slot * 2]! + (lengths & 0xffff);
    for (let i = rows[slot * 2]! + (lengths >>> 16); i < end; i++) counts[pool[i]!]!--;
    addPassing(index, counts, seen, slot, passing);
  }
}

/** By value id, the product for which it was counted last: none yet. */
const unseen = (counts: Uint32Array) => new Int32Array(counts.length).fill(-1);

function hasFailing(index: FinderIndex, slot: number, passing: Uint32Array): boolean {
  const first = index.variants.start(slot);
  const last = first + index.variants.count(slot);
  for (let variant = first; variant < last; variant++)
    if ((passing[variant >>> 5]! & (1 << (variant & 31))) === 0) return true;
  return false;
}

/** Counts the values of those variants of a product that pass, each once. */
function addPassing(
  index: FinderIndex,
  counts: Uint32Array,
  seen: Int32Array,
  slot: number,
  passing: Uint32Array,
): void {
  const { rows, pool } = index.variantValuesOf;
  const first = index.variants.start(slot);
  const last = first + index.variants.count(slot);
  for (let variant = first; variant < last; variant++) {
    if ((passing[variant >>> 5]! & (1 << (variant & 31))) === 0) continue;
    let i = rows[variant * 2]!;
    const end = i + (rows[variant * 2 + 1]! & 0xffff);
    for (; i < end; i++) {
      const id = pool[i]!;
      if (seen[id] === slot) continue;
      seen[id] = slot;
      counts[id]!++;
    }
  }
}

/** Own values stand by facet, so that looking ends behind the wanted one; those of variants stand behind them, as they come. */
function addFacet(
  index: FinderIndex,
  counts: Uint32Array,
  facet: number,
  onVariants: boolean,
  slots: Uint32Array,
  total: number,
): void {
  const { rows, pool } = index.valuesOf;
  const { facetOf } = index.facets;
  for (let s = 0; s < total; s++) {
    const slot = slots[s]!;
    const start = rows[slot * 2]!;
    const lengths = rows[slot * 2 + 1]!;
    const own = start + (lengths >>> 16);
    if (onVariants) {
      const end = start + (lengths & 0xffff);
      for (let i = own; i < end; i++) if (facetOf[pool[i]!] === facet) counts[pool[i]!]!++;
      continue;
    }
    for (let i = start; i < own; i++) {
      const id = pool[i]!;
      const found = facetOf[id]!;
      if (found > facet) break;
      if (found === facet) counts[id]!++;
    }
  }
}
