import { fold } from '../../core/shared/fold';
import type { Db } from '../database/connection';
import { noteMet, noteViews, type MetOnDay, type PageViews } from '../store/page-views';
import { noteMissed, noteOpened, noteSearched } from '../store/shopper-counts';

const DAY = 86_400;
/** Longest words, and longest path, that are counted: what is longer nobody typed. */
const LONGEST_WORDS = 60;
const LONGEST_PATH = 200;
/** So many different things are held at once; what else comes before they are written is not counted. */
const MOST_HELD = 2_000;
/** Seconds between two writes. */
const EVERY = 5;

/** Programs that read pages for others: they are no shoppers. */
const ROBOT = /bot\b|crawl|spider|slurp|preview|fetch|monitor|curl|wget|python|headless/i;
/** Names of people, addresses and numbers of theirs are not kept, whatever field they were typed into. */
const PERSONAL = /@|\d{6,}/;

/** Words of a search as they are counted; undefined for what is not to be kept. */
export function countedWords(q: string): string | undefined {
  const words = fold(q).replace(/\s+/g, ' ').trim();
  return words === '' || words.length > LONGEST_WORDS || PERSONAL.test(words) ? undefined : words;
}

export const isRobot = (agent: string | undefined): boolean => agent === undefined || ROBOT.test(agent);

/**
 * Counts what shoppers look for: words, what they opened then, and paths where nothing is. Nothing of who they are. Counts are
 * held in memory for a few seconds, so that nobody waits for the database; those of the last seconds may be lost.
 */
export class ShopperCounts {
  readonly #searched = new Map<string, { day: number; locale: string; words: string; times: number; found: number }>();
  readonly #opened = new Map<string, { locale: string; words: string; productId: string; times: number }>();
  readonly #missed = new Map<string, { path: string; times: number; last: string }>();
  readonly #viewed = new Map<string, PageViews>();
  readonly #met = new Map<string, MetOnDay>();
  #written = 0;

  constructor(readonly db: Db) {}

  /** `now`: seconds since 1970. */
  searched(locale: string, q: string, found: number, now: number): void {
    const words = countedWords(q);
    if (words === undefined || this.#searched.size >= MOST_HELD) return;
    const day = Math.floor(now / DAY) * DAY;
    const key = `${day} ${locale} ${words}`;
    const times = (this.#searched.get(key)?.times ?? 0) + 1;
    this.#searched.set(key, { day, locale, words, times, found });
  }

  opened(locale: string, q: string, productId: string): void {
    const words = countedWords(q);
    if (words === undefined || this.#opened.size >= MOST_HELD) return;
    const key = `${locale} ${words} ${productId}`;
    this.#opened.set(key, { locale, words, productId, times: (this.#opened.get(key)?.times ?? 0) + 1 });
  }

  missed(path: string, at: string): void {
    if (path.length > LONGEST_PATH || this.#missed.size >= MOST_HELD) return;
    this.#missed.set(path, { path, times: (this.#missed.get(path)?.times ?? 0) + 1, last: at });
  }

  /** A page was looked at; as the first of a visit or on the way. `now`: seconds since 1970. */
  viewed(kind: string, id: string, isEntry: boolean, now: number): void {
    if (this.#viewed.size >= MOST_HELD) return;
    const day = Math.floor(now / DAY) * DAY;
    const key = `${day} ${kind} ${id}`;
    const { times, entries } = this.#viewed.get(key) ?? { times: 0, entries: 0 };
    this.#viewed.set(key, { day, kind, id, times: times + 1, entries: entries + Number(isEntry) });
  }

  /** A product was opened from a place of the shop, or from outside. `now`: seconds since 1970. */
  met(productId: string, [kind, id]: readonly [kind: string, id: string], now: number): void {
    if (this.#met.size >= MOST_HELD) return;
    const day = Math.floor(now / DAY) * DAY;
    const key = `${day} ${productId} ${kind} ${id}`;
    this.#met.set(key, { day, productId, kind, id, times: (this.#met.get(key)?.times ?? 0) + 1 });
  }

  /** Writes what is held, where some time has passed since the last write. */
  writeSome(now: number): void {
    if (Math.abs(now - this.#written) < EVERY) return;
    this.#written = now;
    this.write();
  }

  /** Writes what is held. On a full disk it stays held. */
  write(): void {
    const all = [this.#searched, this.#opened, this.#missed, this.#viewed, this.#met];
    if (all.every(({ size }) => size === 0)) return;
    this.db.transaction(() => {
      for (const each of this.#searched.values()) noteSearched(this.db, each);
      for (const each of this.#opened.values()) noteOpened(this.db, each);
      for (const each of this.#missed.values()) noteMissed(this.db, each);
      for (const each of this.#viewed.values()) noteViews(this.db, each);
      for (const each of this.#met.values()) noteMet(this.db, each);
    })();
    for (const each of all) each.clear();
  }
}
