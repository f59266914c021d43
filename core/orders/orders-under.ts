import type { Offer } from '../model/offer';
import type { OrderBody, OrderLine } from '../model/shop-order';
import { priceBasket } from '../pricing/basket/basket';
import type { BasketLine } from '../pricing/basket/basket-terms';
import { taxOfCountry, taxOn } from '../pricing/tax';
import type { Shop } from '../shop/shop';

/** What orders of the past would have earned under an offer; minor units. */
export interface OrdersUnder {
  orders: number;
  /** those that it would have taken something off */
  touched: number;
  revenueBefore: number;
  revenueAfter: number;
  /** without tax and cost; null while the cost of nothing is known */
  marginBefore: number | null;
  marginAfter: number | null;
  /** so many more orders of the same sort would leave the same margin; null where that cannot be told */
  needed: number | null;
  /** number of touched orders by what would have come off their goods: below 5 %, below 10 % and so on */
  distribution: number[];
}

const PARTS = 20;

/** A line of an order as it would stand in a basket today: the price that was asked then is its list price. */
function lineOf(shop: Shop, line: OrderLine): BasketLine {
  const product = shop.products.get(line.productId);
  return {
    key: line.key,
    productId: line.productId,
    variantId: line.variantId,
    quantity: line.quantity,
    list: Math.round(line.total / line.quantity),
    sale: null,
    saleUntil: null,
    quantityPrices: [],
    cost: product?.variants.find(({ id }) => id === line.variantId)?.cost ?? null,
    taxClass: product?.taxClass ?? 'standard',
    isGiftCard: line.kind === 'giftCard',
  };
}

/**
 * Prices orders again, as if the offer had held then and its code had been typed: the goods of each order at what was paid
 * for them, and the offer on top. O(orders × lines).
 */
export function ordersUnder(shop: Shop, offer: Offer, orders: readonly OrderBody[]): OrdersUnder {
  const test = shop.offersNow.testOf(offer);
  const takenIn = new Map<string, boolean>();
  const takes = (_: Offer, { productId }: BasketLine) => {
    let is = takenIn.get(productId);
    if (is === undefined) {
      const facts = shop.factsBefore(productId);
      takenIn.set(productId, (is = facts !== undefined && test(facts)));
    }
    return is;
  };
  const sums: OrdersUnder = {
    orders: orders.length,
    touched: 0,
    revenueBefore: 0,
    revenueAfter: 0,
    marginBefore: null,
    marginAfter: null,
    needed: null,
    distribution: Array.from({ length: PARTS }, () => 0),
  };
  for (const { lines, country } of orders) {
    const basket = lines.map((line) => lineOf(shop, line));
    const tax = taxOfCountry(shop.settings, country, shop.now);
    const price = priceBasket({
      lines: basket,
      offers: [offer],
      takes,
      codes: new Map([[offer.id, 'CODE']]),
      country,
      isFirstOrder: null,
      usesLeft: () => Infinity,
      terms: shop.settings.offers,
      tax: { ...tax, asked: (amount) => amount },
      delivery: null,
      fee: 0,
    });
    const before = basket.reduce((sum, { list, quantity }) => sum + list * quantity, 0);
    sums.revenueBefore += before;
    sums.revenueAfter += price.goods;
    basket.forEach(({ cost, quantity, list, taxClass }, i) => {
      if (cost === null) return;
      const net = (amount: number) => (tax.included ? amount - taxOn(amount, tax.rate(taxClass), true) : amount);
      sums.marginBefore = (sums.marginBefore ?? 0) + net(list * quantity) - cost * quantity;
      sums.marginAfter = (sums.marginAfter ?? 0) + net(price.lines[i]!.total) - cost * quantity;
    });
    if (price.goods >= before) continue;
    sums.touched++;
    const part = Math.min(PARTS - 1, Math.floor(((before - price.goods) / before) * PARTS));
    sums.distribution[part]!++;
  }
  const { marginBefore, marginAfter } = sums;
  if (marginBefore !== null && marginAfter !== null && marginAfter > 0)
    sums.needed = Math.ceil(((marginBefore - marginAfter) * orders.length) / marginAfter);
  return sums;
}
