import { z } from 'zod';
import { documentKinds } from '../core/model/document';
import { documentChangeSchema, placeChangeSchema } from '../core/publishing/changes';
import { goodsRowSchema } from './goods';
import { route } from './route';

const whole = z.number().int();
const documentKeySchema = z.object({ kind: z.enum(documentKinds), key: z.string().min(1).max(500) });
const label = z.string().trim().max(120, 'At most 120 characters.');
const note = z.string().trim().max(2_000, 'At most 2,000 characters.');

const editionSchema = z.object({
  number: whole,
  label: z.string(),
  note: z.string(),
  at: z.string(),
  userName: z.string().nullable(),
  ofEdition: whole.nullable(),
});
export type Edition = z.infer<typeof editionSchema>;

/** A change with its name, as others refer to it. */
const named = documentKeySchema.extend({ title: z.string() });

/** Why a change stays out of the next edition. */
const heldSchema = z.union([
  /** the seller keeps it back */
  z.object({ by: z.literal('hand') }),
  /** it goes live with a planned edition */
  z.object({ by: z.literal('planned'), id: z.string(), at: z.string() }),
  /** it needs something that stays out */
  z.object({ by: z.literal('waits'), for: named }),
]);
export type Held = z.infer<typeof heldSchema>;

const thumb = goodsRowSchema.pick({ id: true, title: true, thumbnail: true });
const pictured = documentChangeSchema.extend({ thumbnail: z.string().nullable() });

const placesSchema = z.array(
  placeChangeSchema.extend({
    joined: z.array(thumb),
    left: z.array(thumb),
    shown: z.array(thumb),
    joinedCount: whole,
    leftCount: whole,
  }),
);

const plannedSchema = z.object({
  id: z.string(),
  at: z.string(),
  label: z.string(),
  note: z.string(),
  madeAt: z.string(),
  userName: z.string().nullable(),
  documents: whole,
  /** what was changed again since, and goes live as it was when this was planned */
  touched: z.array(named),
});
export type PlannedEdition = z.infer<typeof plannedSchema>;

/** Which old editions are kept: all of the last days, and one of each week or month before. */
const keepRuleSchema = z.object({
  days: z
    .number({ error: 'Type a number of days.' })
    .int('Type a whole number of days.')
    .min(1, 'At least one day.')
    .max(3_650, 'At most ten years.'),
  then: z.enum(['week', 'month']),
});

export const publishingRoutes = {
  review: route({
    method: 'GET',
    path: '/api/review',
    summary: 'What shoppers will notice if the working copy goes live',
    answer: z.object({
      edition: whole,
      /** all that differs from the live edition, and how much of it stays out of the next one */
      total: whole,
      heldBack: whole,
      changes: z.array(
        pictured.extend({
          held: heldSchema.nullable(),
          /** nobody changed it: it follows from what was changed, as the price of a bundle does from its parts */
          follows: z.boolean(),
        }),
      ),
      places: placesSchema,
      worries: z.array(
        z.object({
          words: z.string(),
          /** what it speaks of; null for the shop as a whole */
          of: named.nullable(),
        }),
      ),
    }),
  }),
  reach: route({
    method: 'GET',
    path: '/api/review/reach',
    summary: 'How many goods changed, and which share of visits sees at least one of them',
    answer: z.object({ goods: whole, visits: z.number() }),
  }),
  hold: route({
    method: 'PUT',
    path: '/api/review/held',
    summary: 'Keep changes out of the next edition, or let them go on; they stay in the working copy',
    body: z.object({ changes: z.array(documentKeySchema).min(1).max(10_000), held: z.boolean() }),
    answer: z.object({ heldBack: whole }),
  }),
  takeBack: route({
    method: 'POST',
    path: '/api/review/take-back',
    summary: 'Make one thing in the working copy again what it is live',
    body: documentKeySchema,
    answer: z.object({ title: z.string() }),
  }),
  moments: route({
    method: 'GET',
    path: '/api/moments',
    summary:
      'What begins or ends by the clock within some days before and after today: sales, days of goods and of sections',
    query: z.object({ days: z.coerce.number().int().min(1).max(366).default(90) }),
    answer: z.object({
      moments: z.array(
        z.object({
          at: z.string(),
          what: z.enum(['saleBegins', 'saleEnds', 'comes', 'goes', 'sectionComes', 'sectionGoes']),
          ids: z.array(z.string()),
          titles: z.array(z.string()),
        }),
      ),
    }),
  }),
  editions: route({
    method: 'GET',
    path: '/api/editions',
    summary: 'Editions, newest first, and those that are planned, the next one first',
    answer: z.object({
      editions: z.array(editionSchema),
      planned: z.array(plannedSchema),
      keep: keepRuleSchema.nullable(),
    }),
  }),
  putLive: route({
    method: 'POST',
    path: '/api/editions',
    summary: 'Put the working copy live as a new edition, without what is held back',
    body: z.object({ label: label.default(''), note: note.default('') }),
    answer: editionSchema,
  }),
  editEdition: route({
    method: 'PATCH',
    path: '/api/editions/:number',
    summary: 'Change the name and the note of an edition',
    body: z.object({ label: label.optional(), note: note.optional() }),
    answer: editionSchema,
  }),
  keep: route({
    method: 'PUT',
    path: '/api/editions/kept',
    summary: 'Say which old editions are kept, and let go of the others; all with null',
    body: z.object({ keep: keepRuleSchema.nullable() }),
    answer: z.object({ gone: whole }),
  }),
  goBack: route({
    method: 'POST',
    path: '/api/editions/:number/live',
    summary: 'Make an older edition live again, as a new edition',
    answer: editionSchema,
  }),
  compare: route({
    method: 'GET',
    path: '/api/editions/:number/changes',
    summary: 'What shoppers would notice between an edition and another one; the live one where none is told',
    query: z.object({ to: z.coerce.number().int().positive().optional() }),
    answer: z.object({ total: whole, changes: z.array(pictured) }),
  }),
  bringBack: route({
    method: 'POST',
    path: '/api/editions/:number/bring-back',
    summary: 'Make one thing in the working copy again what it was in an edition',
    body: documentKeySchema,
    answer: z.object({ title: z.string() }),
  }),
  plan: route({
    method: 'POST',
    path: '/api/planned-editions',
    summary: 'Put the working copy, as it is now, live at a moment to come',
    body: z.object({
      at: z.iso.datetime({ offset: true, error: 'Choose a day and a time.' }),
      label: label.default(''),
      note: note.default(''),
    }),
    answer: plannedSchema,
  }),
  callOff: route({
    method: 'DELETE',
    path: '/api/planned-editions/:id',
    summary: 'Call a planned edition off; what it holds stays in the working copy',
    answer: z.object({ ok: z.literal(true) }),
  }),
};
