import { namesOf } from '../../core/model/fields';
import { variantFields, type VariantFields } from '../../core/model/variant-fields';
import { barcodeProblem } from '../../core/shared/barcode';
import { kindParts } from '../../core/products/kinds';
import { plainAmount } from '../../core/shared/money';
import type { Product } from '../../core/model/product';
import { customsCodeSchema, type PackageSize } from '../../core/model/product-values';
import { packageWords, readMeasure, readSize, weightWords } from '../../core/shared/units';
import { unitPricingWords } from '../../core/pricing/price';
import { readAmount, readWeight } from './ui/readings';

/** Fields that stand in the table of variants; a picture has a place of its own. */
export type ColumnName = Exclude<keyof VariantFields, 'pictureId'>;

type Reading = { value: unknown } | { problem: string };

/** What of the product decides how cells are read and shown. */
export type PricedBy = Pick<Product, 'unitPricing'>;

export interface VariantColumn {
  name: ColumnName;
  label: string;
  width: string;
  isNumber: boolean;
  placeholder: string;
  show: (value: unknown, product: PricedBy) => string;
  read: (typed: string, product: PricedBy) => Reading;
}

const text = (value: unknown) => (value === null || value === undefined ? '' : String(value));

const words = (name: ColumnName, label: string, width: string): VariantColumn => ({
  name,
  label,
  width,
  isNumber: false,
  placeholder: '',
  show: text,
  read: (typed) => ({ value: typed.trim() }),
});

const money = (name: ColumnName, label: string, canBeEmpty: boolean): VariantColumn => ({
  name,
  label,
  width: 'w-20 min-w-20',
  isNumber: true,
  placeholder: '—',
  show: (value) => (typeof value === 'number' ? plainAmount(value) : ''),
  read: (typed) => {
    if (typed.trim() === '') return canBeEmpty ? { value: null } : { problem: 'A price is needed.' };
    return readAmount(typed);
  },
});

const count = (name: ColumnName, label: string, placeholder: string, problem: string): VariantColumn => ({
  name,
  label,
  width: 'w-16 min-w-16',
  isNumber: true,
  placeholder,
  show: text,
  read: (typed) => {
    if (typed.trim() === '') return { value: null };
    return /^-?\d+$/.test(typed.trim()) ? { value: Number(typed) } : { problem };
  },
});

/** A measure kept in thousandths of its base unit and shown in it. */
const measure = (
  name: ColumnName,
  label: string,
  placeholder: string,
  baseOf: (product: PricedBy) => string,
): VariantColumn => ({
  name,
  label,
  width: 'w-20 min-w-20',
  isNumber: true,
  placeholder,
  show: (value, product) => (typeof value === 'number' ? `${value / 1000} ${baseOf(product)}`.trim() : ''),
  read: (typed, product) => (typed.trim() === '' ? { value: null } : readMeasure(typed, baseOf(product))),
});

const contentBase = ({ unitPricing }: PricedBy) => (unitPricing === null ? '' : unitPricingWords[unitPricing].base);

/** How each field is headed, shown and read. */
const columns: { [K in ColumnName]: VariantColumn } = {
  sku: words('sku', 'SKU', 'w-36 min-w-36'),
  barcode: {
    ...words('barcode', 'Barcode', 'w-32 min-w-32'),
    read: (typed) => {
      const problem = barcodeProblem(typed);
      return problem ? { problem } : { value: typed.trim() };
    },
  },
  supplierNumber: words('supplierNumber', 'Supplier no.', 'w-28 min-w-28'),
  price: money('price', 'Price', false),
  salePrice: money('salePrice', 'Sale price', true),
  cost: money('cost', 'Cost', true),
  stock: count('stock', 'In stock', '∞', 'Type a whole number, or nothing to not count.'),
  warnAt: count('warnAt', 'Warn at', '—', 'Type a whole number, or nothing.'),
  content: measure('content', 'Content', '—', contentBase),
  weight: {
    ...measure('weight', 'Weight', 'as all', () => 'g'),
    show: (value) => (typeof value === 'number' ? weightWords(value) : ''),
    read: readWeight,
  },
  size: {
    ...words('size', 'Package size', 'w-36 min-w-36'),
    placeholder: 'as all',
    show: (value) => packageWords(value as PackageSize | null),
    read: readSize,
  },
  packageType: { ...words('packageType', 'Package type', 'w-28 min-w-28'), placeholder: 'as all' },
  dispatchDays: count('dispatchDays', 'Dispatch', 'as all', 'Type whole days, or nothing.'),
  customsCode: {
    ...words('customsCode', 'Customs code', 'w-28 min-w-28'),
    read: (typed) => {
      const { success, data, error } = customsCodeSchema.safeParse(typed);
      return success ? { value: data } : { problem: error.issues[0]!.message };
    },
  },
};

/** All columns of the table of variants, in the order in which they stand. */
export const variantColumns: readonly VariantColumn[] = Object.values(columns);

/** The heading of a column: what services count are places. */
export const columnLabel = ({ name, label }: VariantColumn, { kind }: Pick<Product, 'kind'>) =>
  name === 'stock' && kind === 'service' ? 'Places' : label;

export const deliveryColumns: ReadonlySet<string> = new Set(namesOf(variantFields, ({ part }) => part === 'delivery'));

/** The columns that a product of its kind, priced in its way, can have. */
export function columnsOf({
  kind,
  unitPricing,
  bundle,
}: Pick<Product, 'kind' | 'unitPricing' | 'bundle'>): ColumnName[] {
  const parts = kindParts[kind];
  const isOfParts = bundle?.pricing.how === 'parts';
  return variantColumns
    .map(({ name }) => name)
    .filter(
      (name) =>
        (parts.delivery || !deliveryColumns.has(name)) &&
        (name !== 'content' || unitPricing !== null) &&
        // What a bundle has follows from its parts.
        !(parts.slots && (name === 'stock' || name === 'warnAt')) &&
        !(isOfParts && (name === 'price' || name === 'salePrice')),
    );
}

export const columnOf = (name: ColumnName) => columns[name];

/** Columns that are shown unless the seller chose others. */
export const usualColumns: readonly ColumnName[] = ['sku', 'price', 'salePrice', 'cost', 'stock', 'warnAt'];
