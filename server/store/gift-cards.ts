import type { Db } from '../database/connection';

export interface GiftCardRow {
  code: string;
  orderId: string | null;
  worth: number;
  at: string;
  isOff: boolean;
  /** what is left on it, minor units */
  left: number;
}

const sql = `SELECT code, order_id AS orderId, worth, at, is_off AS isOff,
    worth + coalesce((SELECT sum(amount) FROM gift_card_move WHERE gift_card_move.code = gift_card.code), 0) AS left
  FROM gift_card`;
const read = (row: unknown): GiftCardRow => {
  const { isOff, ...rest } = row as Omit<GiftCardRow, 'isOff'> & { isOff: number };
  return { ...rest, isOff: isOff === 1 };
};

export function readGiftCard(db: Db, code: string): GiftCardRow | undefined {
  const row = db.prepare(`${sql} WHERE code = ?`).get(code);
  return row ? read(row) : undefined;
}

export function giftCardsOf(db: Db, orderId: string): GiftCardRow[] {
  return db.prepare(`${sql} WHERE order_id = ? ORDER BY code`).all(orderId).map(read);
}

/** False where the code is taken. */
export function addGiftCard(
  db: Db,
  { code, orderId, worth, at }: Pick<GiftCardRow, 'code' | 'orderId' | 'worth' | 'at'>,
): boolean {
  const put = db.prepare(
    `INSERT INTO gift_card (code, order_id, worth, at) VALUES (?, ?, ?, ?) ON CONFLICT DO NOTHING`,
  );
  return put.run(code, orderId, worth, at).changes === 1;
}

/** Moves money on a card: below zero where it is spent. */
export function moveGiftCard(db: Db, code: string, orderId: string, at: string, amount: number): void {
  db.prepare(`INSERT INTO gift_card_move (code, order_id, at, amount) VALUES (?, ?, ?, ?)`).run(
    code,
    orderId,
    at,
    amount,
  );
}

export function switchOffGiftCard(db: Db, code: string): void {
  db.prepare(`UPDATE gift_card SET is_off = 1 WHERE code = ?`).run(code);
}
