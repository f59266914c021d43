import { z } from 'zod';
import { repeatedEntry } from './repeated-entry';
import { groupTargetSchema } from './target';

/** Orders that shoppers can choose, in the words in which they read them. */
export const shopperSorts = {
  featured: 'Featured',
  newest: 'Newest',
  'price-up': 'Price, low to high',
  'price-down': 'Price, high to low',
  title: 'Name, A to Z',
  discount: 'Largest reduction',
  sold: 'Most sold',
} as const;
export type ShopperSort = keyof typeof shopperSorts;
const sortKeys = Object.keys(shopperSorts) as [ShopperSort, ...ShopperSort[]];

const filterLayoutSchema = z.object({
  /** as in addresses: category, brand, price, an option, a spec */
  key: z.string().trim().min(1).max(120),
  shown: z.boolean(),
  /** unfolded when the page comes */
  open: z.boolean(),
  /** so many values are in sight before "more" */
  top: z
    .number({ error: 'Type how many.' })
    .int('Type a whole number.')
    .min(3, 'At least three.')
    .max(40, 'At most 40.'),
  /** as a list of words with counts, or as patches of colour */
  as: z.enum(['list', 'swatches']),
});
export type FilterLayout = z.infer<typeof filterLayoutSchema>;

const layoutFields = {
  /** in order; filters that are not named follow, as they come */
  filters: z.array(filterLayoutSchema).max(100, 'At most 100 filters.'),
  /** those that are offered; the first is how goods stand to begin with */
  sorts: z
    .array(z.enum(sortKeys))
    .min(1, 'Shoppers need one order at least.')
    .check(repeatedEntry('An order can stand only once.')),
  perPage: z
    .number({ error: 'Type how many.' })
    .int('Type a whole number.')
    .min(8, 'At least eight.')
    .max(96, 'At most 96.'),
  columns: z.number().int().min(2, 'At least two.').max(6, 'At most six.'),
  phoneColumns: z.literal([1, 2]),
  /** how further goods are reached */
  paging: z.enum(['pages', 'more']),
  filtersAt: z.enum(['beside', 'above', 'drawer', 'none']),
  children: z.enum(['links', 'tiles', 'none']),
  text: z.enum(['above', 'below']),
};

/** How the listing of one group differs from all others. */
const ownLayoutSchema = z.object({ at: groupTargetSchema, ...z.object(layoutFields).partial().shape });
export type OwnLayout = z.infer<typeof ownLayoutSchema>;

export const listingsSchema = z.object({
  ...layoutFields,
  own: z.array(ownLayoutSchema).max(200, 'At most 200 groups can have a listing of their own.'),
});
export type Listings = z.infer<typeof listingsSchema>;
export type ListingLayout = Omit<Listings, 'own'>;
export type LayoutField = keyof ListingLayout;

export const layoutWords: Readonly<Record<LayoutField, string>> = {
  filters: 'Filters',
  sorts: 'Sort orders',
  perPage: 'Goods per page',
  columns: 'Columns',
  phoneColumns: 'Columns on a phone',
  paging: 'More goods',
  filtersAt: 'Where filters are shown',
  children: 'Subcategories',
  text: 'Text of the group',
};

/** What the choices of a layout are called. */
export const layoutChoices = {
  phoneColumns: { 1: 'one', 2: 'two' },
  paging: { pages: 'pages with numbers', more: 'a button for more' },
  filtersAt: { beside: 'beside the goods', above: 'above the goods', drawer: 'in a drawer', none: 'no filters' },
  children: { links: 'as links', tiles: 'as tiles with pictures', none: 'not shown' },
  text: { above: 'above the goods', below: 'below the goods' },
} as const;

export const usualListings: Listings = {
  filters: [],
  sorts: [...sortKeys],
  perPage: 24,
  columns: 4,
  phoneColumns: 2,
  paging: 'pages',
  filtersAt: 'beside',
  children: 'links',
  text: 'above',
  own: [],
};

export const usualFilter = (key: string): FilterLayout => ({ key, shown: true, open: true, top: 8, as: 'list' });

/** The layout of a group's listing: its own where it has one, field by field, else that of all. */
export function layoutAt(listings: Listings, at: { kind: string; id?: string }): ListingLayout {
  const { own, ...shared } = listings;
  const found = own.find(({ at: { kind, id } }) => kind === at.kind && id === at.id);
  if (!found) return shared;
  const { at: _at, ...fields } = found;
  const given = Object.entries(fields).filter(([, value]) => value !== undefined);
  return { ...shared, ...Object.fromEntries(given) };
}
