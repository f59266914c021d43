import type { SpecSheet } from '../model/spec-sheet';
import type { FinderIndex } from '../search/finder-index';
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

/** Spec sheets by name: an order that every shop made from them shares. */
export const sheetsInOrder = ({ specSheets }: Pick<FieldSources, 'specSheets'>): SpecSheet[] =>
  [...specSheets.values()].sort((a, b) => (a.name === b.name ? (a.id < b.id ? -1 : 1) : a.name < b.name ? -1 : 1));

/** The values of a facet that some product has. */
const usedValues = (index: FinderIndex, facet: string): string[] =>
  [...(index.facet(facet)?.values ?? [])].flatMap(([value, id]) => (index.facets.totals[id]! > 0 ? [value] : []));

const names = (map: Named) => new Map([...map].map(([id, thing]) => [id, thing.name]));

/** The fields that rules can speak of in a shop: those of all shops, and what its options, specs and groups add. */
export function fieldsOf(shop: FieldSources): FieldRegistry {
  const { memberships } = shop;
  return fieldRegistry({
    categories: names(shop.categories),
    tags: names(shop.tags),
    brands: names(shop.brands),
    options: shop.options,
    attributes: sheetsInOrder(shop).flatMap((sheet) =>
      sheet.attributes.map((attribute) => ({ ...attribute, sheet: sheet.name })),
    ),
    suppliers: new Map(
      usedValues(shop.index, 'supplier')
        .sort()
        .map((name) => [name, name]),
    ),
    collections: {
      names: names(shop.collections),
      ofProduct: (id) => memberships.ofProduct(id, shop.now),
      members: (id) => memberships.of(id, shop.now),
      has: (id, productId) => memberships.of(id, shop.now).has(shop.index.slot(productId) ?? -1),
    },
  });
}
