import { fold } from '../../../../core/shared/fold';
import type { Option } from '../../../../core/model/product';
import { mergeValues } from '../../../../core/shared/three-way';
import { isSameName } from '../../../../core/shared/same-name';

/** An option value as it is being edited; one without an id is new. `key` stays the same when it gets one. */
export interface OptionValueDraft {
  key: string;
  id: string | null;
  name: string;
  swatch: string | null;
  pictureId: string | null;
}

export interface OptionDraft {
  key: string;
  id: string | null;
  name: string;
  listId: string | null;
  values: OptionValueDraft[];
}

/** Usual names of colours, so that a swatch is there without asking. */
const knownColours: Record<string, string> = {
  ember: '#e4572e',
  pine: '#0f6b5f',
  plum: '#5b3f9e',
  sea: '#1d4f91',
  sun: '#f3a712',
  red: '#c8102e',
  blue: '#1f5fbf',
  green: '#2e8b57',
  yellow: '#f2c230',
  black: '#1c1c1c',
  white: '#ffffff',
  orange: '#ee7f22',
  purple: '#6b3fa0',
  grey: '#8a8f94',
};

/** The colour of a swatch that nobody chose yet. */
export const PLAIN_SWATCH = '#9aa5ad';

export const colourOf = (name: string) => knownColours[fold(name).trim()] ?? PLAIN_SWATCH;

export const isOfColours = ({ name, values }: OptionDraft) =>
  values.some((value) => value.swatch) || /colou?r/i.test(name);

const isSame = (a: { name: string }, b: { name: string }) => isSameName(a.name, b.name);

/** Saved options as they are edited; `keys` knows under which key something with an id is on screen already. */
export function draftsOf(options: readonly Option[], keys: ReadonlyMap<string, string>): OptionDraft[] {
  const keyed = <T extends { id: string }>(item: T) => ({ ...item, key: keys.get(item.id) ?? item.id });
  return options.map((option) => ({ ...keyed(option), values: option.values.map(keyed) }));
}

/** Options that can be saved: those with a value. */
export const complete = (rows: readonly OptionDraft[]) => rows.filter(({ values }) => values.length > 0);

/**
 * Options as this person wants them, with what somebody else changed since `base`. Where both changed the same thing, this
 * person's stands: it is on their screen.
 */
export function rebased(rows: readonly OptionDraft[], base: readonly Option[], theirs: readonly Option[]) {
  const plain = rows.map(({ key: _key, ...row }) => ({
    ...row,
    values: row.values.map(({ key: _valueKey, ...value }) => value),
  }));
  return mergeValues(base, theirs, plain).value as typeof plain;
}

/** Options that were edited while they were being saved, with the ids that saving gave to what was new. */
export function withIds(rows: readonly OptionDraft[], saved: readonly Option[]): OptionDraft[] {
  return rows.map((row) => {
    const known = saved.find((option) => (row.id === null ? isSame(option, row) : option.id === row.id));
    return {
      ...row,
      id: known?.id ?? row.id,
      values: row.values.map((value) => ({
        ...value,
        id: value.id ?? known?.values.find((each) => isSame(each, value))?.id ?? null,
      })),
    };
  });
}
