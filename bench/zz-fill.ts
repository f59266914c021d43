import Database from 'better-sqlite3'; import { mkdirSync } from 'node:fs'; import { join } from 'node:path';
import { Catalog } from '../server/catalog/catalog'; import { putCategory, putNamed } from '../server/database/groups';
import { insertProduct, setOptions, setProductCategories, setProductTags, setVariants } from '../server/database/products';
import { scaledCatalog } from '../demo/scale';
const folder='/tmp/bigdb'; mkdirSync(folder,{recursive:true}); new Catalog(folder).close(); const catalog=scaledCatalog(50000); const db=new Database(join(folder,'dispona.sqlite'));
db.transaction(() => { for (const category of catalog.categories) putCategory(db, category); for (const brand of catalog.brands) putNamed(db, 'brand', brand); for (const tag of catalog.tags) putNamed(db, 'tag', tag);
 for (const product of catalog.products) { insertProduct(db, product.id, product, product.created); setProductCategories(db, product.id, product.categoryIds); setProductTags(db, product.id, product.tagIds); setOptions(db, product.id, product.options); setVariants(db, product.id, product.variants); } })(); db.close();
