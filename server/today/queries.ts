import { salesByPlace } from '../../core/exposure/where-sold';
import type { DocumentKind } from '../../core/model/document';
import type { Shop } from '../../core/shop/shop';
import { faceUrl } from '../../core/storefront/card';
import type { Today } from '../../contract/today';
import { looseEndsOf } from '../loose-ends/queries';
import { plannedEditions } from '../publishing/queries';
import type { Catalog } from '../state/catalog';
import { outlooksOf } from '../state/outlook';
import { refOf, splitRef } from '../state/working';
import { lookedAt } from '../store/people';
import { readMet, readMostViewed, readVisits } from '../store/page-views';
import { readSearched } from '../store/shopper-counts';
import { readSoldByDay, readSoldByProduct, type SoldOnDay } from '../store/sold';

const DAY = 86_400;
const TOLD = 8;
/** Who runs out within so many days is told. */
const SOON = 30;
/** Nothing sold for so many days is slow. */
const SLOW = 90;

const isoOf = (seconds: number) => new Date(seconds * 1_000).toISOString();

const sum = <T>(all: readonly T[], of: (each: T) => number): number => all.reduce((total, each) => total + of(each), 0);

const soldSum = (days: readonly SoldOnDay[]) => ({
  orders: sum(days, ({ orders }) => orders),
  value: sum(days, ({ value }) => value),
  pieces: sum(days, ({ pieces }) => pieces),
});

/** What runs out soon, the first one first, and what lies there, the dearest first. O(products). */
function lookAhead(catalog: Catalog) {
  const { working, now } = catalog;
  const runsOut: Today['runsOut'] = [];
  const slow: Today['slow'] = [];
  const longAgo = now - SLOW * DAY;
  for (const [id, { stock, forecast }] of outlooksOf(catalog)) {
    const product = working.products.get(id)!;
    if (product.status !== 'live' || stock === 0) continue;
    const good = { id, title: product.title, thumbnail: faceUrl(product), stock };
    const last = working.salesOf(id)[0]?.day ?? 0;
    const isOld = last > 0 || Date.parse(product.created) / 1_000 < longAgo;
    if (last >= longAgo) {
      if (forecast && forecast.likely <= SOON) runsOut.push({ ...good, ...forecast });
    } else if (isOld)
      slow.push({
        ...good,
        value: sum(product.variants, (each) => Math.max(0, working.stock.get(each.id) ?? 0) * (each.cost ?? 0)),
      });
  }
  runsOut.sort((a, b) => a.likely - b.likely);
  slow.sort((a, b) => b.value - a.value);
  return { runsOut, slow };
}

/** Money by the first category of what was sold, the most first. */
function byCategory({ working: { shop, products } }: Catalog, sold: readonly { productId: string; value: number }[]) {
  const values = new Map<string, number>();
  for (const { productId, value } of sold) {
    const id = products.get(productId)?.categoryIds[0];
    const top = id === undefined ? undefined : shop.tree.path(id)[0];
    if (top) values.set(top.id, (values.get(top.id) ?? 0) + value);
  }
  return [...values]
    .sort(([, a], [, b]) => b - a)
    .slice(0, TOLD)
    .map(([id, value]) => ({ id, name: shop.categories.get(id)!.name, value }));
}

/** What places are called that are no thing of the catalog. */
const otherPlaces: Readonly<Record<string, string>> = {
  search: 'Search',
  outside: 'Links from outside',
  product: 'Other goods: goes with, similar',
  elsewhere: 'Basket and other pages',
};

/** A group or a page by name; undefined for what was deleted. */
function nameOf(shop: Shop, kind: DocumentKind, id: string): string | undefined {
  if (kind === 'page') return shop.pages.get(id)?.title;
  const groups = { category: shop.categories, collection: shop.collections, brand: shop.brands, tag: shop.tags };
  return groups[kind as keyof typeof groups]?.get(id)?.name;
}

