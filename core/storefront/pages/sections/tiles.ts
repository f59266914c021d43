import { isOpen } from '../../../shop/open-groups';
import type { PictureView } from '../../views';
import { placeSet } from '../../listing-view';
import { faceOfPlace, firstSlots, groupPicture } from '../place-goods';
import type { LinkView } from '../targets';
import type { SectionPart } from './section-part';

interface TilesView {
  kind: 'tiles';
  title: string;
  tiles: (LinkView & { count: number; picture: PictureView | null })[];
}

export const tiles: SectionPart<'tiles', TilesView> = {
  view: (shop, section, now) => ({
    kind: 'tiles',
    title: section.title,
    tiles: section.categoryIds.flatMap((id) => {
      const at = { kind: 'category', id } as const;
      const category = shop.categories.get(id);
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
  }),
  title: (_shop, { title }) => title,
  summary: (shop, { categoryIds }, now) => {
    const found = categoryIds.filter((id) => shop.categories.has(id));
    return {
      faces: found.map((id) => firstSlots(shop, { kind: 'category', id }, 1, now).slots[0]),
      shown: found.length,
      available: found.length,
      warnings: found.length === 0 ? ['No category chosen yet, so shoppers see nothing here.'] : [],
    };
  },
};
