import { z } from 'zod';
import { canonicalJson } from '../shared/canonical-json';
import { idSchema } from '../shared/identity';
import { momentSchema } from './product-values';
import { isShownAt } from './sections/frame';
import { placedPictureSchema } from './sections/picture';
import { linkSchema, type Link } from './target';
import { translatable } from './translatable';

/** Levels that a menu can have, the first one included. */
export const MENU_LEVELS = 3;

const itemFields = {
  /** empty: the name of what it leads to */
  label: translatable(z.string().trim().max(60, 'At most 60 characters.'), 'item of a menu'),
  /** null: a heading, which leads nowhere */
  target: linkSchema.nullable(),
  /** all open children of the category that it leads to stand below it, kept in step with the tree */
  withChildren: z.boolean().default(false),
  hidden: z.boolean().default(false),
  /** seen between these; open where null */
  from: momentSchema.default(null),
  until: momentSchema.default(null),
  /** in a wide drop-down, beside what stands below it */
  picture: placedPictureSchema.nullable().default(null),
};
/** What an item of a menu says while nothing else is said. */
export const usualItem = {
  withChildren: false,
  hidden: false,
  from: null,
  until: null,
  picture: null,
};

export interface MenuItem extends z.infer<z.ZodObject<typeof itemFields>> {
  id: string;
  items: MenuItem[];
}

const itemSchema: z.ZodType<MenuItem> = z.lazy(() =>
  z.object({ id: idSchema, ...itemFields, items: z.array(itemSchema) }),
);

/**
 * The menus of the shop: what stands here is stored, published, reviewed and walked; the frame of the shop draws each. One
 * that comes later is not published while it is empty.
 */
export const menus = {
  items: { words: 'the menu', most: 20, tooMany: 'A menu can have at most 20 items.' },
  footer: { words: 'the foot of the shop', most: 12, tooMany: 'The foot of the shop can have at most 12 columns.' },
  top: { words: 'the line above the head', most: 6, tooMany: 'The line above the head can have at most 6 items.' },
} as const;
export type MenuName = keyof typeof menus;
export const menuNames = Object.keys(menus) as MenuName[];
export type Menu = Record<MenuName, MenuItem[]>;

/** A menu, or anything else for each of them, from what there is under each name. */
export const eachMenu = <T>(make: (name: MenuName) => T): Record<MenuName, T> => ({
  items: make('items'),
  footer: make('footer'),
  top: make('top'),
});

export const menuSchema = z.object(eachMenu(() => z.array(itemSchema)));
export const emptyMenu: Menu = eachMenu(() => []);

/** An item as it is sent: without an id while it is new, and what is as usual left out. */
export interface WantedItem extends z.input<z.ZodObject<typeof itemFields>> {
  id: string | null;
  items?: WantedItem[];
}
interface ReadItem extends z.output<z.ZodObject<typeof itemFields>> {
  id: string | null;
  items: ReadItem[];
}
export const wantedItemSchema: z.ZodType<ReadItem, WantedItem> = z.lazy(() =>
  z.object({
    id: idSchema.nullable(),
    ...itemFields,
    items: z.array(wantedItemSchema).max(40, 'At most 40 items below one.').default([]),
  }),
);

/** Whether shoppers meet an item at `now` (milliseconds since 1970). */
export const isItemShown = (item: Pick<MenuItem, 'hidden' | 'from' | 'until'>, now: number): boolean =>
  isShownAt(item, now);

/** All items of a menu from the top down, with the level of each from 0. O(items). */
export function flatItems(items: readonly MenuItem[], level = 0): { item: MenuItem; level: number }[] {
  return items.flatMap((item) => [{ item, level }, ...flatItems(item.items, level + 1)]);
}

/** All items of all menus. */
export const allItems = (menu: Menu): MenuItem[] =>
  menuNames.flatMap((name) => flatItems(menu[name]).map(({ item }) => item));

/** The items with every link changed; the same where none is. */
export function withLinks(items: MenuItem[], follow: (link: Link) => Link): MenuItem[] {
  const next = items.map((item) => {
    const target = item.target && follow(item.target);
    const below = withLinks(item.items, follow);
    return target === item.target && below === item.items ? item : { ...item, target, items: below };
  });
  return next.some((item, i) => item !== items[i]) ? next : items;
}

