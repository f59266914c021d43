import { effectivePrice } from '../core/pricing/price';
import { optionKey, optionValueKey } from '../core/shop/facts';
import type { ScaledCatalog } from '../demo/scale';
import { seeded } from '../demo/random';

/** One listing query in a form that every contender can be asked. */
export interface BenchQuery {
  text: string;
  /** facet → values; facets named option.* are of variants */
  filters: Record<string, string[]>;
  price: { min: number; max: number } | null;
  sort: 'featured' | 'newest' | 'price-up' | 'title';
}

export const facets = [
  'category',
  'brand',
  'tag',
  'kind',
  'status',
  'onSale',
  'available',
  ...['colourway', 'size', 'line-set', 'length', 'strength', 'diameter', 'finish', 'pack'].map(
    (key) => `option.${key}`,
  ),
];

export const isOnVariant = (facet: string) =>
  facet.startsWith('option.') || facet === 'available' || facet === 'onSale';

/**
 * 'mixed': words being typed, slips, and filters of which at most one is on variants.
 * 'exact': two or three filters that must hold on one variant, price ranges among them.
 */
export type QueryKind = 'mixed' | 'exact';

/** Queries as shoppers ask them. */
export function benchQueries(catalog: ScaledCatalog, count: number, mix: QueryKind): BenchQuery[] {
  const random = seeded(99);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const sorts = ['featured', 'newest', 'price-up', 'title'] as const;
  return Array.from({ length: count }, (): BenchQuery => {
    const product = pick(catalog.products);
    const query: BenchQuery = { text: '', filters: {}, price: null, sort: pick(sorts) };
    const kind = random();
    if (random() < 0.45) {
      const words = product.title.split(' ');
      const word = pick(words);
      if (kind < 0.4) query.text = word.slice(0, 1 + Math.floor(random() * word.length));
      else if (kind < 0.6 && word.length > 4) query.text = word.slice(0, 2) + word[3] + word[2] + word.slice(4);
      else query.text = `${words[0]} ${words[1]!.slice(0, 3)}`;
    }
    if (random() < 0.6) query.filters.category = [pick(catalog.categories).id];
    if (random() < 0.3) query.filters.brand = [product.brandId!, pick(catalog.brands).id];
    if (random() < 0.25) query.filters.tag = [pick(product.tagIds)];
    const onVariants = mix === 'exact' ? 2 : random() < 0.35 ? 1 : 0;
    if (onVariants > 0) {
      const option = pick(product.options);
      query.filters[`option.${optionKey(option.name)}`] = option.values.map((value) => optionValueKey(value.name));
    }
    if (mix === 'exact' && random() < 0.5) query.filters.available = ['in'];
    if (mix === 'exact' && (!query.filters.available || random() < 0.5)) {
      const { price } = effectivePrice(product, product.variants[0]!, 0);
      query.price = { min: Math.floor(price * 0.6), max: Math.floor(price * 1.6) };
    }
    return query;
  });
}
