import type { Product } from '../model/product';
import type { SpecSheet } from '../model/spec-sheet';
import type { TaxOfShop } from '../pricing/tax';
import type { Settings } from '../model/settings';

/** What plans need to know beside the product. */
export interface BulkSources {
  /** seconds since 1970 */
  now: number;
  settings: TaxOfShop & Pick<Settings, 'currency'>;
  sheets: ReadonlyMap<string, SpecSheet>;
  /** behind all products that are featured already */
  nextFeaturedPlace: number;
}

/** What a bulk action makes of one product. A product that stays as it is, is answered itself. */
export type BulkPlan =
  | { after: Product; notes?: readonly string[] }
  /** it cannot be done, for a reason in plain words; the product stays as it is */
  | { problem: string }
  | { deleted: true };

/** One thing that can be done to many products at once: pure, so that the preview and the doing are one. */
export type Planner<Request> = (product: Product, request: Request, sources: BulkSources) => BulkPlan;
