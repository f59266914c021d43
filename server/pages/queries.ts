import { faceUrl } from '../../core/storefront/card';
import type { Section } from '../../core/model/sections/sections';
import type { Shop } from '../../core/shop/shop';
import { filledSections, sectionsOfPage, type FilledSection } from '../../core/storefront/pages/page-goods';
import { pageView } from '../../core/storefront/pages/page-view';
import type { Scene } from '../../core/storefront/pages/scene';
import { sectionName, sectionSummary, whyUnseen } from '../../core/storefront/pages/sections/sections';
import { groupsOf } from '../../core/shop/open-groups';
import { whyNotMet } from '../../core/storefront/why-not-met';
import { waysTo } from '../../core/storefront/where-it-shows';
import type { shopfrontRoutes } from '../../contract/shopfront';
import { filterWorths } from '../../core/storefront/filter-worth';
import { placeSet } from '../../core/storefront/listing-view';
import type { AnswerOf, BodyOf, QueryOf } from '../../contract/route';
import { cleanSection } from './clean-section';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';

const groupKinds = ['category', 'collection', 'brand', 'tag'] as const;

/** So many of those that were passed over are told by name. */
const MOST_SKIPPED = 24;

/** All pages, the home page first, and from where shoppers reach each. */
export function pagesOverview(catalog: Catalog): AnswerOf<typeof shopfrontRoutes.pages> {
  const { shop } = catalog.working;
  const pages = [...shop.pages.values()].sort((a, b) => Number(b.home) - Number(a.home));
  return { pages, ways: Object.fromEntries(pages.map(({ id }) => [id, waysTo(shop, 'page', id)])) };
}

/** Why shoppers do not meet pages and groups. */
export function notMet(catalog: Catalog): AnswerOf<typeof shopfrontRoutes.notMet> {
  const { shop } = catalog.working;
  const targets = [
    ...[...shop.pages.keys()].map((id) => ({ kind: 'page' as const, id })),
    ...groupKinds.flatMap((kind) => [...groupsOf(shop, kind).keys()].map((id) => ({ kind, id }))),
  ];
  return {
    notMet: Object.fromEntries(
      targets.flatMap((target) => {
        const why = whyNotMet(shop, target);
        return why === null ? [] : [[`${target.kind}:${target.id}`, why]];
      }),
    ),
  };
}

/** What is odd about the sections that shoppers see, in words. */
export function pageWarnings(catalog: Catalog): string[] {
  const { shop } = catalog.working;
  const scene = { now: catalog.now };
  return [...shop.pages.values()].flatMap((page) =>
    sectionsOfPage(shop, page, scene.now).flatMap(({ section, goods }) =>
      sectionSummary(shop, section, scene, goods).warnings.map(
        (warning) => `“${sectionName(shop, section)}” on ${page.title}: ${warning}`,
      ),
    ),
  );
}

type Note = AnswerOf<typeof shopfrontRoutes.drawPage>['notes'][number];

/** What sections show, each as it stands below those above it. */
export function notesOf(shop: Shop, filled: readonly FilledSection[], scene: Scene): Note[] {
  const product = (slot: number) => {
    const id = shop.index.id(slot);
    const { title, pictures } = shop.products.get(id)!;
    return { id, title, thumbnail: faceUrl({ pictures }) };
  };
  const named = new Map(filled.map(({ section }) => [section.id, sectionName(shop, section)]));
  return filled.map(({ section, goods }) => {
    const { faces: _faces, ...rest } = sectionSummary(shop, section, scene, goods);
    return {
      id: section.id,
      name: named.get(section.id)!,
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
  const filled = filledSections(shop, page, scene);
  return { page: pageView(shop, page, scene, filled), notes: notesOf(shop, filled, scene) };
}

/** The filters that the goods of a place could have; of everything where no group is named. */
export function filtersAt(
  { working: { shop }, now }: Catalog,
  { kind, id }: QueryOf<typeof shopfrontRoutes.filters>,
): AnswerOf<typeof shopfrontRoutes.filters> {
  const at = kind && id ? { kind, id } : ({ kind: 'all' } as const);
  return { total: placeSet(shop, at, now).count(), filters: filterWorths(shop, at, now) };
}
