import { refusals } from '../shared/refusals';
import type { Was } from '../../contract/was';
import { mergeRecords, mergeValues } from '../../core/shared/three-way';
import { type Product, type Variant } from '../../core/model/product';
import { relationKinds, type RelationKind } from '../../core/model/product-values';
import { formatMoney } from '../../core/shared/money';
import { specProblem } from '../../core/products/spec-values';
import { canonicalJson } from '../../core/shared/canonical-json';
import { refuseQuantityPrices, refuseSalePrice, refuseSpan } from '../../core/pricing/price';
import { checkRule } from '../../core/rules/check';
import type { goodsRoutes } from '../../contract/goods';
import type { FieldError } from '../../contract/problem';
import type { BodyOf } from '../../contract/route';
import { productColumns, type ProductFields } from '../store/products';
import { bundleProblems } from './bundle-checks';
import type { Catalog } from '../state/catalog';
import { productWords, variantColumn, variantWords } from '../store/field-words';
import { fileProblems } from './file-writes';
import { clash, notFound } from '../shared/problem';
import { cleanRichText } from '../shared/rich-text';

export type VariantChanges = BodyOf<typeof goodsRoutes.setVariants>['changes'];
export type Fields = BodyOf<typeof goodsRoutes.update>['fields'];

/** A field of a product by the name under which it is written. */
function fieldOf(product: Product, name: keyof Fields): unknown {
  return name in product.relations
    ? product.relations[name as RelationKind]
    : product[name as Exclude<keyof Fields, RelationKind>];
}

/**
 * The fields that a person wants to change, merged with what others changed since that person saw `was`: lists item by item,
 * specs attribute by attribute. Rich text that is wanted is clean already. Refuses with a clash where both changed the same
 * thing.
 */
export function mergedProductFields(product: Product, wanted: Fields, was: Was): Fields {
  if (!was) return wanted;
  const errors: FieldError[] = [];
  const merged: Record<string, unknown> = { ...wanted };
  for (const name of (Object.keys(wanted) as (keyof Fields)[]).filter((each) => each in was)) {
    const base = name === 'description' ? cleanRichText(String(was[name])) : was[name];
    const { value, clashes } =
      name === 'specs'
        ? mergeRecords(base as Product['specs'], product.specs, wanted.specs!)
        : mergeValues(base, fieldOf(product, name), wanted[name]);
    merged[name] = value;
    for (const { path, theirs } of clashes)
      errors.push({
        path: ['fields', name, ...path],
        message: refusals.fieldChanged(productWords[name]),
        theirs: name === 'specs' ? theirs : fieldOf(product, name),
      });
  }
  if (errors.length > 0) throw clash(errors);
  return merged;
}

/** Fields that somebody else changed since `seen`, and that would be overwritten. */
export function clashesOf(catalog: Catalog, product: Product, seen: number, fields: Fields): FieldError[] {
  const subject = `product:${product.id}`;
  const { journal } = catalog;
  const columns = journal.columnsChangedSince(seen, subject, 'product', JSON.stringify([product.id]));
  const errors: FieldError[] = [];
  for (const name of Object.keys(fields) as (keyof Fields)[]) {
    const table = { categoryIds: 'product_category', tagIds: 'product_tag' }[name as 'categoryIds' | 'tagIds'];
    const isTouched = table
      ? journal.columnsChangedSince(seen, subject, table).size > 0
      : columns.has(productColumns[name as keyof ProductFields].column);
    if (isTouched && canonicalJson(fieldOf(product, name)) !== canonicalJson(fields[name]))
      errors.push({
        path: ['fields', name],
        message: refusals.fieldChanged(productWords[name]),
        theirs: fieldOf(product, name),
      });
  }
  return errors;
}

/** What is wrong with these fields because it names something that does not exist (any more). */
export function unknownOf(catalog: Catalog, fields: Fields): FieldError[] {
  const { shop } = catalog.working;
  const errors: FieldError[] = [];
  if (fields.brandId && !shop.brands.has(fields.brandId))
    errors.push({ path: ['fields', 'brandId'], message: refusals.brandDeleted });
  if (fields.categoryIds?.some((id) => !shop.categories.has(id)))
    errors.push({ path: ['fields', 'categoryIds'], message: refusals.oneOfDeleted('categories') });
  if (fields.tagIds?.some((id) => !shop.tags.has(id)))
    errors.push({ path: ['fields', 'tagIds'], message: refusals.oneOfDeleted('tags') });
  if (fields.specSheetId && !shop.specSheets.has(fields.specSheetId))
    errors.push({ path: ['fields', 'specSheetId'], message: refusals.sheetDeleted });
  for (const kind of relationKinds) {
    const relation = fields[kind];
    if (relation?.how === 'picked' && relation.ids.some((id) => !shop.products.has(id)))
      errors.push({ path: ['fields', kind], message: refusals.oneOfDeleted('products') });
  }
  return errors;
}

