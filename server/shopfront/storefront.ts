import { Router, type Request, type Response } from 'express';
import { problemTypes } from '../../contract/problem';
import { groupPath } from '../../core/placement/open-groups';
import { renderShop, type ShopAssets } from '../../shop/render';
import { sessionOf } from '../api/answer';
import type { Catalog } from '../catalog/catalog';
import { redirectTarget } from '../database/groups';
import { readPriceSpans } from '../database/price-spans';
import { ProblemError } from '../problem';
import { pageData } from './page-data';

interface Source {
  base: '' | '/preview';
  showsDrafts: boolean;
}

function wantsJson(request: Request): boolean {
  return request.accepts(['text/html', 'application/json']) === 'application/json';
}

/** Where the request found the shop; a host that cannot be one is not repeated. */
function originOf(request: Request): string {
  const host = request.get('host') ?? '';
  return /^[a-z0-9.-]+(:\d+)?$/i.test(host) ? `${request.protocol}://${host}` : '';
}

function send(catalog: Catalog, assets: ShopAssets, source: Source, request: Request, response: Response): void {
  const { base, showsDrafts } = source;
  const url = request.originalUrl.slice(base.length) || '/';
  const path = decodeURIComponent(url.split('?')[0]!);
  const found = pageData(
    {
      shop: (base === '' ? catalog.live : catalog.working).shop,
      now: catalog.now,
      redirect: (kind, slug) => redirectTarget(catalog.db, kind, slug),
      priceSpans: (ids) => readPriceSpans(catalog.db, ids),
      showsDrafts,
    },
    { path, query: request.query as Record<string, unknown>, url, base, origin: originOf(request) },
  );
  if ('forward' in found) {
    const query = url.includes('?') ? url.slice(url.indexOf('?')) : '';
    return response.redirect(301, base + found.forward + query);
  }
  response.set('Vary', 'Accept').set('Cache-Control', base === '' ? 'no-cache' : 'no-store');
  response.status(found.page.kind === 'missing' ? 404 : 200);
  if (wantsJson(request)) response.json(found);
  else response.type('html').send(renderShop(found, assets));
}

/** The storefront: the live shop at "/", and the working copy at "/preview" for those signed in. */
export function storefront(catalog: Catalog, assets: ShopAssets): Router {
  const router = Router();
  const groups = Object.values(groupPath).map((path) => `/${path}/:slug`);
  const paths = ['/', '/search', '/p/:slug', '/page/:slug', ...groups];
  router.get(['/preview', ...paths.map((path) => `/preview${path}`)], (request, response) => {
    if (!sessionOf(response))
      throw new ProblemError({ type: problemTypes.signIn, title: 'Please sign in.', status: 401 });
    send(catalog, assets, { base: '/preview', showsDrafts: true }, request, response);
  });
  router.get(paths, (request, response) => send(catalog, assets, { base: '', showsDrafts: false }, request, response));
  return router;
}
