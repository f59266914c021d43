import type { Offer } from '../core/model/offer';
import { newOffer } from '../core/model/offer';
import { emptyBasket, entryKey, type BasketContents } from '../core/model/basket';
import type { ProductDocument } from '../core/model/document';
import type { OrderBody, OrderLine } from '../core/model/shop-order';
import type { Rule } from '../core/model/rule';
import { noTaxSettings, usualSelling, type Selling, type TaxSettings } from '../core/model/selling';
import { taxesOf } from '../core/pricing/tax';
import { localOfMoment, momentFromLocal } from '../core/shared/moment';
import { variantName } from '../core/products/variants';
import { placeOrder } from '../server/orders/checkout';
import { cancel, markPaid, markSent, refund } from '../server/orders/order-steps';
import { checkoutOf, seenOf } from '../core/orders/order-of-basket';
import { newId } from '../server/shared/ids';
import type { Catalog } from '../server/state/catalog';
import { addCode, putOffer } from '../server/store/offers';
import { addEvent, insertOrder, nextNumber, type OrderRow } from '../server/store/shop-orders';
import { seeded, seedOf } from './random';
import type { Sale } from '../server/orders/sales';

const DAY = 86_400_000;

export const selling: Selling = {
  ...usualSelling,
  country: 'NL',
  countries: ['NL', 'BE', 'DE', 'FR', 'CH'],
  terms: 'I have read the terms, and know that I can send things back for 30 days.',
  delivery: [
    {
      id: 'dlv_parcelhome',
      name: 'Parcel',
      words: 'Two working days, to your door.',
      isOn: true,
      isCollected: false,
      countries: ['NL'],
      by: 'weight',
      steps: [
        { upTo: 5_000, price: 495 },
        { upTo: 20_000, price: 995 },
      ],
      freeFrom: 6_000,
      largest: null,
    },
    {
      id: 'dlv_parcelabroad',
      name: 'Parcel abroad',
      words: 'Three to five working days.',
      isOn: true,
      isCollected: false,
      countries: ['BE', 'DE', 'FR', 'CH'],
      by: 'weight',
      steps: [
        { upTo: 2_000, price: 895 },
        { upTo: 10_000, price: 1_495 },
      ],
      freeFrom: 12_000,
      largest: null,
    },
    {
      id: 'dlv_letterpost',
      name: 'Letter',
      words: 'For line, cloth and small parts: up to a quarter of a kilo, without tracking.',
      isOn: true,
      isCollected: false,
      countries: ['NL'],
      by: 'weight',
      steps: [{ upTo: 250, price: 275 }],
      freeFrom: null,
      largest: { length: 380, width: 265, height: 32 },
    },
    {
      id: 'dlv_collected',
      name: 'Collected at the harbour',
      words: 'Harbour quay 4, Windhaven. Wednesday to Saturday, from ten to five.',
      isOn: true,
      isCollected: true,
      countries: ['NL'],
      by: 'pieces',
      steps: [{ upTo: null, price: 0 }],
      freeFrom: null,
      largest: null,
    },
  ],
  payments: [
    {
      id: 'pay_transfer01',
      kind: 'transfer',
      name: 'Bank transfer',
      words: 'Please pay to NL00 KITE 0000 0000 00 with the number of your order. We send as soon as it is there.',
      isOn: true,
      fee: 0,
    },
    {
      id: 'pay_simcard001',
      kind: 'card',
      name: 'Card (simulated)',
      words: 'No real card is asked for.',
      isOn: true,
      fee: 0,
    },
    {
      id: 'pay_collected1',
      kind: 'onCollection',
      name: 'When you collect it',
      words: 'In cash or by card at our counter.',
      isOn: true,
      fee: 0,
    },
  ],
};

