import { useState } from 'react';
import type { Product, Variant } from '../../../../core/model/product';
import { plainAmount } from '../../../../core/shared/money';
import { skusByPattern } from '../../../../core/products/sku-pattern';
import { variantName } from '../../../../core/products/variants';
import {
  changedAmount,
  endings,
  readColumnChange,
  type Amounts,
  type Ending,
} from '../../../../core/pricing/column-change';
import { Button } from '../../../shared/ui/button';
import { Dialog } from '../../../shared/ui/dialog';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import type { Cells } from './use-cells';
import { cellKey } from './use-product-autosave';
import { columnOf, type ColumnName } from '../../../shared/variant-columns';

interface Row {
  variant: Variant;
  before: unknown;
  /** undefined where it stays */
  after: unknown;
}

type Plan = { rows: Row[] } | { problem: string };

const amountColumns: readonly ColumnName[] = ['price', 'salePrice', 'cost'];

function plan(product: Product, cells: Cells, name: ColumnName, typed: string, ending: Ending): Plan {
  const rows = (after: (variant: Variant) => unknown): Plan => ({
    rows: product.variants.map((variant) => ({
      variant,
      before: cells.valueAt(variant.id, name),
      after: after(variant),
    })),
  });
  if (name === 'sku') {
    const skus = skusByPattern(typed, product.options, product.variants);
    return typeof skus === 'string' ? { problem: skus } : rows(({ id }) => skus.get(id));
  }
  if (amountColumns.includes(name)) {
    const change = readColumnChange(typed);
    if (!change) return { problem: 'Type +5 %, -2, =cost*2.4, or an amount.' };
    if (change.what === 'empty' && name === 'price') return { problem: 'A price is needed.' };
    return rows((variant) => {
      const amounts = Object.fromEntries(amountColumns.map((each) => [each, cells.valueAt(variant.id, each)]));
      return changedAmount(change, amounts[name] as number | null, amounts as unknown as Amounts, ending);
    });
  }
  const reading = columnOf(name).read(typed, product);
  return 'problem' in reading ? reading : rows(() => reading.value);
}

const endingWords = (ending: Ending) => (ending === null ? 'as it comes' : `to .${String(ending).padStart(2, '0')}`);

interface Props {
  product: Product;
  cells: Cells;
  columns: readonly ColumnName[];
  close: () => void;
}

/** Sets a whole column at once, with every old and new value in view before. */
export function SetColumn({ product, cells, columns, close }: Props) {
  const [name, setName] = useState<ColumnName>(columns.includes('price') ? 'price' : columns[0]!);
  const [typed, setTyped] = useState('');
  const [ending, setEnding] = useState<Ending>(null);
  const made = plan(product, cells, name, typed, ending);
  const isAmount = amountColumns.includes(name);
  const column = columnOf(name);
  const changing =
    'rows' in made ? made.rows.filter(({ before, after }) => after !== undefined && after !== before) : [];
  const staying = 'rows' in made ? made.rows.length - changing.length : 0;
  const hint = isAmount
    ? '+5 %, -2, =cost*2.4, =price/2, or an amount'
    : name === 'sku'
      ? `such as HD180-${product.options.map((option) => `{${option.name.toLowerCase()}:2}`).join('-') || '01'}`
      : 'one value for all variants';
  const show = (value: unknown) =>
    (isAmount && typeof value === 'number' ? plainAmount(value) : column.show(value, product)) || '—';
  return (
    <Dialog title="Set a column" isOpen close={close} isForm width="max-w-xl">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          cells.set(Object.fromEntries(changing.map(({ variant, after }) => [cellKey(variant.id, name), after])));
          close();
        }}
      >
        <div className="grid grid-cols-[auto_1fr_auto] items-start gap-3">
          <div>
            <span className="mb-1 block font-semibold">Column</span>
            <Select
              label="Column"
              value={name}
              choices={columns.map((value) => ({ value, label: columnOf(value).label }))}
              choose={(value) => setName(value as ColumnName)}
              className="w-32 !py-[6px]"
            />
          </div>
          <TextField
            label="Becomes"
            autoFocus
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            hint={hint}
            error={typed !== '' && 'problem' in made ? made.problem : undefined}
          />
          {isAmount && (
            <div>
              <span className="mb-1 block font-semibold">Rounded</span>
              <Select
                label="Rounded"
                value={String(ending)}
                choices={endings.map((value) => ({ value: String(value), label: endingWords(value) }))}
                choose={(value) => setEnding(endings.find((each) => String(each) === value)!)}
                className="w-28 !py-[6px]"
              />
            </div>
          )}
        </div>
        <ul className="mt-3 max-h-64 overflow-y-auto rounded-lg bg-sunk/50 px-3 py-1.5" aria-label="What would change">
          {changing.slice(0, 200).map(({ variant, before, after }) => (
            <li key={variant.id} className="flex items-baseline gap-3 py-1">
              <span className="min-w-0 flex-1 truncate">{variantName(product.options, variant) || product.title}</span>
              <s className="text-ink-2">{show(before)}</s>
              <span className="w-28 text-right font-semibold">{show(after)}</span>
            </li>
          ))}
          {changing.length === 0 && (
            <li className="py-1 text-ink-2">
              {typed === '' ? 'Type what the column is to become.' : 'Nothing would change.'}
            </li>
          )}
        </ul>
        <div className="mt-4 flex items-center justify-end gap-2">
          <span className="mr-auto text-ink-2">
            {changing.length} change{staying > 0 && `, ${staying} stay as they are`}
          </span>
          <Button onClick={close}>Leave it</Button>
          <Button type="submit" look="main" disabled={changing.length === 0}>
            Set {changing.length}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
