import { randomBytes } from 'node:crypto';
import type { Feed } from '../../core/model/feed';
import type { Db } from '../database/connection';
import { deleteBody, putBody, readBodies } from './json-bodies';

/** All feeds, in the order in which they were made. */
export const readFeeds = (db: Db): Feed[] => readBodies<Feed>(db, 'feed');
export const putFeed = (db: Db, feed: Feed): void => putBody(db, 'feed', feed);
export const deleteFeed = (db: Db, id: string): void => deleteBody(db, 'feed', id);

interface FeedUse {
  secret: string;
  fetched: string | null;
  fetches: number;
}

/** What makes the address of a feed one that nobody guesses, and how often it was fetched; undefined where it has none yet. */
export const feedUse = (db: Db, id: string): FeedUse | undefined =>
  db.prepare(`SELECT secret, fetched, fetches FROM feed_secret WHERE feed_id = ?`).get(id) as FeedUse | undefined;

/** Gives a feed another address; the one before leads nowhere from now on. */
export function newSecret(db: Db, id: string): void {
  db.prepare(
    `INSERT INTO feed_secret (feed_id, secret) VALUES (?, ?) ON CONFLICT DO UPDATE SET secret = excluded.secret`,
  ).run(id, randomBytes(18).toString('base64url'));
}

export function noteFetch(db: Db, id: string, at: string): void {
  db.prepare(`UPDATE feed_secret SET fetched = ?, fetches = fetches + 1 WHERE feed_id = ?`).run(at, id);
}