export const tax: TaxSettings = {
  ...noTaxSettings,
  zones: [
    { id: 'z_belgium00', countries: ['BE'], prices: 'same', rates: [{ from: null, standard: 2_100, reduced: 600 }] },
    { id: 'z_germany00', countries: ['DE'], prices: 'same', rates: [{ from: null, standard: 1_900, reduced: 700 }] },
    { id: 'z_france000', countries: ['FR'], prices: 'same', rates: [{ from: null, standard: 2_000, reduced: 550 }] },
    { id: 'z_swiss0000', countries: ['CH'], prices: 'added', rates: [{ from: null, standard: 0, reduced: 0 }] },
  ],
};

interface Ids {
  tag: (name: string) => string;
  category: (name: string) => string;
  brand: (name: string) => string;
  product: (title: string) => ProductDocument;
}

/** Offers that run, that come and that are over; one is held at the floor, and two meet. */
export function putOffers({ db, working }: Catalog, ids: Ids, now: number): void {
  const zone = working.shop.settings.timeZone;
  /** midnight of the shop's zone, so many days from now */
  const day = (days: number) =>
    momentFromLocal(`${localOfMoment(new Date(now + days * DAY).toISOString(), zone).slice(0, 10)}T00:00`, zone)!;
  const offer = (name: string, fields: Partial<Offer>): Offer => ({
    ...newOffer(newId('offer'), name),
    isOn: true,
    ...fields,
  });
  const of = (field: string, id: string) => ({ field, is: 'anyOf' as const, value: [id] });
  const rule = (...conditions: Rule['of']) => ({
    how: 'rule' as const,
    rule: { match: 'all' as const, of: conditions },
  });
  const lightWind = offer('Light-wind days', {
    goods: rule(of('tag', ids.tag('light wind'))),
    action: { does: 'percent', off: 1_500 },
    needsCode: true,
    from: day(-20),
    until: day(25),
    uses: 100,
    usesPerShopper: 1,
  });
  const spare = ids.product('Swivel clips');
  const offers = [
    offer('Norrwind week', {
      goods: rule(of('brand', ids.brand('Norrwind')), { field: 'price', is: 'above', value: 2_000 }),
      action: { does: 'percent', off: 1_000 },
      from: day(-3),
      until: day(11),
      floor: 2_500,
    }),
    offer('Three tails for two', {
      goods: rule(of('category', ids.category('Tails & windsocks'))),
      action: { does: 'nForM', take: 3, pay: 2 },
      from: day(-30),
      until: day(60),
    }),
    lightWind,
    offer('Free delivery for clubs', { goods: { how: 'all' }, action: { does: 'freeDelivery' }, subtotal: 15_000 }),
    offer('More line, less to pay', {
      goods: rule(of('category', ids.category('Line'))),
      action: {
        does: 'ladder',
        steps: [
          { from: 3, off: 500 },
          { from: 6, off: 1_000 },
          { from: 12, off: 1_500 },
        ],
      },
      stacks: true,
    }),
    offer('Winter workshop: spars', {
      goods: rule(of('category', ids.category('Spars'))),
      action: { does: 'costPlus', plus: 4_000 },
      from: day(18),
      until: day(60),
    }),
    offer('Clear the loft', {
      goods: rule(of('category', ids.category('Indoor gliders'))),
      action: { does: 'percent', off: 6_500 },
      from: day(-2),
      until: day(5),
    }),
    offer('Clips with a large kite', {
      goods: rule(of('tag', ids.tag('large'))),
      action: { does: 'gift', productId: spare.id, variantId: spare.variants[0]!.id },
      isOn: false,
    }),
    offer('Autumn gales', {
      goods: rule(of('tag', ids.tag('windy'))),
      action: { does: 'amount', off: 500, per: 'piece' },
      from: day(-70),
      until: day(-35),
    }),
  ];
  for (const each of offers) putOffer(db, each);
  const code = { offerId: lightWind.id, uses: null, note: '', created: new Date(now - 20 * DAY).toISOString() };
  addCode(db, { ...code, code: 'LIGHTWIND15' });
  addCode(db, { ...code, code: 'BEACHFRIENDS', note: 'for the club' });
}

