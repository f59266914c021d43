import { fold } from '../../core/shared/fold';
import { list } from '../../core/search/listing';
import { placeSet } from '../../core/storefront/listing-view';
import { groupsOf, type GroupKind } from '../../core/shop/open-groups';
import { understand } from '../../core/shop/understand';
import type { deskRoutes } from '../../contract/desk';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';
import { goodsRows } from '../products/queries';

const FOUND = 8;

/** Products by text, then groups and pages whose name holds the words. */
export function findAnything(catalog: Catalog, q: string): AnswerOf<typeof deskRoutes.find>['found'] {
  const { shop } = catalog.working;
  const wanted = fold(q).trim().slice(0, 80);
  if (wanted === '') return [];
  const { slots } = list(shop.index, {
    text: understand(shop, q),
    sort: 'match',
    tieOrder: 'newest',
    offset: 0,
    limit: FOUND,
  });
  const products = goodsRows(
    catalog,
    slots.map((slot) => shop.index.id(slot)),
  ).map((row) => ({
    kind: 'product' as const,
    id: row.id,
    label: row.title,
    note: row.brand ?? '',
    thumbnail: row.thumbnail,
  }));
  const named = <T>(things: Iterable<T>, nameOf: (thing: T) => string) =>
    [...things].filter((thing) => fold(nameOf(thing)).includes(wanted)).slice(0, 4);
  const counted = (set: { count(): number }) => `${set.count()} goods`;
  const groups = (kind: GroupKind) =>
    named<{ id: string; name: string }>(groupsOf(shop, kind).values(), ({ name }) => name).map(({ id, name }) => ({
      kind,
      id,
      label: name,
      note: `${kind} · ${counted(placeSet(shop, { kind, id }, catalog.now))}`,
      thumbnail: null,
    }));
  return [
    ...products,
    ...(['category', 'collection', 'brand', 'tag'] as const).flatMap(groups),
    ...named(shop.pages.values(), ({ title }) => title).map(({ id, title }) => ({
      kind: 'page' as const,
      id,
      label: title,
      note: 'page',
      thumbnail: null,
    })),
  ];
}
