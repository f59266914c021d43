import { typeOfSection, type Section, type SectionKind } from '../../../model/sections/sections';
import type { ResolvedShop } from '../../../shop/resolved-shop';
import { banner } from './banner';
import type { SectionGoods, SectionPart, SectionSummary } from './section-part';
import { strip } from './strip';
import { tiles } from './tiles';

const parts = { banner, strip, tiles } satisfies { [Kind in SectionKind]: SectionPart<Kind, { kind: Kind }> };

type Parts = typeof parts;
export type SectionView = { [Kind in SectionKind]: { id: string } & ReturnType<Parts[Kind]['view']> }[SectionKind];
export type ViewOfKind<Kind extends SectionKind> = Extract<SectionView, { kind: Kind }>;

const partOf = ({ kind }: Section) => parts[kind] as unknown as SectionPart<SectionKind, SectionView>;

/** A section filled, as shoppers see it at `now` (seconds since 1970). */
export const sectionView = (shop: ResolvedShop, section: Section, now: number): SectionView => ({
  ...partOf(section).view(shop, section, now),
  id: section.id,
});

/** What a section is called where it is spoken of. */
export const sectionName = (shop: ResolvedShop, section: Section): string =>
  partOf(section).title(shop, section) || typeOfSection(section).name;

/** The products that a section shows, in order; undefined for a sort of section that shows none. */
export const sectionGoods = (shop: ResolvedShop, section: Section, now: number): SectionGoods | undefined =>
  partOf(section).goods?.(shop, section, now);

/** What a section shows now and what is odd about it. */
export const sectionSummary = (shop: ResolvedShop, section: Section, now: number): SectionSummary =>
  partOf(section).summary(shop, section, now);
