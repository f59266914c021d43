import { bulkLabel, isChange, planOf, type BulkRequest } from '../../core/bulk/actions';
import type { BulkSources } from '../../core/bulk/plan';
import type { Db } from '../database/connection';
import type { Actor, ChangeResult, Journal } from '../database/journal';
import { readSettings } from '../database/pages';
import { readProducts } from '../database/products';
import { deleteProduct, putDifference } from '../database/put-products';
import { readSpecSheets } from '../database/spec-sheets';

/** What can take long: it runs in a thread of its own, on a connection of its own. */
export type Work =
  { what: 'bulk'; request: BulkRequest; ids: readonly string[] } | { what: 'reverse'; changeId: number };

export interface WorkPlace {
  db: Db;
  journal: Journal;
  actor: Actor;
  /** seconds since 1970 */
  now: number;
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

const READ_AT_ONCE = 200;

/** Sources of plans as the database has them. */
export function sourcesOf(db: Db, now: number): BulkSources {
  const settings = readSettings(db);
  return {
    now,
    settings: {
      taxRate: settings?.taxRate ?? 0,
      reducedTaxRate: settings?.reducedTaxRate ?? 0,
      taxIncluded: settings?.taxIncluded ?? true,
      currency: settings?.currency ?? 'EUR',
    },
    sheets: new Map(readSpecSheets(db).map((sheet) => [sheet.id, sheet])),
    nextFeaturedPlace: db
      .prepare(`SELECT ifnull(max(featured_place), 0) + 1 FROM product WHERE featured = 1`)
      .pluck()
      .get() as number,
  };
}

const products = (count: number) => (count === 1 ? 'one product' : `${count} products`);

function bulk(
  { request, ids }: Extract<Work, { what: 'bulk' }>,
  { db, journal, actor, now }: WorkPlace,
  follow: Follow,
): WorkResult {
  let changed = 0;
  let failed = 0;
  let met = 0;
  const write = () => {
    const sources = sourcesOf(db, now);
    for (let from = 0; from < ids.length; from += READ_AT_ONCE) {
      if (follow.isCancelled()) throw new CancelledError();
      for (const product of readProducts(db, ids.slice(from, from + READ_AT_ONCE))) {
        met++;
        const plan = planOf(product, request, sources);
        if ('problem' in plan) failed++;
        if (!isChange(product, plan)) continue;
        changed++;
        if ('deleted' in plan) deleteProduct(db, product.id);
        else if ('after' in plan) putDifference(db, product, plan.after);
      }
      follow.tell(Math.min(ids.length, from + READ_AT_ONCE), ids.length);
    }
  };
  const { changeId, subjects } = journal.change(() => bulkLabel(request, changed), actor, write);
  const same = met - changed - failed;
  const outcome = [
    changed === 0 ? 'Nothing changed' : bulkLabel(request, changed),
    ...(same > 0 && changed > 0 ? [`${same} were so already`] : []),
    ...(failed > 0 ? [`${products(failed)} could not be changed`] : []),
  ];
  return { changeId, subjects, outcome: outcome.join('; ') };
}

/** Does the work, wherever it is called: in one transaction, as one change. */
export function doWork(work: Work, place: WorkPlace, follow: Follow): WorkResult {
  if (work.what === 'bulk') return bulk(work, place, follow);
  const { changeId, subjects, value }: ChangeResult<{ label: string }> = place.journal.undoOne(
    work.changeId,
    place.actor,
  );
  return { changeId, subjects, outcome: value.label };
}
