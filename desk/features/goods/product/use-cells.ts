import { useMemo, useRef, useLayoutEffect, useState } from 'react';
import type { Product } from '../../../../core/model/product';
import type { Autosave } from '../../../shared/autosave/autosave';
import { valueAt } from '../../../shared/autosave/step';
import { cellKey } from './use-product-autosave';
import { columnOf, type ColumnName } from '../../../shared/variant-columns';

export interface Cells {
  save: Autosave;
  /** takes what was typed: saves what can be read, keeps the rest with its reason */
  type: (variantId: string, name: ColumnName, typed: string) => void;
  /** puts a block of a spreadsheet in, its corner at this cell */
  paste: (variantId: string, name: ColumnName, block: string) => void;
  /** takes over what stands in the cell above */
  fillDown: (variantId: string, name: ColumnName) => void;
  /** sets values that are known to fit */
  set: (values: Record<string, unknown>) => void;
  valueAt: (variantId: string, name: ColumnName) => unknown;
}

const rowsOf = (block: string) =>
  block
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((row) => row.split('\t'));

/** Typing and pasting into the table of variants, on top of what saves it; and what was wrong with a paste as a whole. */
export function useCells(product: Product, columns: readonly ColumnName[], save: Autosave): [Cells, string | null] {
  const [problem, setProblem] = useState<string | null>(null);
  const latest = useRef({ product, columns });
  useLayoutEffect(() => {
    latest.current = { product, columns };
  });
  const cells = useMemo((): Cells => {
    const take = (typed: readonly { variantId: string; name: ColumnName; text: string }[]) => {
      const values: Record<string, unknown> = {};
      for (const { variantId, name, text } of typed) {
        const reading = columnOf(name).read(text, latest.current.product);
        const key = cellKey(variantId, name);
        if ('problem' in reading) save.refuse(key, text, reading.problem);
        else values[key] = reading.value;
      }
      setProblem(null);
      if (Object.keys(values).length > 0) save.change(values);
    };
    const valueOf = (variantId: string, name: ColumnName) => valueAt(save.progress(), cellKey(variantId, name));
    const rowOf = (variantId: string) => latest.current.product.variants.findIndex(({ id }) => id === variantId);
    return {
      save,
      valueAt: valueOf,
      type: (variantId, name, text) => take([{ variantId, name, text }]),
      set: save.change,
      fillDown: (variantId, name) => {
        const above = latest.current.product.variants[rowOf(variantId) - 1];
        if (above) save.change({ [cellKey(variantId, name)]: valueOf(above.id, name) });
      },
      paste: (variantId, name, block) => {
        const { product: of, columns: shown } = latest.current;
        const rows = rowsOf(block);
        const top = rowOf(variantId);
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
            row.map((text, right) => ({ variantId: of.variants[top + down]!.id, name: shown[left + right]!, text })),
          ),
        );
      },
    };
  }, [save]);
  return [cells, problem];
}
