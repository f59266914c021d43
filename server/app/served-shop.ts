import type { Express } from 'express';
import type { RequestListener } from 'node:http';
import { Backups } from '../backups/kept';
import { BackupError, type BackupCard } from '../folder/backup';
import { unpackBackup } from '../folder/restore';
import { needsSetup } from '../people/set-up';
import { Catalog } from '../state/catalog';
import { makeApp, type AppParts } from './app';

/** A folder that is served. Its shop can be replaced by one from a backup while the server goes on. */
export class ServedShop {
  catalog!: Catalog;
  backups!: Backups;
  app!: Express;
  #isRestoring = false;

  constructor(
    readonly folder: string,
    readonly parts: Omit<AppParts, 'catalog' | 'backups' | 'restore'> & {
      /** told of a shop that came from a backup */
      restored?: (catalog: Catalog) => void;
    },
    readonly clock?: () => Date,
  ) {
    this.#open();
  }

  readonly handle: RequestListener = (request, response) => this.app(request, response);

  #open(): void {
    this.catalog = new Catalog(this.folder, this.clock);
    this.backups = new Backups(this.catalog);
    const { catalog, backups } = this;
    this.app = makeApp({ ...this.parts, catalog, backups, restore: (zip) => this.#restore(zip) });
  }

  /** Closes the folder and opens what stands there. Nobody is asked in between: it is one step for the thread that answers. */
  reopen(): void {
    this.catalog.close();
    this.#open();
  }

  async #restore(zip: string): Promise<BackupCard> {
    if (this.#isRestoring) throw new BackupError('Another backup is being brought back already.');
    this.#isRestoring = true;
    try {
      return await this.#replaceBy(zip);
    } finally {
      this.#isRestoring = false;
    }
  }

  async #replaceBy(zip: string): Promise<BackupCard> {
    const card = await unpackBackup(zip, this.folder, this.catalog.clock(), {
      sure: () => {
        // Somebody may have begun the shop while the backup was checked.
        if (!needsSetup(this.catalog.db))
          throw new BackupError('This shop was set up meanwhile, so it was left as it is.');
      },
    });
    this.reopen();
    this.parts.restored?.(this.catalog);
    return card;
  }
}
