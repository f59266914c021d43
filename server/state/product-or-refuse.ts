import type { Product } from '../../core/model/product';
import { notFound } from '../shared/problem';
import type { Catalog } from './catalog';

/** Who writes, for the journal. */
export type UserId = string | null;

export function productOrRefuse(catalog: Catalog, id: string): Product {
  const product = catalog.working.products.get(id);
  if (!product) throw notFound('This product does not exist any more.');
  return product;
}
