import type { FrameView } from '../core/storefront/frame-view';
import type { PictureView } from '../core/storefront/views';
import type { LanguageLink } from '../core/storefront/languages';
import type { ListingView } from '../core/storefront/views';
import type { MenuView } from '../core/storefront/menu-view';
import type { PageView } from '../core/storefront/pages/page-view';
import type { SectionView } from '../core/storefront/pages/sections/sections';
import type { LinkView } from '../core/storefront/pages/targets';
import type { ProductPageView } from '../core/storefront/product-page-view';
import type { SellingPage } from '../core/storefront/selling-pages';
import type { ProductView } from '../core/storefront/views';
import type { RelationStrip } from '../core/storefront/relation-strips';

/** A listing page: a category, a collection, a brand, a tag or a search. */
interface ListingPageData {
  kind: 'listing';
  title: string;
  text: string;
  picture: PictureView | null;
  /** what search engines are told */
  meta: { title: string; description: string; noindex: boolean };
  crumbs: LinkView[];
  /** the one address of this listing for search engines, without the base; absent where it is not for them */
  canonical?: string;
  /** for a search: what was searched; null elsewhere */
  q: string | null;
  listing: ListingView;
  /** the categories right below it */
  children: LinkView[];
  /** the same with pictures, where the seller wants them so */
  tiles?: (LinkView & { picture: PictureView | null })[];
  /** the text stands below the goods */
  isTextBelow?: boolean;
  /** sections that the seller put around the listing */
  above: SectionView[];
  below: SectionView[];
}

/** Instead of a page: why there is none. */
interface MissingPageData {
  kind: 'missing';
  heading: string;
  message: string;
}

/** Instead of every page, while the shop is closed. */
interface ClosedPageData {
  kind: 'closed';
  message: string;
  /** there is a password with which visitors come in */
  asks: boolean;
  /** the one that was typed just now is not it */
  isWrong: boolean;
}

export type PageData =
  | { kind: 'page'; page: PageView }
  | ListingPageData
  | ({ kind: 'product'; product: ProductView; variantId: string | null; strips: RelationStrip[] } & ProductPageView)
  | SellingPage
  | MissingPageData
  | ClosedPageData;

/** Everything that one page of the storefront is drawn from, on the server and in the browser. */
export interface ShopData {
  shop: FrameView;
  /** put before every address: "" for the shop, "/de" for another language, "/preview" for the shop window */
  base: string;
  /** path and query without the base */
  url: string;
  /** the shop window shows the working copy, and sells nothing */
  isPreview?: true;
  /** in the shop window: texts that are told in the main language, since nobody has translated them */
  untranslated?: string[];
  /** the languages in which this page can be read; absent where there is but one */
  languages?: LanguageLink[];
  /** where the shop is, such as https://shop.example */
  origin: string;
  menu: MenuView;
  page: PageData;
}
