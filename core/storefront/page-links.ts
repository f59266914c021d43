import type { ProductDocument } from '../model/document';
import { layoutAt } from '../model/listing-layout';
import { isPartShown, type ProductPage } from '../model/product-layout';
import type { Link, Target } from '../model/target';
import type { Shop } from '../shop/shop';

/** The categories right below one that its page leads to: none where the seller does not want them shown. */
export const linkedChildren = (shop: Shop, id: string) =>
  layoutAt(shop.settings.listings, { kind: 'category', id }).children === 'none' ? [] : shop.tree.children(id);

/** The categories that the page of one leads to: the way down to it, and those right below. */
export const linkedFamily = (shop: Shop, id: string): Target[] =>
  [...shop.tree.path(id).slice(0, -1), ...linkedChildren(shop, id)].map((each) => ({ kind: 'category', id: each.id }));

/** The brand that the page of a product leads to; null where it has none, or its layout hides it. */
export const linkedBrand = ({ settings }: Shop, product: ProductDocument): string | null =>
  isPartShown(settings.productPage, product, 'brand') ? product.brandId : null;

/** Is there a product page that tells the brand at all? */
export const tellsBrands = ({ parts, own }: ProductPage): boolean =>
  [{ parts }, ...own].some((layout) => !layout.parts.some(({ part, shown }) => part === 'brand' && !shown));

/** Where the line at the top of every page leads. */
export const noticeLinks = ({ settings: { notice } }: Shop): Link[] =>
  notice.text !== '' && notice.link ? [notice.link] : [];
