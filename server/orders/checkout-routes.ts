import { randomBytes } from 'node:crypto';
import express, { Router, type Request, type Response } from 'express';
import { countryName } from '../../core/model/countries';
import { groupedCode } from '../../core/orders/codes';
import { basketView } from '../../core/storefront/basket-view';
import { checkoutOf, needsAddress, seenOf } from '../../core/orders/order-of-basket';
import type { Shop } from '../../core/shop/shop';
import type { CheckoutValues, OrderPageData } from '../../core/storefront/selling-pages';
import { limitRequests } from '../http/limit-requests';
import { notFound, ProblemError } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { giftCardsOf } from '../store/gift-cards';
import { noteFetched, readDownload, readDownloads, readEvents, readOrder, type OrderRow } from '../store/shop-orders';
import { filePath } from '../media/file-store';
import { basketOf, keepBasket } from './baskets';
import type { SellingParts } from './basket-routes';
import { afterOrder, contentsUnder, placeOrder, type CheckoutForm } from './checkout';
import { invoiceHtml } from './invoice';
import { invoicePdf } from './invoice-pdf';
import { markDeclined, markPaid, stateOf } from './order-steps';
import { typedCodes } from './shopper-terms';
import { saidAgain } from '../../core/languages/fixed/fixed-words';
import { baseOf, liveShopOf } from '../state/spoken';

const fields = [
  'email',
  'name',
  'phone',
  'street',
  'more',
  'postcode',
  'city',
  'country',
  'note',
  'deliveryId',
  'paymentId',
  'agrees',
] as const;

const textOf = (value: unknown) => (typeof value === 'string' ? value.slice(0, 2_000) : '');

function valuesOf(body: Record<string, unknown>): CheckoutValues {
  return Object.fromEntries(fields.map((field) => [field, textOf(body[field])]));
}

function formOf(values: CheckoutValues, body: Record<string, unknown>): CheckoutForm {
  const value = (name: string) => values[name] ?? '';
  return {
    ...(Object.fromEntries(fields.map((field) => [field, value(field)])) as Record<
      Exclude<(typeof fields)[number], 'agrees'>,
      string
    >),
    agrees: value('agrees') !== '',
    attempt: /^[\w-]{16,64}$/.test(textOf(body.attempt)) ? textOf(body.attempt) : randomBytes(18).toString('base64url'),
    seen: textOf(body.seen),
  };
}

const dayWords = ({ settings }: Shop, at: string) =>
  new Intl.DateTimeFormat(settings.locale === 'en' ? 'en-GB' : settings.locale, {
    dateStyle: 'long',
    timeZone: settings.timeZone,
  }).format(new Date(at));

/** Until a shopper chooses, the first way to pay that is offered is taken. */
const firstPayment = ({ settings }: Shop) =>
  settings.selling.payments.find(({ isOn, kind }) => isOn && kind !== 'onCollection')?.id ?? '';