/** From where goods were opened, and the money that is put down to it. */
function placesOf(
  { db, working: { shop } }: Catalog,
  sold: readonly { productId: string; value: number }[],
  from: number,
  until: number,
): Today['places'] {
  const met = readMet(db, from, until).map(({ productId, kind, id, times }) => ({
    productId,
    place: kind in otherPlaces ? kind : refOf(kind as DocumentKind, id),
    times,
  }));
  return salesByPlace(sold, met)
    .slice(0, TOLD)
    .map(({ place, ...rest }) => {
      const other = otherPlaces[place];
      if (other !== undefined) return { ...rest, kind: place, id: '', name: other };
      const { kind, key: id } = splitRef(place);
      return { ...rest, kind, id, name: nameOf(shop, kind, id) ?? 'Something that is gone since' };
    });
}

/** All that a first look of the day is for. */
export function today(catalog: Catalog, days: number, user: string, lastBackup: string | null): Today {
  const { db, working, now } = catalog;
  catalog.writeCounts();
  const until = (Math.floor(now / DAY) + 1) * DAY;
  const from = until - days * DAY;
  const before = from - days * DAY;
  const soldByDay = readSoldByDay(db, isoOf(from), isoOf(until));
  const visits = readVisits(db, before);
  const inPeriod = visits.filter(({ day }) => day >= from);
  const visitSum = (all: typeof visits) => ({
    visits: sum(all, (each) => each.visits),
    views: sum(all, (each) => each.views),
  });
  const sold = readSoldByProduct(db, isoOf(from), isoOf(until));
  const pieces = new Map(sold.map((each) => [each.productId, each.pieces]));
  const goodOf = (id: string) => {
    const product = working.products.get(id);
    return product ? [{ id, title: product.title, thumbnail: faceUrl(product) }] : [];
  };
  const { runsOut, slow } = lookAhead(catalog);
  const loose = looseEndsOf(catalog, lastBackup);
  return {
    days,
    currency: working.shop.settings.currency,
    sold: soldSum(soldByDay),
    soldBefore: soldSum(readSoldByDay(db, isoOf(before), isoOf(from))),
    visited: visitSum(inPeriod),
    visitedBefore: visitSum(visits.filter(({ day }) => day < from)),
    series: Array.from({ length: days }, (_, i) => {
      const at = from + i * DAY;
      const day = isoOf(at).slice(0, 10);
      const { orders = 0, value = 0 } = soldByDay.find((each) => each.day === day) ?? {};
      return { day, orders, value, visits: inPeriod.find((each) => each.day === at)?.visits ?? 0 };
    }),
    best: sold
      .flatMap(({ productId, ...rest }) => goodOf(productId).map((good) => ({ ...good, ...rest })))
      .slice(0, TOLD),
    groups: byCategory(catalog, sold),
    places: placesOf(catalog, sold, from, until),
    viewed: [...readMostViewed(db, 'product', from, until)]
      .flatMap(([id, times]) => goodOf(id).map((good) => ({ ...good, times, pieces: pieces.get(id) ?? 0 })))
      .slice(0, TOLD),
    searched: readSearched(db, from, false, TOLD).map(({ words, times, found }) => ({ words, times, found })),
    lost: readSearched(db, from, true, TOLD).map(({ words, times }) => ({ words, times })),
    runsOut: runsOut.slice(0, TOLD),
    runsOutCount: runsOut.length,
    slow: slow.slice(0, TOLD),
    slowCount: slow.length,
    slowValue: sum(slow, ({ value }) => value),
    changed: catalog.journal
      .byOthers(user, lookedAt(db, user), TOLD)
      .map(({ id, at, userName, label }) => ({ id, at, userName, label })),
    loose: {
      total: loose.total,
      checks: loose.checks.slice(0, 6).map(({ key, label, count }) => ({ key, label, count })),
    },
    planned: plannedEditions(catalog).map(({ id, at, label, documents, touched }) => ({
      id,
      at,
      label,
      documents,
      touched: touched.length,
    })),
  };
}
