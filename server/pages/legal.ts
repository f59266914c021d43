import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf, BodyOf } from '../../contract/route';
import type { Done } from '../../core/history/done';
import { blanks } from '../../core/legal/blanks';
import { legalPages, type LegalKey } from '../../core/legal/legal-pages';
import { legalStates } from '../../core/loose-ends/legal-states';
import { usualItem, type MenuItem } from '../../core/model/menu';
import { usualPage, type Page } from '../../core/model/page';
import { sectionTypes } from '../../core/model/sections/sections';
import { newId } from '../shared/ids';
import type { Catalog } from '../state/catalog';
import { putPage, writeMenu } from '../store/pages';

/** Heading of the column at the foot that the pages are put into. */
const COLUMN = 'Good to know';

/** Which legal pages there are, whether the foot leads to them, and what the settings do not say yet for each. */
export const legalOverview = ({ working: { shop } }: Catalog): AnswerOf<typeof shopfrontRoutes.legal> => ({
  pages: legalStates(shop).map(({ key, page, isAtFoot, open }) => ({
    key,
    title: page?.title ?? legalPages[key].title,
    pageId: page?.id ?? null,
    isAtFoot,
    blanks: open.map((name) => blanks[name]),
  })),
});

function newLegalPage(key: LegalKey): Page {
  const { title, slug, html } = legalPages[key];
  const text = { ...sectionTypes.text.fresh(), html, width: 'text' as const, id: newId('section') };
  return { id: newId('page'), title, slug, home: false, ...usualPage, showsTitle: true, sections: [text] };
}

/** Makes the wanted pages that are not there, and has the foot lead to all wanted ones, as one change. */
export function addLegalPages(
  catalog: Catalog,
  user: string,
  { pages: wanted }: BodyOf<typeof shopfrontRoutes.addLegal>,
): AnswerOf<typeof shopfrontRoutes.addLegal> {
  const { shop } = catalog.working;
  const states = legalStates(shop).filter(({ key, isAtFoot }) => wanted.includes(key) && !isAtFoot);
  if (states.length === 0) return legalOverview(catalog);
  const pages = states.map(({ key, page }) => page ?? newLegalPage(key));
  const missing = pages.filter(({ id }) => !shop.pages.has(id));
  const items = pages.map(({ id }): MenuItem => ({
    ...usualItem,
    id: newId('menuItem'),
    label: '',
    target: { kind: 'page', id },
    items: [],
  }));
  const { footer } = shop.menu;
  const known = footer.find(({ label }) => label === COLUMN);
  const column: MenuItem = known
    ? { ...known, items: [...known.items, ...items] }
    : { ...usualItem, id: newId('menuItem'), label: COLUMN, target: null, items };
  const columns = known ? footer.map((each) => (each === known ? column : each)) : [...footer, column];
  const done: Done = missing.length > 0 ? { did: 'legalPagesAdded', count: missing.length } : { did: 'menuChanged' };
  catalog.journal.change(done, catalog.actor(user), () => {
    missing.forEach((page, i) => putPage(catalog.db, page, shop.pages.size + i));
    writeMenu(catalog.db, { ...shop.menu, footer: columns });
  });
  return legalOverview(catalog);
}
