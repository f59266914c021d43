import { variantName } from '../../core/catalog/variants';
import { relationKinds, type Product } from '../../core/catalog/product';
import { phaseOf } from '../../core/catalog/standing';
import { list, type ChoiceFilter } from '../../core/finder/listing';
import { mediaUrl } from '../../core/placement/card';
import { keptWhileUnchanged } from '../../core/placement/kept';
import { placeCounts, whereItShows } from '../../core/placement/where-it-shows';
import { metaOf } from '../../core/placement/product-view';
import { taxRateOf } from '../../core/placement/page';
import { effectivePrice, marginOf, markUpOf } from '../../core/pricing/price';
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
  const { settings, now } = catalog.working.shop;
  const taxRate = taxRateOf(settings, product.taxClass);
  return Object.fromEntries(
    product.variants.map((variant) => [
      variant.id,
      of(effectivePrice(product, variant, now).price, variant.cost, taxRate, settings.taxIncluded),
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
  const prices = product.variants.map((variant) => effectivePrice(product, variant, catalog.working.shop.now).price);
  const known = Object.values(margins(catalog, product)).filter((margin) => margin !== null);
  const face = product.pictures[0];
  const stock = shop.facts(product.id)?.stock ?? 0;
  return {
    id: product.id,
    title: product.title,
    brand: shop.brands.get(product.brandId ?? '')?.name ?? null,
    variantCount: product.variants.length,
    thumbnail: face ? mediaUrl(face.media, 160) : null,
    focus: face?.focus ?? null,
    life: lifeOf(catalog, product),
    featured: product.featured,
    price: { min: Math.min(...prices), max: Math.max(...prices) },
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
      relationKinds.flatMap((kind) => {
        const relation = product.relations[kind];
        return (relation.how === 'picked' ? relation.ids : []).map((other) => {
          const face = shop.products.get(other)?.pictures[0];
          return [other, { title: titleOf(other), thumbnail: face ? mediaUrl(face.media, 160) : null }];
        });
      }),
    ),
    meta: metaOf(shop, { ...product, metaTitle: '', metaDescription: '' }),
    timeZone: shop.settings.timeZone,
    currency: shop.settings.currency,
    places: whereItShows(shop, id, catalog.now),
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
