import type { Feed } from '../../model/feed';
import type { Shop } from '../../shop/shop';
import { feedRows } from '../feed-rows';
import type { Channel } from './channel';
import { pierMarket } from './pier-market';

/** Every channel: whoever adds one writes its file and names it here. */
export const channels: readonly Channel[] = [pierMarket];

export const channelOf = (key: string | null): Channel | undefined => channels.find((channel) => channel.key === key);

/** What a channel makes of an entry. */
export interface Verdict {
  productId: string;
  variantId: string;
  title: string;
  /** why it is not taken; empty where it is */
  why: string[];
}

/** What the channel of a feed takes and refuses, entry by entry; nothing for a feed without one. O(entries). */
export function* verdictsOf(shop: Shop, feed: Feed, origin: string): Generator<Verdict> {
  const channel = channelOf(feed.channel);
  if (!channel) return;
  const places = new Map(feed.fields.map(({ name }, place) => [name, place]));
  for (const row of feedRows(shop, feed, origin)) {
    const told = (name: string) => {
      const place = places.get(name);
      const cell = place === undefined ? '' : row.cells[place]!;
      return typeof cell === 'string' ? cell : cell.join(', ');
    };
    const { product, variant } = row.entry;
    yield {
      productId: product.id,
      variantId: variant.id,
      title: told('title') || product.title,
      why: channel.refuses(told, row, shop),
    };
  }
}
