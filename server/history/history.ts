import type { Job } from '../../contract/bulk';
import type { goodsRoutes } from '../../contract/goods';
import type { historyRoutes } from '../../contract/history';
import type { AnswerOf, QueryOf } from '../../contract/route';
import { CannotUndoError, type ChangeRow } from '../database/journal';
import { DONE_AT_ONCE } from '../jobs/jobs';
import { newId } from '../shared/ids';
import type { Catalog } from '../state/catalog';
import { detailsOf } from './change-details';
import { refOf } from '../state/working';

/** The change of a person that undo would take back, or redo do again; null when there is none. */
export function nextOf({ journal }: Catalog, word: 'undo' | 'redo', user: string): ChangeRow | null {
  const id = word === 'undo' ? journal.nextUndo(user) : journal.nextRedo(user);
  return id === undefined ? null : journal.one(id)!;
}

/** The same by its id; refused when it is not the one that the person was shown. */
export function nextOrRefuse(catalog: Catalog, word: 'undo' | 'redo', user: string, shown: number | undefined): number {
  const next = nextOf(catalog, word, user);
  if (!next) throw new CannotUndoError(`There is nothing to ${word}.`);
  if (shown !== undefined && shown !== next.id)
    throw new CannotUndoError('You have changed something else since, so nothing was taken back.');
  return next.id;
}

/** Takes a change back, or does it again: at once, or in a thread of its own when it touched much. */
export async function reverse(catalog: Catalog, which: () => number, user: string): Promise<ChangeRow> {
  const { journal, jobs } = catalog;
  const id = which();
  const size = journal.sizeOf(id);
  if (size <= DONE_AT_ONCE * 4) return catalog.writes.shared(() => journal.undoOne(id, catalog.actor(user)).value);
  const { label } = journal.one(id)!;
  const job: Job = { id: newId('job'), label, state: 'waiting', done: 0, total: size, outcome: '' };
  await jobs.begin(job, user, async () => ({ work: { what: 'reverse', changeId: id } }));
  return journal.history(1)[0]!;
}

/** Details that are told of one change. */
const MOST_DETAILS = 20;

/** What changed on a product, newest first, each with old and new values in words. */
export function productHistory(catalog: Catalog, id: string): AnswerOf<typeof goodsRoutes.history> {
  const subject = refOf('product', id);
  return {
    changes: catalog.journal
      .history(50, subject)
      .map((change) => ({ ...change, ...detailsOf(catalog, change.id, subject, MOST_DETAILS) })),
  };
}

/** What changed anywhere, newest first. */
export function wholeHistory(
  catalog: Catalog,
  { before, limit }: QueryOf<typeof historyRoutes.all>,
): AnswerOf<typeof historyRoutes.all> {
  const { journal } = catalog;
  const changes = before === undefined ? journal.history(limit) : journal.historyBefore(before, limit);
  return {
    changes: changes.map((change) => ({ ...change, ...detailsOf(catalog, change.id, undefined, MOST_DETAILS) })),
  };
}
