import { columnOf, fieldWords, namesOf, type Field, type Fields, type Told } from '../../core/model/fields';
import { productFields, relationFields } from '../../core/model/product-fields';
import { groupFields } from '../../core/model/group-fields';
import { variantFields } from '../../core/model/variant-fields';
import { plainVariantColumns } from './products';

/** Fields of a product in words, as labels of changes and the history tell them. */
export const productWords = { ...fieldWords(productFields), ...fieldWords(relationFields) };
export const variantWords = fieldWords(variantFields);

/** Column of each field of a variant; its stock stands in a table of its own. */
export const variantColumn = (name: keyof typeof variantWords): string =>
  name === 'stock' ? 'count' : plainVariantColumns[name].column;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** A column of a table that the history tells: what it is called, and how its values are told. */
export interface ToldColumn {
  words: string;
  told: Told;
}

const toldOf = ({ told, column }: Field): Told =>
  told ?? (column === 'flag' ? 'yes or no' : column === 'json' ? 'changed' : 'text');

const toldColumns = (fields: Fields): Record<string, ToldColumn> =>
  Object.fromEntries(
    namesOf(fields, ({ column }) => column !== 'own table').map((name) => [
      columnOf(name),
      { words: capital(fields[name]!.words), told: toldOf(fields[name]!) },
    ]),
  );

/** Table → its columns that the history tells. */
const tables: Readonly<Record<string, Readonly<Record<string, ToldColumn>>>> = {
  product: { ...toldColumns(productFields), ...toldColumns(relationFields) },
  variant: toldColumns(variantFields),
  // Stock stands in a table of its own.
  stock: { count: { words: capital(variantWords.stock), told: 'text' } },
  category: toldColumns(groupFields.category),
  collection: toldColumns(groupFields.collection),
  brand: toldColumns(groupFields.brand),
  tag: toldColumns(groupFields.tag),
  picture: { alt: { words: 'Alt text', told: 'text' }, fit: { words: 'Fills or fits', told: 'text' } },
};
const name: ToldColumn = { words: 'Name', told: 'text' };

/** What the history tells of a column; undefined for what is only inner workings. */
export function toldColumn(table: string, column: string): ToldColumn | undefined {
  const found = tables[table] ? tables[table][column] : column === 'name' ? name : undefined;
  return found?.told === 'not at all' ? undefined : found;
}
