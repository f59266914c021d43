import { useEffect, useRef, useState } from 'react';
import type { ShopData } from '../data';
import { useBase } from '../base';
import { pageAt } from '../foreseen';
import { CloseButton } from '../ui/close-button';
import { Gallery } from './gallery';
import { firstVariant } from './pick';
import { VariantChoice } from './variant-choice';
import { say } from '../tongue';

interface Props {
  /** address of the product, without the base */
  url: string;
  close: () => void;
  go: (url: string) => void;
}

/** A product over the page that it was met on: pictures, price, choices, and the way to all the rest. */
export default function QuickLook({ url, close, go }: Props) {
  const base = useBase();
  const dialog = useRef<HTMLDialogElement>(null);
  const [page, setPage] = useState<Extract<ShopData['page'], { kind: 'product' }> | null>(null);
  const [wanted, setWanted] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  useEffect(() => dialog.current?.showModal(), []);
  useEffect(() => {
    let isLate = false;
    pageAt(base + url)
      .then(({ page: found }) => {
        if (isLate) return;
        if (found.kind !== 'product') throw new Error(say('product.noProduct'));
        setPage(found);
        setWanted(found.variantId);
      })
      // Its own page says what the matter is.
      .catch(() => window.location.assign(base + url));
    return () => void (isLate = true);
  }, [base, url]);
  const product = page?.product;
  const current = product && firstVariant(product, wanted);
  const whole = product && `${product.url}${current ? `?v=${current.id}` : ''}`;
  return (
    // Escape closes a dialog by itself.
    // eslint-disable-next-line jsx-a11y/click-events-have-key-events
    <dialog
      ref={dialog}
      aria-label={product?.title ?? say('product.aProduct')}
      aria-busy={!product}
      onClose={close}
      onClick={(event) => event.target === dialog.current && dialog.current.close()}
      className="m-auto max-h-[92dvh] w-[min(64rem,94vw)] overflow-y-auto rounded-3xl bg-paper p-0 text-ink backdrop:bg-black/40"
    >
      <div className="relative min-h-96 p-6 md:p-8">
        <CloseButton
          label={say('frame.close')}
          close={() => dialog.current?.close()}
          className="absolute right-4 top-4 z-20"
        />
        {product && (
          <div className="grid gap-8 md:grid-cols-2">
            <Gallery pictures={product.pictures} shown={shown ?? current?.pictureId ?? null} show={setShown} />
            <div className="min-w-0">
              {product.brand && <p className="text-sm text-ink-soft">{product.brand}</p>}
              <h2 className="mt-1 break-words pr-10 font-display text-2xl font-bold leading-tight tracking-tight">
                {product.title}
              </h2>
              {product.summary && <p className="mt-3 leading-relaxed text-ink-soft">{product.summary}</p>}
              {current && (
                <VariantChoice
                  product={product}
                  current={current}
                  choose={({ id }) => {
                    setWanted(id);
                    setShown(null);
                  }}
                />
              )}
              <a
                href={base + whole}
                onClick={(event) => {
                  if (event.ctrlKey || event.metaKey || event.shiftKey) return;
                  event.preventDefault();
                  dialog.current?.close();
                  go(whole!);
                }}
                className="mt-6 inline-block rounded-button border border-ink px-6 py-3 font-semibold hover:bg-mist"
              >
                {say('product.details')}
              </a>
            </div>
          </div>
        )}
      </div>
    </dialog>
  );
}
