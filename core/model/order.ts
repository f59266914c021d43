import { z } from 'zod';

const orderKeySchema = z.strictObject({
  /** "title", "created", "featured", or the key of a field of numbers, such as "margin" */
  by: z.string().min(1).max(80),
  down: z.boolean(),
});
export type OrderKey = z.infer<typeof orderKeySchema>;

const mixes = ['none', 'brand', 'category'] as const;
export type Mix = (typeof mixes)[number];

export const orderSchema = z.strictObject({
  /** the second one decides where the first one does not */
  keys: z.array(orderKeySchema).min(1, 'Choose what decides the order.').max(2, 'Two are enough to decide an order.'),
  /** neighbours are to differ in this */
  mix: z.enum(mixes),
  soldOutLast: z.boolean(),
});
/** How the goods of a group stand, after those that are pinned. */
export type Order = z.infer<typeof orderSchema>;

const plain = (...keys: OrderKey[]): Order => ({ keys, mix: 'none', soldOutLast: false });

/** Orders that have a name: those that listings offer, and that the finder keeps sorted. */
export const namedOrders: Readonly<Record<string, Order>> = {
  featured: plain({ by: 'featured', down: true }),
  newest: plain({ by: 'created', down: true }),
  'price-up': plain({ by: 'price', down: false }),
  'price-down': plain({ by: 'price', down: true }),
  title: plain({ by: 'title', down: false }),
};
export const FEATURED_FIRST = namedOrders.featured!;
export const NEWEST_FIRST = namedOrders.newest!;

const isSame = (a: Order, b: Order) =>
  a.mix === b.mix &&
  a.soldOutLast === b.soldOutLast &&
  a.keys.length === b.keys.length &&
  a.keys.every(({ by, down }, i) => by === b.keys[i]!.by && down === b.keys[i]!.down);

/** The name of an order that has one. */
export function orderName(order: Order): string | undefined {
  return Object.keys(namedOrders).find((name) => isSame(namedOrders[name]!, order));
}

/** An order as it is stored: its name, or itself as JSON. */
export const orderText = (order: Order): string => orderName(order) ?? JSON.stringify(order);

/** The order that `orderText` wrote. Newest first for a text that is none. */
export function orderOfText(text: string): Order {
  const named = namedOrders[text];
  if (named) return named;
  const read = text.startsWith('{') ? orderSchema.safeParse(JSON.parse(text)) : undefined;
  return read?.success ? read.data : NEWEST_FIRST;
}
