import { doneWords, type Done } from '../../core/history/done';
import type { Brand, Category } from '../../core/model/group';
import type { Db } from '../database/connection';
import type { Actor, Journal } from '../database/journal';
import { putCategory, putNamed } from '../store/groups';
import { endImport } from '../store/imports';
import { putDifference, type ProductDifference } from '../store/product-difference';
import { keepText, type KeptText } from '../store/wordings';

/** What can take long: it runs in a thread of its own, on a connection of its own. */
export type Work =
  | {
      what: 'put';
      done: Done;
      differences: readonly ProductDifference[];
      groups?: NewGroups;
      /** what products say in other languages */
      texts?: readonly KeptText[];
      /** the file that this comes from is done with the change, or not at all */
      ends?: { importId: string; outcome: string };
    }
  | { what: 'reverse'; changeId: number };

/** Groups that the products are put into, and that were not there before. */
export interface NewGroups {
  brands: readonly Brand[];
  tags: readonly Brand[];
  /** those above others first */
  categories: readonly Category[];
}

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
  const { done, differences, groups, texts, ends } = work;
  const { changeId, subjects } = journal.change(done, actor, () => {
    groups?.brands.forEach((brand) => putNamed(db, 'brand', brand));
    groups?.tags.forEach((tag) => putNamed(db, 'tag', tag));
    groups?.categories.forEach((category) => putCategory(db, category));
    differences.forEach((difference, i) => {
      if (i % LOOK_UP_EVERY === 0) watch(i, differences.length);
      putDifference(db, difference);
    });
    texts?.forEach((text) => keepText(db, text));
    if (ends) endImport(db, ends.importId, ends.outcome);
  });
  return { changeId, subjects, outcome: doneWords(done) };
}
