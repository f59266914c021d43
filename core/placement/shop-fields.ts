import type { SpecSheet } from '../catalog/spec';
import type { FinderIndex } from '../finder/finder-index';
import { fieldRegistry, type FieldData, type FieldRegistry } from '../rules/field';
import type { Memberships } from './memberships';

type Named = ReadonlyMap<string, { name: string }>;

/** What the fields of a shop come from. */
interface FieldSources {
  readonly categories: Named;
  readonly tags: Named;
  readonly brands: Named;
  readonly collections: Named;
  readonly specSheets: ReadonlyMap<string, SpecSheet>;
  readonly options: FieldData['options'];
  readonly memberships: Pick<Memberships, 'of' | 'ofProduct'>;
  readonly index: FinderIndex;
  /** seconds since 1970 */
  readonly now: number;
}

const names = (map: Named) => new Map([...map].map(([id, thing]) => [id, thing.name]));

/** The fields that rules can speak of in a shop: those of all shops, and what its options, specs and groups add. */
export function fieldsOf(shop: FieldSources, suppliers: ReadonlyMap<string, string>): FieldRegistry {
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
