import { z } from 'zod';
import { idSchema } from '../shared/identity';
import {
  badgeColours,
  badgeKinds,
  cardPartKeys,
  frames,
  usualCardLook,
  type BadgeKind,
  type Frame,
} from './card-choices';
import { repeatedEntry } from './repeated-entry';
import { ruleSchema } from './rule';
import { translatable } from './translatable';

export const badgeSchema = z.object({
  id: idSchema,
  kind: z.enum(Object.keys(badgeKinds) as [BadgeKind, ...BadgeKind[]]),
  words: translatable(
    z.string().trim().min(1, 'A badge needs words.').max(24, 'At most 24 characters.'),
    'words of a badge',
  ),
  colour: z.enum(badgeColours),
  /** for "new": days since it came into the shop */
  days: z
    .number({ error: 'Type how many days.' })
    .int('Type a whole number.')
    .min(1, 'At least one day.')
    .max(365, 'At most a year.'),
  /** for "last": so many pieces or fewer */
  pieces: z
    .number({ error: 'Type how many pieces.' })
    .int('Type a whole number.')
    .min(1, 'At least one.')
    .max(99, 'At most 99.'),
  /** for "rule" */
  rule: ruleSchema.nullable(),
});
export type Badge = z.infer<typeof badgeSchema>;

export const cardsSchema = z.object({
  /** those that are shown, in order from the top */
  parts: z
    .array(z.enum(cardPartKeys))
    .min(1, 'A card shows something.')
    .check(repeatedEntry('A part can stand only once.')),
  /** another picture of the product is shown while it is pointed at */
  second: z.boolean(),
  price: z.enum(['from', 'range']),
  frame: z.enum(Object.keys(frames) as [Frame, ...Frame[]]),
  /** how pictures stand in their frames that are added from now on */
  fit: z.enum(['fills', 'fits']),
  badges: z.array(badgeSchema).max(12, 'At most 12 badges.'),
  /** most badges that one card shows */
  mostBadges: z.number().int().min(1).max(3),
});
export type Cards = z.infer<typeof cardsSchema>;

const usualBadge = (kind: BadgeKind): Badge => {
  const { words, colour } = badgeKinds[kind];
  return { id: `bdg_usual${kind.toLowerCase()}`, kind, words, colour, days: 30, pieces: 3, rule: null };
};

/** A badge before anybody has changed it. */
export const freshBadge = (id: string, kind: BadgeKind): Badge => ({
  ...usualBadge(kind),
  id,
  words: badgeKinds[kind].words || 'Our choice',
});

export const usualCards: Cards = {
  ...usualCardLook,
  parts: [...usualCardLook.parts],
  second: false,
  fit: 'fills',
  badges: [usualBadge('soldOut'), usualBadge('reduced')],
  mostBadges: 1,
};
