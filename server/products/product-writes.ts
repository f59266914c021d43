import { refusals } from '../shared/refusals';
import type { Done } from '../../core/history/done';
import type { Was } from '../../contract/was';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import { noDelivery, emptiedBy, kindParts, lostBy } from '../../core/products/kinds';
import { type Product } from '../../core/model/product';
import { type ProductKind } from '../../core/model/product-values';
import { isSlugTaken } from '../store/groups';
import { type ProductFields } from '../store/products';
import {
  deleteProduct,
  nextFeaturedPlace,
  insertProduct,
  setProductCategories,
  setProductTags,
  setVariants,
  updateProduct,
} from '../store/put-products';
import { keepRedirect } from '../store/redirects';
import { newId } from '../shared/ids';
import { clash, invalid, invalidField, needsConfirmation } from '../shared/problem';
import { cleanRichText } from '../shared/rich-text';
import { refuseBecomingBundle } from './bundle-checks';
import type { Catalog } from '../state/catalog';
import { clashesOf, mergedProductFields, misfitsOf, unknownOf, type Fields } from './checks';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';
import { newVariant } from '../store/new-variant';

export function createProduct(
  catalog: Catalog,
  user: UserId,
  { title, kind, price }: { title: string; kind: ProductKind; price: number },
): string {
  const id = newId('product');
  const { db } = catalog;
  catalog.journal.change({ did: 'productAdded', title }, catalog.actor(user), () => {
    const slug = freeSlug(slugFrom(title), (wanted) => isSlugTaken(db, 'product', wanted));
    const created = catalog.clock().toISOString();
    insertProduct(
      db,
      id,
      { kind, title, summary: '', description: '', slug, status: 'draft', featured: false, brandId: null },
      created,
    );
    setVariants(db, id, [newVariant([], { price, cost: null })]);
  });
  return id;
}

function doneTo(product: Product, fields: Fields): Done {
  const title = fields.title ?? product.title;
  const names = Object.keys(fields);
  return names.length === 1 && fields.status
    ? { did: 'statusChanged', title, status: fields.status }
    : { did: 'productChanged', title, fields: names };
}

/** Asks before another kind loses something that was filled in. */
function refuseLoss(product: Product, kind: ProductKind): void {
  const lost = lostBy(product, kind);
  if (lost.length > 0)
    throw needsConfirmation(
      `As a ${kindParts[kind].name}, it loses ${lost.join(', ').replace(/, ([^,]*)$/, ' and $1')}.`,
      'Undo brings it back.',
    );
}

export function changeProduct(
  catalog: Catalog,
  user: UserId,
  id: string,
  { seen, fields: wanted, was, confirmed = false }: { seen: number; fields: Fields; was?: Was; confirmed?: boolean },
): void {
  const product = productOrRefuse(catalog, id);
  const { description } = wanted;
  const clean = description === undefined ? wanted : { ...wanted, description: cleanRichText(description) };
  const typed = mergedProductFields(product, clean, was);
  const isOtherKind = typed.kind !== undefined && typed.kind !== product.kind;
  if (isOtherKind && typed.kind === 'bundle') {
    const problem = refuseBecomingBundle(catalog, product);
    if (problem) throw invalidField(['fields', 'kind'], problem);
  }
  if (isOtherKind && !confirmed) refuseLoss(product, typed.kind!);
  const fields: Fields = isOtherKind ? { ...emptiedBy(typed.kind!, product.files), ...typed } : typed;
  const { db } = catalog;
  const { categoryIds, tagIds, ...plain } = fields;
  const unknown = unknownOf(catalog, fields);
  if (unknown.length > 0) throw invalid(unknown);
  const misfits = misfitsOf(catalog, product, fields);
  if (misfits.length > 0) throw invalid(misfits);
  if (plain.slug && isSlugTaken(db, 'product', plain.slug, id))
    throw invalidField(['fields', 'slug'], refusals.takenAddress('product'));
  const clashes = clashesOf(catalog, product, seen, fields).filter(({ path }) => !(String(path[1]) in (was ?? {})));
  if (clashes.length > 0) throw clash(clashes);
  if (plain.featured && !product.featured) (plain as Partial<ProductFields>).featuredPlace = nextFeaturedPlace(db);
  const isUnseen = !catalog.live.hashes.has(`product:${id}`);
  catalog.journal.change(doneTo(product, typed), catalog.actor(user), () => {
    const isSlugOfTitle = product.slug.replace(/-\d+$/, '') === slugFrom(product.title);
    if (plain.title && !plain.slug && isUnseen && product.status === 'draft' && isSlugOfTitle)
      plain.slug = freeSlug(slugFrom(plain.title), (wanted) => isSlugTaken(db, 'product', wanted, id));
    updateProduct(db, id, plain);
    if (isOtherKind && !kindParts[typed.kind!].delivery)
      setVariants(
        db,
        id,
        product.variants.map((variant) => ({ ...variant, ...noDelivery })),
      );
    if (plain.slug && plain.slug !== product.slug && !isUnseen)
      keepRedirect(db, 'product', product.slug, plain.slug, id);
    if (categoryIds) setProductCategories(db, id, [...new Set(categoryIds)]);
    if (tagIds) setProductTags(db, id, [...new Set(tagIds)]);
  });
}

export function removeProduct(catalog: Catalog, user: UserId, id: string): void {
  const product = productOrRefuse(catalog, id);
  catalog.journal.change({ did: 'productDeleted', title: product.title }, catalog.actor(user), () =>
    deleteProduct(catalog.db, id),
  );
}
