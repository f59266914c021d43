import { orderLetters, type LetterOf, type OrderLetter } from '../../core/orders/order-letters';
import type { Catalog } from '../state/catalog';
import { putLetter } from '../store/letters';
import type { OrderRow } from '../store/shop-orders';
import { senderOf } from './letters';

type Letters = typeof orderLetters;
type More<Kind extends keyof Letters> = Letters[Kind] extends (of: LetterOf, ...more: infer Rest) => OrderLetter
  ? Rest
  : never;

/** Writes a letter about an order to the outbox. */
export function writeLetter<Kind extends keyof Letters>(
  { db, live, now }: Catalog,
  { number, body, token, shopper }: OrderRow,
  origin: string,
  kind: Kind,
  ...more: More<Kind>
): void {
  const { say } = live.shop.inLanguage(body.locale);
  const inMain = body.locale === live.shop.settings.locale || say === live.shop.say;
  const base = inMain ? '' : `/${body.locale}`;
  const sender = senderOf(live.shop);
  const write = orderLetters[kind] as (of: LetterOf, ...rest: unknown[]) => OrderLetter;
  const { subject, text } = write(
    { number, body, say, shop: sender.name, url: `${origin}${base}/order/${token}` },
    ...more,
  );
  putLetter(db, { at: new Date(now * 1_000).toISOString(), sender: sender.words, recipient: shopper, subject, text });
}
