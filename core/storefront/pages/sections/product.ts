import { productView } from '../../product-view';
import type { ProductView } from '../../views';
import type { SectionPart } from './section-part';

interface OneProductView {
  kind: 'product';
  title: string;
  text: string;
  side: 'left' | 'right';
  pictures: 'face' | 'all';
  /** null while shoppers cannot have it */
  product: ProductView | null;
}

export const product: SectionPart<'product', OneProductView> = {
  view: (shop, { title, text, side, pictures, productId }, _scene, { slots }) => ({
    kind: 'product',
    title,
    text,
    side,
    pictures,
    // The lowest price of 30 days is told on the product's own page.
    product: slots.length > 0 ? productView(shop, shop.products.get(productId!)!) : null,
  }),
  title: (shop, { title, productId }) => title || (shop.products.get(productId ?? '')?.title ?? ''),
  goods: (shop, { productId }) => {
    const slot = productId === null ? undefined : shop.index.slot(productId);
    const isSeen = slot !== undefined && shop.listed.has(slot);
    return { slots: isSeen ? [slot] : [], why: isSeen ? ['picked'] : [], skipped: [], total: isSeen ? 1 : 0 };
  },
  summary: (shop, { productId }, _scene, { slots }) => ({
    faces: slots,
    shown: slots.length,
    available: slots.length,
    says: 'one product',
    warnings:
      productId === null
        ? ['Choose the product.']
        : slots.length === 0
          ? [
              `${shop.products.get(productId)?.title ?? 'This product'} is not on the shop now: shoppers do not see this section.`,
            ]
          : shop.facts(productId)!.stock === 0
            ? ['It is sold out.']
            : [],
  }),
  fields: (shop, { title, text, side, pictures, productId }) => [
    ['Title', title],
    ['Product', productId ? (shop.products.get(productId)?.title ?? 'something deleted') : ''],
    ['Text', text],
    ['Pictures', `${pictures === 'all' ? 'all' : 'the first one'}, on the ${side}`],
  ],
};
