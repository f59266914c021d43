import type { Express } from 'express';
import type { RequestListener } from 'node:http';
import { Backups } from '../backups/kept';
import type { BackupCard } from '../folder/backup';
import { unpackBackup } from '../folder/restore';
import { Catalog } from '../state/catalog';
import { makeApp, type AppParts } from './app';

/** A folder that is served. Its shop can be replaced by one from a backup while the server goes on. */
export class ServedShop {
  catalog!: Catalog;
  backups!: Backups;
  app!: Express;

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

  async #restore(zip: string): Promise<BackupCard> {
    const card = await unpackBackup(zip, this.folder, this.catalog.clock());
    // Nobody is asked in between: closing and opening are one step for the thread that answers.
    this.catalog.close();
    this.#open();
    this.parts.restored?.(this.catalog);
    return card;
  }
}
