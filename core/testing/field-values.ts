import type { Field, Fields } from '../model/fields';
import { canonicalJson } from '../shared/canonical-json';

/** The id of whatever a field names. */
export const ANY_ID = 'any_000001';

/** Values of every sort that fields have; a field that takes none of them needs one here. */
const candidates: readonly unknown[] = [
  'kept-1',
  ANY_ID,
  { a_span: 3_000 },
  true,
  false,
  7,
  [ANY_ID],
  '2027-05-01T10:00:00.000Z',
  [{ from: 5, off: 500 }],
  { length: 300, width: 200, height: 100 },
  { from: 1_000, upTo: 5_000 },
  { slots: [], pricing: { how: 'parts', off: 500 } },
  [{ id: ANY_ID, role: 'manual', name: 'plan.pdf', bytes: 10, content: 'a'.repeat(40), variantId: null }],
  [{ label: 'Sewn in', value: 'the shed' }],
  [[ANY_ID]],
  { how: 'picked', ids: [ANY_ID] },
  { media: 'a'.repeat(32), width: 30, height: 20, alt: '' },
  { match: 'all', of: [{ field: 'onSale', is: 'yes', value: null }] },
  { keys: [{ by: 'title', down: false }], mix: 'none', soldOutLast: true },
  'picked',
  'digital',
  'off',
  'reduced',
  'hide',
  'm',
];

/** A value that a field can have, and that is not the usual one. */
export function valueOf(name: string, { stored, usual }: Field): unknown {
  const value = candidates.find(
    (each) => stored.safeParse(each).success && canonicalJson(each) !== canonicalJson(usual),
  );
  if (value === undefined) throw new Error(`No value for “${name}”: add one to field-values.ts.`);
  return value;
}

/** A value for every field. */
export const valuesOf = (fields: Fields): Record<string, unknown> =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, valueOf(name, field)]));
