import type { ProductDocument } from '../../core/model/document';
import { list } from '../../core/search/listing';
import { LAST } from '../../core/shop/facts';
import type { Shop } from '../../core/shop/shop';
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

/** Goods and groups are named as in the main language, whatever language is searched. */
function holds(shop: Shop, product: ProductDocument, { category, tag, title, brand, option }: Which): boolean {
  const path = product.categoryIds.flatMap((id) => shop.tree.path(id).map(({ name }) => name));
  return (
    (category === undefined || path.includes(category)) &&
    (tag === undefined || product.tagIds.some((id) => shop.tags.get(id)?.name === tag)) &&
    (title === undefined || title.test(product.title)) &&
    (brand === undefined || shop.brands.get(product.brandId ?? '')?.name === brand) &&
    (option === undefined || product.options.some(({ values }) => values.some(({ name }) => option.test(name))))
  );
}

function gradeOf(shop: Shop, query: Judged, product: ProductDocument, isTold: boolean): number {
  const fits = (which: Which) => (isTold || which.title === undefined) && holds(shop, product, which);
  for (const grade of [3, 2, 1] as const) if (query[grade]?.some(fits)) return grade;
  return 0;
}

const gain = (grades: readonly number[]) =>
  grades.slice(0, AT).reduce((sum, grade, i) => sum + (2 ** grade - 1) / Math.log2(i + 2), 0);

/** How well the shop, in its language, answers each judged query. */
export function measureRelevance(shop: Shop, queries: readonly Judged[] = judged): Relevance[] {
  const { main } = shop;
  // By its title nobody finds a product that is not told in the language yet.
  const isTold = (id: string) => shop === main || shop.products.get(id)!.title !== main.products.get(id)!.title;
  const grade = (query: Judged, { id }: { id: string }) => gradeOf(main, query, main.products.get(id)!, isTold(id));
  const goods = shop.listed.toArray().map((slot) => shop.products.get(shop.index.id(slot))!);
  return queries.map((query) => {
    const result = list(shop.index, {
      base: shop.listed,
      text: understand(shop, query.q, 12),
      texts: shop.texts,
      sort: 'match',
      tieOrder: 'featured',
      offset: 0,
      limit: AT,
      last: shop.index.posting(LAST, 'yes'),
    });
    const found = result.slots.map((slot) => shop.products.get(shop.index.id(slot))!);
    const best = goods.map((product) => grade(query, product)).sort((a, b) => b - a);
    return {
      q: query.q,
      ndcg: gain(found.map((product) => grade(query, product))) / gain(best),
      total: result.total,
      titles: found.map((product) => product.title),
    };
  });
}
