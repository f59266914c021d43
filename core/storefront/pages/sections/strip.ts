import { orderOf, arranged } from '../../../shop/arrangement';
import { LAST } from '../../../shop/facts';
import { isOpen, type GroupRef } from '../../../shop/open-groups';
import type { Shop } from '../../../shop/shop';
import { FEATURED_FIRST, NEWEST_FIRST, orderName, type Order } from '../../../model/order';
import { cardParts } from '../../../model/card-choices';
import { ownSourceOf, type OwnSource, type StripSource } from '../../../model/sections/strip';
import type { SectionOf } from '../../../model/sections/sections';
import { membersOf } from '../../../rules/members';
import { sentenceOf } from '../../../rules/text/sentence';
import { Bitset } from '../../../search/bitset';
import { list } from '../../../search/listing';
import { localDay } from '../../../shared/moment';
import { cardOf } from '../../card';
import { ownOrder, placeSet } from '../../listing-view';
import { type ProductCard } from '../../views';
import { choiceOfDay } from '../rotation';
import type { Scene } from '../scene';
import { targetLink, targetName } from '../targets';
import type { Above, SectionGoods, SectionPart, WhyHere, WhySkipped } from './section-part';

type Strip = SectionOf<'strip'>;

interface StripView extends Pick<Strip, 'columns' | 'phoneColumns' | 'shape' | 'fewer' | 'without' | 'emptyWords'> {
  kind: 'strip';
  title: string;
  subtitle: string;
  items: ProductCard[];
  total: number;
  more: string | null;
  moreWords: string;
  /** filled in the browser, from what this shopper has seen or put into the basket */
  own: OwnSource | null;
  count: number;
}

const asGroup = (source: StripSource | null): GroupRef | undefined =>
  source && 'id' in source ? { kind: source.kind, id: source.id } : undefined;

/** What a source is called: the name of its group, or what it is. */
function nameOfSource(shop: Shop, source: StripSource | null): string {
  if (!source) return '';
  if ('id' in source) return targetName(shop, source) ?? '';
  return source.kind === 'rule' || source.kind === 'picked' ? '' : shop.say(`strip.${source.kind}`);
}

/** A title of its own, or the name of what it shows. */
const titleOf = (shop: Shop, { title, source }: Strip) => title || nameOfSource(shop, source);

/** Brands and tags without a listing of their own can fill a strip all the same. */
const isShut = (shop: Shop, { kind, id }: GroupRef) =>
  (kind === 'collection' || kind === 'category') && !isOpen(shop, { kind, id });

const soldOrder = (days: number): Order => ({
  keys: [{ by: `sold${days}`, down: true }],
  mix: 'none',
  soldOutLast: false,
});

/** Those that a source has, and the order that it has them in: slots, or the name of an order. */
function sourceOf(shop: Shop, source: StripSource, now: number): { set: Bitset; order: string | number[] } {
  const posting = (facet: string) => shop.listed.clone().and(shop.index.posting(facet, 'yes') ?? new Bitset(0));
  switch (source.kind) {
    case 'rule':
      return { set: membersOf(source.rule, shop.index, shop.fields, now).and(shop.listed), order: 'featured' };
    case 'picked': {
      const order = source.ids.flatMap((id) => shop.index.slot(id) ?? []);
      const set = new Bitset(shop.listed.size);
      for (const slot of order) set.add(slot);
      return { set: set.and(shop.listed), order };
    }
    case 'featured':
      return { set: posting('featured'), order: 'featured' };
    case 'onSale':
      return { set: posting('onSale'), order: 'featured' };
    case 'newest':
      return { set: shop.listed.clone(), order: 'newest' };
    case 'bestSold': {
      const column = shop.index.column(`sold${source.days}`);
      const set = shop.index.whereNumber(column, 1, Infinity, shop.listed);
      return { set, order: arranged(shop, set, { pins: [], order: soldOrder(source.days) }) };
    }
    case 'recentlySeen':
    case 'goesWithBasket':
      return { set: new Bitset(shop.listed.size), order: 'featured' };
    default: {
      const at = { kind: source.kind, id: source.id };
      if (isShut(shop, at)) return { set: new Bitset(shop.listed.size), order: 'featured' };
      return { set: placeSet(shop, at, now), order: ownOrder(shop, at, now) };
    }
  }
}

/**
 * The goods of a strip: those that are held here first, then those of its source in order, or those whose turn it is today;
 * without those that it is to skip.
 */
