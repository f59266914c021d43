import type { Done } from '../../core/history/done';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import { mergedProduct, refuseMerge, refuseSplit, splitProducts } from '../../core/products/merge-split';
import type { Product } from '../../core/model/product';
import type { bulkRoutes } from '../../contract/bulk';
import type { BodyOf } from '../../contract/route';
import { isSlugTaken } from '../store/groups';
import { differenceOf, putDifference } from '../store/product-difference';
import {
  deleteProduct,
  insertProduct,
  setOptions,
  setPictures,
  setProductCategories,
  setProductTags,
  setVariants,
} from '../store/put-products';
import { keepRedirect } from '../store/redirects';
import { newId } from '../shared/ids';
import { invalidField } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';

/** Writes a product whose options may have become others: pictures before options before variants, which name them. */
function putReshaped({ db }: Catalog, before: Product, after: Product): void {
  setPictures(db, before.id, after.pictures);
  setOptions(db, before.id, after.options);
  putDifference(db, differenceOf({ ...before, pictures: after.pictures }, after));
}

/** Makes several products one. Answers its id. The addresses of the others lead to it. */
export function mergeProducts(
  catalog: Catalog,
  user: UserId,
  { ids, option, values }: BodyOf<typeof bulkRoutes.merge>,
): string {
  const products = [...new Set(ids)].map((id) => productOrRefuse(catalog, id));
  const problem =
    products.length === values.length ? refuseMerge(products, option, values) : 'Each product needs a value.';
  if (problem) throw invalidField(['option'], problem);
  const [first, ...others] = products as [Product, ...Product[]];
  const merged = mergedProduct(products, option, values, newId);
  const { db } = catalog;
  const done: Done = { did: 'productsMerged', title: first.title, count: products.length };
  catalog.journal.change(done, catalog.actor(user), () => {
    // First the others go, so that no SKU stands twice on the way.
    for (const { id, slug } of others) {
      deleteProduct(db, id);
      if (catalog.live.hashes.has(`product:${id}`)) keepRedirect(db, 'product', slug, first.slug, first.id);
    }
    putReshaped(catalog, first, merged);
  });
  return first.id;
}

/** Makes a product several, one for each value of an option. Answers their ids, its own first. */
export function splitProduct(catalog: Catalog, user: UserId, id: string, optionId: string): string[] {
  const product = productOrRefuse(catalog, id);
  const problem = refuseSplit(product, optionId);
  if (problem) throw invalidField(['optionId'], problem);
  const [first, ...others] = splitProducts(product, optionId, newId) as [Product, ...Product[]];
  const { db } = catalog;
  const done: Done = { did: 'productSplit', title: product.title, count: others.length + 1 };
  catalog.journal.change(done, catalog.actor(user), () => {
    putReshaped(catalog, product, first);
    for (const other of others) {
      const { relations, ...plain } = other;
      const slug = freeSlug(slugFrom(other.title), (wanted) => isSlugTaken(db, 'product', wanted));
      insertProduct(db, other.id, { ...plain, ...relations, slug }, catalog.clock().toISOString());
      setProductCategories(db, other.id, other.categoryIds);
      setProductTags(db, other.id, other.tagIds);
      setPictures(db, other.id, other.pictures);
      setOptions(db, other.id, other.options);
      setVariants(db, other.id, other.variants);
    }
  });
  return [first.id, ...others.map((other) => other.id)];
}
