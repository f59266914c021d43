import type { ProductView, VariantView } from '../../core/storefront/views';
import { Tag } from 'lucide-react';
import { Price, UnitPrice, untoldPrice } from '../ui/price';
import { inMoney, say } from '../tongue';

/** All that is told about the price of the chosen variant. */
export function VariantPrice({ product, variant }: { product: ProductView; variant: VariantView }) {
  const { currency } = product;
  if (product.pricing !== 'shown')
    return <p className="mt-6 text-xl font-semibold text-ink">{untoldPrice(product.pricing)}</p>;
  const isReduced = variant.wasPrice !== null;
  return (
    <div className="mt-6" aria-live="polite">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <Price
          price={variant.price}
          upTo={product.bundle ? product.priceRange.high : undefined}
          wasPrice={variant.wasPrice}
          currency={currency}
          large
        />
        {variant.unitPrice && <UnitPrice of={variant.unitPrice} currency={currency} />}
        {isReduced && product.saleLastDay && (
          <span className="text-sm text-ink-soft">{say('price.until', { day: product.saleLastDay })}</span>
        )}
      </div>
      {variant.lowestBefore !== null && (
        <p className="mt-1 text-xs text-ink-soft">
          {say('price.lowest', { price: inMoney(variant.lowestBefore, currency) })}
        </p>
      )}
      {product.offers.length > 0 && (
        <ul className="mt-3 flex flex-col gap-1.5" aria-label={say('price.offers')}>
          {product.offers.map(({ name, gives, terms }) => (
            <li key={name} className="flex items-start gap-2 text-sm text-ink">
              <Tag size={16} className="mt-0.5 shrink-0 text-sea" aria-hidden="true" />
              <span className="min-w-0 break-words">
                <span className="font-semibold">{name}</span>: {gives}
                {terms && <span className="text-ink-soft">, {terms}</span>}
              </span>
            </li>
          ))}
        </ul>
      )}
      {variant.quantityPrices.length > 0 && (
        <ul className="mt-3 flex flex-wrap gap-2" aria-label={say('price.byQuantity')}>
          {variant.quantityPrices.map(({ from, price }) => (
            <li key={from} className="rounded-xl border border-line px-3 py-1.5 text-sm tabular-nums text-ink">
              {say('price.step', { count: from, price: inMoney(price, currency) })}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
