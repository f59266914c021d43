import { z } from 'zod';
import { operatorSchema } from '../core/model/rule';

/** A field that rules can ask about, as the desk needs it to make one. */
export const ruleFieldSchema = z.object({
  key: z.string(),
  label: z.string(),
  type: z.enum(['text', 'choice', 'number', 'money', 'date', 'yesNo']),
  operators: z.array(z.object({ key: operatorSchema, words: z.string() })),
  onVariant: z.boolean(),
  choices: z.array(
    z.object({
      value: z.string(),
      label: z.string(),
      /** listed products that have it; null where that is told elsewhere */
      count: z.number().int().nullable(),
    }),
  ),
  /** of numbers: what they count, and in how many parts of it they are kept */
  unit: z.object({ words: z.string(), parts: z.number().int() }).nullable(),
  signed: z.boolean(),
  mayLack: z.boolean(),
});
export type RuleField = z.infer<typeof ruleFieldSchema>;
