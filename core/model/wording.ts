/** What has texts that are translated: documents, options of all goods by their key, and the fixed words of the shop. */
export const wordedKinds = [
  'product',
  'category',
  'collection',
  'brand',
  'tag',
  'option',
  'specSheet',
  'page',
  'chosenListing',
  'menu',
  'offer',
  'embed',
  'settings',
  'words',
] as const;
export type WordedKind = (typeof wordedKinds)[number];

/** A text in another language, with the hash of the text that it was made from. */
export interface TranslatedText {
  text: string;
  of: string;
}

/** The texts of one thing in one language, by where they stand in it. */
export interface Wording {
  locale: string;
  kind: WordedKind;
  id: string;
  texts: Readonly<Record<string, TranslatedText>>;
}

/** Key of a wording among all. */
export const wordingKey = ({ locale, kind, id }: Pick<Wording, 'locale' | 'kind' | 'id'>): string =>
  `${locale}/${kind}/${id}`;

/** What a key speaks of. */
export function wordingOfKey(key: string): Pick<Wording, 'locale' | 'kind' | 'id'> {
  const [locale = '', kind = '', ...rest] = key.split('/');
  return { locale, kind: kind as WordedKind, id: rest.join('/') };
}

/** Id of what a shop has one of. */
export const THE_ONE = 'shop';

/**
 * Where a text is in one language. missing: nobody has translated it; draft: the drafting helper has, and nobody has looked;
 * changed: it was translated, and its source is another since; same: it stays as it is, which is fine for names; done.
 */
export const textStates = ['missing', 'draft', 'changed', 'same', 'done'] as const;
export type TextState = (typeof textStates)[number];
