import type { GroupPicture } from '../../model/group';
import { list } from '../../search/listing';
import { cardOf, pictureView, type PictureView, type ProductCard } from '../card';
import { LAST } from '../../shop/facts';
import { ownOrder, placeSet, type ListingPlace } from '../listing-view';
import { groupsOf, isOpen, urlOfGroup } from '../../shop/open-groups';
import type { Page, Section } from '../../model/page';
import type { Target } from '../../model/target';
import type { ResolvedShop } from '../../shop/resolved-shop';

export interface LinkView {
  label: string;
  url: string;
}

export type SectionView = { id: string } & (
  | { kind: 'banner'; title: string; text: string; link: LinkView | null; picture: PictureView | null }
  | { kind: 'strip'; title: string; items: ProductCard[]; total: number; more: string | null }
  | { kind: 'tiles'; title: string; tiles: (LinkView & { count: number; picture: PictureView | null })[] }
);

export interface PageView {
  id: string;
  title: string;
  sections: SectionView[];
}

export interface MenuView {
  items: (LinkView & { items: LinkView[] })[];
}

/** What a link leads to is called; undefined when it is gone. */
export function targetName(shop: ResolvedShop, { kind, id }: Target): string | undefined {
  return kind === 'page' ? shop.pages.get(id)?.title : groupsOf(shop, kind).get(id)?.name;
}

/** Where a link leads and what it is called; undefined when its target is gone, or shoppers do not meet it now. */
function targetLink(shop: ResolvedShop, target: Target): LinkView | undefined {
  const label = targetName(shop, target);
  if (label === undefined) return undefined;
  if (target.kind !== 'page') {
    const url = urlOfGroup(shop, { kind: target.kind, id: target.id });
    return url === undefined ? undefined : { label, url };
  }
  const { home, slug } = shop.pages.get(target.id)!;
  return { label, url: home ? '/' : `/page/${slug}` };
}

/** What stands above a strip: a title of its own, or the name of what it shows. */
export const stripTitle = (shop: ResolvedShop, { title, source }: Extract<Section, { kind: 'strip' }>): string =>
  title || (source && targetName(shop, source)) || '';

/** Slots of the products that a strip shows, in order, and how many it could show. */
export function stripSlots(
  shop: ResolvedShop,
  section: Extract<Section, { kind: 'strip' }>,
  now: number,
): { slots: number[]; total: number } {
  const { source, count } = section;
  // Brands and tags without a listing of their own can fill a strip all the same.
  const mustBeOpen = source?.kind === 'collection' || source?.kind === 'category';
  if (!source || (mustBeOpen && !isOpen(shop, source))) return { slots: [], total: 0 };
  return firstSlots(shop, { kind: source.kind, id: source.id }, count, now);
}

/** The first products of a place in its own order. */
export function firstSlots(shop: ResolvedShop, at: ListingPlace, limit: number, now: number) {
  const last = shop.index.posting(LAST, 'yes');
  return list(shop.index, { base: placeSet(shop, at, now), sort: ownOrder(shop, at, now), offset: 0, limit, last });
}

/** The picture that the seller gave a group, as it is drawn: it fills its frame. */
export function groupPicture(picture: GroupPicture | null): PictureView | null {
  return picture && { ...picture, focus: { x: 0.5, y: 0.5 }, fit: 'fills', ground: '#ffffff' };
}

function faceOfPlace(shop: ResolvedShop, at: ListingPlace, now: number): PictureView | null {
  for (const slot of firstSlots(shop, at, 8, now).slots) {
    const product = shop.products.get(shop.index.id(slot))!;
    const face = product.pictures[0];
    if (face) return { ...pictureView(face, product.title), alt: '' };
  }
  return null;
}

function sectionView(shop: ResolvedShop, section: Section, now: number): SectionView {
  const { id } = section;
  switch (section.kind) {
    case 'banner': {
      const { title, text, link } = section;
      const place = link && link.kind !== 'page' ? { kind: link.kind, id: link.id } : null;
      return {
        id,
        kind: 'banner',
        title,
        text,
        link: (link && targetLink(shop, link)) ?? null,
        picture: place && faceOfPlace(shop, place, now),
      };
    }
    case 'strip': {
      const { slots, total } = stripSlots(shop, section, now);
      return {
        id,
        kind: 'strip',
        title: stripTitle(shop, section),
        items: slots.map((slot) => cardOf(shop, slot)),
        total,
        more: (section.source && targetLink(shop, section.source)?.url) ?? null,
      };
    }
    case 'tiles':
      return {
        id,
        kind: 'tiles',
        title: section.title,
        tiles: section.categoryIds.flatMap((categoryId) => {
          const at = { kind: 'category', id: categoryId } as const;
          const category = shop.categories.get(categoryId);
          if (!category || !isOpen(shop, at)) return [];
          return [
            {
              label: category.name,
              url: `/c/${category.slug}`,
              count: placeSet(shop, at, now).count(),
              picture: groupPicture(category.picture) ?? faceOfPlace(shop, at, now),
            },
          ];
        }),
      };
  }
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
