import { stringify } from 'csv-stringify/sync';
import { LOOKED_AT } from '../../core/forecast/run-out';
import { reorder } from '../../core/suppliers/reorder';
import type { AnswerOf, BodyOf } from '../../contract/route';
import type { ReorderLine, supplierRoutes, SupplyAnswer } from '../../contract/suppliers';
import { slugFrom } from '../../core/shared/slug';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { neutralText } from '../../core/shared/neutral-text';
import type { Catalog } from '../state/catalog';
import { readTakenByVariant } from '../store/sold';
import { shopDay, supplierOrRefuse, suppliesOf } from './queries';

const DAY = 86_400;
const WEEK = 7;
/** Taken for so many days where nobody said how long a supplier takes. */
const USUAL_DELIVERY = 14;

/** What left the shelf of each variant on each of the last days, today first. */
function takenLately({ db, now }: Catalog): (variantId: string, firstDay: number) => number[] {
  const today = Math.floor(now / DAY);
  const iso = (day: number) => new Date(day * DAY * 1_000).toISOString();
  const taken = new Map<string, [ago: number, pieces: number][]>();
  for (const { variantId, day, pieces } of readTakenByVariant(db, iso(today - LOOKED_AT + 1), iso(today + 1))) {
    const ago = today - Math.floor(Date.parse(day) / 1_000 / DAY);
    const known = taken.get(variantId);
    if (known) known.push([ago, pieces]);
    else taken.set(variantId, [[ago, pieces]]);
  }
  return (variantId, firstDay) => {
    const known = taken.get(variantId) ?? [];
    const furthest = Math.max(today - firstDay, ...known.map(([ago]) => ago), 0);
    const days = new Array<number>(Math.min(LOOKED_AT, furthest + 1)).fill(0);
    for (const [ago, pieces] of known) days[ago]! += pieces;
    return days;
  };
}

/** What to order from a supplier so that it lasts for so many days after it came. Only what is counted is told. */
export function reorderAnswer(
  catalog: Catalog,
  id: string,
  coverDays: number,
): AnswerOf<typeof supplierRoutes.reorder> {
  const supplier = supplierOrRefuse(catalog, id);
  const deliveryDays = supplier.deliveryDays ?? USUAL_DELIVERY;
  const soldOf = takenLately(catalog);
  const lines = suppliesOf(catalog, supplier).flatMap((supply): ReorderLine[] => {
    if (supply.stock === null) return [];
    const product = catalog.working.products.get(supply.productId)!;
    const { warnAt } = product.variants.find((variant) => variant.id === supply.variantId)!;
    const sold = soldOf(supply.variantId, Math.floor(Date.parse(product.created) / 1_000 / DAY));
    const { isDue, pieces, runsOut } = reorder({ stock: supply.stock, warnAt, sold }, { deliveryDays, coverDays });
    const { productId, title, thumbnail, variantId, variant, sku, number, cost } = supply;
    const weekly = (sold.reduce((sum, each) => sum + each, 0) / sold.length) * WEEK;
    const likely = runsOut?.likely ?? null;
    const stock = Math.max(0, supply.stock);
    return [
      { productId, title, thumbnail, variantId, variant, sku, number, stock, weekly, likely, isDue, pieces, cost },
    ];
  });
  const soonest = (line: ReorderLine) => line.likely ?? Infinity;
  lines.sort((a, b) => Number(b.isDue) - Number(a.isDue) || soonest(a) - soonest(b) || a.title.localeCompare(b.title));
  return { deliveryDays, lines };
}

const amount = (minor: number) => (minor / 100).toFixed(2);

/** An order to a supplier as a file. */
export function orderFile(
  catalog: Catalog,
  id: string,
  { lines }: BodyOf<typeof supplierRoutes.orderFile>,
): AnswerOf<typeof supplierRoutes.orderFile> {
  const supplier = supplierOrRefuse(catalog, id);
  const supplies = new Map<string, SupplyAnswer>(suppliesOf(catalog, supplier).map((each) => [each.variantId, each]));
  const rows = lines.map(({ variantId, pieces }, i) => {
    const supply = supplies.get(variantId);
    if (!supply) throw invalidField(['lines', i, 'variantId'], refusals.notSuppliedHere);
    const { number, sku, title, variant, cost } = supply;
    return [
      ...[number, sku, title, variant].map(neutralText),
      String(pieces),
      cost === null ? '' : amount(cost),
      cost === null ? '' : amount(cost * pieces),
    ];
  });
  const head = ['Supplier number', 'SKU', 'Product', 'Variant', 'Pieces', 'Cost each', 'Cost'];
  return {
    name: `order-${slugFrom(supplier.name)}-${shopDay(catalog)}.csv`,
    csv: `\ufeff${stringify([head, ...rows], { record_delimiter: '\r\n' })}`,
  };
}
