import type { Field } from '../model/fields';
import { productFields } from '../model/product-fields';
import { variantFields } from '../model/variant-fields';
import { refuseQuantityPrices, refuseSalePrice, refuseSpan } from '../pricing/price';
import { kindParts, type KindParts } from '../products/kinds';
import { MAX_VARIANTS } from '../products/variants';
import { canonicalJson } from '../shared/canonical-json';
import type { FileCells } from './file-cells';
import type { Assembled, PlannedProblem, Refuse } from './planned';

/** Why a field cannot have a value, in its own words. */
const problemOf = (field: Field, value: unknown): string | undefined =>
  (field.typed ?? field.stored).safeParse(value).error?.issues[0]?.message;

/** Why a product of a kind cannot have a value of a field: it is part of other kinds. */
const misfitOf = ({ part, usual, words }: Field, value: unknown, kind: KindParts): string | undefined =>
  part !== undefined && !kind[part] && canonicalJson(value) !== canonicalJson(usual)
    ? `A ${kind.name} has no ${words}.`
    : undefined;

/** What no product can be, in the words of its fields: of what the rows change. */
export function checkPlanned(
  { used, placeOf }: FileCells,
  rows: readonly number[],
  { product, before, variantOf }: Assembled,
  problems: readonly PlannedProblem[],
  tell: Refuse,
): void {
  const first = rows[0]!;
  const broken = new Set(problems.map(({ row, column }) => `${row}:${column}`));
  const refuse = (row: number, place: number | undefined, message: string | undefined) => {
    if (message !== undefined && !broken.has(`${row}:${place}`)) tell(row, place, message);
  };
  if (product.title === '') refuse(first, placeOf('title'), 'A product needs a title.');
  if (product.variants.length > MAX_VARIANTS)
    refuse(first, undefined, `A product can have at most ${MAX_VARIANTS} variants.`);
  const kind = kindParts[product.kind];
  if (!before && kind.slots)
    refuse(first, placeOf('kind'), 'A bundle is made on its page: a file cannot say what is in it.');
  if (!kind.options && product.options !== before?.options && product.options.length > 0)
    refuse(first, placeOf('option 1 value'), `A ${kind.name} has no options.`);
  for (const { place, column } of used) {
    // A missing title is told once, in its own words; pictures were looked at when they came.
    if (
      column.of !== 'product' ||
      column.field === 'pictures' ||
      column.field === undefined ||
      (product.title === '' && placeOf('title') === place)
    )
      continue;
    const name = column.field as keyof typeof productFields;
    const value: unknown = product[name];
    if (value === before?.[name]) continue;
    refuse(first, place, misfitOf(productFields[name], value, kind) ?? problemOf(productFields[name], value));
  }
  const spans = [
    ['saleFrom', 'saleUntil'],
    ['liveFrom', 'liveUntil'],
  ] as const;
  for (const [from, until] of spans)
    if (product[from] !== before?.[from] || product[until] !== before[until])
      refuse(first, placeOf(until) ?? placeOf(from), refuseSpan(product[from], product[until]));
  if (product.quantityPrices !== before?.quantityPrices)
    refuse(first, placeOf('quantityPrices'), refuseQuantityPrices(product.quantityPrices)?.message);
  const was = new Set(before?.variants);
  for (const [row, variant] of variantOf) {
    if (was.has(variant)) continue;
    for (const { place, column } of used) {
      if (column.of !== 'variant' || column.field === undefined) continue;
      const name = column.field as keyof typeof variantFields;
      refuse(
        row,
        place,
        misfitOf(variantFields[name], variant[name], kind) ?? problemOf(variantFields[name], variant[name]),
      );
    }
    const blamed = placeOf('variant salePrice') ?? placeOf('variant price');
    refuse(row, blamed, refuseSalePrice(variant.price, variant.salePrice));
  }
}
