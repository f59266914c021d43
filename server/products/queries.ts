import { pickedParts } from '../../core/model/bundle';
import { type Product } from '../../core/model/product';
import { relationKinds } from '../../core/model/product-values';
import { statusAt } from '../../core/products/status';
import { shopPrice } from '../../core/shop/shop-price';
import { faceUrl } from '../../core/storefront/card';
import { whereItShows } from '../../core/storefront/where-it-shows';
import { metaOf } from '../../core/storefront/product-view';
import { taxRateOf } from '../../core/pricing/tax';
import { marginOf, markUpOf } from '../../core/pricing/price';
import { explain } from '../../core/rules/explain';
import type { goodsRoutes, GoodsRow } from '../../contract/goods';
import type { ShownStatus, ProductAnswer } from '../../contract/product';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';
import { placesBySlot } from '../state/goods-fields';
import { productOrRefuse } from '../state/product-or-refuse';
import { duplicatesOf } from '../store/products';
import { refOf } from '../state/working';

function shownStatusOf(catalog: Catalog, product: Product): ShownStatus {
  const phase = statusAt(product, catalog.working.shop.now);
  if (phase !== 'live') return phase;
  if (catalog.working.shop.facts(product.id)?.stock === 0) return 'soldOut';
  return catalog.working.changed.has(refOf('product', product.id)) ? 'changed' : 'live';
}

/** Margins, or mark-ups, of the variants at their prices of now. */
function margins(catalog: Catalog, product: Product, of = marginOf): Record<string, number | null> {
  const { shop } = catalog.working;
  const { settings } = shop;
  const taxRate = taxRateOf(settings, product.taxClass, shop.now);
  return Object.fromEntries(
    product.variants.map((variant) => [
      variant.id,
      of(shopPrice(shop, product, variant).price, variant.cost, taxRate, settings.taxIncluded),
    ]),
  );
}

export function goodsRow(catalog: Catalog, product: Product): GoodsRow {
  const { shop } = catalog.working;
  const known = Object.values(margins(catalog, product)).filter((margin) => margin !== null);
  const face = product.pictures[0];
  const { stock, price, priceMax } = shop.facts(product.id)!;
  return {
    id: product.id,
    title: product.title,
    brand: shop.brands.get(product.brandId ?? '')?.name ?? null,
    variantCount: product.variants.length,
    thumbnail: faceUrl(product),
    frame: face ? { focus: face.focus, fit: face.fit, background: face.background } : null,
    shownStatus: shownStatusOf(catalog, product),
    featured: product.featured,
    price: { min: price, max: priceMax },
    stock: Number.isFinite(stock) ? stock : null,
    places: placesBySlot(catalog)[shop.index.slot(product.id)!] ?? 0,
    margin: known.length ? Math.min(...known) : null,
  };
}

export function goodsRows(catalog: Catalog, ids: readonly string[]): GoodsRow[] {
  return ids.flatMap((id) => {
    const product = catalog.working.products.get(id);
    return product ? [goodsRow(catalog, product)] : [];
  });
}

/** Products that the relations and the slots of a product name one by one. */
const namedProducts = ({ relations, bundle }: Product) => [
  ...relationKinds.flatMap((kind) => {
    const relation = relations[kind];
    return relation.how === 'picked' ? relation.ids : [];
  }),
  ...pickedParts(bundle),
];

/** Parts of each slot that the seller is shown; the rest are counted only. */
const PARTS_SHOWN = 12;

/** What follows from the parts of a bundle, as the seller is told. */
function bundleAnswer(catalog: Catalog, product: Product): ProductAnswer['bundle'] {
  const { shop } = catalog.working;
  const facts = shop.bundles.get(product.id);
  if (!facts) return null;
  const { price, priceMax } = shop.facts(product.id)!;
  const finite = (stock: number) => (Number.isFinite(stock) ? stock : null);
  return {
    price: { min: price, max: priceMax },
    stock: finite(facts.stock),
    scarce: facts.scarce.map((at) => facts.slots[at]!.slot.label),
    slots: facts.slots.map(({ slot, products }) => ({
      id: slot.id,
      total: products.length,
      parts: products.slice(0, PARTS_SHOWN).map((part) => {
        const known = shop.facts(part.id)!;
        return {
          id: part.id,
          title: part.title,
          thumbnail: faceUrl(part),
          price: known.price,
          stock: finite(known.stock),
        };
      }),
    })),
  };
}

/** The spec sheet of the nearest of its categories that suggests one, while it has none. */
function suggestedSheet(catalog: Catalog, { specSheetId, categoryIds }: Product): ProductAnswer['suggestedSheet'] {
  const { shop } = catalog.working;
  if (specSheetId !== null) return null;
  const near = categoryIds.flatMap((id) => shop.tree.path(id).reverse());
  const found = near.find((category) => category.specSheetId !== null && shop.specSheets.has(category.specSheetId));
  return found ? { id: found.specSheetId!, category: found.name } : null;
}

export function productAnswer(catalog: Catalog, id: string): ProductAnswer {
  const product = productOrRefuse(catalog, id);
  const { shop } = catalog.working;
  const titleOf = (other: string) => shop.products.get(other)?.title ?? '';
  return {
    product,
    revision: catalog.journal.revision(refOf('product', id)),
    shownStatus: shownStatusOf(catalog, product),
    margins: margins(catalog, product),
    markUps: margins(catalog, product, markUpOf),
    duplicates: duplicatesOf(catalog.db, id).map((row) => ({ ...row, title: titleOf(row.productId) })),
    related: Object.fromEntries(
      namedProducts(product).map((other) => [
        other,
        { title: titleOf(other), thumbnail: faceUrl(shop.products.get(other)) },
      ]),
    ),
    bundle: bundleAnswer(catalog, product),
    suggestedSheet: suggestedSheet(catalog, product),
    meta: metaOf(shop, { ...product, metaTitle: '', metaDescription: '' }),
    tax: { rate: taxRateOf(shop.settings, product.taxClass, shop.now), included: shop.settings.taxIncluded },
    timeZone: shop.settings.timeZone,
    currency: shop.settings.currency,
    places: whereItShows(shop, id, catalog.now),
  };
}

/** Collections that the product is in first, then those that it misses by least. */
export function memberships(catalog: Catalog, id: string): AnswerOf<typeof goodsRoutes.memberships> {
  const { shop } = catalog.working;
  const facts = shop.facts(productOrRefuse(catalog, id).id)!;
  const collections = [...shop.collections.values()].map((collection) => {
    const { name, source } = collection;
    const { isIn, missing, reasons } =
      source === 'rule'
        ? explain(collection.rule, facts, shop.fields, shop.now, shop.settings.currency)
        : { isIn: collection.picked.includes(id), missing: 0, reasons: [] };
    return { id: collection.id, name, source, isIn, reasons, missing };
  });
  collections.sort((a, b) => Number(b.isIn) - Number(a.isIn) || a.missing - b.missing);
  return {
    collections: collections.map((one) => ({ ...one, missing: Number.isFinite(one.missing) ? one.missing : null })),
  };
}
