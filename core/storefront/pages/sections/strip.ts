import type { SectionOf } from '../../../model/sections/sections';
import { isOpen } from '../../../shop/open-groups';
import type { ResolvedShop } from '../../../shop/resolved-shop';
import { cardOf } from '../../card';
import { type ProductCard } from '../../views';
import { firstSlots } from '../place-goods';
import { targetLink, targetName } from '../targets';
import type { SectionGoods, SectionPart } from './section-part';

interface StripView {
  kind: 'strip';
  title: string;
  items: ProductCard[];
  total: number;
  more: string | null;
}

type Strip = SectionOf<'strip'>;

/** A title of its own, or the name of what it shows. */
const titleOf = (shop: ResolvedShop, { title, source }: Strip) => title || (source && targetName(shop, source)) || '';

/** Brands and tags without a listing of their own can fill a strip all the same. */
const isShut = (shop: ResolvedShop, source: NonNullable<Strip['source']>) =>
  (source.kind === 'collection' || source.kind === 'category') && !isOpen(shop, source);

function goodsOf(shop: ResolvedShop, { source, count }: Strip, now: number): SectionGoods {
  if (!source || isShut(shop, source)) return { slots: [], total: 0 };
  return firstSlots(shop, { kind: source.kind, id: source.id }, count, now);
}

function warningsOf(shop: ResolvedShop, { source, count }: Strip, slots: readonly number[]): string[] {
  const warnings: string[] = [];
  if (!source) warnings.push('Choose what this strip shows.');
  else if (isShut(shop, source))
    warnings.push(`Its ${source.kind} is not on the shop now: shoppers do not see this strip.`);
  else if (slots.length === 0) warnings.push('Nothing to show: shoppers do not see this strip.');
  else if (slots.length < count) warnings.push(`${slots.length} of ${count}: nothing more to show.`);
  const bare = slots.filter((slot) => !shop.products.get(shop.index.id(slot))!.pictures[0]).length;
  if (bare > 0) warnings.push(bare === 1 ? 'One product has no picture.' : `${bare} products have no picture.`);
  const soldOut = slots.filter((slot) => shop.facts(shop.index.id(slot))!.stock === 0).length;
  if (soldOut > 0) warnings.push(soldOut === 1 ? 'One product is sold out.' : `${soldOut} products are sold out.`);
  return warnings;
}

export const strip: SectionPart<'strip', StripView> = {
  view: (shop, section, now) => {
    const { slots, total } = goodsOf(shop, section, now);
    return {
      kind: 'strip',
      title: titleOf(shop, section),
      items: slots.map((slot) => cardOf(shop, slot)),
      total,
      more: (section.source && targetLink(shop, section.source)?.url) ?? null,
    };
  },
  title: titleOf,
  goods: goodsOf,
  summary: (shop, section, now) => {
    const { slots, total } = goodsOf(shop, section, now);
    return {
      faces: slots,
      shown: slots.length,
      available: total,
      warnings: warningsOf(shop, section, slots),
    };
  },
};
