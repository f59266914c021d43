import type { GoodsRow } from '../../contract/goods';
import { updateProduct } from '../store/put-products';
import type { Catalog } from '../state/catalog';
import { goodsRows } from './queries';
import type { UserId } from '../state/product-or-refuse';

/** Featured products in the order in which shoppers meet them. */
export function featuredRows(catalog: Catalog): GoodsRow[] {
  const { index } = catalog.working.shop;
  const order = index.order('featured')!;
  const ids: string[] = [];
  for (let place = 0; place < order.length; place++) {
    const id = index.id(order.at(place));
    // Those that are featured stand in front.
    if (!catalog.working.products.get(id)!.featured) break;
    ids.push(id);
  }
  return goodsRows(catalog, ids);
}

/** Puts featured products in this order; those that are not named stay behind, as they were. */
export function orderFeatured(catalog: Catalog, user: UserId, wanted: readonly string[]): void {
  const featured = featuredRows(catalog).map(({ id }) => id);
  const named = wanted.filter((id) => featured.includes(id));
  const order = [...named, ...featured.filter((id) => !named.includes(id))];
  catalog.journal.change({ did: 'featuredOrdered' }, catalog.actor(user), () =>
    order.forEach((id, i) => updateProduct(catalog.db, id, { featuredPlace: i + 1 })),
  );
}
