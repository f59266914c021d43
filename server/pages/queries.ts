import { mediaUrl } from '../../core/storefront/card';
import type { Page } from '../../core/model/page';
import type { Section } from '../../core/model/sections/sections';
import type { ResolvedShop } from '../../core/shop/resolved-shop';
import { filledSections } from '../../core/storefront/pages/page-goods';
import { pageView } from '../../core/storefront/pages/page-view';
import type { Scene } from '../../core/storefront/pages/scene';
import { sectionName, sectionSummary, whyUnseen } from '../../core/storefront/pages/sections/sections';
import { waysTo } from '../../core/storefront/where-it-shows';
import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { cleanSection } from './clean-section';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';

/** So many of those that were passed over are told by name. */
const MOST_SKIPPED = 24;

/** All pages, with what each section shows now and what is odd about it. */
export function pagesOverview(catalog: Catalog): AnswerOf<typeof shopfrontRoutes.pages> {
  const { shop } = catalog.working;
  const scene = { now: catalog.now };
  const pages = [...shop.pages.values()].sort((a, b) => Number(b.home) - Number(a.home));
  return {
    pages,
    notes: pages.flatMap((page) => notesOf(shop, page, scene)),
    ways: Object.fromEntries(pages.map(({ id }) => [id, waysTo(shop, 'page', id)])),
  };
}

type Note = AnswerOf<typeof shopfrontRoutes.pages>['notes'][number];

/** What the sections of a page show, each as it stands below those above it. */
function notesOf(shop: ResolvedShop, page: Pick<Page, 'sections'>, scene: Scene): Note[] {
  const face = (slot: number | undefined) => {
    const picture = slot === undefined ? undefined : shop.products.get(shop.index.id(slot))!.pictures[0];
    return picture ? mediaUrl(picture.media, 160) : null;
  };
  const product = (slot: number) => {
    const id = shop.index.id(slot);
    return { id, title: shop.products.get(id)!.title, thumbnail: face(slot) };
  };
  const named = new Map(page.sections.map((section) => [section.id, sectionName(shop, section)]));
  return filledSections(shop, page, scene).map(({ section, goods }) => {
    const { faces, ...rest } = sectionSummary(shop, section, scene, goods);
    return {
      id: section.id,
      name: named.get(section.id)!,
      thumbnails: faces.map(face),
      ...rest,
      unseen: whyUnseen(shop, section, scene.now) ?? null,
      goods: goods.slots.map((slot, i) => ({ ...product(slot), why: goods.why[i]! })),
      skipped: goods.skipped
        .slice(0, MOST_SKIPPED)
        .map(({ slot, why, section: above }) => ({ ...product(slot), why, above: above ? named.get(above)! : null })),
    };
  });
}

/** A page as it would be with these sections, drawn and told, without anything being saved. */
export function pageDraft(
  catalog: Catalog,
  id: string,
  { daysOn, ...wanted }: BodyOf<typeof shopfrontRoutes.drawPage>,
): AnswerOf<typeof shopfrontRoutes.drawPage> {
  const { shop } = catalog.working;
  const saved = shop.pages.get(id);
  if (!saved) throw notFound(refusals.gone('page'));
  const sections = wanted.sections.map((section, i): Section => ({
    ...cleanSection(section),
    id: section.id ?? `s_new${i}`,
  }));
  const page = {
    ...saved,
    title: wanted.title ?? saved.title,
    showsTitle: wanted.showsTitle ?? saved.showsTitle,
    sections,
  };
  const scene = { now: catalog.now, daysOn, showsUnseen: true };
  return { page: pageView(shop, page, scene) as unknown as Record<string, unknown>, notes: notesOf(shop, page, scene) };
}
