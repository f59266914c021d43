import { z } from 'zod';
import type { Product } from '../model/product';
import {
  brandSchema,
  categoriesSchema,
  planBrand,
  planCategories,
  planSupplier,
  planTags,
  supplierSchema,
  tagsSchema,
} from './belonging';
import { deliverySchema, picturesSchema, planDelivery, planPictures, planSpecs, specsSchema } from './filling-in';
import type { BulkPlan, BulkSources, Planner } from './plan';
import { planPrices, planSale, priceWorkSchema, saleSchema } from './price-work';
import {
  daysSchema,
  featuredSchema,
  planDays,
  planFeatured,
  planStanding,
  planStock,
  standingWorkSchema,
  stockSchema,
} from './selling';

const deleteSchema = z.strictObject({ do: z.literal('delete') });

/** All that can be asked to be done to many products. */
export const bulkRequestSchema = z.union([
  priceWorkSchema,
  saleSchema,
  stockSchema,
  standingWorkSchema,
  daysSchema,
  featuredSchema,
  categoriesSchema,
  tagsSchema,
  brandSchema,
  supplierSchema,
  specsSchema,
  deliverySchema,
  picturesSchema,
  deleteSchema,
]);
export type BulkRequest = z.infer<typeof bulkRequestSchema>;
type BulkKey = BulkRequest['do'];

interface BulkAction<K extends BulkKey> {
  plan: Planner<Extract<BulkRequest, { do: K }>>;
  /** the journal's label, for so many products */
  label: (request: Extract<BulkRequest, { do: K }>, products: string) => string;
}

const percents = (points: number) => `${Math.abs(points) / 100} %`;
const howWords = { add: 'Added', remove: 'Took away', set: 'Set' };

/** Adding one here, and its schema above, is all that a new bulk action takes in core. */
const actions: { [K in BulkKey]: BulkAction<K> } = {
  price: {
    plan: planPrices,
    label: ({ by }, products) => {
      if (by.how === 'percent')
        return `${by.more < 0 ? 'Lowered' : 'Raised'} prices of ${products} by ${percents(by.more)}`;
      if (by.how === 'margin') return `Set prices of ${products} for a margin of ${percents(by.share)}`;
      if (by.how === 'markUp') return `Set prices of ${products} to cost plus ${percents(by.share)}`;
      return `Changed prices of ${products}`;
    },
  },
  sale: {
    plan: planSale,
    label: ({ off }, products) =>
      off === null ? `Ended the sale of ${products}` : `Reduced ${products} by ${percents(off)}`,
  },
  stock: { plan: planStock, label: (_request, products) => `Changed stock of ${products}` },
  standing: {
    plan: planStanding,
    label: ({ standing }, products) =>
      ({ live: `Put ${products} on the shop`, draft: `Made ${products} drafts`, off: `Took ${products} off the shop` })[
        standing
      ],
  },
  days: { plan: planDays, label: (_request, products) => `Changed the days of ${products} on the shop` },
  featured: {
    plan: planFeatured,
    label: ({ featured }, products) => (featured ? `Featured ${products}` : `Ended featuring ${products}`),
  },
  categories: { plan: planCategories, label: ({ how }, products) => `${howWords[how]} categories of ${products}` },
  tags: { plan: planTags, label: ({ how }, products) => `${howWords[how]} tags of ${products}` },
  brand: { plan: planBrand, label: (_request, products) => `Changed the brand of ${products}` },
  supplier: { plan: planSupplier, label: (_request, products) => `Changed the supplier of ${products}` },
  specs: { plan: planSpecs, label: (_request, products) => `Changed specs of ${products}` },
  delivery: { plan: planDelivery, label: (_request, products) => `Changed delivery facts of ${products}` },
  pictures: {
    plan: planPictures,
    label: ({ fit }, products) => `Let pictures of ${products} ${fit === 'fits' ? 'fit' : 'fill'} their frame`,
  },
  delete: { plan: () => ({ deleted: true }), label: (_request, products) => `Deleted ${products}` },
};

/** What a bulk action makes of one product. Pure: the preview and the doing are this. */
export function planOf(product: Product, request: BulkRequest, sources: BulkSources): BulkPlan {
  return (actions[request.do].plan as Planner<BulkRequest>)(product, request, sources);
}

export const isChange = (product: Product, plan: BulkPlan): boolean =>
  'deleted' in plan || ('after' in plan && plan.after !== product);

/** The journal's words for doing this to so many products. */
export function bulkLabel(request: BulkRequest, count: number): string {
  const action = actions[request.do] as BulkAction<BulkKey>;
  return action.label(request as never, count === 1 ? 'one product' : `${count.toLocaleString('en')} products`);
}