/** Fields that do not go together, or not with what the product already has. */
export function misfitsOf(catalog: Catalog, product: Product, fields: Fields): FieldError[] {
  const after = { ...product, ...fields };
  const errors: FieldError[] = [];
  const blame = (name: keyof Fields, message: string | undefined) => {
    if (message) errors.push({ path: ['fields', name], message });
  };
  for (const [from, until] of [
    ['saleFrom', 'saleUntil'],
    ['liveFrom', 'liveUntil'],
  ] as const)
    if (from in fields || until in fields) blame(until in fields ? until : from, refuseSpan(after[from], after[until]));
  const tier = fields.quantityPrices && refuseQuantityPrices(fields.quantityPrices);
  if (tier) errors.push({ path: ['fields', 'quantityPrices', tier.at], message: tier.message });
  for (const kind of relationKinds) {
    const relation = fields[kind];
    if (relation?.how === 'picked' && relation.ids.includes(product.id)) blame(kind, refusals.besideItself);
    if (relation?.how === 'rule') blame(kind, checkRule(relation.rule, catalog.working.shop.fields)[0]?.message);
  }
  if (fields.bundle && after.kind !== 'bundle') blame('bundle', 'Only a bundle holds other products.');
  else if (fields.bundle) errors.push(...bundleProblems(catalog, product, fields.bundle));
  if (fields.files) errors.push(...fileProblems(product, fields.files));
  const sheet = catalog.working.shop.specSheets.get(after.specSheetId ?? '');
  for (const attribute of fields.specs ? (sheet?.attributes ?? []) : []) {
    const value = fields.specs![attribute.id];
    const message = value === undefined ? undefined : specProblem(attribute, value);
    if (message) errors.push({ path: ['fields', 'specs', attribute.id], message });
  }
  return errors;
}

/** Variants of a product after these changes, with what is wrong with them, and what somebody else changed meanwhile. */
export function checkVariants(
  catalog: Catalog,
  product: Product,
  seen: number,
  changes: VariantChanges,
): { next: Variant[]; errors: FieldError[]; clashes: FieldError[] } {
  const { journal } = catalog;
  const errors: FieldError[] = [];
  const clashes: FieldError[] = [];
  const next = new Map(product.variants.map((variant) => [variant.id, variant]));
  changes.forEach(({ id: variantId, fields, was = {} }, i) => {
    const variant = next.get(variantId);
    const path = (name: string) => ['changes', i, 'fields', name];
    if (!variant) throw notFound(refusals.gone('variant'));
    if (fields.pictureId && !product.pictures.some((picture) => picture.id === fields.pictureId))
      errors.push({ path: path('pictureId'), message: refusals.pictureDeleted });
    for (const name of Object.keys(fields) as (keyof typeof variantWords)[]) {
      const table = name === 'stock' ? 'stock' : 'variant';
      const isTouched =
        name in was
          ? canonicalJson(was[name]) !== canonicalJson(variant[name])
          : journal
              .columnsChangedSince(seen, `product:${product.id}`, table, JSON.stringify([variantId]))
              .has(variantColumn(name));
      if (isTouched && canonicalJson(variant[name]) !== canonicalJson(fields[name]))
        clashes.push({
          path: path(name),
          message: refusals.fieldChanged(variantWords[name]),
          theirs: variant[name],
        });
    }
    const changed = { ...variant, ...fields };
    const saleProblem = refuseSalePrice(changed.price, changed.salePrice);
    if (saleProblem) {
      const blamed = 'salePrice' in fields || !('price' in fields) ? 'salePrice' : 'price';
      const hint =
        blamed === 'price'
          ? `The price must be above the sale price of ${formatMoney(changed.salePrice!, catalog.working.shop.settings.currency)}.`
          : saleProblem;
      errors.push({ path: path(blamed), message: hint });
    }
    next.set(variantId, changed);
  });
  return { next: [...next.values()], errors, clashes };
}
