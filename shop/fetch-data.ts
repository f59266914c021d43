import type { ShopData } from './data';

/** Says that nobody looks at the page yet. */
const FORESEEN = 'X-Dispona-Foreseen';

/** Says that somebody looks at a page that was asked for before, so that it is counted. Nobody waits for it. */
export const tellShown = (url: string): void =>
  void fetch(url, { method: 'HEAD', headers: { Accept: 'application/json' }, keepalive: true }).catch(() => undefined);

/** The data of a page instead of its HTML: the same address, asked for as JSON. */
export async function fetchShopData(url: string, signal?: AbortSignal, isForeseen = false): Promise<ShopData> {
  const headers = { Accept: 'application/json', ...(isForeseen && { [FORESEEN]: '1' }) };
  const response = await fetch(url, { headers, signal });
  if (!response.headers.get('content-type')?.startsWith('application/json')) throw new Error(`No data at ${url}`);
  return (await response.json()) as ShopData;
}
