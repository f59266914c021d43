import { Router, type Request, type RequestHandler, type Response } from 'express';
import { refusals } from '../shared/refusals';
import { problemTypes, type Problem } from '../../contract/problem';
import type { SellingPage } from '../../core/storefront/selling-pages';
import { suggest } from '../../core/storefront/suggest';
import { groupPath } from '../../core/shop/open-groups';
import type { ResolvedShop } from '../../core/shop/resolved-shop';
import { renderShop, type ShopAssets } from '../../shop/render';
import { signedIn } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { publishedAt } from '../store/redirects';
import { notFound, ProblemError } from '../shared/problem';
import { framed, missingPage, pageData, type PageRequest } from './page-data';

export interface StorefrontParts {
  catalog: Catalog;
  assets: ShopAssets;
  /** where the shop is at the moment: canonical addresses are never taken from what a request says */
  originNow: () => string;
}

/** Where the working copy is shown, and where it is shown as it will be at a moment to come. */
const PREVIEWS = ['/preview', '/preview/on/:moment'];

/** Which shop a request sees, and what stands before the paths of its links. */
interface Seen {
  shop: ResolvedShop;
  base: string;
  isPreview: boolean;
}

/** The shop that an address of the preview shows: as it is now, or as it will be at a moment. */
function previewed({ working }: Catalog, moment: string | undefined): Seen {
  if (moment === undefined) return { shop: working.shop, base: '/preview', isPreview: true };
  const at = Date.parse(moment);
  if (Number.isNaN(at)) throw notFound(refusals.nothingHere);
  return { shop: working.later(Math.floor(at / 1_000)), base: `/preview/on/${moment}`, isPreview: true };
}

function wantsJson(request: Request): boolean {
  return request.accepts(['text/html', 'application/json']) === 'application/json';
}

/** The address without the base; a part that cannot be read as a path is left as it is. */
function requestOf(request: Request, base: string, origin: string): PageRequest {
  const url = request.originalUrl.slice(base.length) || '/';
  return {
    path: decodeURIComponent(url.split('?')[0]!),
    query: request.query,
    url,
    base,
    origin,
  };
}

/** A forward holds for now: no browser is to keep it, since the address may be given to something again. */
function forward(response: Response, to: string): void {
  response.set('Cache-Control', 'no-cache').redirect(301, to);
}

function send(parts: StorefrontParts, seen: Seen, request: Request, response: Response): void {
  const { catalog, assets, originNow } = parts;
  const { shop, base, isPreview } = seen;
  const asked = requestOf(request, base, originNow());
  const search = asked.url.includes('?') ? asked.url.slice(asked.url.indexOf('?')) : '';
  if (asked.path.length > 1 && asked.path.endsWith('/')) {
    const path = asked.url.split('?')[0]!.replace(/\/+$/, '');
    return forward(response, base + path + search);
  }
  const found = pageData(
    {
      shop,
      now: Math.max(catalog.now, shop.now),
      publishedAt: (kind, slug) => publishedAt(catalog.db, kind, slug),
      showsDrafts: isPreview,
    },
    asked,
  );
  if ('forward' in found) return forward(response, base + found.forward + search);
  response.set('Vary', 'Accept').set('Cache-Control', isPreview ? 'no-store' : 'no-cache');
  response.status(found.status);
  if (wantsJson(request)) response.json(found.data);
  else response.type('html').send(renderShop(found.data, assets));
}

/** The storefront: the live shop at "/", and the working copy at "/preview" for those signed in. */
export function storefront(parts: StorefrontParts): Router {
  const router = Router();
  const groups = Object.values(groupPath).map((path) => `/${path}/:slug`);
  const paths = ['/', '/search', '/p/:slug', '/page/:slug', ...groups];
  router.get(
    PREVIEWS.map((base) => `${base}/suggest`),
    signedIn,
    ({ query, params }: Request<{ moment?: string }>, response) => {
      const { shop } = previewed(parts.catalog, params.moment);
      response.set('Cache-Control', 'no-store');
      response.json(suggest(shop, String(query.q ?? '').slice(0, 400), shop.now));
    },
  );
  router.get(
    PREVIEWS.flatMap((base) => [base, ...paths.map((path) => base + path)]),
    signedIn,
    (request: Request<{ moment?: string }>, response) =>
      send(parts, previewed(parts.catalog, request.params.moment), request, response),
  );
  router.get(paths, (request, response) =>
    send(parts, { shop: parts.catalog.live.shop, base: '', isPreview: false }, request, response),
  );
  return router;
}

/** Draws a page that is one shopper's own, such as the basket: in the frame of the live shop, and kept by nobody. */
export function shopPage({ catalog, assets, originNow }: StorefrontParts) {
  return (request: Request, response: Response, page: SellingPage, status = 200): void => {
    const data = framed(catalog.live.shop, requestOf(request, '', originNow()), page);
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
    const asked: PageRequest = { path: '/', query: {}, url: '/', base: '', origin: originNow() };
    return renderShop(missingPage(catalog.live.shop, asked, status, message), assets);
  };
}

/** Answers what nothing else answered. */
export const nothingThere: RequestHandler = () => {
  throw new ProblemError({ type: problemTypes.notFound, title: refusals.nothingHere, status: 404 });
};
