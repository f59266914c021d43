import { useMemo, useSyncExternalStore } from 'react';
import type { RuleField } from '../../../../contract/rule-field';

export interface ListColumn {
  /** key of a field */
  key: string;
  /** px */
  width: number;
}

/** Columns with a look of their own, and how wide they are at first. */
const widths: Record<string, number> = {
  status: 98,
  price: 100,
  stock: 82,
  places: 98,
  exposure: 82,
  margin: 54,
  title: 180,
};
export const widthOf = (key: string) => widths[key] ?? 110;
export const NARROWEST = 48;

const usual: readonly ListColumn[] = ['status', 'price', 'stock', 'places', 'margin'].map((key) => ({
  key,
  width: widthOf(key),
}));

const KEY = 'dispona.goods.columns';
const listeners = new Set<() => void>();
let columns: readonly ListColumn[] = read();

function read(): readonly ListColumn[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    if (!Array.isArray(stored)) return usual;
    return (stored as Partial<ListColumn>[]).flatMap(({ key, width }) =>
      typeof key === 'string' && typeof width === 'number' ? [{ key, width: Math.max(NARROWEST, width) }] : [],
    );
  } catch {
    return usual;
  }
}

/** The columns of the goods list, remembered in this browser. */
export const listColumns = {
  set: (next: readonly ListColumn[]) => {
    columns = next;
    localStorage.setItem(KEY, JSON.stringify(next));
    for (const listener of listeners) listener();
  },
  asUsual: () => listColumns.set(usual),
};

export function useListColumns(fields: readonly RuleField[]): readonly ListColumn[] {
  const kept = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    () => columns,
  );
  // A spec that was deleted, or is of another shop, has no column.
  return useMemo(
    () => (fields.length === 0 ? kept : kept.filter(({ key }) => fields.some((field) => field.key === key))),
    [kept, fields],
  );
}

const GAP = 10;
const SIDES = 24;
const PRODUCT = 170;

/** The product, then the columns; heads and rows alike, and never narrower than all of them side by side. */
export const gridOf = (shown: readonly ListColumn[]) => ({
  gridTemplateColumns: `20px minmax(${PRODUCT}px,1fr) ${shown.map(({ width }) => `${width}px`).join(' ')}`,
  minWidth: shown.reduce((sum, { width }) => sum + width + GAP, 20 + GAP + PRODUCT + SIDES),
});

/** Numbers stand right; places are drawn as squares. */
export const isRight = (field: RuleField | undefined) =>
  field !== undefined && field.key !== 'places' && (field.type === 'number' || field.type === 'money');
