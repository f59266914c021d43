import type { ProductDocument } from '../model/document';
import { canonicalJson } from '../shared/canonical-json';
import { ownLayoutOf, productLayoutOf } from '../model/product-layout';
import { usualProductLayout, type ProductLayout } from '../model/product-parts';
import { isSent } from '../products/kinds';
import type { Shop } from '../shop/shop';

/** How the page of a product is laid out, and what it says of every product. */
export interface ProductPageView {
  /** absent where it is as usual */
  layout?: ProductLayout;
  /** what shoppers are promised, in the seller's words */
  promises?: { delivery: string; returns: string };
  trust?: string[];
  /** its layout is one of its own, not that of all products */
  isOwn?: boolean;
}

const usualText = canonicalJson(usualProductLayout);

/** What the page of a product is drawn by, besides the product. Only goods that are sent have promises about sending. */
export function productPageView(shop: Shop, product: ProductDocument): ProductPageView {
  const { productPage } = shop.settings;
  const layout = productLayoutOf(productPage, product);
  const { deliveryWords, returnWords, trust } = productPage;
  const promises = { delivery: isSent(product) ? deliveryWords : '', returns: isSent(product) ? returnWords : '' };
  return {
    ...(canonicalJson(layout) !== usualText && { layout }),
    ...((promises.delivery || promises.returns) && { promises }),
    ...(trust.length > 0 && { trust }),
    ...(ownLayoutOf(productPage, product) && { isOwn: true }),
  };
}
