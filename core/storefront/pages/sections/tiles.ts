import type { SectionOf } from '../../../model/sections/sections';
import type { Target } from '../../../model/target';
import { countWords } from '../../../shared/count-words';
import { isOpen } from '../../../shop/open-groups';
import type { Shop } from '../../../shop/shop';
import type { PictureView } from '../../views';
import { placeSet } from '../../listing-view';
import { faceSlot, pictureFor } from '../place-goods';
import { targetLink, targetName, type LinkView } from '../targets';
import type { SectionPart } from './section-part';

type Tiles = SectionOf<'tiles'>;

interface TilesView extends Pick<Tiles, 'shape' | 'columns'> {
  kind: 'tiles';
  title: string;
  /** `count`: goods behind it; null where it is not told, or there are none to count */
  tiles: (LinkView & { count: number | null; picture: PictureView | null })[];
}

/** What the tiles lead to: those chosen, or all open children of a category, in the order of the tree. */
function targetsOfTiles(shop: Shop, { childrenOf, targets }: Tiles): Target[] {
  if (childrenOf === null) return targets;
  return shop.tree
    .children(childrenOf)
    .filter(({ id }) => isOpen(shop, { kind: 'category', id }))
    .map(({ id }) => ({ kind: 'category', id }));
}

function countOf(shop: Shop, to: Target, now: number): number | null {
  return to.kind === 'page' || to.kind === 'product' ? null : placeSet(shop, { kind: to.kind, id: to.id }, now).count();
}

export const tiles: SectionPart<'tiles', TilesView> = {
  view: (shop, section, { now }) => ({
    kind: 'tiles',
    title: section.title,
    shape: section.shape,
    columns: section.columns,
    tiles: targetsOfTiles(shop, section).flatMap((to) => {
      const link = targetLink(shop, to);
      if (!link) return [];
      return [
        { ...link, count: section.counts ? countOf(shop, to, now) : null, picture: pictureFor(shop, null, to, now) },
      ];
    }),
  }),
  title: (_shop, { title }) => title,
  links: targetsOfTiles,
  layout: ({ columns }) => ({ columns, isRow: false }),
  summary: (shop, section, { now }) => {
    const targets = targetsOfTiles(shop, section);
    const open = targets.filter((to) => targetLink(shop, to));
    const shut = targets.length - open.length;
    return {
      faces: open.map((to) => faceSlot(shop, to, now)),
      shown: open.length,
      available: targets.length,
      says: countWords(open.length, 'tile', 'tiles'),
      warnings: [
        ...(open.length === 0 ? ['Nothing chosen yet, so shoppers see nothing here.'] : []),
        ...(shut > 0 && open.length > 0
          ? [`${countWords(shut, 'tile leads', 'tiles lead')} to what shoppers cannot see now, and does not show.`]
          : []),
      ],
    };
  },
  fields: (shop, { title, targets, childrenOf, shape, columns, counts }) => [
    ['Title', title],
    [
      'Tiles',
      childrenOf
        ? `all below ${shop.categories.get(childrenOf)?.name ?? 'something deleted'}`
        : targets.map((to) => targetName(shop, to) ?? 'something deleted').join(', '),
    ],
    ['Shape', shape],
    ['Columns', String(columns)],
    ['Number of goods', counts ? 'shown' : 'not shown'],
  ],
};
