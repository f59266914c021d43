import type { Option, Variant } from '../../core/model/product';
import type { Picture } from '../../core/model/product-values';
import type { Db } from '../database/connection';
import { plainVariantColumns, productColumns, productFieldNames, toColumn, type ProductFields } from './products';
import { statement } from '../database/statements';

/** Adds a product; fields that are not given are what the database takes for usual. */
export function insertProduct(db: Db, id: string, fields: Partial<ProductFields>, created: string): void {
  const names = productFieldNames.filter((name) => fields[name] !== undefined);
  statement(
    db,
    `INSERT INTO product (id, created, ${names.map((name) => productColumns[name].column).join(', ')})
     VALUES (?, ?, ${names.map(() => '?').join(', ')})`,
  ).run(id, created, ...names.map((name) => toColumn(fields[name], productColumns[name].as)));
}

export function updateProduct(db: Db, id: string, fields: Partial<ProductFields>): void {
  const names = productFieldNames.filter((name) => fields[name] !== undefined);
  if (names.length === 0) return;
  statement(
    db,
    `UPDATE product SET ${names.map((name) => `${productColumns[name].column} = ?`).join(', ')} WHERE id = ?`,
  ).run(...names.map((name) => toColumn(fields[name], productColumns[name].as)), id);
}

export function deleteProduct(db: Db, id: string): void {
  statement(db, `DELETE FROM product WHERE id = ?`).run(id);
}

export function setProductCategories(db: Db, id: string, categoryIds: readonly string[]): void {
  const list = JSON.stringify(categoryIds);
  statement(
    db,
    `DELETE FROM product_category WHERE product_id = ? AND category_id NOT IN (SELECT value FROM json_each(?))`,
  ).run(id, list);
  const put = statement(
    db,
    `INSERT INTO product_category (product_id, category_id, position) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET position = excluded.position`,
  );
  categoryIds.forEach((categoryId, position) => put.run(id, categoryId, position));
}

export function setProductTags(db: Db, id: string, tagIds: readonly string[]): void {
  const list = JSON.stringify(tagIds);
  statement(db, `DELETE FROM product_tag WHERE product_id = ? AND tag_id NOT IN (SELECT value FROM json_each(?))`).run(
    id,
    list,
  );
  const put = statement(db, `INSERT INTO product_tag (product_id, tag_id) VALUES (?, ?) ON CONFLICT DO NOTHING`);
  for (const tagId of tagIds) put.run(id, tagId);
}

/** Makes the options of a product exactly these. Variants are another matter: see `setVariants`. */
export function setOptions(db: Db, id: string, options: readonly Option[]): void {
  const keep = JSON.stringify(options.map((option) => option.id));
  const keepValues = JSON.stringify(options.flatMap((option) => option.values.map((value) => value.id)));
  statement(db, `DELETE FROM option_value WHERE product_id = ? AND id NOT IN (SELECT value FROM json_each(?))`).run(
    id,
    keepValues,
  );
  statement(db, `DELETE FROM option WHERE product_id = ? AND id NOT IN (SELECT value FROM json_each(?))`).run(id, keep);
  const putOption = statement(
    db,
    `INSERT INTO option (id, product_id, position, name, list_id) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET position = excluded.position, name = excluded.name, list_id = excluded.list_id`,
  );
  const putValue = statement(
    db,
    `INSERT INTO option_value (id, product_id, option_id, position, name, swatch, picture_id)
     VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET position = excluded.position, name = excluded.name, swatch = excluded.swatch,
       picture_id = excluded.picture_id`,
  );
  options.forEach((option, position) => {
    putOption.run(option.id, id, position, option.name, option.listId);
    option.values.forEach((value, place) =>
      putValue.run(value.id, id, option.id, place, value.name, value.swatch, value.pictureId),
    );
  });
}

const variantColumns = Object.entries(plainVariantColumns);
const variantValues = (productId: string, variant: Variant, position: number) => [
  variant.id,
  productId,
  position,
  JSON.stringify(variant.values),
  ...variantColumns.map(([name, { as }]) => toColumn(variant[name as keyof Variant], as)),
];
const variantNames = ['position', 'value_ids', ...variantColumns.map(([, { column }]) => column)];
const putVariant = `INSERT INTO variant (id, product_id, ${variantNames.join(', ')})
  VALUES (?, ?, ${variantNames.map(() => '?').join(', ')})
  ON CONFLICT DO UPDATE SET ${variantNames.map((name) => `${name} = excluded.${name}`).join(', ')}`;

/** Makes `stock` what is left of a variant now: what shoppers took before is counted on top. */
export function putStock(db: Db, productId: string, { id, stock }: Pick<Variant, 'id' | 'stock'>): void {
  statement(
    db,
    `INSERT INTO stock (variant_id, product_id, count)
     VALUES (@id, @productId, @stock + coalesce((SELECT pieces FROM stock_taken WHERE variant_id = @id), 0))
     ON CONFLICT DO UPDATE SET count = excluded.count`,
  ).run({ id, productId, stock });
}

/**
 * Makes the variants of a product exactly these, in this order, with their stock. `changed`: ids of those that are not as
 * they were; the others are left alone.
 */
export function setVariants(db: Db, id: string, variants: readonly Variant[], changed?: ReadonlySet<string>): void {
  const keep = JSON.stringify(variants.map((variant) => variant.id));
  statement(db, `DELETE FROM variant WHERE product_id = ? AND id NOT IN (SELECT value FROM json_each(?))`).run(
    id,
    keep,
  );
  const put = statement(db, putVariant);
  variants.forEach((variant, position) => {
    if (changed && !changed.has(variant.id)) return;
    put.run(variantValues(id, variant, position));
    putStock(db, id, variant);
  });
}

export function setPictures(db: Db, id: string, pictures: readonly Picture[]): void {
  const keep = JSON.stringify(pictures.map((picture) => picture.id));
  statement(db, `DELETE FROM picture WHERE product_id = ? AND id NOT IN (SELECT value FROM json_each(?))`).run(
    id,
    keep,
  );
  const put = statement(
    db,
    `INSERT INTO picture (id, product_id, position, media_hash, alt, focus_x, focus_y, fit) VALUES (?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET position = excluded.position, media_hash = excluded.media_hash, alt = excluded.alt,
       focus_x = excluded.focus_x, focus_y = excluded.focus_y, fit = excluded.fit`,
  );
  pictures.forEach(({ id: pictureId, media, alt, focus, fit }, position) =>
    put.run(pictureId, id, position, media, alt, focus.x, focus.y, fit),
  );
}

/** The place behind all products that are featured. */
export function nextFeaturedPlace(db: Db): number {
  return statement(db, `SELECT ifnull(max(featured_place), 0) + 1 FROM product WHERE featured = 1`)
    .pluck()
    .get() as number;
}
