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

const kept = new WeakMap<Catalog, { edition: string; version: number; shop: ResolvedShop }>();

/**
 * The shop as an edition had it, or as a planned one will make it (by its number, or the id of the plan), with the stock and
 * at the moment of now. The last one that was asked for is kept while the live shop stays as it is.
 */
export function shopOfEdition(catalog: Catalog, edition: string): Shop {
  const { live } = catalog;
  if (edition === String(live.edition)) return live.shop;
  const known = kept.get(catalog);
  if (known?.edition === edition && known.version === live.shop.version) return known.shop;
  const documents = differences(catalog, edition);
  const { stock, sales } = live.shop.inputs;
  const shop = new ResolvedShop({ stock, sales, now: live.shop.now });
  shop.copyFrom(live.shop);
  shop.take({ documents });
  kept.set(catalog, { edition, version: live.shop.version, shop });
  return shop;
}
