import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { sectionBodySchema, type SectionOf } from './sections/sections';

const colour = z.string().regex(/^#[0-9a-f]{6}$/i, 'Type a colour, like #0b6a69.');

/** How goods look on a page that is not the shop's. */
const embedLookSchema = z.strictObject({
  accent: colour,
  ink: colour,
  /** null: the page shows through */
  ground: colour.nullable(),
  /** letters of the page that they stand on, or plain ones */
  type: z.enum(['page', 'plain', 'serif']),
  /** pixels */
  size: z.number({ error: 'Type a size.' }).int().min(12, 'At least 12.').max(24, 'At most 24.'),
  corners: z.number({ error: 'Type how round.' }).int().min(0, 'At least 0.').max(32, 'At most 32.'),
});

const embedShape = z.strictObject({
  id: idSchema,
  /** for the seller */
  name: z.string().trim().min(1, 'It needs a name.').max(120, 'At most 120 characters.'),
  /** which goods, in which order, how they stand and what their cards tell: a strip, as on a page of the shop */
  strip: sectionBodySchema.refine(({ kind }) => kind === 'strip', 'Only a strip can stand elsewhere.'),
  look: embedLookSchema,
  /** shoppers fill a basket there, and pay in the shop */
  basket: z.boolean(),
  /** language in which goods are told; absent or empty for the main one */
  locale: z.string().max(35).optional(),
});

/** Goods of the shop that stand in a page of another site. */
export type Embed = Omit<z.infer<typeof embedShape>, 'strip'> & { strip: SectionOf<'strip'> };
export const embedSchema = embedShape as unknown as z.ZodType<Embed>;
export const someEmbedSchema = embedShape.omit({ id: true }).partial();

export const usualEmbedLook: Embed['look'] = {
  accent: '#0b6a69',
  ink: '#20303a',
  ground: null,
  type: 'page',
  size: 16,
  corners: 8,
};

/** What the fields of an embed are called inside a sentence. */
export const embedWords: Readonly<Record<Exclude<keyof Required<Embed>, 'id'>, string>> = {
  name: 'name',
  strip: 'goods',
  look: 'look',
  basket: 'choice of a basket',
  locale: 'language',
};
