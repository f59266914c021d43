import type { Product, Variant } from '../../core/model/product';
import { newSupplier, supplierSchema, supplierWords, type Supplier, type Supply } from '../../core/model/supplier';
import { nameIdentity, isSameName } from '../../core/shared/same-name';
import { costComing, costOn, handOver } from '../../core/suppliers/costs';
import type { BodyOf } from '../../contract/route';
import type { supplierRoutes } from '../../contract/suppliers';
import { parse } from '../http/answer';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { productOrRefuse } from '../state/product-or-refuse';
import { setVariants, updateProduct } from '../store/put-products';
import {
  deleteSupplier,
  deleteSupply,
  putSupplier,
  putSupply,
  readCostsDay,
  readSuppliers,
  readSupplies,
  writeCostsDay,
} from '../store/suppliers';
import { mainGoodsOf, shopDay, supplierOrRefuse } from './queries';

function refuseTaken({ db }: Catalog, name: string, but?: string): void {
  if (readSuppliers(db).some((each) => each.id !== but && isSameName(each.name, name)))
    throw invalidField(['name'], refusals.takenName('a supplier', name));
}

export function addSupplier(catalog: Catalog, user: string, name: string): string {
  refuseTaken(catalog, name);
  const id = newId('supplier');
  catalog.journal.change({ did: 'supplierAdded', name }, catalog.actor(user), () =>
    putSupplier(catalog.db, newSupplier(id, name)),
  );
  return id;
}

/** Changes some of a supplier. Goods that name it take another name over, in the same change. */
export function changeSupplier(
  catalog: Catalog,
  user: string,
  id: string,
  { was, ...fields }: BodyOf<typeof supplierRoutes.change>,
): Supplier {
  const before = supplierOrRefuse(catalog, id);
  const after = parse<typeof supplierSchema>(supplierSchema, {
    ...before,
    ...mergedFields(before, fields, was, supplierWords),
  });
  if (after.name !== before.name) refuseTaken(catalog, after.name, id);
  const renamed = after.name === before.name ? [] : mainGoodsOf(catalog, before);
  catalog.journal.change({ did: 'supplierChanged', name: before.name }, catalog.actor(user), () => {
    putSupplier(catalog.db, after);
    for (const product of renamed) updateProduct(catalog.db, product.id, { supplier: after.name });
  });
  return after;
}

/** Deletes a supplier; its goods are ordered from nobody then. */
export function removeSupplier(catalog: Catalog, user: string, id: string): void {
  const supplier = supplierOrRefuse(catalog, id);
  const goods = mainGoodsOf(catalog, supplier);
  catalog.journal.change({ did: 'supplierDeleted', name: supplier.name }, catalog.actor(user), () => {
    deleteSupplier(catalog.db, id);
    for (const product of goods) updateProduct(catalog.db, product.id, { supplier: '' });
  });
}

/** Writes some variants of a product as they are to become. */
function putVariants({ db }: Catalog, product: Product, fields: ReadonlyMap<string, Partial<Variant>>): void {
  if (fields.size === 0) return;
  const next = product.variants.map((variant) => ({ ...variant, ...fields.get(variant.id) }));
  setVariants(db, product.id, next, new Set(fields.keys()));
}

/** Orders goods here from now on: what the suppliers of before had of them is kept there. */
function makeMain(catalog: Catalog, supplier: Supplier, products: readonly Product[]): void {
  const { db } = catalog;
  const day = shopDay(catalog);
  const suppliers = new Map(readSuppliers(db).map(({ id, name }) => [nameIdentity(name), id]));
  const keyOf = (supplierId: string | undefined, variantId: string) => `${supplierId} ${variantId}`;
  const supplies = new Map(readSupplies(db).map((each) => [keyOf(each.supplierId, each.variantId), each]));
  for (const product of products) {
    const former = suppliers.get(nameIdentity(product.supplier));
    const fields = new Map<string, Partial<Variant>>();
    for (const variant of product.variants) {
      const { id } = variant;
      const [had, next] = [supplies.get(keyOf(former, id)), supplies.get(keyOf(supplier.id, id))];
      const handed = handOver(variant, { former: had, next, day });
      if (former && handed.kept) putSupply(db, { ...handed.kept, supplierId: former, variantId: id });
      fields.set(id, handed.fields);
    }
    putVariants(catalog, product, fields);
    updateProduct(db, product.id, { supplier: supplier.name });
  }
}

