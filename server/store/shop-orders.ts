import type { OrderBody, OrderEvent, OrderStatus } from '../../core/model/shop-order';
import type { Db } from '../database/connection';

export interface OrderRow {
  id: string;
  number: number;
  token: string;
  attempt: string;
  at: string;
  /** mail address in small letters */
  shopper: string;
  name: string;
  status: OrderStatus;
  total: number;
  body: OrderBody;
}
export type EventRow = { id: number; at: string; userId: string | null } & OrderEvent;

const FIRST_NUMBER = 1_001;
const columns = `id, number, token, attempt, at, shopper, name, status, total, body`;
const read = (row: unknown): OrderRow => {
  const { body, ...rest } = row as Omit<OrderRow, 'body'> & { body: string };
  return { ...rest, body: JSON.parse(body) as OrderBody };
};

/** The number of the next order. To be asked inside the transaction that makes it. */
export function nextNumber(db: Db): number {
  return db.prepare(`SELECT coalesce(max(number) + 1, ?) FROM shop_order`).pluck().get(FIRST_NUMBER) as number;
}

export function insertOrder(db: Db, order: OrderRow): void {
  db.prepare(
    `INSERT INTO shop_order (${columns}) VALUES (@id, @number, @token, @attempt, @at, @shopper, @name, @status, @total, @body)`,
  ).run({ ...order, body: JSON.stringify(order.body) });
}

export function readOrder(db: Db, by: 'id' | 'token' | 'attempt', value: string): OrderRow | undefined {
  const row = db.prepare(`SELECT ${columns} FROM shop_order WHERE ${by} = ?`).get(value);
  return row ? read(row) : undefined;
}

export function hasOrdered(db: Db, shopper: string): boolean {
  return (
    db.prepare(`SELECT 1 FROM shop_order WHERE shopper = ? AND status <> 'cancelled' LIMIT 1`).get(shopper) !==
    undefined
  );
}

export function setStatus(db: Db, id: string, status: OrderStatus): void {
  db.prepare(`UPDATE shop_order SET status = ? WHERE id = ?`).run(status, id);
}

export function addEvent(db: Db, orderId: string, at: string, userId: string | null, event: OrderEvent): void {
  db.prepare(`INSERT INTO order_event (order_id, at, user_id, body) VALUES (?, ?, ?, ?)`).run(
    orderId,
    at,
    userId,
    JSON.stringify(event),
  );
}

export function readEvents(db: Db, orderId: string): EventRow[] {
  const rows = db
    .prepare(`SELECT id, at, user_id AS userId, body FROM order_event WHERE order_id = ? ORDER BY id`)
    .all(orderId);
  return (rows as { id: number; at: string; userId: string | null; body: string }[]).map(({ body, ...row }) => ({
    ...row,
    ...(JSON.parse(body) as OrderEvent),
  }));
}

/** Orders, the last first: of some statuses, and whose number, name or mail address has these words in it. */
export function readOrders(
  db: Db,
  {
    statuses,
    words,
    limit,
    offset,
  }: { statuses: readonly OrderStatus[]; words: string; limit: number; offset: number },
): { rows: OrderRow[]; count: number } {
  const where = `(@all OR status IN (SELECT value FROM json_each(@statuses)))
    AND (@words = '' OR number LIKE @words || '%' OR instr(lower(name), @words) > 0 OR instr(shopper, @words) > 0
      OR instr(lower(body), @words) > 0)`;
  const values = { all: Number(statuses.length === 0), statuses: JSON.stringify(statuses), words: words.toLowerCase() };
  const rows = db
    .prepare(`SELECT ${columns} FROM shop_order WHERE ${where} ORDER BY number DESC LIMIT @limit OFFSET @offset`)
    .all({ ...values, limit, offset });
  return {
    rows: rows.map(read),
    count: db.prepare(`SELECT count(*) FROM shop_order WHERE ${where}`).pluck().get(values) as number,
  };
}

export function countStatuses(db: Db): Partial<Record<OrderStatus, number>> {
  return Object.fromEntries(
    db.prepare(`SELECT status, count(*) FROM shop_order GROUP BY status`).raw().all() as [string, number][],
  );
}

/** Orders of these statuses that were placed before a moment. */
export function ordersBefore(db: Db, status: OrderStatus, before: string): OrderRow[] {
  return db.prepare(`SELECT ${columns} FROM shop_order WHERE status = ? AND at < ?`).all(status, before).map(read);
}

/** All orders placed between two moments, the first first. */
export function ordersBetween(db: Db, from: string, until: string): OrderRow[] {
  return db
    .prepare(`SELECT ${columns} FROM shop_order WHERE at >= ? AND at < ? ORDER BY number`)
    .all(from, until)
    .map(read);
}

/** Notes that an order took pieces of a variant, or gave them back where `pieces` is below zero. */
export function takeStock(
  db: Db,
  { productId, variantId }: { productId: string; variantId: string },
  pieces: number,
  { orderId, at }: { orderId: string; at: string },
): void {
  db.prepare(
    `INSERT INTO stock_taken (variant_id, product_id, pieces) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET pieces = pieces + excluded.pieces`,
  ).run(variantId, productId, pieces);
  db.prepare(`INSERT INTO stock_move (product_id, variant_id, at, pieces, order_id) VALUES (?, ?, ?, ?, ?)`).run(
    productId,
    variantId,
    at,
    pieces,
    orderId,
  );
}

/** What orders took of a product, the first first. */
export interface StockMove {
  variantId: string;
  at: string;
  pieces: number;
  /** number of the order */
  number: number;
}
export function readMoves(db: Db, productId: string): StockMove[] {
  return db
    .prepare(
      `SELECT variant_id AS variantId, stock_move.at, pieces, number
       FROM stock_move JOIN shop_order ON shop_order.id = order_id WHERE product_id = ? ORDER BY stock_move.id`,
    )
    .all(productId) as StockMove[];
}

export interface DownloadRow {
  token: string;
  orderId: string;
  productId: string;
  fileId: string;
  name: string;
  fetched: number;
  most: number | null;
  until: string | null;
}
const downloadColumns = `token, order_id AS orderId, product_id AS productId, file_id AS fileId, name, fetched, most, until`;

export function addDownload(db: Db, row: DownloadRow): void {
  db.prepare(
    `INSERT INTO download (token, order_id, product_id, file_id, name, fetched, most, until)
     VALUES (@token, @orderId, @productId, @fileId, @name, @fetched, @most, @until)`,
  ).run(row);
}
export function readDownloads(db: Db, orderId: string): DownloadRow[] {
  return db
    .prepare(`SELECT ${downloadColumns} FROM download WHERE order_id = ? ORDER BY name, token`)
    .all(orderId) as DownloadRow[];
}
export function readDownload(db: Db, token: string): DownloadRow | undefined {
  return db.prepare(`SELECT ${downloadColumns} FROM download WHERE token = ?`).get(token) as DownloadRow | undefined;
}
export function noteFetched(db: Db, token: string): void {
  db.prepare(`UPDATE download SET fetched = fetched + 1 WHERE token = ?`).run(token);
}
/** Ends the downloads of an order. */
export function endDownloads(db: Db, orderId: string, productIds: readonly string[], at: string): void {
  db.prepare(
    `UPDATE download SET until = @at WHERE order_id = @orderId AND product_id IN (SELECT value FROM json_each(@ids))
     AND (until IS NULL OR until > @at)`,
  ).run({ at, orderId, ids: JSON.stringify(productIds) });
}
