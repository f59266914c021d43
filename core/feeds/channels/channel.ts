import type { FeedField } from '../../model/feed';
import type { FeedRow } from '../feed-rows';
import type { Shop } from '../../shop/shop';

/** Another place where goods are sold, which fetches a feed and takes what fits its own rules. */
export interface Channel {
  key: string;
  name: string;
  /** what it is, and what it asks for, in one sentence each */
  about: string;
  asks: readonly string[];
  /** the fields that its feed is made with at first */
  fields: readonly FeedField[];
  /** why it does not take an entry, in words; empty where it does. `told`: what the feed says, by field */
  refuses: (told: (name: string) => string, row: FeedRow, shop: Shop) => string[];
}

export const field = (name: string, from: string, words = ''): FeedField => ({ name, from, words });