const people = [
  ['Noor Visser', 'noor@example.com', 'Dijkweg 12', '4331 AA', 'Middelburg', 'NL'],
  ['Tomas Lind', 'tomas@example.com', 'Kadestraat 3', '1781 AB', 'Den Helder', 'NL'],
  ['Ilse Moens', 'ilse@example.com', 'Zeelaan 40', '8400', 'Oostende', 'BE'],
  ['Jonas Feld', 'jonas@example.com', 'Am Deich 7', '26548', 'Norderney', 'DE'],
  ['Mads Holm', 'mads@example.com', 'Duinpad 22', '1791 AC', 'Den Burg', 'NL'],
  ['Lea Fontaine', 'lea@example.com', 'Rue du Phare 5', '62600', 'Berck', 'FR'],
] as const;

function lineOf(
  product: ProductDocument,
  variant: ProductDocument['variants'][number],
  quantity: number,
): Omit<OrderLine, 'rate' | 'tax'> {
  return {
    key: variant.id,
    productId: product.id,
    variantId: variant.id,
    kind: product.kind,
    sku: variant.sku,
    title: product.title,
    variant: variantName(product.options, variant),
    parts: [],
    takes: [{ productId: product.id, variantId: variant.id, quantity: 1 }],
    isSent: product.kind === 'physical',
    quantity,
    list: variant.price,
    unit: variant.price,
    reductions: [],
    total: variant.price * quantity,
  };
}

/** Part of the sales of the last year as orders of this shop; the rest went over the counter. */
export function putPastOrders({ db, live }: Catalog, sales: readonly Sale[]): void {
  const random = seeded(seedOf('past orders'));
  const own = sales.filter(() => random() < 0.06).sort((a, b) => a.day - b.day);
  const { settings } = live.shop;
  db.transaction(() => {
    for (let i = 0; i < own.length;) {
      const some = own.slice(i, i + 1 + Math.floor(random() * 3));
      i += some.length;
      const plain = some.flatMap(({ productId, pieces }) => {
        const product = live.shop.products.get(productId);
        const variant = product?.variants[Math.floor(random() * product.variants.length)];
        return product && variant && product.kind !== 'giftCard' ? [lineOf(product, variant, pieces)] : [];
      });
      if (plain.length === 0) continue;
      const rate = settings.taxRate;
      const [name, email, street, postcode, city, country] = people[Math.floor(random() * people.length)]!;
      const goods = plain.reduce((sum, { total }) => sum + total, 0);
      const delivery = goods >= 6_000 ? 0 : 495;
      const { each, sums } = taxesOf(
        [...plain.map(({ total }) => ({ amount: total, rate })), { amount: delivery, rate }],
        true,
      );
      const at = new Date(some.at(-1)!.day * 1_000 + Math.floor(random() * 80_000) * 1_000);
      const body: OrderBody = {
        contact: { email, name, phone: '' },
        address: { street, more: '', postcode, city, country },
        country,
        note: '',
        lines: plain.map((line, at2) => ({ ...line, rate, tax: each[at2]! })),
        used: [],
        delivery: { name: 'Parcel', price: delivery, isCollected: false },
        payment: { name: 'Bank transfer', kind: 'transfer', words: '', fee: 0 },
        giftCards: [],
        goods,
        taxIncluded: true,
        taxes: sums,
        exemptWords: '',
        total: goods + delivery,
        due: goods + delivery,
        currency: settings.currency,
        locale: settings.locale,
      };
      const row: OrderRow = {
        id: newId('order'),
        number: nextNumber(db),
        token: newId('order') + newId('order'),
        attempt: newId('order'),
        at: at.toISOString(),
        shopper: email,
        name,
        status: 'sent',
        total: body.total,
        body,
      };
      insertOrder(db, row);
      const later = (days: number) => new Date(at.getTime() + days * DAY).toISOString();
      addEvent(db, row.id, at.toISOString(), null, { what: 'placed' });
      addEvent(db, row.id, later(1), null, { what: 'paid', amount: body.due, how: 'Bank transfer' });
      const lines = body.lines.flatMap(({ key, quantity, isSent }) => (isSent ? [{ key, quantity }] : []));
      if (lines.length > 0) addEvent(db, row.id, later(2), null, { what: 'sent', lines, tracking: '' });
    }
  })();
}

