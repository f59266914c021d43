import { textHash } from '../languages/text-hash';
import type { Family } from '../model/look-choices';

/** What a picture is made of that stands for a page where somebody shares a link to it. */
export interface MadeCard {
  title: string;
  /** name of the shop */
  shop: string;
  /** picture beside the title; null for the title alone */
  media: string | null;
  ground: string;
  ink: string;
  family: Family;
}

/** Tells cards apart: the address of one that looks otherwise is another. */
export const cardKey = (card: MadeCard): string => textHash(JSON.stringify(card));

/** First part of the addresses of cards. */
export const CARDS = '/cards';
const HOME = '/home';

/** The address of the card of a page, behind what stands before all of its language. */
export const cardPath = (path: string, card: MadeCard): string =>
  `${CARDS}${path === '/' ? HOME : path}.jpg?v=${cardKey(card)}`;

/** The page of a card, by the path of the card; undefined for what is none. */
export function pageOfCard(path: string): string | undefined {
  const page = new RegExp(`^${CARDS}(/.+)\\.jpg$`).exec(path)?.[1];
  return page === HOME ? '/' : page;
}
