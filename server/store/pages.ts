import { type Page, type PageSettings } from '../../core/model/page';
import { leanSection, wholeSection, type Section, type SectionBody } from '../../core/model/sections/sections';
import { settingsOf, type Settings } from '../../core/model/settings';
import { eachMenu, menuNames, type Menu, type MenuItem, type MenuName } from '../../core/model/menu';
import type { Link, Target } from '../../core/model/target';
import { canonicalJson } from '../../core/shared/canonical-json';
import type { Db } from '../database/connection';

/** Columns of what a page says of itself, by field. */
const columns: Record<keyof PageSettings, string> = {
  showsTitle: 'shows_title',
  from: 'seen_from',
  until: 'seen_until',
  metaTitle: 'meta_title',
  metaDescription: 'meta_description',
  noindex: 'noindex',
  standsOn: 'stands_on',
};
const settingNames = Object.keys(columns) as (keyof PageSettings)[];

/** All pages, the home page first. */
export function readPages(db: Db): Page[] {
  const sections = db.prepare(`SELECT id, page_id AS pageId, body FROM section ORDER BY position`).all() as {
    id: string;
    pageId: string;
    body: string;
  }[];
  const settings = settingNames.map((name) => `${columns[name]} AS "${name}"`).join(', ');
  const pages = db
    .prepare(`SELECT id, title, slug, home, ${settings} FROM page ORDER BY home DESC, position, id`)
    .all() as (Record<keyof PageSettings, never> & { id: string; title: string; slug: string; home: number })[];
  return pages.map((page) => ({
    ...page,
    home: page.home === 1,
    showsTitle: page.showsTitle === 1,
    noindex: page.noindex === 1,
    standsOn: JSON.parse(page.standsOn) as Page['standsOn'],
    sections: sections
      .filter((section) => section.pageId === page.id)
      .map(({ id, body }): Section => ({ id, ...wholeSection(JSON.parse(body) as SectionBody) })),
  }));
}

export function putPage(db: Db, page: Page, position: number): void {
  const set = ['title', 'slug', ...settingNames.map((name) => columns[name])];
  const values = [page.title, page.slug, ...settingNames.map((name) => stored(page[name]))];
  db.prepare(
    `INSERT INTO page (id, position, home, ${set.join(', ')}) VALUES (?, ?, ?${', ?'.repeat(set.length)})
     ON CONFLICT (id) DO UPDATE SET ${set.map((column) => `${column} = excluded.${column}`).join(', ')}`,
  ).run(page.id, position, Number(page.home), ...values);
  db.prepare(`DELETE FROM section WHERE page_id = ? AND id NOT IN (SELECT value FROM json_each(?))`).run(
    page.id,
    JSON.stringify(page.sections.map((section) => section.id)),
  );
  const put = db.prepare(
    `INSERT INTO section (id, page_id, position, body) VALUES (?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET position = excluded.position, body = excluded.body`,
  );
  page.sections.forEach(({ id, ...body }, place) => put.run(id, page.id, place, canonicalJson(leanSection(body))));
}

const stored = (value: PageSettings[keyof PageSettings]) =>
  typeof value === 'boolean' ? Number(value) : Array.isArray(value) ? canonicalJson(value) : value;

export function deletePage(db: Db, id: string): void {
  db.prepare(`DELETE FROM page WHERE id = ?`).run(id);
}

interface MenuRow {
  id: string;
  parentId: string | null;
  menu: MenuName;
  label: string;
  kind: Target['kind'] | 'address' | 'heading';
  targetId: string;
  withChildren: number;
  hidden: number;
  from: string | null;
  until: string | null;
  picture: string | null;
}

function linkOf({ kind, targetId }: MenuRow): Link | null {
  if (kind === 'heading') return null;
  return kind === 'address' ? { kind, url: targetId } : { kind, id: targetId };
}

export function readMenu(db: Db): Menu {
  const rows = db
    .prepare(
      `SELECT id, parent_id AS parentId, menu, label, target_kind AS kind, target_id AS targetId,
         with_children AS withChildren, hidden, seen_from AS "from", seen_until AS until, picture
       FROM menu_item ORDER BY position`,
    )
    .all() as MenuRow[];
  const below = (menu: MenuName, parentId: string | null): MenuItem[] =>
    rows
      .filter((row) => row.menu === menu && row.parentId === parentId)
      .map((row) => ({
        id: row.id,
        label: row.label,
        target: linkOf(row),
        withChildren: row.withChildren === 1,
        hidden: row.hidden === 1,
        from: row.from,
        until: row.until,
        picture: row.picture === null ? null : (JSON.parse(row.picture) as MenuItem['picture']),
        items: below(menu, row.id),
      }));
  return eachMenu((name) => below(name, null));
}

export function writeMenu(db: Db, menu: Menu): void {
  const put = db.prepare(
    `INSERT INTO menu_item (id, parent_id, position, menu, label, target_kind, target_id, with_children, hidden, seen_from, seen_until, picture)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET parent_id = excluded.parent_id, position = excluded.position, menu = excluded.menu,
       label = excluded.label, target_kind = excluded.target_kind, target_id = excluded.target_id,
       with_children = excluded.with_children, hidden = excluded.hidden, seen_from = excluded.seen_from,
       seen_until = excluded.seen_until, picture = excluded.picture`,
  );
  const ids: string[] = [];
  const write = (name: MenuName, parentId: string | null, items: readonly MenuItem[]) =>
    items.forEach((item, position) => {
      const { id, label, target, withChildren, hidden, from, until, picture } = item;
      const to = target === null ? '' : target.kind === 'address' ? target.url : target.id;
      const own = [label, target?.kind ?? 'heading', to, Number(withChildren), Number(hidden), from, until];
      put.run(id, parentId, position, name, ...own, picture && canonicalJson(picture));
      ids.push(id);
      write(name, id, item.items);
    });
  for (const name of menuNames) write(name, null, menu[name]);
  db.prepare(`DELETE FROM menu_item WHERE id NOT IN (SELECT value FROM json_each(?))`).run(JSON.stringify(ids));
}

export function readSettings(db: Db): Settings | undefined {
  const value = db.prepare(`SELECT value FROM setting WHERE key = 'shop'`).pluck().get() as string | undefined;
  return value === undefined ? undefined : settingsOf(JSON.parse(value) as Settings);
}

export function writeSettings(db: Db, settings: Settings): void {
  db.prepare(
    `INSERT INTO setting (key, value) VALUES ('shop', ?) ON CONFLICT DO UPDATE SET value = excluded.value`,
  ).run(canonicalJson(settings));
}
