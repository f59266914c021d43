import type { elsewhereRoutes } from '../../contract/elsewhere';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { channelOf, channels, verdictsOf } from '../../core/feeds/channels/channels';
import { field } from '../../core/feeds/channels/channel';
import { feedGoods, feedRows } from '../../core/feeds/feed-rows';
import { feedValueOf, feedValues } from '../../core/feeds/feed-values';
import { feedFormats, feedSchema, feedWords, type Feed } from '../../core/model/feed';
import { cachedByVersion } from '../../core/shop/cached-by-version';
import type { Shop } from '../../core/shop/shop';
import { parse } from '../http/answer';
import { newId } from '../shared/ids';
import { invalid, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { deleteFeed, feedUse, newSecret, putFeed } from '../store/feeds';
import { writeFeed } from './write-feed';

/** Entries of a preview. */
const SHOWN = 5;

const usual = {
  goods: { how: 'all' as const },
  per: 'variants' as const,
  format: 'csv' as const,
  dearer: 0,
  more: 0,
  soldOut: false,
  fields: [
    field('id', 'id'),
    field('title', 'title'),
    field('description', 'description'),
    field('link', 'link'),
    field('image', 'picture'),
    field('price', 'price'),
    field('sale_price', 'salePrice'),
    field('availability', 'availability'),
    field('brand', 'brand'),
    field('barcode', 'barcode'),
  ],
};

export function feedOrRefuse({ working }: Catalog, id: string): Feed {
  const feed = working.shop.feeds.get(id);
  if (!feed) throw notFound(refusals.noSuchFeed);
  return feed;
}

/** A feed with some of it changed, checked as a whole. Throws what does not fit, at its field. */
function changed(feed: Feed, fields: object): Feed {
  const next = parse<typeof feedSchema>(feedSchema, { ...feed, ...fields });
  const wrong = next.fields.flatMap(({ from }, i) =>
    from === 'words' || feedValueOf(from) ? [] : [{ path: ['fields', i, 'from'], message: refusals.noSuchValue }],
  );
  if (next.channel !== null && !channelOf(next.channel))
    wrong.push({ path: ['channel'], message: refusals.noSuchChannel });
  if (wrong.length > 0) throw invalid(wrong);
  return next;
}

/** Where a feed is fetched; empty where it has no address yet. */
export function feedAddress(catalog: Catalog, { id, format }: Feed, origin: string): string {
  const secret = feedUse(catalog.db, id)?.secret;
  return secret === undefined ? '' : `${origin}/feeds/${id}/${secret}.${feedFormats[format].ending}`;
}

/** How many entries the channel of each feed takes and refuses, counted once for each state of the shop. */
const countsOf = cachedByVersion(() => new Map<Feed, { taken: number; refused: number }>());

function countVerdicts(shop: Shop, feed: Feed, origin: string): { taken: number; refused: number } {
  const known = countsOf(shop);
  let counts = known.get(feed);
  if (!counts) {
    counts = { taken: 0, refused: 0 };
    for (const { why } of verdictsOf(shop, feed, origin)) counts[why.length === 0 ? 'taken' : 'refused']++;
    known.set(feed, counts);
  }
  return counts;
}

export function feedsAnswer(catalog: Catalog, origin: string): AnswerOf<typeof elsewhereRoutes.feeds> {
  const { working, live, db } = catalog;
  return {
    feeds: [...working.shop.feeds.values()].map((feed) => {
      const channel = channelOf(feed.channel);
      const { fetched = null, fetches = 0 } = feedUse(db, feed.id) ?? {};
      return {
        feed,
        address: feedAddress(catalog, feed, origin),
        goods: feedGoods(working.shop, feed).length,
        isLive: live.shop.feeds.has(feed.id),
        fetched,
        fetches,
        channel: channel ? { name: channel.name, ...countVerdicts(working.shop, feed, origin) } : null,
      };
    }),
    values: Object.entries(feedValues).map(([key, { label }]) => ({ key, label })),
    channels: channels.map(({ key, name, about, asks }) => ({ key, name, about, asks: [...asks] })),
  };
}

/** Makes a feed: with the usual fields, with those that a channel asks for, or as another has them. */
export function makeFeed(
  catalog: Catalog,
  user: string,
  { name, channel: key, like, ids }: BodyOf<typeof elsewhereRoutes.addFeed>,
): string {
  const id = newId('feed');
  const channel = channelOf(key);
  const base = like
    ? feedOrRefuse(catalog, like)
    : {
        ...usual,
        ...(ids?.length && { goods: { how: 'picked' as const, ids } }),
        ...(channel && { fields: [...channel.fields], format: 'jsonl' as const }),
        channel: key,
      };
  const feed = changed({ ...base, id, name }, {});
  catalog.journal.change({ did: 'feedAdded', name }, catalog.actor(user), () => {
    putFeed(catalog.db, feed);
    newSecret(catalog.db, id);
  });
  return id;
}

/** Changes some of a feed; refuses where somebody else changed the same meanwhile. */
export function changeFeed(
  catalog: Catalog,
  user: string,
  id: string,
  { was, ...fields }: BodyOf<typeof elsewhereRoutes.changeFeed>,
): Feed {
  const before = feedOrRefuse(catalog, id);
  const feed = changed(before, mergedFields(before, fields, was, feedWords));
  catalog.journal.change({ did: 'feedChanged', name: feed.name }, catalog.actor(user), () => putFeed(catalog.db, feed));
  return feed;
}

export function removeFeed(catalog: Catalog, user: string, id: string): void {
  const { name } = feedOrRefuse(catalog, id);
  catalog.journal.change({ did: 'feedDeleted', name }, catalog.actor(user), () => deleteFeed(catalog.db, id));
}

/** The first entries of a feed with these fields, as text. */
export function previewFeed(catalog: Catalog, id: string, fields: object, origin: string) {
  const feed = changed(feedOrRefuse(catalog, id), fields);
  const first = [];
  let entries = 0;
  for (const row of feedRows(catalog.working.shop, feed, origin)) if (++entries <= SHOWN) first.push(row);
  return { entries, text: writeFeed(feed, first, catalog.working.shop, origin) };
}

/** What the channel of a feed refuses, and why. */
export function verdictsAnswer(
  catalog: Catalog,
  id: string,
  { offset, limit }: { offset: number; limit: number },
  origin: string,
): AnswerOf<typeof elsewhereRoutes.verdicts> {
  const found = { taken: 0, refused: 0 };
  const refused = [];
  for (const verdict of verdictsOf(catalog.working.shop, feedOrRefuse(catalog, id), origin)) {
    if (verdict.why.length === 0) found.taken++;
    else if (++found.refused > offset && refused.length < limit) refused.push(verdict);
  }
  return { ...found, refusals: refused };
}

/** What each channel makes of one product. */
export function productChannels(
  { working: { shop } }: Catalog,
  productId: string,
  origin: string,
): AnswerOf<typeof elsewhereRoutes.productChannels> {
  const told = [...shop.feeds.values()].flatMap((feed) => {
    const channel = channelOf(feed.channel);
    if (!channel || !feedGoods(shop, feed).includes(productId)) return [];
    const only = { ...feed, goods: { how: 'picked' as const, ids: [productId] } };
    const verdicts = [...verdictsOf(shop, only, origin)];
    const why = [...new Set(verdicts.flatMap((verdict) => verdict.why))];
    return [{ feedId: feed.id, name: channel.name, entries: verdicts.length, why }];
  });
  return { channels: told };
}
