import type { RequestHandler, Response } from 'express';
import type { Shop } from '../../core/shop/shop';
import type { Catalog } from './catalog';

/** In which language a page is asked for, and what stood before its path. */
export interface Spoken {
  /** before all addresses: nothing, or that of a preview */
  root: string;
  /** undefined for the main language */
  locale: string | undefined;
}

const PREVIEW = '(?:/preview(?:/edition/[^/?]+)?(?:/on/[^/?]+)?)?';
const ADDRESS = new RegExp(`^(${PREVIEW})/([a-z]{2,3}(?:-[a-z0-9]{2,8})*)(?=[/?]|$)`);
/** Of sellers and programs, who are answered in English. */
const FOR_SELLERS = /^\/(?:api|desk|preview)(?:\/|$)/;
/** What is no page of the shop has no language. */
const NO_PAGE = /^\/(?:desk|api|media|assets|healthz|preview|embed|feeds?)(?:\/|$)/;

/**
 * Takes the language off the front of an address, "/de/p/tern" or "/preview/de/p/tern", so that whoever answers need not
 * know of languages. Shoppers meet those that are on; the preview also those that the seller is still at.
 */
export function takeLanguage(catalog: Catalog): RequestHandler {
  return (request, response, next) => {
    const found = ADDRESS.exec(request.url);
    const [whole = '', root = '', locale = ''] = found ?? [];
    const rest = request.url.slice(whole.length);
    const { others } = (root === '' ? catalog.live : catalog.working).shop.settings.languages;
    const isSpoken = others.some((each) => each.locale === locale && (each.isOn || root !== ''));
    if (found && isSpoken && !NO_PAGE.test(rest)) {
      request.url = root + (rest.startsWith('/') ? rest : root === '' ? `/${rest}` : rest);
      response.locals.spoken = { root, locale } satisfies Spoken;
    }
    // What a shopper is refused with is worded where nobody knows who asks, and said again in the language of the page.
    if (!FOR_SELLERS.test(request.url)) response.locals.say = liveShopOf(catalog, response).say;
    next();
  };
}

/** The language of a request. */
export const spokenIn = (response: Response): Spoken =>
  (response.locals.spoken as Spoken | undefined) ?? { root: '', locale: undefined };

/** What stands before the addresses of pages that shoppers of this request meet: "/de". */
export const baseOf = (response: Response): string => {
  const { root, locale } = spokenIn(response);
  return locale === undefined ? root : `${root}/${locale}`;
};

/** The live shop in the language of a request. */
export const liveShopOf = ({ live }: Pick<Catalog, 'live'>, response: Response): Shop =>
  live.shop.inLanguage(spokenIn(response).locale);
