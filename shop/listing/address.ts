/** What the address of a listing says, as the filter column changes it. Values are those of the shop API. */
export interface ListingAddress {
  path: string;
  params: URLSearchParams;
}

function readAddress(url: string): ListingAddress {
  const [path = '/', query = ''] = url.split('?');
  return { path, params: new URLSearchParams(query) };
}

/** Commas stay readable: /c/kites?f.colourway=ember,pine */
function writeAddress({ path, params }: ListingAddress): string {
  const query = params.toString().replace(/%2C/g, ',');
  return query ? `${path}?${query}` : path;
}

/** The address after `change`, back on its first page. */
function changed(url: string, change: (params: URLSearchParams) => void): string {
  const address = readAddress(url);
  change(address.params);
  address.params.delete('page');
  return writeAddress(address);
}

export function withValue(url: string, facet: string, value: string, isChosen: boolean): string {
  return changed(url, (params) => {
    const key = `f.${facet}`;
    const values = new Set(valuesOf(params, facet));
    if (isChosen) values.add(value);
    else values.delete(value);
    if (values.size > 0) params.set(key, [...values].join(','));
    else params.delete(key);
  });
}

/** The values of a facet that are chosen in an address: after one another, or, from a form without script, each by itself. */
const valuesOf = (params: URLSearchParams, facet: string): string[] =>
  params.getAll(`f.${facet}`).join(',').split(',').filter(Boolean);

/** The parameters of an address that a form sends along: all but pages and those that `isOwn` tells. */
export const kept = (url: string, isOwn: (name: string) => boolean): [name: string, value: string][] =>
  [...readAddress(url).params].filter(([name]) => name !== 'page' && !isOwn(name));

/** The path of an address, to which forms lead. */
export const pathOf = (url: string): string => readAddress(url).path;

/** Is a value of a facet chosen in this address? */
export const isChosen = (url: string, facet: string, value: string): boolean =>
  valuesOf(readAddress(url).params, facet).includes(value);

/** The sort that an address asks for; undefined where it leaves that open. */
export const sortOf = (url: string): string | undefined => readAddress(url).params.get('sort') ?? undefined;

/** How many filters are chosen, each value by itself. */
export const filterCount = (url: string): number =>
  [...readAddress(url).params].reduce(
    (sum, [key, value]) => sum + (key.startsWith('f.') ? (value.includes('..') ? 1 : value.split(',').length) : 0),
    0,
  );

/** Bounds of a filter in numbers, in its unit; null takes the filter away, an infinite end stays open. */
export function withSpan(url: string, facet: string, span: { min: number; max: number } | null): string {
  const end = (x: number) => (Number.isFinite(x) ? String(x) : '');
  return changed(url, (params) => {
    params.delete(`f.${facet}.from`);
    params.delete(`f.${facet}.to`);
    if (span) params.set(`f.${facet}`, `${end(span.min)}..${end(span.max)}`);
    else params.delete(`f.${facet}`);
  });
}

export function withSort(url: string, sort: string): string {
  return changed(url, (params) => params.set('sort', sort));
}

export function withPage(url: string, page: number): string {
  const address = readAddress(url);
  if (page > 1) address.params.set('page', String(page));
  else address.params.delete('page');
  return writeAddress(address);
}

export function withoutFilters(url: string): string {
  return changed(url, (params) => {
    for (const key of [...params.keys()]) if (key.startsWith('f.')) params.delete(key);
  });
}

export const hasFilters = (url: string): boolean =>
  [...readAddress(url).params.keys()].some((key) => key.startsWith('f.'));