/** Goods can be ordered from a supplier: as a rule (`main`), or too. Answers of how many that is new. */
export function addGoods(
  catalog: Catalog,
  user: string,
  id: string,
  { productIds, main }: BodyOf<typeof supplierRoutes.addGoods>,
): number {
  const supplier = supplierOrRefuse(catalog, id);
  const products = [...new Set(productIds)].map((productId) => productOrRefuse(catalog, productId));
  const known = new Set(readSupplies(catalog.db, id).map(({ variantId }) => variantId));
  const fresh = products.filter(
    ({ supplier: name, variants }) =>
      !isSameName(name, supplier.name) && (main || variants.some((variant) => !known.has(variant.id))),
  );
  const count = fresh.reduce((sum, { variants }) => sum + variants.length, 0);
  catalog.journal.change({ did: 'supplyChanged', name: supplier.name, count }, catalog.actor(user), () => {
    if (main) return makeMain(catalog, supplier, fresh);
    for (const { variants } of fresh)
      for (const variant of variants)
        if (!known.has(variant.id))
          putSupply(catalog.db, { supplierId: id, variantId: variant.id, number: '', costs: [] });
  });
  return fresh.length;
}

function productOfVariant({ working }: Catalog, variantId: string): Product {
  for (const product of working.products.values())
    if (product.variants.some(({ id }) => id === variantId)) return product;
  throw notFound(refusals.gone('variant'));
}

/**
 * Sets what a supplier has of a variant. Where it is ordered as a rule, number and cost of today are those of the variant itself:
 * a cost that was agreed for a day until today comes into force at once.
 */
export function setSupply(
  catalog: Catalog,
  user: string,
  id: string,
  variantId: string,
  { number, costs }: Supply,
): void {
  const supplier = supplierOrRefuse(catalog, id);
  const product = productOfVariant(catalog, variantId);
  const isMain = isSameName(product.supplier, supplier.name);
  const before = readSupplies(catalog.db, id).find((each) => each.variantId === variantId);
  const today = shopDay(catalog);
  const [was, is] = [costOn(before?.costs ?? [], today), costOn(costs, today)];
  catalog.journal.change({ did: 'supplyChanged', name: supplier.name, count: 1 }, catalog.actor(user), () => {
    putSupply(catalog.db, { supplierId: id, variantId, number: isMain ? '' : number, costs });
    if (!isMain) return;
    const cost = is !== undefined && is !== was ? { cost: is } : {};
    putVariants(catalog, product, new Map([[variantId, { supplierNumber: number, ...cost }]]));
  });
}

export function dropSupply(catalog: Catalog, user: string, id: string, variantId: string): void {
  const { name } = supplierOrRefuse(catalog, id);
  catalog.journal.change({ did: 'supplyChanged', name, count: 1 }, catalog.actor(user), () =>
    deleteSupply(catalog.db, id, variantId),
  );
}

/** Lets costs come into force that were agreed for a day after `since`, up to `today`. */
function takeAgreedCosts(catalog: Catalog, since: string, today: string): void {
  const names = new Map(readSuppliers(catalog.db).map(({ id, name }) => [id, nameIdentity(name)]));
  const coming = new Map<string, Map<string, number>>();
  for (const { supplierId, variantId, costs } of readSupplies(catalog.db)) {
    const cost = costComing(costs, since, today);
    const name = names.get(supplierId);
    if (cost === undefined || name === undefined) continue;
    coming.set(variantId, (coming.get(variantId) ?? new Map<string, number>()).set(name, cost));
  }
  if (coming.size === 0) return writeCostsDay(catalog.db, today);
  const changes: [Product, Map<string, Partial<Variant>>][] = [];
  for (const product of catalog.working.products.values()) {
    const fields = new Map<string, Partial<Variant>>();
    for (const variant of product.variants) {
      const cost = coming.get(variant.id)?.get(nameIdentity(product.supplier));
      if (cost !== undefined && cost !== variant.cost) fields.set(variant.id, { cost });
    }
    if (fields.size > 0) changes.push([product, fields]);
  }
  if (changes.length === 0) return writeCostsDay(catalog.db, today);
  const count = changes.reduce((sum, [, fields]) => sum + fields.size, 0);
  catalog.journal.change({ did: 'costsCame', count }, catalog.actor(null), () => {
    for (const [product, fields] of changes) putVariants(catalog, product, fields);
    writeCostsDay(catalog.db, today);
  });
}

/** Called again and again: on a new day, lets the costs come into force that were agreed for it. */
export function followAgreedCosts(catalog: Catalog): () => void {
  let looked: string | undefined;
  return () => {
    const today = shopDay(catalog);
    if (looked === today) return;
    const since = readCostsDay(catalog.db);
    if (since === undefined) writeCostsDay(catalog.db, today);
    else if (since < today) takeAgreedCosts(catalog, since, today);
    // What could not be written, as on a full disk, is tried again.
    looked = today;
  };
}
