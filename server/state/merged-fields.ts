import { mergeFields } from '../../core/shared/three-way';
import type { Was } from '../../contract/was';
import { clash } from '../shared/problem';

/** What the fields are called that several people may change at once. */
const words: Readonly<Record<string, string>> = {
  name: 'name',
  title: 'title',
  slug: 'address',
  text: 'text',
  picture: 'picture',
  alt: 'alt text',
  metaTitle: 'meta title',
  metaDescription: 'meta description',
  noindex: 'choice about search engines',
  listed: 'choice of a page of its own',
  standing: 'standing',
  parentId: 'parent',
  specSheetId: 'spec sheet',
  order: 'order',
  rule: 'rule',
  picked: 'list of goods',
  pins: 'list of pinned goods',
  leftOut: 'list of goods left out',
  liveFrom: 'first day',
  liveUntil: 'last day',
  fewest: 'smallest size',
  most: 'largest size',
  sections: 'list of sections',
  items: 'menu',
  attributes: 'list of attributes',
  choices: 'list of values',
  tagline: 'sentence about the shop',
  currency: 'currency',
  taxRate: 'tax rate',
  reducedTaxRate: 'reduced tax rate',
  taxIncluded: 'choice of prices with tax',
  timeZone: 'time zone',
  locale: 'language',
  synonyms: 'list of words that mean the same',
};

/**
 * The fields that a person wants to change, merged with what others changed since that person saw `was`; fields that `was`
 * does not name are taken as they are. Refuses with a clash where both changed the same thing.
 */
export function mergedFields<T extends object>(current: object, fields: T, was: Was): T {
  if (!was) return fields;
  const { picture } = current as { picture?: { alt: string } | null };
  const stands = { ...current, alt: picture?.alt ?? '' };
  const { fields: merged, clashes } = mergeFields({ ...stands, ...was }, stands, fields);
  if (clashes.length > 0)
    throw clash(
      clashes.map(({ path, theirs }) => ({
        path,
        theirs,
        message: `The ${words[String(path[0])] ?? 'field'} was changed by somebody else meanwhile.`,
      })),
    );
  return merged;
}
