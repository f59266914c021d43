import type { Page } from '../../model/page';
import type { Target } from '../../model/target';
import type { ResolvedShop } from '../../shop/resolved-shop';
import { sectionView, type SectionView } from './sections/sections';
import { targetLink, type LinkView } from './targets';

export interface PageView {
  id: string;
  title: string;
  sections: SectionView[];
}

export interface MenuView {
  items: (LinkView & { items: LinkView[] })[];
}

/** A page with every section filled, as shoppers see it at `now` (seconds since 1970). */
export function pageView(shop: ResolvedShop, page: Page, now: number): PageView {
  return { id: page.id, title: page.title, sections: page.sections.map((section) => sectionView(shop, section, now)) };
}

/** The header menu; items whose target is gone are left out. */
export function menuView(shop: ResolvedShop): MenuView {
  const view = (item: { label: string; target: Target }): LinkView[] => {
    const link = targetLink(shop, item.target);
    return link ? [{ url: link.url, label: item.label || link.label }] : [];
  };
  return {
    items: shop.menu.items.flatMap((item) => view(item).map((link) => ({ ...link, items: item.items.flatMap(view) }))),
  };
}
