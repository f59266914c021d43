import { Router, type Request } from 'express';
import { backupRoutes } from '../../contract/backups';
import { answer, ownersOnly } from '../http/answer';
import { limitRequests } from '../http/limit-requests';
import { readBackupPlan, writeBackupPlan } from '../store/backup-plan';
import type { Catalog } from '../state/catalog';
import type { Backups } from './kept';

/** Copies of the whole shop. They hold everything, so they are for owners. */
export function backupsApi(catalog: Catalog, backups: Backups): Router {
  const router = Router();
  answer(router, backupRoutes.backups, async () => {
    const { nightly, hour, keep, problem } = readBackupPlan(catalog.db);
    return { backups: await backups.list(), plan: { nightly, hour, keep }, folder: backups.folder, problem };
  });
  answer(router, backupRoutes.addBackup, () => backups.begin(), limitRequests(60_000, 20));
  answer(router, backupRoutes.dropBackup, ({ params }) => {
    backups.drop(params.name!);
    return { ok: true as const };
  });
  answer(router, backupRoutes.planBackups, ({ body }) => {
    writeBackupPlan(catalog.db, body);
    return { ok: true as const };
  });
  router.get('/api/backups/:name/file', ownersOnly, (request: Request<{ name: string }>, response) => {
    const { name } = request.params;
    response.set('Cache-Control', 'no-store').attachment(name).sendFile(backups.path(name));
  });
  return router;
}
