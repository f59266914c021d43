/** @jsxImportSource preact */
import { useEffect, useRef, useState } from 'preact/hooks';
import { onColour, paperFor } from './colours';
import type { EmbedShop } from './embed-shop';
import { Basket } from './goods-basket';
import { GoodsCard } from './goods-card';
import { Detail } from './goods-detail';
import { say } from './words';

/** Goods of the shop in a page of another site. */
export function Goods(shop: EmbedShop) {
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
          <button type="button" aria-label={say(view, 'earlier')} onClick={() => step(-1)}>
            ←
          </button>
          <button type="button" aria-label={say(view, 'further')} onClick={() => step(1)}>
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
                  ← {say(view, 'back')}
                </button>
              ) : (
                <span />
              )}
              <button type="button" onClick={close}>
                {say(view, 'close')} ×
              </button>
            </div>
            <Detail key={product.slug} product={product} shop={shop} open={open} />
          </>
        )}
      </dialog>
    </div>
  );
}
