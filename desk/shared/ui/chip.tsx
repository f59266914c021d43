import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import type { ReactNode } from 'react';

interface Props {
  /** what it is about, for those who do not see the sentence */
  label: string;
  words: ReactNode;
  /** something that can be added, and is not there yet */
  isEmpty?: boolean;
  error?: string;
  width?: string;
  children: ReactNode;
}

/** Some words of a sentence that can be changed: a click opens what they say as fields. */
export const Chip = ({ label, words, isEmpty, error, width = 'w-80', children }: Props) => (
  <Popover className="inline-block">
    <PopoverButton
      aria-label={label}
      aria-invalid={error ? true : undefined}
      className={`rounded-lg border px-2.5 py-1 text-left leading-snug aria-[invalid=true]:border-rose data-open:border-ink ${
        isEmpty
          ? 'border-dashed border-ink-3 text-ink-2 hover:border-ink hover:text-ink'
          : 'border-line bg-sheet font-semibold hover:border-ink-3'
      }`}
    >
      {words}
    </PopoverButton>
    <PopoverPanel
      anchor={{ to: 'bottom start', gap: 6, padding: 12 }}
      className={`z-40 flex flex-col gap-3 rounded-[10px] border border-line bg-sheet p-4 shadow-lg ${width}`}
    >
      {children}
      {error && (
        <p role="alert" className="text-rose-ink">
          {error}
        </p>
      )}
    </PopoverPanel>
  </Popover>
);
