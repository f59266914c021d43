/** @jsxImportSource preact */
import { useEffect, useRef, useState } from 'preact/hooks';
import { formatMoney } from '../../core/shared/money';
import type { EmbedProduct, EmbedView } from '../../core/storefront/embed-view';
import { offeredSizes } from '../../core/storefront/picture-sizes';
import type { PictureView } from '../../core/storefront/views';
import type { EmbedBasket } from './basket';
import { words } from './words';

interface Shop {
  view: EmbedView;
  basket: EmbedBasket;
  /** where the shop is */
  origin: string;
}

type Card = EmbedView['cards'][number];
type Variant = EmbedProduct['variants'][number];

/** A picture in the sizes that are worth offering for a frame that is at most so many pixels wide. */
function Picture({ picture, origin, widest }: { picture: PictureView; origin: string; widest: number }) {
  const sizes = offeredSizes(picture, 1, widest);
  const at = ({ size }: (typeof sizes)[number]) => `${origin}/media/${picture.media}/${size}.webp`;
  return (
    <img
      src={at(sizes[0]!)}
      srcset={sizes.map((each) => `${at(each)} ${each.width}w`).join(', ')}
      sizes={`${widest}px`}
      alt={picture.alt}
      loading="lazy"
      decoding="async"
      class={picture.fit}
      style={{ objectPosition: `${picture.focus.x * 100}% ${picture.focus.y * 100}%`, background: picture.background }}
    />
  );
}

function CardPrice({ card, shop }: { card: Card; shop: EmbedView['shop'] }) {
  if (card.pricing === 'onRequest') return <span class="quiet">{words.onRequest}</span>;
  if (card.pricing === 'soldOut') return <span class="quiet">{words.soldOut}</span>;
  const money = (amount: number) => formatMoney(amount, shop.currency, shop.locale);
  const { min, max } = card.price;
  return (
    <span class="price">
      {min === max ? money(min) : words.from(money(min))}
      {card.wasPrice !== null && <s aria-label={words.was(money(card.wasPrice))}>{money(card.wasPrice)}</s>}
    </span>
  );
}

