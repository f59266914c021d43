import type { Bitset } from '../search/bitset';
import type { Shop } from '../shop/shop';
import { facetSources, numberAttributes, placeSet, spanOfAttribute, type ListingPlace } from './listing-view';

/** A filter that a place could have, and how well it divides the goods there. */
export interface FilterWorth {
  key: string;
  label: string;
  type: 'choice' | 'range';
  /** different values among the goods */
  values: number;
  /** goods that say anything of it, from 0 to 1 */
  filled: number;
  /**
   * bits by which one choice narrows the goods on average: 1 where it halves them. 0 where it tells nothing, and shoppers
   * do not get it
   */
  gain: number;
  /** where it stands while the seller says nothing, from 0 */
  place: number;
}

/** A filter in numbers is as good as one of so many equal spans. */
const SPANS = 5;

/**
 * What one choice narrows on average, for a shopper who is after any of `total` goods and picks one of its values: the
 * expected log2 of how many times fewer goods are left. `counts`: goods of each value; `filled`: goods that have any.
 */
export function choiceGain(counts: readonly number[], filled: number, total: number): number {
  const all = counts.reduce((sum, count) => sum + count, 0);
  if (total === 0 || all === 0) return 0;
  const narrowed = counts.reduce((sum, count) => sum + (count === 0 ? 0 : (count / all) * Math.log2(total / count)), 0);
  return (filled / total) * narrowed;
}

/** The same for a filter in numbers, of which a shopper takes a fifth: it divides by its different values, five at most. */
export function rangeGain(values: readonly number[], total: number): number {
  if (total === 0 || values.length === 0) return 0;
  const sorted = [...values].sort((a, b) => a - b);
  const spans = new Map<number, number>();
  let first = 0;
  for (let i = 0; i < sorted.length; i++) {
    // What has the same number falls into the same span.
    if (sorted[i] !== sorted[first]) first = i;
    const span = Math.floor((first * SPANS) / sorted.length);
    spans.set(span, (spans.get(span) ?? 0) + 1);
  }
  return choiceGain([...spans.values()], sorted.length, total);
}

function numbersIn(shop: Shop, column: string, goods: Bitset): number[] {
  const at = shop.index.column(column);
  const numbers: number[] = [];
  goods.forEach((slot) => {
    const number = at[slot]!;
    if (Number.isFinite(number)) numbers.push(number);
  });
  return numbers;
}

/** All filters that the goods of a place could have, the one that divides them best first. O(filters × goods). */
export function filterWorths(shop: Shop, at: ListingPlace, now: number): FilterWorth[] {
  const goods = placeSet(shop, at, now);
  const total = goods.count();
  const worths: Omit<FilterWorth, 'place'>[] = facetSources(shop, at, new Map()).map((source) => {
    const any = goods.clone().clear();
    const counts: number[] = [];
    for (const [value, id] of shop.index.facet(source.facet)?.values ?? []) {
      if (source.among && !source.among.has(value)) continue;
      const having = goods.clone().and(shop.index.facets.values[id]!.products);
      counts.push(having.count());
      any.or(having);
    }
    const filled = any.count();
    const gain = choiceGain(counts, filled, total);
    return {
      key: source.key,
      label: source.label,
      type: 'choice',
      values: counts.filter((count) => count > 0).length,
      filled: total === 0 ? 0 : filled / total,
      gain,
    };
  });
  const range = (key: string, label: string, column: string) => {
    const numbers = numbersIn(shop, column, goods);
    worths.push({
      key,
      label,
      type: 'range',
      values: new Set(numbers).size,
      filled: total === 0 ? 0 : numbers.length / total,
      gain: rangeGain(numbers, total),
    });
  };
  range('price', 'Price', 'price');
  for (const attribute of numberAttributes(shop)) {
    const { name, low } = spanOfAttribute(attribute);
    range(name, shop.fields.get(name)?.label ?? attribute.name, low);
  }
  const [first, ...others] = worths;
  const price = others.find(({ key }) => key === 'price')!;
  const usual = [first!, price, ...others.filter((each) => each !== price)];
  return usual.map((each, place) => ({ ...each, place })).sort((a, b) => b.gain - a.gain || (a.key < b.key ? -1 : 1));
}
