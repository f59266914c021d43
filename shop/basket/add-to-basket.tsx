import { useId, useState } from 'react';
import type { ProductView, VariantView } from '../../core/storefront/views';
import { parseMoney } from '../../core/shared/money';
import { useIsWindow } from '../base';
import { useBasketDesk } from './basket-store';
import { inMoney, inTongue, say } from '../tongue';

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

/** Puts what is chosen into the basket: with script without leaving the page, as a plain form without. */
export function AddToBasket({ product, variant, parts = [] }: Props) {
  const desk = useBasketDesk();
  const isWindow = useIsWindow();
  const id = useId();
  const [state, setState] = useState<'open' | 'sending' | 'added'>('open');
  const [problem, setProblem] = useState('');
  if (product.pricing !== 'shown' || (!variant.inStock && product.orderDelay === null)) return null;
  const submit = async (form: HTMLFormElement) => {
    if (isWindow) return setProblem(say('basket.nothingSold'));
    const typed = new FormData(form);
    const value = String(typed.get('value') ?? '').trim();
    const amount = value === '' ? null : parseMoney(value, document.documentElement.lang);
    if (amount === undefined) return setProblem(say('basket.typeAmount'));
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
      action={inTongue('/basket/add')}
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
            {say('basket.ownValue', {
              low: inMoney(product.ownValue.from, product.currency),
              high: inMoney(product.ownValue.upTo, product.currency),
            })}
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
          {say('basket.quantity')}
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
          {state === 'sending'
            ? say('frame.oneMoment')
            : say(product.kind === 'service' ? 'basket.book' : 'basket.add')}
        </button>
      </div>
      {problem && (
        <p id={problemId} role="alert" className="mt-2 text-sm text-sale">
          {problem}
        </p>
      )}
      {state === 'added' && !problem && (
        <p role="status" className="mt-2 text-sm text-ink-soft">
          {say('basket.added')}{' '}
          <a href={inTongue('/basket')} className="font-medium text-sea underline">
            {say('basket.see')}
          </a>
        </p>
      )}
    </form>
  );
}
