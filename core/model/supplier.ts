import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { moneySchema } from './product-values';

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);

/** What a supplier is called; goods name theirs by it. */
export const supplierNameSchema = text(120).min(1, 'A supplier needs a name.');

/** Whom goods are ordered from. */
export const supplierSchema = z.strictObject({
  id: idSchema,
  name: supplierNameSchema,
  /** whom one speaks to there */
  contact: text(120),
  email: z.union([z.literal(''), z.email('Type an e-mail address, like kim@example.com.')]),
  phone: text(60),
  address: text(500),
  /** under which the supplier knows this shop */
  accountNumber: text(80),
  /** from the order to the arrival, in days; null where it is not known */
  deliveryDays: z
    .number('Type whole days, or nothing.')
    .int('Type whole days.')
    .min(0, 'Type whole days.')
    .max(365, 'At most a year.')
    .nullable(),
  /** for less than this, at their prices, nothing is delivered */
  smallestOrder: moneySchema.nullable(),
  note: text(2_000),
});
export type Supplier = z.infer<typeof supplierSchema>;

/** A supplier of whom nothing but the name is known. */
export const newSupplier = (id: string, name: string): Supplier => ({
  id,
  name,
  contact: '',
  email: '',
  phone: '',
  address: '',
  accountNumber: '',
  deliveryDays: null,
  smallestOrder: null,
  note: '',
});

/** Names of the fields inside a sentence. */
export const supplierWords: Readonly<Record<Exclude<keyof Supplier, 'id'>, string>> = {
  name: 'name',
  contact: 'contact',
  email: 'mail address',
  phone: 'phone number',
  address: 'address',
  accountNumber: 'customer number',
  deliveryDays: 'delivery time',
  smallestOrder: 'smallest order',
  note: 'note',
};

/** What a piece costs from a day on (YYYY-MM-DD, where the shop is). */
const costFromSchema = z.strictObject({ from: z.iso.date('Choose a day.'), cost: moneySchema });
export type CostFrom = z.infer<typeof costFromSchema>;

/** What a supplier has of a variant. */
export const supplySchema = z.strictObject({
  /** under which the supplier knows it */
  number: text(80),
  /** by day, the earliest first; each day once */
  costs: z
    .array(costFromSchema)
    .max(50, 'At most 50 costs.')
    .refine(
      (costs) => new Set(costs.map(({ from }) => from)).size === costs.length,
      'There are two costs from the same day.',
    )
    .transform((costs) => [...costs].sort((a, b) => (a.from < b.from ? -1 : 1))),
});
export type Supply = z.infer<typeof supplySchema>;
