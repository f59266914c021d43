import { type Page, type PageSettings } from '../../core/model/page';
import { leanSection, wholeSection, type Section, type SectionBody } from '../../core/model/sections/sections';
import { settingsOf, type Settings } from '../../core/model/settings';
import { type Menu, type MenuItem } from '../../core/model/menu';
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
  label: string;
  kind: MenuItem['target']['kind'];
  targetId: string;
}

export function readMenu(db: Db): Menu {
  const rows = db
    .prepare(
      `SELECT id, parent_id AS parentId, label, target_kind AS kind, target_id AS targetId FROM menu_item ORDER BY position`,
    )
    .all() as MenuRow[];
  const below = (parentId: string | null): MenuItem[] =>
    rows
      .filter((row) => row.parentId === parentId)
      .map(({ id, label, kind, targetId }) => ({ id, label, target: { kind, id: targetId } }));
  return { items: below(null).map((item) => ({ ...item, items: below(item.id) })) };
}

export function writeMenu(db: Db, menu: Menu): void {
  const ids = menu.items.flatMap((item) => [item.id, ...item.items.map((sub) => sub.id)]);
  const put = db.prepare(
    `INSERT INTO menu_item (id, parent_id, position, label, target_kind, target_id) VALUES (?, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET parent_id = excluded.parent_id, position = excluded.position, label = excluded.label,
       target_kind = excluded.target_kind, target_id = excluded.target_id`,
  );
  menu.items.forEach((item, i) => {
    put.run(item.id, null, i, item.label, item.target.kind, item.target.id);
    item.items.forEach((sub, j) => put.run(sub.id, item.id, j, sub.label, sub.target.kind, sub.target.id));
  });
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
