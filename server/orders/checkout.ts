import { randomBytes } from 'node:crypto';
import { emptyBasket, type BasketContents } from '../../core/model/basket';
import { orderAddressSchema, orderContactSchema, type OrderEvent, type OrderLine } from '../../core/model/shop-order';
import { checkoutOf, needsAddress, orderOf, seenOf } from '../../core/orders/order-of-basket';
import { orderState, productsOf } from '../../core/orders/order-state';
import type { ShopBasket } from '../../core/shop/shop-basket';
import { problemTypes, type FieldError } from '../../contract/problem';
import { invalid, ProblemError } from '../shared/problem';
import { newId } from '../shared/ids';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { moveGiftCard } from '../store/gift-cards';
import { addUse } from '../store/offers';
import { readStock } from '../store/products';
import { addSale } from '../store/sales';
import {
  addEvent,
  insertOrder,
  nextNumber,
  readEvents,
  readOrder,
  setStatus,
  takeStock,
  type OrderRow,
} from '../store/shop-orders';
import { issueGoods } from './issue-goods';
import { writeLetter } from './order-mail';
import { typedCodes } from './shopper-terms';
import type { Shop } from '../../core/shop/shop';

const DAY = 86_400;

/** Something is other than the shopper saw it. */
const changed = (title: string) => new ProblemError({ type: problemTypes.clash, title, status: 409 });

/** What a shopper filled in on the checkout page, as it came. */
export interface CheckoutForm {
  email: string;
  name: string;
  phone: string;
  street: string;
  more: string;
  postcode: string;
  city: string;
  country: string;
  note: string;
  deliveryId: string;
  paymentId: string;
  agrees: boolean;
  /** made with the page, so that it makes one order however often it is sent */
  attempt: string;
  /** what the shopper saw; see `seenOf` */
  seen: string;
}

/** The basket with what the form says of it. */
export const contentsUnder = (
  contents: BasketContents,
  form: Pick<CheckoutForm, 'country' | 'deliveryId'>,
): BasketContents => ({
  ...contents,
  country: /^[A-Z]{2}$/.test(form.country) ? form.country : contents.country,
  deliveryId: form.deliveryId || contents.deliveryId,
});

/** What is wrong with a form, by its fields. */
function formErrors(shop: Shop, form: CheckoutForm, basket: ShopBasket): FieldError[] {
  const errors: FieldError[] = [];
  const check = (schema: {
    safeParse: (value: unknown) => {
      success: boolean;
      error?: { issues: readonly { path: PropertyKey[]; message: string }[] };
    };
  }) => {
    const read = schema.safeParse(form);
    for (const { path, message } of read.error?.issues ?? [])
      if (!errors.some((error) => error.path[0] === path[0])) errors.push({ path: [String(path[0])], message });
  };
  check(orderContactSchema);
  if (needsAddress(basket)) check(orderAddressSchema);
  if (basket.needsDelivery && !basket.delivery) errors.push({ path: ['deliveryId'], message: refusals.chooseDelivery });
  const { terms } = shop.settings.selling;
  if (terms && !form.agrees) errors.push({ path: ['agrees'], message: refusals.agreeToTerms });
  return errors;
}

/** Refuses lines of which another shopper took the last meanwhile: asked of the database, inside the transaction. */
function refuseSold({ db, live }: Catalog, lines: readonly OrderLine[]): void {
  const needs = new Map<string, { quantity: number; line: OrderLine; productId: string }>();
  for (const line of lines)
    for (const { productId, variantId, quantity } of line.takes) {
      const before = needs.get(variantId);
      needs.set(variantId, { line, productId, quantity: (before?.quantity ?? 0) + quantity * line.quantity });
    }
  const stock = new Map(
    readStock(db, [...new Set([...needs.values()].map(({ productId }) => productId))]).map(({ variantId, count }) => [
      variantId,
      count,
    ]),
  );
  for (const [variantId, { quantity, line, productId }] of needs) {
    if (live.shop.products.get(productId)?.whenSoldOut === 'order') continue;
    const left = stock.get(variantId);
    if (left !== null && (left ?? 0) < quantity) throw changed(refusals.soldMeanwhile(line.title));
  }
}

