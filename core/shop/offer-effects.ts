import type { ProductDocument } from '../model/document';
import type { Offer } from '../model/offer';
import { basketUnder, pricesPieces, reducesGoods } from '../pricing/offer-actions/offer-actions';
import { byPriority, isCatalogOffer, lowestUnder, offeredPrice, type Piece } from '../pricing/offered-price';
import { effectivePrice, marginOf } from '../pricing/price';
import type { Shop } from './shop';

/** Why an offer does not simply reduce a product. */
export type EffectNote =
  'held' | 'atFloor' | 'saleIsLower' | 'otherIsLower' | 'notLower' | 'costUnknown' | 'belowCost' | 'none';

/** What an offer makes of a product: of that of its variants that is left with the lowest margin. Minor units. */
export interface OfferEffect {
  product: ProductDocument;
  variants: number;
  list: number;
  /** what shoppers pay now, without it */
  before: number;
  after: number;
  cost: number | null;
  /** basis points; null while no cost is known */
  marginBefore: number | null;
  marginAfter: number | null;
  variantId: string;
  note: EffectNote;
}

/** Pieces of one group that the action of an offer looks at together. */
function groupOf({ action }: Offer): number {
  switch (action.does) {
    case 'oneOf':
      return action.of;
    case 'nForM':
      return action.take;
    case 'setPrice':
      return action.pieces;
    case 'ladder':
      return action.steps.at(-1)!.from;
    default:
      return 1;
  }
}

type Variant = ProductDocument['variants'][number];

function variantEffect(shop: Shop, product: ProductDocument, variant: Variant, offer: Offer, others: readonly Offer[]) {
  const terms = shop.offerTerms(product);
  const { price: now, wasPrice } = effectivePrice(product, variant, shop.now);
  const piece: Piece = { list: variant.price, sale: wasPrice === null ? null : now, cost: variant.cost };
  const before = offeredPrice(piece, others, terms).price;
  let after = before;
  let note: EffectNote = 'none';
  if (pricesPieces(offer.action)) {
    // As if it had no conditions on the basket: what it makes of one piece.
    const all = [...others, offer].sort(byPriority);
    const { price, used, tried } = offeredPrice(piece, all, terms);
    after = price;
    const own = used.find((each) => each.offer.id === offer.id);
    const trial = tried.find((each) => each.offer.id === offer.id)!;
    if (own) note = own.heldAt === null ? 'none' : 'held';
    else if ('refused' in trial) note = trial.refused;
    else note = before === piece.sale ? 'saleIsLower' : 'otherIsLower';
  } else if (reducesGoods(offer.action)) {
    const pieces = groupOf(offer);
    const from = offer.stacks ? before : variant.price;
    const off = basketUnder(offer.action, [{ price: from, quantity: pieces }])[0]!;
    const lowest = lowestUnder(offer, variant.cost, terms);
    const each = Math.round(from - off / pieces);
    after = Math.min(before, Math.max(each, Math.min(from, lowest)));
    if (after >= before) note = lowest >= from ? 'atFloor' : 'notLower';
    else if (each < lowest) note = 'held';
  }
  const margin = (price: number) => marginOf(price, variant.cost, terms.taxRate, terms.taxIncluded);
  if (note === 'none' && (margin(after) ?? 0) < 0) note = 'belowCost';
  return {
    before,
    after,
    cost: variant.cost,
    list: variant.price,
    marginBefore: margin(before),
    marginAfter: margin(after),
    note,
  };
}

/** Notes that need a look come first. */
const weight: Record<EffectNote, number> = {
  belowCost: 0,
  held: 1,
  atFloor: 2,
  costUnknown: 3,
  notLower: 4,
  otherIsLower: 5,
  saleIsLower: 6,
  none: 7,
};

/** The goods that an offer takes in, whether it holds or not. */
function goodsOfOffer(shop: Shop, offer: Offer): ProductDocument[] {
  const test = shop.offersNow.testOf(offer);
  return [...shop.products.values()].filter(
    (product) =>
      product.status === 'live' &&
      product.kind !== 'giftCard' &&
      product.bundle?.pricing.how !== 'parts' &&
      test(shop.factsBefore(product.id)!),
  );
}

/**
 * What an offer does to each product that it takes in, beside the catalog offers that hold now: those to look at first, then
 * by the margin that is left. O(products × offers).
 */
export function offerEffects(shop: Shop, offer: Offer): OfferEffect[] {
  const others = (product: ProductDocument) => shop.offersOf(product.id).filter(({ id }) => id !== offer.id);
  return goodsOfOffer(shop, offer)
    .map((product): OfferEffect => {
      const beside = others(product);
      const each = product.variants.map((variant) => ({
        variantId: variant.id,
        ...variantEffect(shop, product, variant, offer, beside),
      }));
      const worst = each.reduce((a, b) =>
        weight[b.note] < weight[a.note] ||
        (b.note === a.note && (b.marginAfter ?? Infinity) < (a.marginAfter ?? Infinity))
          ? b
          : a,
      );
      return { product, variants: product.variants.length, ...worst };
    })
    .sort(
      (a, b) =>
        weight[a.note] - weight[b.note] ||
        (a.marginAfter ?? Infinity) - (b.marginAfter ?? Infinity) ||
        (a.product.title < b.product.title ? -1 : 1),
    );
}

/** Another offer that takes some of the same goods in while it holds. */
export interface MetOffer {
  offer: Offer;
  goods: number;
  /** moments between which both may hold; open where null */
  from: string | null;
  until: string | null;
  /** which makes the lower price of the first goods that both take in; undefined where both come off, or cannot be told */
  wins: 'this' | 'other' | 'both' | undefined;
}

const later = (a: string | null, b: string | null) => (a === null ? b : b === null ? a : a > b ? a : b);
const earlier = (a: string | null, b: string | null) => (a === null ? b : b === null ? a : a < b ? a : b);

/** The offers that meet one, by goods and time. */
export function metOffers(shop: Shop, offer: Offer): MetOffer[] {
  const goods = goodsOfOffer(shop, offer);
  return [...shop.offers.values()].flatMap((other): MetOffer[] => {
    if (other.id === offer.id || !other.isOn || !reducesGoods(other.action) || !reducesGoods(offer.action)) return [];
    const [from, until] = [later(offer.from, other.from), earlier(offer.until, other.until)];
    if (from !== null && until !== null && from >= until) return [];
    if (until !== null && Date.parse(until) / 1_000 <= shop.now) return [];
    const test = shop.offersNow.testOf(other);
    const both = goods.filter(({ id }) => test(shop.factsBefore(id)!));
    const first = both[0]?.variants[0];
    if (!first) return [];
    return [{ offer: other, goods: both.length, from, until, wins: winner(shop, both[0]!, first, offer, other) }];
  });
}

function winner(shop: Shop, product: ProductDocument, variant: Variant, offer: Offer, other: Offer): MetOffer['wins'] {
  if (offer.stacks && other.stacks) return 'both';
  if (!isCatalogOffer(offer) || !isCatalogOffer(other)) return undefined;
  const piece: Piece = { list: variant.price, sale: null, cost: variant.cost };
  const { used } = offeredPrice(piece, [offer, other].sort(byPriority), shop.offerTerms(product));
  if (used.length === 0) return undefined;
  return used[0]!.offer.id === offer.id ? 'this' : 'other';
}
