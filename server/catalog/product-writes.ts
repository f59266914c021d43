import { freeSlug, slugFrom } from '../../core/catalog/identity';
import { deliveryFields, emptiedBy, kindParts, lostBy } from '../../core/catalog/kinds';
import { relationKinds, type Product, type ProductKind, type RelationKind } from '../../core/catalog/product';
import { specProblem } from '../../core/catalog/spec';
import { canonicalJson } from '../../core/editions/document';
import { refuseQuantityPrices, refuseSpan } from '../../core/pricing/price';
import { checkRule } from '../../core/rules/check';
import { kindWords } from '../../core/rules/field';
import type { goodsRoutes } from '../../contract/goods';
import type { FieldError } from '../../contract/problem';
import type { BodyOf } from '../../contract/route';
import { isSlugTaken, keepRedirect } from '../database/groups';
import { productColumns, type ProductFields } from '../database/products';
import {
  deleteProduct,
  nextFeaturedPlace,
  insertProduct,
  setProductCategories,
  setProductTags,
  setVariants,
  updateProduct,
} from '../database/put-products';
import { newId } from '../ids';
import { clash, invalid, invalidField, needsConfirmation } from '../problem';
import { cleanRichText } from '../security/rich-text';
import { bundleProblems, refuseBecomingBundle } from './bundle-checks';
import type { Catalog } from './catalog';
import { fileProblems } from './file-writes';
import { productOrRefuse, type UserId } from './product-or-refuse';
import { fieldWords } from './field-words';
import { newVariant } from './variant-writes';

type Fields = BodyOf<typeof goodsRoutes.update>['fields'];

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

/** A field of a product by the name under which it is written. */
function fieldOf(product: Product, name: keyof Fields): unknown {
  return name in product.relations
    ? product.relations[name as RelationKind]
    : product[name as Exclude<keyof Fields, RelationKind>];
}

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
      : columns.has(productColumns[name as keyof ProductFields].column);
    if (isTouched && canonicalJson(fieldOf(product, name)) !== canonicalJson(fields[name]))
      errors.push({
        path: ['fields', name],
        message: `The ${fieldWords[name]} was changed by somebody else.`,
        theirs: fieldOf(product, name),
      });
  }
  if (errors.length > 0) throw clash(errors);
}

/** What is wrong with these fields because it names something that does not exist (any more). */
export function refuseUnknown(catalog: Catalog, fields: Fields): FieldError[] {
  const { shop } = catalog.working;
  const errors: FieldError[] = [];
  if (fields.brandId && !shop.brands.has(fields.brandId))
    errors.push({ path: ['fields', 'brandId'], message: 'This brand was deleted. Choose another.' });
  if (fields.categoryIds?.some((id) => !shop.categories.has(id)))
    errors.push({ path: ['fields', 'categoryIds'], message: 'One of these categories was deleted.' });
  if (fields.tagIds?.some((id) => !shop.tags.has(id)))
    errors.push({ path: ['fields', 'tagIds'], message: 'One of these tags was deleted.' });
  if (fields.specSheetId && !shop.specSheets.has(fields.specSheetId))
    errors.push({ path: ['fields', 'specSheetId'], message: 'This spec sheet was deleted. Choose another.' });
  for (const kind of relationKinds) {
    const relation = fields[kind];
    if (relation?.how === 'picked' && relation.ids.some((id) => !shop.products.has(id)))
      errors.push({ path: ['fields', kind], message: 'One of these products was deleted.' });
  }
  return errors;
}

/** Asks before another kind loses something that was filled in. */
function refuseLoss(product: Product, kind: ProductKind): void {
  const lost = lostBy(product, kind);
  if (lost.length > 0)
    throw needsConfirmation(
      `As a ${kindWords[kind]}, it loses ${lost.join(', ').replace(/, ([^,]*)$/, ' and $1')}.`,
      'Undo brings it back.',
    );
}

export function changeProduct(
  catalog: Catalog,
  user: UserId,
  id: string,
  { seen, fields: typed, confirmed = false }: { seen: number; fields: Fields; confirmed?: boolean },
): void {
  const product = productOrRefuse(catalog, id);
  const isOtherKind = typed.kind !== undefined && typed.kind !== product.kind;
  if (isOtherKind && typed.kind === 'bundle') {
    const problem = refuseBecomingBundle(catalog, product);
    if (problem) throw invalidField(['fields', 'kind'], problem);
  }
  if (isOtherKind && !confirmed) refuseLoss(product, typed.kind!);
  const fields: Fields = isOtherKind ? { ...emptiedBy(typed.kind!, product.files), ...typed } : typed;
  const { db } = catalog;
  const { categoryIds, tagIds, ...plain } = fields;
  if (plain.description !== undefined) plain.description = cleanRichText(plain.description);
  const unknown = refuseUnknown(catalog, fields);
  if (unknown.length > 0) throw invalid(unknown);
  refuseMisfits(catalog, product, fields);
  if (plain.slug && isSlugTaken(db, 'product', plain.slug, id))
    throw invalidField(['fields', 'slug'], 'Another product has this address already.');
  refuseClash(catalog, product, seen, fields);
  if (plain.featured && !product.featured) (plain as Partial<ProductFields>).featuredPlace = nextFeaturedPlace(db);
  const isUnseen = !catalog.live.hashes.has(`product:${id}`);
  catalog.journal.change(updateLabel(product, typed), catalog.actor(user), () => {
    const isSlugOfTitle = product.slug.replace(/-\d+$/, '') === slugFrom(product.title);
    if (plain.title && !plain.slug && isUnseen && product.standing === 'draft' && isSlugOfTitle)
      plain.slug = freeSlug(slugFrom(plain.title), (wanted) => isSlugTaken(db, 'product', wanted, id));
    updateProduct(db, id, plain);
    if (isOtherKind && !kindParts[typed.kind!].delivery)
      setVariants(
        db,
        id,
        product.variants.map((variant) => ({ ...variant, ...deliveryFields })),
      );
    if (plain.slug && plain.slug !== product.slug && !isUnseen)
      keepRedirect(db, 'product', product.slug, plain.slug, id);
    if (categoryIds) setProductCategories(db, id, [...new Set(categoryIds)]);
    if (tagIds) setProductTags(db, id, [...new Set(tagIds)]);
  });
}

/** Fields that do not go together, or not with what the product already has. */
function refuseMisfits(catalog: Catalog, product: Product, fields: Fields): void {
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
    if (relation?.how === 'picked' && relation.ids.includes(product.id))
      blame(kind, 'A product cannot stand beside itself.');
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
  if (errors.length > 0) throw invalid(errors);
}

export function removeProduct(catalog: Catalog, user: UserId, id: string): void {
  const product = productOrRefuse(catalog, id);
  catalog.journal.change(`Deleted “${product.title}”`, catalog.actor(user), () => deleteProduct(catalog.db, id));
}
