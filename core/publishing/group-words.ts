import type { Brand, Category, Collection, GroupPage } from '../model/group';
import { momentWords } from '../shared/moment';
import { orderOf } from '../shop/arrangement';
import { groupPath, groupsOf, type GroupKind } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { sentenceOf } from '../rules/text/sentence';
import { short } from './product-words';

type Fields = [label: string, words: string][];

const MOST_NAMED = 40;

/** Titles of products, as many as one reads. */
export function titles(shop: Shop, ids: readonly string[]): string {
  const named = ids
    .slice(0, MOST_NAMED)
    .map((id) => shop.products.get(id)?.title ?? 'a product that is not on the shop');
  return [...named, ...(ids.length > MOST_NAMED ? [`${ids.length - MOST_NAMED} more`] : [])].join(', ');
}

function pageFields({ text, picture, metaTitle, metaDescription, noindex }: GroupPage): Fields {
  return [
    ['Text', short(text)],
    ['Picture', picture ? picture.media : ''],
    ['Meta title', metaTitle],
    ['Meta description', short(metaDescription)],
    ['Search engines', noindex ? 'must not list it' : 'may list it'],
  ];
}

function collectionFields(shop: Shop, collection: Collection): Fields {
  const { source, rule, pins, leftOut, liveFrom, liveUntil } = collection;
  const isRule = source === 'rule';
  const moment = (at: string | null) => (at === null ? '' : momentWords(at, shop.settings.timeZone));
  return [
    ['Filled', isRule ? sentenceOf(rule, shop.fields, shop.settings.currency) : 'picked by hand'],
    ['Order', isRule ? orderOf(shop, collection.order) : titles(shop, collection.picked)],
    ['Pinned', isRule ? titles(shop, pins) : ''],
    ['Left out', isRule ? titles(shop, leftOut) : ''],
    ['Standing', collection.status === 'live' ? 'on the shop' : 'off the shop'],
    ['From', moment(liveFrom)],
    ['Until', moment(liveUntil)],
  ];
}

function categoryFields(shop: Shop, category: Category): Fields {
  return [
    ['Inside', shop.categories.get(category.parentId ?? '')?.name ?? 'top'],
    ['Place', String(shop.tree.children(category.parentId).indexOf(category) + 1)],
    ['Standing', category.status === 'live' ? 'on the shop' : 'off the shop'],
    ['Order', orderOf(shop, category.order)],
    ['Pinned', titles(shop, category.pins)],
  ];
}

/** What shoppers, and search engines, read or notice of a group, in words. */
export function groupFields(shop: Shop, kind: GroupKind, id: string): Fields {
  const group = groupsOf(shop, kind).get(id)!;
  const own =
    kind === 'collection'
      ? collectionFields(shop, group as Collection)
      : kind === 'category'
        ? categoryFields(shop, group as Category)
        : ([['A page of its own', (group as Brand).listed ? 'yes' : 'no']] satisfies Fields);
  return [['Name', group.name], ['Address', `/${groupPath[kind]}/${group.slug}`], ...own, ...pageFields(group)];
}

/** What of a group decides how its goods stand; equal values mean the same order of the same goods. */
export function arrangementOf(kind: GroupKind, group: object): unknown {
  if (kind === 'brand' || kind === 'tag') return null;
  const { source, picked, pins, order } = group as Collection;
  return source === 'picked' ? [picked] : [pins, order];
}
