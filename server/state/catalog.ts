import { EventEmitter } from 'node:events';
import { join } from 'node:path';
import { setImmediate as nextTurn } from 'node:timers/promises';
import type { Job } from '../../contract/bulk';
import type { ShopDocument } from '../../core/model/document';
import { newId } from '../shared/ids';
import { thinned, type KeepRule } from '../../core/publishing/thinning';
import { openDatabase, type Db } from '../database/connection';
import {
  dropEditions,
  listEditions,
  readKeepRule,
  readUntouchedProducts,
  repeatEdition,
  writeEdition,
  writeKeepRule,
  type DocumentKey,
  type WrittenDocument,
} from '../store/editions';
import { Journal, type Actor } from '../database/journal';
import { putHeld, readHeld } from '../store/held';
import { deletePlanned, putPlanned, readPlanned, readPlannedDocuments, type PlannedRow } from '../store/planned';
import { readAllStock } from '../store/products';
import type { MessageQueue } from '../jobs/message-queue';
import { isDiskFull } from '../folder/failure';
import { lockFolder } from '../folder/lock';
import { finishRestore } from '../folder/restore';
import { Jobs } from '../jobs/jobs';
import { WriteLock } from '../jobs/write-lock';
import { heldBack, type HeldBack } from './held-back';
import { IndexCache } from './index-cache';
import { LiveShop } from './live';
import { serialise } from '../database/stored-form';
import type { ReadyProducts } from '../store/ready-products';
import { ShopperCounts } from './shopper-counts';
import { StockLevels } from './stock-levels';
import { splitRef, WorkingCatalog } from './working';

export interface CatalogEvent {
  type: 'changed' | 'edition' | 'presence';
  /** change id, or edition number; 0 for what time alone changed */
  id: number;
  subjects: string[];
}

/** Products of a large change that are taken up before requests are answered again. */
const FOLLOWED_AT_ONCE = 100;

/** After every moment. */
const NEVER = '9999';

/** From so many documents on, an edition is a large one. */
const MANY = 1_000;

/** Everything one shop's data needs: database, journal, working catalog, live shop. Time comes in from outside. */
export class Catalog {
  readonly db: Db;
  readonly journal: Journal;
  /** what shoppers look for */
  readonly counts: ShopperCounts;
  readonly working: WorkingCatalog;
  readonly live: LiveShop;
  readonly events = new EventEmitter<{ event: [CatalogEvent]; job: [Job]; signedOut: [] }>();
  readonly writes = new WriteLock();
  readonly jobs: Jobs;
  readonly #keeper: IndexCache;
  readonly #unlock: () => void;
  readonly #timed: (() => void)[] = [];
  /** when the next planned edition goes live; undefined while that is not known */
  #nextPlanned: string | undefined;
  readonly mediaFolder: string;
  readonly filesFolder: string;

  constructor(
    readonly folder: string,
    readonly clock: () => Date = () => new Date(),
    /** from so many products on, the index is kept in a file for the next start */
    cachedFrom?: number,
  ) {
    this.#unlock = lockFolder(folder);
    this.db = this.#opened(folder);
    this.mediaFolder = join(folder, 'media');
    this.filesFolder = join(folder, 'files');
    this.journal = new Journal(this.db);
    this.counts = new ShopperCounts(this.db);
    this.#keeper = new IndexCache(this.db, folder, cachedFrom);
    const products = this.#keeper.products();
    const stock = new StockLevels(readAllStock(this.db));
    this.live = new LiveShop(this.db, stock, (productId) => this.working.salesOf(productId), this.now);
    this.working = new WorkingCatalog(this.db, stock, (ref) => this.live.hashes.get(ref), this.now);
    this.events.setMaxListeners(0);
    this.working.load(products, readUntouchedProducts(this.db), this.#keeper.before(this.now));
    for (const ref of this.live.hashes.keys()) if (!this.working.hash(ref)) this.working.changed.add(ref);
    const different = [...this.working.changed, ...this.working.withheld];
    if (different.length * 4 < this.working.products.size) this.live.copyFrom(this.working.shop, different);
    else this.live.load();
    this.jobs = new Jobs(this, folder);
    this.journal.onChange(({ changeId, subjects }) => {
      this.#refresh(subjects);
      this.events.emit('event', { type: 'changed', id: changeId, subjects });
    });
  }

  /** Takes up a change that was written elsewhere, a little at a time, so that requests are answered meanwhile. */
  async follow(
    changeId: number,
    subjects: readonly string[],
    ready?: ReadyProducts & Partial<MessageQueue>,
  ): Promise<void> {
    for (let from = 0; from < subjects.length; from += FOLLOWED_AT_ONCE) {
      const some = subjects.slice(from, from + FOLLOWED_AT_ONCE);
      await ready?.until?.(some);
      this.#refresh(some, ready);
      await nextTurn();
    }
    this.events.emit('event', { type: 'changed', id: changeId, subjects: [...subjects] });
  }

  /** Takes up what an order moved: stock and sales of these products. It holds in both shops at once, and is no change. */
  takeUpOrders(productIds: readonly string[]): void {
    const subjects = productIds.map((id) => `product:${id}`);
    this.#keeper.note(subjects);
    const ids = this.working.takeUpMoves(productIds);
    this.live.shop.take({ refreshed: ids });
    this.events.emit('event', { type: 'changed', id: 0, subjects });
  }

  #refresh(subjects: readonly string[], ready?: ReadyProducts): void {
    this.#keeper.note(subjects);
    // What is no part of an edition, such as stock, holds in the live shop at once.
    this.live.shop.take({ refreshed: this.working.refresh(subjects, ready) });
  }

