import { X } from 'lucide-react';
import { useState } from 'react';
import { formatMoney } from '../../../core/shared/money';
import { variantName } from '../../../core/products/variants';
import type { WhyPrice } from '../../data/offers';
import { AddProduct } from '../../shared/pickers/add-product';
import { Select } from '../../shared/ui/select';
import { useSomeProduct } from './use-first-variant';

/** Something else in the basket that is tried. */
export interface Beside {
  productId: string;
  variantId: string;
  quantity: number;
}

const MOST = 20;

interface OneProps {
  one: Beside;
  change: (one: Beside) => void;
  remove: () => void;
}

function One({ one, change, remove }: OneProps) {
  const { data } = useSomeProduct(one.productId);
  const [pieces, setPieces] = useState(String(one.quantity));
  if (!data) return null;
  const { title, options, variants } = data.product;
  return (
    <li className="flex items-center gap-2 border-t border-hair py-1">
      <input
        aria-label={`Pieces of ${title}`}
        inputMode="numeric"
        value={pieces}
        className="w-12 rounded-md border border-line bg-sheet px-1.5 py-0.5 text-right tabular-nums"
        onChange={({ target }) => {
          setPieces(target.value);
          if (/^[1-9]\d{0,2}$/.test(target.value.trim())) change({ ...one, quantity: Number(target.value) });
        }}
        onBlur={() => setPieces(String(one.quantity))}
      />
      <span className="min-w-0 flex-1 break-words">{title}</span>
      {variants.length > 1 && (
        <Select
          label={`Variant of ${title}`}
          value={one.variantId}
          choices={variants.map((each) => ({
            value: each.id,
            label: variantName(options, each) || each.sku || 'the only one',
          }))}
          choose={(variantId) => change({ ...one, variantId })}
          className="max-w-36"
        />
      )}
      <button
        type="button"
        title={`Take ${title} out`}
        onClick={remove}
        className="rounded-md p-1 text-ink-2 hover:text-ink"
      >
        <X size={14} aria-hidden="true" />
        <span className="sr-only">Take {title} out</span>
      </button>
    </li>
  );
}

interface Props {
  beside: readonly Beside[];
  change: (beside: Beside[]) => void;
  firstVariant: (productId: string) => Promise<string | undefined>;
}

/** What else is in the basket, so that offers on several goods can be tried. */
export function BesideList({ beside, change, firstVariant }: Props) {
  return (
    <div className="mt-3">
      <p className="text-xs font-semibold text-ink-2">In the basket with it</p>
      {beside.length > 0 && (
        <ul aria-label="In the basket with it">
          {beside.map((one) => (
            <One
              key={one.productId}
              one={one}
              change={(next) => change(beside.map((each) => (each === one ? next : each)))}
              remove={() => change(beside.filter((each) => each !== one))}
            />
          ))}
        </ul>
      )}
      {beside.length < MOST && (
        <AddProduct
          label="Something else in the basket"
          taken={beside.map(({ productId }) => productId)}
          add={(productId) =>
            void firstVariant(productId).then((variantId) => {
              if (variantId) change([...beside, { productId, variantId, quantity: 1 }]);
            })
          }
        />
      )}
    </div>
  );
}

/** The whole basket that was tried, line by line. */
export function TriedBasket({ basket, currency }: { basket: NonNullable<WhyPrice['basket']>; currency: string }) {
  const money = (amount: number) => formatMoney(amount, currency);
  const row = 'flex justify-between gap-4 py-0.5 tabular-nums';
  return (
    <section aria-label="The whole basket" className="mt-3 border-t border-line pt-2">
      <p className="font-semibold">The whole basket</p>
      <ul>
        {basket.lines.map(({ title, quantity, total }, i) => (
          <li key={i} className={row}>
            <span className="min-w-0 break-words">
              {quantity} × {title}
            </span>
            {money(total)}
          </li>
        ))}
      </ul>
      <p className={`${row} border-t border-hair font-semibold`}>
        <span>Together</span>
        {money(basket.total)}
      </p>
      {basket.used.length > 0 && (
        <ul className="text-xs text-ink-2">
          {basket.used.map(({ name, off }) => (
            <li key={name} className={row}>
              <span className="min-w-0 break-words">{name}</span>
              {off > 0 ? `takes ${money(off)} off` : 'comes with it'}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