/** The page of an order, for its shopper. */
function orderPage(catalog: Catalog, shop: Shop, base: string, row: OrderRow, isNew: boolean): OrderPageData {
  const { db } = catalog;
  const { say } = shop;
  const state = stateOf(catalog, row);
  const { body } = row;
  const lineWords = new Map(
    body.lines.map(({ key, title, variant }) => [key, [title, variant].filter(Boolean).join(', ')]),
  );
  const mayPay = !state.isPaid && state.status !== 'cancelled' && body.payment.kind === 'card';
  const events = readEvents(db, row.id);
  const declined = events.findLast(({ what }) => what === 'declined');
  return {
    kind: 'order',
    number: row.number,
    day: dayWords(shop, row.at),
    statusWords: state.isPartRefunded
      ? say('status.partRefunded', { status: say(`status.${state.status}`) })
      : say(`status.${state.status}`),
    isPaid: state.isPaid,
    refunded: state.refunded,
    order: body,
    country: body.address ? countryName(body.address.country, shop.settings.locale) : '',
    parcels: events.flatMap((event) =>
      event.what === 'sent'
        ? [
            {
              day: dayWords(shop, event.at),
              tracking: event.tracking,
              lines: event.lines.map(({ key, quantity }) => `${quantity} × ${lineWords.get(key) ?? ''}`),
            },
          ]
        : [],
    ),
    downloads: readDownloads(db, row.id).map(({ token, name, fetched, most, until }) => ({
      name,
      url: `/download/${token}`,
      left: most === null ? null : Math.max(0, most - fetched),
      until: until && dayWords(shop, until),
    })),
    giftCards: giftCardsOf(db, row.id)
      .filter(({ isOff }) => !isOff)
      .map(({ code, worth }) => ({ code: groupedCode(code), worth })),
    invoice: state.isPaid ? { html: `/order/${row.token}/invoice`, pdf: `/order/${row.token}/invoice.pdf` } : null,
    card: mayPay
      ? {
          action: `${base}/order/${row.token}/card`,
          words: declined && declined.what === 'declined' ? saidAgain(declined.how, say) : '',
        }
      : null,
    isNew,
  };
}

