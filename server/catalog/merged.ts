import { mergeFields } from '../../core/catalog/three-way';
import type { Was } from '../../contract/was';
import { clash } from '../problem';

/**
 * The fields that a person wants to change, merged with what others changed since that person saw `was`; fields that `was`
 * does not name are taken as they are. Refuses with a clash where both changed the same thing.
 */
export function mergedFields<T extends object>(current: object, fields: T, was: Was): T {
  if (!was) return fields;
  const { fields: merged, clashes } = mergeFields({ ...current, ...was }, current, fields);
  if (clashes.length > 0)
    throw clash(
      clashes.map(({ path, theirs }) => ({ path, theirs, message: 'Somebody else changed this meanwhile.' })),
    );
  return merged;
}
