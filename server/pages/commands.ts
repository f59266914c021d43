import { refusals } from '../shared/refusals';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import { pagePatterns, type PagePattern } from '../../core/model/page-patterns';
import { usualPage, type Page } from '../../core/model/page';
import { targetsOf, typeOfSection, type Section } from '../../core/model/sections/sections';
import { settingsWords, type Settings } from '../../core/model/settings';
import {
  eachMenu,
  MENU_LEVELS,
  menuNames,
  menus,
  type Menu,
  type MenuItem,
  type MenuName,
  type WantedItem,
} from '../../core/model/menu';
import type { Shop } from '../../core/shop/shop';
import { targetName } from '../../core/storefront/pages/targets';
import type { shopfrontRoutes } from '../../contract/shopfront';
import type { FieldError } from '../../contract/problem';
import type { BodyOf } from '../../contract/route';
import { cleanSection } from './clean-section';
import { isSlugTaken } from '../store/groups';
import { deletePage, putPage, writeMenu, writeSettings } from '../store/pages';
import { keepRedirect } from '../store/redirects';
import { newId } from '../shared/ids';
import { invalid, invalidField, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import type { UserId } from '../state/product-or-refuse';

type PageChange = BodyOf<typeof shopfrontRoutes.updatePage>;
type WantedMenu = BodyOf<typeof shopfrontRoutes.setMenu>;

const pageWords = {
  title: 'title',
  slug: 'address',
  sections: 'list of sections',
  showsTitle: 'choice about the title',
  from: 'first day',
  until: 'last day',
  metaTitle: 'meta title',
  metaDescription: 'meta description',
  noindex: 'choice about search engines',
  standsOn: 'list of groups',
};

function pageOrRefuse(catalog: Catalog, id: string): Page {
  const page = catalog.working.shop.pages.get(id);
  if (!page) throw notFound(refusals.gone('page'));
  return page;
}

export function createPage(catalog: Catalog, user: UserId, title: string, pattern: PagePattern = 'blank'): Page {
  const slug = freeSlug(slugFrom(title, 'page'), (wanted) => isSlugTaken(catalog.db, 'page', wanted));
  const sections = pagePatterns[pattern].sections().map((body): Section => ({ ...body, id: newId('section') }));
  const page: Page = { id: newId('page'), title, slug, home: false, ...usualPage, sections };
  catalog.journal.change({ did: 'pageAdded', title }, catalog.actor(user), () =>
    putPage(catalog.db, page, catalog.working.shop.pages.size),
  );
  return page;
}

function sectionErrors(catalog: Catalog, sections: NonNullable<PageChange['sections']>): FieldError[] {
  const { shop } = catalog.working;
  return sections.flatMap((section, i) => {
    const at = ['sections', i];
    const { gone } = typeOfSection(section);
    return targetsOf(section).flatMap(({ field, to }) => {
      const message = gone[field];
      return message && !targetName(shop, to) ? [{ path: [...at, field], message }] : [];
    });
  });
}

export function changePage(catalog: Catalog, user: UserId, id: string, { was, ...wanted }: PageChange): Page {
  const page = pageOrRefuse(catalog, id);
  const { title, slug, sections, ...settings } = mergedFields(page, wanted, was, pageWords);
  if (slug && isSlugTaken(catalog.db, 'page', slug, id)) throw invalidField(['slug'], refusals.takenAddress('page'));
  const errors = sections ? sectionErrors(catalog, sections) : [];
  if (errors.length > 0) throw invalid(errors);
  const elsewhere = new Set(
    [...catalog.working.shop.pages.values()].flatMap((other) =>
      other.id === id ? [] : other.sections.map((each) => each.id),
    ),
  );
  const freeId = (given: string | null) => (given === null || elsewhere.has(given) ? newId('section') : given);
  const next: Page = {
    ...page,
    title: title ?? page.title,
    slug: slug ?? page.slug,
    ...settings,
    sections:
      sections?.map((section): Section => ({ ...cleanSection(section), id: freeId(section.id) })) ?? page.sections,
  };
  catalog.journal.change({ did: 'pageChanged', title: next.title }, catalog.actor(user), () => {
    putPage(catalog.db, next, 0);
    if (next.slug !== page.slug) keepRedirect(catalog.db, 'page', page.slug, next.slug, id);
  });
  return pageOrRefuse(catalog, id);
}

/** Another page with the same sections and settings, under a title and an address of its own. */
export function copyPage(catalog: Catalog, user: UserId, id: string): Page {
  const page = pageOrRefuse(catalog, id);
  const title = `${page.title.slice(0, 110)}, copy`;
  const copy: Page = {
    ...page,
    id: newId('page'),
    title,
    slug: freeSlug(slugFrom(title, 'page'), (wanted) => isSlugTaken(catalog.db, 'page', wanted)),
    home: false,
    // A listing shows the sections of one page.
    standsOn: [],
    sections: page.sections.map((section) => ({ ...section, id: newId('section') })),
  };
  catalog.journal.change({ did: 'pageCopied', title: page.title }, catalog.actor(user), () =>
    putPage(catalog.db, copy, catalog.working.shop.pages.size),
  );
  return copy;
}

export function removePage(catalog: Catalog, user: UserId, id: string): void {
  const page = pageOrRefuse(catalog, id);
  if (page.home) throw invalidField([], refusals.homeStays);
  catalog.journal.change({ did: 'pageDeleted', title: page.title }, catalog.actor(user), () =>
    deletePage(catalog.db, id),
  );
}

/** What is wrong with the items of a menu: a link to something deleted, or more levels than there are. */
function menuErrors(shop: Shop, items: readonly WantedItem[], at: FieldError['path'], level = 0): FieldError[] {
  return items.flatMap(({ target, items: below = [] }, i) => {
    const path = [...at, i];
    const isGone = target !== null && target.kind !== 'address' && !targetName(shop, target);
    return [
      ...(isGone ? [{ path: [...path, 'target'], message: refusals.menuTargetGone }] : []),
      ...(level >= MENU_LEVELS ? [{ path, message: refusals.menuTooDeep }] : []),
      ...menuErrors(shop, below, [...path, 'items'], level + 1),
    ];
  });
}

export function changeMenu(catalog: Catalog, user: UserId, { was, ...wanted }: WantedMenu): Menu {
  const { shop } = catalog.working;
  const merged: Partial<Record<MenuName, WantedItem[]>> = mergedFields(
    shop.menu,
    wanted,
    was,
    eachMenu((name) => menus[name].words),
  );
  const errors = menuNames.flatMap((name) => menuErrors(shop, merged[name] ?? [], [name]));
  if (errors.length > 0) throw invalid(errors);
  const withIds = (list: readonly WantedItem[]): MenuItem[] =>
    list.map((item) => ({ ...item, id: item.id ?? newId('menuItem'), items: withIds(item.items ?? []) }) as MenuItem);
  const menu = eachMenu((name) => {
    const list = merged[name];
    return list ? withIds(list) : shop.menu[name];
  });
  catalog.journal.change({ did: 'menuChanged' }, catalog.actor(user), () => writeMenu(catalog.db, menu));
  return shop.menu;
}

export function changeSettings(
  catalog: Catalog,
  user: UserId,
  { was, ...wanted }: BodyOf<typeof shopfrontRoutes.setSettings>,
): Settings {
  const { settings } = catalog.working.shop;
  const next = { ...settings, ...mergedFields(settings, wanted, was, settingsWords) };
  catalog.journal.change({ did: 'settingsChanged' }, catalog.actor(user), () => writeSettings(catalog.db, next));
  return next;
}