function goodsOf(shop: Shop, section: Strip, { now, daysOn = 0 }: Scene, above: Above): SectionGoods {
  const { source, count } = section;
  if (!source) return { slots: [], why: [], skipped: [], total: 0 };
  const { set, order: own } = sourceOf(shop, source, now);
  const pinned = section.pins.flatMap((id) => shop.index.slot(id) ?? []).filter((slot) => shop.listed.has(slot));
  for (const slot of pinned) set.add(slot);
  const isLeftOut = new Set(section.leftOut.flatMap((id) => shop.index.slot(id) ?? []));
  const skipped: SectionGoods['skipped'] = [];
  const total = set.count() - [...isLeftOut].filter((slot) => set.has(slot)).length;
  const whyNot = (slot: number): WhySkipped | undefined => {
    if (isLeftOut.has(slot)) return 'leftOut';
    if (section.skipAbove && above.has(slot)) return 'above';
    const id = shop.index.id(slot);
    if (section.skipSoldOut && shop.facts(id)!.stock === 0) return 'soldOut';
    if (section.skipPictureless && shop.products.get(id)!.pictures.length === 0) return 'noPicture';
    return undefined;
  };
  const isPassed = (slot: number) => {
    const why = whyNot(slot);
    if (why !== undefined) skipped.push({ slot, why, ...(why === 'above' && { section: above.get(slot)! }) });
    return why !== undefined;
  };
  const slots = [...new Set(pinned)].filter((slot) => !isPassed(slot)).slice(0, count);
  const why: WhyHere[] = slots.map(() => 'pinned');
  for (const slot of pinned) set.delete(slot);

  const wanted = section.daily === null ? count - slots.length : Math.max(section.daily, count - slots.length);
  const sort = section.order
    ? (orderName(section.order) ?? arranged(shop, set, { pins: [], order: section.order }))
    : own;
  const rest: number[] = [];
  // Most strips have all they need among the first; who is passed over makes room for others further down.
  let offset = 0;
  while (rest.length < wanted) {
    const limit = Math.max(2 * wanted, 24) + offset;
    const last = source.kind === 'picked' ? undefined : shop.index.posting(LAST, 'yes');
    const found = list(shop.index, { base: set, sort, offset, limit, last }).slots;
    for (const slot of found) if (rest.length < wanted && !isPassed(slot)) rest.push(slot);
    offset += found.length;
    if (found.length < limit) break;
  }
  if (section.daily === null) {
    slots.push(...rest);
    why.push(...rest.map((): WhyHere => (source.kind === 'picked' ? 'picked' : 'ordered')));
  } else {
    const day = localDay(now * 1000, shop.settings.timeZone) + daysOn;
    const turn = choiceOfDay(rest, Math.min(count - slots.length, rest.length), section.id, day);
    slots.push(...turn);
    why.push(...turn.map((): WhyHere => 'turn'));
  }
  return { slots, why, skipped, total };
}

/** What decides the order of a strip: its own order, or that of its source. */
function orderWords(shop: Shop, { order, source }: Strip): string {
  if (order) return orderOf(shop, order);
  switch (source?.kind) {
    case 'newest':
      return orderOf(shop, NEWEST_FIRST);
    case 'bestSold':
      return orderOf(shop, soldOrder(source.days));
    case 'picked':
      return 'picked by hand';
    case 'collection': {
      const collection = shop.collections.get(source.id);
      return collection?.source === 'picked' ? 'as on its shelf' : orderOf(shop, collection?.order ?? FEATURED_FIRST);
    }
    case 'category':
      return orderOf(shop, shop.categories.get(source.id)?.order ?? FEATURED_FIRST);
    default:
      return orderOf(shop, FEATURED_FIRST);
  }
}

const pieces = (count: number, one: string, many: string) =>
  count === 1 ? `One product ${one}.` : `${count} products ${many}.`;

function warningsOf(shop: Shop, section: Strip, { slots }: SectionGoods): string[] {
  const { source, count, columns } = section;
  const warnings: string[] = [];
  if (!source) return ['Choose what this strip shows.'];
  const group = asGroup(source);
  if (ownSourceOf(source)) return [];
  if (group && isShut(shop, group))
    warnings.push(`Its ${group.kind} is not on the shop now: shoppers do not see this strip.`);
  else if (slots.length === 0)
    warnings.push(
      section.emptyWords
        ? 'Nothing to show: shoppers read your words instead.'
        : 'Nothing to show: shoppers do not see this strip.',
    );
  else if (slots.length < columns && section.shape === 'grid' && section.fewer === 'leave')
    warnings.push(
      slots.length < count
        ? `${slots.length} of ${columns} columns filled: there is nothing more to show.`
        : `${slots.length} of ${columns} columns filled: the rest of the row is empty.`,
    );
  else if (slots.length < count) warnings.push(`${slots.length} of ${count}: nothing more to show.`);
  const bare = slots.filter((slot) => !shop.products.get(shop.index.id(slot))!.pictures[0]).length;
  if (bare > 0) warnings.push(pieces(bare, 'has no picture', 'have no picture'));
  const soldOut = slots.filter((slot) => shop.facts(shop.index.id(slot))!.stock === 0).length;
  if (soldOut > 0) warnings.push(pieces(soldOut, 'is sold out', 'are sold out'));
  return warnings;
}

