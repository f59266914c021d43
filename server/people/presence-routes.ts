import { peopleRoutes } from '../../contract/people';
import { Router } from 'express';
import { answer, sessionOf } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { Presence } from './presence';

/** Where the people of the shop are at work, so that two do not type into the same field. */
export function presenceApi(catalog: Catalog): Router {
  const router = Router();
  const presence = new Presence();
  const now = () => catalog.clock().getTime();
  answer(router, peopleRoutes.presence, ({ user }) => ({ others: presence.others(user, now()) }));
  answer(router, peopleRoutes.tellPresence, ({ user, body: { tab, ...where }, response }) => {
    const { name } = sessionOf(response)!;
    // Tabs are told apart by who is in them, too: nobody moves another's.
    const key = `${user} ${tab}`;
    const isNews =
      where.path === '' ? presence.leave(key) : presence.tell(key, { ...where, userId: user, name }, now());
    if (isNews) catalog.events.emit('event', { type: 'presence', id: 0, subjects: [] });
    return { ok: true as const };
  });
  return router;
}
