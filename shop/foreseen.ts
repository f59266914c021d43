import type { ShopData } from './data';
import { fetchShopData, tellShown } from './fetch-data';
import { loadParts } from './load-parts';

/** So long a page that was asked for before it was wanted is still fresh enough to be shown. */
const FRESH_MS = 15_000;
const MOST = 30;

const asked = new Map<string, { at: number; data: Promise<ShopData> }>();

const savesData = () =>
  (navigator as Navigator & { connection?: { saveData?: boolean } }).connection?.saveData === true;

async function load(address: string, isForeseen = false): Promise<ShopData> {
  const data = await fetchShopData(address, undefined, isForeseen);
  await loadParts(data.page);
  return data;
}

/** Asks for a page that is likely wanted next: somebody points at a link to it. Not for those who save data. */
export function foresee(address: string): void {
  if (savesData()) return;
  const known = asked.get(address);
  if (known && Date.now() - known.at < FRESH_MS) return;
  const data = load(address, true);
  asked.delete(address);
  asked.set(address, { at: Date.now(), data });
  data.catch(() => asked.delete(address));
  if (asked.size > MOST) asked.delete(asked.keys().next().value!);
}

/** Something changed: what was foreseen is not shown any more. */
export const forgetForeseen = (): void => asked.clear();

/** The data of a page with all that it is drawn from; at once where it was foreseen. */
export function pageAt(address: string): Promise<ShopData> {
  const known = asked.get(address);
  asked.delete(address);
  if (!known || Date.now() - known.at >= FRESH_MS) return load(address);
  tellShown(address);
  return known.data;
}
