import { z } from 'zod';
import { route } from './route';
import { changeRowSchema } from './history';

/** the change that the caller means, as the status named it */
const expected = z.object({ of: z.coerce.number().int().optional() });

export const email = z.email('Type an e-mail address, like kim@example.com.');
const password = z.string().min(12, 'A password needs at least 12 characters.').max(200, 'At most 200 characters.');

/** Owners may do everything; helpers all but let others in and open or close the shop. */
const roleSchema = z.enum(['owner', 'helper']);
export type Role = z.infer<typeof roleSchema>;
/** Languages into which somebody may translate, and nothing else; null for who may do all that their role may. */
const languagesSchema = z.array(z.string().max(35)).min(1).max(40).nullable();
/** Suppliers for whose goods somebody may propose changes, and nothing else: that makes a helper a maker. */
const suppliersSchema = z.array(z.string().max(80)).min(1).max(200).nullable();
export const rightsShape = { role: roleSchema, languages: languagesSchema, suppliers: suppliersSchema };

const sessionAnswerSchema = z.object({
  user: z.object({ id: z.string(), name: z.string(), email: z.string(), ...rightsShape }).nullable(),
  /** to be sent as X-Dispona-Token with every write */
  token: z.string().nullable(),
  /** nobody can sign in yet: the first person is asked for */
  needsSetup: z.boolean(),
  /** whoever sets the shop up must type the code that was printed when it was started */
  needsCode: z.boolean(),
});

export const deskRoutes = {
  session: route({
    method: 'GET',
    path: '/api/session',
    summary: 'Who is signed in',
    answer: sessionAnswerSchema,
    open: true,
  }),
  signIn: route({
    method: 'POST',
    path: '/api/session',
    summary: 'Sign in',
    body: z.object({ email: z.string().max(200), password: z.string().max(200) }),
    answer: sessionAnswerSchema,
    open: true,
  }),
  signOut: route({
    makers: true,
    translates: true,
    method: 'DELETE',
    path: '/api/session',
    summary: 'Sign out',
    answer: z.object({ ok: z.literal(true) }),
  }),
  setUp: route({
    method: 'POST',
    path: '/api/setup',
    summary: 'Make the first person and name the shop; possible once',
    body: z.object({
      shopName: z.string().trim().min(1, 'The shop needs a name.').max(80, 'At most 80 characters.'),
      name: z.string().trim().min(1, 'Type your name.').max(80, 'At most 80 characters.'),
      email,
      password,
      code: z.string().trim().max(80).default(''),
    }),
    answer: sessionAnswerSchema,
    open: true,
  }),
  changePassword: route({
    makers: true,
    translates: true,
    method: 'PUT',
    path: '/api/password',
    summary: 'Change your password; all your other sessions end',
    body: z.object({ old: z.string().max(200), next: password }),
    answer: z.object({ ok: z.literal(true) }),
  }),
  join: route({
    method: 'POST',
    path: '/api/invited',
    summary: 'Take an invitation up: makes an account and signs it in',
    body: z.object({
      code: z.string().max(200),
      /** of somebody new; who is here keeps theirs */
      name: z.string().trim().max(80, 'At most 80 characters.').default(''),
      password,
    }),
    answer: sessionAnswerSchema,
    open: true,
  }),
  undo: route({
    translates: true,
    method: 'POST',
    path: '/api/undo',
    waits: false,
    summary: 'Take back your latest change; refused when that is not the one that `of` names',
    query: expected,
    answer: changeRowSchema,
  }),
  redo: route({
    translates: true,
    method: 'POST',
    path: '/api/redo',
    waits: false,
    summary: 'Do again what you undid last; refused when that is not the change that `of` names',
    query: expected,
    answer: changeRowSchema,
  }),
  find: route({
    method: 'GET',
    path: '/api/find',
    summary: 'Products, groups and pages by name',
    query: z.object({ q: z.string().max(10_000).default('') }),
    answer: z.object({
      found: z.array(
        z.object({
          kind: z.enum(['product', 'category', 'collection', 'brand', 'tag', 'page']),
          id: z.string(),
          label: z.string(),
          note: z.string(),
          thumbnail: z.string().nullable(),
        }),
      ),
    }),
  }),
  status: route({
    method: 'GET',
    path: '/api/status',
    summary: 'How many documents differ from the live edition, and what you can undo and do again',
    answer: z.object({
      changes: z.number().int(),
      edition: z.number().int(),
      timeZone: z.string(),
      undo: changeRowSchema.nullable(),
      redo: changeRowSchema.nullable(),
    }),
  }),
};