/** Where the goods come from, in words. */
function sourceWords(shop: Shop, source: StripSource | null): string {
  switch (source?.kind) {
    case undefined:
      return 'nothing yet';
    case 'rule':
      return `by rule: ${sentenceOf(source.rule, shop.fields, shop.settings.currency)}`;
    case 'picked':
      return 'picked by hand';
    case 'bestSold':
      return `best sold in ${source.days} days`;
    case 'featured':
      return 'featured goods';
    case 'newest':
      return 'newest goods';
    case 'onSale':
      return 'goods on sale';
    case 'recentlySeen':
      return 'what each shopper saw lately';
    case 'goesWithBasket':
      return 'what goes with each shopper’s basket';
    default:
      return `${source!.kind} ${targetName(shop, asGroup(source)!) ?? 'that was deleted'}`;
  }
}

const titlesOf = (shop: Shop, ids: readonly string[]) =>
  ids.map((id) => shop.products.get(id)?.title ?? 'something deleted').join(', ');
const yes = (is: boolean) => (is ? 'yes' : '');

export const strip: SectionPart<'strip', StripView> = {
  view: (shop, section, _scene, { slots, total }) => {
    const { columns, phoneColumns, shape, fewer, without, emptyWords, source, count } = section;
    const group = asGroup(source);
    return {
      kind: 'strip',
      title: titleOf(shop, section),
      subtitle: section.subtitle,
      items: slots.map((slot) => cardOf(shop, slot)),
      total,
      more: (section.more && group && targetLink(shop, group)?.url) || null,
      moreWords: section.moreWords,
      own: ownSourceOf(source),
      ...{ columns, phoneColumns, shape, fewer, without, emptyWords, count },
    };
  },
  title: titleOf,
  goods: goodsOf,
  order: orderWords,
  layout: ({ columns, shape }) => ({ columns, isRow: shape === 'row' }),
  links: (_shop, { more, moreWords, source }, { slots, total }) => {
    const group = asGroup(source);
    return more && group && slots.length > 0 && (total > slots.length || moreWords !== '') ? [group] : [];
  },
  summary: (shop, section, _scene, goods) => ({
    faces: goods.slots,
    shown: goods.slots.length,
    available: goods.total,
    says: ownSourceOf(section.source)
      ? 'each shopper’s own'
      : `${goods.slots.length} of ${goods.total}, ${sourceWords(shop, section.source)}`,
    warnings: warningsOf(shop, section, goods),
  }),
  fields: (shop, section) => [
    ['Title', titleOf(shop, section)],
    ['Line below the title', section.subtitle],
    ['Goods', sourceWords(shop, section.source)],
    ['Picked', section.source?.kind === 'picked' ? titlesOf(shop, section.source.ids) : ''],
    ['Shows', String(section.count)],
    ['Columns', `${section.columns}, ${section.phoneColumns} on a phone`],
    ['Shape', section.shape === 'row' ? 'a row that scrolls' : 'a grid'],
    ['Order', section.order ? orderOf(shop, section.order) : ''],
    ['Takes turns', section.daily === null ? '' : `${section.daily} goods, a new choice each day`],
    ['Held here', titlesOf(shop, section.pins)],
    ['Left out here', titlesOf(shop, section.leftOut)],
    ['Skips what is sold out', yes(section.skipSoldOut)],
    ['Skips what has no picture', yes(section.skipPictureless)],
    ['Skips what stands above', yes(section.skipAbove)],
    ['A row that is not full', { leave: '', centre: 'is centred', stretch: 'is stretched' }[section.fewer]],
    ['When there is nothing', section.emptyWords],
    ['Link to all', section.more ? section.moreWords || 'yes' : 'no'],
    ['Not on its cards', section.without.map((part) => cardParts[part].toLowerCase()).join(', ')],
  ],
};
