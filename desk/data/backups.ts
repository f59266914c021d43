import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { backupRoutes, type BackupPlan } from '../../contract/backups';
import { call, upload } from './api';

export type { BackupPlan } from '../../contract/backups';

export const useBackups = () => useQuery({ queryKey: ['backups'], queryFn: () => call(backupRoutes.backups) });

export function useBackupWrites() {
  const client = useQueryClient();
  const again = () => client.invalidateQueries({ queryKey: ['backups'] });
  return {
    make: useMutation({
      mutationFn: () => call(backupRoutes.addBackup),
      onSuccess: () => client.invalidateQueries({ queryKey: ['jobs'] }),
    }),
    drop: useMutation({
      mutationFn: (name: string) => call(backupRoutes.dropBackup, { params: { name } }),
      onSuccess: again,
    }),
    plan: useMutation({
      mutationFn: (body: Partial<BackupPlan>) => call(backupRoutes.planBackups, { body }),
      onSettled: again,
    }),
    again,
  };
}

/** Brings a shop back in place of one that nobody has set up; `tell` is told how much of the file has gone out, from 0 to 1. */
export const bringShopBack = (file: File, code: string, tell: (done: number) => void) =>
  upload(backupRoutes.restoreShop, { files: [file], fields: { code } }, tell);
