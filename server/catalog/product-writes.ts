import { freeSlug, slugFrom } from '../../core/catalog/identity';
import { formatMoney } from '../../core/catalog/money';
import type { Option, Picture, Product, ProductKind, Variant } from '../../core/catalog/product';
import { checkOptions, holdsWork, planVariants, variantName } from '../../core/catalog/variants';
import { refuseSalePrice } from '../../core/pricing/price';
import type { goodsRoutes } from '../../contract/goods';
import type { FieldError } from '../../contract/problem';
import type { BodyOf } from '../../contract/route';
import { isSlugTaken, keepRedirect } from '../database/groups';
import {
  deleteProduct,
  insertProduct,
  productColumns,
  setOptions,
  setPictures,
  setProductCategories,
  setProductTags,
  setVariants,
  updateProduct,
  type ProductFields,
} from '../database/products';
import { newId } from '../ids';
import { clash, invalid, invalidField, needsConfirmation, notFound } from '../problem';
import { cleanRichText } from '../security/rich-text';
import type { Catalog } from './catalog';

type Fields = BodyOf<typeof goodsRoutes.update>['fields'];
type VariantChanges = BodyOf<typeof goodsRoutes.setVariants>['changes'];
type WantedOptions = BodyOf<typeof goodsRoutes.setOptions>['options'];

/** Who writes, for the journal. */
export type UserId = string | null;

export function productOrRefuse(catalog: Catalog, id: string): Product {
  const product = catalog.working.products.get(id);
  if (!product) throw notFound('This product does not exist any more.');
  return product;
}

function newVariant(values: string[], like: Pick<Variant, 'price' | 'cost'> & Partial<Variant>): Variant {
  const { price, cost } = like;
  return { id: newId('variant'), values, sku: '', price, salePrice: null, cost, pictureId: null, stock: null };
}

export function createProduct(
  catalog: Catalog,
  user: UserId,
  { title, kind, price }: { title: string; kind: ProductKind; price: number },
): string {
  const id = newId('product');
  const { db } = catalog;
  catalog.journal.change(`Added “${title}”`, catalog.actor(user), () => {
    const slug = freeSlug(slugFrom(title), (wanted) => isSlugTaken(db, 'product', wanted));
    const created = catalog.clock().toISOString();
    insertProduct(
      db,
      id,
      { kind, title, summary: '', description: '', slug, standing: 'draft', featured: false, brandId: null },
      created,
    );
    setVariants(db, id, [newVariant([], { price, cost: null })]);
  });
  return id;
}

const fieldWords: Record<keyof Fields, string> = {
  kind: 'kind',
  title: 'title',
  summary: 'summary',
  description: 'description',
  slug: 'address',
  standing: 'standing',
  featured: 'featured',
  brandId: 'brand',
  categoryIds: 'categories',
  tagIds: 'tags',
};

function updateLabel(product: Product, fields: Fields): string {
  const title = fields.title ?? product.title;
  const names = Object.keys(fields) as (keyof Fields)[];
  if (names.length === 1 && fields.standing)
    return {
      live: `Put “${title}” on the shop`,
      draft: `Made “${title}” a draft`,
      off: `Took “${title}” off the shop`,
    }[fields.standing];
  return `Changed ${names.map((name) => fieldWords[name]).join(', ')} of “${title}”`;
}

/** Fields that somebody else changed since `seen`, and that would be overwritten. */
function refuseClash(catalog: Catalog, product: Product, seen: number, fields: Fields): void {
  const subject = `product:${product.id}`;
  const { journal } = catalog;
  const columns = journal.columnsChangedSince(seen, subject, 'product', JSON.stringify([product.id]));
  const errors: FieldError[] = [];
  for (const name of Object.keys(fields) as (keyof Fields)[]) {
    const table = { categoryIds: 'product_category', tagIds: 'product_tag' }[name as 'categoryIds' | 'tagIds'];
    const isTouched = table
      ? journal.columnsChangedSince(seen, subject, table).size > 0
      : columns.has(productColumns[name as keyof ProductFields]);
    if (isTouched && JSON.stringify(product[name]) !== JSON.stringify(fields[name]))
      errors.push({
        path: ['fields', name],
        message: `The ${fieldWords[name]} was changed by somebody else.`,
        theirs: product[name],
      });
  }
  if (errors.length > 0) throw clash(errors);
}

