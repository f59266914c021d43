/** HTML whose addresses on the same site are whole ones, so that it can stand anywhere. */
export const absoluteHtml = (html: string, origin: string): string =>
  html.replace(/\b(src|href)="\/(?!\/)/g, `$1="${origin}/`);
