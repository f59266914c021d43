import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { translatable } from './translatable';

/** Largest file of a product, in bytes. */
export const MAX_FILE_BYTES = 300 * 1024 * 1024;
export const MAX_FILES = 40;

/** download: what buyers of a digital product get; sample: a taste of it for all; manual: for all, beside any product. */
const fileRoles = ['download', 'sample', 'manual'] as const;
export const fileRoleSchema = z.enum(fileRoles);
export type FileRole = z.infer<typeof fileRoleSchema>;

export const productFileSchema = z.object({
  id: idSchema,
  role: fileRoleSchema,
  name: translatable(
    z.string().trim().min(1, 'A file needs a name.').max(160, 'At most 160 characters.'),
    'name of a file',
    { optional: true },
  ),
  bytes: z.number().int().min(0),
  /** hash of its content */
  content: z.string().regex(/^[0-9a-f]{40}$/),
  /** the variant that it comes with; null when it comes with all */
  variantId: idSchema.nullable(),
});
export type ProductFile = z.infer<typeof productFileSchema>;

/** "2.4 MB" */
export function sizeWords(bytes: number): string {
  if (bytes < 1024) return `${bytes} bytes`;
  const kilobytes = bytes / 1024;
  if (kilobytes < 1000) return `${Math.round(kilobytes)} kB`;
  const megabytes = kilobytes / 1024;
  return `${megabytes < 10 ? megabytes.toFixed(1) : Math.round(megabytes)} MB`;
}
