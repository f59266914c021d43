import { useMemo, useRef, useLayoutEffect, useState } from 'react';
import type { Product } from '../../../../core/model/product';
import type { Autosave } from '../../../shared/autosave/autosave';
import { valueAt } from '../../../shared/autosave/step';
import { cellKey } from './use-product-autosave';
import {
  blockOf,
  clipped,
  copiedText,
  filledDown,
  pastedCells,
  placesIn,
  textsOf,
  type Block,
  type Place,
} from '../../../shared/grid/block';
import { BlockStore } from '../../../shared/grid/block-store';
import { columnOf, type ColumnName } from '../../../shared/variant-columns';

export interface Cells {
  save: Autosave;
  /** takes what was typed: saves what can be read, keeps the rest with its reason */
  type: (variantId: string, name: ColumnName, typed: string) => void;
  /** puts a block of a spreadsheet in: where a block is picked, else with its corner at this cell */
  paste: (variantId: string, name: ColumnName, pasted: string) => void;
  /** takes over what stands above: in the top row of the block that is picked, else in the cell above */
  fillDown: (variantId: string, name: ColumnName) => void;
  /** which cells are picked together */
  block: BlockStore;
  placeOf: (variantId: string, name: ColumnName) => Place;
  last: () => Place;
  /** the block, where it is more than one cell */
  picked: () => Block | undefined;
  /** empties the cells that are picked */
  empty: () => void;
  /** the cells that are picked, as a spreadsheet takes them */
  copied: () => string;
  /** sets values that are known to fit */
  set: (values: Record<string, unknown>) => void;
  valueAt: (variantId: string, name: ColumnName) => unknown;
}

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
    const block = new BlockStore();
    const placeOf = (variantId: string, name: ColumnName): Place => ({
      row: latest.current.product.variants.findIndex(({ id }) => id === variantId),
      column: latest.current.columns.indexOf(name),
    });
    const cellAt = ({ row, column }: Place): [variantId: string, name: ColumnName] => [
      latest.current.product.variants[row]!.id,
      latest.current.columns[column]!,
    ];
    const typedAt = (place: Place, text: string) => {
      const [variantId, name] = cellAt(place);
      return { variantId, name, text };
    };
    const last = (): Place => ({
      row: latest.current.product.variants.length - 1,
      column: latest.current.columns.length - 1,
    });
    // Variants and columns may have gone since the block was picked.
    const picked = () => {
      const many = block.many();
      return many && clipped(many, last());
    };
    const pickedOr = (variantId: string, name: ColumnName): Block => {
      const place = placeOf(variantId, name);
      return picked() ?? blockOf(place, place);
    };
    return {
      save,
      valueAt: valueOf,
      type: (variantId, name, text) => take([{ variantId, name, text }]),
      set: save.change,
      block,
      placeOf,
      last,
      picked,
      fillDown: (variantId, name) => {
        save.change(
          Object.fromEntries(
            filledDown(pickedOr(variantId, name)).map(({ to, from }) => {
              const [[id, of], [above]] = [cellAt(to), cellAt(from)];
              return [cellKey(id, of), valueOf(above, of)];
            }),
          ),
        );
      },
      empty: () => take(placesIn(picked()!).map((place) => typedAt(place, ''))),
      copied: () =>
        copiedText(picked()!, (place) => {
          const [id, name] = cellAt(place);
          return columnOf(name).show(valueOf(id, name), latest.current.product);
        }),
      paste: (variantId, name, pasted) => {
        const { product: of, columns: shown } = latest.current;
        const made = pastedCells(textsOf(pasted), pickedOr(variantId, name), of.variants.length, shown.length);
        if ('problem' in made) return setProblem(`${made.problem} Nothing was pasted.`);
        take(made.cells.map(({ text, ...place }) => typedAt(place, text)));
      },
    };
  }, [save]);
  return [cells, problem];
}
