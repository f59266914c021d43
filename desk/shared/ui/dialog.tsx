import { Dialog as Headless, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { useEffect, useRef, useState, type FocusEvent, type ReactNode } from 'react';
import { useUnsaved } from '../autosave/unsaved';
import { Button } from './button';

type Typed = HTMLInputElement | HTMLTextAreaElement;

interface Props {
  title: string;
  isOpen: boolean;
  close: () => void;
  children: ReactNode;
  width?: string;
  /** what is typed into it waits for a button of its own: it is not dropped unasked */
  isForm?: boolean;
}

const isText = (element: EventTarget): element is Typed =>
  element instanceof HTMLTextAreaElement ||
  (element instanceof HTMLInputElement && !['checkbox', 'radio', 'file', 'search'].includes(element.type));

/** The one dialog: a sheet of paper over the desk. Escape and a click beside it close it; those of a form ask before. */
export function Dialog({ title, isOpen, close, children, width = 'max-w-md', isForm = false }: Props) {
  /** what stood in each field when it was first come into */
  const before = useRef(new Map<Typed, string>());
  const [isAsking, setAsking] = useState(false);
  const tellUnsaved = useUnsaved();
  const isTyped = () =>
    isForm && [...before.current].some(([field, value]) => field.isConnected && field.value !== value);
  const onFocus = ({ target }: FocusEvent) => {
    if (isText(target) && !before.current.has(target)) before.current.set(target, target.value);
  };
  const look = () => {
    if (isForm)
      tellUnsaved(isTyped() ? { problems: [`${title}: what you typed is not sent.`], isOnItsWay: false } : null);
  };
  useEffect(() => {
    if (isOpen) return;
    before.current.clear();
    setAsking(false);
    tellUnsaved(null);
  }, [isOpen, tellUnsaved]);
  const leave = () => {
    if (isAsking) setAsking(false);
    else if (isTyped()) setAsking(true);
    else close();
  };
  return (
    <Headless open={isOpen} onClose={leave} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/40" />
      <div className="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-[12vh]">
        <DialogPanel className={`sheet w-full ${width} p-5`} onFocusCapture={onFocus} onInput={look}>
          <DialogTitle className="mb-3 font-display text-lg font-bold">{title}</DialogTitle>
          {children}
          {isAsking && (
            <div
              role="alertdialog"
              aria-label="Drop what you typed?"
              className="mt-4 flex flex-wrap items-center gap-2 rounded-[10px] bg-marigold-soft p-3"
            >
              <span className="mr-auto text-marigold-ink">Drop what you typed?</span>
              <Button
                look="danger"
                onClick={() => {
                  setAsking(false);
                  close();
                }}
              >
                Drop it
              </Button>
              <Button look="main" autoFocus onClick={() => setAsking(false)}>
                Go on
              </Button>
            </div>
          )}
        </DialogPanel>
      </div>
    </Headless>
  );
}
