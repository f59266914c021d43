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
import { pictureOfPage, structuredPage } from './structured-page';
import { ShopApp } from './shop-app';

export interface ShopAssets {
  scripts: readonly string[];
  /** scripts that those above are made of */
  shared: readonly string[];
  styles: readonly string[];
  /** scripts that each part of the shop is made of, beside those above */
  parts: Readonly<Partial<Record<PartName, readonly string[]>>>;
  /** by family: its style sheet, and the letters that a page needs at once */
  families: Readonly<Partial<Record<Family, { style: string; letters: string }>>>;
}

/** For a storefront of which nothing was built: its pages are read without style or script. */
export const noAssets: ShopAssets = { scripts: [], shared: [], styles: [], parts: {}, families: {} };

function descriptionOf({ shop, page }: ShopData): string {
  if (page.kind === 'product') return page.product.meta.description;
  if (page.kind === 'page') return page.page.meta.description || shop.tagline;
  return page.kind === 'listing' ? page.meta.description || page.text : shop.tagline;
}

/** Filtered, sorted, searched and further pages are for people, not for search engines. */
function isForSearchEngines({ base, url, page }: ShopData): boolean {
  return (
    base === '' &&
    (page.kind === 'page' || page.kind === 'product' || page.kind === 'listing') &&
    !(page.kind === 'product' && page.product.meta.noindex) &&
    !(page.kind === 'listing' && page.meta.noindex) &&
    !(page.kind === 'page' && page.page.meta.noindex) &&
    (!url.includes('?') || page.kind === 'product') &&
    !url.startsWith('/search')
  );
}

/** JSON that can stand inside a script element. */
const scriptJson = (value: unknown) => JSON.stringify(value).replace(/</g, '\\u003c');

/** What is shown where somebody shares a link to the page. */
function cardOfPage(data: ShopData): string {
  const { kind } = data.page;
  if (data.base !== '' || !(kind === 'page' || kind === 'product' || kind === 'listing')) return '';
  const picture = pictureOfPage(data) ?? (data.shop.shared && sharedUrl(data.shop.shared.media));
  const told: [property: string, content: string | undefined][] = [
    ['og:site_name', data.shop.name],
    ['og:type', data.page.kind === 'product' ? 'product' : 'website'],
    ['og:title', titleOf(data)],
    ['og:description', descriptionOf(data)],
    ['og:url', data.origin + data.url.split('?')[0]!],
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
  const json = scriptJson(data);
  const letters = familiesOf(data.shop.look).flatMap((family) => assets.families[family] ?? []);
  return `<!doctype html>
<html lang="${escapeHtml(data.shop.locale)}"${styleOf(data.shop.look)}>
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(titleOf(data))}</title>
<meta name="description" content="${escapeHtml(descriptionOf(data))}">
${isForSearchEngines(data) ? `<link rel="canonical" href="${escapeHtml(data.origin + data.url.split('?')[0]!)}">` : '<meta name="robots" content="noindex">'}
${cardOfPage(data)}
${iconsOf(data)}
${assets.styles.map((href) => `<link rel="stylesheet" href="${href}">`).join('\n')}
${letters.map(({ style, letters: href }) => `<link rel="stylesheet" href="${style}">\n<link rel="preload" href="${href}" as="font" type="font/woff2" crossorigin>`).join('\n')}
${[...new Set([...assets.shared, ...partsOf(data.page).flatMap((name) => assets.parts[name] ?? [])])]
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