/** Orders of the last days in every state, placed as shoppers place them. */
export function placeOrders(catalog: Catalog, ids: Ids, userId: string): void {
  const origin = 'https://larkandline.example';
  const order = (who: number, titles: readonly (readonly [string, number])[], paymentId = 'pay_transfer01') => {
    const [name, email, street, postcode, city, country] = people[who]!;
    const entries = titles.map(([title, quantity]) => {
      const product = ids.product(title);
      const stocked =
        product.variants.find(({ id }) => (catalog.live.shop.stock(id) ?? 99) >= quantity) ?? product.variants[0]!;
      const base = { productId: product.id, variantId: stocked.id, parts: [], value: null };
      return { ...base, key: entryKey(base), quantity, seen: null };
    });
    const contents: BasketContents = { ...emptyBasket, entries, country };
    const shopper = { codes: new Map<string, string>(), isFirstOrder: null, usesLeft: () => Infinity };
    const { basket } = checkoutOf(catalog.live.shop, contents, shopper, [], paymentId);
    return placeOrder(
      catalog,
      catalog.live.shop,
      contents,
      {
        email,
        name,
        phone: '',
        street,
        more: '',
        postcode,
        city,
        country,
        note: '',
        deliveryId: basket.delivery?.option.id ?? '',
        paymentId,
        agrees: true,
        attempt: `demo${newId('order')}`,
        seen: seenOf(basket),
      },
      origin,
    );
  };
  const by = { catalog, userId, origin };
  const all = ({ body }: OrderRow) =>
    body.lines.flatMap(({ key, quantity, isSent }) => (isSent ? [{ key, quantity }] : []));
  order(0, [
    ['Harrier delta 180', 1],
    ['Braided line', 1],
  ]);
  const paid = order(1, [
    ['Petrel delta 240', 1],
    ['Harbour windsock', 2],
  ]);
  markPaid(by, paid.id, 'Bank transfer');
  const part = order(3, [
    ['Skua dual-line foil', 1],
    ['Glow tail 4 m', 3],
  ]);
  markPaid(by, part.id, 'Bank transfer');
  markSent(by, part.id, { lines: all(part).slice(0, 1), tracking: 'LL 4471 0093' });
  const sent = order(2, [['Bowed diamond 140', 1]]);
  markPaid(by, sent.id, 'Bank transfer');
  markSent(by, sent.id, { lines: all(sent), tracking: 'LL 4471 0101' });
  const back = order(4, [
    ['Glow tail 4 m', 2],
    ['Braided line', 2],
  ]);
  markPaid(by, back.id, 'Bank transfer');
  markSent(by, back.id, { lines: all(back), tracking: 'LL 4471 0107' });
  refund(by, back.id, {
    lines: all(back)
      .slice(0, 1)
      .map((line) => ({ ...line, quantity: 1 })),
    amount: null,
    restocked: true,
    reason: 'One tail came torn.',
  });
  const off = order(5, [['Harbour windsock', 1]]);
  cancel(by, off.id, 'Ordered twice by mistake.');
  const card = order(0, [['Gift card', 1]], 'pay_simcard001');
  markPaid(by, card.id, 'Card (simulated)');
  const plan = order(1, [[planTitle(catalog), 1]], 'pay_simcard001');
  markPaid(by, plan.id, 'Card (simulated)');
}

/** A build plan of the shop: what is downloaded. */
const planTitle = ({ live }: Catalog) =>
  [...live.shop.products.values()].find(
    ({ kind, files }) => kind === 'digital' && files.some(({ role }) => role === 'download'),
  )!.title;
