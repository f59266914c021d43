import { Router, type Response } from 'express';
import { timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { feedRows } from '../../core/feeds/feed-rows';
import { feedFormats } from '../../core/model/feed';
import { localDay } from '../../core/shared/moment';
import { cachedByVersion } from '../../core/shop/cached-by-version';
import { embedView } from '../../core/storefront/embed-view';
import { signedIn } from '../http/answer';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { feedUse, noteFetch } from '../store/feeds';
import { sampleHost, sampleStyle } from './sample-host';
import { writeFeed } from './write-feed';

interface Built {
  /** script that shows goods anywhere */
  embed: string;
  /** script of the page on which sellers see it */
  sample: string;
  /** names of all that was built */
  files: ReadonlySet<string>;
}

/** The scripts that were built; undefined where nothing was. */
function builtScripts(dist: string | undefined): Built | undefined {
  const path = dist && join(dist, 'embed', 'manifest.json');
  if (!path || !existsSync(path)) return undefined;
  const manifest = JSON.parse(readFileSync(path, 'utf8')) as Record<string, { file: string } | undefined>;
  const [embed, sample] = [manifest['shop/embed/embed.tsx'], manifest['shop/embed/sample-host.ts']];
  const files = new Set(Object.values(manifest).flatMap((entry) => entry?.file ?? []));
  return embed && sample && { embed: embed.file, sample: sample.file, files };
}

/** Any page may read this: it is what every shopper sees, and no cookie comes along. */
function forAnyPage(response: Response): Response {
  return response.set({
    'Access-Control-Allow-Origin': '*',
    'Cross-Origin-Resource-Policy': 'cross-origin',
    'X-Content-Type-Options': 'nosniff',
  });
}

/** JSON that can stand inside a script. */
const scriptJson = (value: unknown) =>
  JSON.stringify(value)
    .replace(/</g, '\\u003c')
    .replace(/\u2028/g, '\\u2028')
    .replace(/\u2029/g, '\\u2029');

/** What other sites and services load: goods for their pages, and feeds. */
export function serveElsewhere(catalog: Catalog, originNow: () => string, dist?: string): Router {
  const router = Router();
  const { live } = catalog;
  const scripts = builtScripts(dist);
  const modules = cachedByVersion(() => new Map<string, string>());
  const feeds = cachedByVersion(() => new Map<string, string>());

  router.get('/embed/:file', (request, response, next) => {
    const { file } = request.params;
    if (scripts?.files.has(file)) {
      forAnyPage(response).sendFile(join(dist!, 'embed', file), { immutable: true, maxAge: '1y' });
      return;
    }
    const id = /^(em_[a-z0-9]{6,32})\.js$/.exec(file)?.[1];
    const embed = id === undefined ? undefined : live.shop.embeds.get(id);
    if (!embed) return next();
    const known = modules(live.shop);
    // Goods that take turns are others tomorrow, though nothing was changed.
    const key = `${embed.id} ${localDay(catalog.now * 1_000, live.shop.settings.timeZone)}`;
    let text = known.get(key);
    if (text === undefined) {
      const data = scriptJson(embedView(live.shop, embed));
      text = `import { show } from './${scripts?.embed ?? 'embed.js'}';\nshow(${data});\n`;
      known.set(key, text);
    }
    forAnyPage(response).set('Cache-Control', 'no-cache').type('text/javascript').send(text);
  });

  router.get('/feeds/:id/:file', (request, response) => {
    const { id, file } = request.params;
    const feed = live.shop.feeds.get(id);
    const [secret = '', ending = ''] = file.split('.');
    const wanted = Buffer.from((feed && feedUse(catalog.db, feed.id)?.secret) ?? '');
    const given = Buffer.from(secret);
    const isRight = wanted.length > 0 && given.length === wanted.length && timingSafeEqual(given, wanted);
    if (!feed || !isRight || ending !== feedFormats[feed.format].ending) throw notFound(refusals.nothingHere);
    const known = feeds(live.shop);
    let text = known.get(feed.id);
    if (text === undefined) {
      const origin = originNow();
      text = writeFeed(feed, [...feedRows(live.shop, feed, origin)], live.shop, origin);
      known.set(feed.id, text);
    }
    // While long work holds the database, whoever fetches does not wait for it.
    if (catalog.writes.isIdle) noteFetch(catalog.db, feed.id, catalog.clock().toISOString());
    response.set({ 'Cache-Control': 'no-cache', 'X-Robots-Tag': 'noindex' }).type(feedFormats[feed.format].type);
    response.send(text);
  });

  // A page that stands for one of another site, on which the desk shows goods as they will be.
  router.get('/preview/elsewhere', signedIn, (_request, response) => {
    response
      .set({ 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex' })
      .type('html')
      .send(sampleHost(scripts?.sample));
  });
  router.get('/preview/elsewhere.css', signedIn, (_request, response) => {
    response.set('Cache-Control', 'no-store').type('css').send(sampleStyle);
  });
  return router;
}