  /** Seconds since 1970. */
  get now(): number {
    return Math.floor(this.clock().getTime() / 1000);
  }

  /** Lets both shops catch up with the clock: sales and days on the shop begin and end by themselves. */
  passTime(): void {
    const { shop } = this.working;
    const before = shop.version;
    this.live.shop.take({ now: this.now });
    shop.take({ now: this.now });
    // While long work holds the database, it is noted at the next look.
    if (this.writes.isIdle) {
      this.#tryTo(() => this.#putPlannedLive());
      this.#tryTo(() => this.live.noteAsked());
      this.#tryTo(() => this.counts.writeSome(this.now));
      for (const run of this.#timed) this.#tryTo(run);
    }
    // What began or ended by the clock shows in open tabs as any change does.
    if (shop.version !== before) this.events.emit('event', { type: 'changed', id: 0, subjects: [] });
  }

  /** Calls back with every look at the clock, unless long work holds the database: it must be quick while nothing is due. */
  onTime(run: () => void): void {
    this.#timed.push(run);
  }

  /** Writes what shoppers looked for until now, for somebody who wants to read it. */
  writeCounts(): void {
    if (this.writes.isIdle) this.#tryTo(() => this.counts.write());
  }

  /** What is noted beside the work, such as prices that offers ask, must not stop it: on a full disk it waits. */
  #tryTo(note: () => void): void {
    try {
      note();
    } catch (error) {
      if (!isDiskFull(error)) throw error;
    }
  }

  /**
   * Compares some of the products that were taken for as they are live when the catalog was opened, and mends what is
   * not. Answers true when all were compared: to be called again and again while there is nothing else to do.
   */
  verifySome(count: number): boolean {
    const wrong = this.working.verifySome(count);
    if (wrong?.length) this.live.readAgain(wrong);
    return wrong === undefined;
  }

  /**
   * Does some of what can wait: comparing, and keeping the index for the next start. Answers true when nothing is left: to
   * be called again and again while there is nothing else to do.
   */
  compareSome(count: number): boolean {
    return this.verifySome(count) && (this.writes.isIdle ? this.#keeper.tend(this.working.shop) : true);
  }

  actor(userId: string | null): Actor {
    return { userId, at: this.clock().toISOString() };
  }

  /** Changes that the seller keeps out of the next edition, and those that cannot go without them, each with what it waits for. */
  get held(): ReadonlyMap<string, HeldBack> {
    return heldBack(this);
  }

  /** Keeps changes out of the next edition, or lets them go on. They stay in the working copy. */
  hold(keys: readonly DocumentKey[], isHeld: boolean): void {
    putHeld(this.db, keys, isHeld);
    this.events.emit('event', { type: 'changed', id: 0, subjects: [] });
  }

  /** What was held back and is as it is live again is held back no longer: a change that comes later is another one. */
  #letGoOfUnchanged(): void {
    const done = [...readHeld(this.db)].filter((ref) => !this.working.changed.has(ref));
    if (done.length > 0) putHeld(this.db, done.map(splitRef), false);
  }

  /** What would be in the next edition, and would go with it: all that changed, but what is held back. */
  nextEdition(held = this.held): { put: WrittenDocument[]; gone: DocumentKey[] } {
    const put: WrittenDocument[] = [];
    const gone: DocumentKey[] = [];
    for (const ref of this.working.changed) {
      if (held.has(ref)) continue;
      const document = this.working.document(ref);
      if (document) put.push({ ...document, ...serialise(document) });
      else gone.push(splitRef(ref));
    }
    return { put, gone };
  }