function refuseUnknown(catalog: Catalog, fields: Fields): void {
  const { shop } = catalog.working;
  const errors: FieldError[] = [];
  if (fields.brandId && !shop.brands.has(fields.brandId))
    errors.push({ path: ['fields', 'brandId'], message: 'This brand was deleted. Choose another.' });
  if (fields.categoryIds?.some((id) => !shop.categories.has(id)))
    errors.push({ path: ['fields', 'categoryIds'], message: 'One of these categories was deleted.' });
  if (fields.tagIds?.some((id) => !shop.tags.has(id)))
    errors.push({ path: ['fields', 'tagIds'], message: 'One of these tags was deleted.' });
  if (errors.length > 0) throw invalid(errors);
}

export function changeProduct(catalog: Catalog, user: UserId, id: string, seen: number, fields: Fields): void {
  const product = productOrRefuse(catalog, id);
  const { db } = catalog;
  const { categoryIds, tagIds, ...plain } = fields;
  if (plain.description !== undefined) plain.description = cleanRichText(plain.description);
  refuseUnknown(catalog, fields);
  if (plain.slug && isSlugTaken(db, 'product', plain.slug, id))
    throw invalidField(['fields', 'slug'], 'Another product has this address already.');
  refuseClash(catalog, product, seen, fields);
  const isUnseen = !catalog.live.hashes.has(`product:${id}`);
  catalog.journal.change(updateLabel(product, fields), catalog.actor(user), () => {
    const isSlugOfTitle = product.slug.replace(/-\d+$/, '') === slugFrom(product.title);
    if (plain.title && !plain.slug && isUnseen && product.standing === 'draft' && isSlugOfTitle)
      plain.slug = freeSlug(slugFrom(plain.title), (wanted) => isSlugTaken(db, 'product', wanted, id));
    updateProduct(db, id, plain);
    if (plain.slug && plain.slug !== product.slug && !isUnseen)
      keepRedirect(db, 'product', product.slug, plain.slug, id);
    if (categoryIds) setProductCategories(db, id, [...new Set(categoryIds)]);
    if (tagIds) setProductTags(db, id, [...new Set(tagIds)]);
  });
}

/** Sets the options; the variants follow. Asks first when variants with work in them would go. */
export function changeOptions(
  catalog: Catalog,
  user: UserId,
  id: string,
  { seen, options: wanted, confirmed }: { seen: number; options: WantedOptions; confirmed: boolean },
): void {
  const product = productOrRefuse(catalog, id);
  const problems = checkOptions(wanted);
  if (problems.length > 0) throw invalid(problems);
  const subject = `product:${id}`;
  const { journal } = catalog;
  if (['option', 'option_value'].some((table) => journal.columnsChangedSince(seen, subject, table).size > 0))
    throw clash([
      { path: ['options'], message: 'The options were changed by somebody else.', theirs: product.options },
    ]);
  const known = new Set(product.options.flatMap((option) => [option.id, ...option.values.map((value) => value.id)]));
  const idOr = (given: string | null, kind: 'option' | 'optionValue') =>
    given !== null && known.has(given) ? given : newId(kind);
  const options = wanted.map((option): Option => ({
    id: idOr(option.id, 'option'),
    name: option.name.trim(),
    values: option.values.map((value) => ({
      id: idOr(value.id, 'optionValue'),
      name: value.name.trim(),
      swatch: value.swatch,
    })),
  }));
  const plan = planVariants(product.options, options, product.variants);
  const losing = plan.drop.filter(holdsWork);
  if (losing.length > 0 && !confirmed)
    throw needsConfirmation(
      losing.length === 1
        ? 'One variant with SKU, stock or a sale price would go.'
        : `${losing.length} variants with SKU, stock or a sale price would go.`,
      losing
        .slice(0, 8)
        .map(
          (variant) =>
            `${variantName(product.options, variant)}${variant.sku ? ` (${variant.sku})` : ''}: ${variant.stock ?? 'uncounted'} in stock`,
        )
        .join('\n') + (losing.length > 8 ? `\nand ${losing.length - 8} more` : ''),
    );
  const made = [
    ...plan.keep.map(({ variant, values }) => ({ ...variant, values })),
    ...plan.add.map(({ values, like }) => newVariant(values, like ?? { price: 0, cost: null })),
  ];
  const place = new Map(options.map((option) => [option.id, new Map(option.values.map((value, i) => [value.id, i]))]));
  const rank = (variant: Variant) => variant.values.map((value, i) => place.get(options[i]!.id)!.get(value)!);
  made.sort((a, b) => {
    const [x, y] = [rank(a), rank(b)];
    const at = x.findIndex((n, i) => n !== y[i]);
    return at < 0 ? 0 : x[at]! - y[at]!;
  });
  journal.change(`Changed options of “${product.title}”`, catalog.actor(user), () => {
    setOptions(catalog.db, id, options);
    setVariants(catalog.db, id, made);
  });
}

