import { mediaUrl } from '../../core/storefront/card';
import { sectionSummary } from '../../core/storefront/pages/sections/sections';
import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';

/** All pages, with what each section shows now and what is odd about it. */
export function pagesOverview(catalog: Catalog): AnswerOf<typeof shopfrontRoutes.pages> {
  const { shop } = catalog.working;
  const { now } = catalog;
  const thumbnail = (slot: number | undefined) => {
    const face = slot === undefined ? undefined : shop.products.get(shop.index.id(slot))!.pictures[0];
    return face ? mediaUrl(face.media, 160) : null;
  };
  const pages = [...shop.pages.values()].sort((a, b) => Number(b.home) - Number(a.home));
  const notes = pages.flatMap((page) =>
    page.sections.map((section) => {
      const { faces, ...rest } = sectionSummary(shop, section, now);
      return { id: section.id, thumbnails: faces.map(thumbnail), ...rest };
    }),
  );
  return { pages, notes };
}
