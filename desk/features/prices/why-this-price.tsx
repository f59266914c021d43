import { useState } from 'react';
import { countryCodes, countryName } from '../../../core/model/countries';
import { formatMoney } from '../../../core/shared/money';
import { useWhyPrice } from '../../data/offers';
import { AddProduct } from '../../shared/pickers/add-product';
import { variantName } from '../../../core/products/variants';
import { TextField } from '../../shared/ui/field';
import { MomentField } from '../../shared/ui/moment-field';
import { Select } from '../../shared/ui/select';
import { wordsOf } from '../../data/api';
import { BesideList, TriedBasket, type Beside } from './beside';
import { PriceHistory } from './price-history';
import { useFirstVariant, useSomeProduct } from './use-first-variant';

export interface Asked {
  productId: string;
  variantId: string | null;
}

interface Props {
  asked: Asked | null;
  ask: (asked: Asked) => void;
  currency: string;
  timeZone: string;
  country: string;
}

/** How the price of any variant comes about, for so many, at any moment, in any country, with a code. */
export function WhyThisPrice({ asked, ask, currency, timeZone, country }: Props) {
  const [quantity, setQuantity] = useState('1');
  const [at, setAt] = useState<string | null>(null);
  const [code, setCode] = useState('');
  const [where, setWhere] = useState(country);
  const [beside, setBeside] = useState<Beside[]>([]);
  const firstVariant = useFirstVariant();
  const { data: product } = useSomeProduct(asked?.productId);
  const variants = product?.product.variants ?? [];
  const variant = variants.find(({ id }) => id === asked?.variantId) ?? variants[0];
  const pieces = /^\d{1,3}$/.test(quantity.trim()) ? Number(quantity) : NaN;
  const { data, error } = useWhyPrice(
    asked && variant && pieces >= 1
      ? { productId: asked.productId, variantId: variant.id, quantity: pieces, beside, country: where, at, code }
      : null,
  );
  const money = (amount: number) => formatMoney(amount, currency);
  return (
    <section aria-labelledby="why-this-price" className="sheet p-4">
      <h3 id="why-this-price" className="font-display text-[15px] font-bold">
        Why this price
      </h3>
      <div className="mt-2">
        <AddProduct taken={[]} add={(productId) => ask({ productId, variantId: null })} />
      </div>
      {!asked && <p className="mt-2 text-ink-2">Choose a product here, or click a price.</p>}
      {asked && product && variant && (
        <>
          <p className="mt-3 font-semibold">{product.product.title}</p>
          <div className="mt-2 flex flex-wrap items-end gap-2">
            {variants.length > 1 && (
              <Select
                label="Variant"
                value={variant.id}
                choices={variants.map((each) => ({
                  value: each.id,
                  label: variantName(product.product.options, each) || each.sku || 'the only one',
                }))}
                choose={(variantId) => ask({ ...asked, variantId })}
                className="max-w-full"
              />
            )}
            <div className="w-16">
              <TextField
                label="Pieces"
                inputMode="numeric"
                value={quantity}
                error={Number.isNaN(pieces) ? 'How many?' : undefined}
                onChange={({ target }) => setQuantity(target.value)}
              />
            </div>
            <div className="w-32">
              <TextField
                label="Code"
                placeholder="none"
                value={code}
                onChange={({ target }) => setCode(target.value)}
              />
            </div>
            <MomentField label="At" value={at} timeZone={timeZone} change={setAt} />
            <Select
              label="Country"
              value={where}
              choices={countryCodes.map((each) => ({ value: each, label: countryName(each, 'en') }))}
              choose={setWhere}
            />
          </div>
          {error && (
            <p role="alert" className="mt-2 text-rose-ink">
              {wordsOf(error)}
            </p>
          )}
          {data && !error && (
            <>
              <ol className="mt-3" aria-label="Steps of the price">
                {data.steps.map(({ label, amount, note }, i) => (
                  <li key={i} className="flex justify-between gap-4 border-t border-hair py-1.5">
                    <span className="min-w-0">
                      {label}
                      {note && <span className="block text-xs text-ink-2">{note}</span>}
                    </span>
                    <strong className="whitespace-nowrap tabular-nums">{amount === null ? '–' : money(amount)}</strong>
                  </li>
                ))}
              </ol>
              <p className="flex items-baseline justify-between gap-4 border-t border-line pt-2">
                <strong>Shoppers pay</strong>
                <strong className="font-display text-lg tabular-nums">{money(data.price)}</strong>
              </p>
              <p className="text-xs text-ink-2">
                {[
                  data.tax > 0 ? `${data.taxWords}: ${money(data.tax)}` : 'no tax',
                  data.unitPrice,
                  data.lowest === null ? null : `lowest of the 30 days before: ${money(data.lowest)}`,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
              <BesideList beside={beside} change={setBeside} firstVariant={firstVariant} />
              {data.basket && <TriedBasket basket={data.basket} currency={currency} />}
              {data.refused.length > 0 && (
                <>
                  <p className="mt-3 text-xs font-semibold text-ink-2">Offers that do nothing here</p>
                  <ul className="text-xs text-ink-2">
                    {data.refused.map(({ name, why }, i) => (
                      <li key={i} className="flex justify-between gap-3 py-0.5">
                        <span className="min-w-0 break-words">{name}</span>
                        <span className="text-right">{why}</span>
                      </li>
                    ))}
                  </ul>
                </>
              )}
              <PriceHistory variantId={variant.id} currency={currency} timeZone={timeZone} />
            </>
          )}
        </>
      )}
    </section>
  );
}
