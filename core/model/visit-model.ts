import { z } from 'zod';

const share = z
  .number({ error: 'Type a percentage.' })
  .int('A whole number of percent.')
  .min(0, 'Not below zero.')
  .max(100, 'At most 100 %.');
const chance = share.min(1, 'At least 1 %.').max(99, 'At most 99 %.');

/** What is taken for true of a visit while nothing is counted, in percent. */
export const visitModelSchema = z
  .object({
    /** where visits begin; the four are 100 together */
    home: share,
    listing: share,
    product: share,
    search: share,
    /** how many visits end at each page */
    leave: chance,
    /** of those who see a row, how many see the one below it */
    row: chance,
    /** of those who see a card in a row that scrolls, how many see the next one past the edge */
    aside: chance,
  })
  .refine(({ home, listing, product, search }) => home + listing + product + search === 100, {
    error: 'The four beginnings make 100 % together.',
    path: ['search'],
  });
export type VisitModel = z.infer<typeof visitModelSchema>;

export const usualVisits: VisitModel = {
  home: 45,
  listing: 20,
  product: 25,
  search: 10,
  leave: 35,
  row: 92,
  aside: 55,
};
