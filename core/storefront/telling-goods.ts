import type { ProductDocument } from '../model/document';
import { plainText } from '../shared/plain-text';
import type { Shop } from '../shop/shop';

/** A product that puts a layout to the test. */
export interface TellingProduct {
  why: string;
  id: string;
  title: string;
  slug: string;
}

type Measure = (product: ProductDocument, shop: Shop) => number;

/** What stresses a page, each with how much a product has of it; 0 for not at all. */
const stresses: readonly { why: string; measure: Measure }[] = [
  { why: 'the longest title', measure: ({ title }) => title.length },
  { why: 'the most versions', measure: ({ variants }) => (variants.length > 1 ? variants.length : 0) },
  { why: 'the most pictures', measure: ({ pictures }) => (pictures.length > 1 ? pictures.length : 0) },
  { why: 'no picture', measure: ({ pictures }) => Number(pictures.length === 0) },
  { why: 'nothing in stock', measure: ({ id }, shop) => Number(shop.facts(id)?.stock === 0) },
  { why: 'parts to choose', measure: ({ kind }) => Number(kind === 'bundle') },
  { why: 'the longest text', measure: ({ description }) => plainText(description).length },
  { why: 'a sale price', measure: ({ variants }) => Number(variants.some(({ salePrice }) => salePrice !== null)) },
];

/** For each stress the product that has most of it, among those on the shop; the first by id of several. O(products). */
export function tellingGoods(shop: Shop): TellingProduct[] {
  const onShop = [...shop.products.values()].filter(({ status }) => status === 'live');
  onShop.sort((a, b) => (a.id < b.id ? -1 : 1));
  return stresses.flatMap(({ why, measure }) => {
    let most = 0;
    let found: ProductDocument | undefined;
    for (const product of onShop) {
      const measured = measure(product, shop);
      if (measured > most) [most, found] = [measured, product];
    }
    return found ? [{ why, id: found.id, title: found.title, slug: found.slug }] : [];
  });
}
