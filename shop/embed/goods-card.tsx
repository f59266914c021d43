/** @jsxImportSource preact */
import { formatMoney } from '../../core/shared/money';
import type { EmbedView } from '../../core/storefront/embed-view';
import type { EmbedShop } from './embed-shop';
import { Picture } from './picture';
import { say } from './words';

type Card = EmbedView['cards'][number];
function CardPrice({ card, view }: { card: Card; view: EmbedView }) {
  const { shop } = view;
  if (card.pricing === 'onRequest') return <span class="quiet">{say(view, 'onRequest')}</span>;
  if (card.pricing === 'soldOut') return <span class="quiet">{say(view, 'soldOut')}</span>;
  const money = (amount: number) => formatMoney(amount, shop.currency, shop.locale);
  const { min, max } = card.price;
  return (
    <span class="price">
      {min === max ? money(min) : say(view, 'from', { price: money(min) })}
      {card.wasPrice !== null && (
        <s aria-label={say(view, 'was', { price: money(card.wasPrice) })}>{money(card.wasPrice)}</s>
      )}
    </span>
  );
}

/** A product among others; a click opens all that is known of it. */
export function GoodsCard({ card, shop, open }: { card: Card; shop: EmbedShop; open: (slug: string) => void }) {
  const { view, origin } = shop;
  const has = (part: string) => !view.without.includes(part);
  return (
    <button type="button" class="card" aria-haspopup="dialog" onClick={() => open(card.slug)}>
      <span class="frame">
        {card.picture && <Picture picture={card.picture} origin={origin} widest={400} />}
        {card.badges.length > 0 && (
          <span class="badges">
            {card.badges.map((badge) => (
              <span key={badge.words}>{badge.words}</span>
            ))}
          </span>
        )}
      </span>
      {has('brand') && card.brand && <span class="quiet">{card.brand}</span>}
      <span class="title">{card.title}</span>
      {has('price') && <CardPrice card={card} view={view} />}
      {has('swatches') && card.swatches.length > 1 && (
        <span class="swatches" title={card.swatches.map(({ label }) => label).join(', ')}>
          {card.swatches.slice(0, 6).map(({ label, colour }) => (
            <i key={label} style={{ background: colour }} />
          ))}
        </span>
      )}
    </button>
  );
}
