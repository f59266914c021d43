import { z } from 'zod';
import { badgeColours } from '../model/card-choices';
import { fitSchema, focusSchema, productKindSchema } from '../model/product-values';

/** What shoppers are answered. The shapes stand by themselves, so that a page need not load them to know their types. */

const whole = z.number().int();
const labelled = z.object({ label: z.string(), value: z.string() });

export const pictureViewSchema = z.object({
  media: z.string(),
  alt: z.string(),
  width: z.number(),
  height: z.number(),
  focus: focusSchema,
  fit: fitSchema,
  background: z.string(),
});
export type PictureView = z.infer<typeof pictureViewSchema>;

/** What shoppers are told about a price: the amount, that it is given on request, or nothing while it is sold out. */
const pricingShownSchema = z.enum(['shown', 'onRequest', 'soldOut']);
export type PricingShown = z.infer<typeof pricingShownSchema>;

const unitPriceSchema = z.object({ amount: whole, words: z.string() });

const cardBadgeSchema = z.object({ words: z.string(), colour: z.enum(badgeColours) });
export type CardBadge = z.infer<typeof cardBadgeSchema>;

/** A product as it stands in a grid or a strip. Prices in minor units. */
export const productCardSchema = z.object({
  id: z.string(),
  slug: z.string(),
  title: z.string(),
  url: z.string(),
  image: z.string().nullable(),
  picture: pictureViewSchema.nullable(),
  /** both ends are 0 unless `pricing` is "shown" */
  price: z.object({ min: whole, max: whole, currency: z.string() }),
  pricing: pricingShownSchema,
  wasPrice: whole.nullable(),
  /** of the cheapest variant */
  unitPrice: unitPriceSchema.nullable(),
  inStock: z.boolean(),
  brand: z.string().nullable(),
  /** the variant that the card stands for */
  variantId: z.string().nullable(),
  swatches: z.array(z.object({ label: z.string(), colour: z.string() })),
  badges: z.array(cardBadgeSchema),
  /** shown while it is pointed at; only where the seller wants that */
  second: pictureViewSchema.nullable().optional(),
  /** name of its main category; only where cards tell it */
  category: z.string().nullable().optional(),
  /** in words; only where cards tell it */
  stock: z.string().optional(),
  /** words of the button that leads on; only where cards have one */
  button: z.string().optional(),
  /** the variant that its button puts into the basket; only where nothing has to be chosen */
  buys: z.string().optional(),
});
export type ProductCard = z.infer<typeof productCardSchema>;

const facetValueSchema = z.object({
  value: z.string(),
  label: z.string(),
  count: whole,
  selected: z.boolean(),
  colour: z.string().optional(),
});

/** What every filter has; how it is drawn is said only where that is not as usual. */
const facetFields = {
  key: z.string(),
  label: z.string(),
  /** closed when the page comes */
  folded: z.boolean().optional(),
  /** drawn as patches of colour */
  swatches: z.boolean().optional(),
  /** so many values are in sight at first */
  top: whole.optional(),
};
const facetViewSchema = z.discriminatedUnion('type', [
  z.object({ ...facetFields, type: z.literal('choice'), values: z.array(facetValueSchema) }),
  z.object({
    ...facetFields,
    type: z.literal('range'),
    /** price in minor units, specs in their unit */
    values: z.object({ min: z.number(), max: z.number() }),
    /** an open end is null */
    selected: z.object({ min: z.number().nullable(), max: z.number().nullable() }).nullable(),
    /** of a spec, such as cm */
    unit: z.string().optional(),
  }),
]);
export type FacetView = z.infer<typeof facetViewSchema>;

export const listingViewSchema = z.object({
  total: whole,
  page: whole,
  pageSize: whole,
  sorts: z.array(z.object({ key: z.string(), label: z.string() })),
  sort: z.string(),
  /** words of the search that no product here has beside the others, and that were left out */
  without: z.array(z.string()),
  /** of the total, those that have all that was searched for; the others come close */
  full: whole,
  items: z.array(productCardSchema),
  facets: z.array(facetViewSchema),
  /** how goods, pages and filters stand; absent where that is as usual */
  layout: z
    .object({
      columns: whole,
      phoneColumns: z.literal([1, 2]),
      paging: z.enum(['pages', 'more']),
      filtersAt: z.enum(['beside', 'above', 'drawer', 'none']),
    })
    .optional(),
});
export type ListingView = z.infer<typeof listingViewSchema>;

const bundlePartSchema = z.object({
  id: z.string(),
  title: z.string(),
  url: z.string(),
  picture: pictureViewSchema.nullable(),
  /** `most`: pieces that may be chosen */
  variants: z.array(z.object({ id: z.string(), label: z.string(), price: whole, most: whole })),
});
export type BundlePartView = z.infer<typeof bundlePartSchema>;

/** What the chooser on a bundle's page is made from. */
const bundleViewSchema = z.object({
  /** basis points off the sum of the parts; null when the price is fixed */
  off: whole.nullable(),
  slots: z.array(
    z.object({
      id: z.string(),
      label: z.string(),
      min: whole,
      max: whole,
      usual: z.string().nullable(),
      parts: z.array(bundlePartSchema),
    }),
  ),
});
export type BundleView = z.infer<typeof bundleViewSchema>;

