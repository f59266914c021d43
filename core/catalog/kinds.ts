import type { Product, ProductKind } from './product';

/** Parts that products of a kind have beyond what all have. */
export interface KindParts {
  /** weight, package and days to dispatch */
  delivery: boolean;
  /** how long it takes; stock then counts places */
  duration: boolean;
  /** a value that the shopper chooses */
  ownValue: boolean;
}

const nothing: KindParts = { delivery: false, duration: false, ownValue: false };

export const kindParts: Record<ProductKind, KindParts> = {
  physical: { ...nothing, delivery: true },
  digital: nothing,
  service: { ...nothing, duration: true },
  giftCard: { ...nothing, ownValue: true },
  bundle: nothing,
};

const deliveryFields = { weight: null, size: null, packageSort: '', dispatchDays: null } as const;

/** Fields of parts that a kind does not have, as they are when they are empty. */
export function emptiedBy(kind: ProductKind): Partial<Product> {
  const parts = kindParts[kind];
  return {
    ...(parts.delivery ? {} : deliveryFields),
    ...(parts.duration ? {} : { duration: null }),
    ...(parts.ownValue ? {} : { ownValue: null }),
  };
}

/** What of a product would be lost if it became of this kind, in plain words. */
export function lostBy(product: Product, kind: ProductKind): string[] {
  const parts = kindParts[kind];
  const { weight, size, packageSort, dispatchDays, duration, ownValue, variants } = product;
  const lost: string[] = [];
  if (!parts.delivery) {
    if (weight !== null || variants.some((variant) => variant.weight !== null)) lost.push('its weight');
    if (size !== null || packageSort !== '') lost.push('its package');
    if (dispatchDays !== null) lost.push('its days to dispatch');
  }
  if (!parts.duration && duration !== null) lost.push('how long it takes');
  if (!parts.ownValue && ownValue !== null) lost.push('the value that shoppers may choose');
  return lost;
}
