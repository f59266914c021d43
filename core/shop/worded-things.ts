import { fixedWordsFor } from '../languages/fixed/fixed-words';
import { THE_ONE, type WordedKind } from '../model/wording';
import type { Shop } from './shop';

/** What each sort of thing that has texts is called, one and many. */
const wordedKindWords: Readonly<Record<WordedKind, { one: string; many: string }>> = {
  product: { one: 'product', many: 'Products' },
  category: { one: 'category', many: 'Categories' },
  collection: { one: 'collection', many: 'Collections' },
  brand: { one: 'brand', many: 'Brands' },
  tag: { one: 'tag', many: 'Tags' },
  option: { one: 'option', many: 'Options' },
  specSheet: { one: 'spec sheet', many: 'Spec sheets' },
  page: { one: 'page', many: 'Pages' },
  chosenListing: { one: 'listing for search engines', many: 'Listings for search engines' },
  menu: { one: 'menus', many: 'Menus' },
  offer: { one: 'offer', many: 'Offers' },
  embed: { one: 'goods on another site', many: 'Goods on other sites' },
  settings: { one: 'shop', many: 'The shop' },
  words: { one: 'fixed words', many: 'Fixed words' },
};

type Things = ReadonlyMap<string, { title?: string; name?: string }>;

const mapOf = (shop: Shop, kind: WordedKind): Things | undefined =>
  (
    ({
      product: shop.products,
      category: shop.categories,
      collection: shop.collections,
      brand: shop.brands,
      tag: shop.tags,
      specSheet: shop.specSheets,
      page: shop.pages,
      chosenListing: shop.chosen,
      offer: shop.offers,
      embed: shop.embeds,
    }) as Partial<Record<WordedKind, Things>>
  )[kind];

/** The thing whose texts are translated, in the main language; undefined when it is gone. Fixed words need the language that they are wanted in. */
export function wordedBody({ main }: Shop, kind: WordedKind, id: string, locale = main.settings.locale): unknown {
  if (kind === 'menu') return main.menu;
  if (kind === 'settings') return main.settings;
  if (kind === 'words') return { ...fixedWordsFor(main.settings.locale, locale), ...main.ownWords };
  if (kind === 'option') {
    const option = main.options.get(id);
    return option && { name: option.label, values: Object.fromEntries(option.values) };
  }
  return mapOf(main, kind)!.get(id);
}

/** What such a thing is called; the sort of thing where it has no name of its own. */
export function wordedName({ main }: Shop, kind: WordedKind, id: string): string {
  if (kind === 'option') return main.options.get(id)?.label ?? id;
  const thing = mapOf(main, kind)?.get(id);
  const { one } = wordedKindWords[kind];
  return thing?.title ?? thing?.name ?? one.charAt(0).toUpperCase() + one.slice(1);
}

/** Ids of all things of a kind that have texts. */
export function wordedIds({ main }: Shop, kind: WordedKind): string[] {
  if (kind === 'menu' || kind === 'settings' || kind === 'words') return [THE_ONE];
  return kind === 'option' ? [...main.options.keys()] : [...mapOf(main, kind)!.keys()];
}
