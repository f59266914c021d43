import fc from 'fast-check';
import { newOffer, type Offer } from '../../model/offer';
import type { OfferAction } from '../../model/offer-action';
import { noTaxSettings } from '../../model/selling';
import { byPriority, lowestUnder } from '../offered-price';
import { taxOfCountry, type TaxOfShop } from '../tax';
import { priceBasket } from './basket';
import type { BasketInput, BasketLine, BasketPrice } from './basket-terms';

const line = (key: string, list: number, quantity = 1, more: Partial<BasketLine> = {}): BasketLine => ({
  key,
  productId: `p_${key}`,
  variantId: `v_${key}`,
  quantity,
  list,
  sale: null,
  saleUntil: null,
  quantityPrices: [],
  cost: null,
  taxClass: 'standard',
  isGiftCard: false,
  ...more,
});
let made = 0;
const offer = (action: OfferAction, more: Partial<Offer> = {}): Offer => ({
  ...newOffer(`o_${String(++made).padStart(6, '0')}`, 'Offer'),
  isOn: true,
  goods: { how: 'all' },
  action,
  ...more,
});
const dutch: TaxOfShop = { taxRate: 2_100, reducedTaxRate: 900, taxIncluded: true, tax: noTaxSettings };
const basket = (lines: BasketLine[], offers: Offer[] = [], more: Partial<BasketInput> = {}): BasketPrice =>
  priceBasket({
    lines,
    offers: [...offers].sort(byPriority),
    takes: ({ goods }, { productId }) =>
      goods.how === 'all' || (goods.how === 'picked' && goods.ids.includes(productId)),
    codes: new Map(),
    country: 'NL',
    isFirstOrder: null,
    usesLeft: () => Infinity,
    terms: { floor: 0, rounding: null },
    tax: taxOfCountry(dutch, 'NL', 0),
    delivery: null,
    fee: 0,
    ...more,
  });
const totals = (price: BasketPrice) => price.lines.map(({ total }) => total);

