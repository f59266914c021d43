import { frameFields, isShownAt, lookFields } from '../../../model/sections/frame';
import { typeOfSection, type Section, type SectionKind } from '../../../model/sections/sections';
import type { Link } from '../../../model/target';
import { momentWords } from '../../../shared/moment';
import type { Shop } from '../../../shop/shop';
import type { ListingPlace } from '../../listing-view';
import type { Scene } from '../scene';
import { banner } from './banner';
import { facts } from './facts';
import { film } from './film';
import { line } from './line';
import { listing } from './listing';
import { pictureText } from './picture-text';
import { pictures } from './pictures';
import { product } from './product';
import { questions } from './questions';
import { quotes } from './quotes';
import { type Above, NO_GOODS, type SectionGoods, type SectionPart, type SectionSummary } from './section-part';
import { strip } from './strip';
import { subscribe } from './subscribe';
import { text } from './text';
import { tiles } from './tiles';

const parts = {
  banner,
  strip,
  tiles,
  product,
  listing,
  text,
  pictureText,
  pictures,
  film,
  quotes,
  facts,
  questions,
  subscribe,
  line,
} satisfies { [Kind in SectionKind]: SectionPart<Kind, { kind: Kind }> };

/** How a section stands on its page. */
type FrameView = Pick<Section, (typeof lookFields)[number] | 'screen' | 'anchor'> & {
  id: string;
  /** why shoppers do not see it, where it is shown to who builds the page */
  unseen?: string;
};

type Parts = typeof parts;
export type SectionView = { [Kind in SectionKind]: FrameView & ReturnType<Parts[Kind]['view']> }[SectionKind];
export type ViewOfKind<Kind extends SectionKind> = Extract<SectionView, { kind: Kind }>;

const partOf = ({ kind }: Section) => parts[kind] as unknown as SectionPart<SectionKind, SectionView>;

/** Why shoppers do not see a section at `now`; undefined when they do. */
export function whyUnseen(shop: Shop, section: Section, now: number): string | undefined {
  if (isShownAt(section, now * 1000)) return undefined;
  if (section.hidden) return 'hidden';
  const { timeZone } = shop.settings;
  return section.from !== null && Date.parse(section.from) > now * 1000
    ? `not before ${momentWords(section.from, timeZone)}`
    : `only until ${momentWords(section.until!, timeZone)}`;
}

/** A section filled with its goods, as shoppers see it. */
export function sectionView(shop: Shop, section: Section, scene: Scene, goods: SectionGoods): SectionView {
  const { id, ground, width, above, below, align, screen, anchor } = section;
  const unseen = whyUnseen(shop, section, scene.now);
  return {
    ...partOf(section).view(shop, section, scene, goods),
    ...{ id, ground, width, above, below, align, screen, anchor },
    ...(unseen !== undefined && { unseen }),
  };
}

/** What a section is called where it is spoken of. */
export const sectionName = (shop: Shop, section: Section): string =>
  section.label || partOf(section).title(shop, section) || typeOfSection(section).name;

/** Whether a sort of section shows products of its own accord. */
export const hasGoods = (section: Section): boolean => partOf(section).goods !== undefined;

/** The products that a section shows, below those that stand above it on its page. */
export const sectionGoods = (shop: Shop, section: Section, scene: Scene, above: Above): SectionGoods =>
  partOf(section).goods?.(shop, section, scene, above) ?? NO_GOODS;

/** What a section leads to beside its products. */
export const sectionLinks = (shop: Shop, section: Section, goods: SectionGoods): Link[] =>
  partOf(section).links?.(shop, section, goods) ?? [];

/** In words, what decides the order of the goods of a section. */
export const sectionOrder = (shop: Shop, section: Section): string => partOf(section).order?.(shop, section) ?? '';

/**
 * How many goods of a section, or links where it shows no goods, stand side by side on a wide screen, and whether all of them
 * stand in one row that scrolls; undefined where they do not break into rows.
 */
export const sectionLayout = (section: Section): { columns: number; isRow: boolean } | undefined =>
  partOf(section).layout?.(section);

/** The place whose goods a section lists, page by page; undefined for most. */
export const sectionPlace = (shop: Shop, section: Section): ListingPlace | undefined =>
  partOf(section).place?.(shop, section);

/** What a section shows and what is odd about it. */
export const sectionSummary = (shop: Shop, section: Section, scene: Scene, goods: SectionGoods): SectionSummary =>
  partOf(section).summary(shop, section, scene, goods);

const frameWords: Record<keyof typeof frameFields, string> = {
  label: '',
  hidden: 'Hidden',
  ground: 'Ground',
  width: 'Width',
  above: 'Room above',
  below: 'Room below',
  align: 'Alignment',
  screen: 'Screens',
  from: 'Seen from',
  until: 'Seen until',
  anchor: 'Anchor',
};

/** All that shoppers notice of a section by label, in words, for the review. */
export function sectionFields(shop: Shop, section: Section): Map<string, string> {
  const { timeZone } = shop.settings;
  const frame = (Object.keys(frameWords) as (keyof typeof frameFields)[]).flatMap((field): [string, string][] => {
    const value = section[field];
    if (frameWords[field] === '') return [];
    const isMoment = field === 'from' || field === 'until';
    const words =
      typeof value === 'boolean' ? (value ? 'yes' : '') : isMoment && value ? momentWords(value, timeZone) : value;
    return [[frameWords[field], words ?? '']];
  });
  return new Map([...partOf(section).fields(shop, section), ...frame]);
}
