import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { offerGoodsSchema } from './offer';

export const feedFormats = {
  csv: { name: 'CSV', ending: 'csv', type: 'text/csv; charset=utf-8' },
  xml: { name: 'XML', ending: 'xml', type: 'application/xml; charset=utf-8' },
  jsonl: { name: 'JSON Lines', ending: 'jsonl', type: 'application/x-ndjson; charset=utf-8' },
  jsonld: { name: 'JSON-LD (schema.org)', ending: 'jsonld', type: 'application/ld+json; charset=utf-8' },
  atom: { name: 'Atom', ending: 'atom', type: 'application/atom+xml; charset=utf-8' },
} as const;
export type FeedFormat = keyof typeof feedFormats;
const formatKeys = Object.keys(feedFormats) as [FeedFormat, ...FeedFormat[]];

const feedFieldSchema = z.strictObject({
  /** as whoever reads the feed calls it */
  name: z
    .string()
    .trim()
    .regex(/^[A-Za-z_][\w.:-]{0,59}$/, 'Letters, digits, and . : _ - ; a letter first; at most 60.'),
  /** key of what stands in it; "words" for the same words everywhere */
  from: z.string().min(1).max(80),
  words: z.string().max(500, 'At most 500 characters.').default(''),
});
export type FeedField = z.infer<typeof feedFieldSchema>;

const feedShape = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1, 'A feed needs a name.').max(120, 'At most 120 characters.'),
  goods: offerGoodsSchema,
  /** an entry for each variant, or one for each product */
  per: z.enum(['variants', 'products']),
  format: z.enum(formatKeys),
  fields: z.array(feedFieldSchema).min(1, 'A feed needs at least one field.').max(80, 'At most 80 fields.'),
  /** basis points that prices are dearer there; below zero: cheaper */
  dearer: z
    .number({ error: 'Type a percentage.' })
    .int()
    .min(-9_000, 'At most 90 % off.')
    .max(50_000, 'At most 500 %.'),
  /** minor units that come on top */
  more: z.number({ error: 'Type an amount.' }).int().min(-100_000_00).max(100_000_00),
  soldOut: z.boolean(),
  /** key of the channel that fetches it; null where nobody checks it here */
  channel: z.string().max(40).nullable(),
  /** language in which goods are told; absent or empty for the main one */
  locale: z.string().max(35).optional(),
});

/** Goods of the shop as another service fetches them. */
export const feedSchema = feedShape.superRefine(({ fields }, context) => {
  fields.forEach(({ name }, i) => {
    if (fields.findIndex((other) => other.name === name) !== i)
      context.addIssue({ code: 'custom', path: ['fields', i, 'name'], message: 'Two fields cannot have one name.' });
  });
});
export type Feed = z.infer<typeof feedShape>;
export const someFeedSchema = feedShape.omit({ id: true }).partial();

export const feedWords: Readonly<Record<Exclude<keyof Required<Feed>, 'id'>, string>> = {
  name: 'name',
  goods: 'choice of goods',
  per: 'what an entry is',
  format: 'format',
  fields: 'fields',
  dearer: 'percentage on prices',
  more: 'amount on prices',
  soldOut: 'choice of sold-out goods',
  channel: 'channel',
  locale: 'language',
};
