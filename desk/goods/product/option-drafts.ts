import { fold } from '../../../core/catalog/identity';
import type { Option } from '../../../core/catalog/product';
import { isSameName } from '../../../core/catalog/same-name';

/** An option value as it is being edited; one without an id is new. */
export interface OptionValueDraft {
  id: string | null;
  name: string;
  swatch: string | null;
  pictureId: string | null;
}

export interface OptionDraft {
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
