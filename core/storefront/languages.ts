import { languageName } from '../model/languages';
import type { Shop } from '../shop/shop';
import { targetAt, targetLink } from './pages/targets';

/** A language that a page can be read in. */
export interface LanguageLink {
  locale: string;
  /** as it calls itself */
  name: string;
  /** address of the page in it, as it stands in the browser */
  url: string;
  isHere: boolean;
}

/** Filters whose values are named by the addresses of groups, which differ by language. */
const namedByAddress = ['category', 'brand'] as const;

/** The address of a page in another language: its thing under the address that it has there, narrowed by the same filters. */
export function urlIn(from: Shop, to: Shop, url: string): string {
  const [path = '/', search = ''] = url.split('?');
  const target = targetAt(from, path);
  const at = target ? (targetLink(to, target)?.url ?? '/') : path;
  const query = new URLSearchParams(search);
  query.delete('v');
  for (const kind of namedByAddress) {
    const slugs = query.getAll(`f.${kind}`);
    query.delete(`f.${kind}`);
    for (const slug of slugs) {
      const group = (kind === 'category' ? to.categories : to.brands).get(from.bySlug(kind, slug) ?? '');
      if (group) query.append(`f.${kind}`, group.slug);
    }
  }
  const text = query.toString();
  return text === '' ? at : `${at}?${text}`;
}

/** What stands before the addresses of a language: nothing for the main one. */
export const languageBase = (shop: Shop): string =>
  shop.settings.locale === shop.main.settings.locale ? '' : `/${shop.settings.locale}`;

/** The shop in a language that shoppers meet, and in its main one where that is not on, with what stands before its addresses. */
export function toldIn({ main }: Shop, locale = ''): { shop: Shop; base: string } {
  const isOn = main.settings.languages.others.some((each) => each.locale === locale && each.isOn);
  const shop = isOn ? main.inLanguage(locale) : main;
  return { shop, base: languageBase(shop) };
}

/** An address after what stands before all of its language; the home page of another language has no slash at its end. */
export const addressIn = (base: string, url: string): string =>
  base === '' || !/^\/(?:$|\?)/.test(url) ? base + url : base + url.slice(1);

/**
 * The languages of the shop with the address of this page in each, the main one first; none where there is but one. `root`
 * stands before all addresses. `all`: also those that shoppers do not meet yet.
 */
export function languageLinks(shop: Shop, url: string, root: string, all: boolean): LanguageLink[] {
  const { main } = shop;
  const others = main.settings.languages.others.filter(({ isOn }) => isOn || all);
  if (others.length === 0) return [];
  return [main.settings.locale, ...others.map(({ locale }) => locale)].map((locale) => {
    const to = main.inLanguage(locale, all);
    return {
      locale,
      name: languageName(locale),
      url: addressIn(root + languageBase(to), urlIn(shop, to, url)),
      isHere: locale === shop.settings.locale,
    };
  });
}
