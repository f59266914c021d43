import type { OrderAnswer } from '../../contract/orders';
import type { AnswerOf, QueryOf } from '../../contract/route';
import type { orderRoutes } from '../../contract/orders';
import { orderStatuses } from '../../core/model/shop-order';
import type { Catalog } from '../state/catalog';
import { giftCardsOf } from '../store/gift-cards';
import { userById } from '../store/people';
import { countStatuses, readDownloads, readEvents, readOrders, type OrderRow } from '../store/shop-orders';
import { stateOf } from './order-steps';

const PAGE = 50;

export function ordersAnswer(
  { db }: Catalog,
  query: QueryOf<typeof orderRoutes.orders>,
): AnswerOf<typeof orderRoutes.orders> {
  const asked = (query.status ?? '').split(',');
  const statuses = orderStatuses.filter((status) => asked.includes(status));
  const page = Math.max(1, Math.min(10_000, Number(query.page ?? 1) || 1));
  const { rows, count } = readOrders(db, {
    statuses,
    words: (query.q ?? '').trim(),
    limit: PAGE,
    offset: (page - 1) * PAGE,
  });
  return {
    orders: rows.map(({ id, number, at, name, status, total, body }) => ({
      id,
      number,
      at,
      name,
      status,
      total,
      currency: body.currency,
      pieces: body.lines.reduce((sum, { quantity }) => sum + quantity, 0),
      goods: body.lines.map(({ title }) => title).join(', '),
      payment: body.payment.name,
    })),
    count,
    counts: countStatuses(db),
    pageSize: PAGE,
  };
}

export function orderAnswer(catalog: Catalog, order: OrderRow): OrderAnswer {
  const { db } = catalog;
  const { unsent, kept, ...state } = stateOf(catalog, order);
  return {
    id: order.id,
    number: order.number,
    at: order.at,
    ...state,
    body: order.body,
    unsent: Object.fromEntries(unsent),
    kept: Object.fromEntries(kept),
    events: readEvents(db, order.id).map(({ id, at, userId, ...event }) => ({
      id,
      at,
      by: (userId !== null && userById(db, userId)?.name) || null,
      event,
    })),
    downloads: readDownloads(db, order.id).map(({ name, fetched, most, until }) => ({ name, fetched, most, until })),
    giftCards: giftCardsOf(db, order.id).map(({ code, worth, left, isOff }) => ({ code, worth, left, isOff })),
    url: `/order/${order.token}`,
  };
}
