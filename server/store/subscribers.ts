import type { Db } from '../database/connection';

export interface Subscriber {
  email: string;
  /** moment, UTC */
  at: string;
  /** path of the page where they asked */
  page: string;
}

/** Puts an address into the list; one that is in it already stays as it was. */
export function putSubscriber(db: Db, { email, at, page }: Subscriber): void {
  db.prepare(`INSERT INTO subscriber (email, at, page) VALUES (?, ?, ?) ON CONFLICT DO NOTHING`).run(email, at, page);
}

/** All who want to hear from the shop, the last one first. */
export function readSubscribers(db: Db): Subscriber[] {
  return db.prepare(`SELECT email, at, page FROM subscriber ORDER BY at DESC, email`).all() as Subscriber[];
}
