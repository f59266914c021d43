import { cachedByVersion } from '../../core/shop/cached-by-version';
import { placeCounts } from '../../core/storefront/where-it-shows';
import { isPlacedField, type PlacedField } from '../../core/rules/placed-fields';
import type { Field, FieldRegistry } from '../../core/rules/field';
import { exposure } from './exposure';
import { conversionBySlot, daysLeftBySlot, viewsBySlot } from './outlook';
import { conditionsOf, type Rule } from '../../core/model/rule';
import type { Catalog } from './catalog';

const kept = cachedByVersion((shop) => placeCounts(shop, shop.now));

/** Places per slot, worked out once for each state of the working copy. */
export function placesBySlot(catalog: Catalog): Uint16Array {
  return kept(catalog.working.shop);
}

const registries = cachedByVersion(() => new WeakMap<Catalog, FieldRegistry>());

/**
 * Fields that follow from where goods stand, each with its numbers by slot: the goods can be narrowed and sorted by them, but
 * no collection can be filled by one, since what it shows would change the answer.
 */
const placed: Record<PlacedField, Omit<Field, 'read' | 'key'> & { numbers: (catalog: Catalog) => ArrayLike<number> }> =
  {
    places: { label: 'Places', type: 'number', numbers: placesBySlot },
    exposure: {
      label: 'Exposure',
      type: 'number',
      unit: { words: '%', parts: 100 },
      numbers: (catalog) => exposure(catalog).shares,
    },
    viewed: { label: 'Seen in 30 days', type: 'number', numbers: viewsBySlot },
    conversion: {
      label: 'Sold per 100 seen',
      type: 'number',
      unit: { words: '%', parts: 100 },
      numbers: conversionBySlot,
    },
    daysLeft: { label: 'Days of stock', type: 'number', numbers: daysLeftBySlot },
  };

const placedFields = (catalog: Catalog): Field[] =>
  Object.entries(placed).map(([key, { numbers, ...field }]) => ({
    key,
    ...field,
    read: ({ id }) => numbers(catalog)[catalog.working.shop.index.slot(id)!] ?? 0,
  }));

/** What the goods can be narrowed by: all that rules can ask, and what follows from where goods stand. */
export function goodsFields(catalog: Catalog): FieldRegistry {
  const { shop } = catalog.working;
  const known = registries(shop);
  let fields = known.get(catalog);
  if (!fields) {
    fields = new Map([...shop.fields, ...placedFields(catalog).map((field): [string, Field] => [field.key, field])]);
    known.set(catalog, fields);
  }
  return fields;
}

/** Makes sure that the index holds what these fields need and only the whole catalog tells. */
export function supplyColumns(catalog: Catalog, names: Iterable<string>): void {
  const { index } = catalog.working.shop;
  for (const name of names) {
    if (isPlacedField(name)) index.fillColumn(name, placed[name].numbers(catalog));
  }
}

export const fieldsUsed = (rule: Rule): string[] => conditionsOf(rule).map(({ condition }) => condition.field);