const variantColumns = {
  sku: 'sku',
  price: 'price',
  salePrice: 'sale_price',
  cost: 'cost',
  stock: 'count',
  pictureId: 'picture_id',
} as const;
const variantWords = {
  sku: 'SKU',
  price: 'price',
  salePrice: 'sale price',
  cost: 'cost',
  stock: 'stock',
  pictureId: 'picture',
} as const;

export function changeVariants(
  catalog: Catalog,
  user: UserId,
  id: string,
  seen: number,
  changes: VariantChanges,
): void {
  const product = productOrRefuse(catalog, id);
  const { journal } = catalog;
  const errors: FieldError[] = [];
  const clashes: FieldError[] = [];
  const next = new Map(product.variants.map((variant) => [variant.id, variant]));
  changes.forEach(({ id: variantId, fields }, i) => {
    const variant = next.get(variantId);
    const path = (name: string) => ['changes', i, 'fields', name];
    if (!variant) throw notFound('This variant does not exist any more.');
    if (fields.pictureId && !product.pictures.some((picture) => picture.id === fields.pictureId))
      errors.push({ path: path('pictureId'), message: 'This picture was deleted. Choose another.' });
    for (const name of Object.keys(fields) as (keyof typeof variantColumns)[]) {
      const table = name === 'stock' ? 'stock' : 'variant';
      const columns = journal.columnsChangedSince(seen, `product:${id}`, table, JSON.stringify([variantId]));
      if (columns.has(variantColumns[name]) && variant[name] !== fields[name])
        clashes.push({
          path: path(name),
          message: `The ${variantWords[name]} was changed by somebody else.`,
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
  if (errors.length > 0) throw invalid(errors);
  if (clashes.length > 0) throw clash(clashes);
  const names = new Set(changes.flatMap(({ fields }) => Object.keys(fields) as (keyof typeof variantWords)[]));
  const words = [...names].map((name) => variantWords[name]).join(', ');
  journal.change(`Changed ${words} of “${product.title}”`, catalog.actor(user), () =>
    setVariants(catalog.db, id, [...next.values()]),
  );
}

export function addPictures(
  catalog: Catalog,
  user: UserId,
  id: string,
  media: readonly Omit<Picture, 'id' | 'alt' | 'focus'>[],
): void {
  const product = productOrRefuse(catalog, id);
  const added = media.map((each) => ({ ...each, id: newId('picture'), alt: '', focus: { x: 0.5, y: 0.5 } }));
  const label = added.length === 1 ? 'a picture' : `${added.length} pictures`;
  catalog.journal.change(`Added ${label} to “${product.title}”`, catalog.actor(user), () =>
    setPictures(catalog.db, id, [...product.pictures, ...added]),
  );
}

/** Order, words and focus of pictures; those left out go. Pictures added meanwhile by somebody else stay. */
export function changePictures(
  catalog: Catalog,
  user: UserId,
  id: string,
  { seen, pictures }: { seen: number; pictures: readonly { id: string; alt: string; focus: Picture['focus'] }[] },
): void {
  const product = productOrRefuse(catalog, id);
  const known = new Map(product.pictures.map((picture) => [picture.id, picture]));
  const next = pictures.flatMap((wanted) => {
    const picture = known.get(wanted.id);
    return picture ? [{ ...picture, alt: wanted.alt.trim(), focus: wanted.focus }] : [];
  });
  const isStale = catalog.journal.columnsChangedSince(seen, `product:${id}`, 'picture').size > 0;
  if (isStale)
    throw clash([
      { path: ['pictures'], message: 'The pictures were changed by somebody else.', theirs: product.pictures },
    ]);
  catalog.journal.change(`Changed pictures of “${product.title}”`, catalog.actor(user), () =>
    setPictures(catalog.db, id, next),
  );
}

export function removeProduct(catalog: Catalog, user: UserId, id: string): void {
  const product = productOrRefuse(catalog, id);
  catalog.journal.change(`Deleted “${product.title}”`, catalog.actor(user), () => deleteProduct(catalog.db, id));
}
