import type { ResolvedShop } from './resolved-shop';

/** `make`, called again only after the shop has changed. */
export function cachedByVersion<T>(make: (shop: ResolvedShop) => T): (shop: ResolvedShop) => T {
  const kept = new WeakMap<ResolvedShop, { version: number; value: T }>();
  return (shop) => {
    const known = kept.get(shop);
    if (known && known.version === shop.version) return known.value;
    const value = make(shop);
    kept.set(shop, { version: shop.version, value });
    return value;
  };
}
