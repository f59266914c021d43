import { refusals } from '../shared/refusals';
import type { SpecSheet } from '../../core/model/spec-sheet';
import { specField } from '../../core/rules/field';
import { conditionsOf } from '../../core/model/rule';
import type { specSheetRoutes } from '../../contract/lists';
import type { FieldError } from '../../contract/problem';
import type { BodyOf } from '../../contract/route';
import { deleteSpecSheet, productIdsWithSheet, putSpecSheet } from '../store/spec-sheets';
import { isSameName } from '../../core/shared/same-name';
import { newId } from '../shared/ids';
import { invalid, invalidField, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import type { UserId } from '../state/product-or-refuse';

function sheetOrRefuse(catalog: Catalog, id: string): SpecSheet {
  const sheet = catalog.working.shop.specSheets.get(id);
  if (!sheet) throw notFound(refusals.gone('spec sheet'));
  return sheet;
}

function refuseName(catalog: Catalog, name: string, id: string | null): void {
  for (const sheet of catalog.working.shop.specSheets.values())
    if (sheet.id !== id && isSameName(sheet.name, name))
      throw invalidField(['name'], refusals.takenName('a spec sheet', sheet.name));
}

/** Spec sheets with the number of products that use each. */
export function specSheets(catalog: Catalog): (SpecSheet & { products: number })[] {
  const counts = new Map<string, number>();
  for (const { specSheetId } of catalog.working.products.values())
    if (specSheetId) counts.set(specSheetId, (counts.get(specSheetId) ?? 0) + 1);
  return [...catalog.working.shop.specSheets.values()].map((sheet) => ({
    ...sheet,
    products: counts.get(sheet.id) ?? 0,
  }));
}

export function createSpecSheet(catalog: Catalog, user: UserId, name: string): string {
  refuseName(catalog, name, null);
  const id = newId('specSheet');
  catalog.journal.change({ did: 'specSheetAdded', name }, catalog.actor(user), () =>
    putSpecSheet(catalog.db, { id, name, attributes: [] }),
  );
  return id;
}

export function changeSpecSheet(
  catalog: Catalog,
  user: UserId,
  id: string,
  { was, ...wanted }: BodyOf<typeof specSheetRoutes.update>,
): void {
  const sheet = sheetOrRefuse(catalog, id);
  const { name, attributes } = mergedFields(sheet, wanted, was, { name: 'name', attributes: 'list of attributes' });
  refuseName(catalog, name, id);
  const errors: FieldError[] = [];
  attributes.forEach((attribute, at) => {
    if (attributes.findIndex((other) => isSameName(other.name, attribute.name)) < at)
      errors.push({ path: ['attributes', at, 'name'], message: refusals.takenName('an attribute', attribute.name) });
    const known = sheet.attributes.find((other) => other.id === attribute.id);
    if (known && known.type !== attribute.type && hasValues(catalog, attribute.id))
      errors.push({
        path: ['attributes', at, 'type'],
        message: refusals.typeInUse(known.name),
      });
    attribute.choices.forEach((choice, i) => {
      if (attribute.choices.findIndex((other) => isSameName(other.name, choice.name)) < i)
        errors.push({ path: ['attributes', at, 'choices', i], message: refusals.standsTwice(choice.name) });
    });
  });
  if (errors.length > 0) throw invalid(errors);
  const changed = new Map(attributes.map((attribute) => [attribute.id, attribute]));
  catalog.journal.change({ did: 'specSheetChanged', name }, catalog.actor(user), () => {
    putSpecSheet(catalog.db, { id, name, attributes });
    // An attribute that sheets share is the same in all of them, but for its place, its heading and whether it is needed.
    for (const other of catalog.working.shop.specSheets.values())
      if (other.id !== id && other.attributes.some((attribute) => changed.has(attribute.id)))
        putSpecSheet(catalog.db, {
          ...other,
          attributes: other.attributes.map(({ heading, required, ...own }) => ({
            ...own,
            ...changed.get(own.id),
            heading,
            required,
          })),
        });
  });
}

function hasValues(catalog: Catalog, attributeId: string): boolean {
  for (const { specs } of catalog.working.products.values()) if (attributeId in specs) return true;
  return false;
}

/** Deletes a sheet. Refused while a collection asks for one of its attributes. */
export function removeSpecSheet(catalog: Catalog, user: UserId, id: string): void {
  const sheet = sheetOrRefuse(catalog, id);
  const fields = sheet.attributes.map((attribute) => specField(attribute.id));
  for (const collection of catalog.working.shop.collections.values())
    if (
      collection.source === 'rule' &&
      conditionsOf(collection.rule).some(({ condition }) =>
        fields.some((field) => condition.field === field || condition.field.startsWith(`${field}.`)),
      )
    )
      throw invalidField(['id'], refusals.ruleAsksForAttribute(collection.name));
  const products = productIdsWithSheet(catalog.db, id);
  catalog.journal.change(
    { did: 'specSheetDeleted', name: sheet.name, count: products.length },
    catalog.actor(user),
    () => deleteSpecSheet(catalog.db, id),
  );
}
