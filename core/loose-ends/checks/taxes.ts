import type { Product } from '../../model/product';
import { liveProducts, onProduct, type Check } from '../check';

/** Fewest products of a category that make something usual, and the share that has to agree. */
const FEWEST = 5;
const USUAL = 0.8;

export const taxUnlike: Check = {
  key: 'taxUnlike',
  label: 'Another tax class than its neighbours',
  about: 'Nearly all of its category are taxed otherwise. Check which of them is right.',
  harm: 5,
  find: (scene) => {
    const byCategory = new Map<string, Product[]>();
    for (const product of liveProducts(scene))
      for (const id of product.categoryIds) byCategory.set(id, [...(byCategory.get(id) ?? []), product]);
    const odd = new Map<string, Product>();
    for (const group of byCategory.values()) {
      const counts = new Map<string, number>();
      for (const { taxClass } of group) counts.set(taxClass, (counts.get(taxClass) ?? 0) + 1);
      const [usual, count] = [...counts].sort(([, a], [, b]) => b - a)[0]!;
      if (group.length < FEWEST || count < group.length * USUAL) continue;
      for (const product of group) if (product.taxClass !== usual) odd.set(product.id, product);
    }
    return [...odd.values()].map((product) => onProduct(scene, product, product.taxClass));
  },
};
