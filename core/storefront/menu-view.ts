import { eachMenu, isItemShown, MENU_LEVELS, type MenuItem, type MenuName } from '../model/menu';
import type { Shop } from '../shop/shop';
import type { PictureView } from './views';
import { placedPicture } from './pages/place-goods';
import { linkView, targetLink } from './pages/targets';

/** An item of a menu as shoppers meet it; `url` is null for a heading. */
export interface MenuItemView {
  label: string;
  url: string | null;
  picture: PictureView | null;
  items: MenuItemView[];
}

export type MenuView = Record<MenuName, MenuItemView[]>;

/** The open categories below one, as many levels down as a menu has left. */
function childrenOf(shop: Shop, id: string, level: number): MenuItemView[] {
  if (level >= MENU_LEVELS) return [];
  return shop.tree.children(id).flatMap((child) => {
    const link = targetLink(shop, { kind: 'category', id: child.id });
    return link ? [{ ...link, picture: null, items: childrenOf(shop, child.id, level + 1) }] : [];
  });
}

function viewOf(shop: Shop, item: MenuItem, level: number): MenuItemView[] {
  if (!isItemShown(item, shop.now * 1000)) return [];
  const { target, label, withChildren, picture } = item;
  const link = target && linkView(shop, target, label);
  if (target && !link) return [];
  const kept = withChildren && target?.kind === 'category' ? childrenOf(shop, target.id, level + 1) : [];
  const items = [...kept, ...item.items.flatMap((below) => viewOf(shop, below, level + 1))];
  // A heading with nothing below it would be a word that leads nowhere.
  if (!target && items.length === 0) return [];
  return [{ label: link?.label ?? label, url: link?.url ?? null, picture: picture && placedPicture(picture), items }];
}

/** The menus as shoppers meet them now: items whose target is gone or not open are left out. */
export const menuView = (shop: Shop): MenuView =>
  eachMenu((name) => shop.menu[name].flatMap((item) => viewOf(shop, item, 0)));

/** Addresses of everything in a menu. */
export const menuUrls = (items: readonly MenuItemView[]): string[] =>
  items.flatMap(({ url, items: below }) => [...(url === null ? [] : [url]), ...menuUrls(below)]);
