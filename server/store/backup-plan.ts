import type { BackupPlan } from '../../contract/backups';
import type { Db } from '../database/connection';

/** When backups are made by themselves, and how the last of them went. */
export interface PlannedBackups extends BackupPlan {
  begun: string | null;
  problem: string;
}

const usual: PlannedBackups = { nightly: true, hour: 3, keep: 7, begun: null, problem: '' };

export function readBackupPlan(db: Db): PlannedBackups {
  const row = db.prepare(`SELECT nightly, hour, keep, begun, problem FROM backup_plan`).get() as
    (Omit<PlannedBackups, 'nightly'> & { nightly: number }) | undefined;
  return row ? { ...row, nightly: row.nightly === 1 } : usual;
}

export function writeBackupPlan(db: Db, change: Partial<PlannedBackups>): void {
  const { nightly, hour, keep, begun, problem } = { ...readBackupPlan(db), ...change };
  db.prepare(
    `INSERT INTO backup_plan (id, nightly, hour, keep, begun, problem) VALUES (1, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET nightly = excluded.nightly, hour = excluded.hour, keep = excluded.keep,
       begun = excluded.begun, problem = excluded.problem`,
  ).run(Number(nightly), hour, keep, begun, problem);
}
