import { fieldRegistry, type FieldRegistry } from '../rules/field';
import type { ResolvedShop } from './resolved-shop';

const names = (map: ReadonlyMap<string, { name: string }>) => new Map([...map].map(([id, thing]) => [id, thing.name]));

/** The fields that rules can speak of in a shop: those of all shops, and what its options, specs and groups add. */
export function fieldsOf(shop: ResolvedShop, suppliers: ReadonlyMap<string, string>): FieldRegistry {
  const { memberships } = shop;
  return fieldRegistry({
    categories: names(shop.categories),
    tags: names(shop.tags),
    brands: names(shop.brands),
    options: shop.options,
    attributes: [...shop.specSheets.values()].flatMap((sheet) =>
      sheet.attributes.map((attribute) => ({ ...attribute, sheet: sheet.name })),
    ),
    suppliers,
    collections: {
      names: names(shop.collections),
      ofProduct: (id) => memberships.ofProduct(id, shop.now),
      members: (id) => memberships.of(id, shop.now),
      has: (id, productId) => memberships.of(id, shop.now).has(shop.index.slot(productId) ?? -1),
    },
  });
}
