import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { missingToOpen } from '../../core/loose-ends/missing-to-open';
import { hashPassword } from '../shared/passwords';
import type { Catalog } from '../state/catalog';
import { readOpening, writeOpening } from '../store/opening';

/** Whether shoppers come in, and what they would miss of what is live. */
export function openingOf({ db, live }: Catalog): AnswerOf<typeof shopfrontRoutes.opening> {
  const { isClosed, message, password } = readOpening(db);
  return { isClosed, message, hasPassword: password !== null, missing: missingToOpen(live.shop, live.edition) };
}

/** Opens or closes the shop, or changes what is read meanwhile. Holds at once; what is not named stays. */
export async function setOpening(
  catalog: Catalog,
  { isClosed, message, password }: BodyOf<typeof shopfrontRoutes.setOpening>,
): Promise<void> {
  const hashed = typeof password === 'string' ? await hashPassword(password) : password;
  const before = readOpening(catalog.db);
  writeOpening(catalog.db, {
    key: before.key,
    isClosed: isClosed ?? before.isClosed,
    message: message ?? before.message,
    password: hashed === undefined ? before.password : hashed,
  });
}
