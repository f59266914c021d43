import { EventEmitter } from 'node:events';
import { join } from 'node:path';
import { openDatabase, type Db } from '../database/connection';
import {
  repeatEdition,
  writeEdition,
  type DocumentKey,
  type EditionStep,
  type StoredDocument,
} from '../database/editions';
import { Journal, type Actor } from '../database/journal';
import { readStock } from '../database/products';
import { LiveShop } from './live';
import { serialise, splitRef, WorkingCatalog, type StockMap } from './working';

export interface CatalogEvent {
  type: 'changed' | 'edition';
  /** change id, or edition number */
  id: number;
  subjects: string[];
}

/** Everything one shop's data needs: database, journal, working catalog, live shop. Time comes in from outside. */
export class Catalog {
  readonly db: Db;
  readonly journal: Journal;
  readonly working: WorkingCatalog;
  readonly live: LiveShop;
  readonly events = new EventEmitter<{ event: [CatalogEvent] }>();
  readonly mediaFolder: string;
  readonly filesFolder: string;

  constructor(
    folder: string,
    readonly clock: () => Date = () => new Date(),
  ) {
    this.db = openDatabase(folder);
    this.mediaFolder = join(folder, 'media');
    this.filesFolder = join(folder, 'files');
    this.journal = new Journal(this.db);
    const stock: StockMap = new Map(readStock(this.db).map(({ variantId, count }) => [variantId, count]));
    this.live = new LiveShop(this.db, stock, this.now);
    this.working = new WorkingCatalog(this.db, stock, (ref) => this.live.hashes.get(ref), this.now);
    this.events.setMaxListeners(0);
    this.live.load();
    this.working.load();
    for (const ref of this.live.hashes.keys()) if (!this.working.hash(ref)) this.working.changed.add(ref);
    this.journal.onChange(({ changeId, subjects }) => {
      const restocked = this.working.refresh(subjects);
      this.live.shop.refreshAll(restocked);
      this.events.emit('event', { type: 'changed', id: changeId, subjects });
    });
  }

  /** Seconds since 1970. */
  get now(): number {
    return Math.floor(this.clock().getTime() / 1000);
  }

  /** Lets both shops catch up with the clock: sales and days on the shop begin and end by themselves. */
  passTime(): void {
    this.live.shop.passTime(this.now);
    this.working.shop.passTime(this.now);
  }

  actor(userId: string | null): Actor {
    return { userId, at: this.clock().toISOString() };
  }

  /** Makes the working copy the next edition, in one transaction. Answers its number. */
  putLive(label: string, userId: string | null): number {
    const put: StoredDocument[] = [];
    const gone: DocumentKey[] = [];
    for (const ref of this.working.changed) {
      const document = this.working.document(ref);
      if (document) put.push({ kind: document.kind, key: document.key, ...serialise(document) });
      else gone.push(splitRef(ref));
    }
    const number = writeEdition(this.db, { label, at: this.clock().toISOString(), userId }, put, gone);
    this.#moved({ number, put, gone });
    return number;
  }

  /** Makes the content of an older edition live again, as a new edition. The working copy stays as it is. */
  goBack(old: number, label: string, userId: string | null): number {
    const edition = repeatEdition(this.db, { label, at: this.clock().toISOString(), userId }, old);
    this.#moved(edition);
    return edition.number;
  }

  close(): void {
    this.db.close();
  }

  #moved({ number, put, gone }: EditionStep): void {
    this.working.compare(this.live.moveTo(number, put, gone));
    this.events.emit('event', { type: 'edition', id: number, subjects: [] });
  }
}
