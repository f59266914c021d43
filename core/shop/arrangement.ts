import { orderName, type Mix, type Order, type OrderKey } from '../model/order';
import type { Bitset } from '../search/bitset';
import { mixed } from '../shared/interleaving';
import type { ProductDocument } from '../model/document';
import type { FinderIndex } from '../search/finder-index';
import type { FieldRegistry } from '../rules/field';

/** What an order needs to know of a shop. */
export interface ShopOfGoods {
  /** its columns of `mixColumn` hold the same number for goods of the same `mixSort` */
  index: FinderIndex;
  fields: FieldRegistry;
}

/** How the goods of a group stand: these first, the others in this order. */
export interface Arrangement {
  pins: readonly string[];
  order: Order;
}

/** Numbers to sort by, by slot; NaN where a product has none. */
function numbersOf(shop: ShopOfGoods, { by }: OrderKey): ArrayLike<number> {
  if (by === 'title') return shop.index.order('title')!.ranks(shop.index.alive.size);
  return shop.index.column(by);
}

/** Column of the index in which goods that are alike for a mix have the same number. */
const mixColumn = (mix: Exclude<Mix, 'none'>) => `mix.${mix}`;

/** By what two products are alike for a mix; undefined for one that is unlike all others. */
export function mixSort(
  column: string,
  { brandId, categoryIds }: Pick<ProductDocument, 'brandId' | 'categoryIds'>,
): string | undefined {
  return (column === mixColumn('brand') ? brandId : categoryIds[0]) ?? undefined;
}

/** The slots spread so that neighbours differ. */
function spread({ index }: ShopOfGoods, slots: readonly number[], mix: Mix): number[] {
  if (mix === 'none') return [...slots];
  const sorts = index.column(mixColumn(mix));
  return mixed(slots, (slot) => (Number.isNaN(sorts[slot]!) ? undefined : sorts[slot]));
}

/**
 * The slots of `members` as they stand in a group: pins first, then by the keys of the order (those without a number last,
 * equal ones the newest first), mixed where that is asked for, and sold-out ones last of all, pins too, where that is asked
 * for. Total: the same members always stand alike. O(n log n).
 */
export function arranged(shop: ShopOfGoods, members: Bitset, { pins, order }: Arrangement): number[] {
  const { index } = shop;
  const rest = members.clone();
  const pinned: number[] = [];
  for (const id of pins) {
    const slot = index.slot(id);
    if (slot === undefined || !rest.has(slot)) continue;
    rest.delete(slot);
    pinned.push(slot);
  }
  const keys = order.keys.map((key) => ({ numbers: numbersOf(shop, key), sign: key.down ? -1 : 1 }));
  const newest = index.order('newest')!.ranks(index.alive.size);
  const slots = rest.toArray().sort((a, b) => {
    for (const { numbers, sign } of keys) {
      const [x, y] = [numbers[a]!, numbers[b]!];
      if (x === y) continue;
      // NaN stands last, whichever way the others are sorted.
      if (Number.isNaN(x) || Number.isNaN(y)) {
        if (Number.isNaN(x) && Number.isNaN(y)) continue;
        return Number.isNaN(x) ? 1 : -1;
      }
      return x < y ? -sign : sign;
    }
    return newest[a]! - newest[b]!;
  });
  const { mix } = order;
  const parts = order.soldOutLast ? partedBy(index.posting('status', 'soldOut'), [pinned, slots]) : [[pinned, slots]];
  return parts.flatMap(([first, others]) => [...first!, ...spread(shop, others!, mix)]);
}

function partedBy(set: Bitset | undefined, lists: number[][]): number[][][] {
  if (!set) return [lists];
  return [false, true].map((isIn) => lists.map((list) => list.filter((slot) => set.has(slot) === isIn)));
}

/** Name of the finder's own order that an arrangement is, if it is one: that needs no sorting. */
export function finderOrder({ pins, order }: Arrangement): string | undefined {
  return pins.length === 0 ? orderName(order) : undefined;
}

/** An order in words, with the names that fields have in this shop. */
export function orderOf(shop: ShopOfGoods, order: Order): string {
  return orderWords(order, (by) => shop.fields.get(by)?.label);
}

/** Keys by which goods can be ordered, with their words: fields of numbers, dates and money, the title, and featured. */
export function orderFields(shop: ShopOfGoods): { by: string; label: string }[] {
  const fields = [...shop.fields.values()].filter(
    ({ type }) => type === 'number' || type === 'money' || type === 'date',
  );
  return [
    { by: 'featured', label: 'Featured' },
    { by: 'title', label: 'Title' },
    ...fields.map(({ key, label }) => ({ by: key, label })),
  ];
}

const mixWords: Record<Mix, string> = {
  none: '',
  brand: ', spread so that neighbours differ in brand',
  category: ', spread so that neighbours differ in category',
};

/** An order in words: "margin, highest first; then title; sold out last". */
function orderWords(order: Order, labelOf: (by: string) => string | undefined): string {
  const keys = order.keys.map(({ by, down }) => keyWords(by, down, labelOf(by)));
  return `${keys.join(', then ')}${mixWords[order.mix]}${order.soldOutLast ? '; sold out last' : ''}`;
}

export function keyWords(by: string, down: boolean, label: string | undefined): string {
  if (by === 'featured') return down ? 'featured first' : 'featured last';
  if (by === 'created') return down ? 'newest first' : 'oldest first';
  if (by === 'title') return down ? 'title, Z to A' : 'title, A to Z';
  if (label === undefined) return 'something deleted';
  return `${label.toLowerCase()}, ${down ? 'highest' : 'lowest'} first`;
}
