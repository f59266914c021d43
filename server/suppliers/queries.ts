import type { Product } from '../../core/model/product';
import type { Supplier } from '../../core/model/supplier';
import { variantName } from '../../core/products/variants';
import { localOfMoment } from '../../core/shared/moment';
import { nameIdentity } from '../../core/shared/same-name';
import { faceUrl } from '../../core/storefront/card';
import { costOn } from '../../core/suppliers/costs';
import type { AnswerOf } from '../../contract/route';
import type { SupplyAnswer, supplierRoutes } from '../../contract/suppliers';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { readPeople } from '../store/people';
import { readSupplies, readSuppliers } from '../store/suppliers';

export function supplierOrRefuse({ db }: Catalog, id: string): Supplier {
  const supplier = readSuppliers(db).find((each) => each.id === id);
  if (!supplier) throw notFound(refusals.noSuchSupplier);
  return supplier;
}

/** The day that it is where the shop is: YYYY-MM-DD. */
export const shopDay = ({ working, clock }: Catalog): string =>
  localOfMoment(clock().toISOString(), working.shop.settings.timeZone).slice(0, 10);

/** Products by the supplier that they are ordered from as a rule: by the identity of its name. O(products). */
function goodsBySupplier({ working }: Catalog): Map<string, Product[]> {
  const goods = new Map<string, Product[]>();
  for (const product of working.products.values()) {
    if (product.supplier === '') continue;
    const key = nameIdentity(product.supplier);
    const known = goods.get(key);
    if (known) known.push(product);
    else goods.set(key, [product]);
  }
  return goods;
}

/** The goods that are ordered from a supplier as a rule. */
export const mainGoodsOf = (catalog: Catalog, { name }: Pick<Supplier, 'name'>): Product[] =>
  goodsBySupplier(catalog).get(nameIdentity(name)) ?? [];

/** All suppliers, and names that goods tell of whom nothing else is known. */
export function suppliersAnswer(catalog: Catalog): AnswerOf<typeof supplierRoutes.suppliers> {
  const goods = goodsBySupplier(catalog);
  const makers = readPeople(catalog.db, catalog.clock().toISOString());
  const suppliers = readSuppliers(catalog.db)
    .map((supplier) => {
      const key = nameIdentity(supplier.name);
      const count = goods.get(key)?.length ?? 0;
      goods.delete(key);
      return {
        ...supplier,
        goods: count,
        makers: makers.flatMap((person) => (person.suppliers?.includes(supplier.id) ? [person.name] : [])),
      };
    })
    .sort((a, b) => a.name.localeCompare(b.name));
  const onlyNamed = [...goods.values()].map((all) => ({ name: all[0]!.supplier, goods: all.length }));
  return { suppliers, onlyNamed: onlyNamed.sort((a, b) => b.goods - a.goods || a.name.localeCompare(b.name)) };
}

/** What a supplier has of the goods of the shop, variant by variant: first those that are ordered there as a rule. */
export function suppliesOf(catalog: Catalog, supplier: Supplier): SupplyAnswer[] {
  const { working, db } = catalog;
  const today = shopDay(catalog);
  const supplies = new Map(readSupplies(db, supplier.id).map((supply) => [supply.variantId, supply]));
  const main = new Set(mainGoodsOf(catalog, supplier));
  const others = new Set<Product>();
  if ([...supplies.keys()].length > 0)
    for (const product of working.products.values())
      if (!main.has(product) && product.variants.some(({ id }) => supplies.has(id))) others.add(product);
  const byTitle = (products: Iterable<Product>) => [...products].sort((a, b) => a.title.localeCompare(b.title));
  return [...byTitle(main), ...byTitle(others)].flatMap((product) => {
    const isMain = main.has(product);
    return product.variants.flatMap((variant): SupplyAnswer[] => {
      const supply = supplies.get(variant.id);
      if (!isMain && !supply) return [];
      const costs = supply?.costs ?? [];
      return [
        {
          productId: product.id,
          title: product.title,
          thumbnail: faceUrl(product),
          variantId: variant.id,
          variant: product.variants.length > 1 ? variantName(product.options, variant) : '',
          sku: variant.sku,
          isMain,
          number: isMain ? variant.supplierNumber : supply!.number,
          cost: isMain ? variant.cost : (costOn(costs, today) ?? null),
          costs,
          stock: working.stock.get(variant.id) ?? null,
        },
      ];
    });
  });
}
