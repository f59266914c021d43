import { ALL_NEW, newVariants } from '../../../core/suppliers/new-good';
import type { ProposeBody } from '../../data/maker';
import { optionsOf, type Draft } from './proposal-draft';

/** What is typed of one variant, or of all of a new product at once. */
export interface NumbersRow {
  /** the key under which the draft keeps it */
  id: string;
  /** the key by which the server speaks of it; the same where there is none */
  sentAs?: string;
  name: string;
  fields: Readonly<Record<string, unknown>>;
  /** only what can be told of all variants */
  isShared?: boolean;
}

// While options are typed, places of values change; what values are called does not.
const draftKey = (names: readonly string[]) => (names.length === 0 ? ALL_NEW : names.join('\n'));

/** The rows of numbers of a new product: one for all variants, and one for each that its options make. */
export function newRows(draft: Draft): NumbersRow[] {
  const rows = newVariants(optionsOf(draft));
  if (rows.length === 1 && rows[0]!.key === ALL_NEW) return [{ id: ALL_NEW, name: '', fields: {} }];
  const shared = (draft.variants[ALL_NEW] ?? {}) as Record<string, unknown>;
  return [
    { id: ALL_NEW, name: 'All of them', fields: {}, isShared: true },
    ...rows.map(({ key, names }) => ({ id: draftKey(names), sentAs: key, name: names.join(' · '), fields: shared })),
  ];
}

/** A draft as it is sent for a product that is there. */
export const proposedOf = ({ options: _none, ...proposed }: Draft): Omit<Draft, 'options'> => proposed;

/** A draft as it is sent for a new product: variants whose values are gone stay behind. */
export function newGoodOf(draft: Draft): Omit<ProposeBody, 'supplierId'> {
  const options = optionsOf(draft);
  const sent = newVariants(options).map(({ key, names }) => [key, draft.variants[draftKey(names)]] as const);
  const all = [ALL_NEW, draft.variants[ALL_NEW]] as const;
  const variants = Object.fromEntries([all, ...sent].flatMap(([key, fields]) => (fields ? [[key, fields]] : [])));
  return { ...proposedOf(draft), productId: null, options, variants };
}
