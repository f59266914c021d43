import { z } from 'zod';
import { chosenListingSchema } from '../core/model/chosen-listing';
import { groupNameSchema } from '../core/model/group-fields';
import { groupTargetSchema } from '../core/model/target';
import { route } from './route';
import { wasOf } from './was';

const whole = z.number().int();
const ok = z.object({ ok: z.literal(true) });
const kinds = z.enum(['product', 'category', 'collection', 'brand', 'tag', 'page', 'chosenListing', 'forward']);

const conflict = z.object({
  sort: z.enum(['redirected', 'hiddenInMenu', 'canonicalHidden', 'sameTitle', 'noGoods', 'shortText', 'untold']),
  kind: kinds,
  id: z.string(),
  name: z.string(),
  url: z.string(),
  words: z.string(),
  mend: z.enum(['index', 'noindex', 'dropForward', 'dropChosen', 'none']),
});
export type SearchConflict = z.infer<typeof conflict>;

const shownPage = z.object({
  kind: kinds.exclude(['forward']),
  id: z.string(),
  url: z.string(),
  title: z.string(),
  description: z.string(),
});
export type ShownPage = z.infer<typeof shownPage>;

const chosenRow = z.object({
  chosen: chosenListingSchema,
  /** group and filters in words */
  words: z.string(),
  url: z.string(),
  goods: whole,
});
export type ChosenRow = z.infer<typeof chosenRow>;

const filter = z.object({
  key: z.string(),
  label: z.string(),
  values: z.array(z.object({ value: z.string(), label: z.string(), count: whole })),
});

const chosenWords = chosenListingSchema
  .pick({ slug: true, title: true, text: true, metaTitle: true, metaDescription: true, picture: true })
  .partial();

export const engineRoutes = {
  overview: route({
    method: 'GET',
    path: '/api/engines',
    summary: 'What search engines are told of the shop, and what of it does not go together',
    answer: z.object({
      origin: z.string(),
      shopName: z.string(),
      pages: z.array(shownPage),
      total: whole,
      conflicts: z.array(conflict),
      chosen: z.array(chosenRow),
    }),
  }),
  filters: route({
    method: 'GET',
    path: '/api/engines/filters',
    summary: 'Filters of a listing with their values, to choose a narrowed one',
    query: z.object({ kind: groupTargetSchema.shape.kind.optional(), id: z.string().max(60).optional() }),
    answer: z.object({ filters: z.array(filter) }),
  }),
  choose: route({
    method: 'POST',
    path: '/api/engines/chosen',
    summary: 'Choose a narrowed listing for search engines',
    body: z.object({
      at: groupTargetSchema.nullable(),
      choices: chosenListingSchema.shape.choices,
      title: groupNameSchema,
    }),
    answer: z.object({ id: z.string() }),
  }),
  changeChosen: route({
    method: 'PATCH',
    path: '/api/engines/chosen/:id',
    summary: 'Change the address or the words of a chosen listing',
    body: chosenWords.extend({ was: wasOf(chosenWords.shape) }),
    answer: z.object({ chosen: chosenListingSchema }),
  }),
  dropChosen: route({
    method: 'DELETE',
    path: '/api/engines/chosen/:id',
    summary: 'Let search engines no longer show a chosen listing',
    answer: ok,
  }),
  setNoindex: route({
    method: 'POST',
    path: '/api/engines/noindex',
    summary: 'Keep a page or a group from search engines, or let them show it',
    body: z.object({
      kind: z.enum(['category', 'collection', 'brand', 'tag', 'page', 'product']),
      id: z.string(),
      noindex: z.boolean(),
    }),
    answer: ok,
  }),
};