function GoodsCard({ card, shop, open }: { card: Card; shop: Shop; open: (slug: string) => void }) {
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
      {has('price') && <CardPrice card={card} shop={view.shop} />}
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

/** The variant with another value of an option: that one which keeps most of the others. */
function withValue(product: EmbedProduct, current: Variant, option: string, value: string): Variant {
  const kept = (variant: Variant) =>
    Object.entries(current.options).filter(([key, of]) => key !== option && variant.options[key] === of).length +
    (variant.inStock ? 0.5 : 0);
  const fitting = product.variants.filter((variant) => variant.options[option] === value);
  return fitting.sort((a, b) => kept(b) - kept(a))[0] ?? current;
}

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
                const there = withValue(product, variant, key, value.key);
                return (
                  <button
                    key={value.key}
                    type="button"
                    aria-pressed={variant.options[key] === value.key}
                    class={there.inStock ? '' : 'gone'}
                    onClick={() => choose(there)}
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

/** Addresses inside of texts are those of the shop. */
const absolute = (html: string, origin: string) => html.replace(/\b(src|href)="\/(?!\/)/g, `$1="${origin}/`);

function Detail({ product, shop, open }: { product: EmbedProduct; shop: Shop; open: (slug: string) => void }) {
  const { view, basket, origin } = shop;
  const first = product.variants.find(({ inStock }) => inStock) ?? product.variants[0]!;
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
            <div class="thumbs" role="group" aria-label={words.pictures}>
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
            {product.pricing === 'shown' ? money(variant.price) : words[product.pricing]}
            {product.pricing === 'shown' && variant.wasPrice !== null && (
              <s aria-label={words.was(money(variant.wasPrice))}>{money(variant.wasPrice)}</s>
            )}
          </p>
          <p class="quiet">
            {variant.inStock ? (variant.few ? words.few : words.inStock) : (product.orderDelay ?? words.soldOut)}
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
                  {words.quantity}
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
                    setTold(words.added);
                  }}
                >
                  {words.add}
                </button>
              </>
            )}
            <a href={`${origin}${product.url}`} target="_top" class={canBuy ? '' : 'main'}>
              {words.toShop}
            </a>
          </div>
          <p role="status">{told}</p>
          {product.summary && <p>{product.summary}</p>}
          {/* Cleaned when it was written, as on the pages of the shop. */}
          <div class="told" dangerouslySetInnerHTML={{ __html: absolute(product.description, origin) }} />
          {product.specs.map(({ heading, rows }) => (
            <section key={heading}>
              <h3>{heading || words.facts}</h3>
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
        <section class="more" aria-label={words.related}>
          <h3>{words.related}</h3>
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

function Basket({ view, basket }: Shop) {
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

/** Goods of the shop in a page of another site. */
export function Goods(shop: Shop) {
  const { view } = shop;
  const dialog = useRef<HTMLDialogElement>(null);
  const row = useRef<HTMLUListElement>(null);
  // Those that were opened, one from another; the last one is shown.
  const [path, setPath] = useState<readonly string[]>([]);
  const product = view.products[path.at(-1) ?? ''];
  const open = (slug: string) => setPath((before) => [...before, slug]);
  const isOpen = product !== undefined;
  useEffect(() => {
    if (isOpen && !dialog.current?.open) dialog.current?.showModal();
    if (isOpen) dialog.current?.scrollTo(0, 0);
  }, [isOpen, product]);
  const close = () => dialog.current?.close();
  const { look } = view;
  const step = (by: number) => row.current?.scrollBy({ left: by * row.current.clientWidth * 0.9 });
  if (view.cards.length === 0 && view.emptyWords === '') return null;
  const fonts = { page: 'inherit', plain: 'system-ui, sans-serif', serif: 'Georgia, serif' };
  const ground = look.ground ?? 'transparent';
  return (
    <div
      class="all"
      style={{
        '--accent': look.accent,
        '--on': onColour(look.accent),
        '--ink': look.ink,
        '--link': look.ink,
        '--ground': ground,
        '--paper': look.ground ?? paperFor(look.ink),
        '--type': fonts[look.type],
        '--size': `${look.size}px`,
        '--corners': `${look.corners}px`,
        '--room': look.ground === null ? '0' : '1em',
        '--columns': view.columns,
        '--phone': view.phoneColumns,
      }}
    >
      {view.title && <h2>{view.title}</h2>}
      {view.subtitle && <p class="sub">{view.subtitle}</p>}
      {view.cards.length === 0 && <p>{view.emptyWords}</p>}
      <ul class={`goods ${view.shape}`} ref={row}>
        {view.cards.map((card) => (
          <li key={card.id}>
            <GoodsCard card={card} shop={shop} open={open} />
          </li>
        ))}
      </ul>
      {view.shape === 'row' && view.cards.length > view.columns && (
        <div class="steps">
          <button type="button" aria-label={words.earlier} onClick={() => step(-1)}>
            ←
          </button>
          <button type="button" aria-label={words.further} onClick={() => step(1)}>
            →
          </button>
        </div>
      )}
      {view.basket && <Basket {...shop} />}
      {/* Beside the ground, a click closes it; keys do by Escape. */}
      {/* eslint-disable-next-line jsx-a11y/click-events-have-key-events */}
      <dialog
        ref={dialog}
        aria-label={product?.title ?? ''}
        onClose={() => setPath([])}
        onClick={({ target, currentTarget }) => target === currentTarget && close()}
      >
        {product && (
          <>
            <div class="bar">
              {path.length > 1 ? (
                <button type="button" onClick={() => setPath(path.slice(0, -1))}>
                  ← {words.back}
                </button>
              ) : (
                <span />
              )}
              <button type="button" onClick={close}>
                {words.close} ×
              </button>
            </div>
            <Detail key={product.slug} product={product} shop={shop} open={open} />
          </>
        )}
      </dialog>
    </div>
  );
}

/** How light a colour is, from 0 to 1, as the eye has it. */
function lightness(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const part = parseInt(hex.slice(at, at + 2), 16) / 255;
    return part <= 0.03928 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Letters that are read on a colour. */
const onColour = (hex: string) => (lightness(hex) > 0.36 ? '#101418' : '#ffffff');
/** A ground on which letters of this colour are read. */
const paperFor = (ink: string) => (lightness(ink) > 0.36 ? '#14181c' : '#ffffff');
