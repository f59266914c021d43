import { doneWords, type Done } from '../../core/history/done';
import type { Db } from '../database/connection';
import type { Actor, Journal } from '../database/journal';
import { putDifference, type ProductDifference } from '../store/product-difference';

/** What can take long: it runs in a thread of its own, on a connection of its own. */
export type Work =
  { what: 'put'; done: Done; differences: readonly ProductDifference[] } | { what: 'reverse'; changeId: number };

export interface WorkPlace {
  db: Db;
  journal: Journal;
  actor: Actor;
}

/** How others follow the work: they are told, and may stop it. */
export interface Follow {
  tell: (done: number, total: number) => void;
  isCancelled: () => boolean;
}

export interface WorkResult {
  changeId: number | undefined;
  subjects: string[];
  outcome: string;
}

/** Somebody stopped the work; what it did is taken back. */
export class CancelledError extends Error {}

const LOOK_UP_EVERY = 500;

/** Does the work, wherever it is called: in one transaction, as one change. */
export function doWork(work: Work, { db, journal, actor }: WorkPlace, follow: Follow): WorkResult {
  const watch = (done: number, total: number) => {
    if (follow.isCancelled()) throw new CancelledError();
    follow.tell(done, total);
  };
  if (work.what === 'reverse') {
    const { changeId, subjects, value } = journal.undoOne(work.changeId, actor, watch);
    return { changeId, subjects, outcome: `${value.kind === 'undo' ? 'Undone' : 'Done again'}: ${value.label}` };
  }
  const { done, differences } = work;
  const { changeId, subjects } = journal.change(done, actor, () =>
    differences.forEach((difference, i) => {
      if (i % LOOK_UP_EVERY === 0) watch(i, differences.length);
      putDifference(db, difference);
    }),
  );
  return { changeId, subjects, outcome: doneWords(done) };
}
