import { pickedParts } from '../../core/catalog/bundle';
import { variantName } from '../../core/catalog/variants';
import { relationKinds, type Product } from '../../core/catalog/product';
import { phaseOf } from '../../core/catalog/standing';
import { list, type ChoiceFilter } from '../../core/finder/listing';
import { shopPrice } from '../../core/placement/shop-price';
import { mediaUrl } from '../../core/placement/card';
import { keptWhileUnchanged } from '../../core/placement/kept';
import { placeCounts, whereItShows } from '../../core/placement/where-it-shows';
import { metaOf } from '../../core/placement/product-view';
import { taxRateOf } from '../../core/placement/page';
import { marginOf, markUpOf } from '../../core/pricing/price';
import { explain } from '../../core/rules/explain';
import type { goodsFacetSchema, goodsRoutes, GoodsRow, Life, ProductAnswer } from '../../contract/goods';
import type { AnswerOf, QueryOf } from '../../contract/route';
import type { z } from 'zod';
import type { Catalog } from './catalog';
import { columnWords, opaqueColumns } from './field-words';
import { productOrRefuse } from './product-or-refuse';
import { duplicatesOf } from '../database/products';
import { refOf } from './working';

export function lifeOf(catalog: Catalog, product: Product): Life {
  const phase = phaseOf(product, catalog.working.shop.now);
  if (phase !== 'live') return phase;
  if (catalog.working.shop.facts(product.id)?.stock === 0) return 'soldOut';
  return catalog.working.changed.has(refOf('product', product.id)) ? 'changed' : 'live';
}

/** Margins, or mark-ups, of the variants at their prices of now. */
function margins(catalog: Catalog, product: Product, of = marginOf): Record<string, number | null> {
  const { shop } = catalog.working;
  const { settings } = shop;
  const taxRate = taxRateOf(settings, product.taxClass);
  return Object.fromEntries(
    product.variants.map((variant) => [
      variant.id,
      of(shopPrice(shop, product, variant).price, variant.cost, taxRate, settings.taxIncluded),
    ]),
  );
}

const placesByMinute = keptWhileUnchanged(() => new Map<number, Uint16Array>());

/** Places per slot, worked out once for each state of the working copy and each minute. */
function places(catalog: Catalog): Uint16Array {
  const { shop } = catalog.working;
  const known = placesByMinute(shop);
  const minute = Math.floor(catalog.now / 60);
  let counts = known.get(minute);
  if (!counts) {
    known.clear();
    known.set(minute, (counts = placeCounts(shop, catalog.now)));
  }
  return counts;
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
    thumbnail: face ? mediaUrl(face.media, 160) : null,
    frame: face ? { focus: face.focus, fit: face.fit, ground: face.ground } : null,
    life: lifeOf(catalog, product),
    featured: product.featured,
    price: { min: price, max: priceMax },
    stock: Number.isFinite(stock) ? stock : null,
    places: places(catalog)[shop.index.slot(product.id)!] ?? 0,
    margin: known.length ? Math.min(...known) : null,
  };
}

export function goodsRows(catalog: Catalog, ids: readonly string[]): GoodsRow[] {
  return ids.flatMap((id) => {
    const product = catalog.working.products.get(id);
    return product ? [goodsRow(catalog, product)] : [];
  });
}

const standingWords = {
  live: 'Live',
  changed: 'Changed since live',
  draft: 'Draft',
  soldOut: 'Sold out',
  waiting: 'Waiting for its day',
  ended: 'Past its day',
  off: 'Off the shop',
};
const facetKeys = ['standing', 'category', 'brand', 'tag'] as const;
const facetLabels = { standing: 'Standing', category: 'Category', brand: 'Brand', tag: 'Tag' };

