import { useCallback, useEffect, useRef, useState } from 'react';
import type { Product, Variant } from '../../../core/catalog/product';
import type { Autosave } from '../../use-autosave';
import { cellKey } from './use-product-autosave';
import { columnOf, valueOf, type ColumnName } from './variant-columns';

/** What stands in a cell that cannot be read, kept as it was typed. */
interface Unread {
  typed: string;
  problem: string;
}

export interface Cells {
  unread: Readonly<Record<string, Unread>>;
  /** what was wrong with a paste as a whole */
  problem: string | null;
  /** takes what was typed: saves what can be read, keeps the rest with its reason */
  type: (variant: Variant, name: ColumnName, typed: string) => void;
  /** puts a block of a spreadsheet in, its corner at this cell */
  paste: (variant: Variant, name: ColumnName, block: string) => void;
  /** sets values that are known to fit */
  set: (values: Record<string, unknown>) => void;
  valueAt: (variant: Variant, name: ColumnName) => unknown;
}

const rowsOf = (block: string) =>
  block
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((row) => row.split('\t'));

/** Typing and pasting into the table of variants, on top of what saves it. */
export function useCells(product: Product, columns: readonly ColumnName[], save: Autosave): Cells {
  const [unread, setUnread] = useState<Record<string, Unread>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const latest = useRef({ product, columns });
  useEffect(() => {
    latest.current = { product, columns };
  });
  const { change } = save;

  const take = useCallback(
    (typed: readonly { variant: Variant; name: ColumnName; text: string }[]) => {
      const values: Record<string, unknown> = {};
      const wrong: Record<string, Unread> = {};
      for (const { variant, name, text } of typed) {
        const reading = columnOf(name).read(text, latest.current.product);
        const key = cellKey(variant.id, name);
        if ('problem' in reading) wrong[key] = { typed: text, problem: reading.problem };
        else values[key] = reading.value;
      }
      setUnread((before) => ({
        ...Object.fromEntries(Object.entries(before).filter(([key]) => !(key in values))),
        ...wrong,
      }));
      setProblem(null);
      if (Object.keys(values).length > 0) change(values);
    },
    [change],
  );

  const type = useCallback(
    (variant: Variant, name: ColumnName, typed: string) => take([{ variant, name, text: typed }]),
    [take],
  );

  const paste = useCallback(
    (variant: Variant, name: ColumnName, block: string) => {
      const { product: of, columns: shown } = latest.current;
      const rows = rowsOf(block);
      const top = of.variants.indexOf(of.variants.find(({ id }) => id === variant.id)!);
      const left = shown.indexOf(name);
      const widest = Math.max(...rows.map((row) => row.length));
      const fits = [of.variants.length - top, shown.length - left] as const;
      if (rows.length > fits[0] || widest > fits[1]) {
        const [count, room, what] =
          rows.length > fits[0] ? [rows.length, fits[0], 'rows'] : [widest, fits[1], 'columns'];
        return setProblem(`The block has ${count} ${what}, but only ${room} fit from here. Nothing was pasted.`);
      }
      take(
        rows.flatMap((row, down) =>
          row.map((text, right) => ({ variant: of.variants[top + down]!, name: shown[left + right]!, text })),
        ),
      );
    },
    [take],
  );

  const set = useCallback(
    (values: Record<string, unknown>) => {
      setUnread((before) => Object.fromEntries(Object.entries(before).filter(([key]) => !(key in values))));
      if (Object.keys(values).length > 0) change(values);
    },
    [change],
  );

  const valueAt = (variant: Variant, name: ColumnName) => {
    const key = cellKey(variant.id, name);
    return key in save.drafts ? save.drafts[key] : valueOf(variant, name);
  };

  return { unread, problem, type, paste, set, valueAt };
}
