import type { Product } from '../../core/model/product';
import { isForShoppers } from '../../core/model/document';
import { serialise } from '../database/stored-form';

/** A product as a change leaves it, with the hash of its document; undefined where it is not for shoppers. */
export interface ReadyProduct {
  product: Product;
  hash: string | undefined;
}
export type ReadyProducts = Pick<ReadonlyMap<string, ReadyProduct>, 'get' | 'has'>;

export function readyProduct(product: Product): ReadyProduct {
  const document = { kind: 'product' as const, key: product.id, body: product };
  return { product, hash: isForShoppers(document) ? serialise(document).hash : undefined };
}