/**
 * Places an order: all of it in one transaction, or nothing. A form that comes twice makes one order. Throws what is wrong,
 * at the fields; that something was sold meanwhile, or costs another price, is told before anything is ordered.
 */
export function placeOrder(
  catalog: Catalog,
  shop: Shop,
  contents: BasketContents,
  form: CheckoutForm,
  origin: string,
): OrderRow {
  const { db } = catalog;
  const before = readOrder(db, 'attempt', form.attempt);
  if (before) return before;
  const whole = contentsUnder(contents, form);
  const email = form.email.trim().toLowerCase();
  const place = db.transaction((): OrderRow => {
    const typed = typedCodes(catalog, whole, email);
    const checkout = checkoutOf(shop, whole, typed.shopper, typed.cards, form.paymentId);
    const { basket, payment, due } = checkout;
    const [gone] = basket.gone;
    if (basket.lines.length === 0 && gone)
      throw changed(gone.title === null ? refusals.orderChanged : refusals.soldMeanwhile(gone.title));
    if (basket.lines.length === 0) throw invalid([{ path: [], message: refusals.basketEmpty }], refusals.basketEmpty);
    const errors = formErrors(shop, form, basket);
    if (!payment && due > 0) errors.push({ path: ['paymentId'], message: refusals.choosePayment });
    if (errors.length > 0) throw invalid(errors);
    if (seenOf(basket) !== form.seen) throw changed(refusals.orderChanged);
    const body = orderOf(shop, checkout, {
      contact: orderContactSchema.parse(form),
      address: needsAddress(basket) ? orderAddressSchema.parse(form) : null,
      note: form.note.slice(0, 1_000),
    });
    const { lines } = body;
    refuseSold(catalog, lines);
    const at = new Date(catalog.now * 1_000).toISOString();
    const order: OrderRow = {
      id: newId('order'),
      number: nextNumber(db),
      token: randomBytes(18).toString('base64url'),
      attempt: form.attempt,
      at,
      shopper: email,
      name: body.contact.name,
      status: 'new',
      total: body.total,
      body,
    };
    insertOrder(db, order);
    addEvent(db, order.id, at, null, { what: 'placed' });
    const day = Math.floor(catalog.now / DAY) * DAY;
    for (const line of lines) {
      for (const { quantity, ...taken } of line.takes)
        takeStock(db, taken, quantity * line.quantity, { orderId: order.id, at });
      addSale(db, line.productId, { day, pieces: line.quantity });
    }
    for (const { offerId, code, off } of body.used)
      addUse(db, { offerId, code, orderId: order.id, shopper: email, off });
    for (const { code, amount } of body.giftCards) moveGiftCard(db, code, order.id, at, -amount);
    writeLetter(catalog, order, origin, 'placed');
    if (due === 0) pay(catalog, order, { amount: 0, how: 'Gift card' }, null, origin);
    return readOrder(db, 'id', order.id)!;
  });
  const order = place.immediate();
  catalog.takeUpOrders(productsOf(order.body));
  return order;
}

/** Notes that an order is paid, and hands over what can be: downloads and gift cards. Inside a transaction. */
export function pay(
  catalog: Catalog,
  order: OrderRow,
  paid: { amount: number; how: string },
  userId: string | null,
  origin: string,
): void {
  const at = new Date(catalog.now * 1_000).toISOString();
  note(catalog, order, { what: 'paid', ...paid }, userId);
  writeLetter(catalog, order, origin, 'paid');
  issueGoods(catalog, order, at, origin);
}

/** Notes what happened to an order, and what it is since. Inside a transaction. */
export function note({ db, now }: Catalog, order: OrderRow, event: OrderEvent, userId: string | null): void {
  addEvent(db, order.id, new Date(now * 1_000).toISOString(), userId, event);
  setStatus(db, order.id, orderState(order.body, readEvents(db, order.id)).status);
}

/** What stays of a basket when it was ordered. */
export const afterOrder = (contents: BasketContents): BasketContents => ({ ...emptyBasket, country: contents.country });
