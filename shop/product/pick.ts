import type { ProductView } from '../../core/storefront/views';

type Variant = ProductView['variants'][number];
type Choosable = Pick<ProductView, 'variants'>;

/** The variant that a product page opens with: the one asked for, else the first that can be had, else the first. */
export function firstVariant(product: Choosable, wanted: string | null): Variant | undefined {
  const { variants } = product;
  return variants.find(({ id }) => id === wanted) ?? variants.find(({ inStock }) => inStock) ?? variants[0];
}

/**
 * The variant after choosing `value` of an option: with all other values kept when there is one, else the one that
 * keeps most of them, one in stock before one that is not.
 */
export function variantWith(product: Choosable, current: Variant, option: string, value: string): Variant {
  const kept = (variant: Variant) =>
    Object.entries(current.options).filter(([key, of]) => key !== option && variant.options[key] === of).length;
  const fitting = product.variants.filter((variant) => variant.options[option] === value);
  const best = Math.max(...fitting.map(kept));
  const nearest = fitting.filter((variant) => kept(variant) === best);
  return nearest.find(({ inStock }) => inStock) ?? nearest[0] ?? current;
}

/** Can this value be had together with the other chosen values? */
export function isAvailable(product: Choosable, current: Variant, option: string, value: string): boolean {
  return product.variants.some(
    (variant) =>
      variant.inStock &&
      variant.options[option] === value &&
      Object.entries(current.options).every(([key, of]) => key === option || variant.options[key] === of),
  );
}
