import { backToCards } from '../../core/orders/back-to-cards';
import { costOfPieces, orderState, productsOf, type OrderState } from '../../core/orders/order-state';
import type { OrderEvent, OrderLine } from '../../core/model/shop-order';
import { formatMoney } from '../../core/shared/money';
import { invalidField, notFound, ProblemError } from '../shared/problem';
import { problemTypes } from '../../contract/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { giftCardsOf, moveGiftCard, switchOffGiftCard } from '../store/gift-cards';
import { dropUses } from '../store/offers';
import { dropSale } from '../store/sales';
import { endDownloads, ordersBefore, readEvents, readOrder, takeStock, type OrderRow } from '../store/shop-orders';
import { note, pay } from './checkout';
import { writeLetter } from './order-mail';

const DAY = 86_400;
/** A card payment that nobody finished gives its goods back after so long. */
const CARD_HELD_MS = 60 * 60_000;

export interface Step {
  catalog: Catalog;
  /** who does it; null for the shopper, and for time */
  userId: string | null;
  origin: string;
}

interface LineCount {
  key: string;
  quantity: number;
}

const refused = (title: string) => new ProblemError({ type: problemTypes.clash, title, status: 409 });

export function orderOrRefuse({ db }: Catalog, id: string): OrderRow {
  const order = readOrder(db, 'id', id);
  if (!order) throw notFound(refusals.noSuchOrder);
  return order;
}

export const stateOf = ({ db }: Catalog, order: OrderRow): OrderState =>
  orderState(order.body, readEvents(db, order.id));

/** One thing done to an order: all of it in one transaction, or nothing. */
function step({ catalog }: Step, id: string, work: (order: OrderRow, state: OrderState) => void): OrderRow {
  const order = catalog.db
    .transaction(() => {
      const before = orderOrRefuse(catalog, id);
      work(before, stateOf(catalog, before));
      return readOrder(catalog.db, 'id', id)!;
    })
    .immediate();
  catalog.takeUpOrders(productsOf(order.body));
  return order;
}

export function markPaid(by: Step, id: string, how: string): OrderRow {
  return step(by, id, (order, { isPaid, status }) => {
    if (isPaid) throw refused(refusals.isPaid);
    if (status === 'cancelled') throw refused(refusals.orderEnded);
    pay(by.catalog, order, { amount: order.body.due, how }, by.userId, by.origin);
  });
}

/** Notes that a card was declined: the order stays, and can be paid in another way. */
export function markDeclined(by: Step, id: string, how: string): OrderRow {
  return step(by, id, (order, { isPaid, status }) => {
    if (isPaid) throw refused(refusals.isPaid);
    if (status === 'cancelled') throw refused(refusals.orderEnded);
    note(by.catalog, order, { what: 'declined', how }, by.userId);
  });
}

const lineOf = (order: OrderRow, key: string): OrderLine => {
  const line = order.body.lines.find((each) => each.key === key);
  if (!line) throw invalidField(['lines'], refusals.cannotSend);
  return line;
};
const wordsOf = (order: OrderRow, { key, quantity }: LineCount) => {
  const { title, variant } = lineOf(order, key);
  return `${quantity} × ${[title, variant].filter(Boolean).join(', ')}`;
};

/** Sends a parcel with some pieces. */
export function markSent(
  by: Step,
  id: string,
  { lines, tracking }: { lines: LineCount[]; tracking: string },
): OrderRow {
  return step(by, id, (order, { unsent, status }) => {
    if (status === 'cancelled' || status === 'refunded') throw refused(refusals.orderEnded);
    const isRight = lines.length > 0 && lines.every(({ key, quantity }) => (unsent.get(key) ?? 0) >= quantity);
    if (!isRight) throw invalidField(['lines'], refusals.cannotSend);
    note(by.catalog, order, { what: 'sent', lines, tracking }, by.userId);
    writeLetter(
      by.catalog,
      order,
      by.origin,
      'sent',
      lines.map((each) => wordsOf(order, each)),
      tracking,
    );
  });
}

