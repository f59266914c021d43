import { variantName } from '../../core/catalog/variants';
import type { Job } from '../../contract/bulk';
import type { goodsRoutes } from '../../contract/goods';
import type { AnswerOf } from '../../contract/route';
import type { ChangeRow } from '../database/journal';
import { DONE_AT_ONCE } from '../jobs/jobs';
import { newId } from '../ids';
import type { Catalog } from './catalog';
import { columnWords, opaqueColumns } from './field-words';
import { refOf } from './working';

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

const moneyColumns = new Set(['price', 'sale_price', 'cost']);

/** What changed on a product, newest first, each with old and new values in words. */
export function productHistory(catalog: Catalog, id: string): AnswerOf<typeof goodsRoutes.history> {
  const product = catalog.working.products.get(id);
  const subject = refOf('product', id);
  const words = (column: string, value: unknown) => {
    if (value === null || value === undefined) return '';
    return moneyColumns.has(column)
      ? (Number(value) / 100).toFixed(2)
      : String(value)
          .replace(/<[^>]*>/g, ' ')
          .slice(0, 120);
  };
  return {
    changes: catalog.journal.history(50, subject).map((change) => ({
      ...change,
      details: catalog.journal
        .rowsOf(change.id, subject)
        .flatMap(({ tableName, before, after }) => {
          if (!before || !after) return [];
          const variant = product?.variants.find((each) => each.id === (after.variant_id ?? after.id));
          const of =
            tableName === 'variant' || tableName === 'stock'
              ? variantName(product?.options ?? [], variant ?? { values: [] })
              : '';
          return Object.keys(after)
            .filter((column) => columnWords[column] && before[column] !== after[column])
            .map((column) => ({
              label: of ? `${columnWords[column]}, ${of}` : columnWords[column]!,
              before: opaqueColumns.has(column) ? '' : words(column, before[column]),
              after: opaqueColumns.has(column) ? 'changed' : words(column, after[column]),
            }));
        })
        .slice(0, 20),
    })),
  };
}
