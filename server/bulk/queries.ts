import type { Which } from '../../contract/bulk';
import type { Product } from '../../core/model/product';
import { matchingIds } from '../search/queries';
import type { Catalog } from '../state/catalog';

/** The products that are meant, each once, in the order in which they were picked. */
export function productsOf(catalog: Catalog, { ids, matching }: Which): Product[] {
  const all = matching ? new Set([...ids, ...matchingIds(catalog, matching)]) : new Set(ids);
  return [...all].flatMap((id) => catalog.working.products.get(id) ?? []);
}
