import type { SectionKind, SectionOf } from '../../../model/sections/sections';
import type { ResolvedShop } from '../../../shop/resolved-shop';

/** Index slots of products in order, and how many there could be. */
export interface SectionGoods {
  slots: number[];
  total: number;
}

/** What the desk tells about a section as it stands now. */
export interface SectionSummary {
  /** a product whose face stands for each thing that it shows; undefined where such a thing has none */
  faces: (number | undefined)[];
  shown: number;
  available: number;
  /** what is odd, in words */
  warnings: string[];
}

/** One sort of section as shoppers meet it. `now` is in seconds since 1970. */
export interface SectionPart<Kind extends SectionKind, View extends { kind: Kind }> {
  view: (shop: ResolvedShop, section: SectionOf<Kind>, now: number) => View;
  /** what it is called where it is spoken of; empty when it has no name of its own */
  title: (shop: ResolvedShop, section: SectionOf<Kind>) => string;
  /** the products that it shows; absent where it shows none */
  goods?: (shop: ResolvedShop, section: SectionOf<Kind>, now: number) => SectionGoods;
  summary: (shop: ResolvedShop, section: SectionOf<Kind>, now: number) => SectionSummary;
}
