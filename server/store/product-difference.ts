import type { Option, Product, Variant } from '../../core/model/product';
import { relationKinds, type RelationKind } from '../../core/model/product-values';
import type { Db } from '../database/connection';
import { plainVariantColumns, productFieldNames, toColumn, type ProductFields } from './products';
import {
  deleteProduct,
  insertProduct,
  putStock,
  setOptions,
  setPictures,
  setProductCategories,
  setProductTags,
  setVariants,
  updateProduct,
} from './put-products';
import { statement } from '../database/statements';

type PlainName = keyof typeof plainVariantColumns;
const plainNames = Object.keys(plainVariantColumns) as PlainName[];

const isOwn = (name: keyof ProductFields): name is Exclude<typeof name, RelationKind> =>
  !relationKinds.includes(name as RelationKind);
const ownNames = productFieldNames.filter(isOwn);

/** What must be written to make one state of a product another; plain data, which can be handed to a thread. */
export type ProductDifference =
  | { id: string; deleted: true }
  | { id: string; added: Product }
  | {
      id: string;
      fields: Partial<ProductFields>;
      categoryIds?: readonly string[];
      tagIds?: readonly string[];
      pictures?: Product['pictures'];
      options?: readonly Option[];
      /** of variants that stay the same ones: what differs, by id */
      variantFields: readonly { id: string; fields: Partial<Variant> }[];
      /** all variants, where others came or went */
      variants?: readonly Variant[];
    };

function variantFields(
  before: readonly Variant[],
  after: readonly Variant[],
): { id: string; fields: Partial<Variant> }[] {
  return after.flatMap((variant, i) => {
    const was = before[i]!;
    if (variant === was) return [];
    const fields: Record<string, unknown> = {};
    for (const name of [...plainNames, 'stock' as const]) if (variant[name] !== was[name]) fields[name] = variant[name];
    return Object.keys(fields).length > 0 ? [{ id: variant.id, fields: fields }] : [];
  });
}

/** What differs between two states of a product. What is the same object is not looked at. */
export function differenceOf(before: Product, after: Product): ProductDifference {
  const fields: Record<string, unknown> = {};
  for (const name of ownNames) if (before[name] !== after[name]) fields[name] = after[name];
  if (before.relations !== after.relations)
    for (const kind of relationKinds)
      if (before.relations[kind] !== after.relations[kind]) fields[kind] = after.relations[kind];
  const areSame =
    before.variants.length === after.variants.length &&
    after.variants.every(({ id, values }, i) => id === before.variants[i]!.id && values === before.variants[i]!.values);
  return {
    id: before.id,
    fields: fields,
    ...(before.categoryIds === after.categoryIds ? {} : { categoryIds: after.categoryIds }),
    ...(before.tagIds === after.tagIds ? {} : { tagIds: after.tagIds }),
    ...(before.pictures === after.pictures ? {} : { pictures: after.pictures }),
    ...(before.options === after.options ? {} : { options: after.options }),
    variantFields: areSame ? variantFields(before.variants, after.variants) : [],
    ...(areSame ? {} : { variants: after.variants }),
  };
}

function putVariantFields(db: Db, productId: string, id: string, fields: Partial<Variant>): void {
  const names = plainNames.filter((name) => name in fields);
  if (names.length > 0)
    statement(
      db,
      `UPDATE variant SET ${names.map((name) => `${plainVariantColumns[name].column} = ?`).join(', ')} WHERE id = ?`,
    ).run(
      names.map((name) => toColumn(fields[name], plainVariantColumns[name].as)),
      id,
    );
  if (fields.stock !== undefined) putStock(db, productId, { id, stock: fields.stock });
}

function addProduct(db: Db, product: Product): void {
  const { id, created, relations, categoryIds, tagIds, options, variants, pictures } = product;
  const fields = Object.fromEntries(ownNames.map((name) => [name, product[name]]));
  insertProduct(db, id, { ...fields, ...relations }, created);
  setProductCategories(db, id, categoryIds);
  setProductTags(db, id, tagIds);
  setOptions(db, id, options);
  setPictures(db, id, pictures);
  setVariants(db, id, variants);
}

/** Writes a difference: much less work than putting whole rows. */
export function putDifference(db: Db, difference: ProductDifference): void {
  const { id } = difference;
  if ('deleted' in difference) return deleteProduct(db, id);
  if ('added' in difference) return addProduct(db, difference.added);
  const { fields, categoryIds, tagIds, pictures, options, variants } = difference;
  updateProduct(db, id, fields);
  if (categoryIds) setProductCategories(db, id, categoryIds);
  if (tagIds) setProductTags(db, id, tagIds);
  if (pictures) setPictures(db, id, pictures);
  if (options) setOptions(db, id, options);
  if (variants) setVariants(db, id, variants);
  for (const { id: variantId, fields: changed } of difference.variantFields)
    putVariantFields(db, id, variantId, changed);
}
