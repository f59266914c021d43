import type { SectionKind, SectionOf } from '../../../model/sections/sections';
import type { Link } from '../../../model/target';
import type { ListingPlace } from '../../listing-view';
import type { Shop } from '../../../shop/shop';
import type { Scene } from '../scene';

/** Why a product stands where it does. */
export type WhyHere = 'pinned' | 'picked' | 'ordered' | 'turn';
/** Why a product does not stand where it would. */
export type WhySkipped = 'above' | 'soldOut' | 'noPicture' | 'leftOut';

/** Index slots of products in order with the reason of each, who was passed over, and how many there could be. */
export interface SectionGoods {
  slots: number[];
  why: WhyHere[];
  skipped: { slot: number; why: WhySkipped; /** id of the section above that has it */ section?: string }[];
  total: number;
}

/** Products that stand on the page so far: index slot → id of the section. */
export type Above = ReadonlyMap<number, string>;

/** What the desk tells about a section as it stands now. */
export interface SectionSummary {
  /** a product whose face stands for each thing that it shows; undefined where such a thing has none */
  faces: (number | undefined)[];
  shown: number;
  available: number;
  /** in a few words, what it shows: "8 of 18, newest first" */
  says: string;
  /** what is odd, in words */
  warnings: string[];
}

/** One sort of section as shoppers meet it. */
export interface SectionPart<Kind extends SectionKind, View extends object> {
  view: (shop: Shop, section: SectionOf<Kind>, scene: Scene, goods: SectionGoods) => View;
  /** what it is called where it is spoken of; empty when it has no name of its own */
  title: (shop: Shop, section: SectionOf<Kind>) => string;
  /** the products that it shows; absent where it shows none */
  goods?: (shop: Shop, section: SectionOf<Kind>, scene: Scene, above: Above) => SectionGoods;
  /** what it leads to beside the products that it shows, as links that shoppers can follow; absent where it leads nowhere */
  links?: (shop: Shop, section: SectionOf<Kind>, goods: SectionGoods) => Link[];
  /** in words, what decides the order of its goods; absent where there is nothing to decide */
  order?: (shop: Shop, section: SectionOf<Kind>) => string;
  /** how its goods, or what it leads to, stand on a wide screen; absent where all of it stands side by side */
  layout?: (section: SectionOf<Kind>) => { columns: number; isRow: boolean };
  /** the place whose goods it lists, page by page */
  place?: (shop: Shop, section: SectionOf<Kind>) => ListingPlace | undefined;
  summary: (shop: Shop, section: SectionOf<Kind>, scene: Scene, goods: SectionGoods) => SectionSummary;
  /** what the review tells of it: its own fields by label, in words; also what shoppers only see the effect of */
  fields: (shop: Shop, section: SectionOf<Kind>) => [label: string, words: string][];
}

export const NO_GOODS: SectionGoods = { slots: [], why: [], skipped: [], total: 0 };

/** The summary of a section that shows no goods of its own accord. */
export const saysOnly = (says: string, warnings: string[] = []): SectionSummary => ({
  faces: [],
  shown: 0,
  available: 0,
  says,
  warnings,
});
