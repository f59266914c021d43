import { createHash } from 'node:crypto';
import type { Product } from '../../core/catalog/product';
import { documentText, isForShoppers, type ShopDocument } from '../../core/editions/document';

/** The stored form of a document, as shoppers may see it, and its content hash. */
export function serialise(document: ShopDocument): { hash: string; text: string } {
  const text = documentText(document);
  return { hash: createHash('sha256').update(`${document.kind} ${text}`).digest('hex').slice(0, 40), text };
}

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