describe('what comes off', () => {
  test('of each three pieces the cheapest is free, the dear ones grouped with the dear ones', () => {
    const threeForTwo = offer({ does: 'nForM', take: 3, pay: 2 });
    expect(totals(basket([line('a', 1_000, 2), line('b', 400, 2)], [threeForTwo]))).toEqual([2_000, 400]);
    expect(totals(basket([line('a', 1_000, 3), line('b', 400, 3)], [threeForTwo]))).toEqual([2_000, 800]);
    expect(basket([line('a', 1_000, 2)], [threeForTwo])).toMatchObject({
      goods: 2_000,
      used: [],
      refused: [{ why: 'nothingOff' }],
    });
  });

  test('what costs nothing to get may be given away, for a plain nothing', () => {
    expect(basket([line('a', 1, 1, { cost: 0 })], [offer({ does: 'costPlus', plus: 0 }, { pieces: 1 })])).toMatchObject(
      {
        lines: [{ total: 0 }],
        goods: 0,
      },
    );
  });

  test('the cheapest or the dearest of some is reduced', () => {
    const lines = [line('a', 1_000), line('b', 400)];
    expect(totals(basket(lines, [offer({ does: 'oneOf', of: 2, which: 'cheapest', off: 5_000 })]))).toEqual([
      1_000, 200,
    ]);
    expect(totals(basket(lines, [offer({ does: 'oneOf', of: 2, which: 'dearest', off: 5_000 })]))).toEqual([500, 400]);
  });

  test('some pieces together cost one price, to the cent', () => {
    const set = offer({ does: 'setPrice', pieces: 3, price: 1_000 });
    const price = basket([line('a', 700, 2), line('b', 333, 2)], [set]);
    expect(price.goods).toBe(1_000 + 333);
    expect(price.used).toMatchObject([{ off: 2 * 700 + 333 - 1_000 }]);
  });

  test('a ladder counts the pieces of all its goods', () => {
    const steps = [
      { from: 2, off: 500 },
      { from: 5, off: 1_000 },
    ];
    expect(basket([line('a', 1_000, 3), line('b', 500, 2)], [offer({ does: 'ladder', steps })]).goods).toBe(3_600);
    expect(basket([line('a', 1_000)], [offer({ does: 'ladder', steps })]).goods).toBe(1_000);
  });

  test('an amount off the order is parted among its goods, and what one has no room for comes off the others', () => {
    const tenOff = offer({ does: 'amount', off: 1_000, per: 'order' });
    expect(totals(basket([line('a', 3_000), line('b', 1_000)], [tenOff]))).toEqual([2_250, 750]);
    // The floor of a is 2,900 with tax, so that only 100 can come off.
    const lines = [line('a', 3_000, 1, { cost: 2_397 }), line('b', 3_000)];
    expect(totals(basket(lines, [tenOff]))).toEqual([2_901, 2_099]);
  });

  test('what stacks comes off one after another; what does not is taken where it is better', () => {
    const ten = offer({ does: 'percent', off: 1_000 }, { stacks: true, subtotal: 0 });
    const alsoTen = offer({ does: 'percent', off: 1_000 }, { stacks: true, subtotal: 0 });
    const fifteen = offer({ does: 'percent', off: 1_500 }, { subtotal: 0 });
    const half = offer({ does: 'percent', off: 5_000 }, { subtotal: 0 });
    expect(basket([line('a', 1_000)], [ten, alsoTen]).goods).toBe(810);
    expect(basket([line('a', 1_000)], [ten, alsoTen, fifteen])).toMatchObject({
      goods: 810,
      refused: [{ offerId: fifteen.id, why: 'better' }],
    });
    expect(basket([line('a', 1_000)], [ten, alsoTen, half])).toMatchObject({
      goods: 500,
      used: [{ offerId: half.id, off: 500 }],
    });
  });

  test('the floor of an offer holds while it is part of the price, whatever comes off after it', () => {
    const lines = [line('a', 1_000, 1, { cost: 500 })];
    const careful = offer({ does: 'percent', off: 2_000 }, { stacks: true, pieces: 1, floor: 2_000, priority: 20 });
    const bold = offer({ does: 'percent', off: 5_000 }, { stacks: true, pieces: 1, floor: 0 });
    // Cost and tax are 605; a fifth above that is 726.
    expect(totals(basket(lines, [careful, bold]))).toEqual([726]);
    expect(totals(basket(lines, [bold]))).toEqual([605]);
    const shown = offer({ does: 'percent', off: 2_000 }, { stacks: true, floor: 2_000, priority: 20 });
    expect(totals(basket(lines, [shown, bold]))).toEqual([726]);
  });

  test('two offers that do not stack each take their own goods', () => {
    const onA = offer({ does: 'percent', off: 2_000 }, { goods: { how: 'picked', ids: ['p_a'] }, subtotal: 0 });
    const onB = offer({ does: 'percent', off: 1_000 }, { goods: { how: 'picked', ids: ['p_b'] }, subtotal: 0 });
    expect(totals(basket([line('a', 1_000), line('b', 1_000)], [onA, onB]))).toEqual([800, 900]);
  });

  test('a sale that is lower than an offer stays; an offer that stacks comes off the sale price', () => {
    const onSale = [line('a', 1_000, 1, { sale: 800 })];
    expect(basket(onSale, [offer({ does: 'percent', off: 1_000 })]).lines[0]!.steps.map(({ what }) => what)).toEqual([
      'list',
      'sale',
    ]);
    expect(basket(onSale, [offer({ does: 'percent', off: 1_000 }, { stacks: true })]).goods).toBe(720);
    expect(
      basket(onSale, [offer({ does: 'percent', off: 3_000 })]).lines[0]!.steps.map(({ amount }) => amount),
    ).toEqual([1_000, 700]);
  });

  test('a gift card costs what it is worth', () => {
    const card = line('g', 5_000, 1, { isGiftCard: true });
    expect(basket([card], [offer({ does: 'percent', off: 5_000 })])).toMatchObject({
      goods: 5_000,
      taxes: [{ tax: 0 }],
    });
  });
});

