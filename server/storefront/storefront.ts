import { Router, type Request, type RequestHandler, type Response } from 'express';
import { refusals } from '../shared/refusals';
import { problemTypes, type Problem } from '../../contract/problem';
import type { AddressedKind } from '../../core/model/document';
import { CARDS, pageOfCard } from '../../core/storefront/made-card';
import type { SellingPage } from '../../core/storefront/selling-pages';
import { suggest } from '../../core/storefront/suggest';
import { CHOSEN_PATH } from '../../core/model/chosen-listing';
import { groupPath } from '../../core/shop/open-groups';
import type { Shop } from '../../core/shop/shop';
import { linkView, targetAt } from '../../core/storefront/pages/targets';
import type { PageData, ShopData } from '../../shop/data';
import { shopOfEdition } from '../state/edition-shop';
import { countedWords, isRobot } from '../state/shopper-counts';
import { cardOf } from '../../shop/made-card';
import { renderShop, type ShopAssets } from '../../shop/render';
import { signedIn } from '../http/answer';
import { cardFile } from '../media/made-cards';
import type { Catalog } from '../state/catalog';
import { publishedAt } from '../store/redirects';
import { notFound, ProblemError } from '../shared/problem';
import { forwardAt, framed, missingPage, pageData, type PageRequest } from './page-data';
import { addressIn, languageBase } from '../../core/storefront/languages';
import { liveShopOf, spokenIn } from '../state/spoken';

export interface StorefrontParts {
  catalog: Catalog;
  assets: ShopAssets;
  /** where the shop is at the moment: canonical addresses are never taken from what a request says */
  originNow: () => string;
}

/** Where the working copy is shown, where it is shown as it will be at a moment to come, and where another edition is, or was then. */
const PREVIEWS = [
  '/preview',
  '/preview/on/:moment',
  '/preview/edition/:edition',
  '/preview/edition/:edition/on/:moment',
];

/** What an address of the preview may say beside the page. */
interface Looked {
  [part: string]: unknown;
  moment?: string;
  edition?: string;
}

const rootOf = ({ moment, edition }: Looked): string => {
  const shown = edition === undefined ? '/preview' : `/preview/edition/${edition}`;
  return moment === undefined ? shown : `${shown}/on/${moment}`;
};

/** Which shop a request sees, and whether it is the working copy. */
interface Seen {
  shop: Shop;
  isPreview: boolean;
}

/** The shop that an address of the preview shows: as it is now, as it will be at a moment, or as an edition has it. */
function previewed(catalog: Catalog, { moment, edition }: Looked, response: Response): Seen {
  const { working } = catalog;
  const { locale } = spokenIn(response);
  const at = moment === undefined ? undefined : Math.floor(Date.parse(moment) / 1_000);
  if (Number.isNaN(at)) throw notFound(refusals.nothingHere);
  const shop = () => {
    if (edition !== undefined) return shopOfEdition(catalog, edition, at).main;
    return at === undefined ? working.shop : working.later(at);
  };
  return { shop: shop().inLanguage(locale, true), isPreview: true };
}

function wantsJson(request: Pick<Request, 'accepts'>): boolean {
  return request.accepts(['text/html', 'application/json']) === 'application/json';
}

/** The address without what stands before it; a part that cannot be read as a path is left as it is. */
function requestOf<P>(request: Request<P>, root: string, origin: string, isPreview = false): PageRequest {
  const { locale } = spokenIn(request.res!);
  const base = locale === undefined ? root : `${root}/${locale}`;
  const rest = request.originalUrl.slice(base.length);
  const url = rest.startsWith('/') ? rest : `/${rest}`;
  return {
    path: decodeURIComponent(url.split('?')[0]!),
    query: request.query,
    url,
    base,
    root,
    origin,
    isPreview,
  };
}

/** An address of the shop behind what stands before it; others as they are. */
const absolute = (base: string, url: string) => (url.startsWith('/') ? addressIn(base, url) : url);

/** A forward holds for now: no browser is to keep it, since the address may be given to something again. */
function forward(response: Response, to: string): void {
  response.set('Cache-Control', 'no-cache').redirect(301, to);
}

/** Where a search leads at once, by the seller's wish; undefined where it is searched. */
function leadOf(shop: Shop, { path, query }: PageRequest): string | undefined {
  const { leads } = shop.settings.searches;
  if (path !== '/search' || leads.length === 0) return undefined;
  const words = countedWords(String(query.q ?? ''));
  const lead = leads.find((each) => each.locale === shop.settings.locale && each.words === words);
  return lead && linkView(shop, lead.to, '')?.url;
}

