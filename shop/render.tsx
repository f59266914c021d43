import { renderToString } from 'react-dom/server';
import './all-parts';
import type { ShopData } from './data';
import { partsOf, type PartName } from './parts';
import { familiesOf, lookProperties } from '../core/look/properties';
import { usualLook, type Look } from '../core/model/look';
import { type Family } from '../core/model/look-choices';
import { iconSizes, iconUrl, sharedSize, sharedUrl } from '../core/storefront/picture-sizes';
import { escapeHtml } from '../core/shared/escape-html';
import { titleOf } from './page-title';
import { cardPath } from '../core/storefront/made-card';
import { cardOf } from './made-card';
import { mediaOfPage, structuredPage } from './structured-page';
import { ShopApp } from './shop-app';
import { addressIn } from '../core/storefront/languages';
import { pageCatalog } from '../core/languages/fixed/fixed-words';
import { languagePart } from '../core/shared/language-part';
import { speak } from './tongue';

export interface ShopAssets {
  scripts: readonly string[];
  /** scripts that those above are made of */
  shared: readonly string[];
  styles: readonly string[];
  /** scripts that each part of the shop is made of, beside those above */
  parts: Readonly<Partial<Record<PartName, readonly string[]>>>;
  /** by the beginning of a locale: the script with its fixed words */
  catalogs: Readonly<Record<string, readonly string[] | undefined>>;
  /** by family: its style sheet, and the letters that a page needs at once */
  families: Readonly<Partial<Record<Family, { style: string; letters: string }>>>;
}

/** For a storefront of which nothing was built: its pages are read without style or script. */
export const noAssets: ShopAssets = { scripts: [], shared: [], styles: [], parts: {}, catalogs: {}, families: {} };

function descriptionOf({ shop, page }: ShopData): string {
  if (page.kind === 'product') return page.product.meta.description;
  if (page.kind === 'page') return page.page.meta.description || shop.tagline;
  return page.kind === 'listing' ? page.meta.description || page.text : shop.tagline;
}

/** Filtered, sorted, searched and further pages are for people, not for search engines. */
function isForSearchEngines({ isPreview, url, page }: ShopData): boolean {
  return (
    !isPreview &&
    (page.kind === 'page' || page.kind === 'product' || page.kind === 'listing') &&
    !(page.kind === 'product' && page.product.meta.noindex) &&
    !(page.kind === 'listing' && page.meta.noindex) &&
    !(page.kind === 'page' && page.page.meta.noindex) &&
    (!url.includes('?') || page.kind === 'product' || (page.kind === 'listing' && page.canonical !== undefined)) &&
    !url.startsWith('/search')
  );
}

const pathOf = ({ url, page }: ShopData) => (page.kind === 'listing' && page.canonical) || url.split('?')[0]!;

/** The one address of a page, whatever it is narrowed or sorted by. */
const canonicalOf = (data: ShopData) => data.origin + addressIn(data.base, pathOf(data));

/** The same page in each language, and the one for everybody else: the main one. */
function alternatesOf({ origin, languages = [] }: ShopData): string[] {
  const link = (locale: string, url: string) =>
    `<link rel="alternate" hreflang="${escapeHtml(locale)}" href="${escapeHtml(origin + url.split('?')[0]!)}">`;
  const [main] = languages;
  return main ? [...languages.map(({ locale, url }) => link(locale, url)), link('x-default', main.url)] : [];
}

/** JSON that can stand inside a script element. */
const scriptJson = (value: unknown) => JSON.stringify(value).replace(/</g, '\\u003c');

/** What is shown where somebody shares a link to the page. */
function cardOfPage(data: ShopData): string {
  const { kind } = data.page;
  if (data.isPreview || !(kind === 'page' || kind === 'product' || kind === 'listing')) return '';
  const card = cardOf(data);
  const media = mediaOfPage(data) ?? data.shop.shared?.media;
  const picture = card ? data.base + cardPath(pathOf(data), card) : media && sharedUrl(media);
  const told: [property: string, content: string | undefined][] = [
    ['og:site_name', data.shop.name],
    ['og:type', data.page.kind === 'product' ? 'product' : 'website'],
    ['og:title', titleOf(data)],
    ['og:description', descriptionOf(data)],
    ['og:url', canonicalOf(data)],
    ['og:locale', data.shop.locale.replace('-', '_')],
    ['og:image', picture && data.origin + picture],
    ['og:image:width', picture && String(sharedSize.width)],
    ['og:image:height', picture && String(sharedSize.height)],
  ];
  const tags = told.flatMap(([property, content]) =>
    content ? [`<meta property="${property}" content="${escapeHtml(content)}">`] : [],
  );
  return [...tags, `<meta name="twitter:card" content="${picture ? 'summary_large_image' : 'summary'}">`].join('\n');
}

/** What browsers and phones show for the shop: made of its own picture, or a plain drawing. */
function iconsOf({ shop: { icon } }: ShopData): string {
  if (!icon) return '<link rel="icon" href="/favicon.svg" type="image/svg+xml">';
  return iconSizes
    .map(
      (size) =>
        `<link rel="${size === 180 ? 'apple-touch-icon' : 'icon'}" type="image/png" sizes="${size}x${size}" href="${iconUrl(icon.media, size)}">`,
    )
    .join('\n');
}

/** What a look changes of the usual one, as an attribute of the page: its first paint has the right look. */
function styleOf(look: Look): string {
  const usual: Readonly<Record<string, string>> = lookProperties(usualLook);
  const own = Object.entries(lookProperties(look)).filter(([name, value]) => usual[name] !== value);
  return own.length === 0 ? '' : ` style="${escapeHtml(own.map(([name, value]) => `${name}:${value}`).join(';'))}"`;
}

/** A whole HTML page of the storefront. */
export function renderShop(data: ShopData, assets: ShopAssets): string {
  speak(data.shop.locale, pageCatalog(data.shop.locale), data.shop.words, data.isPreview ? '' : data.base);
  const json = scriptJson(data);
  const letters = familiesOf(data.shop.look).flatMap((family) => assets.families[family] ?? []);
  return `<!doctype html>
<html lang="${escapeHtml(data.shop.locale)}"${styleOf(data.shop.look)}>
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(titleOf(data))}</title>
<meta name="description" content="${escapeHtml(descriptionOf(data))}">
${isForSearchEngines(data) ? [`<link rel="canonical" href="${escapeHtml(canonicalOf(data))}">`, ...alternatesOf(data)].join('\n') : '<meta name="robots" content="noindex">'}
${cardOfPage(data)}
${iconsOf(data)}
${assets.styles.map((href) => `<link rel="stylesheet" href="${href}">`).join('\n')}
${letters.map(({ style, letters: href }) => `<link rel="stylesheet" href="${style}">\n<link rel="preload" href="${href}" as="font" type="font/woff2" crossorigin>`).join('\n')}
${[
  ...new Set([
    ...assets.shared,
    ...(assets.catalogs[languagePart(data.shop.locale)] ?? []),
    ...partsOf(data.page).flatMap((name) => assets.parts[name] ?? []),
  ]),
]
  .map((href) => `<link rel="modulepreload" href="${href}" fetchpriority="low">`)
  .join('\n')}
</head>
<body>
<div id="shop">${renderToString(<ShopApp initial={data} />)}</div>
<script type="application/json" id="shop-data">${json}</script>
${structuredPage(data)
  .map((each) => `<script type="application/ld+json">${scriptJson(each)}</script>`)
  .join('\n')}
${assets.scripts.map((src) => `<script type="module" src="${src}"></script>`).join('\n')}
</body>
</html>`;
}
