import { refusals } from '../shared/refusals';
import type { Product } from '../../core/model/product';
import { notFound } from '../shared/problem';
import type { Catalog } from './catalog';

/** Who writes, for the journal. */
export type UserId = string | null;

export function productOrRefuse(catalog: Catalog, id: string): Product {
  const product = catalog.working.products.get(id);
  if (!product) throw notFound(refusals.gone('product'));
  return product;
}
