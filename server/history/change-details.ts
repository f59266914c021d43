import { formatMoney } from '../../core/shared/money';
import { momentWords } from '../../core/shared/moment';
import { plainText } from '../../core/shared/plain-text';
import { orderOfText } from '../../core/model/order';
import { type SpecValue } from '../../core/model/spec-sheet';
import { specWords } from '../../core/products/spec-values';
import type { Status } from '../../core/model/product-values';
import { statusWords } from '../../core/products/status';
import { weightWords } from '../../core/shared/units';
import { variantName } from '../../core/products/variants';
import { titles } from '../../core/publishing/group-words';
import { orderOf } from '../../core/shop/arrangement';
import type { Rule } from '../../core/model/rule';
import { sentenceOf } from '../../core/rules/text/sentence';
import type { Told } from '../../core/model/fields';
import type { ChangeWithDetails } from '../../contract/history';
import type { JournalRow } from '../database/journal';
import type { Catalog } from '../state/catalog';
import { toldColumn } from '../store/field-words';

type Detail = ChangeWithDetails['details'][number];
type Cells = Record<string, unknown>;

/** Rows of these tables are things with a name of their own. */
const namedTables: Record<string, string> = {
  category: 'Category',
  collection: 'Collection',
  brand: 'Brand',
  tag: 'Tag',
  page: 'Page',
  view: 'View',
  spec_sheet: 'Spec sheet',
  option_list: 'Option list',
};

/** One value of a column in words. */
function cellWords({ working: { shop } }: Catalog, told: Told, value: unknown): string {
  if (value === null || value === undefined || value === '') return '';
  const text = String(value);
  switch (told) {
    case 'money':
      return formatMoney(Number(value), shop.settings.currency);
    case 'moment':
      return momentWords(text, shop.settings.timeZone);
    case 'yes or no':
      return value === 1 ? 'yes' : 'no';
    case 'category':
      return shop.categories.get(text)?.name ?? 'a deleted category';
    case 'brand':
      return shop.brands.get(text)?.name ?? 'a deleted brand';
    case 'spec sheet':
      return shop.specSheets.get(text)?.name ?? 'a deleted spec sheet';
    case 'source':
      return value === 'rule' ? 'by rule' : 'by hand';
    case 'rule':
      return sentenceOf(JSON.parse(text) as Rule, shop.fields, shop.settings.currency);
    case 'order':
      return orderOf(shop, orderOfText(text));
    case 'products':
      return titles(shop, JSON.parse(text) as string[]);
    case 'status':
      return statusWords[value as Status];
    case 'weight':
      return weightWords(Number(value));
    default: {
      const plain = plainText(text);
      return plain.length > 120 ? `${plain.slice(0, 117)}…` : plain;
    }
  }
}

/** What of the specs of a product became another, attribute by attribute. */
function specDetails(catalog: Catalog, of: string, before: Cells, after: Cells): Detail[] {
  const sheet = catalog.working.shop.specSheets.get(String(after.spec_sheet_id ?? before.spec_sheet_id ?? ''));
  const specs = (cells: Cells) => JSON.parse(String(cells.specs ?? '{}')) as Record<string, SpecValue>;
  const [was, is] = [specs(before), specs(after)];
  return (sheet?.attributes ?? []).flatMap((attribute) => {
    const words = (of: Record<string, SpecValue>) => specWords(attribute, of[attribute.id]);
    return words(was) === words(is) ? [] : [{ of, label: attribute.name, before: words(was), after: words(is) }];
  });
}

/** What a row says of where it belongs: the product's title, or the name of the thing itself. */
function ownerOf(catalog: Catalog, { tableName }: JournalRow, cells: Cells): string {
  const { shop } = catalog.working;
  if (tableName === 'product') return String(cells.title);
  const productId = String(cells.product_id ?? '');
  if (productId) return shop.products.get(productId)?.title ?? 'a deleted product';
  return String(cells.name ?? cells.title ?? '');
}

/** What one row's change means to a reader; nothing for what is only inner workings. */
function rowDetails(catalog: Catalog, row: JournalRow): Detail[] {
  const { tableName, before, after } = row;
  const cells = after ?? before!;
  const of = ownerOf(catalog, row, cells);
  const { shop } = catalog.working;
  const cameOrWent = (label: string, words: string): Detail[] => [
    { of, label, before: before ? words : '', after: after ? words : '' },
  ];
  if (!before || !after) {
    if (tableName === 'product') return cameOrWent('Product', String(cells.title));
    if (tableName === 'product_category')
      return cameOrWent('Category', shop.categories.get(String(cells.category_id))?.name ?? 'a deleted category');
    if (tableName === 'product_tag')
      return cameOrWent('Tag', shop.tags.get(String(cells.tag_id))?.name ?? 'a deleted tag');
    if (tableName === 'collection_product')
      return cameOrWent('In the collection', shop.products.get(String(cells.product_id))?.title ?? 'a deleted product');
    const named = namedTables[tableName];
    return named ? cameOrWent(named, String(cells.name ?? cells.title)) : [];
  }
  const isOfVariant = tableName === 'variant' || tableName === 'stock';
  const product = isOfVariant ? catalog.working.products.get(String(cells.product_id)) : undefined;
  const variant = product?.variants.find(({ id }) => id === (cells.variant_id ?? cells.id));
  const name = variant ? variantName(product!.options, variant) : '';
  const changed = Object.keys(after).filter((column) => before[column] !== after[column]);
  return changed.flatMap((column): Detail[] => {
    if (column === 'specs') return specDetails(catalog, of, before, after);
    const found = toldColumn(tableName, column);
    if (!found) return [];
    const { words, told } = found;
    const isOpaque = told === 'changed';
    return [
      {
        of,
        label: name ? `${words}, ${name}` : words,
        before: isOpaque ? '' : cellWords(catalog, told, before[column]),
        after: isOpaque ? 'changed' : cellWords(catalog, told, after[column]),
      },
    ];
  });
}

/** Rows of one change that are looked at; of a change of thousands the first ones tell enough. */
const MOST_ROWS = 400;

/** What a change did, in words: of one subject, or of all with each detail naming whose it is. */
export function detailsOf(
  catalog: Catalog,
  changeId: number,
  subject: string | undefined,
  most: number,
): Pick<ChangeWithDetails, 'details' | 'more'> {
  const rows = catalog.journal.rowsOf(changeId, subject, MOST_ROWS);
  const all = rows.flatMap((row) => rowDetails(catalog, row));
  const details = subject === undefined ? all : all.map((detail) => ({ ...detail, of: '' }));
  const unread = rows.length === MOST_ROWS ? catalog.journal.sizeOf(changeId) - MOST_ROWS : 0;
  return { details: details.slice(0, most), more: Math.max(0, details.length - most) + Math.max(0, unread) };
}
