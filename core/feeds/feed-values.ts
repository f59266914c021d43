import type { ProductDocument, VariantDocument } from '../model/document';
import { mediaUrl } from '../storefront/picture-sizes';
import { absoluteHtml } from '../shared/absolute-html';
import { plainAmount } from '../shared/money';
import { plainText } from '../shared/plain-text';
import { shopPrice, shopStock } from '../shop/shop-price';
import type { Shop } from '../shop/shop';

/** Of what an entry of a feed tells. */
export interface FeedEntry {
  product: ProductDocument;
  variant: VariantDocument;
  /** one of several entries of its product */
  isOne: boolean;
}

export interface FeedTerms {
  shop: Shop;
  /** where the shop is for the world */
  origin: string;
  /** what stands behind it in a language, such as “/de” */
  base: string;
  /** what stands before the addresses of its pages: both of them */
  pages: string;
  /** the price that the feed asks for one of the shop, minor units */
  priced: (price: number) => number;
}

/** Something that can stand in a field of a feed. A list becomes several fields of one name, or one cell. */
interface FeedValue {
  label: string;
  read: (entry: FeedEntry, terms: FeedTerms) => string | number | null | readonly string[];
}

const variantWords = ({ product, variant }: FeedEntry) =>
  product.options
    .flatMap((option, i) => option.values.find(({ id }) => id === variant.values[i])?.name ?? [])
    .join(', ');

const addressOf = ({ product, variant, isOne }: FeedEntry, { pages }: FeedTerms) =>
  `${pages}/p/${product.slug}${isOne ? `?variant=${variant.id}` : ''}`;

const pictureAt = (media: string, { origin }: FeedTerms) => origin + mediaUrl(media, 1600);

function faceOf({ product, variant }: FeedEntry) {
  return product.pictures.find(({ id }) => id === variant.pictureId) ?? product.pictures[0];
}

const priceOf = ({ product, variant }: FeedEntry, { shop }: FeedTerms) => shopPrice(shop, product, variant);

const inCurrency = (amount: number, { shop }: FeedTerms) => `${plainAmount(amount)} ${shop.settings.currency}`;

/** All that a field of a feed can hold, each once: whoever adds one adds it here. */
export const feedValues = {
  id: { label: 'Number of its own', read: ({ product, variant, isOne }) => (isOne ? variant.id : product.id) },
  groupId: { label: 'Number of its product', read: ({ product }) => product.id },
  sku: { label: 'SKU', read: ({ variant }) => variant.sku },
  barcode: { label: 'Barcode', read: ({ variant }) => variant.barcode },
  title: {
    label: 'Title',
    read: (entry) => [entry.product.title, entry.isOne ? variantWords(entry) : ''].filter(Boolean).join(', '),
  },
  productTitle: { label: 'Title of the product', read: ({ product }) => product.title },
  variant: { label: 'What the variant is', read: variantWords },
  summary: { label: 'Summary', read: ({ product }) => product.summary },
  description: {
    label: 'Description, as text',
    read: ({ product }) => plainText(product.description) || product.summary,
  },
  html: {
    label: 'Description, as HTML',
    read: ({ product }, { origin, base }) => absoluteHtml(product.description, origin, base),
  },
  link: { label: 'Address', read: addressOf },
  picture: {
    label: 'Picture',
    read: (entry, terms) => {
      const face = faceOf(entry);
      return face ? pictureAt(face.media, terms) : null;
    },
  },
  morePictures: {
    label: 'Further pictures',
    read: (entry, terms) => {
      const face = faceOf(entry);
      return entry.product.pictures.filter((each) => each !== face).map(({ media }) => pictureAt(media, terms));
    },
  },
  price: {
    label: 'Price, before a reduction',
    read: (entry, terms) => {
      const { price, wasPrice } = priceOf(entry, terms);
      return inCurrency(terms.priced(wasPrice ?? price), terms);
    },
  },
  salePrice: {
    label: 'Reduced price',
    read: (entry, terms) => {
      const { price, wasPrice } = priceOf(entry, terms);
      return wasPrice === null ? null : inCurrency(terms.priced(price), terms);
    },
  },
  amount: {
    label: 'Price asked, as a number',
    read: (entry, terms) => plainAmount(terms.priced(priceOf(entry, terms).price)),
  },
  currency: { label: 'Currency', read: (_entry, { shop }) => shop.settings.currency },
  availability: {
    label: 'Can it be had',
    read: ({ product, variant }, { shop }) => {
      const stock = shopStock(shop, product, variant.id);
      if (stock === null || stock > 0) return 'in stock';
      return product.whenSoldOut === 'order' ? 'on order' : 'out of stock';
    },
  },
  brand: { label: 'Brand', read: ({ product }, { shop }) => shop.brands.get(product.brandId ?? '')?.name ?? '' },
  category: {
    label: 'Main category, with those above',
    read: ({ product }, { shop }) =>
      product.categoryIds[0] === undefined
        ? ''
        : shop.tree
            .path(product.categoryIds[0])
            .map(({ name }) => name)
            .join(' > '),
  },
  tags: {
    label: 'Tags',
    read: ({ product }, { shop }) => product.tagIds.flatMap((id) => shop.tags.get(id)?.name ?? []),
  },
  weight: { label: 'Weight in grams', read: ({ product, variant }) => variant.weight ?? product.weight },
  condition: { label: 'Condition: new', read: () => 'new' },
} as const satisfies Record<string, FeedValue>;

/** What a field of a feed can hold, by key: those that all goods have. */
export const feedValueOf = (key: string): FeedValue | undefined =>
  (feedValues as Readonly<Record<string, FeedValue>>)[key];
