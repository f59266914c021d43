import type { BasketContents, BasketEntry } from '../model/basket';
import type { Slot } from '../model/bundle';
import type { ProductDocument } from '../model/document';
import type { Offer } from '../model/offer';
import type { PackageSize } from '../model/product-values';
import { priceBasket } from '../pricing/basket/basket';
import type { BasketLine, BasketPrice } from '../pricing/basket/basket-terms';
import { deliveredTo, deliveryQuotes, type DeliveryQuote } from '../pricing/basket/delivery';
import { isCatalogOffer } from '../pricing/offered-price';
import { effectivePrice, lessPercent } from '../pricing/price';
import { taxOfCountry } from '../pricing/tax';
import { productOnShop } from './open-groups';
import type { Shop } from './shop';

type VariantOf = ProductDocument['variants'][number];

/** Something in the basket that takes stock: the thing itself, or what a bundle is made of. */
interface Taken {
  product: ProductDocument;
  variant: VariantOf;
  quantity: number;
  slot: Slot | null;
}

/** A line of the basket that can be had. */
export interface MetLine {
  entry: BasketEntry;
  product: ProductDocument;
  variant: VariantOf;
  /** of one piece: what a bundle is made of; of other things, themselves */
  parts: Taken[];
  line: BasketLine;
  /** how many can be had, beside what other lines take of the same; Infinity for no end */
  most: number;
}

/** Why a line cannot be had. */
export type LineProblem = 'gone' | 'soldOut' | 'choice';

interface MetBasket {
  lines: MetLine[];
  gone: { entry: BasketEntry; problem: LineProblem; title: string | null }[];
}

/** What the shop, beside its documents, knows of a shopper. */
export interface ShopperTerms {
  /** by offer, the code that was typed for it */
  codes: ReadonlyMap<string, string>;
  isFirstOrder: boolean | null;
  usesLeft: (offerId: string) => number;
}

const variantOf = (product: ProductDocument | undefined, id: string) =>
  product?.variants.find((each) => each.id === id);

/** The parts of one bundle as they were chosen; undefined where the choice does not fit it any more. */
function chosenParts(shop: Shop, product: ProductDocument, entry: BasketEntry): Taken[] | undefined {
  const facts = shop.bundles.get(product.id);
  if (!facts) return undefined;
  const taken: Taken[] = [];
  for (const { slot, products } of facts.slots) {
    const own = entry.parts.filter(({ slotId }) => slotId === slot.id);
    const pieces = own.reduce((sum, { quantity }) => sum + quantity, 0);
    if (pieces < slot.min || pieces > slot.max) return undefined;
    for (const { variantId, quantity } of own) {
      const part = products.find((each) => variantOf(each, variantId));
      if (!part) return undefined;
      taken.push({ product: part, variant: variantOf(part, variantId)!, quantity, slot });
    }
  }
  return taken.length > 0 && taken.length === entry.parts.length ? taken : undefined;
}

const sum = (numbers: readonly number[]) => numbers.reduce((all, each) => all + each, 0);

/** What one piece of a line costs before offers. */
function lineOf(shop: Shop, { product, variant, entry, parts }: Omit<MetLine, 'line' | 'most'>): BasketLine {
  const { key, quantity, value } = entry;
  const common = {
    key,
    quantity,
    productId: product.id,
    variantId: variant.id,
    saleUntil: null,
    quantityPrices: product.quantityPrices,
    taxClass: product.taxClass,
    isGiftCard: product.kind === 'giftCard',
  };
  const costs = parts.map((part) => part.variant.cost);
  const cost = costs.includes(null) ? null : sum(parts.map((part) => part.variant.cost! * part.quantity));
  const pricing = product.bundle?.pricing;
  if (pricing?.how === 'parts') {
    const of = (price: (part: Taken) => number) =>
      lessPercent(sum(parts.map((part) => price(part) * part.quantity)), pricing.off);
    const list = of((part) => part.variant.price);
    const now = of((part) => shop.price(part.product, part.variant).price);
    return { ...common, list, sale: now < list ? now : null, cost };
  }
  if (value !== null) return { ...common, list: value, sale: null, cost: null };
  const { price, wasPrice } = effectivePrice(product, variant, shop.now);
  return {
    ...common,
    list: variant.price,
    sale: wasPrice === null ? null : price,
    saleUntil: wasPrice === null ? null : product.saleUntil,
    cost: product.kind === 'bundle' ? cost : variant.cost,
  };
}

function problemOf(product: ProductDocument, entry: BasketEntry, parts: Taken[] | undefined): LineProblem | undefined {
  if (product.priceOnRequest) return 'gone';
  if (product.kind === 'bundle' && !parts) return 'choice';
  const { ownValue } = product;
  if (
    entry.value !== null &&
    (product.kind !== 'giftCard' || !ownValue || entry.value < ownValue.from || entry.value > ownValue.upTo)
  )
    return 'choice';
  return undefined;
}

/** Can a product be ordered although there is none of it? */
const isOrdered = (product: ProductDocument) => product.whenSoldOut === 'order';

