import type { ProductDocument } from '../../core/model/document';
import { list } from '../../core/search/listing';
import { LAST } from '../../core/shop/facts';
import type { ResolvedShop } from '../../core/shop/resolved-shop';
import { understand } from '../../core/shop/understand';
import { judged, type Judged, type Which } from './judged';

const AT = 10;

export interface Relevance {
  q: string;
  /** discounted gain of the first ten answers, against that of the best there are */
  ndcg: number;
  total: number;
  titles: string[];
}

function holds(shop: ResolvedShop, product: ProductDocument, { category, tag, title, brand, option }: Which): boolean {
  const path = product.categoryIds.flatMap((id) => shop.tree.path(id).map(({ name }) => name));
  return (
    (category === undefined || path.includes(category)) &&
    (tag === undefined || product.tagIds.some((id) => shop.tags.get(id)?.name === tag)) &&
    (title === undefined || title.test(product.title)) &&
    (brand === undefined || shop.brands.get(product.brandId ?? '')?.name === brand) &&
    (option === undefined || product.options.some(({ values }) => values.some(({ name }) => option.test(name))))
  );
}

function gradeOf(shop: ResolvedShop, query: Judged, product: ProductDocument): number {
  for (const grade of [3, 2, 1] as const) if (query[grade]?.some((which) => holds(shop, product, which))) return grade;
  return 0;
}

const gain = (grades: readonly number[]) =>
  grades.slice(0, AT).reduce((sum, grade, i) => sum + (2 ** grade - 1) / Math.log2(i + 2), 0);

/** How well the shop answers each judged query. */
export function measureRelevance(shop: ResolvedShop): Relevance[] {
  const goods = shop.listed.toArray().map((slot) => shop.products.get(shop.index.id(slot))!);
  return judged.map((query) => {
    const result = list(shop.index, {
      base: shop.listed,
      text: understand(shop, query.q, 12),
      sort: 'match',
      tieOrder: 'featured',
      offset: 0,
      limit: AT,
      last: shop.index.posting(LAST, 'yes'),
    });
    const found = result.slots.map((slot) => shop.products.get(shop.index.id(slot))!);
    const best = goods.map((product) => gradeOf(shop, query, product)).sort((a, b) => b - a);
    return {
      q: query.q,
      ndcg: gain(found.map((product) => gradeOf(shop, query, product))) / gain(best),
      total: result.total,
      titles: found.map((product) => product.title),
    };
  });
}
