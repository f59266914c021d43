import type { z } from 'zod';
import type { Planner } from './plan';

/** One thing that can be done to many products, as far as core goes. */
export interface BulkAction<Schema extends z.ZodType<{ do: string }>> {
  /** what its button says */
  name: string;
  schema: Schema;
  plan: Planner<z.infer<Schema>>;
  /** what was done, for so many products */
  label: (request: z.infer<Schema>, products: string) => string;
}

/** Declares a bulk action. */
export const bulkAction = <Schema extends z.ZodType<{ do: string }>>(action: BulkAction<Schema>) => action;