describe('conditions', () => {
  const half = { does: 'percent', off: 5_000 } as const;
  test.each([
    ['too small a basket', { subtotal: 5_000 }, { why: 'subtotal', missing: 3_000 }],
    ['too few pieces', { pieces: 3 }, { why: 'pieces', missing: 1 }],
    ['another country', { countries: ['DE'] }, { why: 'country' }],
    ['nothing that it is for', { subtotal: 0, goods: { how: 'picked', ids: [] } }, { why: 'noGoods' }],
  ] as const)('%s is refused, and says what is missing', (_, more, refused) => {
    const price = basket([line('a', 1_000, 2)], [offer(half, more as Partial<Offer>)]);
    expect(price).toMatchObject({ goods: 2_000, refused: [refused] });
  });

  test('a code has to be typed, and a used up offer gives nothing', () => {
    const coded = offer(half, { needsCode: true });
    const lines = [line('a', 1_000)];
    expect(basket(lines, [coded])).toMatchObject({ goods: 1_000, refused: [] });
    const codes = new Map([[coded.id, 'KITE']]);
    expect(basket(lines, [coded], { codes })).toMatchObject({ goods: 500, used: [{ code: 'KITE' }] });
    expect(basket(lines, [coded], { codes, usesLeft: () => 0 })).toMatchObject({
      goods: 1_000,
      refused: [{ why: 'usedUp' }],
    });
  });

  test('the first order is believed until somebody is known', () => {
    const first = offer(half, { firstOrder: true });
    expect(basket([line('a', 1_000)], [first]).goods).toBe(500);
    expect(basket([line('a', 1_000)], [first], { isFirstOrder: false })).toMatchObject({
      refused: [{ why: 'firstOrder' }],
    });
  });
});

test('a gift joins, and delivery is free only where it costs something', () => {
  const gift = offer({ does: 'gift', productId: 'p_gift00', variantId: 'v_gift00' }, { subtotal: 500 });
  const free = offer({ does: 'freeDelivery' }, { subtotal: 500 });
  const price = basket([line('a', 1_000)], [gift, free], { delivery: 595 });
  expect(price).toMatchObject({ delivery: 0, total: 1_000 });
  expect(price.used.map(({ off, gift: given }) => [off, given?.productId])).toEqual(
    expect.arrayContaining([
      [595, undefined],
      [0, 'p_gift00'],
    ]),
  );
  expect(basket([line('a', 1_000)], [free]).refused).toMatchObject([{ why: 'noDelivery' }]);
});

describe('tax', () => {
  test('delivery is taxed as the goods are', () => {
    const lines = [line('a', 12_100), line('b', 10_900, 1, { taxClass: 'reduced' })];
    const { taxes, total } = basket(lines, [], { delivery: 230 });
    expect(total).toBe(23_230);
    expect(taxes.map(({ rate }) => rate)).toEqual([2_100, 900]);
    expect(taxes.reduce((sum, { net, tax }) => sum + net + tax, 0)).toBe(total);
  });

  test('where tax is added, the shop’s own comes off first', () => {
    const zones = [
      {
        id: 'z_000001',
        countries: ['CH'],
        prices: 'added' as const,
        rates: [{ from: null, standard: 810, reduced: 260 }],
      },
      {
        id: 'z_000002',
        countries: ['DE'],
        prices: 'same' as const,
        rates: [{ from: null, standard: 1_900, reduced: 700 }],
      },
    ];
    const shop = { ...dutch, tax: { ...noTaxSettings, zones } };
    const swiss = basket([line('a', 12_100)], [], { tax: taxOfCountry(shop, 'CH', 0) });
    expect(swiss).toMatchObject({ goods: 10_000, taxes: [{ net: 10_000, tax: 810 }], total: 10_810 });
    const german = basket([line('a', 11_900)], [], { tax: taxOfCountry(shop, 'DE', 0) });
    expect(german).toMatchObject({ goods: 11_900, taxes: [{ net: 10_000, tax: 1_900 }], total: 11_900 });
  });

  test('rates change on their day, and the exemption takes all of it away', () => {
    const changes = [{ from: '2027-01-01T00:00:00.000Z', standard: 2_300, reduced: 1_000 }];
    const shop = { ...dutch, tax: { ...noTaxSettings, changes } };
    const day = Date.parse(changes[0]!.from) / 1_000;
    expect([day - 1, day].map((now) => taxOfCountry(shop, 'NL', now).rate('standard'))).toEqual([2_100, 2_300]);
    expect(taxOfCountry({ ...shop, tax: { ...shop.tax, exempt: true } }, 'NL', day).rate('standard')).toBe(0);
  });
});

