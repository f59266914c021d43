/** @jsxImportSource preact */
import { useEffect, useState } from 'preact/hooks';
import { formatMoney } from '../../core/shared/money';
import type { EmbedShop } from './embed-shop';
import { words } from './words';

/** What was put together so far, and the way to pay for it. */
export function Basket({ view, basket }: EmbedShop) {
  const [, redraw] = useState(0);
  useEffect(() => basket.onChange(() => redraw((times) => times + 1)), [basket]);
  const known = basket.lines.map((line) => {
    const product = view.products[line.slug];
    const variant = product?.variants.find(({ id }) => id === line.variant);
    return { ...line, title: product?.title ?? line.slug, price: (variant?.price ?? 0) * line.quantity };
  });
  if (known.length === 0) return null;
  const money = (amount: number) => formatMoney(amount, view.shop.currency, view.shop.locale);
  const pieces = known.reduce((sum, { quantity }) => sum + quantity, 0);
  const sum = known.reduce((all, { price }) => all + price, 0);
  return (
    <section class="basket" aria-label={words.basket(pieces, money(sum))}>
      <strong>{words.basket(pieces, money(sum))}</strong>
      <a class="main" href={basket.checkout} target="_top">
        {words.pay}
      </a>
      <ul>
        {known.map(({ variant, title, quantity, price }) => (
          <li key={variant}>
            <span>
              {quantity} × {title}
            </span>
            <span>
              {money(price)}{' '}
              <button type="button" aria-label={words.remove(title)} onClick={() => basket.remove(variant)}>
                ×
              </button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
