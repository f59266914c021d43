import type { Offer } from '../../core/model/offer';
import { newOffer } from '../../core/model/offer';
import type { Db } from '../database/connection';
import { deleteBody, putBody, readBodies } from './json-bodies';

/** All offers, in the order in which they were made. */
export const readOffers = (db: Db): Offer[] =>
  readBodies<Offer>(db, 'offer').map((offer) => ({ ...newOffer(offer.id, ''), ...offer }));

/** Stores an offer in place of the one with its id, or behind all others. */
export const putOffer = (db: Db, offer: Offer): void => putBody(db, 'offer', offer);

/** Deletes an offer with its codes. */
export function deleteOffer(db: Db, id: string): void {
  db.prepare(`DELETE FROM offer_code WHERE offer_id = ?`).run(id);
  deleteBody(db, 'offer', id);
}

/** A code with which shoppers get an offer. */
export interface OfferCode {
  /** in capitals, without blanks and hyphens */
  code: string;
  offerId: string;
  /** how often it can be used; null for no limit of its own */
  uses: number | null;
  note: string;
  created: string;
}

const codeColumns = `code, offer_id AS offerId, uses, note, created`;

export function readCodes(db: Db, offerId: string): (OfferCode & { used: number })[] {
  return db
    .prepare(
      `SELECT ${codeColumns}, (SELECT count(*) FROM offer_use WHERE offer_use.code = offer_code.code) AS used
       FROM offer_code WHERE offer_id = ? ORDER BY created DESC, code`,
    )
    .all(offerId) as (OfferCode & { used: number })[];
}

export function readCode(db: Db, code: string): OfferCode | undefined {
  return db.prepare(`SELECT ${codeColumns} FROM offer_code WHERE code = ?`).get(code) as OfferCode | undefined;
}

/** How many codes each offer has. */
export function countCodes(db: Db): Map<string, number> {
  const rows = db.prepare(`SELECT offer_id, count(*) FROM offer_code GROUP BY offer_id`).raw().all();
  return new Map(rows as [string, number][]);
}

/** Adds a code; false where it is there already. */
export function addCode(db: Db, { code, offerId, uses, note, created }: OfferCode): boolean {
  return (
    db
      .prepare(
        `INSERT INTO offer_code (code, offer_id, uses, note, created) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO NOTHING`,
      )
      .run(code, offerId, uses, note, created).changes === 1
  );
}

export function deleteCodes(db: Db, offerId: string, codes: readonly string[]): void {
  db.prepare(`DELETE FROM offer_code WHERE offer_id = ? AND code IN (SELECT value FROM json_each(?))`).run(
    offerId,
    JSON.stringify(codes),
  );
}

/** One use of an offer: it came off an order. Not undone: an order that is called off gives it back. */
export interface OfferUse {
  offerId: string;
  code: string | null;
  orderId: string;
  /** mail address in small letters */
  shopper: string;
  off: number;
}

export function addUse(db: Db, { offerId, code, orderId, shopper, off }: OfferUse): void {
  db.prepare(`INSERT INTO offer_use (offer_id, code, order_id, shopper, off) VALUES (?, ?, ?, ?, ?)`).run(
    offerId,
    code,
    orderId,
    shopper,
    off,
  );
}

export function dropUses(db: Db, orderId: string): void {
  db.prepare(`DELETE FROM offer_use WHERE order_id = ?`).run(orderId);
}

/** How often an offer was used in all, and by one shopper. */
export function countUses(db: Db, offerId: string, shopper: string | null): { all: number; own: number } {
  const { all, own } = db
    .prepare(`SELECT count(*) AS "all", count(*) FILTER (WHERE shopper = ?) AS own FROM offer_use WHERE offer_id = ?`)
    .get(shopper, offerId) as { all: number; own: number };
  return { all, own };
}

/** How often a code was used. */
export function countCodeUses(db: Db, code: string): number {
  return db.prepare(`SELECT count(*) FROM offer_use WHERE code = ?`).pluck().get(code) as number;
}

/** Uses of every offer, and what they took off in all. */
export function usesOfAll(db: Db): Map<string, { uses: number; off: number }> {
  const rows = db
    .prepare(`SELECT offer_id AS id, count(*) AS uses, sum(off) AS off FROM offer_use GROUP BY offer_id`)
    .all();
  return new Map((rows as { id: string; uses: number; off: number }[]).map(({ id, uses, off }) => [id, { uses, off }]));
}