const variantViewSchema = z.object({
  id: z.string(),
  sku: z.string(),
  barcode: z.string(),
  /** option key → value key */
  options: z.record(z.string(), z.string()),
  price: whole,
  wasPrice: whole.nullable(),
  /** lowest price of the 30 days before the reduction */
  lowestBefore: whole.nullable(),
  unitPrice: unitPriceSchema.nullable(),
  /** price of one piece by number of pieces */
  quantityPrices: z.array(z.object({ from: whole, price: whole })),
  inStock: z.boolean(),
  /** true when only a few are left */
  few: z.boolean(),
  image: z.string().nullable(),
  pictureId: z.string().nullable(),
  /** delivery facts where they differ from those of the product */
  delivery: z.array(labelled).nullable(),
});
export type VariantView = z.infer<typeof variantViewSchema>;

/** A product as shoppers may see it: no cost, no exact stock. Prices in minor units. */
export const productViewSchema = z.object({
  id: z.string(),
  kind: productKindSchema,
  slug: z.string(),
  title: z.string(),
  summary: z.string(),
  /** sanitised HTML */
  description: z.string(),
  url: z.string(),
  currency: z.string(),
  brand: z.string().nullable(),
  /** its own page, where it has one */
  brandUrl: z.string().nullable(),
  inStock: z.boolean(),
  crumbs: z.array(z.object({ label: z.string(), url: z.string() })),
  pictures: z.array(pictureViewSchema.extend({ id: z.string() })),
  options: z.array(
    z.object({
      key: z.string(),
      label: z.string(),
      values: z.array(
        z.object({
          key: z.string(),
          label: z.string(),
          colour: z.string().nullable(),
          picture: z.string().nullable(),
        }),
      ),
    }),
  ),
  variants: z.array(variantViewSchema),
  /** what the basket gives for it: "3 for the price of 2", and on which terms */
  offers: z.array(z.object({ name: z.string(), gives: z.string(), terms: z.string() })),
  /** amounts are 0 unless this is "shown" */
  /** of a gift card: the shopper may choose a value between these, minor units */
  ownValue: z.object({ from: whole, upTo: whole }).optional(),
  pricing: pricingShownSchema,
  /** reduction by number of pieces, basis points */
  quantityPrices: z.array(z.object({ from: whole, off: whole })),
  /** moment at which the sale ends; null when it does not, or there is none */
  saleUntil: z.string().nullable(),
  /** last day of the sale in words */
  saleLastDay: z.string().nullable(),
  /** what is read about ordering while sold out; null when it cannot be ordered then */
  orderDelay: z.string().nullable(),
  specs: z.array(z.object({ heading: z.string(), rows: z.array(labelled) })),
  delivery: z.array(labelled),
  /** for a bundle, what it is chosen from */
  bundle: bundleViewSchema.nullable(),
  /** lowest and highest price of all variants, or of all choices */
  priceRange: z.object({ low: whole, high: whole }),
  /** what buyers download */
  downloads: z.array(z.object({ name: z.string(), size: z.string(), variantId: z.string().nullable() })),
  downloadTerms: z.string(),
  /** samples and manuals, for all */
  files: z.array(z.object({ role: z.enum(['sample', 'manual']), name: z.string(), size: z.string(), url: z.string() })),
  meta: z.object({ title: z.string(), description: z.string(), noindex: z.boolean() }),
});
export type ProductView = z.infer<typeof productViewSchema>;

/** One spot of the storefront in which a product appears. */
export const placeOfProductSchema = z.object({
  kind: z.enum(['section', 'category', 'collection', 'brand', 'tag']),
  /** id of the page or the group */
  id: z.string(),
  /** "Home › Light-wind days" */
  label: z.string(),
  /** 1 for the first */
  position: whole,
  of: whole,
  /** page of the listing on which it is, from 1 */
  page: whole,
  /** from the home page to the first page of it */
  clicks: whole,
  /** why it stands where it does: "held here", "newest first" */
  why: z.string(),
  /** what would move it, in one sentence */
  moves: z.string(),
});
export type PlaceOfProduct = z.infer<typeof placeOfProductSchema>;

/** Something that names a group or a page, and would lead nowhere or take in nothing without it. */
export const useSchema = z.object({
  in: z.enum(['menu', 'page', 'collection', 'product', 'offer', 'embed', 'feed', 'settings']),
  /** of the page, the collection or the product; empty for the menu and the settings */
  id: z.string(),
  /** "Home › Light-wind days" */
  label: z.string(),
});
export type Use = z.infer<typeof useSchema>;

/** What a search that is being typed may be about. */
export const suggestionsSchema = z.object({
  /** whole queries: what was meant by a slip, and how the last word may go on */
  words: z.array(z.string()),
  places: z.array(
    z.object({
      kind: z.enum(['category', 'collection', 'brand', 'page']),
      label: z.string(),
      url: z.string(),
      /** goods there; null for a page */
      count: z.number().int().nullable(),
    }),
  ),
  goods: z.array(productCardSchema),
  total: z.number().int(),
});
export type Suggestions = z.infer<typeof suggestionsSchema>;
