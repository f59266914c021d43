import { useSyncExternalStore } from 'react';
import type { RuleField } from '../../../contract/rule-field';

export interface ListColumn {
  /** key of a field */
  key: string;
  /** px */
  width: number;
}

/** Columns with a look of their own, and how wide they are at first. */
const widths: Record<string, number> = { standing: 98, price: 108, stock: 84, places: 108, margin: 58, title: 180 };
export const widthOf = (key: string) => widths[key] ?? 110;
export const NARROWEST = 48;

const usual: readonly ListColumn[] = ['standing', 'price', 'stock', 'places', 'margin'].map((key) => ({
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
  return fields.length === 0 ? kept : kept.filter(({ key }) => fields.some((field) => field.key === key));
}

/** The product, then the columns. */
export const gridOf = (shown: readonly ListColumn[]) =>
  `20px minmax(170px,1fr) ${shown.map(({ width }) => `${width}px`).join(' ')}`;

export const isRight = (type: RuleField['type'] | undefined) => type === 'number' || type === 'money';