/** Checkout, the page of an order, invoice and downloads. */
export function checkoutApi(parts: SellingParts): Router {
  const { catalog, isSecure, originNow, show } = parts;
  const router = Router();
  const read = express.urlencoded({ extended: false, limit: '40kb' });
  const slowly = limitRequests(10 * 60_000, 200);

  const page = (
    request: Request,
    response: Response,
    sent: { values: CheckoutValues; problems: Record<string, string>; attempt?: string; status?: number },
  ) => {
    const { contents } = basketOf(catalog, request);
    if (contents.entries.length === 0) return response.redirect(303, `${baseOf(response)}/basket`);
    const shop = liveShopOf(catalog, response);
    const { values } = sent;
    const whole = contentsUnder(contents, { country: values.country ?? '', deliveryId: values.deliveryId ?? '' });
    const email = values.email?.includes('@') ? values.email.trim().toLowerCase() : null;
    const { shopper, ...beside } = typedCodes(catalog, whole, email);
    const checkout = checkoutOf(shop, whole, shopper, beside.cards, values.paymentId ?? firstPayment(shop));
    const { basket, payments, payment } = checkout;
    show(
      request,
      response,
      {
        kind: 'checkout',
        basket: basketView(shop, basket, {
          note: whole.note,
          removed: null,
          ...beside,
          unknown: beside.unknown.map(({ code, words }) => ({ code, words: saidAgain(words, shop.say) })),
        }),
        needsAddress: needsAddress(basket),
        seen: seenOf(basket),
        payments: payments.map(({ id, name, words, fee }) => ({ id, name, words, fee, chosen: id === payment?.id })),
        terms: shop.settings.selling.terms,
        values: {
          note: whole.note,
          country: basket.country,
          ...values,
          ...(values.country ? {} : { country: basket.country }),
        },
        problems: sent.problems,
        attempt: sent.attempt ?? randomBytes(18).toString('base64url'),
      },
      sent.status ?? 200,
    );
  };
  router.get('/checkout', (request, response) => void page(request, response, { values: {}, problems: {} }));

  router.post('/checkout', slowly, read, (request, response, next) => {
    const body = (request.body ?? {}) as Record<string, unknown>;
    const values = valuesOf(body);
    const form = formOf(values, body);
    // Another country or way of delivery: prices are told again, and nothing is ordered.
    if (textOf(body.act) === 'look') {
      page(request, response, { values, problems: {}, attempt: form.attempt });
      return;
    }
    const { token, contents } = basketOf(catalog, request);
    const writes = catalog.writes;
    void writes
      .shared(() => placeOrder(catalog, liveShopOf(catalog, response), contents, form, originNow()))
      .then((order) => {
        keepBasket(catalog, { response, isSecure }, token, afterOrder(contents));
        response.redirect(303, `${baseOf(response)}/order/${order.token}?new=1`);
      })
      .catch((error: unknown) => {
        if (!(error instanceof ProblemError)) return next(error);
        const { errors = [], title, status } = error.problem;
        const { say } = liveShopOf(catalog, response);
        const problems = Object.fromEntries(
          errors.map(({ path, message }) => [String(path[0] ?? ''), saidAgain(message, say)]),
        );
        const isTold = Object.keys(problems).length > 0;
        page(request, response, {
          values,
          problems: isTold ? problems : { '': saidAgain(title, say) },
          // What was refused because something changed is another order.
          attempt: form.attempt,
          status,
        });
      });
  });

  const orderBy = (token: string) => {
    const order = readOrder(catalog.db, 'token', token);
    if (!order) throw notFound(refusals.noSuchOrder);
    return order;
  };
  const hidden = (response: Response) => response.set('X-Robots-Tag', 'noindex').set('Cache-Control', 'no-store');
  router.get('/order/:token', (request, response) => {
    hidden(response);
    show(
      request,
      response,
      orderPage(
        catalog,
        liveShopOf(catalog, response),
        baseOf(response),
        orderBy(request.params.token),
        request.query.new === '1',
      ),
    );
  });
  /** The simulated card: the shopper says what it does. */
  router.post('/order/:token/card', slowly, read, (request, response, next) => {
    const order = orderBy(String(request.params.token));
    const by = { catalog, userId: null, origin: originNow() };
    const does = textOf((request.body as Record<string, unknown>).does);
    void catalog.writes
      .shared(() => {
        if (stateOf(catalog, order).isPaid) return;
        if (does === 'accept') markPaid(by, order.id, 'Card (simulated)');
        else if (does === 'decline') markDeclined(by, order.id, 'The card was declined. Nothing was paid.');
        else markDeclined(by, order.id, 'The card did not answer in time. Nothing was paid.');
      })
      .then(() => response.redirect(303, `${baseOf(response)}/order/${order.token}?new=1`))
      .catch(next);
  });
  router.get('/order/:token/invoice', (request, response) => {
    const order = orderBy(request.params.token);
    if (!stateOf(catalog, order).isPaid) throw notFound(refusals.isNotPaid);
    hidden(response)
      .type('html')
      .send(invoiceHtml(catalog, order, dayWords(catalog.live.shop.inLanguage(order.body.locale), order.at)));
  });
  router.get('/order/:token/invoice.pdf', (request, response, next) => {
    const order = orderBy(request.params.token);
    if (!stateOf(catalog, order).isPaid) throw notFound(refusals.isNotPaid);
    hidden(response).type('pdf').attachment(`invoice-${order.number}.pdf`);
    response.set('Content-Disposition', `inline; filename="invoice-${order.number}.pdf"`);
    void invoicePdf(catalog, order, dayWords(catalog.live.shop.inLanguage(order.body.locale), order.at)).then(
      (pdf) => pdf.pipe(response),
      next,
    );
  });
  router.get('/download/:token', slowly, (request, response) => {
    const row = readDownload(catalog.db, String(request.params.token));
    const isOver = row?.until && Date.parse(row.until) <= catalog.now * 1_000;
    const file = row && catalog.working.products.get(row.productId)?.files.find(({ id }) => id === row.fileId);
    const live = row && catalog.live.shop.products.get(row.productId)?.files.find(({ id }) => id === row.fileId);
    const found = live ?? file;
    if (!row || isOver || !found) throw notFound(refusals.noSuchDownload);
    if (row.most !== null && row.fetched >= row.most) throw notFound(refusals.downloadsUsed);
    noteFetched(catalog.db, row.token);
    hidden(response).set('Content-Security-Policy', 'sandbox').attachment(found.name).type('application/octet-stream');
    response.sendFile(filePath(catalog.filesFolder, found.content));
  });
  return router;
}
