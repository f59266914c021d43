import type { SheetProduct } from '../../../contract/sheet';
import { fold } from '../../../core/shared/fold';
import { namedLike } from '../../../core/shared/same-name';
import { kindParts } from '../../../core/products/kinds';
import type { Variant } from '../../../core/model/product';
import { taxClasses, type PackageSize } from '../../../core/model/product-values';
import { taxClassNames } from '../../../core/pricing/tax';
import { type Attribute, type SpecSheet, type SpecValue } from '../../../core/model/spec-sheet';
import { specProblem, specWords } from '../../../core/products/spec-values';
import { packageWords, readMeasure, readRange, readSize, weightWords } from '../../../core/shared/units';
import { columnsOf, deliveryColumns, variantColumns, type ColumnName } from '../../shared/variant-columns';
import { readWeight, readWholeOrNone, type Reading } from '../../shared/ui/readings';

/** Names by which cells tell what products hold by id. */
export interface SheetNames {
  brands: readonly { value: string; label: string }[];
  categories: readonly { value: string; label: string }[];
  tags: readonly { value: string; label: string }[];
  sheets: readonly SpecSheet[];
}

export interface SheetColumn {
  key: string;
  label: string;
  /** whose value it is: changing one of a product changes it in all of its rows */
  of: 'product' | 'variant';
  width: number;
  isNumber: boolean;
  valueOf: (product: SheetProduct, variant: Variant | undefined) => unknown;
  show: (value: unknown, product: SheetProduct) => string;
  read: (typed: string, product: SheetProduct) => Reading<unknown>;
  canEdit: (product: SheetProduct) => boolean;
}

const always = () => true;
const delivered = ({ kind }: SheetProduct) => kindParts[kind].delivery;

type ProductField = keyof SheetProduct;

const field = (
  key: ProductField & string,
  label: string,
  width: number,
  more: Partial<SheetColumn> & Pick<SheetColumn, 'read'>,
): SheetColumn => ({
  key,
  label,
  of: 'product',
  width,
  isNumber: false,
  valueOf: (product) => product[key],
  show: (value) => (value === null || value === undefined ? '' : String(value)),
  canEdit: always,
  ...more,
});

const words = (key: ProductField & string, label: string, width: number, most: number, isNeeded = false): SheetColumn =>
  field(key, label, width, {
    read: (typed) => {
      const text = typed.trim();
      if (isNeeded && text === '') return { problem: `${label} is needed.` };
      return text.length > most ? { problem: `At most ${most} characters.` } : { value: text };
    },
  });

/** One of a few words, by its beginning: "dr" is a draft. */
const oneOf = (
  key: ProductField & string,
  label: string,
  width: number,
  choices: readonly (readonly [value: unknown, words: string])[],
): SheetColumn =>
  field(key, label, width, {
    show: (value) => choices.find(([each]) => each === value)?.[1] ?? '',
    read: (typed) => {
      const wanted = fold(typed).trim();
      const found =
        choices.find(([, each]) => fold(each) === wanted) ??
        (wanted === '' ? undefined : choices.find(([, each]) => fold(each).startsWith(wanted)));
      return found ? { value: found[0] } : { problem: `Type ${choices.map(([, each]) => `“${each}”`).join(' or ')}.` };
    },
  });

/** Several things by name, with semicolons between. */
const manyOf = (key: ProductField & string, label: string, choices: SheetNames['tags'], what: string): SheetColumn =>
  field(key, label, 180, {
    show: (value) =>
      (value as string[]).flatMap((id) => choices.find((each) => each.value === id)?.label ?? []).join('; '),
    read: (typed) => {
      const names = typed
        .split(';')
        .map((name) => name.trim())
        .filter(Boolean);
      const ids: string[] = [];
      for (const name of names) {
        const found = namedLike(choices, ({ label: words }) => words, name);
        if (!found) return { problem: `There is no ${what} “${name}”.` };
        ids.push(found.value);
      }
      return { value: [...new Set(ids)] };
    },
  });

