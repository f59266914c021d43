import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { blanks, openBlanks } from '../../core/legal/blanks';
import { legalKeys, legalPages } from '../../core/legal/legal-pages';
import { usualItem, type MenuItem } from '../../core/model/menu';
import { usualPage, type Page } from '../../core/model/page';
import { sectionTypes } from '../../core/model/sections/sections';
import type { ResolvedShop } from '../../core/shop/resolved-shop';
import { newId } from '../shared/ids';
import type { Catalog } from '../state/catalog';
import { putPage, writeMenu } from '../store/pages';

/** Heading of the column at the foot that the pages are put into. */
const COLUMN = 'Good to know';

const pageAt = (shop: ResolvedShop, slug: string) => [...shop.pages.values()].find((page) => page.slug === slug);

const leadsTo = (items: readonly MenuItem[], id: string): boolean =>
  items.some(({ target, items: below }) => (target?.kind === 'page' && target.id === id) || leadsTo(below, id));

/** The words of a page, of all texts on it. */
const textOf = (page: Page): string =>
  page.sections.map((section) => (section.kind === 'text' ? section.html : '')).join(' ');

/** Which legal pages there are, whether the foot leads to them, and what the settings do not say yet for each. */
export function legalOverview({ working: { shop } }: Catalog): AnswerOf<typeof shopfrontRoutes.legal> {
  return {
    pages: legalKeys.map((key) => {
      const { title, slug, html } = legalPages[key];
      const page = pageAt(shop, slug);
      return {
        key,
        title: page?.title ?? title,
        pageId: page?.id ?? null,
        isAtFoot: page !== undefined && leadsTo(shop.menu.footer, page.id),
        blanks: openBlanks(page ? textOf(page) : html, shop.settings).map((name) => blanks[name]),
      };
    }),
  };
}

/** Makes the wanted pages that are not there, and has the foot lead to all wanted ones, as one change. */
export function addLegalPages(
  catalog: Catalog,
  user: string,
  { pages: wanted }: BodyOf<typeof shopfrontRoutes.addLegal>,
): AnswerOf<typeof shopfrontRoutes.addLegal> {
  const { shop } = catalog.working;
  const missing = wanted.flatMap((key): Page[] => {
    const { title, slug, html } = legalPages[key];
    if (pageAt(shop, slug)) return [];
    const text = { ...sectionTypes.text.fresh(), html, width: 'text' as const, id: newId('section') };
    return [{ id: newId('page'), title, slug, home: false, ...usualPage, showsTitle: true, sections: [text] }];
  });
  const slugs = wanted.map((key) => legalPages[key].slug as string);
  const all = [...shop.pages.values(), ...missing].filter(({ slug }) => slugs.includes(slug));
  const items = all
    .filter(({ id }) => !leadsTo(shop.menu.footer, id))
    .sort((a, b) => slugs.indexOf(a.slug) - slugs.indexOf(b.slug))
    .map(({ id }): MenuItem => ({
      ...usualItem,
      id: newId('menuItem'),
      label: '',
      target: { kind: 'page', id },
      items: [],
    }));
  if (missing.length + items.length === 0) return legalOverview(catalog);
  const { footer } = shop.menu;
  const known = footer.find(({ label }) => label === COLUMN);
  const column: MenuItem = known
    ? { ...known, items: [...known.items, ...items] }
    : { ...usualItem, id: newId('menuItem'), label: COLUMN, target: null, items };
  const columns = known ? footer.map((each) => (each === known ? column : each)) : [...footer, column];
  catalog.journal.change({ did: 'legalPagesAdded', count: all.length }, catalog.actor(user), () => {
    missing.forEach((page, i) => putPage(catalog.db, page, shop.pages.size + i));
    writeMenu(catalog.db, { ...shop.menu, footer: columns });
  });
  return legalOverview(catalog);
}
