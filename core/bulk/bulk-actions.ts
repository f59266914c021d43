import { z } from 'zod';
import type { Product } from '../model/product';
import { countWords } from '../shared/count-words';
import { brand } from './actions/brand';
import { categories } from './actions/categories';
import { days } from './actions/days';
import { deletion } from './actions/delete';
import { delivery } from './actions/delivery';
import { featured } from './actions/featured';
import { pictures } from './actions/pictures';
import { price } from './actions/price';
import { sale } from './actions/sale';
import { specs } from './actions/specs';
import { status } from './actions/status';
import { stock } from './actions/stock';
import { supplier } from './actions/supplier';
import { tags } from './actions/tags';
import { taxClass } from './actions/tax-class';
import type { BulkAction } from './bulk-action';
import type { BulkPlan, BulkSources } from './plan';

/** All that can be done to many products, by what a request says in `do`, in the order of the menu. */
export const bulkActions = {
  price,
  sale,
  stock,
  status,
  days,
  featured,
  categories,
  tags,
  brand,
  supplier,
  taxClass,
  specs,
  delivery,
  pictures,
  delete: deletion,
};

export type BulkKey = keyof typeof bulkActions;
type Schema = (typeof bulkActions)[BulkKey]['schema'];
export type BulkRequest = z.infer<Schema>;

/** What is asked to be done to many products. */
export const bulkRequestSchema = z.union(
  Object.values(bulkActions).map(({ schema }) => schema) as unknown as readonly [Schema, ...Schema[]],
);

const actionOf = (request: BulkRequest) => bulkActions[request.do] as unknown as BulkAction<z.ZodType<BulkRequest>>;

/** What a bulk action makes of one product. Pure: the preview and the doing are this. */
export function planOf(product: Product, request: BulkRequest, sources: BulkSources): BulkPlan {
  return actionOf(request).plan(product, request, sources);
}

export const isChange = (product: Product, plan: BulkPlan): boolean =>
  'deleted' in plan || ('after' in plan && plan.after !== product);

/** The words for doing this to so many products; also for an action that there is no longer, which the journal may name. */
export function bulkLabel(request: BulkRequest, count: number): string {
  const products = countWords(count, 'product', 'products');
  const action = actionOf(request) as ReturnType<typeof actionOf> | undefined;
  return action?.label(request, products) ?? `Changed ${products}`;
}
