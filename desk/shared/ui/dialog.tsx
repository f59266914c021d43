import { Dialog as Headless, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

interface Props {
  title: string;
  isOpen: boolean;
  close: () => void;
  children: ReactNode;
  width?: string;
}

/** The one dialog: a sheet of paper over the desk. Escape and a click beside it close it. */
export function Dialog({ title, isOpen, close, children, width = 'max-w-md' }: Props) {
  return (
    <Headless open={isOpen} onClose={close} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/40" />
      <div className="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-[12vh]">
        <DialogPanel className={`sheet w-full ${width} p-5`}>
          <DialogTitle className="mb-3 font-display text-lg font-bold">{title}</DialogTitle>
          {children}
        </DialogPanel>
      </div>
    </Headless>
  );
}
