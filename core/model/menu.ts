import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { targetSchema } from './target';

const menuItemSchema = z.object({ id: idSchema, label: z.string(), target: targetSchema });
export type MenuItem = z.infer<typeof menuItemSchema>;

/** The header menu: items, each with at most one level of items below it. */
export const menuSchema = z.object({
  items: z.array(menuItemSchema.extend({ items: z.array(menuItemSchema) })),
});
export type Menu = z.infer<typeof menuSchema>;
