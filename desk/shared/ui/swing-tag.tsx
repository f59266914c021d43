import clsx from 'clsx';
import type { ReactNode } from 'react';
import type { GroupShownStatus } from '../../../contract/groups';
import type { ShownStatus } from '../../../contract/product';

/** Products and groups have most of what there is to say in common. */
type AnyStatus = ShownStatus | GroupShownStatus;

const statuses: Record<AnyStatus, { words: string; look: keyof typeof looks }> = {
  live: { words: 'Live', look: 'petrol' },
  changed: { words: 'Changed', look: 'marigold' },
  new: { words: 'Not live yet', look: 'outline' },
  draft: { words: 'Draft', look: 'outline' },
  soldOut: { words: 'Sold out', look: 'rose' },
  waiting: { words: 'Waits for its day', look: 'sky' },
  ended: { words: 'Past its day', look: 'sky' },
  off: { words: 'Off the shop', look: 'outline' },
};

const looks = {
  petrol: 'bg-petrol-soft text-petrol-ink',
  marigold: 'bg-marigold-soft text-marigold-ink',
  rose: 'bg-rose-soft text-rose-ink',
  sky: 'bg-sky text-sky-ink',
  outline: 'border border-ink-3 bg-sheet text-ink-2',
};

/** A small tag with a punched hole: says a standing in a word and a colour. */
export function SwingTag({ look, children }: { look: keyof typeof looks; children: ReactNode }) {
  return (
    <span
      className={clsx(
        'inline-flex shrink-0 items-center gap-1.5 whitespace-nowrap rounded-l-full rounded-r-[5px] py-[3px] pl-1.5 pr-2.5 text-xs font-semibold',
        looks[look],
      )}
    >
      <span className="size-[7px] rounded-full border border-current bg-paper opacity-70" aria-hidden="true" />
      {children}
    </span>
  );
}

/** `words`: instead of the usual ones, such as "from 3 May". */
export function StatusTag({ shownStatus, words }: { shownStatus: AnyStatus; words?: string }) {
  const usual = statuses[shownStatus];
  return <SwingTag look={usual.look}>{words ?? usual.words}</SwingTag>;
}
