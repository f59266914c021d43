import { useEffect, useRef } from 'react';
import type { BasketView } from '../../core/storefront/basket-shapes';
import { CloseButton } from '../ui/close-button';
import { BasketHints, BasketLines, BasketSums } from './basket-lines';
import { useBasketView } from './use-basket-view';
import { inTongue, say } from '../tongue';

interface Props {
  initial: BasketView;
  tell: (view: BasketView) => void;
  close: () => void;
}

/** The basket beside the page, when something was put into it. */
export default function BasketDrawer({ initial, tell, close }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const { view, problem, take } = useBasketView(initial, tell);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    // Escape closes a dialog by itself.
    // eslint-disable-next-line jsx-a11y/click-events-have-key-events
    <dialog
      ref={dialog}
      aria-label={say('frame.basket')}
      onClose={close}
      onClick={(event) => event.target === dialog.current && dialog.current.close()}
      className="ml-auto mr-0 mt-0 h-dvh max-h-none w-[min(28rem,100vw)] max-w-none bg-paper p-0 text-ink backdrop:bg-black/40"
    >
      <div className="flex h-full flex-col">
        <div className="flex items-center justify-between px-5 py-3">
          <h2 className="font-display text-xl font-bold">{say('frame.basket')}</h2>
          <CloseButton label={say('basket.close')} close={() => dialog.current?.close()} />
        </div>
        <div className="min-h-0 flex-1 overflow-y-auto px-5">
          <BasketLines view={view} take={take} isSmall />
          {problem && (
            <p role="alert" className="mt-2 text-sm text-sale">
              {problem}
            </p>
          )}
          <div className="py-4">
            <BasketHints view={view} />
          </div>
        </div>
        <div className="border-t border-line px-5 py-4" aria-live="polite">
          <BasketSums view={view} />
          <div className="mt-3 flex gap-3">
            <a
              href={inTongue('/basket')}
              className="flex-1 rounded-button border border-ink px-4 py-3 text-center font-semibold text-ink hover:bg-mist"
            >
              {say('basket.see')}
            </a>
            <a
              href={inTongue('/checkout')}
              className="flex-1 rounded-button bg-deep px-4 py-3 text-center font-semibold text-white hover:brightness-90"
            >
              {say('basket.checkout')}
            </a>
          </div>
        </div>
      </div>
    </dialog>
  );
}
