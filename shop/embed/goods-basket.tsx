/** @jsxImportSource preact */
import { useEffect, useState } from 'preact/hooks';
import { formatMoney } from '../../core/shared/money';
import type { EmbedShop } from './embed-shop';
import { say } from './words';

/** What was put together so far, and the way to pay for it. */
export function Basket({ view, basket }: EmbedShop) {
  const [, redraw] = useState(0);
  useEffect(() => basket.onChange(() => redraw((times) => times + 1)), [basket]);
  const known = basket.lines.map((line) => {
    // By its variant, since another language on the same page calls it otherwise.
    const product = Object.values(view.products).find(({ variants }) => variants.some(({ id }) => id === line.variant));
    const variant = product?.variants.find(({ id }) => id === line.variant);
    return { ...line, title: product?.title ?? line.slug, price: (variant?.price ?? 0) * line.quantity };
  });
  if (known.length === 0) return null;
  const money = (amount: number) => formatMoney(amount, view.shop.currency, view.shop.locale);
  const pieces = known.reduce((sum, { quantity }) => sum + quantity, 0);
  const sum = known.reduce((all, { price }) => all + price, 0);
  return (
    <section class="basket" aria-label={say(view, 'basket', { count: pieces, sum: money(sum) })}>
      <strong>{say(view, 'basket', { count: pieces, sum: money(sum) })}</strong>
      <a class="main" href={basket.checkoutIn(view.shop.base)} target="_top">
        {say(view, 'pay')}
      </a>
      <ul>
        {known.map(({ variant, title, quantity, price }) => (
          <li key={variant}>
            <span>
              {quantity} × {title}
            </span>
            <span>
              {money(price)}{' '}
              <button type="button" aria-label={say(view, 'remove', { title })} onClick={() => basket.remove(variant)}>
                ×
              </button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
