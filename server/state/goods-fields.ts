import { cachedByVersion } from '../../core/shop/cached-by-version';
import { placeCounts } from '../../core/storefront/where-it-shows';
import type { FieldRegistry } from '../../core/rules/field';
import { conditionsOf, type Rule } from '../../core/model/rule';
import type { Catalog } from './catalog';

const kept = cachedByVersion((shop) => placeCounts(shop, shop.now));

/** Places per slot, worked out once for each state of the working copy. */
export function placesBySlot(catalog: Catalog): Uint16Array {
  return kept(catalog.working.shop);
}

const registries = cachedByVersion(() => new WeakMap<Catalog, FieldRegistry>());

/**
 * What the goods can be narrowed by: all that rules can ask, and in how many places a product shows. That follows from the
 * collections, so that no collection can be filled by it.
 */
export function goodsFields(catalog: Catalog): FieldRegistry {
  const { shop } = catalog.working;
  const known = registries(shop);
  let fields = known.get(catalog);
  if (!fields) {
    const places = (id: string) => placesBySlot(catalog)[shop.index.slot(id)!] ?? 0;
    fields = new Map([
      ...shop.fields,
      ['places', { key: 'places', label: 'Places', type: 'number', read: (facts) => places(facts.id) }],
    ]);
    known.set(catalog, fields);
  }
  return fields;
}

/** Makes sure that the index holds what these fields need and only the whole catalog tells. */
export function supplyColumns(catalog: Catalog, names: Iterable<string>): void {
  for (const name of names)
    if (name === 'places') catalog.working.shop.index.fillColumn('places', placesBySlot(catalog));
}

export const fieldsUsed = (rule: Rule): string[] => conditionsOf(rule).map(({ condition }) => condition.field);