/**
 * The lines of a basket as the shop is now. Lines that take of the same stock, bundles by their parts included, share it in
 * the order in which they stand. O(lines × parts).
 */
function metBasket(shop: Shop, { entries }: Pick<BasketContents, 'entries'>): MetBasket {
  const met: MetBasket = { lines: [], gone: [] };
  const taken = new Map<string, number>();
  for (const entry of entries) {
    const product = productOnShop(shop, entry.productId);
    const variant = variantOf(product, entry.variantId);
    if (!product || !variant) {
      met.gone.push({ entry, problem: 'gone', title: shop.products.get(entry.productId)?.title ?? null });
      continue;
    }
    const chosen = product.kind === 'bundle' ? chosenParts(shop, product, entry) : undefined;
    const problem = problemOf(product, entry, chosen);
    if (problem) {
      met.gone.push({ entry, problem, title: product.title });
      continue;
    }
    const parts = chosen ?? [{ product, variant, quantity: 1, slot: null }];
    const needs = new Map<string, number>();
    for (const part of parts)
      if (!isOrdered(part.product)) needs.set(part.variant.id, (needs.get(part.variant.id) ?? 0) + part.quantity);
    const most = Math.min(
      Infinity,
      ...[...needs].map(([id, quantity]) => {
        const stock = shop.stock(id);
        return stock === null ? Infinity : Math.floor((stock - (taken.get(id) ?? 0)) / quantity);
      }),
    );
    if (most < 1) {
      met.gone.push({ entry, problem: 'soldOut', title: product.title });
      continue;
    }
    const quantity = Math.min(entry.quantity, most);
    for (const [id, each] of needs) taken.set(id, (taken.get(id) ?? 0) + each * quantity);
    const base = { entry, product, variant, parts };
    met.lines.push({ ...base, line: { ...lineOf(shop, base), quantity }, most });
  }
  return met;
}

/** Is the line something that is sent? */
const isSent = ({ parts }: MetLine) => parts.some(({ product }) => product.kind === 'physical');

function parcelOf(lines: readonly MetLine[], country: string, goods: number) {
  const sent = lines.filter(isSent);
  const pieces = sent.flatMap(({ parts, line }) =>
    parts
      .filter(({ product }) => product.kind === 'physical')
      .map(({ product, variant, quantity }) => ({
        count: quantity * line.quantity,
        weight: variant.weight ?? product.weight ?? 0,
        size: variant.size ?? product.size,
      })),
  );
  return {
    country,
    goods,
    weight: sum(pieces.map(({ count, weight }) => count * weight)),
    pieces: sum(pieces.map(({ count }) => count)),
    sizes: pieces.flatMap(({ size }): PackageSize[] => (size ? [size] : [])),
  };
}

export interface ShopBasket extends MetBasket {
  price: BasketPrice;
  country: string;
  /** false where all of it is downloaded, attended or a gift card */
  needsDelivery: boolean;
  quotes: DeliveryQuote[];
  /** the way of delivery that is taken */
  delivery: DeliveryQuote | null;
}

/** A whole basket at the shop's moment: what is in it, what it costs, and how it can be delivered. */
export function shopBasket(
  shop: Shop,
  contents: BasketContents,
  shopper: ShopperTerms,
  chosen: { paymentId?: string } = {},
): ShopBasket {
  const { selling } = shop.settings;
  const met = metBasket(shop, contents);
  const places = deliveredTo(selling);
  const country = contents.country !== null && places.includes(contents.country) ? contents.country : places[0]!;
  const byKey = new Map(met.lines.map((each) => [each.line.key, each]));
  const { running } = shop.offersNow;
  const inMain = new Map(running.offers.map((offer) => [offer.id, offer]));
  const takes = (offer: Offer, { key, productId }: BasketLine) => {
    const { product } = byKey.get(key)!;
    // Its parts have their own: what they cost under them is in its price.
    if (isCatalogOffer(offer) && product.bundle?.pricing.how === 'parts') return false;
    return running.takes(inMain.get(offer.id)!, shop.factsBefore(productId)!);
  };
  const payment = selling.payments.find(({ id }) => id === chosen.paymentId);
  const input = {
    lines: met.lines.map(({ line }) => line),
    offers: running.offers.map((offer) => shop.offers.get(offer.id) ?? offer),
    takes,
    ...shopper,
    country,
    terms: shop.settings.offers,
    tax: taxOfCountry(shop.settings, country, shop.now),
    fee: payment?.fee ?? 0,
  };
  const needsDelivery = met.lines.some(isSent);
  const goods = priceBasket({ ...input, delivery: null }).goods;
  const quotes = needsDelivery ? deliveryQuotes(selling, parcelOf(met.lines, country, goods)) : [];
  const can = quotes.filter(({ price }) => price !== null);
  const delivery = can.find(({ option }) => option.id === contents.deliveryId) ?? can[0] ?? null;
  return {
    ...met,
    price: priceBasket({ ...input, delivery: delivery?.price ?? (needsDelivery ? null : 0) }),
    country,
    needsDelivery,
    quotes,
    delivery,
  };
}
