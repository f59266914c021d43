import type { BundleView } from './views';
import { variantName } from '../products/variants';
import type { ProductDocument } from '../model/document';
import { shopPrice } from '../shop/shop-price';
import { pictureOf, pictureView } from './card';
import type { Shop } from '../shop/shop';

export function bundleView(shop: Shop, product: ProductDocument): BundleView | null {
  const facts = shop.bundles.get(product.id);
  if (!facts || !product.bundle) return null;
  const { pricing } = product.bundle;
  const labels = new Map(product.bundle.slots.map(({ id, label }) => [id, label]));
  return {
    off: pricing.how === 'parts' ? pricing.off : null,
    slots: facts.slots.map(({ slot: { id, min, max, usual, ...slot }, products }) => ({
      id,
      label: labels.get(id) ?? slot.label,
      min,
      max,
      usual,
      parts: products.map(({ id: partId }) => {
        const part = shop.products.get(partId)!;
        const picture = pictureOf(part, null);
        return {
          id: part.id,
          title: part.title,
          url: `/p/${part.slug}`,
          picture: picture ? pictureView(picture, part.title) : null,
          variants: part.variants.map((variant) => ({
            id: variant.id,
            label: variantName(part.options, variant),
            price: shopPrice(shop, part, variant).price,
            most: Math.min(max, shop.stock(variant.id) ?? max),
          })),
        };
      }),
    })),
  };
}
