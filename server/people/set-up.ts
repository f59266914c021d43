import { usualPage } from '../../core/model/page';
import { refusals } from '../shared/refusals';
import type { Db } from '../database/connection';
import { countUsers, insertUser } from '../store/people';
import { putPage, writeSettings } from '../store/pages';
import { newId } from '../shared/ids';
import { invalidField } from '../shared/problem';
import { hashPassword } from '../shared/passwords';
import type { Catalog } from '../state/catalog';

export interface FirstPerson {
  shopName: string;
  name: string;
  email: string;
  password: string;
}

export const needsSetup = (db: Db) => countUsers(db) === 0;

/** Makes the first person, the shop's settings and an empty home page. Possible once. */
export async function setUp(catalog: Catalog, { shopName, name, email, password }: FirstPerson): Promise<string> {
  const { db } = catalog;
  const hash = await hashPassword(password);
  if (!needsSetup(db)) throw invalidField(['email'], refusals.isSetUp);
  const id = newId('user');
  insertUser(db, { id, name, email, password: hash, role: 'owner', languages: null, suppliers: null });
  catalog.journal.change({ did: 'shopSetUp' }, catalog.actor(null), () => {
    writeSettings(db, { ...catalog.working.shop.settings, name: shopName });
    if (catalog.working.shop.pages.size === 0)
      putPage(db, { id: newId('page'), title: 'Home', slug: 'home', home: true, ...usualPage, sections: [] }, 0);
  });
  return id;
}
