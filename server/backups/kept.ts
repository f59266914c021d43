import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Job } from '../../contract/bulk';
import type { BackupFile } from '../../contract/backups';
import { lastStruck } from '../../core/shared/moment';
import { readCard, type BackupCard } from '../folder/backup';
import type { BackupMessage, BackupOrder } from '../folder/backup-thread';
import { StoppedError } from '../jobs/jobs';
import { builtOrSource } from '../shared/built-or-source';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { readBackupPlan, writeBackupPlan } from '../store/backup-plan';
import { countUsers } from '../store/people';

const NAME = /^(?:nightly|shop)-\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d\.zip$/;
const NIGHTLY = 'nightly-';

/** Copies of one shop: made when somebody wants one, and each night by plan. */
export class Backups {
  readonly #cards = new Map<string, BackupCard | undefined>();
  #isUnderWay = false;

  constructor(
    readonly catalog: Catalog,
    /** where they lie: on another disk they survive this one */
    readonly folder = process.env.DISPONA_BACKUPS ?? join(catalog.folder, 'backups'),
  ) {}

  /** Those that are there, the last one first. */
  async list(): Promise<BackupFile[]> {
    const found: BackupFile[] = [];
    for (const name of this.#names()) {
      if (!this.#cards.has(name)) this.#cards.set(name, await readCard(join(this.folder, name)).catch(() => undefined));
      const card = this.#cards.get(name);
      if (!card) continue;
      const { at, products, pictures, files } = card;
      const { size } = statSync(join(this.folder, name));
      found.push({ name, at, bytes: size, byPlan: name.startsWith(NIGHTLY), products, pictures, files });
    }
    return found.sort((a, b) => (a.at < b.at ? 1 : -1));
  }

  #names(): string[] {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    return readdirSync(this.folder).filter((name) => NAME.test(name));
  }

  /** Where a backup lies. Throws when there is none of this name. */
  path(name: string): string {
    if (!this.#names().includes(name)) throw notFound(refusals.noSuchBackup);
    return join(this.folder, name);
  }

  drop(name: string): void {
    rmSync(this.path(name), { force: true });
  }

  /** Begins a backup, unless one is under way. */
  begin(isByPlan = false): Job {
    if (this.#isUnderWay) throw invalidField([], refusals.backupUnderWay);
    this.#isUnderWay = true;
    const at = this.catalog.clock().toISOString();
    const name = `${isByPlan ? NIGHTLY : 'shop-'}${at.slice(0, 19).replace(/:/g, '-')}.zip`;
    const order = { folder: this.catalog.folder, target: join(this.folder, name), at };
    return this.catalog.jobs.beside('Making a backup', async (tell, cancelled) => {
      try {
        const card = await inThread({ ...order, cancelled }, tell);
        if (isByPlan) {
          await this.#note({ problem: '' });
          this.#dropOld();
        }
        return `Backed up ${card.products} products and ${card.pictures} pictures`;
      } catch (error) {
        if (isByPlan) await this.#note({ problem: (error as Error).message });
        throw error;
      } finally {
        this.#isUnderWay = false;
      }
    });
  }

  /** Once long work is over, which holds the database. */
  #note(change: { problem: string }): Promise<void> {
    return this.catalog.writes.shared(() => writeBackupPlan(this.catalog.db, change));
  }

  #dropOld(): void {
    const { keep } = readBackupPlan(this.catalog.db);
    const byPlan = this.#names().filter((name) => name.startsWith(NIGHTLY));
    for (const name of byPlan.sort().slice(0, -keep)) this.drop(name);
  }

  /** Looks at the clock: begins the backup of this night where its hour has struck and it was not begun yet. */
  look(): void {
    const { db, working } = this.catalog;
    if (countUsers(db) === 0 || this.#isUnderWay || !this.catalog.writes.isIdle) return;
    const { nightly, hour, begun } = readBackupPlan(db);
    const now = this.catalog.clock().toISOString();
    if (!nightly || (begun !== null && begun >= lastStruck(now, hour, working.shop.settings.timeZone))) return;
    writeBackupPlan(db, { begun: now });
    // A shop that was just made has nothing yet that could be lost.
    if (begun !== null) this.begin(true);
  }
}

/** Makes a backup in a thread. Throws StoppedError with the reason in words. */
function inThread(order: BackupOrder, tell: (done: number, total: number) => void): Promise<BackupCard> {
  const file = builtOrSource(import.meta.url, 'backup-thread.js', '../folder/backup-from-source.mjs');
  return new Promise((resolve, reject) => {
    const worker = new Worker(file, { workerData: order });
    worker.on('message', (message: BackupMessage) => {
      if (message.type === 'progress') tell(message.done, message.total);
      else if (message.type === 'done') resolve(message.card);
      else reject(new StoppedError(message.words));
    });
    worker.on('error', reject);
    worker.on('exit', () => reject(new Error('The thread ended too early.')));
  });
}
