import { mediaUrl } from '../../core/storefront/card';
import { isOpen } from '../../core/shop/open-groups';
import { firstSlots, stripSlots } from '../../core/storefront/pages/page-view';
import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';

/** All pages, with what each section shows now and what is odd about it. */
export function pagesOverview(catalog: Catalog): AnswerOf<typeof shopfrontRoutes.pages> {
  const { shop } = catalog.working;
  const { now } = catalog;
  const thumbnail = (slot: number) => {
    const face = shop.products.get(shop.index.id(slot))!.pictures[0];
    return face ? mediaUrl(face.media, 160) : null;
  };
  const pages = [...shop.pages.values()].sort((a, b) => Number(b.home) - Number(a.home));
  const notes = pages.flatMap((page) =>
    page.sections.map((section) => {
      const warnings: string[] = [];
      if (section.kind === 'tiles') {
        const found = section.categoryIds.filter((id) => shop.categories.has(id));
        const thumbnails = found.map(
          (id) => firstSlots(shop, { kind: 'category', id }, 1, now).slots.map(thumbnail)[0] ?? null,
        );
        if (found.length === 0) warnings.push('No category chosen yet, so shoppers see nothing here.');
        return { id: section.id, thumbnails, shown: found.length, available: found.length, warnings };
      }
      if (section.kind === 'banner') return { id: section.id, thumbnails: [], shown: 0, available: 0, warnings };
      const { slots, total } = stripSlots(shop, section, now);
      const missing = section.count - slots.length;
      if (!section.source) warnings.push('Choose what this strip shows.');
      else if (['collection', 'category'].includes(section.source.kind) && !isOpen(shop, section.source))
        warnings.push(`Its ${section.source.kind} is not on the shop now: shoppers do not see this strip.`);
      else if (slots.length === 0) warnings.push('Nothing to show: shoppers do not see this strip.');
      else if (missing > 0) warnings.push(`${slots.length} of ${section.count}: nothing more to show.`);
      const bare = slots.filter((slot) => !shop.products.get(shop.index.id(slot))!.pictures[0]).length;
      if (bare > 0) warnings.push(bare === 1 ? 'One product has no picture.' : `${bare} products have no picture.`);
      const soldOut = slots.filter((slot) => shop.facts(shop.index.id(slot))!.stock === 0).length;
      if (soldOut > 0) warnings.push(soldOut === 1 ? 'One product is sold out.' : `${soldOut} products are sold out.`);
      return { id: section.id, thumbnails: slots.map(thumbnail), shown: slots.length, available: total, warnings };
    }),
  );
  return { pages, notes };
}
