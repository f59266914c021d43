import { z } from 'zod';
import { chosenListingSchema } from '../model/chosen-listing';
import { embedSchema } from '../model/embed';
import { brandSchema, categorySchema, collectionSchema } from '../model/group';
import { menuSchema } from '../model/menu';
import { offerSchema } from '../model/offer';
import { pageSchema } from '../model/page';
import { productSchema } from '../model/product';
import { settingsSchema } from '../model/settings';
import { specSheetSchema } from '../model/spec-sheet';
import { translatable } from '../model/translatable';
import type { TranslatedText, WordedKind, Wording } from '../model/wording';
import { fixedWordsSchema } from './fixed/fixed-words';
import { textHash } from './text-hash';
import { textPlan, visitTexts, withTexts, type FoundText, type TextPlan } from './text-plan';

/** An option of all goods that have one of its name, with its values by their keys: translated once for all of them. */
const wordedOptionSchema = z.object({
  name: translatable(z.string(), 'option'),
  values: z.record(z.string(), translatable(z.string(), 'value of an option')),
});

/** The shape of each thing that has texts. */
const schemas: Record<WordedKind, z.ZodType> = {
  // Options are translated for all goods together.
  product: productSchema.omit({ options: true }),
  category: categorySchema,
  collection: collectionSchema,
  brand: brandSchema,
  tag: brandSchema,
  option: wordedOptionSchema,
  specSheet: specSheetSchema,
  page: pageSchema,
  chosenListing: chosenListingSchema,
  menu: menuSchema,
  offer: offerSchema,
  embed: embedSchema,
  settings: settingsSchema,
  words: fixedWordsSchema,
};

const planOf = (kind: WordedKind): TextPlan => textPlan(schemas[kind])!;

/** Amounts, sizes and days read the same in every language. */
const HAS_LETTERS = /\p{L}/u;

/** What is known of a language's names: brands and the shop itself are called the same everywhere. */
const isNameOf = (kind: WordedKind, path: string) => kind === 'brand' && path === 'name';

const rankOf = (path: string) => (/^(?:title|name)$/.test(path) ? 0 : path.endsWith('.alt') ? 2 : 1);

/** All texts of a thing that can be translated. Those of a name that stays as it is everywhere are marked as optional. */
export function textsOf(kind: WordedKind, body: unknown): FoundText[] {
  const found: FoundText[] = [];
  visitTexts(planOf(kind), body, (text) => {
    if (!HAS_LETTERS.test(text.text)) return;
    found.push(isNameOf(kind, text.path) ? { ...text, mark: { ...text.mark, optional: true } } : text);
  });
  // As a reader comes upon them: names first, words of pictures last.
  return found.sort((a, b) => rankOf(a.path) - rankOf(b.path));
}

const PLACE = /(?<=\.)\d+(?=\.|$)/g;
const withoutPlaces = (path: string) => path.replace(PLACE, '#');

/**
 * Finds the translation of a text. Where things in a list have no id, the one that was made from the same text counts before
 * the one that stands at the same place, so that a list may be put in another order.
 */
export function translationFinder(
  texts: Readonly<Record<string, TranslatedText>>,
): (path: string, text: string) => TranslatedText | undefined {
  let byPattern: Map<string, TranslatedText> | undefined;
  const moved = (pattern: string, of: string) => {
    byPattern ??= new Map(
      Object.entries(texts).map(([path, each]) => [`${withoutPlaces(path)} ${each.of}`, each] as const),
    );
    return byPattern.get(`${pattern} ${of}`);
  };
  return (path, text) => {
    const here = texts[path];
    const pattern = withoutPlaces(path);
    if (pattern === path) return here;
    const of = textHash(text);
    return here?.of === of ? here : (moved(pattern, of) ?? here);
  };
}

/** A thing with its texts in another language; those that have no translation stay. Nothing is changed in place. O(texts). */
export function inWording<T>(kind: WordedKind, body: T, { texts }: Pick<Wording, 'texts'>): T {
  const find = translationFinder(texts);
  return withTexts(planOf(kind), body, ({ path, text }) => (text === '' ? undefined : find(path, text)?.text));
}
