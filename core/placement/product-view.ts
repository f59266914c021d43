import { effectivePrice } from '../pricing/price';
import type { ProductDocument } from '../editions/document';
import { mediaUrl, pictureView, type PictureView } from './card';
import { optionKey, optionValueKey } from './facts';
import type { ResolvedShop } from './resolved-shop';

/** A product as shoppers may see it: no cost, no exact stock. Prices in minor units. */
export interface ProductView {
  id: string;
  slug: string;
  title: string;
  summary: string;
  /** sanitised HTML */
  description: string;
  url: string;
  currency: string;
  brand: string | null;
  inStock: boolean;
  crumbs: { label: string; url: string }[];
  pictures: (PictureView & { id: string })[];
  options: { key: string; label: string; values: { key: string; label: string; colour: string | null }[] }[];
  variants: {
    id: string;
    sku: string;
    /** option key → value key */
    options: Record<string, string>;
    price: number;
    wasPrice: number | null;
    inStock: boolean;
    /** true when only a few are left */
    few: boolean;
    image: string | null;
    pictureId: string | null;
  }[];
}

/** Shoppers are told that few are left from this number of pieces down. */
const FEW = 3;

export function productView(shop: ResolvedShop, product: ProductDocument): ProductView {
  const face = product.pictures[0];
  const main = product.categoryIds[0];
  const variants = product.variants.map((variant) => {
    const stock = shop.stock(variant.id);
    const picture = product.pictures.find(({ id }) => id === variant.pictureId) ?? face;
    return {
      id: variant.id,
      sku: variant.sku,
      options: Object.fromEntries(
        product.options.flatMap((option, i) => {
          const value = option.values.find(({ id }) => id === variant.values[i]);
          return value ? [[optionKey(option.name), optionValueKey(value.name)]] : [];
        }),
      ),
      ...effectivePrice(variant),
      inStock: stock === null || stock > 0,
      few: stock !== null && stock > 0 && stock <= FEW,
      image: picture ? mediaUrl(picture.media, 960) : null,
      pictureId: picture?.id ?? null,
    };
  });
  return {
    id: product.id,
    slug: product.slug,
    title: product.title,
    summary: product.summary,
    description: product.description,
    url: `/p/${product.slug}`,
    currency: shop.settings.currency,
    brand: shop.brands.get(product.brandId ?? '')?.name ?? null,
    inStock: variants.some((variant) => variant.inStock),
    crumbs: main ? shop.tree.path(main).map(({ name, slug }) => ({ label: name, url: `/c/${slug}` })) : [],
    pictures: product.pictures.map((picture) => ({ id: picture.id, ...pictureView(picture, product.title) })),
    options: product.options.map((option) => ({
      key: optionKey(option.name),
      label: option.name,
      values: option.values.map(({ name, swatch }) => ({ key: optionValueKey(name), label: name, colour: swatch })),
    })),
    variants,
  };
}
