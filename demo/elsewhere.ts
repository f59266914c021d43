import { pierMarket } from '../core/feeds/channels/pier-market';
import type { Embed } from '../core/model/embed';
import type { Feed } from '../core/model/feed';
import { sectionTypes } from '../core/model/sections/sections';
import type { Db } from '../server/database/connection';
import { putEmbed } from '../server/store/embeds';
import { newSecret, putFeed } from '../server/store/feeds';

/** Featured goods on the page of a club, in the colours of that. */
const club: Embed = {
  id: 'em_clubpage',
  name: 'Page of the kite club',
  strip: {
    ...sectionTypes.strip.fresh(),
    id: 's_clubpage',
    title: 'From our friends at Lark & Line',
    source: { kind: 'featured' },
    count: 4,
    skipSoldOut: true,
  },
  look: { accent: '#7a2d1c', ink: '#3a2f2a', ground: null, type: 'page', size: 16, corners: 6 },
  basket: true,
};

/** All that can be had, a little dearer, for a market that refuses some of it. */
const market: Feed = {
  id: 'fe_piermarket',
  name: 'Pier market',
  goods: { how: 'all' },
  per: 'variants',
  format: 'jsonl',
  fields: [...pierMarket.fields],
  dearer: 800,
  more: 0,
  soldOut: false,
  channel: pierMarket.key,
};

/** Goods on another site, and a feed. */
export function putElsewhere(db: Db): void {
  putEmbed(db, club);
  putFeed(db, market);
  newSecret(db, market.id);
}
