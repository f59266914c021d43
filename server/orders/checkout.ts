import { randomBytes } from 'node:crypto';
import { emptyBasket, type BasketContents } from '../../core/model/basket';
import {
  orderAddressSchema,
  orderContactSchema,
  type OrderBody,
  type OrderEvent,
  type OrderLine,
} from '../../core/model/shop-order';
import type { PaymentOption } from '../../core/model/selling';
import { giftCardsPay } from '../../core/storefront/basket-view';
import { orderState } from '../../core/orders/order-state';
import { variantName } from '../../core/products/variants';
import { shopBasket, type MetLine, type ShopBasket } from '../../core/shop/shop-basket';
import type { FieldError } from '../../contract/problem';
import { invalid, ProblemError } from '../shared/problem';
import { problemTypes } from '../../contract/problem';
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

const DAY = 86_400;

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
  /** the total that the shopper saw; minor units */
  seenTotal: number;
}

/** The ways to pay that a basket can take: on collection only what is collected. */
export function paymentsFor(catalog: Catalog, basket: ShopBasket): PaymentOption[] {
  const isCollected = basket.delivery?.option.isCollected === true;
  return catalog.live.shop.settings.selling.payments.filter(
    ({ isOn, kind }) => isOn && (kind !== 'onCollection' || isCollected),
  );
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
function formErrors(catalog: Catalog, form: CheckoutForm, basket: ShopBasket): FieldError[] {
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
  if (basket.needsDelivery && basket.delivery?.option.isCollected !== true) check(orderAddressSchema);
  if (basket.needsDelivery && !basket.delivery) errors.push({ path: ['deliveryId'], message: refusals.chooseDelivery });
  const { terms } = catalog.live.shop.settings.selling;
  if (terms && !form.agrees) errors.push({ path: ['agrees'], message: refusals.agreeToTerms });
  return errors;
}

function orderLine(
  { product, variant, parts, entry, line }: MetLine,
  price: ShopBasket['price']['lines'][number],
): OrderLine {
  return {
    key: entry.key,
    productId: product.id,
    variantId: variant.id,
    kind: product.kind,
    sku: variant.sku,
    title: product.title,
    variant: product.kind === 'bundle' ? '' : variantName(product.options, variant),
    parts:
      product.kind === 'bundle'
        ? parts.map(
            (part) =>
              `${part.quantity} × ${[part.product.title, variantName(part.product.options, part.variant)].filter(Boolean).join(', ')}`,
          )
        : [],
    takes: parts.map((part) => ({ productId: part.product.id, variantId: part.variant.id, quantity: part.quantity })),
    isSent: parts.some((part) => part.product.kind === 'physical'),
    quantity: line.quantity,
    list: price.list,
    unit: price.unit,
    reductions: price.reductions,
    total: price.total,
    rate: price.rate,
    tax: price.tax,
  };
}

/** Gifts of offers, as lines that cost nothing; those that there are none of are left out. */
function giftLines({ live }: Catalog, basket: ShopBasket): OrderLine[] {
  return basket.price.used.flatMap(({ gift, offerId, name }) => {
    const product = gift ? live.shop.products.get(gift.productId) : undefined;
    const variant = product?.variants.find(({ id }) => id === gift!.variantId);
    if (!product || !variant) return [];
    const stock = live.shop.stock(variant.id);
    if (stock !== null && stock < 1) return [];
    return [
      {
        key: `gift~${offerId}`,
        productId: product.id,
        variantId: variant.id,
        kind: product.kind,
        sku: variant.sku,
        title: product.title,
        variant: [variantName(product.options, variant), name].filter(Boolean).join(', '),
        parts: [],
        takes: [{ productId: product.id, variantId: variant.id, quantity: 1 }],
        isSent: product.kind === 'physical',
        quantity: 1,
        list: 0,
        unit: 0,
        reductions: [],
        total: 0,
        rate: 0,
        tax: 0,
      },
    ];
  });
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
    if (left !== null && (left ?? 0) < quantity)
      throw new ProblemError({ type: problemTypes.clash, title: refusals.soldMeanwhile(line.title), status: 409 });
  }
}

/**
 * Places an order: all of it in one transaction, or nothing. A form that comes twice makes one order. Throws what is wrong,
 * at the fields; that something was sold meanwhile, or costs another price, is told before anything is ordered.
 */
export function placeOrder(catalog: Catalog, contents: BasketContents, form: CheckoutForm, origin: string): OrderRow {
  const { db, live } = catalog;
  const before = readOrder(db, 'attempt', form.attempt);
  if (before) return before;
  const whole = contentsUnder(contents, form);
  const email = form.email.trim().toLowerCase();
  const place = db.transaction((): OrderRow => {
    const typed = typedCodes(catalog, whole, email);
    const draft = shopBasket(live.shop, whole, typed.shopper);
    const [gone] = draft.gone;
    if (draft.lines.length === 0 && gone)
      throw new ProblemError({
        type: problemTypes.clash,
        title: gone.title === null ? refusals.orderChanged : refusals.soldMeanwhile(gone.title),
        status: 409,
      });
    if (draft.lines.length === 0) throw invalid([{ path: [], message: refusals.basketEmpty }], refusals.basketEmpty);
    const isAll = draft.gone.length === 0 && draft.lines.every(({ line, entry }) => line.quantity === entry.quantity);
    const payments = paymentsFor(catalog, draft);
    const payment = payments.find(({ id }) => id === form.paymentId);
    const basket = shopBasket(live.shop, whole, typed.shopper, { paymentId: payment?.id });
    const { pays, due } = giftCardsPay(basket.price.total, typed.cards);
    const errors = formErrors(catalog, form, basket);
    if (!payment && due > 0) errors.push({ path: ['paymentId'], message: refusals.choosePayment });
    if (errors.length > 0) throw invalid(errors);
    if (!isAll || basket.price.total !== form.seenTotal)
      throw new ProblemError({ type: problemTypes.clash, title: refusals.orderChanged, status: 409 });
    const lines = [
      ...basket.lines.map((line, i) => orderLine(line, basket.price.lines[i]!)),
      ...giftLines(catalog, basket),
    ];
    refuseSold(catalog, lines);
    const { settings } = live.shop;
    const at = new Date(catalog.now * 1_000).toISOString();
    const { price } = basket;
    const body: OrderBody = {
      contact: orderContactSchema.parse(form),
      address:
        basket.needsDelivery && basket.delivery?.option.isCollected !== true ? orderAddressSchema.parse(form) : null,
      country: basket.country,
      note: form.note.slice(0, 1_000),
      lines,
      used: price.used.map(({ offerId, name, code, off }) => ({ offerId, name, code, off })),
      delivery: basket.delivery && {
        name: basket.delivery.option.name,
        price: price.delivery ?? 0,
        isCollected: basket.delivery.option.isCollected,
      },
      payment:
        due === 0
          ? { name: 'Gift card', kind: 'giftCard', words: '', fee: 0 }
          : { name: payment!.name, kind: payment!.kind, words: payment!.words, fee: price.fee },
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
      for (const { quantity, ...taken } of line.takes) takeStock(db, taken, quantity * line.quantity);
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
  catalog.takeUpOrders([
    ...new Set(order.body.lines.flatMap(({ takes, productId }) => [productId, ...takes.map((each) => each.productId)])),
  ]);
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
