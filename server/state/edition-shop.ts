import { ResolvedShop } from '../../core/shop/resolved-shop';
import type { Shop } from '../../core/shop/shop';
import type { DocumentUpdate } from '../../core/shop/shop-inputs';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { listEditions, readEditionChanges, type EditionRow } from '../store/editions';
import { readPlanned } from '../store/planned';
import type { Catalog } from './catalog';

export function editionOrRefuse({ db }: Catalog, number: number): EditionRow {
  const found = listEditions(db, 1, number)[0];
  if (found?.number !== number) throw notFound(refusals.noSuchEdition);
  return found;
}

/** What an edition has, or a planned one will have, otherwise than the live shop. */
function differences(catalog: Catalog, edition: string): DocumentUpdate[] {
  const planned = readPlanned(catalog.db).find(({ id }) => id === edition);
  if (planned) {
    const { put, gone } = catalog.plannedContent(planned);
    return [...put, ...gone.map((each) => ({ ...each, body: undefined }))];
  }
  if (!/^\d{1,9}$/.test(edition)) throw notFound(refusals.noSuchEdition);
  return readEditionChanges(catalog.db, editionOrRefuse(catalog, Number(edition)).number);
}

const kept = new WeakMap<Catalog, { key: string; version: number; shop: ResolvedShop }>();

/**
 * The shop as an edition had it, or as a planned one will make it (by its number, or the id of the plan), at a moment (seconds
 * since 1970): with the offers, sales and days of that moment, and the stock of now. The last one that was asked for is kept while
 * the live shop stays as it is.
 */
export function shopOfEdition(catalog: Catalog, edition: string, moment = catalog.live.shop.now): Shop {
  const { live } = catalog;
  const isLive = edition === String(live.edition);
  if (isLive && moment === live.shop.now) return live.shop;
  // The clock of now goes on with the version; a moment that was asked for does not.
  const key = moment === live.shop.now ? edition : `${edition} ${moment}`;
  const known = kept.get(catalog);
  if (known?.key === key && known.version === live.shop.version) return known.shop;
  const documents = isLive ? [] : differences(catalog, edition);
  const { stock, sales } = live.shop.inputs;
  const shop = new ResolvedShop({ stock, sales, now: live.shop.now });
  shop.copyFrom(live.shop);
  shop.take({ documents, now: moment });
  kept.set(catalog, { key, version: live.shop.version, shop });
  return shop;
}
