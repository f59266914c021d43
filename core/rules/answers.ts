import { z } from 'zod';

/** Place in the tree of a rule: indexes of `of` from the root down. */
const pathSchema = z.array(z.number().int());

/** What stops a rule from meaning what it says, at a place in it. */
export const ruleProblemSchema = z.object({ path: pathSchema, message: z.string() });
export type RuleProblem = z.infer<typeof ruleProblemSchema>;

/** One line of why a rule takes a product in or not. */
export const reasonSchema = z.object({
  path: pathSchema,
  /** the condition, or the group of conditions on one variant, in words */
  words: z.string(),
  holds: z.boolean(),
  /** what the product has instead of what is asked for; '' where that has no short words */
  actual: z.string(),
  /** inside a "none of" group, where holding keeps the product out */
  isTurned: z.boolean(),
});
export type Reason = z.infer<typeof reasonSchema>;
