import { refusals } from '../shared/refusals';
import type { Done } from '../../core/history/done';
import type { stockRoutes } from '../../contract/stock';
import type { FieldError } from '../../contract/problem';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { readCounts } from '../store/products';
import { setVariants } from '../store/put-products';
import { readMoves } from '../store/shop-orders';
import { invalid, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';
import { refOf } from '../state/working';

/** Moves stock with a reason, as one change. A variant that was not counted begins to be with the reason "counted". */
export function moveStock(
  catalog: Catalog,
  user: UserId,
  id: string,
  { reason, note, moves }: BodyOf<typeof stockRoutes.move>,
): void {
  const product = productOrRefuse(catalog, id);
  const errors: FieldError[] = [];
  const next = new Map(product.variants.map((variant) => [variant.id, variant]));
  moves.forEach(({ id: variantId, pieces }, i) => {
    const variant = next.get(variantId);
    if (!variant) throw notFound(refusals.gone('variant'));
    const refuse = (message: string) => errors.push({ path: ['moves', i, 'pieces'], message });
    const isCount = reason === 'counted';
    const stock = isCount ? pieces : (variant.stock ?? 0) + pieces;
    if (!isCount && variant.stock === null) refuse(refusals.notCounted);
    else if (stock < 0) refuse(isCount ? refusals.fewerThanNone : refusals.onlySoMany(variant.stock!));
    else next.set(variantId, { ...variant, stock });
  });
  if (errors.length > 0) throw invalid(errors);
  const done: Done = { did: 'stockMoved', title: product.title, reason, note };
  catalog.journal.change(done, catalog.actor(user), () =>
    setVariants(catalog.db, id, [...next.values()], new Set(moves.map((move) => move.id))),
  );
}

const SHOWN = 200;

/**
 * The movements of a product's stock: from the journal what was typed, moved and undone, and what orders took. What is stored
 * counts the pieces that were sold too, so the way is gone back from today to tell what was left at each step.
 */
export function stockLedger(catalog: Catalog, id: string): AnswerOf<typeof stockRoutes.ledger> {
  productOrRefuse(catalog, id);
  const { journal, db } = catalog;
  const subject = refOf('product', id);
  const moves = readMoves(db, id);
  const taken = new Map<string, number>();
  for (const { variantId, pieces } of moves) taken.set(variantId, (taken.get(variantId) ?? 0) + pieces);
  const counted = new Map(readCounts(db, id).map(({ variantId, count }) => [variantId, count]));
  const left = (variantId: string, count: number | null) =>
    count === null ? null : Math.max(0, count - (taken.get(variantId) ?? 0));
  const changes = journal.history(SHOWN, subject).flatMap(({ id: changeId, at, userName, label, kind }) =>
    journal
      .rowsOf(changeId, subject)
      .filter(
        ({ tableName, before, after }) => tableName === 'stock' && after && (before?.count ?? null) !== after.count,
      )
      .map(({ before, after }) => ({
        variantId: after!.variant_id as string,
        at,
        userName,
        words: kind === 'edit' ? label : `${kind === 'undo' ? 'Undone' : 'Done again'}: ${label}`,
        before: (before?.count as number | null | undefined) ?? null,
        after: after!.count as number | null,
      })),
  );
  const steps = [
    ...changes.map((change) => ({ at: change.at, change })),
    ...moves.reverse().map((move) => ({ at: move.at, move })),
  ].sort((a, b) => (a.at === b.at ? 0 : a.at < b.at ? 1 : -1));
  const movements = steps.slice(0, SHOWN).map((step) => {
    if ('change' in step) {
      const { variantId, before, after, ...rest } = step.change;
      counted.set(variantId, before);
      return { ...rest, variantId, before: left(variantId, before), after: left(variantId, after) };
    }
    const { variantId, at, pieces, number } = step.move;
    const count = counted.get(variantId) ?? null;
    const after = left(variantId, count);
    taken.set(variantId, (taken.get(variantId) ?? 0) - pieces);
    const words = pieces > 0 ? `Order ${number}` : `Back from order ${number}`;
    return { variantId, at, userName: null, words, before: left(variantId, count), after };
  });
  return { movements };
}
