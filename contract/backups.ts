import { z } from 'zod';
import { jobSchema } from './bulk';
import { route } from './route';

const whole = z.number().int();
const ok = z.object({ ok: z.literal(true) });

const planSchema = z.strictObject({
  nightly: z.boolean(),
  hour: whole.min(0, 'An hour from 0 to 23.').max(23, 'An hour from 0 to 23.').describe('in the time zone of the shop'),
  keep: whole
    .min(1, 'Keep at least one.')
    .max(60, 'At most 60.')
    .describe('how many of those made by plan are kept; older ones are deleted'),
});
export type BackupPlan = z.infer<typeof planSchema>;

const backupSchema = z.object({
  name: z.string(),
  at: z.string(),
  bytes: whole,
  byPlan: z.boolean(),
  products: whole,
  pictures: whole,
  files: whole,
});
export type BackupFile = z.infer<typeof backupSchema>;

export const backupRoutes = {
  backups: route({
    method: 'GET',
    path: '/api/backups',
    summary: 'Copies of the whole shop, the last one first, and when they are made by themselves',
    answer: z.object({
      backups: z.array(backupSchema),
      plan: planSchema,
      folder: z.string().describe('where they lie on the machine that serves the shop'),
      problem: z.string().describe('why the last one by plan came to nothing; empty where all is well'),
    }),
    owner: true,
  }),
  addBackup: route({
    method: 'POST',
    path: '/api/backups',
    summary: 'Make a copy of the whole shop, which goes on by itself and can be followed',
    answer: jobSchema,
    owner: true,
    waits: false,
  }),
  dropBackup: route({
    method: 'DELETE',
    path: '/api/backups/:name',
    summary: 'Delete a copy of the shop',
    answer: ok,
    owner: true,
    waits: false,
  }),
  planBackups: route({
    method: 'PATCH',
    path: '/api/backups/plan',
    summary: 'Say whether, when and how many copies are made by themselves',
    body: planSchema.partial(),
    answer: ok,
    owner: true,
  }),
  restoreShop: route({
    method: 'POST',
    path: '/api/setup/restore',
    summary: 'Bring a shop back from a backup, in place of one that nobody has set up yet',
    files: true,
    answer: z.object({ shop: z.string(), products: whole }),
    open: true,
    waits: false,
  }),
};
