import type { GroupShownStatus } from '../../../contract/groups';
import { SwingTag } from '../../shared/ui/swing-tag';

const lives: Record<GroupShownStatus, { words: string; look: 'petrol' | 'marigold' | 'sky' | 'outline' }> = {
  live: { words: 'Live', look: 'petrol' },
  changed: { words: 'Changed', look: 'marigold' },
  new: { words: 'Not live yet', look: 'outline' },
  waiting: { words: 'Waits for its day', look: 'sky' },
  ended: { words: 'Past its day', look: 'sky' },
  off: { words: 'Off the shop', look: 'outline' },
};

/** Where a group is in its life. */
export function GroupStatusTag({ shownStatus }: { shownStatus: GroupShownStatus }) {
  const { words, look } = lives[shownStatus];
  return <SwingTag look={look}>{words}</SwingTag>;
}

/** Where it is found, or in rose that it is nowhere. */
export function Ways({ ways }: { ways: readonly string[] }) {
  if (ways.length === 0) return <span className="shrink-0 font-semibold text-rose">on no page</span>;
  return (
    <span className="truncate text-ink-2" title={ways.join(', ')}>
      in: {ways.slice(0, 2).join(' · ')}
      {ways.length > 2 && ` · ${ways.length - 2} more`}
    </span>
  );
}
