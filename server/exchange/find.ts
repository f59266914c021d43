import type { Found } from '../../core/exchange/group-rows';
import type { Matching } from '../../core/exchange/choices';
import { plainBarcode } from '../../core/shared/barcode';
import { nameIdentity } from '../../core/shared/same-name';
import { slugFrom } from '../../core/shared/slug';
import type { Catalog } from '../state/catalog';

/** Finds what rows speak of among the products of the shop. */
export function finderOf(catalog: Catalog): (by: Matching, text: string) => Found | undefined {
  const maps = new Map<Matching, Map<string, Found>>();
  const keyOf: Record<Matching, (text: string) => string> = {
    sku: (text) => text.trim().toLowerCase(),
    barcode: plainBarcode,
    slug: slugFrom,
    title: nameIdentity,
  };
  const built = (by: Matching) => {
    const map = new Map<string, Found>();
    const put = (text: string, found: Found) => {
      const key = keyOf[by](text);
      if (text !== '' && !map.has(key)) map.set(key, found);
    };
    for (const product of catalog.working.products.values())
      if (by === 'slug' || by === 'title') put(product[by], { product });
      else for (const variant of product.variants) put(variant[by], { product, variant });
    return map;
  };
  return (by, text) => {
    let map = maps.get(by);
    if (!map) maps.set(by, (map = built(by)));
    return map.get(keyOf[by](text));
  };
}
