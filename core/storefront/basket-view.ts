import type { BasketEntry } from '../model/basket';
import { countryName } from '../model/countries';
import type { BasketRefusal } from '../pricing/basket/basket-terms';
import { deliveredTo, type DeliveryRefusal } from '../pricing/basket/delivery';
import { variantName } from '../products/variants';
import { formatMoney } from '../shared/money';
import type { Shop } from '../shop/shop';
import type { LineProblem, MetLine, ShopBasket } from '../shop/shop-basket';
import type { BasketView } from './basket-shapes';
import { pictureOf, pictureView } from './card';

type BasketLineView = BasketView['lines'][number];

const goneWords = {
  gone: 'basket.gone',
  soldOut: 'basket.lineSoldOut',
  choice: 'basket.chooseAgain',
} as const satisfies Record<LineProblem, string>;

const deliveryWords = {
  country: 'basket.notToThisCountry',
  tooMuch: 'basket.tooMuch',
  tooLarge: 'basket.tooLarge',
} as const satisfies Record<DeliveryRefusal, string>;

/** What a bundle is made of: "2 × Standard line 30 m"; nothing for other products. */
export function partWords({ parts, product }: Pick<MetLine, 'parts' | 'product'>): string[] {
  if (product.kind !== 'bundle') return [];
  return parts.map((part) => {
    const name = variantName(part.product.options, part.variant);
    return `${part.quantity} × ${[part.product.title, name].filter(Boolean).join(', ')}`;
  });
}

/** What a shopper is told of an offer that gives nothing yet; undefined where it is better not spoken of. */
function hintWords(
  name: string,
  refusal: BasketRefusal,
  isCoded: boolean,
  money: (amount: number) => string,
  say: Shop['say'],
): string | undefined {
  switch (refusal.why) {
    case 'subtotal':
      return say('basket.moreFor', { missing: money(refusal.missing), name });
    case 'pieces':
      return say('basket.piecesFor', { count: refusal.missing, name });
    case 'noGoods':
      return isCoded ? say('basket.codeOtherGoods') : undefined;
    case 'country':
      return isCoded ? say('basket.codeCountry') : undefined;
    case 'firstOrder':
      return isCoded ? say('basket.codeFirst') : undefined;
    case 'usedUp':
      return isCoded ? say('basket.codeUsed') : undefined;
    case 'better':
      return isCoded ? say('basket.codeBetter') : undefined;
    case 'nothingOff':
    case 'atFloor':
      return isCoded ? say('basket.codeNothing') : undefined;
    case 'noDelivery':
      return isCoded ? say('basket.codeDelivery') : undefined;
  }
}

function noticesOf(
  { entry, line }: MetLine,
  unit: number,
  money: (amount: number) => string,
  say: Shop['say'],
): string[] {
  return [
    ...(entry.seen !== null && entry.seen !== unit ? [say('basket.priceChanged', { price: money(entry.seen) })] : []),
    ...(line.quantity < entry.quantity
      ? [say('basket.onlyLeft', { left: line.quantity, wanted: entry.quantity })]
      : []),
  ];
}

function removedView(shop: Shop, removed: BasketEntry | null): BasketView['removed'] {
  const product = removed && shop.products.get(removed.productId);
  return product ? { key: removed.key, title: product.title, quantity: removed.quantity } : null;
}

/** What gift cards pay of a sum, in the order in which they were typed. */
export function giftCardsPay(total: number, cards: readonly { code: string; left: number }[]) {
  let due = total;
  const pays = cards.map(({ code, left }) => {
    const part = Math.min(left, due);
    due -= part;
    return { code, pays: part, left: left - part };
  });
  return { pays, due };
}

/** The view of a basket. `cards`: gift cards that were typed; `unknown`: codes that nobody knows, with why. */
export function basketView(
  shop: Shop,
  basket: ShopBasket,
  beside: {
    note: string;
    removed: BasketEntry | null;
    cards: readonly { code: string; left: number }[];
    unknown: readonly { code: string; words: string }[];
  },
): BasketView {
  const { settings, say } = shop;
  const { price } = basket;
  const money = (amount: number) => formatMoney(amount, settings.currency, settings.locale);
  const { pays, due } = giftCardsPay(price.total, beside.cards);
  const lines = basket.lines.map((met, i): BasketLineView => {
    const { product, variant, line, most, entry } = met;
    const { list, unit, total, reductions } = price.lines[i]!;
    const picture = pictureOf(product, variant.id);
    return {
      key: entry.key,
      title: product.title,
      url: `/p/${product.slug}${product.variants.length > 1 ? `?v=${variant.id}` : ''}`,
      picture: picture ? pictureView(picture, product.title) : null,
      variant: product.kind === 'bundle' ? '' : variantName(product.options, variant),
      parts: partWords(met),
      quantity: line.quantity,
      most: Number.isFinite(most) ? most : null,
      list,
      unit,
      total,
      reductions: reductions.map(({ name, off }) => ({ name, off })),
      notices: noticesOf(met, unit, money, say),
    };
  });
  return {
    lines,
    gone: basket.gone.map(({ entry, problem, title }) => ({
      key: entry.key,
      title: title ?? say('basket.something'),
      why: say(goneWords[problem]),
    })),
    removed: removedView(shop, beside.removed),
    count: lines.reduce((sum, { quantity }) => sum + quantity, 0),
    note: beside.note,
    currency: settings.currency,
    offers: price.used.map(({ name, code, off, gift }) => ({
      name,
      code,
      off,
      gift: gift && (shop.products.get(gift.productId)?.title ?? null),
    })),
    hints: [
      ...beside.unknown.map(({ code, words }) => ({ code, words })),
      ...price.refused.flatMap((refusal) => {
        const words = hintWords(refusal.name, refusal, refusal.code !== null, money, say);
        return words === undefined ? [] : [{ code: refusal.code, words }];
      }),
    ],
    giftCards: pays,
    goods: price.goods,
    needsDelivery: basket.needsDelivery,
    // Ways that never lead to the shopper's country are no choice of theirs.
    delivery: basket.quotes
      .filter(({ refused }) => refused !== 'country')
      .map(({ option, price: asked, refused }) => ({
        id: option.id,
        name: option.name,
        words: option.words,
        price: asked,
        why: refused && say(deliveryWords[refused]),
        isCollected: option.isCollected,
        chosen: option.id === basket.delivery?.option.id,
      })),
    deliveryPrice: basket.needsDelivery ? price.delivery : null,
    missing: price.delivery === 0 ? null : (basket.delivery?.missing ?? null),
    fee: price.fee,
    countries: deliveredTo(settings.selling).map((code) => ({
      code,
      name: countryName(code, settings.locale),
      chosen: code === basket.country,
    })),
    taxIncluded: price.taxIncluded,
    taxes: price.taxes
      .filter(({ tax }) => tax > 0)
      .map(({ rate, tax }) => ({ words: say('basket.tax', { rate: rate / 100 }), tax })),
    total: price.total,
    due,
    button: settings.selling.button,
  };
}
