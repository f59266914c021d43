import { useEffect, useRef, type ReactNode } from 'react';
import { closeOver, openOver, pushAddress, takeBack } from '../back';
import { useBase } from '../base';
import { CloseButton } from '../ui/close-button';
import { say } from '../tongue';

/** Filters on a phone: they come out over the page, keep the focus, and go with Escape or Back. */
export function FilterDrawer({
  close,
  total,
  wanted,
  isWide,
  children,
}: {
  /** it comes out on wide screens as well */
  isWide: boolean;
  close: () => void;
  total: number;
  wanted: string;
  children: ReactNode;
}) {
  const base = useBase();
  const dialog = useRef<HTMLDialogElement>(null);
  const latest = useRef({ close, wanted });
  useEffect(() => {
    latest.current = { close, wanted };
  });
  useEffect(() => {
    dialog.current?.showModal();
    // Back closes the drawer; what was chosen in it stays.
    openOver();
    const release = takeBack(() => {
      const address = base + latest.current.wanted;
      if (address !== window.location.pathname + window.location.search) pushAddress(address);
      latest.current.close();
    });
    return () => {
      release();
      closeOver();
    };
  }, [base]);
  return (
    <dialog
      ref={dialog}
      aria-label={say('listing.filters')}
      onClose={close}
      className={`m-0 ml-auto h-dvh max-h-none w-[min(22rem,90vw)] max-w-none bg-paper p-0 backdrop:bg-black/40 ${isWide ? '' : 'lg:hidden'}`}
    >
      <div className="flex h-full flex-col">
        <div className="flex items-center justify-between border-b border-line px-5 py-3">
          <h2 className="font-display text-lg font-bold text-ink">{say('listing.filters')}</h2>
          <CloseButton label={say('listing.closeFilters')} close={close} />
        </div>
        <div className="flex-1 overflow-y-auto px-5 pb-4">{children}</div>
        <div className="border-t border-line p-4">
          <button
            type="button"
            onClick={close}
            className="w-full rounded-button bg-deep px-5 py-3 font-semibold text-white"
          >
            {say('listing.show', { count: total })}
          </button>
        </div>
      </div>
    </dialog>
  );
}
