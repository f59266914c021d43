import type { Badge } from '../model/cards';
import type { ProductDocument } from '../model/document';
import { hourOf } from '../shared/moment';
import { membersOf } from '../rules/members';
import type { Bitset } from '../search/bitset';
import { cachedByVersion } from '../shop/cached-by-version';
import type { Shop } from '../shop/shop';
import type { CardBadge } from './views';

const DAY = 86_400_000;

/** What a product is at the moment, as far as badges speak of it. */
export interface BadgeFacts {
  /** pieces of all variants; Infinity where they are not counted */
  stock: number;
  /** how much less than before it costs, in percent; null where it is not reduced */
  percent: number | null;
}

/** The goods that the rule of each badge takes in, until the shop changes. */
const takenIn = cachedByVersion(() => new Map<string, Bitset>());

function isTaken(shop: Shop, { id, rule }: Badge, slot: number): boolean {
  if (!rule) return false;
  const known = takenIn(shop);
  let members = known.get(id);
  if (!members) known.set(id, (members = membersOf(rule, shop.index, shop.fields, hourOf(shop.now))));
  return members.has(slot);
}

/** What a badge says of a product, with its numbers filled in; undefined where it does not say anything of it. */
function said(
  shop: Shop,
  badge: Badge,
  product: ProductDocument,
  slot: number,
  { stock, percent }: BadgeFacts,
): string | undefined {
  const { kind, words, days, pieces } = badge;
  switch (kind) {
    case 'soldOut':
      return stock > 0 ? undefined : words;
    case 'reduced':
      return percent === null || percent < 1 ? undefined : words.replaceAll('{percent}', String(percent));
    case 'new': {
      const age = hourOf(shop.now) * 1_000 - Date.parse(product.created);
      return age < days * DAY ? words.replaceAll('{days}', String(days)) : undefined;
    }
    case 'last':
      return stock > 0 && stock <= pieces ? words.replaceAll('{pieces}', String(stock)) : undefined;
    case 'rule':
      return isTaken(shop, badge, slot) ? words : undefined;
  }
}

/** The badges on the card of a product, the first ones that hold, at most as many as the seller wants on one card. */
export function badgesOf(shop: Shop, product: ProductDocument, slot: number, facts: BadgeFacts): CardBadge[] {
  const { badges, mostBadges } = shop.settings.cards;
  const found: CardBadge[] = [];
  for (const badge of badges) {
    if (found.length === mostBadges) break;
    const words = said(shop, badge, product, slot, facts);
    // Of what is sold out, nothing else is worth saying.
    if (words === undefined) continue;
    found.push({ words, colour: badge.colour });
    if (badge.kind === 'soldOut') break;
  }
  return found;
}
