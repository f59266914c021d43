import { Dialog as Headless, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';

interface Props {
  title: string;
  close: () => void;
  children: ReactNode;
  /** takes the whole width */
  isWide?: boolean;
}

/** On a narrow screen: what else stands beside the work, over it. Escape and a click beside it close it. */
export function Drawer({ title, close, children, isWide = false }: Props) {
  return (
    <Headless open onClose={close} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/40" />
      <div className="fixed inset-0 flex">
        <DialogPanel
          className={`flex h-full flex-col bg-paper shadow-xl ${isWide ? 'w-full' : 'w-[300px] max-w-[88vw]'}`}
        >
          <div className="flex items-center justify-between border-b border-line py-2 pl-4 pr-2">
            <DialogTitle className="font-display text-lg font-bold">{title}</DialogTitle>
            <button
              type="button"
              aria-label="Close"
              onClick={close}
              className="grid size-9 place-items-center text-ink-2"
            >
              <X size={18} aria-hidden="true" />
            </button>
          </div>
          <div className="flex min-h-0 flex-1 flex-col overflow-y-auto">{children}</div>
        </DialogPanel>
      </div>
    </Headless>
  );
}
