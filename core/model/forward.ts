import { z } from 'zod';
import type { Link } from './target';

/** Longest path that is forwarded. */
const LONGEST = 500;

/** A path of the shop, as browsers ask for it: no query, nothing after a #. */
export const forwardPathSchema = z
  .string()
  .trim()
  .max(LONGEST, `At most ${LONGEST} characters.`)
  .regex(/^\/[^\s?#]*$/, 'Type a path that begins with a slash, such as /kites/harrier.html.')
  .transform((path) => (path.length > 1 ? path.replace(/\/+$/, '') : path))
  .refine((path) => path !== '' && path !== '/', 'The home page cannot forward.');

/** A path at which nothing of the shop stands: where it leads, or that what stood there is gone for good. */
export interface Forward {
  path: z.infer<typeof forwardPathSchema>;
  to: Link | null;
  /** renamed: kept by itself, when an address changed */
  by: 'hand' | 'import' | 'renamed';
}
