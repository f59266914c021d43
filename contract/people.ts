import { z } from 'zod';
import { email, rightsShape, type Role } from './desk';
import { route } from './route';

const ok = z.object({ ok: z.literal(true) });

const { role, languages, suppliers } = rightsShape;
const toldRights = { role, languages: languages.optional(), suppliers: suppliers.optional() };
interface ToldRights {
  role: Role;
  languages?: string[] | null;
  suppliers?: string[] | null;
}
const onlyHelpers = ({ role, languages, suppliers }: ToldRights) => role === 'helper' || (!languages && !suppliers);
const onlyHelpersRefusal = { path: ['languages'], error: 'Owners may do everything: make them a helper first.' };

const peopleSchema = z.object({
  people: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      email: z.string(),
      ...rightsShape,
      /** places in which they are signed in now */
      sessions: z.number().int(),
    }),
  ),
  invites: z.array(
    z.object({
      id: z.string(),
      email: z.string(),
      ...rightsShape,
      invitedBy: z.string(),
      expires: z.string(),
    }),
  ),
});

/** Who may come in, from where they do, and where they are at work. */
export const peopleRoutes = {
  people: route({
    method: 'GET',
    path: '/api/people',
    summary: 'Who may sign in, and who is invited',
    answer: peopleSchema,
  }),
  invite: route({
    method: 'POST',
    path: '/api/people/invites',
    summary: 'Invite somebody: answers a link that works once, for a week',
    body: z.object({ email, ...toldRights }).refine(onlyHelpers, onlyHelpersRefusal),
    /** the part of the link that is the secret; nobody is told it again */
    answer: z.object({ code: z.string(), email: z.string(), expires: z.string() }),
    owner: true,
  }),
  takeBackInvite: route({
    method: 'DELETE',
    path: '/api/people/invites/:id',
    summary: 'Take an invitation back',
    answer: ok,
    owner: true,
  }),
  invited: route({
    method: 'GET',
    path: '/api/invited',
    summary: 'Who an invitation is for',
    query: z.object({ code: z.string().max(200) }),
    answer: z.object({
      email: z.string(),
      shopName: z.string(),
      /** they are here already, and choose another password */
      isHere: z.boolean(),
    }),
    open: true,
  }),
  setRole: route({
    method: 'PATCH',
    path: '/api/people/:id',
    summary: 'Make somebody an owner, a helper or a translator; a shop keeps one owner at least',
    body: z.object(toldRights).refine(onlyHelpers, onlyHelpersRefusal),
    answer: ok,
    owner: true,
  }),
  removePerson: route({
    method: 'DELETE',
    path: '/api/people/:id',
    summary: 'Somebody cannot sign in any more; what they changed stays theirs in the history',
    answer: ok,
    owner: true,
  }),
  sessions: route({
    makers: true,
    method: 'GET',
    path: '/api/sessions',
    summary: 'Where you are signed in, the place used last first',
    answer: z.object({
      sessions: z.array(
        z.object({
          id: z.string(),
          /** such as "Firefox on Linux" */
          device: z.string(),
          /** ISO instants; null where it was not written down */
          opened: z.string().nullable(),
          used: z.string(),
          isThis: z.boolean(),
        }),
      ),
    }),
  }),
  endSession: route({
    makers: true,
    translates: true,
    method: 'DELETE',
    path: '/api/sessions/:id',
    summary: 'Sign out in one of the places where you are signed in',
    answer: ok,
  }),
  letChoosePassword: route({
    method: 'POST',
    path: '/api/people/:id/password-link',
    summary: 'Let somebody choose another password: answers a link that works once, for a day',
    answer: z.object({ code: z.string(), email: z.string(), expires: z.string() }),
    owner: true,
  }),
  signOutElsewhere: route({
    makers: true,
    translates: true,
    method: 'POST',
    path: '/api/session/others',
    summary: 'End all your sessions but this one',
    answer: ok,
  }),
  presence: route({
    method: 'GET',
    path: '/api/presence',
    summary: 'Where others are at work just now',
    answer: z.object({
      others: z.array(
        z.object({
          userId: z.string(),
          name: z.string(),
          path: z.string(),
          title: z.string(),
          /** what they typed there and is not saved, by the names of the fields */
          unsaved: z.array(z.string()),
        }),
      ),
    }),
  }),
  tellPresence: route({
    translates: true,
    waits: false,
    method: 'POST',
    path: '/api/presence',
    summary: 'Say where you are at work; again every minute at least, and with an empty path when you leave',
    body: z.object({
      tab: z.string().min(1).max(60),
      path: z.string().max(300),
      title: z.string().max(200),
      unsaved: z.array(z.string().max(120)).max(30),
    }),
    answer: ok,
  }),
};