/* Laws over all baskets. */

const lineArbitrary = fc.record({
  list: fc.integer({ min: 1, max: 30_000 }),
  quantity: fc.integer({ min: 1, max: 12 }),
  sale: fc.option(fc.double({ min: 0.3, max: 0.99, noNaN: true })),
  cost: fc.option(fc.double({ min: 0, max: 1.2, noNaN: true })),
  taxClass: fc.constantFrom('standard', 'reduced', 'zero'),
  isGiftCard: fc.boolean(),
  tier: fc.option(fc.integer({ min: 2, max: 6 })),
});
const linesArbitrary = fc.array(lineArbitrary, { minLength: 1, maxLength: 6 }).map((lines) =>
  lines.map(({ sale, cost, tier, taxClass, isGiftCard, ...each }, i) =>
    line(`x${i}`, each.list, each.quantity, {
      sale: sale === null ? null : Math.min(each.list - 1, Math.floor(each.list * sale)),
      cost: cost === null ? null : Math.floor(each.list * cost),
      taxClass: taxClass,
      isGiftCard: isGiftCard && i === 0,
      quantityPrices: tier === null ? [] : [{ from: tier, off: 500 }],
    }),
  ),
);
const actionArbitrary: fc.Arbitrary<OfferAction> = fc.oneof(
  fc.record({ does: fc.constant('percent' as const), off: fc.integer({ min: 1, max: 10_000 }) }),
  fc.record({
    does: fc.constant('amount' as const),
    off: fc.integer({ min: 1, max: 20_000 }),
    per: fc.constantFrom('piece' as const, 'order' as const),
  }),
  fc.record({ does: fc.constant('price' as const), price: fc.integer({ min: 1, max: 20_000 }) }),
  fc.record({ does: fc.constant('costPlus' as const), plus: fc.integer({ min: 0, max: 8_000 }) }),
  fc.record({
    does: fc.constant('oneOf' as const),
    of: fc.integer({ min: 2, max: 4 }),
    which: fc.constantFrom('cheapest' as const, 'dearest' as const),
    off: fc.integer({ min: 1, max: 10_000 }),
  }),
  fc.integer({ min: 2, max: 5 }).chain((take) =>
    fc.record({
      does: fc.constant('nForM' as const),
      take: fc.constant(take),
      pay: fc.integer({ min: 1, max: take - 1 }),
    }),
  ),
  fc.record({
    does: fc.constant('setPrice' as const),
    pieces: fc.integer({ min: 2, max: 4 }),
    price: fc.integer({ min: 1, max: 30_000 }),
  }),
  fc.integer({ min: 2, max: 6 }).map((from) => ({ does: 'ladder' as const, steps: [{ from, off: 700 }] })),
  fc.constant({ does: 'freeDelivery' as const }),
);
const offersArbitrary = fc
  .array(
    fc.record({
      action: actionArbitrary,
      stacks: fc.boolean(),
      subtotal: fc.option(fc.integer({ min: 0, max: 20_000 })),
      priority: fc.integer({ min: 0, max: 3 }),
      floor: fc.option(fc.integer({ min: 0, max: 5_000 })),
      goods: fc.oneof(
        fc.constant({ how: 'all' as const }),
        fc.subarray(['p_x0', 'p_x1', 'p_x2', 'p_x3']).map((ids) => ({ how: 'picked' as const, ids })),
      ),
    }),
    { maxLength: 5 },
  )
  .map((offers) => offers.map((each) => offer(each.action, each)));
const taxArbitrary = fc.constantFrom(
  taxOfCountry(dutch, 'NL', 0),
  taxOfCountry({ ...dutch, taxIncluded: false }, 'NL', 0),
);
const extraArbitrary = fc.record({
  delivery: fc.option(fc.integer({ min: 0, max: 2_000 })),
  fee: fc.integer({ min: 0, max: 300 }),
  terms: fc.record({
    floor: fc.option(fc.integer({ min: 0, max: 3_000 })),
    rounding: fc.option(fc.constant({ step: 100, ending: 90, way: 'nearest' as const })),
  }),
  tax: taxArbitrary,
});

