import clsx from 'clsx';
import { useState, type KeyboardEvent } from 'react';
import type { ProductAnswer } from '../../../contract/goods';
import { parseMoney, plainAmount } from '../../../core/catalog/money';
import { mediaUrl } from '../../../core/placement/card';
import type { Variant } from '../../../core/catalog/product';
import { variantName } from '../../../core/catalog/variants';
import type { Autosave } from '../../use-autosave';
import { Thumb } from '../../ui/thumb';
import { Part } from './part';
import { cellKey } from './use-product-autosave';

type Column = 'sku' | 'price' | 'salePrice' | 'cost' | 'stock';

const columns: { name: Column; label: string; isMoney: boolean; canBeEmpty: boolean }[] = [
  { name: 'sku', label: 'SKU', isMoney: false, canBeEmpty: true },
  { name: 'price', label: 'Price', isMoney: true, canBeEmpty: false },
  { name: 'salePrice', label: 'Sale price', isMoney: true, canBeEmpty: true },
  { name: 'cost', label: 'Cost', isMoney: true, canBeEmpty: true },
  { name: 'stock', label: 'In stock', isMoney: false, canBeEmpty: true },
];

function show(name: Column, value: unknown): string {
  if (value === null || value === undefined) return '';
  return columns.find((column) => column.name === name)!.isMoney ? plainAmount(value as number) : String(value);
}

/** What was typed into a cell, or why it cannot be that. */
function read(name: Column, typed: string): { value: unknown } | { problem: string } {
  const { isMoney, canBeEmpty } = columns.find((column) => column.name === name)!;
  if (name === 'sku') return { value: typed.trim() };
  if (typed.trim() === '') return canBeEmpty ? { value: null } : { problem: 'A price is needed.' };
  if (isMoney) {
    const minor = parseMoney(typed);
    return minor === undefined ? { problem: 'Type an amount, like 24.50.' } : { value: minor };
  }
  return /^-?\d+$/.test(typed.trim())
    ? { value: Number(typed) }
    : { problem: 'Type a whole number, or nothing to not count.' };
}

interface CellProps {
  name: Column;
  variant: Variant;
  label: string;
  save: Autosave;
}

function Cell({ name, variant, label, save }: CellProps) {
  const key = cellKey(variant.id, name);
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const saved = key in save.drafts ? save.drafts[key] : variant[name];
  const error = problem ?? save.errors[key];
  const leave = () => {
    if (problem === null) setTyped(null);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const step = { ArrowDown: 1, Enter: 1, ArrowUp: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const cells = [...document.querySelectorAll<HTMLInputElement>(`[data-cell="${name}"]`)];
    cells[cells.indexOf(event.currentTarget) + step]?.focus();
  };
  return (
    <td className={clsx('relative border border-hair p-0', error && 'bg-rose-soft')}>
      <input
        data-cell={name}
        data-unsaved={key in save.drafts || typed !== null || undefined}
        aria-label={label}
        aria-invalid={error ? true : undefined}
        title={error}
        value={typed ?? show(name, saved)}
        inputMode={name === 'sku' ? 'text' : 'decimal'}
        onFocus={(event) => event.target.select()}
        onChange={(event) => {
          setTyped(event.target.value);
          const result = read(name, event.target.value);
          setProblem('problem' in result ? result.problem : null);
          if ('value' in result) save.change({ [key]: result.value });
        }}
        onBlur={leave}
        onKeyDown={onKeyDown}
        className={clsx(
          'h-[29px] w-full bg-transparent px-2 focus:outline-2 focus:-outline-offset-1 focus:outline-marigold',
          name !== 'sku' && 'text-right',
          name === 'stock' && typeof saved === 'number' && saved <= 3 && 'font-bold text-rose',
          name === 'sku' && 'narrow',
        )}
        placeholder={name === 'stock' ? '∞' : name === 'sku' ? '' : '—'}
      />
      {error && (
        <p
          role="alert"
          className="pointer-events-none absolute left-0 top-full z-10 mt-0.5 w-56 rounded-md bg-rose px-2 py-1 text-xs text-sheet shadow"
        >
          {error}
        </p>
      )}
    </td>
  );
}

function PictureCell({ answer, variant, save }: { answer: ProductAnswer; variant: Variant; save: Autosave }) {
  const { pictures } = answer.product;
  const key = cellKey(variant.id, 'pictureId');
  const chosen = (key in save.drafts ? save.drafts[key] : variant.pictureId) as string | null;
  const shown = pictures.find((picture) => picture.id === chosen);
  return (
    <td className="border border-hair px-1.5">
      <label className="relative flex items-center">
        <Thumb src={shown ? mediaUrl(shown.media, 160) : null} className="size-6" />
        <select
          aria-label={`Picture of ${variantName(answer.product.options, variant) || 'this product'}`}
          value={chosen ?? ''}
          onChange={(event) => save.change({ [key]: event.target.value || null })}
          className="absolute inset-0 cursor-pointer opacity-0"
        >
          <option value="">the face</option>
          {pictures.map((picture, i) => (
            <option key={picture.id} value={picture.id}>
              {i + 1}. {picture.alt || 'without words'}
            </option>
          ))}
        </select>
      </label>
    </td>
  );
}

export function VariantTable({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  const { product, margins } = answer;
  return (
    <Part
      id="prices"
      title="Price & stock"
      hint={product.variants.length > 1 ? `${product.variants.length} variants` : undefined}
    >
      <div className="max-h-[520px] overflow-auto">
        <table className="w-full border-collapse">
          <thead className="sticky top-0 z-[5] bg-paper text-left text-xs text-ink-2">
            <tr>
              <th className="border border-hair px-2 py-1.5 font-semibold">Variant</th>
              <th className="border border-hair px-1 font-semibold">
                <span className="sr-only">Picture</span>
              </th>
              {columns.map(({ name, label }) => (
                <th
                  key={name}
                  className={clsx('border border-hair px-2 font-semibold', name === 'sku' ? 'w-36' : 'w-20 text-right')}
                >
                  {label}
                </th>
              ))}
              <th className="border border-hair px-2 text-right font-semibold">Margin</th>
            </tr>
          </thead>
          <tbody>
            {product.variants.map((variant) => {
              const name = variantName(product.options, variant) || product.title;
              const swatch = product.options[0]?.values.find((value) => value.id === variant.values[0])?.swatch;
              const margin = margins[variant.id];
              return (
                <tr key={variant.id}>
                  <th scope="row" className="max-w-52 border border-hair px-2 text-left font-medium">
                    <span className="flex items-center gap-1.5">
                      {swatch && (
                        <span
                          className="size-3 shrink-0 rounded-full ring-1 ring-ink/15"
                          style={{ background: swatch }}
                        />
                      )}
                      <span className="truncate" title={name}>
                        {name}
                      </span>
                    </span>
                  </th>
                  <PictureCell answer={answer} variant={variant} save={save} />
                  {columns.map((column) => (
                    <Cell
                      key={column.name}
                      name={column.name}
                      variant={variant}
                      label={`${column.label}, ${name}`}
                      save={save}
                    />
                  ))}
                  <td
                    className={clsx('border border-hair px-2 text-right', (margin ?? 0) < 0 && 'font-bold text-rose')}
                  >
                    {margin === null || margin === undefined ? '—' : `${Math.round(margin / 100)}%`}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </Part>
  );
}
