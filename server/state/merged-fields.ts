import { refusals } from '../shared/refusals';
import { mergeFields } from '../../core/shared/three-way';
import type { Was } from '../../contract/was';
import { clash } from '../shared/problem';

/**
 * The fields that a person wants to change, merged with what others changed since that person saw `was`; fields that `was`
 * does not name are taken as they are. Refuses with a clash where both changed the same thing; `words`: what the fields are
 * called inside a sentence.
 */
export function mergedFields<T extends object>(
  current: object,
  fields: T,
  was: Was,
  words: Readonly<Record<keyof T & string, string>>,
): T {
  if (!was) return fields;
  const { picture } = current as { picture?: { alt: string } | null };
  const stands = { ...current, alt: picture?.alt ?? '' };
  const { fields: merged, clashes } = mergeFields({ ...stands, ...was }, stands, fields);
  if (clashes.length > 0)
    throw clash(
      clashes.map(({ path, theirs }) => ({
        path,
        theirs,
        message: refusals.fieldChangedMeanwhile(words[path[0] as keyof T & string]),
      })),
    );
  return merged;
}
