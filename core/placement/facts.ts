import type { CategoryTree } from '../catalog/category-tree';
import { fold, slugFrom } from '../catalog/identity';
import type { ProductDocument } from '../editions/document';
import type { FinderEntry, FinderShape } from '../finder/entry';
import { effectivePrice } from '../pricing/price';
import type { ProductFacts, VariantFacts } from '../rules/facts';
import { optionField } from '../rules/field';

/** Facet of variants that can be bought now; its only value is 'in'. */
export const AVAILABLE = 'available';

/** The finder's columns and orders as the shop and the desk use them. */
export const finderShape: FinderShape = {
  columns: ['price', 'priceMax', 'stock', 'created', 'featured'],
  variantColumns: ['price', 'stock'],
  extents: { price: { low: 'price-up', high: 'price-top' } },
  sorts: [
    { key: 'featured', by: 'featured', descending: true, then: 'created' },
    { key: 'newest', by: 'created', descending: true },
    { key: 'price-up', by: 'price', then: 'created' },
    { key: 'price-down', by: 'price', descending: true, then: 'created' },
    { key: 'price-top', by: 'priceMax', descending: true },
    { key: 'title', by: 'title' },
    { key: 'stock-up', by: 'stock', then: 'created' },
  ],
};

/** The same few names come again with every product. */
const MOST_KEPT = 10_000;

function remembered(make: (name: string) => string): (name: string) => string {
  const kept = new Map<string, string>();
  return (name) => {
    let key = kept.get(name);
    if (key === undefined) {
      key = make(name);
      if (kept.size < MOST_KEPT) kept.set(name, key);
    }
    return key;
  };
}

/** Key of an option, the same for all products that have an option of this name. */
export const optionKey = remembered((name) => slugFrom(name, 'option'));
/** Key of an option value. */
export const optionValueKey = remembered((name) => slugFrom(name, 'value'));

/** What rules and filters know of a product, from its document, the live stock and the category tree. */
export function factsOf(
  product: ProductDocument,
  stock: (variantId: string) => number | null,
  tree: CategoryTree,
  standing: readonly string[],
): ProductFacts {
  const names = product.options.map((option) => ({
    key: optionKey(option.name),
    values: new Map(option.values.map((value) => [value.id, optionValueKey(value.name)])),
  }));
  const variants = product.variants.map((variant): VariantFacts => {
    const { price, wasPrice } = effectivePrice(variant);
    const options: Record<string, string> = {};
    names.forEach(({ key, values }, i) => {
      const value = values.get(variant.values[i] ?? '');
      if (value) options[key] = value;
    });
    return { id: variant.id, price, onSale: wasPrice !== null, stock: stock(variant.id) ?? Infinity, options };
  });
  const total = variants.reduce((sum, variant) => sum + variant.stock, 0);
  return {
    id: product.id,
    title: product.title,
    kind: product.kind,
    standing: total > 0 || variants.length === 0 ? standing : [...standing, 'soldOut'],
    price: variants.length ? Math.min(...variants.map((variant) => variant.price)) : 0,
    onSale: variants.some((variant) => variant.onSale),
    stock: total,
    created: Math.floor(Date.parse(product.created) / 1000),
    featured: product.featured,
    category: [...new Set(product.categoryIds.flatMap((id) => tree.path(id).map((category) => category.id)))],
    tag: product.tagIds,
    brand: product.brandId,
    variants,
  };
}

const withoutMarkup = (html: string) => html.replace(/<[^>]*>/g, ' ').replace(/&[a-z#0-9]+;/g, ' ');

/** The finder's entry for a product. */
export function entryOf(
  facts: ProductFacts,
  product: ProductDocument,
  names: { brand: string; tags: string },
): FinderEntry {
  const values: [string, string][] = [['kind', facts.kind]];
  for (const id of facts.category) values.push(['category', id]);
  for (const id of facts.tag) values.push(['tag', id]);
  for (const standing of facts.standing) values.push(['standing', standing]);
  if (facts.brand) values.push(['brand', facts.brand]);
  return {
    id: facts.id,
    title: fold(facts.title),
    numbers: {
      price: facts.price,
      priceMax: Math.max(0, ...facts.variants.map(({ price }) => price)),
      stock: facts.stock,
      created: facts.created,
      featured: facts.featured ? 1 : 0,
    },
    values,
    texts: [
      { text: product.title, weight: 8 },
      { text: product.variants.map((variant) => variant.sku).join(' '), weight: 6 },
      { text: names.brand, weight: 4 },
      { text: names.tags, weight: 3 },
      { text: product.options.flatMap((option) => option.values.map((value) => value.name)).join(' '), weight: 2 },
      { text: product.summary, weight: 2 },
      { text: withoutMarkup(product.description), weight: 1 },
    ],
    variants: facts.variants.map((variant) => {
      const own: [string, string][] = Object.entries(variant.options).map(([key, value]) => [optionField(key), value]);
      if (variant.onSale) own.push(['onSale', 'yes']);
      if (variant.stock > 0) own.push([AVAILABLE, 'in']);
      return { id: variant.id, numbers: { price: variant.price, stock: variant.stock }, values: own };
    }),
  };
}
