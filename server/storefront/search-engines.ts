import { Router } from 'express';
import { XMLBuilder } from 'fast-xml-parser';
import { cachedByVersion } from '../../core/shop/cached-by-version';
import { frameView } from '../../core/storefront/frame-view';
import { addressIn, languageBase } from '../../core/storefront/languages';
import { iconUrl } from '../../core/storefront/picture-sizes';
import { sitemapEntries, type SitemapEntry } from '../../core/storefront/search-engines';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { liveSince } from '../store/editions';

/** Addresses in one file; the standard allows 50,000. */
const IN_ONE = 20_000;

const xml = new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true });
const head = { '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' } };
const SITEMAP = 'http://www.sitemaps.org/schemas/sitemap/0.9';

/** A page in one language, with its address in each. */
interface LanguageEntry extends SitemapEntry {
  alternates: { locale: string; url: string }[];
}

function urlset(entries: readonly LanguageEntry[], since: ReadonlyMap<string, string>, origin: string): string {
  return xml.build({
    ...head,
    urlset: {
      '@_xmlns': SITEMAP,
      '@_xmlns:xhtml': 'http://www.w3.org/1999/xhtml',
      '@_xmlns:image': 'http://www.google.com/schemas/sitemap-image/1.1',
      url: entries.map(({ kind, id, url, pictures, alternates }) => {
        const lastmod = since.get(`${kind}:${id}`);
        return {
          loc: origin + url,
          ...(lastmod && { lastmod }),
          ...(alternates.length > 0 && {
            'xhtml:link': alternates.map(({ locale, url: href }) => ({
              '@_rel': 'alternate',
              '@_hreflang': locale,
              '@_href': origin + href,
            })),
          }),
          'image:image': pictures.map((picture) => ({ 'image:loc': origin + picture })),
        };
      }),
    },
  });
}

/** The pages of every language that is on the shop, each of which names all others. O(pages · languages). */
const entriesOf = cachedByVersion((shop): LanguageEntry[] => {
  const { main } = shop;
  const others = main.settings.languages.others.filter(({ isOn }) => isOn);
  const told = [main, ...others.map(({ locale }) => main.inLanguage(locale))].map((each) => ({
    locale: each.settings.locale,
    entries: new Map(
      sitemapEntries(each).map((entry) => [
        `${entry.kind}:${entry.id}`,
        { ...entry, url: addressIn(languageBase(each), entry.url) },
      ]),
    ),
  }));
  return told.flatMap(({ entries }) =>
    [...entries].map(([key, entry]) => ({
      ...entry,
      alternates:
        told.length < 2
          ? []
          : told.flatMap(({ locale, entries: all }) => {
              const there = all.get(key);
              return there ? [{ locale, url: there.url }] : [];
            }),
    })),
  );
});

const ICON = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><path d="M16 2 28 14 16 30 4 14Z" fill="#12364a"/><path d="M16 2v28L4 14Z" fill="#0d6470"/></svg>`;

/** What search engines are told of the live shop: what they may read, and every page that they may show. */
export function searchEngines(catalog: Catalog, originNow: () => string): Router {
  const router = Router();
  const isOpen = () => catalog.live.edition > 0;
  router.get('/robots.txt', (_request, response) => {
    response.type('text/plain').set('Cache-Control', 'no-cache');
    response.send(
      isOpen()
        ? `User-agent: *\nDisallow: /desk\nDisallow: /preview\nDisallow: /api/\nDisallow: /shop-api/\nDisallow: /search\n\nSitemap: ${originNow()}/sitemap.xml\n`
        : 'User-agent: *\nDisallow: /\n',
    );
  });
  router.get('/sitemap.xml', (_request, response) => {
    if (!isOpen()) throw notFound(refusals.nothingHere);
    const entries = entriesOf(catalog.live.shop);
    const parts = Math.ceil(entries.length / IN_ONE);
    response.type('application/xml').set('Cache-Control', 'no-cache');
    response.send(
      parts <= 1
        ? urlset(entries, liveSince(catalog.db), originNow())
        : xml.build({
            ...head,
            sitemapindex: {
              '@_xmlns': SITEMAP,
              sitemap: Array.from({ length: parts }, (_, i) => ({ loc: `${originNow()}/sitemap-${i + 1}.xml` })),
            },
          }),
    );
  });
  router.get('/sitemap-:part.xml', (request, response) => {
    const part = Number(request.params.part);
    const entries = entriesOf(catalog.live.shop).slice((part - 1) * IN_ONE, part * IN_ONE);
    if (!isOpen() || !Number.isInteger(part) || part < 1 || entries.length === 0) throw notFound(refusals.nothingHere);
    response.type('application/xml').set('Cache-Control', 'no-cache');
    response.send(urlset(entries, liveSince(catalog.db), originNow()));
  });
  router.get(['/favicon.svg', '/favicon.ico'], ({ path }, response) => {
    const { icon } = frameView(catalog.live.shop);
    if (icon && path === '/favicon.ico') return response.redirect(302, iconUrl(icon.media, 48));
    response.type('image/svg+xml').set('Cache-Control', 'public, max-age=86400').send(ICON);
  });
  return router;
}
