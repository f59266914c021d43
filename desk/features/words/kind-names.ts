import type { WordedKind } from '../../../core/model/wording';

/** What each sort of thing is called where its texts are translated. */
export const kindNames: Readonly<Record<WordedKind, string>> = {
  product: 'Products',
  category: 'Categories',
  collection: 'Collections',
  brand: 'Brands',
  tag: 'Tags',
  option: 'Options',
  specSheet: 'Spec sheets',
  page: 'Pages',
  chosenListing: 'Listings for search engines',
  menu: 'Menus',
  offer: 'Offers',
  embed: 'Goods on other sites',
  settings: 'The shop',
  words: 'Fixed words',
};
