import { textsOf } from '../languages/worded';
import { languageName } from '../model/languages';
import type { ChosenListing } from '../model/chosen-listing';
import type { Forward } from '../model/forward';
import type { Wording } from '../model/wording';
import { plainText } from '../shared/plain-text';
import type { Shop } from '../shop/shop';
import { wordedBody, wordedName } from '../shop/worded-things';
import { chosenUrl, plainUrl } from '../storefront/chosen-listings';
import { linkWords } from '../storefront/pages/targets';

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** What a translation is called in the review: "Harrier delta, in German". */
export const wordingTitle = (shop: Shop, { locale, kind, id }: Wording): string =>
  `${wordedName(shop, kind, id)}, in ${languageName(locale, 'en')}`;

/** The texts of a translation by what each is called. A text that is there no more is told under where it stood. */
export function wordingFields(shop: Shop, { kind, id, texts }: Wording): Map<string, string> {
  const body = wordedBody(shop, kind, id);
  const labels = new Map((body ? textsOf(kind, body) : []).map(({ path, mark }) => [path, mark.words]));
  const told = new Map<string, string>();
  for (const [path, { text }] of Object.entries(texts)) {
    const label = capital(labels.get(path) ?? path);
    told.set(told.has(label) ? `${label} (${path})` : label, plainText(text));
  }
  return told;
}

/** What a reader of the review is told of a listing that was chosen for search engines. */
export const chosenFields = (shop: Shop, chosen: ChosenListing): Map<string, string> =>
  new Map([
    ['Title', chosen.title],
    ['Address', chosenUrl(chosen)],
    ['Listing', plainUrl(shop, chosen)],
    ['Text', chosen.text],
    ['Meta title', chosen.metaTitle],
    ['Meta description', chosen.metaDescription],
    ['Picture', chosen.picture?.media ?? ''],
  ]);

export const forwardFields = (shop: Shop, { to }: Forward): Map<string, string> =>
  new Map([['Leads to', to === null ? 'nothing: gone for good' : linkWords(shop, to)]]);