  /** Makes the working copy the next edition, but what is held back, in one transaction. Answers its number. */
  putLive(label: string, userId: string | null, note = ''): number {
    const { held } = this;
    const { put, gone } = this.nextEdition(held);
    const number = writeEdition(this.db, { label, note, at: this.clock().toISOString(), userId }, put, gone);
    this.#letGoOfUnchanged();
    this.working.compare(this.live.note(number, put, gone));
    // What was put live is what the working copy shows: a large edition is copied from there rather than read again.
    if (put.length >= MANY && put.length * 4 >= this.working.products.size)
      this.live.copyFrom(this.working.shop, [...this.working.withheld, ...held.keys()]);
    else this.live.show(put, gone);
    this.#thin();
    this.#tellEdition(number);
    return number;
  }

  /** Sets which old editions are kept, and lets go of the others. Answers how many went. */
  keepEditions(rule: KeepRule | null): number {
    writeKeepRule(this.db, rule);
    return this.#thin();
  }

  /** Lets go of the old editions that the seller does not keep. */
  #thin(): number {
    const gone = thinned(listEditions(this.db, Number.MAX_SAFE_INTEGER), readKeepRule(this.db), this.now * 1_000);
    if (gone.length > 0) dropEditions(this.db, gone);
    return gone.length;
  }

  /** Makes what the next edition would hold go live by itself at a moment (ISO) to come. Answers its id. */
  plan(at: string, label: string, note: string, userId: string | null): string {
    const { put, gone } = this.nextEdition();
    const id = newId('planned');
    this.#nextPlanned = undefined;
    putPlanned(this.db, { id, at, label, note, madeAt: this.clock().toISOString(), userId }, put, gone);
    this.events.emit('event', { type: 'changed', id: 0, subjects: [] });
    return id;
  }

  /** Calls a planned edition off: what it holds goes on with the next one. Answers whether there was one. */
  callOff(id: string): boolean {
    const wasThere = deletePlanned(this.db, id);
    this.events.emit('event', { type: 'changed', id: 0, subjects: [] });
    return wasThere;
  }

  /** What a planned edition puts live. Nothing of it can have gone live otherwise meanwhile: it counts as held back. */
  plannedContent({ id }: PlannedRow): { put: WrittenDocument[]; gone: DocumentKey[] } {
    const put: WrittenDocument[] = [];
    const gone: DocumentKey[] = [];
    for (const { kind, key, body } of readPlannedDocuments(this.db, id)) {
      if (body === undefined) gone.push({ kind, key });
      else {
        const document = { kind, key, body } as ShopDocument;
        put.push({ ...document, ...serialise(document) });
      }
    }
    return { put, gone };
  }

  /** Puts the planned editions live whose moment has come. */
  #putPlannedLive(): void {
    const now = this.clock().toISOString();
    // Asked with every request.
    this.#nextPlanned ??= readPlanned(this.db)[0]?.at ?? NEVER;
    if (this.#nextPlanned > now) return;
    this.#nextPlanned = undefined;
    for (const planned of readPlanned(this.db)) {
      if (planned.at > now) return;
      const { put, gone } = this.plannedContent(planned);
      const { label, note, userId, changeId } = planned;
      const number = this.db
        .transaction(() => {
          deletePlanned(this.db, planned.id);
          return writeEdition(this.db, { label, note, at: now, userId, changeId }, put, gone);
        })
        .immediate();
      this.live.show(put, gone);
      this.working.compare(this.live.note(number, put, gone));
      this.#thin();
      this.#tellEdition(number);
    }
  }

  /** Makes the content of an older edition live again, as a new edition. The working copy stays as it is. */
  goBack(old: number, label: string, userId: string | null): number {
    const { number, put, gone } = repeatEdition(this.db, { label, at: this.clock().toISOString(), userId }, old);
    this.live.show(put, gone);
    this.working.compare(this.live.note(number, put, gone));
    this.#tellEdition(number);
    return number;
  }

  close(): void {
    // While long work is under way, more may be stored than was taken up.
    if (this.writes.isIdle) {
      this.#keeper.keep(this.working.shop);
      this.#tryTo(() => this.counts.write());
    }
    this.drop();
  }

  /** Lets go of everything as it is, as if the process had ended. */
  drop(): void {
    this.db.close();
    this.#unlock();
  }

  #opened(folder: string): Db {
    try {
      finishRestore(folder);
      return openDatabase(folder);
    } catch (error) {
      this.#unlock();
      throw error;
    }
  }

  #tellEdition(number: number): void {
    this.events.emit('event', { type: 'edition', id: number, subjects: [] });
  }
}
