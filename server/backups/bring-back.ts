import { Router } from 'express';
import { join } from 'node:path';
import { z } from 'zod';
import { backupRoutes } from '../../contract/backups';
import { ArchiveError } from '../folder/archive';
import { BackupError, type BackupCard } from '../folder/backup';
import { answer } from '../http/answer';
import { limitRequests } from '../http/limit-requests';
import { dropArrived } from '../media/file-store';
import { arrivedFile, takesFile } from '../media/upload';
import { isSameSecret } from '../shared/passwords';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { countUsers } from '../store/people';

const MOST_BYTES = 50 * 2 ** 30;
const formSchema = z.object({ code: z.string().max(100).default('') });

export interface BringBackParts {
  catalog: Catalog;
  setUpCode?: string;
  /** puts the shop of a backup in place of this one */
  restore: (zip: string) => Promise<BackupCard>;
}

/** The other way to begin: a shop that nobody has set up yet becomes one from a backup. */
export function bringBackApi({ catalog, setUpCode, restore }: BringBackParts): Router {
  const router = Router();
  const refuseStrangers = () => {
    if (countUsers(catalog.db) > 0) throw invalidField([], refusals.isSetUp);
  };
  answer(
    router,
    backupRoutes.restoreShop,
    async ({ request }) => {
      const { path } = arrivedFile(request);
      try {
        const { code } = formSchema.parse(request.body ?? {});
        if (setUpCode !== undefined && !isSameSecret(code, setUpCode))
          throw invalidField(['code'], refusals.typeTheCode);
        refuseStrangers();
        const { shop, products } = await restore(path);
        return { shop, products };
      } catch (error) {
        if (error instanceof BackupError || error instanceof ArchiveError) throw invalidField(['files'], error.message);
        throw error;
      } finally {
        await dropArrived(path);
      }
    },
    limitRequests(60_000, 10),
    (_request, _response, next) => {
      // Before gigabytes arrive for nothing.
      refuseStrangers();
      next();
    },
    takesFile(join(catalog.folder, 'bringing-back'), MOST_BYTES, refusals.backupTooLarge),
  );
  return router;
}
