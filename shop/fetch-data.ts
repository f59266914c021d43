import type { ShopData } from './data';

/** The data of a page instead of its HTML: the same address, asked for as JSON. */
export async function fetchShopData(url: string, signal?: AbortSignal): Promise<ShopData> {
  const response = await fetch(url, { headers: { Accept: 'application/json' }, signal });
  if (!response.headers.get('content-type')?.startsWith('application/json')) throw new Error(`No data at ${url}`);
  return (await response.json()) as ShopData;
}
