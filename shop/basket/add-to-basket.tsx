import { useId, useState } from 'react';
import type { ProductView, VariantView } from '../../core/storefront/views';
import { formatMoney, parseMoney } from '../../core/shared/money';
import { useBase } from '../base';
import { useBasketDesk } from './basket-store';

interface ChosenPart {
  slotId: string;
  variantId: string;
  quantity: number;
}

interface Props {
  product: ProductView;
  variant: VariantView;
  /** of a bundle: what is chosen; null while something is missing */
  parts?: ChosenPart[] | null;
}

const NOT_HERE = 'This is the shop window: nothing is sold from here.';
const words = {
  service: 'Book a place',
  giftCard: 'Add to basket',
  physical: 'Add to basket',
  digital: 'Add to basket',
  bundle: 'Add to basket',
};

/** Puts what is chosen into the basket: with script without leaving the page, as a plain form without. */
export function AddToBasket({ product, variant, parts = [] }: Props) {
  const desk = useBasketDesk();
  const isWindow = useBase() !== '';
  const id = useId();
  const [state, setState] = useState<'open' | 'sending' | 'added'>('open');
  const [problem, setProblem] = useState('');
  if (product.pricing !== 'shown' || (!variant.inStock && product.orderDelay === null)) return null;
  const submit = async (form: HTMLFormElement) => {
    if (isWindow) return setProblem(NOT_HERE);
    const typed = new FormData(form);
    const value = String(typed.get('value') ?? '').trim();
    const amount = value === '' ? null : parseMoney(value, document.documentElement.lang);
    if (amount === undefined) return setProblem('Type an amount, like 40.');
    setState('sending');
    setProblem('');
    const refused = await desk!.add({
      slug: product.slug,
      variant: variant.id,
      quantity: Number(typed.get('quantity') ?? 1) || 1,
      parts: parts ?? [],
      value: amount,
    });
    setProblem(refused ?? '');
    setState(refused === undefined ? 'added' : 'open');
  };
  const problemId = `${id}-problem`;
  return (
    <form
      method="post"
      action="/basket/add"
      className="mt-5"
      onSubmit={(event) => {
        if (!desk && !isWindow) return;
        event.preventDefault();
        if (state !== 'sending') void submit(event.currentTarget);
      }}
    >
      <input type="hidden" name="slug" value={product.slug} />
      <input type="hidden" name="variant" value={variant.id} />
      {(parts ?? []).map(({ slotId, variantId, quantity }) => (
        <input key={`${slotId}.${variantId}`} type="hidden" name={`part.${slotId}.${variantId}`} value={quantity} />
      ))}
      {product.ownValue && (
        <p className="mb-3">
          <label htmlFor={`${id}-value`} className="mb-1 block text-sm text-ink-soft">
            Or a value of your own, {formatMoney(product.ownValue.from, product.currency)} to{' '}
            {formatMoney(product.ownValue.upTo, product.currency)}
          </label>
          <input
            id={`${id}-value`}
            name="value"
            inputMode="decimal"
            className="w-32 rounded-xl border border-line bg-paper px-3 py-2.5 tabular-nums text-ink"
          />
        </p>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <label className="sr-only" htmlFor={`${id}-quantity`}>
          How many
        </label>
        <input
          id={`${id}-quantity`}
          name="quantity"
          type="number"
          min={1}
          max={999}
          defaultValue={1}
          className="w-20 rounded-xl border border-line bg-paper px-3 py-3 text-center tabular-nums text-ink"
        />
        <button
          type="submit"
          disabled={parts === null || state === 'sending'}
          aria-describedby={problem ? problemId : undefined}
          className="min-w-44 flex-1 rounded-button bg-deep px-6 py-3 font-semibold text-white hover:brightness-90 disabled:opacity-60 sm:flex-none"
        >
          {state === 'sending' ? 'One moment …' : words[product.kind]}
        </button>
      </div>
      {problem && (
        <p id={problemId} role="alert" className="mt-2 text-sm text-sale">
          {problem}
        </p>
      )}
      {state === 'added' && !problem && (
        <p role="status" className="mt-2 text-sm text-ink-soft">
          In your basket.{' '}
          <a href="/basket" className="font-medium text-sea underline">
            See the basket
          </a>
        </p>
      )}
    </form>
  );
}
