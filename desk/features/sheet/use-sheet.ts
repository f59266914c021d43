import { useMemo, useState } from 'react';
import type { SheetChange, SheetProduct } from '../../../contract/sheet';
import type { Variant } from '../../../core/model/product';
import type { SpecValue } from '../../../core/model/spec-sheet';
import { variantName } from '../../../core/products/variants';
import type { FieldError } from '../../../contract/problem';
import { attributeOf, type SheetColumn } from './sheet-columns';

export interface SheetRow {
  key: string;
  product: SheetProduct;
  /** undefined where rows are products */
  variant: Variant | undefined;
  /** what the row is called: the product, or its variant */
  name: string;
}

/** A cell that is not as it is saved: a value to be saved, or what was typed and cannot be. */
export type Draft = { value: unknown } | { typed: string; problem: string };

export interface TypedCell {
  row: SheetRow;
  column: SheetColumn;
  text: string;
}

export interface Sheet {
  rows: readonly SheetRow[];
  textAt: (row: SheetRow, column: SheetColumn) => string;
  valueAt: (row: SheetRow, column: SheetColumn) => unknown;
  draftAt: (row: SheetRow, column: SheetColumn) => Draft | undefined;
  errorAt: (row: SheetRow, column: SheetColumn) => string | undefined;
  /** takes what was typed into cells; those that cannot be edited stay. Answers how many stayed. */
  type: (cells: readonly TypedCell[]) => number;
  /** number of cells that can be saved, and of those that cannot be */
  changed: number;
  wrong: number;
  /** why the first of those cannot be */
  reason: string | undefined;
  /** what is to be saved, product by product */
  changes: () => SheetChange[];
  /** shows what the server refused at its cells */
  refuse: (changes: readonly SheetChange[], errors: readonly FieldError[]) => void;
  clear: () => void;
  /** what is typed now; to be given to `settle` when it has been saved */
  drafts: ReadonlyMap<string, Draft>;
  /** ends the cells that were saved; those that cannot be, and those typed since, stay as they are */
  settle: (sent: ReadonlyMap<string, Draft>) => void;
  /** takes back what was typed last, or does it again; false when there is nothing of that sort */
  takeBack: () => boolean;
  doAgain: () => boolean;
}

const cellKey = (row: SheetRow, column: SheetColumn) =>
  `${column.of === 'product' ? row.product.id : row.variant!.id}\n${column.key}`;

function rowsOf(products: readonly SheetProduct[], isByVariant: boolean): SheetRow[] {
  return products.flatMap((product): SheetRow[] =>
    isByVariant
      ? product.variants.map((variant) => ({
          key: variant.id,
          product,
          variant,
          name: variantName(product.options, variant),
        }))
      : [{ key: product.id, product, variant: undefined, name: '' }],
  );
}

const isSame = (a: unknown, b: unknown) => a === b || JSON.stringify(a) === JSON.stringify(b);