/** Levels below and with an item. */
const levelsOf = ({ items }: MenuItem): number => 1 + Math.max(0, ...items.map(levelsOf));

/** Items made of rows: each stands below the nearest one before it that has a lower level. */
function nested(rows: readonly { item: MenuItem; level: number }[]): MenuItem[] {
  const top: MenuItem[] = [];
  const path: MenuItem[] = [];
  for (const { item, level } of rows) {
    const own = { ...item, items: [] };
    const at = Math.min(level, path.length);
    (at === 0 ? top : path[at - 1]!.items).push(own);
    path.length = at;
    path.push(own);
  }
  return top;
}

/**
 * The items with one of them, and all below it, put before the row `to` (counted without those that move) at a level; at the
 * nearest level that is possible there. The same items where it cannot stand there, nothing changes, or there is no such item.
 */
export function movedItem(items: MenuItem[], id: string, to: number, level: number): MenuItem[] {
  const rows = flatItems(items);
  const from = rows.findIndex(({ item }) => item.id === id);
  if (from < 0) return items;
  const moving = rows[from]!;
  const size = flatItems([moving.item]).length;
  const own = rows.slice(from, from + size);
  const rest = [...rows.slice(0, from), ...rows.slice(from + size)];
  const at = Math.max(0, Math.min(to, rest.length));
  const deepest = Math.min(at === 0 ? 0 : rest[at - 1]!.level + 1, MENU_LEVELS - levelsOf(moving.item));
  // What follows must not come to stand below something else than before.
  const least = rest[at]?.level ?? 0;
  if (least > deepest) return items;
  const wanted = Math.max(Math.min(level, deepest), least);
  const shifted = own.map((row) => ({ ...row, level: row.level - moving.level + wanted }));
  const next = nested([...rest.slice(0, at), ...shifted, ...rest.slice(at)]);
  return canonicalJson(next) === canonicalJson(items) ? items : next;
}

const leanItem = ({ items, ...item }: MenuItem): object => {
  const usual = usualItem as Record<string, unknown>;
  const own = Object.entries(item).filter(
    ([field, value]) => !(field in usual) || canonicalJson(value) !== canonicalJson(usual[field]),
  );
  return { ...Object.fromEntries(own), ...(items.length > 0 && { items: items.map(leanItem) }) };
};

/** Menus as they are published: without what is as usual. Items of the first level always told what stands below them. */
export const leanMenu = (menu: Menu): object =>
  Object.fromEntries(
    menuNames.flatMap((name) =>
      name === 'items' || menu[name].length > 0
        ? [[name, menu[name].map((item) => ({ items: [], ...leanItem(item) }))]]
        : [],
    ),
  );

const wholeItem = (stored: MenuItem): MenuItem => ({
  ...usualItem,
  ...stored,
  items: ((stored.items as MenuItem[] | undefined) ?? []).map(wholeItem),
});

/** The menus that `leanMenu` made less of. */
export const wholeMenu = (stored: Partial<Menu>): Menu => eachMenu((name) => (stored[name] ?? []).map(wholeItem));

/**
 * The items with one that was kept in step with the tree written out: its subcategories as items of their own, as many levels
 * down as a menu has left. `children` answers the categories below one, in order; `newId` an id for a new item.
 */
export function writtenOut(
  items: MenuItem[],
  id: string,
  children: (categoryId: string) => readonly string[],
  newId: () => string,
  level = 0,
): MenuItem[] {
  const below = (categoryId: string, at: number): MenuItem[] =>
    at >= MENU_LEVELS
      ? []
      : children(categoryId).map((child) => ({
          id: newId(),
          label: '',
          target: { kind: 'category', id: child },
          ...usualItem,
          items: below(child, at + 1),
        }));
  return items.map((item) => {
    if (item.id !== id) return { ...item, items: writtenOut(item.items, id, children, newId, level + 1) };
    if (item.target?.kind !== 'category') return item;
    return { ...item, withChildren: false, items: [...below(item.target.id, level + 1), ...item.items] };
  });
}
