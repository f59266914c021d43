import { z } from 'zod';
import { momentSchema } from '../product-values';

const grounds = ['plain', 'soft', 'tint', 'deep'] as const;
const widths = ['text', 'page', 'full'] as const;
const spaces = ['none', 'small', 'usual', 'large'] as const;
const screens = ['all', 'wide', 'phone'] as const;

/**
 * What every sort of section has beside its own fields: how it stands on the page, when and for whom. What is as usual is
 * left out where sections are stored.
 */
export const frameFields = {
  /** what the seller calls it; shoppers do not read it */
  label: z.string().trim().max(60, 'At most 60 characters.').default(''),
  hidden: z.boolean().default(false),
  ground: z.enum(grounds).default('plain'),
  width: z.enum(widths).default('page'),
  above: z.enum(spaces).default('usual'),
  below: z.enum(spaces).default('usual'),
  align: z.enum(['start', 'centre']).default('start'),
  /** the screens on which it is seen */
  screen: z.enum(screens).default('all'),
  /** seen between these; open where null */
  from: momentSchema.default(null),
  until: momentSchema.default(null),
  /** what links on this page can lead to, after a # */
  anchor: z
    .string()
    .trim()
    .max(40, 'At most 40 characters.')
    .regex(/^(?:[a-z][a-z0-9-]*)?$/, 'Small letters, digits and hyphens, beginning with a letter.')
    .default(''),
};

/** How a section looks, as far as another can take it over. */
export const lookFields = [
  'ground',
  'width',
  'above',
  'below',
  'align',
] as const satisfies (keyof typeof frameFields)[];

/** Whether shoppers meet a section at `now` (milliseconds since 1970): not put away, and between its days. */
export const isShownAt = (
  { hidden, from, until }: { hidden: boolean; from: string | null; until: string | null },
  now: number,
): boolean => !hidden && (from === null || Date.parse(from) <= now) && (until === null || now < Date.parse(until));
