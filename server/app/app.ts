import compression from 'compression';
import { parseCookie } from 'cookie';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import type { Logger } from 'pino';
import type { ShopAssets } from '../../shop/render';
import { bringBackApi, type BringBackParts } from '../backups/bring-back';
import { Backups } from '../backups/kept';
import { backupsApi } from '../backups/routes';
import { bulkApi } from '../bulk/routes';
import { historyApi } from '../history/routes';
import { presenceApi } from '../people/presence-routes';
import { peopleApi } from '../people/routes';
import { elsewhereApi } from '../elsewhere/routes';
import { searchedApi } from '../languages/searched-routes';
import { languagesApi } from '../languages/routes';
import { serveElsewhere } from '../elsewhere/serve';
import { exchangeApi } from '../exchange/routes';
import { pricesApi } from '../prices/routes';
import { todayApi } from '../today/routes';
import { looseEndsApi } from '../loose-ends/routes';
import { publishingApi } from '../publishing/routes';
import { makerApi } from '../suppliers/maker-routes';
import { suppliersApi } from '../suppliers/routes';
import { setUpApi } from '../set-up/routes';
import { ordersApi } from '../orders/routes';
import { searchApi } from '../search/routes';
import { letIn } from '../http/answer';
import { answerErrors } from '../http/errors';
import { eventsApi } from './events';
import { filesApi } from '../products/file-routes';
import { goodsApi } from '../products/routes';
import { groupsApi } from '../groups/routes';
import { listsApi } from '../products/list-routes';
import { shopfrontApi } from '../pages/routes';
import { viewsApi } from '../search/view-routes';
import type { Catalog } from '../state/catalog';
import { serveFiles } from '../media/serve-files';
import { serveFilms } from '../media/serve-films';
import { originOf } from '../storefront/origin';
import { searchEngines } from '../storefront/search-engines';
import { servePictures } from '../media/serve-pictures';
import { scopesOfKey } from '../store/api-keys';
import { readSession, SESSION_COOKIE } from '../people/sign-in';
import { shopApi } from '../storefront/shop-api';
import { door } from '../storefront/door';
import { nothingThere, problemPage, shopPage, storefront } from '../storefront/storefront';
import { takeLanguage } from '../state/spoken';

export interface AppParts {
  catalog: Catalog;
  backups?: Backups;
  /** absent where the shop that is served cannot be replaced */
  restore?: BringBackParts['restore'];
  log: Pick<Logger, 'error' | 'warn'>;
  /** scripts and styles of the storefront */
  assets: ShopAssets;
  /** where the shop is for the world, such as https://shop.example */
  origin: string;
  /** what the first person must type to set the shop up; absent where only this machine can be reached */
  setUpCode?: string;
  /** folder with the built desk and shop; absent while Vite serves the desk */
  dist?: string;
}

/** Scripts only from here; styles set by script (dragging, floating menus, toasts) only on the desk. */
function protect(isDesk: boolean, isSecure: boolean): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        baseUri: ["'self'"],
        objectSrc: ["'none'"],
        frameAncestors: ["'self'"],
        formAction: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        styleSrc: isDesk ? ["'self'", "'unsafe-inline'"] : ["'self'"],
        ...(isDesk ? {} : { styleSrcAttr: ["'unsafe-inline'"] }),
      },
    },
    // Pages of the shop tell each other where a shopper came from, and nobody else.
    referrerPolicy: { policy: 'same-origin' },
    xFrameOptions: { action: 'sameorigin' },
    strictTransportSecurity: isSecure ? { maxAge: 31_536_000, includeSubDomains: false } : false,
  });
}

/** Everything that is text but event streams, which must go out at once. */
const isText: compression.CompressionFilter = (request, response) =>
  response.getHeader('Content-Type') !== 'text/event-stream' && compression.filter(request, response);

/** The whole HTTP application. */
export function makeApp({
  catalog,
  backups = new Backups(catalog),
  restore,
  log,
  assets,
  origin,
  setUpCode,
  dist,
}: AppParts): Express {
  const app = express();
  app.set('query parser', 'simple');
  app.set('etag', 'weak');
  app.disable('x-powered-by');
  app.locals.writes = catalog.writes;
  const isSecure = origin.startsWith('https:');
  // Behind a proxy on this machine or in its own network, that one says who asks.
  app.set('trust proxy', isSecure ? 'loopback, uniquelocal' : false);
  const [deskPolicy, shopPolicy] = [protect(true, isSecure), protect(false, isSecure)];
  app.use((request, response, next) =>
    (/^\/desk(\/|$)/.test(request.path) ? deskPolicy : shopPolicy)(request, response, next),
  );
  app.use(compression({ filter: isText }));
  if (dist)
    for (const [address, files] of [
      ['/assets', 'assets'],
      ['/desk/files', 'desk/files'],
    ] as const)
      app.use(address, express.static(join(dist, files), { immutable: true, maxAge: '1y', index: false }));
  app.use((request, response, next) => {
    const token = parseCookie(request.headers.cookie ?? '')[SESSION_COOKIE];
    response.locals.sessionToken = token;
    letIn(response, readSession(catalog.db, token, catalog.clock()));
    const key = /^Bearer (\S{8,100})$/.exec(request.headers.authorization ?? '')?.[1];
    if (key !== undefined)
      response.locals.scopes = scopesOfKey(catalog.db, key, catalog.clock(), catalog.writes.isIdle) ?? [];
    catalog.passTime();
    next();
  });
  const lastBackup = async () => (await backups.list())[0]?.at ?? null;
  app.use(takeLanguage(catalog));
  const parts = { catalog, assets, originNow: () => originOf(catalog, origin) };
  app.use(door({ ...parts, isSecure }));
  app.use(servePictures(catalog.db, catalog.mediaFolder));
  app.use(serveFilms(catalog.folder));
  app.use(shopApi(catalog));
  app.use(
    peopleApi({ catalog, isSecure, setUpCode, log }),
    presenceApi(catalog),
    searchApi(catalog),
    bulkApi(catalog),
    goodsApi(catalog),
    filesApi(catalog),
    listsApi(catalog),
    groupsApi(catalog),
    shopfrontApi(catalog),
    viewsApi(catalog),
    historyApi(catalog),
    publishingApi(catalog),
    looseEndsApi(catalog, lastBackup),
    todayApi(catalog, lastBackup),
    eventsApi(catalog),
    ordersApi({ catalog, isSecure, originNow: parts.originNow, show: shopPage(parts) }),
    pricesApi(catalog),
    exchangeApi(catalog),
    backupsApi(catalog, backups),
    elsewhereApi(catalog, parts.originNow),
    languagesApi(catalog),
    searchedApi(catalog, parts.originNow),
    setUpApi(catalog),
    suppliersApi(catalog),
    makerApi(catalog),
  );
  if (restore) app.use(bringBackApi({ catalog, setUpCode, restore }));
  if (dist)
    app.get(['/desk', '/desk/*path'], (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile(join(dist, 'desk', 'index.html'));
    });
  app.use(serveFiles(catalog));
  app.use(serveElsewhere(catalog, parts.originNow, dist));
  app.use(searchEngines(catalog, parts.originNow));
  app.use(storefront(parts));
  app.use(nothingThere);
  app.use(answerErrors((error) => log.error(error), problemPage(parts)));
  return app;
}
