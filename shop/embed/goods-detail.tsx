/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { absoluteHtml } from '../../core/shared/absolute-html';
import { formatMoney } from '../../core/shared/money';
import type { EmbedProduct } from '../../core/storefront/embed-view';
import { firstVariant, isAvailable, variantWith } from '../product/pick';
import type { EmbedShop } from './embed-shop';
import { Picture } from './picture';
import { say } from './words';

type Variant = EmbedProduct['variants'][number];

function Options({
  product,
  variant,
  choose,
}: {
  product: EmbedProduct;
  variant: Variant;
  choose: (next: Variant) => void;
}) {
  return (
    <>
      {product.options.map(({ key, label, values }) => (
        <fieldset key={key}>
          <legend>{label}</legend>
          <div class="chips">
            {values
              .filter((value) => product.variants.some(({ options }) => options[key] === value.key))
              .map((value) => {
                return (
                  <button
                    key={value.key}
                    type="button"
                    aria-pressed={variant.options[key] === value.key}
                    class={isAvailable(product, variant, key, value.key) ? '' : 'gone'}
                    onClick={() => choose(variantWith(product, variant, key, value.key))}
                  >
                    {value.colour && (
                      <i
                        class="dot"
                        style={{ background: value.colour, width: '.9em', height: '.9em', borderRadius: '50%' }}
                      />
                    )}
                    {value.label}
                  </button>
                );
              })}
          </div>
        </fieldset>
      ))}
    </>
  );
}

/** All that is known of a product: pictures, choices, price, words, and what goes with it. */
export function Detail({
  product,
  shop,
  open,
}: {
  product: EmbedProduct;
  shop: EmbedShop;
  open: (slug: string) => void;
}) {
  const { view, basket, origin } = shop;
  const first = firstVariant(product, null)!;
  const [variant, setVariant] = useState(first);
  const [shown, setShown] = useState(first.pictureId);
  const [quantity, setQuantity] = useState(1);
  const [told, setTold] = useState('');
  const money = (amount: number) => formatMoney(amount, view.shop.currency, view.shop.locale);
  const picture = product.pictures.find(({ id }) => id === shown) ?? product.pictures[0];
  const canBuy = view.basket && product.isPlain && (variant.inStock || product.orderDelay !== null);
  const related = product.related.flatMap((slug) => view.products[slug] ?? []);
  return (
    <>
      <div class="detail">
        <div>
          <div class="frame">{picture && <Picture picture={picture} origin={origin} widest={640} />}</div>
          {product.pictures.length > 1 && (
            <div class="thumbs" role="group" aria-label={say(view, 'pictures')}>
              {product.pictures.map((each, i) => (
                <button
                  key={each.id}
                  type="button"
                  aria-pressed={each === picture}
                  aria-label={`${each.alt} (${i + 1})`}
                  onClick={() => setShown(each.id)}
                >
                  <img src={`${origin}/media/${each.media}/160.webp`} alt="" loading="lazy" />
                </button>
              ))}
            </div>
          )}
        </div>
        <div>
          {product.brand && <p class="quiet">{product.brand}</p>}
          <h2>{product.title}</h2>
          <p class="big price">
            {product.pricing === 'shown' ? money(variant.price) : say(view, product.pricing)}
            {product.pricing === 'shown' && variant.wasPrice !== null && (
              <s aria-label={say(view, 'was', { price: money(variant.wasPrice) })}>{money(variant.wasPrice)}</s>
            )}
          </p>
          <p class="quiet">
            {variant.inStock
              ? variant.few
                ? say(view, 'few')
                : say(view, 'inStock')
              : (product.orderDelay ?? say(view, 'soldOut'))}
          </p>
          <Options
            product={product}
            variant={variant}
            choose={(next) => {
              setVariant(next);
              if (next.pictureId !== null) setShown(next.pictureId);
            }}
          />
          <div class="buy">
            {canBuy && (
              <>
                <label>
                  {say(view, 'quantity')}
                  <input
                    type="number"
                    min={1}
                    max={999}
                    value={quantity}
                    onInput={({ currentTarget }) => setQuantity(Math.round(Number(currentTarget.value)))}
                  />
                </label>
                <button
                  type="button"
                  class="main"
                  disabled={!(quantity >= 1 && quantity <= 999)}
                  onClick={() => {
                    basket.add({ slug: product.slug, variant: variant.id, quantity });
                    setTold(say(view, 'added'));
                  }}
                >
                  {say(view, 'add')}
                </button>
              </>
            )}
            <a href={`${origin}${view.shop.base}${product.url}`} target="_top" class={canBuy ? '' : 'main'}>
              {say(view, 'toShop')}
            </a>
          </div>
          <p role="status">{told}</p>
          {product.summary && <p>{product.summary}</p>}
          {/* Cleaned when it was written, as on the pages of the shop. */}
          <div
            class="told"
            dangerouslySetInnerHTML={{ __html: absoluteHtml(product.description, origin, view.shop.base) }}
          />
          {product.specs.map(({ heading, rows }) => (
            <section key={heading}>
              <h3>{heading || say(view, 'facts')}</h3>
              <dl class="facts">
                {rows.map(({ label, value }) => (
                  <>
                    <dt key={label}>{label}</dt>
                    <dd>{value}</dd>
                  </>
                ))}
              </dl>
            </section>
          ))}
        </div>
      </div>
      {related.length > 0 && (
        <section class="more" aria-label={say(view, 'related')}>
          <h3>{say(view, 'related')}</h3>
          <ul class="goods">
            {related.map((each) => (
              <li key={each.slug}>
                <button type="button" class="card" onClick={() => open(each.slug)}>
                  <span class="frame">
                    {each.pictures[0] && <Picture picture={each.pictures[0]} origin={origin} widest={200} />}
                  </span>
                  <span class="title">{each.title}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