/** Cells that were changed and not saved yet, on top of products as they are saved. */
export function useSheet(products: readonly SheetProduct[], isByVariant: boolean): Sheet {
  const [drafts, setDrafts] = useState<ReadonlyMap<string, Draft>>(new Map());
  const [errors, setErrors] = useState<ReadonlyMap<string, string>>(new Map());
  const [past, setPast] = useState<readonly ReadonlyMap<string, Draft>[]>([]);
  const [future, setFuture] = useState<readonly ReadonlyMap<string, Draft>[]>([]);
  const rows = useMemo(() => rowsOf(products, isByVariant), [products, isByVariant]);

  const draftAt = (row: SheetRow, column: SheetColumn) => drafts.get(cellKey(row, column));
  const valueAt = (row: SheetRow, column: SheetColumn) => {
    const draft = draftAt(row, column);
    return draft && 'value' in draft ? draft.value : column.valueOf(row.product, row.variant);
  };
  const textAt = (row: SheetRow, column: SheetColumn) => {
    const draft = draftAt(row, column);
    return draft && 'typed' in draft ? draft.typed : column.show(valueAt(row, column), row.product);
  };

  const type = (cells: readonly TypedCell[]) => {
    const next = new Map(drafts);
    const mended = new Map(errors);
    let stayed = 0;
    for (const { row, column, text } of cells) {
      if (!column.canEdit(row.product)) {
        stayed++;
        continue;
      }
      const key = cellKey(row, column);
      const reading = column.read(text, row.product);
      mended.delete(key);
      if ('problem' in reading) next.set(key, { typed: text, problem: reading.problem });
      else if (isSame(reading.value, column.valueOf(row.product, row.variant))) next.delete(key);
      else next.set(key, { value: reading.value });
    }
    setPast([...past.slice(-99), drafts]);
    setFuture([]);
    setDrafts(next);
    setErrors(mended);
    return stayed;
  };

  const changes = () => {
    const known = new Map(products.map((product) => [product.id, product]));
    const owners = new Map(products.flatMap((product) => product.variants.map(({ id }) => [id, product.id] as const)));
    const made = new Map<string, { fields: Record<string, unknown>; variants: Map<string, Record<string, unknown>> }>();
    const of = (id: string) => {
      let change = made.get(id);
      if (!change) made.set(id, (change = { fields: {}, variants: new Map() }));
      return change;
    };
    for (const [key, draft] of drafts) {
      // What cannot be saved holds up nothing else.
      if (!('value' in draft) || errors.has(key)) continue;
      const [id, column] = key.split('\n') as [string, string];
      const attribute = attributeOf(column);
      const owner = owners.get(id);
      if (owner !== undefined) {
        const { variants } = of(owner);
        variants.set(id, { ...variants.get(id), [column.slice('variant '.length)]: draft.value });
      } else if (attribute !== undefined) {
        const { fields } = of(id);
        const specs = { ...((fields.specs as Record<string, SpecValue> | undefined) ?? known.get(id)!.specs) };
        if (draft.value === undefined) delete specs[attribute];
        else specs[attribute] = draft.value as SpecValue;
        fields.specs = specs;
      } else of(id).fields[column] = draft.value;
    }
    return [...made].map(([id, { fields, variants }]) => ({
      id,
      fields: fields,
      variants: [...variants].map(([variantId, each]) => ({
        id: variantId,
        fields: each,
      })),
    }));
  };

  const refuse: Sheet['refuse'] = (sent, refused) => {
    const found = new Map<string, string>();
    for (const { path, message } of refused) {
      const change = sent[Number(path[1])];
      if (!change) continue;
      const variant = path[2] === 'variants' ? change.variants[Number(path[3])] : undefined;
      const name = String(path[variant ? 5 : 3] ?? '');
      const isSpec = name === 'specs' && path.length > 4;
      found.set(
        variant
          ? `${variant.id}\nvariant ${name || 'sku'}`
          : `${change.id}\n${isSpec ? `spec ${String(path[4])}` : name || 'title'}`,
        message,
      );
    }
    setErrors(found);
  };

  const canBeSaved = (key: string, draft: Draft) => 'value' in draft && !errors.has(key);
  const open = [...drafts].filter(([key, draft]) => canBeSaved(key, draft)).length;
  const reasons = [
    ...errors.values(),
    ...[...drafts.values()].flatMap((draft) => ('typed' in draft ? [draft.problem] : [])),
  ];
  return {
    rows,
    textAt,
    valueAt,
    draftAt,
    errorAt: (row, column) => {
      const draft = draftAt(row, column);
      return draft && 'typed' in draft ? draft.problem : errors.get(cellKey(row, column));
    },
    type,
    changed: open,
    wrong: drafts.size - open,
    reason: reasons[0],
    changes,
    refuse,
    clear: () => {
      setDrafts(new Map());
      setErrors(new Map());
      setPast([]);
      setFuture([]);
    },
    drafts,
    settle: (sent) => {
      // What was typed while the save was on its way is newer than what was saved.
      setDrafts(
        (now) => new Map([...now].filter(([key, draft]) => !canBeSaved(key, draft) || sent.get(key) !== draft)),
      );
      setPast([]);
      setFuture([]);
    },
    takeBack: () => {
      const before = past.at(-1);
      if (!before) return drafts.size > 0;
      setDrafts(before);
      setErrors(new Map());
      setPast(past.slice(0, -1));
      setFuture([...future, drafts]);
      return true;
    },
    doAgain: () => {
      const after = future.at(-1);
      if (!after) return drafts.size > 0;
      setDrafts(after);
      setErrors(new Map());
      setFuture(future.slice(0, -1));
      setPast([...past, drafts]);
      return true;
    },
  };
}