test('the total is the sum of what it tells: steps, reductions, delivery, fee and tax', () => {
  fc.assert(
    fc.property(linesArbitrary, offersArbitrary, extraArbitrary, (lines, offers, more) => {
      const price = basket(lines, offers, more);
      for (const each of price.lines) {
        expect(each.steps.at(-1)!.amount).toBe(each.unit);
        const off = each.reductions.reduce((sum, reduction) => sum + reduction.off, 0);
        expect(each.unit * each.quantity - off).toBe(each.total);
        expect(each.total).toBeGreaterThanOrEqual(0);
      }
      expect(price.goods).toBe(totals(price).reduce((sum, total) => sum + total, 0));
      const taxes = price.taxes.reduce((sum, { net, tax }) => sum + net + tax, 0);
      const before = price.goods + (price.delivery ?? 0) + price.fee;
      const added = price.taxIncluded ? 0 : price.taxes.reduce((sum, { tax }) => sum + tax, 0);
      expect(price.total).toBe(before + added);
      expect(taxes).toBe(price.total);
      const reduced = price.lines.flatMap(({ reductions }) => reductions).reduce((sum, { off }) => sum + off, 0);
      const told = price.used.filter(
        ({ offerId }) => offers.find(({ id }) => id === offerId)!.action.does !== 'freeDelivery',
      );
      expect(told.reduce((sum, { off }) => sum + off, 0)).toBe(reduced);
    }),
    { numRuns: 600 },
  );
});

test('no offer takes a line below its floor, nor makes it dearer than without offers', () => {
  fc.assert(
    fc.property(linesArbitrary, offersArbitrary, extraArbitrary, (lines, offers, more) => {
      const price = basket(lines, offers, more);
      const without = basket(lines, [], more);
      price.lines.forEach((each, i) => {
        const before = without.lines[i]!.total;
        const from = lines[i]!;
        if (each.total >= before) return;
        const used = offers.filter(
          ({ id }) =>
            each.reductions.some(({ offerId }) => offerId === id) ||
            each.steps.some((step) => step.what === 'offer' && step.offerId === id),
        );
        const terms = { ...more.terms, taxRate: more.tax.rate(from.taxClass), taxIncluded: more.tax.included };
        // Prices for quantities are the seller's own, and come off what an offer made.
        const tier = each.steps.some(({ what }) => what === 'quantity') ? 0.95 : 1;
        for (const one of used)
          expect(each.total).toBeGreaterThanOrEqual(
            Math.floor(lowestUnder(one, from.cost, terms) * tier) * from.quantity,
          );
        expect(each.total).toBeLessThanOrEqual(before);
      });
      expect(price.goods).toBeLessThanOrEqual(without.goods);
    }),
    { numRuns: 600 },
  );
});

test('in which order lines stand makes no difference to what is paid', () => {
  fc.assert(
    fc.property(linesArbitrary, offersArbitrary, (lines, offers) => {
      expect(Math.abs(basket([...lines].reverse(), offers).total - basket(lines, offers).total)).toBeLessThanOrEqual(
        // A cent that cannot be parted may fall to another line, and so above or below its floor.
        offers.length * lines.length,
      );
    }),
  );
});

test('tax of each rate is that of exact fractions, rounded once, and its lines add up to it', () => {
  fc.assert(
    fc.property(linesArbitrary, extraArbitrary, (lines, more) => {
      const price = basket(lines, [], more);
      for (const { rate, net, tax } of price.taxes) {
        const gross = BigInt(net + (more.tax.included ? tax : 0));
        const [over, under] = more.tax.included
          ? [gross * BigInt(rate), BigInt(10_000 + rate)]
          : [BigInt(net) * BigInt(rate), 10_000n];
        const twice = 2n * over - 2n * BigInt(tax) * under;
        expect(twice <= under && twice >= -under).toBe(true);
      }
    }),
  );
});