/** The goods list: working products narrowed by text and facets. */
export function listGoods(
  catalog: Catalog,
  query: QueryOf<typeof goodsRoutes.list>,
): AnswerOf<typeof goodsRoutes.list> {
  const { shop, products } = catalog.working;
  const chosen = Object.fromEntries(facetKeys.map((key) => [key, query[key].split(',').filter(Boolean)]));
  const choices = facetKeys.flatMap((facet): ChoiceFilter[] =>
    chosen[facet]!.length ? [{ facet, values: chosen[facet]!, onVariant: false }] : [],
  );
  const usual = query.q.trim() ? 'match' : 'newest';
  const sort = shop.index.order(query.sort) ? query.sort : usual;
  const result = list(shop.index, {
    text: query.q,
    choices,
    sort,
    tieOrder: 'newest',
    offset: query.offset,
    limit: query.limit,
    count: facetKeys,
  });
  const facets = facetKeys.map((key): z.infer<typeof goodsFacetSchema> => {
    const counts = result.counts.get(key)!;
    const row = (value: string, label: string, level: number) => {
      const id = shop.index.valueId(key, value);
      const count = id === undefined ? 0 : (counts[id] ?? 0);
      const selected = chosen[key]!.includes(value);
      return count > 0 || selected ? [{ value, label, count, level, selected }] : [];
    };
    const values = {
      standing: () => Object.entries(standingWords).flatMap(([value, label]) => row(value, label, 1)),
      category: () => shop.tree.flat().flatMap(({ category, level }) => row(category.id, category.name, level)),
      brand: () => [...shop.brands.values()].flatMap(({ id, name }) => row(id, name, 1)),
      tag: () => [...shop.tags.values()].flatMap(({ id, name }) => row(id, name, 1)),
    }[key]();
    if (key === 'brand' || key === 'tag') values.sort((a, b) => b.count - a.count || a.label.localeCompare(b.label));
    return { key, label: facetLabels[key], values };
  });
  return {
    total: result.total,
    all: products.size,
    rows: goodsRows(
      catalog,
      result.slots.map((slot) => shop.index.id(slot)),
    ),
    facets,
  };
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
        const face = part.pictures[0];
        return {
          id: part.id,
          title: part.title,
          thumbnail: face ? mediaUrl(face.media, 160) : null,
          price: known.price,
          stock: finite(known.stock),
        };
      }),
    })),
  };
}

export function productAnswer(catalog: Catalog, id: string): ProductAnswer {
  const product = productOrRefuse(catalog, id);
  const { shop } = catalog.working;
  const titleOf = (other: string) => shop.products.get(other)?.title ?? '';
  return {
    product,
    revision: catalog.journal.revision(refOf('product', id)),
    life: lifeOf(catalog, product),
    margins: margins(catalog, product),
    markUps: margins(catalog, product, markUpOf),
    duplicates: duplicatesOf(catalog.db, id).map((row) => ({ ...row, title: titleOf(row.productId) })),
    related: Object.fromEntries(
      namedProducts(product).map((other) => {
        const face = shop.products.get(other)?.pictures[0];
        return [other, { title: titleOf(other), thumbnail: face ? mediaUrl(face.media, 160) : null }];
      }),
    ),
    bundle: bundleAnswer(catalog, product),
    meta: metaOf(shop, { ...product, metaTitle: '', metaDescription: '' }),
    tax: { rate: taxRateOf(shop.settings, product.taxClass), included: shop.settings.taxIncluded },
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

const moneyColumns = new Set(['price', 'sale_price', 'cost']);

/** What changed on a product, newest first, each with old and new values in words. */
export function productHistory(catalog: Catalog, id: string): AnswerOf<typeof goodsRoutes.history> {
  const product = catalog.working.products.get(id);
  const subject = refOf('product', id);
  const words = (column: string, value: unknown) => {
    if (value === null || value === undefined) return '';
    return moneyColumns.has(column)
      ? (Number(value) / 100).toFixed(2)
      : String(value)
          .replace(/<[^>]*>/g, ' ')
          .slice(0, 120);
  };
  return {
    changes: catalog.journal.history(50, subject).map((change) => ({
      ...change,
      details: catalog.journal
        .rowsOf(change.id, subject)
        .flatMap(({ tableName, before, after }) => {
          if (!before || !after) return [];
          const variant = product?.variants.find((each) => each.id === (after.variant_id ?? after.id));
          const of =
            tableName === 'variant' || tableName === 'stock'
              ? variantName(product?.options ?? [], variant ?? { values: [] })
              : '';
          return Object.keys(after)
            .filter((column) => columnWords[column] && before[column] !== after[column])
            .map((column) => ({
              label: of ? `${columnWords[column]}, ${of}` : columnWords[column]!,
              before: opaqueColumns.has(column) ? '' : words(column, before[column]),
              after: opaqueColumns.has(column) ? 'changed' : words(column, after[column]),
            }));
        })
        .slice(0, 20),
    })),
  };
}
