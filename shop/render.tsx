import { renderToString } from 'react-dom/server';
import type { ShopData } from './data';
import { structuredProduct } from './product/structured-data';
import { ShopApp } from './shop-app';

export interface ShopAssets {
  scripts: readonly string[];
  styles: readonly string[];
}

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escapeText = (text: string) => text.replace(/[&<>"]/g, (letter) => escapes[letter]!);

function titleOf({ shop, page }: ShopData): string {
  switch (page.kind) {
    case 'page':
      return (
        page.page.meta.title ||
        (page.page.home ? [shop.name, shop.tagline].filter(Boolean).join(' · ') : `${page.page.title} · ${shop.name}`)
      );
    case 'listing':
      return page.meta.title || `${page.title} · ${shop.name}`;
    case 'product':
      return page.product.meta.title;
    case 'missing':
      return `${page.heading} · ${shop.name}`;
  }
}

function descriptionOf({ shop, page }: ShopData): string {
  if (page.kind === 'product') return page.product.meta.description;
  if (page.kind === 'page') return page.page.meta.description || shop.tagline;
  return page.kind === 'listing' ? page.meta.description || page.text : shop.tagline;
}

/** Filtered, sorted, searched and further pages are for people, not for search engines. */
function isForSearchEngines({ base, url, page }: ShopData): boolean {
  return (
    base === '' &&
    page.kind !== 'missing' &&
    !(page.kind === 'product' && page.product.meta.noindex) &&
    !(page.kind === 'listing' && page.meta.noindex) &&
    !(page.kind === 'page' && page.page.meta.noindex) &&
    (!url.includes('?') || page.kind === 'product') &&
    !url.startsWith('/search')
  );
}

/** JSON that can stand inside a script element. */
const scriptJson = (value: unknown) => JSON.stringify(value).replace(/</g, '\\u003c');

/** A whole HTML page of the storefront. */
export function renderShop(data: ShopData, assets: ShopAssets): string {
  const json = scriptJson(data);
  const { page } = data;
  return `<!doctype html>
<html lang="${escapeText(data.shop.locale)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeText(titleOf(data))}</title>
<meta name="description" content="${escapeText(descriptionOf(data))}">
${isForSearchEngines(data) ? `<link rel="canonical" href="${escapeText(data.origin + data.url.split('?')[0]!)}">` : '<meta name="robots" content="noindex">'}
<link rel="icon" href="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 32 32'%3E%3Cpath d='M16 2 28 14 16 30 4 14Z' fill='%2312364a'/%3E%3Cpath d='M16 2v28L4 14Z' fill='%230d6470'/%3E%3C/svg%3E">
${assets.styles.map((href) => `<link rel="stylesheet" href="${href}">`).join('\n')}
</head>
<body>
<div id="shop">${renderToString(<ShopApp initial={data} />)}</div>
<script type="application/json" id="shop-data">${json}</script>
${page.kind === 'product' ? `<script type="application/ld+json">${scriptJson(structuredProduct(page.product, data.origin))}</script>` : ''}
${assets.scripts.map((src) => `<script type="module" src="${src}"></script>`).join('\n')}
</body>
</html>`;
}
