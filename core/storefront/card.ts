import type { CardPart } from '../model/card-choices';
import { badgesOf } from './badges';
import type { PictureView, PricingShown, ProductCard } from './views';
import type { Picture } from '../model/product-values';
import type { ProductDocument } from '../model/document';
import type { Bitset } from '../search/bitset';
import { mediaUrl } from './picture-sizes';
import { unitPrice } from '../pricing/price';
import { shopPrice } from '../shop/shop-price';
import { isOpen } from '../shop/open-groups';
import type { Shop } from '../shop/shop';

/** Shoppers are told that few are left from this number of pieces down. */
export const FEW = 3;

/** Address of the small face of a product; null where it has no picture. */
export function faceUrl(product: Pick<ProductDocument, 'pictures'> | undefined): string | null {
  const face = product?.pictures[0];
  return face ? mediaUrl(face.media, 160) : null;
}

export function pictureView(picture: Picture, title: string): PictureView {
  const { media, width, height, focus, fit } = picture;
  // Behind a picture that fills its frame nothing is seen, and editions do not hold it.
  const background = fit === 'fits' ? picture.background : '#ffffff';
  return { media, alt: picture.alt || title, width, height, focus, fit, background };
}

export function pricingOf(
  product: Pick<ProductDocument, 'priceOnRequest' | 'hidePriceWhenSoldOut'>,
  inStock: boolean,
): PricingShown {
  if (product.priceOnRequest) return 'onRequest';
  return product.hidePriceWhenSoldOut && !inStock ? 'soldOut' : 'shown';
}

function swatchesOf(product: ProductDocument): ProductCard['swatches'] {
  const option = product.options.find(({ values }) => values.some((value) => value.swatch));
  return option?.values.flatMap(({ name, swatch }) => (swatch ? [{ label: name, colour: swatch }] : [])) ?? [];
}

/** The picture that shows a variant: its own, else the face of the product. */
export function pictureOf(product: ProductDocument, variantId: string | null): Picture | undefined {
  const own = product.variants.find((variant) => variant.id === variantId)?.pictureId;
  return product.pictures.find((picture) => picture.id === own) ?? product.pictures[0];
}

/**
 * The card of the product in a slot. When variant filters are on, `matching` holds the variants that pass them: the card
 * then shows, and links to, the first of those.
 */
export function cardOf(shop: Shop, slot: number, matching?: Bitset): ProductCard {
  const { index } = shop;
  const product = shop.products.get(index.id(slot))!;
  let shown: string | null = null;
  const start = index.variants.start(slot);
  const end = start + index.variants.count(slot);
  for (let variant = start; matching && shown === null && variant < end; variant++)
    if (matching.has(variant)) shown = index.variants.id(variant);
  const variant = product.variants.find(({ id }) => id === shown) ?? product.variants[0];
  const { stock, priceMax } = shop.facts(product.id)!;
  const pricing = pricingOf(product, stock > 0);
  const prices = pricing === 'shown' ? product.variants.map((each) => shopPrice(shop, product, each)) : [];
  const cheapest = prices.reduce((best, each, i) => (each.price < prices[best]!.price ? i : best), 0);
  const perUnit = prices.length
    ? unitPrice(prices[cheapest]!.price, product.variants[cheapest]!.content, product.unitPricing)
    : null;
  const picture = pictureOf(product, variant?.id ?? null);
  const price = prices[cheapest];
  const wasPrice = price?.wasPrice ?? null;
  const percent = wasPrice === null ? null : Math.round(100 - (100 * price!.price) / wasPrice);
  return {
    id: product.id,
    slug: product.slug,
    title: product.title,
    url: `/p/${product.slug}${shown ? `?v=${shown}` : ''}`,
    image: picture ? mediaUrl(picture.media, 480) : null,
    picture: picture ? pictureView(picture, product.title) : null,
    price: {
      min: price?.price ?? 0,
      max: pricing === 'shown' ? priceMax : 0,
      currency: shop.settings.currency,
    },
    pricing,
    wasPrice,
    unitPrice: perUnit === null ? null : { amount: perUnit, words: shop.say(`unit.${product.unitPricing!}`) },
    inStock: stock > 0,
    brand: shop.brands.get(product.brandId ?? '')?.name ?? null,
    variantId: variant?.id ?? null,
    swatches: swatchesOf(product),
    badges: badgesOf(shop, product, slot, { stock, percent }),
    ...wantedParts(shop, product, picture, stock),
  };
}

/** What only some shops show on their cards. */
function wantedParts(
  shop: Shop,
  product: ProductDocument,
  picture: Picture | undefined,
  stock: number,
): Pick<ProductCard, 'second' | 'category' | 'stock' | 'button' | 'buys'> {
  const { parts, second } = shop.settings.cards;
  const has = (part: CardPart) => parts.includes(part);
  const other = second ? product.pictures.find(({ id }) => id !== picture?.id) : undefined;
  const main = product.categoryIds[0];
  return {
    ...(second && { second: other ? pictureView(other, product.title) : null }),
    ...(has('category') && {
      category:
        main !== undefined && isOpen(shop, { kind: 'category', id: main }) ? shop.categories.get(main)!.name : null,
    }),
    ...(has('stock') && { stock: stockWords(shop.say, product, stock) }),
    ...(has('button') && { button: buttonWords(shop.say, product, stock) }),
    ...(has('button') && isBoughtAtOnce(product, stock) && { buys: product.variants[0]!.id }),
  };
}

const IN_STOCK = {
  physical: 'told.inStock',
  giftCard: 'told.inStock',
  bundle: 'told.inStock',
  digital: 'told.download',
  service: 'told.placesFree',
} as const;

function stockWords(say: Shop['say'], { kind, whenSoldOut, orderDelay }: ProductDocument, stock: number): string {
  if (stock <= 0) return whenSoldOut === 'order' ? orderDelay || say('told.canBeOrdered') : say('told.soldOut');
  if (stock <= FEW) return say(kind === 'service' ? 'told.fewPlaces' : 'told.few');
  return say(IN_STOCK[kind]);
}

/** Can a product go into the basket without anything being chosen? */
const isBoughtAtOnce = ({ variants, kind, priceOnRequest, ownValue, whenSoldOut }: ProductDocument, stock: number) =>
  variants.length === 1 &&
  kind !== 'bundle' &&
  ownValue === null &&
  !priceOnRequest &&
  (stock > 0 || whenSoldOut === 'order');

/** What the button of a card says: what is chosen first, and what can only be looked at. */
function buttonWords(say: Shop['say'], product: ProductDocument, stock: number): string {
  const { variants, kind, priceOnRequest } = product;
  if (priceOnRequest) return say('told.askPrice');
  if (isBoughtAtOnce(product, stock)) return say('told.add');
  if (stock <= 0) return say('told.see');
  return say(variants.length > 1 || kind === 'bundle' ? 'told.choose' : 'told.see');
}
