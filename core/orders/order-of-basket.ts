import type { ProductDocument } from '../model/document';
import type { PaymentOption } from '../model/selling';
import type { OrderAddress, OrderBody, OrderContact, OrderLine } from '../model/shop-order';
import { variantName } from '../products/variants';
import type { Shop } from '../shop/shop';
import { shopBasket, type MetLine, type ShopBasket, type ShopperTerms } from '../shop/shop-basket';
import { giftCardsPay, partWords } from '../storefront/basket-view';
import type { BasketContents } from '../model/basket';

/** A basket that is about to be ordered, with how it is paid. */
export interface Checkout {
  basket: ShopBasket;
  /** the ways to pay that it can take */
  payments: PaymentOption[];
  /** the way that is chosen; null while none is, and where gift cards pay all of it */
  payment: PaymentOption | null;
  pays: { code: string; pays: number; left: number }[];
  /** what is left to pay beside gift cards */
  due: number;
}

/** On collection is only paid what is collected. */
const paymentsOf = ({ settings }: Shop, { delivery }: ShopBasket): PaymentOption[] =>
  settings.selling.payments.filter(
    ({ isOn, kind }) => isOn && (kind !== 'onCollection' || delivery?.option.isCollected === true),
  );

/** A basket with the way to pay of this id, whose fee is part of its price. What gift cards pay alone has none. */
export function checkoutOf(
  shop: Shop,
  contents: BasketContents,
  shopper: ShopperTerms,
  cards: readonly { code: string; left: number }[],
  paymentId: string,
): Checkout {
  const free = shopBasket(shop, contents, shopper);
  const payments = paymentsOf(shop, free);
  const isCovered = giftCardsPay(free.price.total, cards).due === 0;
  const payment = isCovered ? null : (payments.find(({ id }) => id === paymentId) ?? null);
  const basket = payment ? shopBasket(shop, contents, shopper, { paymentId: payment.id }) : free;
  return { basket, payments, payment, ...giftCardsPay(basket.price.total, cards) };
}

/** Is an address asked for? Not where all is downloaded, attended or collected. */
export const needsAddress = ({ needsDelivery, delivery }: ShopBasket): boolean =>
  needsDelivery && delivery?.option.isCollected !== true;

/** What a shopper saw before they ordered: another one means that something changed meanwhile. */
export const seenOf = ({ price, lines }: ShopBasket): string =>
  [price.total, ...lines.map(({ line }) => line.quantity)].join('.');

const described = (product: ProductDocument, variant: ProductDocument['variants'][number]) => ({
  productId: product.id,
  variantId: variant.id,
  kind: product.kind,
  sku: variant.sku,
  title: product.title,
});

function lineOf(met: MetLine, price: ShopBasket['price']['lines'][number]): OrderLine {
  const { product, variant, parts, entry, line } = met;
  const { list, unit, reductions, total, rate, tax } = price;
  return {
    key: entry.key,
    ...described(product, variant),
    variant: product.kind === 'bundle' ? '' : variantName(product.options, variant),
    parts: partWords(met),
    takes: parts.map((part) => ({ productId: part.product.id, variantId: part.variant.id, quantity: part.quantity })),
    isSent: parts.some((part) => part.product.kind === 'physical'),
    quantity: line.quantity,
    list,
    unit,
    reductions,
    total,
    rate,
    tax,
  };
}

const FREE = { quantity: 1, list: 0, unit: 0, reductions: [], total: 0, rate: 0, tax: 0 };

/** Gifts of offers, as lines that cost nothing; a gift of which these lines leave none is left out. */
function giftLines(shop: Shop, { price }: ShopBasket, lines: readonly OrderLine[]): OrderLine[] {
  const taken = new Map<string, number>();
  for (const { takes, quantity } of lines)
    for (const each of takes) taken.set(each.variantId, (taken.get(each.variantId) ?? 0) + each.quantity * quantity);
  return price.used.flatMap(({ gift, offerId, name }) => {
    const product = gift ? shop.products.get(gift.productId) : undefined;
    const variant = product?.variants.find(({ id }) => id === gift!.variantId);
    if (!product || !variant) return [];
    const before = taken.get(variant.id) ?? 0;
    const stock = shop.stock(variant.id);
    if (stock !== null && stock - before < 1) return [];
    taken.set(variant.id, before + 1);
    return [
      {
        ...FREE,
        key: `gift~${offerId}`,
        ...described(product, variant),
        variant: [variantName(product.options, variant), name].filter(Boolean).join(', '),
        parts: [],
        takes: [{ productId: product.id, variantId: variant.id, quantity: 1 }],
        isSent: product.kind === 'physical',
      },
    ];
  });
}

/** What is ordered, and what it costs, as it stays from now on. */
export function orderOf(
  shop: Shop,
  { basket, payment, pays, due }: Checkout,
  shopper: { contact: OrderContact; address: OrderAddress | null; note: string },
): OrderBody {
  const { settings } = shop;
  const { price, delivery } = basket;
  const lines = basket.lines.map((line, i) => lineOf(line, price.lines[i]!));
  return {
    ...shopper,
    country: basket.country,
    lines: [...lines, ...giftLines(shop, basket, lines)],
    used: price.used.map(({ offerId, name, code, off }) => ({ offerId, name, code, off })),
    delivery: delivery && {
      name: delivery.option.name,
      price: price.delivery ?? 0,
      isCollected: delivery.option.isCollected,
    },
    payment: payment
      ? { name: payment.name, kind: payment.kind, words: payment.words, fee: price.fee }
      : { name: shop.say('basket.byGiftCard'), kind: 'giftCard', words: '', fee: 0 },
    giftCards: pays.flatMap(({ code, pays: amount }) => (amount > 0 ? [{ code, amount }] : [])),
    goods: price.goods,
    taxIncluded: price.taxIncluded,
    taxes: price.taxes,
    exemptWords: settings.tax.exempt ? settings.tax.exemptWords : '',
    total: price.total,
    due,
    currency: settings.currency,
    locale: settings.locale,
  };
}