/** The words of the search that a page was opened from. */
function searchBefore(request: Pick<Request, 'get'>, base: string): string | undefined {
  const from = request.get('referer');
  if (from === undefined || !URL.canParse(from)) return undefined;
  const { pathname, searchParams } = new URL(from);
  return pathname === `${base}/search` ? (searchParams.get('q') ?? undefined) : undefined;
}

/** Does a visit begin here? Nobody is known again: who comes from outside the shop begins one. */
function isEntry(request: Pick<Request, 'get'>): boolean {
  const from = request.get('referer');
  return from === undefined || !URL.canParse(from) || new URL(from).host !== request.get('host');
}

/** The place of the shop from which a page was opened; `outside` for who came from elsewhere. */
function placeBefore(shop: Shop, request: Pick<Request, 'get'>, base: string): [kind: string, id: string] {
  if (isEntry(request)) return ['outside', ''];
  const { pathname } = new URL(request.get('referer')!);
  const path = pathname.startsWith(`${base}/`) ? pathname.slice(base.length) : pathname;
  if (path === '/search') return ['search', ''];
  const target = targetAt(shop, path);
  return target ? [target.kind, target.id] : ['elsewhere', ''];
}

/** What a page is counted as: the thing it is of, or its part of the shop. */
function viewedAs(shop: Shop, path: string, page: PageData): [kind: string, id: string] {
  const target = targetAt(shop, path);
  return target ? [target.kind, target.id] : [page.kind === 'listing' && page.q !== null ? 'search' : page.kind, ''];
}

/** Counts what shoppers look for: searches, what they open of what was found, and addresses of nothing. */
function noteLookedFor(
  { counts, now, clock }: Catalog,
  shop: Shop,
  request: Pick<Request, 'get'>,
  { path, query, base }: PageRequest,
  { status, data: { page } }: { status: number; data: ShopData },
): void {
  if (isRobot(request.get('user-agent')) || request.get('x-dispona-foreseen') !== undefined) return;
  const { locale } = shop.settings;
  if (status === 200) counts.viewed(...viewedAs(shop, path, page), isEntry(request), now);
  if (status === 404) counts.missed(base + path, clock().toISOString());
  else if (page.kind === 'listing' && page.q && query.page === undefined)
    counts.searched(locale, page.q, page.listing.total, now);
  else if (page.kind === 'product') {
    const words = searchBefore(request, base);
    if (words !== undefined) counts.opened(locale, words, page.product.id);
    counts.met(page.product.id, placeBefore(shop, request, base), now);
  }
}

const pageSources = (catalog: Catalog, shop: Shop, isPreview: boolean) => ({
  shop,
  // A preview may be of a day that has passed.
  now: isPreview ? shop.now : Math.max(catalog.now, shop.now),
  publishedAt: (kind: AddressedKind, slug: string) => publishedAt(catalog.db, kind, slug),
  showsDrafts: isPreview,
});

function send<P extends Looked>(parts: StorefrontParts, seen: Seen, request: Request<P>, response: Response): void {
  const { catalog, assets, originNow } = parts;
  const { shop, isPreview } = seen;
  const root = isPreview ? rootOf(request.params) : '';
  const asked = requestOf(request, root, originNow(), isPreview);
  const { base } = asked;
  const search = asked.url.includes('?') ? asked.url.slice(asked.url.indexOf('?')) : '';
  if (asked.path.length > 1 && asked.path.endsWith('/')) {
    const path = asked.url.split('?')[0]!.replace(/\/+$/, '');
    return forward(response, base + path + search);
  }
  const lead = isPreview ? undefined : leadOf(shop, asked);
  if (lead !== undefined) return void response.set('Cache-Control', 'no-cache').redirect(302, absolute(base, lead));
  const found = pageData(pageSources(catalog, shop, isPreview), asked);
  if ('forward' in found) return forward(response, absolute(base, found.forward) + search);
  if (!isPreview) noteLookedFor(catalog, shop, request, asked, found);
  response.set('Vary', 'Accept').set('Cache-Control', isPreview ? 'no-store' : 'no-cache');
  response.status(found.status);
  if (wantsJson(request)) response.json(found.data);
  else response.type('html').send(renderShop(found.data, assets));
}

