import Database from 'better-sqlite3';
import { join } from 'node:path';
import { scaledCatalog } from '../demo/scale';
import { putCategory, putNamed } from '../server/store/groups';
import {
  insertProduct,
  setOptions,
  setProductCategories,
  setProductTags,
  setVariants,
} from '../server/store/put-products';

/** Fills a database through a connection without journal triggers: history of the filling is not what is measured. */
export function fill(folder: string, size: number): ReturnType<typeof scaledCatalog> {
  const catalog = scaledCatalog(size);
  const db = new Database(join(folder, 'dispona.sqlite'));
  db.transaction(() => {
    for (const category of catalog.categories) putCategory(db, category);
    for (const brand of catalog.brands) putNamed(db, 'brand', brand);
    // Shoppers meet a tag only where it has a listing of its own.
    for (const tag of catalog.tags) putNamed(db, 'tag', { ...tag, listed: true });
    for (const product of catalog.products) {
      insertProduct(db, product.id, product, product.created);
      setProductCategories(db, product.id, product.categoryIds);
      setProductTags(db, product.id, product.tagIds);
      setOptions(db, product.id, product.options);
      setVariants(db, product.id, product.variants);
    }
  })();
  db.close();
  return catalog;
}
