/** What is no page, and so has one address in all languages. */
const FILES = /^\/(?:media|files|downloads|cards)\//;

/** HTML whose links to pages of the shop come after `base`, such as “/de”, unless they do already. */
export const htmlAfter = (html: string, base: string): string =>
  base === ''
    ? html
    : html.replace(/\bhref="(\/(?!\/)[^"]*)"/g, (whole, url: string) =>
        FILES.test(url) || url === base || url.startsWith(`${base}/`)
          ? whole
          : `href="${base}${url === '/' ? '' : url}"`,
      );

/** HTML whose addresses on the same site are whole ones, so that it can stand anywhere; `base`: before those of pages. */
export const absoluteHtml = (html: string, origin: string, base = ''): string =>
  htmlAfter(html, base).replace(/\b(src|href)="\/(?!\/)/g, `$1="${origin}/`);
