import { z } from 'zod';
import { idSchema } from '../shared/identity';

/** What is to become of a list of ids that products have. */
export const idListWork = {
  how: z.enum(['add', 'remove', 'set']),
  ids: z.array(idSchema).min(1, 'Choose at least one.').max(50, 'At most 50.'),
};

/** How it is told afterwards. */
export const howWords = { add: 'Added', remove: 'Took away', set: 'Set' };

/** A list after adding to it, taking from it, or setting it; the same list when nothing changes. */
export function changedIds(before: readonly string[], how: 'add' | 'remove' | 'set', ids: readonly string[]): string[] {
  const after =
    how === 'set'
      ? [...new Set(ids)]
      : how === 'add'
        ? [...new Set([...before, ...ids])]
        : before.filter((id) => !ids.includes(id));
  return after.length === before.length && after.every((id, i) => id === before[i]) ? (before as string[]) : after;
}
