import { z } from 'zod';
import { idSchema } from '../shared/identity';

const targetKinds = ['category', 'collection', 'brand', 'tag', 'page', 'product'] as const;

/** Something of the shop that a link can lead to. */
export const targetSchema = z.object({ kind: z.enum(targetKinds), id: idSchema });
export type Target = z.infer<typeof targetSchema>;

/** A group that has a listing of its own. */
export const groupTargetSchema = targetSchema.extend({ kind: z.enum(['category', 'collection', 'brand', 'tag']) });

/** Addresses that a link may have: within the shop, on this page, or elsewhere by a scheme that runs nothing. */
const ADDRESS = /^(?:https?:\/\/[^\s/]+\S*|mailto:\S+@\S+|tel:[+\d][\d\s()/.-]*|\/(?!\/)\S*|#[a-z0-9-]+)$/i;

export const ownAddressSchema = z
  .string()
  .trim()
  .max(500, 'An address can have at most 500 characters.')
  .regex(ADDRESS, 'Type an address such as https://example.com, /page/about, #questions or mailto:us@example.com.');

/** Where a link leads: to something of the shop, or to an address that the seller typed. */
export const linkSchema = z.union([targetSchema, z.object({ kind: z.literal('address'), url: ownAddressSchema })]);
export type Link = z.infer<typeof linkSchema>;