/** Puts pieces back into stock, and out of what was sold. */
function restock({ db, now }: Catalog, order: OrderRow, lines: readonly LineCount[]): void {
  const at = new Date(now * 1_000).toISOString();
  const day = Math.floor(Date.parse(order.at) / 1_000 / DAY) * DAY;
  for (const { key, quantity } of lines) {
    const line = lineOf(order, key);
    for (const taken of line.takes) takeStock(db, taken, -taken.quantity * quantity, { orderId: order.id, at });
    dropSale(db, line.productId, { day, pieces: quantity });
  }
}

/** Puts money back onto the gift cards that paid, as much of it as is theirs; answers how much that is. */
function payCardsBack({ db, now }: Catalog, order: OrderRow, before: number, amount: number): number {
  const at = new Date(now * 1_000).toISOString();
  const back = backToCards(order.body, before, amount);
  for (const each of back) moveGiftCard(db, each.code, order.id, at, each.amount);
  return back.reduce((sum, each) => sum + each.amount, 0);
}

/** What was bought cannot be used any more: its downloads end, and its gift cards are switched off. */
function takeAway({ db, now }: Catalog, order: OrderRow, lines: readonly LineCount[]): void {
  const at = new Date(now * 1_000).toISOString();
  const gone = lines.map(({ key }) => lineOf(order, key));
  endDownloads(
    db,
    order.id,
    gone.flatMap(({ takes }) => takes.map(({ productId }) => productId)),
    at,
  );
  for (const [i, line] of gone.entries()) {
    if (line.kind !== 'giftCard') continue;
    const unused = giftCardsOf(db, order.id).filter(
      (card) => !card.isOff && card.left === card.worth && card.worth === line.list,
    );
    for (const { code } of unused.slice(0, lines[i]!.quantity)) switchOffGiftCard(db, code);
  }
}

export interface Refund {
  lines: LineCount[];
  /** beside what the lines cost, or instead of it, minor units; null for just that */
  amount: number | null;
  restocked: boolean;
  reason: string;
}

/** Pays some of an order back, for pieces that come back or for nothing but goodwill. */
export function refund(by: Step, id: string, { lines, amount, restocked, reason }: Refund): OrderRow {
  return step(by, id, (order, state) => {
    if (!state.isPaid) throw refused(refusals.isNotPaid);
    if (state.status === 'refunded') throw refused(refusals.orderEnded);
    if (!lines.every(({ key, quantity }) => (state.kept.get(key) ?? 0) >= quantity))
      throw invalidField(['lines'], refusals.cannotSend);
    const { total, currency, locale } = order.body;
    const back = amount ?? costOfPieces(order.body, state.kept, lines);
    const most = total - state.refunded;
    if (back > most) throw invalidField(['amount'], refusals.tooMuchBack(formatMoney(most, currency, locale)));
    const toGiftCards = payCardsBack(by.catalog, order, state.refunded, back);
    if (restocked) restock(by.catalog, order, lines);
    takeAway(by.catalog, order, lines);
    note(by.catalog, order, { what: 'refunded', amount: back, toGiftCards, lines, restocked, reason }, by.userId);
    writeLetter(by.catalog, order, by.origin, 'refunded', back, reason);
  });
}

/** Calls an order off before anything of it was sent: stock, uses of offers and gift cards come back. */
export function cancel(by: Step, id: string, reason: string): OrderRow {
  return step(by, id, (order, state) => {
    if (state.isPaid || state.status === 'cancelled') throw refused(refusals.orderEnded);
    const lines = order.body.lines.map(({ key, quantity }) => ({ key, quantity }));
    restock(by.catalog, order, lines);
    payCardsBack(by.catalog, order, 0, order.body.total);
    dropUses(by.catalog.db, order.id);
    note(by.catalog, order, { what: 'cancelled', reason }, by.userId);
    writeLetter(by.catalog, order, by.origin, 'cancelled', reason);
  });
}

export function addNote(by: Step, id: string, text: string): OrderRow {
  return step(by, id, (order) => note(by.catalog, order, { what: 'noted', text } satisfies OrderEvent, by.userId));
}

/** Gives the goods of card payments back that nobody finished. Answers how many there were. */
export function endUnpaidCards(by: Step): number {
  const before = new Date(by.catalog.now * 1_000 - CARD_HELD_MS).toISOString();
  const late = ordersBefore(by.catalog.db, 'new', before).filter(({ body }) => body.payment.kind === 'card');
  for (const { id } of late) cancel(by, id, 'The card payment was not finished in time.');
  return late.length;
}
