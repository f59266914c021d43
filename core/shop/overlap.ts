import type { Bitset } from '../search/bitset';
import type { Shop } from './shop';

interface SharedGoods {
  a: string;
  b: string;
  /** products in both */
  shared: number;
}

export interface Overlap {
  /** products in each collection, by its id */
  counts: Map<string, number>;
  /** pairs that share anything, those that share most first */
  pairs: SharedGoods[];
  /** listed products by how many collections they are in, from 0 on */
  spread: number[];
}

/**
 * Which collections share how many of the listed products at `now` (seconds since 1970), and how many collections a product
 * is in. Walks each product's collections: O(products × their collections²).
 */
export function overlapOf(shop: Shop, now: number): Overlap {
  const ids = [...shop.collections.keys()];
  const sets: Bitset[] = ids.map((id) => shop.memberships.of(id, now));
  const of: number[][] = [];
  sets.forEach((set, i) => set.forEach((slot) => (of[slot] ??= []).push(i)));
  const shared = new Uint32Array(ids.length * ids.length);
  const spread: number[] = [0];
  shop.listed.forEach((slot) => {
    const own = of[slot] ?? [];
    spread[own.length] = (spread[own.length] ?? 0) + 1;
    for (let i = 0; i < own.length; i++)
      for (let j = i + 1; j < own.length; j++) shared[own[i]! * ids.length + own[j]!]!++;
  });
  const pairs: SharedGoods[] = [];
  for (let i = 0; i < ids.length; i++)
    for (let j = i + 1; j < ids.length; j++) {
      const count = shared[i * ids.length + j]!;
      if (count > 0) pairs.push({ a: ids[i]!, b: ids[j]!, shared: count });
    }
  pairs.sort((x, y) => y.shared - x.shared || (x.a + x.b < y.a + y.b ? -1 : 1));
  return {
    counts: new Map(ids.map((id, i) => [id, sets[i]!.count()])),
    pairs,
    spread: Array.from(spread, (count) => count ?? 0),
  };
}