/** The storefront: the live shop at "/", and the working copy at "/preview" for those signed in. */
export function storefront(parts: StorefrontParts): Router {
  const router = Router();
  const groups = Object.values(groupPath).map((path) => `/${path}/:slug`);
  const paths = ['/', '/search', '/p/:slug', '/page/:slug', `/${CHOSEN_PATH}/:slug`, ...groups];
  router.get(
    PREVIEWS.map((base) => `${base}/suggest`),
    signedIn,
    ({ query, params }: Request<Looked>, response) => {
      const { shop } = previewed(parts.catalog, params, response);
      response.set('Cache-Control', 'no-store');
      response.json(suggest(shop, String(query.q ?? '').slice(0, 400), shop.now));
    },
  );
  router.get(
    PREVIEWS.flatMap((base) => [base, ...paths.map((path) => base + path)]),
    signedIn,
    (request: Request<Looked>, response) =>
      send(parts, previewed(parts.catalog, request.params, response), request, response),
  );
  router.get(paths, (request, response) =>
    send(parts, { shop: liveShopOf(parts.catalog, response), isPreview: false }, request, response),
  );
  router.get(`${CARDS}/*path`, async (request, response) => {
    const shop = liveShopOf(parts.catalog, response);
    const path = pageOfCard(decodeURIComponent(request.path));
    const asked = { ...requestOf(request, '', parts.originNow()), query: {}, path: path ?? '', url: path ?? '' };
    const found = path === undefined ? undefined : pageData(pageSources(parts.catalog, shop, false), asked);
    const card = found && 'data' in found && found.status === 200 ? cardOf(found.data) : undefined;
    const file = card && (await cardFile(parts.catalog.mediaFolder, card));
    if (file === undefined) throw notFound(refusals.noSuchPicture);
    response.set('Cross-Origin-Resource-Policy', 'cross-origin').sendFile(file, { maxAge: '1d', dotfiles: 'allow' });
  });
  // Paths of any other form stood in another shop once, or somebody mistyped them.
  router.get('/*path', (request, response, next) => {
    const shop = liveShopOf(parts.catalog, response);
    const found = parts.catalog.live.edition > 0 ? forwardAt(shop, decodeURIComponent(request.path)) : undefined;
    if (!found) {
      const isAsked = request.accepts(['text/html', 'application/json']) === 'text/html';
      if (isAsked && !isRobot(request.get('user-agent')) && !FOR_PROGRAMS.test(request.path))
        parts.catalog.counts.missed(request.path, parts.catalog.clock().toISOString());
      return next();
    }
    send(parts, { shop, isPreview: false }, request, response);
  });
  return router;
}

/** Draws a page that is one shopper's own, such as the basket: in the frame of the live shop, and kept by nobody. */
export function shopPage({ catalog, assets, originNow }: StorefrontParts) {
  return (request: Request, response: Response, page: SellingPage, status = 200): void => {
    const data = framed(liveShopOf(catalog, response), requestOf(request, '', originNow()), page);
    response.status(status).set('Vary', 'Accept').set('Cache-Control', 'no-store');
    if (wantsJson(request)) response.json(data);
    else response.type('html').send(renderShop(data, assets));
  };
}

/** Addresses that programs ask, which are answered in their language. */
const FOR_PROGRAMS = /^\/(api|shop-api|healthz|media|assets|desk)(\/|$)/;

/** The page that tells a browser why it gets nothing; undefined for who rather reads problem details. */
export function problemPage({ catalog, assets, originNow }: StorefrontParts) {
  return (request: Request, { status, title, errors }: Problem): string | undefined => {
    const isOfPage = request.method === 'GET' || request.method === 'HEAD' || request.is('urlencoded') !== false;
    if (!isOfPage || FOR_PROGRAMS.test(request.path) || wantsJson(request)) return undefined;
    const message = errors?.[0]?.message ?? title;
    const shop = liveShopOf(catalog, request.res!);
    const origin = originNow();
    const base = languageBase(shop);
    const asked: PageRequest = { path: '/', query: {}, url: '/', base, root: '', origin, isPreview: false };
    return renderShop(missingPage(shop, asked, status, message), assets);
  };
}

/** Answers what nothing else answered. */
export const nothingThere: RequestHandler = () => {
  throw new ProblemError({ type: problemTypes.notFound, title: refusals.nothingHere, status: 404 });
};
