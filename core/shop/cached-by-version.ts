import type { Shop } from './shop';

/** `make`, called again only after the shop has changed. */
export function cachedByVersion<T>(make: (shop: Shop) => T): (shop: Shop) => T {
  const kept = new WeakMap<Shop, { version: number; value: T }>();
  return (shop) => {
    const known = kept.get(shop);
    if (known && known.version === shop.version) return known.value;
    const value = make(shop);
    kept.set(shop, { version: shop.version, value });
    return value;
  };
}