function specColumn(sheet: SpecSheet, attribute: Attribute, isDouble: boolean): SheetColumn {
  const { id, name, type, unit, choices } = attribute;
  const read = (typed: string): Reading<unknown> => {
    const text = typed.replace(/\u00a0/g, ' ').trim();
    if (text === '') return { value: undefined };
    const made = ((): Reading<unknown> => {
      switch (type) {
        case 'number':
          return readMeasure(text, unit);
        case 'range':
          return readRange(text, unit);
        case 'yesNo':
          return /^(y|yes|no?)$/i.test(text) ? { value: /^y/i.test(text) } : { problem: 'Type yes or no.' };
        case 'choice':
        case 'choices': {
          const names = text.split(type === 'choice' ? /$^/ : /[,;]/);
          const ids = names.map((each) => namedLike(choices, (choice) => choice.name, each)?.id);
          const gone = ids.indexOf(undefined);
          return gone >= 0
            ? { problem: `There is no “${text.split(/[,;]/)[gone] ?? text}” to choose.` }
            : { value: ids };
        }
        default:
          return { value: text };
      }
    })();
    if ('problem' in made) return made;
    const problem = specProblem(attribute, made.value as SpecValue);
    return problem ? { problem } : made;
  };
  return {
    key: `spec ${id}`,
    label: isDouble ? `${name} (${sheet.name})` : name,
    of: 'product',
    width: 120,
    isNumber: type === 'number' || type === 'range',
    valueOf: ({ specs }) => specs[id],
    show: (value) => specWords(attribute, value as SpecValue | undefined),
    read,
    canEdit: ({ specSheetId }) => specSheetId === sheet.id,
  };
}

/** Id of the attribute that a column holds; undefined for other columns. */
export const attributeOf = (key: string): string | undefined =>
  key.startsWith('spec ') ? key.slice('spec '.length) : undefined;

const variantWidths: Partial<Record<ColumnName, number>> = { sku: 140, barcode: 125, size: 130 };

/** All columns that a sheet can have: what is of the variant first, since that is what sheets are opened for. */
export function sheetColumns({ brands, categories, tags, sheets }: SheetNames): SheetColumn[] {
  const met = new Map<string, number>();
  for (const { attributes } of sheets) for (const { name } of attributes) met.set(name, (met.get(name) ?? 0) + 1);
  const ofVariant = variantColumns.map(({ name, label, isNumber, show, read }): SheetColumn => ({
    key: `variant ${name}`,
    // The product has the same ones, for those variants that have none of their own.
    label: deliveryColumns.has(name) ? `${label}, own` : label,
    of: 'variant',
    width: variantWidths[name] ?? 90,
    isNumber,
    valueOf: (_product, variant) => variant?.[name],
    show: (value, product) => show(value, product),
    read: (typed, product) => read(typed, product),
    canEdit: ({ kind, unitPricing, isOfParts }) =>
      columnsOf({
        kind,
        unitPricing,
        bundle: isOfParts ? { slots: [], pricing: { how: 'parts', off: 0 } } : null,
      } as never).includes(name),
  }));
  return [
    words('title', 'Title', 220, 200, true),
    ...ofVariant,
    oneOf('status', 'Standing', 105, [
      ['live', 'on the shop'],
      ['draft', 'draft'],
      ['off', 'off the shop'],
    ]),
    oneOf('featured', 'Featured', 75, [
      [true, 'yes'],
      [false, 'no'],
    ]),
    field('brandId', 'Brand', 130, {
      show: (value) => brands.find((brand) => brand.value === value)?.label ?? '',
      read: (typed) => {
        if (typed.trim() === '') return { value: null };
        const found = namedLike(brands, ({ label }) => label, typed);
        return found ? { value: found.value } : { problem: `There is no brand “${typed.trim()}”.` };
      },
    }),
    words('supplier', 'Supplier', 130, 120),
    manyOf('categoryIds', 'Categories', categories, 'category'),
    manyOf('tagIds', 'Tags', tags, 'tag'),
    words('summary', 'Summary', 260, 500),
    oneOf(
      'taxClass',
      'Tax',
      80,
      taxClasses.map((key) => [key, taxClassNames[key].toLowerCase()]),
    ),
    field('weight', 'Weight', 85, {
      isNumber: true,
      show: (value) => (typeof value === 'number' ? weightWords(value) : ''),
      read: readWeight,
      canEdit: delivered,
    }),
    field('size', 'Package size', 130, {
      show: (value) => packageWords(value as PackageSize | null),
      read: readSize,
      canEdit: delivered,
    }),
    { ...words('packageType', 'Package type', 110, 80), canEdit: delivered },
    field('dispatchDays', 'Days to dispatch', 95, { isNumber: true, read: readWholeOrNone, canEdit: delivered }),
    words('metaTitle', 'Meta title', 180, 200),
    words('metaDescription', 'Meta description', 220, 500),
    oneOf('noindex', 'Search engines', 105, [
      [false, 'may list it'],
      [true, 'kept out'],
    ]),
    ...sheets.flatMap((sheet) =>
      sheet.attributes.map((attribute) => specColumn(sheet, attribute, met.get(attribute.name)! > 1)),
    ),
  ];
}

export const usualSheetColumns: readonly string[] = [
  'variant sku',
  'variant price',
  'variant salePrice',
  'variant cost',
  'variant stock',
  'status',
  'brandId',
  'supplier',
  'tagIds',
];
