import { Dialog, DialogPanel } from '@headlessui/react';
import { useState } from 'react';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { parseMoney, plainAmount } from '../../../../core/shared/money';
import { shopLocale } from '../../../data/shop-locale';
import { type Variant } from '../../../../core/model/product';
import { statuses, type Status } from '../../../../core/model/product-values';
import { variantName } from '../../../../core/products/variants';
import { call, CallError } from '../../../data/api';
import { Button } from '../../../shared/ui/button';
import { Loading } from '../../../shared/ui/states';
import { useKeepProduct, useProduct } from '../../../data/goods';
import { tellRefused } from '../../../data/tell-refused';

export type QuickField = 'title' | 'price' | 'stock' | 'status';

const statusWords: Record<Status, string> = { live: 'On the shop', draft: 'Draft', off: 'Off the shop' };
/** Variants that are told one by one; of a product with more, all get the same. */
const MOST_LINES = 12;

interface Props {
  id: string;
  field: QuickField;
  /** the cell that is edited */
  at: DOMRect;
  currency: string;
  close: () => void;
}

const textOf = (variant: Variant, field: 'price' | 'stock') =>
  field === 'price' ? plainAmount(variant.price) : String(variant.stock ?? '');

/** What was typed; undefined when it is no price or no number. */
function readValue(typed: string, field: 'price' | 'stock'): number | null | undefined {
  if (field === 'price') return parseMoney(typed, shopLocale());
  if (typed.trim() === '') return null;
  return /^\d+$/.test(typed.trim()) ? Number(typed) : undefined;
}

function Line({
  label,
  value,
  set,
  error,
  isFirst,
}: {
  label: string;
  value: string;
  set: (typed: string) => void;
  error?: string;
  isFirst: boolean;
}) {
  return (
    <label className="block py-0.5">
      <span className="flex items-center justify-between gap-3">
        <span className="truncate">{label}</span>
        <input
          value={value}
          autoFocus={isFirst}
          inputMode="decimal"
          aria-invalid={error ? true : undefined}
          onFocus={(event) => event.currentTarget.select()}
          onChange={(event) => set(event.target.value)}
          className="field !w-24 text-right"
        />
      </span>
      {error && (
        <span role="alert" className="block text-right text-rose-ink">
          {error}
        </span>
      )}
    </label>
  );
}

function VariantValues({ data, field, save }: { data: ProductAnswer; field: 'price' | 'stock'; save: Save }) {
  const { product } = data;
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(new Map());
  const [errors, setErrors] = useState<ReadonlyMap<string, string>>(new Map());
  const isMany = product.variants.length > MOST_LINES;
  const lines = isMany ? product.variants.slice(0, 1) : product.variants;
  const keep = () => {
    const found = new Map<string, string>();
    const changes = product.variants.flatMap((variant) => {
      const text = typed.get(isMany ? lines[0]!.id : variant.id);
      if (text === undefined) return [];
      const value = readValue(text, field);
      if (value === undefined)
        found.set(variant.id, field === 'price' ? 'Type an amount, like 24.50.' : 'Type a whole number, or nothing.');
      return value === undefined || value === variant[field] ? [] : [{ id: variant.id, fields: { [field]: value } }];
    });
    setErrors(found);
    if (found.size > 0) return;
    save(
      changes.length === 0
        ? undefined
        : () =>
            call(routes.goods.setVariants, {
              params: { id: product.id },
              body: { seen: data.revision, changes },
            }).catch((error: unknown) => {
              if (!(error instanceof CallError) || error.errors.length === 0) throw error;
              setErrors(
                new Map(
                  error.errors.map(({ path, message }) => [changes[Number(path[1])]?.id ?? lines[0]!.id, message]),
                ),
              );
              return undefined;
            }),
    );
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <div className="max-h-80 overflow-y-auto">
        {lines.map((variant, i) => (
          <Line
            key={variant.id}
            label={
              isMany
                ? `All ${product.variants.length} variants`
                : variantName(product.options, variant) || (field === 'price' ? 'Price' : 'In stock')
            }
            isFirst={i === 0}
            value={typed.get(variant.id) ?? textOf(variant, field)}
            set={(text) => setTyped(new Map([...typed, [variant.id, text]]))}
            error={errors.get(variant.id)}
          />
        ))}
      </div>
      <Button type="submit" look="main" className="mt-2 w-full justify-center">
        Save
      </Button>
    </form>
  );
}

/** Runs a write, or nothing, and closes when it went well; one that answers nothing has said why itself. */
type Save = (write: (() => Promise<ProductAnswer | undefined>) | undefined) => void;

function TitleLine({ data, save }: { data: ProductAnswer; save: Save }) {
  const [typed, setTyped] = useState(data.product.title);
  const { id } = data.product;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        const fields = { title: typed };
        save(
          typed === data.product.title
            ? undefined
            : () => call(routes.goods.update, { params: { id }, body: { seen: data.revision, fields } }),
        );
      }}
    >
      <input
        aria-label="Title"
        autoFocus
        value={typed}
        maxLength={200}
        onChange={(event) => setTyped(event.target.value)}
        className="field w-full"
      />
    </form>
  );
}

/** Changes one thing of a product beside its cell, without leaving the list. */
export function QuickEdit({ id, field, at, currency, close }: Props) {
  const { data } = useProduct(id);
  const keepProduct = useKeepProduct();
  const save: Save = (write) => {
    if (!write) return close();
    write()
      .then((answer) => {
        if (!answer) return;
        keepProduct(answer);
        close();
      })
      .catch(tellRefused);
  };
  const setStatus = (status: Status) =>
    save(() => call(routes.goods.update, { params: { id }, body: { seen: data!.revision, fields: { status } } }));
  const isLow = at.bottom > window.innerHeight - 260;
  const style = {
    left: Math.min(at.left - 8, window.innerWidth - 300),
    ...(isLow ? { bottom: window.innerHeight - at.top } : { top: at.bottom }),
  };
  return (
    <Dialog open onClose={close} className="relative z-50">
      <DialogPanel
        aria-label={`${{ title: 'Title', price: `Price, ${currency}`, stock: 'Stock', status: 'Standing' }[field]} of ${data?.product.title ?? ''}`}
        className="sheet fixed w-64 p-3 shadow-xl"
        style={style}
      >
        {!data ? (
          <Loading rows={1} />
        ) : field === 'title' ? (
          <TitleLine data={data} save={save} />
        ) : field === 'status' ? (
          <div className="flex flex-col gap-1">
            {statuses.map((status) => (
              <Button
                key={status}
                look={data.product.status === status ? 'main' : 'plain'}
                aria-pressed={data.product.status === status}
                onClick={() => (data.product.status === status ? close() : setStatus(status))}
              >
                {statusWords[status]}
              </Button>
            ))}
          </div>
        ) : data.product.kind === 'bundle' ? (
          <p className="text-ink-2">What a bundle costs, and how many there are, follows from its parts.</p>
        ) : (
          <VariantValues data={data} field={field} save={save} />
        )}
      </DialogPanel>
    </Dialog>
  );
}
