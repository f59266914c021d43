import { isPageOpen, type Page } from '../../model/page';
import type { GroupRef } from '../../shop/open-groups';
import type { Shop } from '../../shop/shop';

/** The page whose sections stand around the listing of a group now; the first one where several would. O(pages). */
export function pageOfGroup(shop: Shop, { kind, id }: GroupRef): Page | undefined {
  for (const page of shop.pages.values())
    if (page.standsOn.some((to) => to.kind === kind && to.id === id) && isPageOpen(page, shop.now * 1000)) return page;
  return undefined;
}
