import { z } from 'zod';
import { idSchema } from '../../shared/identity';
import { cardPartKeys } from '../card-choices';
import { MOST_PLACED } from '../group-fields';
import { orderSchema } from '../order';
import { ruleSchema } from '../rule';
import { groupTargetSchema } from '../target';
import { followProducts, sectionTitle, sectionType, withFields } from './section-type';
import { translatable } from '../translatable';

export const MAX_STRIP = 48;
const MAX_POOL = 200;

const productIds = z.array(idSchema).max(MOST_PLACED, `At most ${MOST_PLACED} goods.`);

/** What only the browser of a shopper can know: such a strip is filled there. */
const ownSources = ['recentlySeen', 'goesWithBasket'] as const;
export type OwnSource = (typeof ownSources)[number];

/** Where the goods of a strip come from. */
const stripSourceSchema = z.union([
  groupTargetSchema,
  z.object({ kind: z.literal('rule'), rule: ruleSchema }),
  z.object({ kind: z.literal('picked'), ids: productIds }),
  z.object({ kind: z.enum(['featured', 'newest', 'onSale', ...ownSources]) }),
  z.object({ kind: z.literal('bestSold'), days: z.literal([7, 30, 60, 90, 365]) }),
]);
export type StripSource = z.infer<typeof stripSourceSchema>;

/** What fills a strip in the browser; null for one that is the same for everybody. */
export const ownSourceOf = (source: StripSource | null): OwnSource | null =>
  ownSources.find((own) => own === source?.kind) ?? null;

export const strip = sectionType(
  'strip',
  {
    /** empty: the name of what it shows */
    title: sectionTitle,
    subtitle: translatable(z.string().trim().max(300, 'At most 300 characters.'), 'line below the heading').default(''),
    source: stripSourceSchema.nullable(),
    count: z
      .number({ error: 'Type how many goods to show.' })
      .int('Type a whole number.')
      .min(1, 'A strip shows at least one product.')
      .max(MAX_STRIP, `A strip shows at most ${MAX_STRIP} products.`),
    columns: z.number().int().min(2, 'At least two.').max(6, 'At most six.').default(4),
    phoneColumns: z.literal([1, 2]).default(2),
    shape: z.enum(['grid', 'row']).default('grid'),
    /** null: the order that the source has */
    order: orderSchema.nullable().default(null),
    /** how many goods take turns, a new choice each day; null: it stays */
    daily: z
      .number({ error: 'Type how many goods take turns.' })
      .int('Type a whole number.')
      .min(2, 'At least two take turns.')
      .max(MAX_POOL, `At most ${MAX_POOL} take turns.`)
      .nullable()
      .default(null),
    /** held at the front, in this order */
    pins: productIds.default([]),
    leftOut: productIds.default([]),
    skipSoldOut: z.boolean().default(false),
    skipPictureless: z.boolean().default(false),
    skipAbove: z.boolean().default(false),
    /** what becomes of a last row that is not full */
    fewer: z.enum(['leave', 'centre', 'stretch']).default('leave'),
    /** said where there is nothing to show; empty: shoppers do not see the strip */
    emptyWords: translatable(z.string().trim().max(200, 'At most 200 characters.'), 'words for nothing').default(''),
    more: z.boolean().default(true),
    /** of the link to all; empty: "All" and how many */
    moreWords: translatable(z.string().trim().max(60, 'At most 60 characters.'), 'words of a link').default(''),
    /** parts of its cards that are not shown here */
    without: z.array(z.enum(cardPartKeys)).max(cardPartKeys.length).default([]),
  },
  {
    name: 'Strip of goods',
    about: 'Goods from a group, a rule, or picked one by one.',
    start: { title: '', source: null, count: 4 },
    follow: (section, follow) => {
      const { source } = section;
      const followed = (): StripSource | null => {
        if (!source) return null;
        if (source.kind === 'picked') return withFields(source, { ids: followProducts(source.ids, follow, 'source') });
        if (!('id' in source)) return source;
        // A group is followed to a group of the same kind, never to a page.
        const to = follow(source, 'source');
        return to === source ? source : (to as StripSource);
      };
      return withFields(section, {
        source: followed(),
        pins: followProducts(section.pins, follow, 'pins'),
        leftOut: followProducts(section.leftOut, follow, 'leftOut'),
      });
    },
    followRules: (section, follow) => {
      const { source } = section;
      if (source?.kind !== 'rule') return section;
      return withFields(section, { source: withFields(source, { rule: follow(source.rule) }) });
    },
    gone: { source: 'What this strip showed was deleted. Choose another source.' },
  },
);
