import { languagePart } from '../shared/language-part';
import { languageName } from '../model/languages';
import type { Product } from '../model/product';
import { productFields } from '../model/product-fields';
import { markOf } from '../model/translatable';
import type { ExchangeColumn } from './column';

/** What a column is called with a language: "title de", "title (German)", as files of several sorts write it. */
const withLanguage = (name: string, locale: string): string[] =>
  [locale, languagePart(locale), languageName(locale, 'en'), languageName(locale)].flatMap((language) => [
    `${name} ${language}`,
    `${language} ${name}`,
  ]);

/**
 * The column of a text of products in another language; undefined for columns that hold no text that is translated, and for
 * addresses, which follow from titles.
 */
export function wordingColumn(column: ExchangeColumn, locale: string): ExchangeColumn | undefined {
  const { key, field, label, of } = column;
  if (of !== 'product' || !field || !(field in productFields)) return undefined;
  const path = field as keyof typeof productFields;
  const declared = productFields[path];
  const mark = markOf(declared.stored);
  if (!mark || mark.form === 'address') return undefined;
  const schema = 'typed' in declared && declared.typed ? declared.typed : declared.stored;
  return {
    key: `${key} in ${locale}`,
    label: `${label} (${languageName(locale, 'en')})`,
    explains: `The same in ${languageName(locale, 'en')}. Empty where it is not translated.`,
    aliases: [label, ...column.aliases].flatMap((name) => withLanguage(name, locale)),
    of: 'product',
    type: 'text',
    wording: { locale, path },
    write: ({ id }, _variant, { told }) => told(locale, id, path) || null,
    read: (text, { cleanHtml }) => {
      if (text === '') return { value: null };
      const read = schema.safeParse(mark.form === 'html' ? cleanHtml(text) : text);
      return read.success ? { value: read.data } : { problem: read.error.issues[0]!.message };
    },
  };
}

/** The text of a product that a translation is made from. */
export const sourceText = (product: Product, path: keyof Product): string => {
  const text = product[path];
  return typeof text === 'string' ? text : '';
};
