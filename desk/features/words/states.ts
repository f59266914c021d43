import { count } from '../../shared/ui/count';
import type { StateCounts, TextState } from '../../data/languages';

/** What each state of a text is called, and how it is drawn. */
export const stateLooks: Readonly<Record<TextState, { words: string; tag: string; bar: string }>> = {
  missing: { words: 'missing', tag: 'bg-rose-soft text-rose-ink', bar: 'bg-line' },
  changed: { words: 'outdated', tag: 'bg-marigold-soft text-marigold-ink', bar: 'bg-marigold' },
  draft: { words: 'draft', tag: 'bg-sky text-sky-ink', bar: 'bg-sky-ink' },
  same: { words: 'as it is', tag: 'bg-sunk text-ink-2', bar: 'bg-petrol' },
  done: { words: 'done', tag: 'bg-petrol-soft text-petrol-ink', bar: 'bg-petrol' },
};

/** What there is to do, in the order in which it matters. */
export const openStates = ['missing', 'changed', 'draft'] as const satisfies TextState[];

export const openOf = (counts: StateCounts): number => openStates.reduce((sum, state) => sum + counts[state], 0);
/** Texts that are to be translated; what is fine as it is counts only once somebody translated it all the same. */
export const allOf = (counts: StateCounts): number => openOf(counts) + counts.done;

/** Done, in percent, rounded down so that 100 means all. */
export const shareDone = (counts: StateCounts): number => {
  const all = allOf(counts);
  return all === 0 ? 100 : Math.floor((counts.done * 100) / all);
};

export const sumOf = (all: readonly StateCounts[]): StateCounts =>
  all.reduce(
    (sum, each) => ({
      missing: sum.missing + each.missing,
      draft: sum.draft + each.draft,
      changed: sum.changed + each.changed,
      same: sum.same + each.same,
      done: sum.done + each.done,
    }),
    { missing: 0, draft: 0, changed: 0, same: 0, done: 0 },
  );

/** Words that count what there is to do: "12 missing, 3 outdated". */
export const openWords = (counts: StateCounts): string =>
  openStates
    .flatMap((state) => (counts[state] > 0 ? [`${count(counts[state])} ${stateLooks[state].words}`] : []))
    .join(', ');
