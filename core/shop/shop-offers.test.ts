import fc from 'fast-check';
import { collectionDefaults } from '../model/group';
import { NEWEST_FIRST } from '../model/order';
import { newOffer, type Offer, type OfferGoods } from '../model/offer';
import { EMPTY_RULE, type Rule } from '../model/rule';
import { productDefaults, variantDefaults } from '../model/product';
import type { ProductDocument, ShopDocument } from '../model/document';
import { emptySettings } from '../model/settings';
import { list } from '../search/listing';
import { ResolvedShop } from './resolved-shop';

const START = Date.parse('2027-03-01T00:00:00Z') / 1_000;
const DAY = 86_400;
const iso = (at: number) => new Date(at * 1_000).toISOString();

function product(i: number, price: number, more: Partial<ProductDocument> = {}): ProductDocument {
  const variant = (at: number) => ({
    ...variantDefaults,
    id: `v_${String(i).padStart(4, '0')}${at}0`,
    values: [],
    sku: '',
    price: price + at * 100,
    salePrice: null,
    cost: Math.round(price / 2),
    pictureId: null,
  });
  return {
    ...productDefaults,
    id: `p_${String(i).padStart(6, '0')}`,
    kind: 'physical',
    title: `Kite ${i}`,
    slug: `kite-${i}`,
    summary: '',
    description: '',
    status: 'live',
    brandId: null,
    specSheetId: null,
    categoryIds: [],
    tagIds: [],
    pictures: [],
    options: [],
    variants: [variant(0), variant(1)],
    created: iso(START - i * DAY),
    ...more,
  } as unknown as ProductDocument;
}
const priceAbove = (value: number): Rule => ({ match: 'all', of: [{ field: 'price', is: 'above', value }] });
const offer = (i: number, more: Partial<Offer>): Offer => ({
  ...newOffer(`a_${String(i).padStart(6, '0')}`, `Offer ${i}`),
  isOn: true,
  goods: { how: 'all' },
  ...more,
});

const documentsOf = (kind: string, all: readonly { id: string }[]) =>
  all.map((body) => ({ kind, key: body.id, body }) as unknown as ShopDocument);
function shopOf(products: ProductDocument[], offers: Offer[], now: number, rest: ShopDocument[] = []) {
  const shop = new ResolvedShop({ stock: () => 5, now });
  shop.load([
    { kind: 'settings', key: 'shop', body: { ...emptySettings, timeZone: 'UTC' } },
    ...rest,
    ...documentsOf('offer', offers),
    ...documentsOf('product', products),
  ]);
  return shop;
}

const goods = Array.from({ length: 12 }, (_, i) => product(i, 1_000 + i * 250));
const ids = goods.map(({ id }) => id);

/** All that shoppers could notice of prices, by product. */
function told(shop: ResolvedShop) {
  const result = (sort: string, onSale: boolean) =>
    list(shop.index, {
      text: undefined,
      choices: onSale ? [{ facet: 'onSale', values: ['yes'], onVariant: true }] : [],
      ranges: [],
      sort,
      tieOrder: 'featured',
      offset: 0,
      limit: 100,
      count: [],
      extent: [],
    });
  const order = (sort: string) => shop.index.order(sort)!.slots();
  return {
    facts: ids.map((id) => shop.facts(id)),
    prices: goods.map((each) => each.variants.map((variant) => shop.price(each, variant))),
    up: [...order('price-up')].map((slot) => shop.index.id(slot)),
    top: [...order('price-top')].map((slot) => shop.index.id(slot)),
    columns: ids.map((id) => shop.index.column('price')[shop.index.slot(id)!]),
    margins: ids.map((id) => shop.index.column('margin')[shop.index.slot(id)!]),
    reduced: result('price-up', true).total,
  };
}

test('an offer begins and ends on its second, and its goods are reduced and sorted by it meanwhile', () => {
  const half = offer(1, {
    action: { does: 'percent', off: 5_000 },
    goods: { how: 'rule', rule: priceAbove(3_000) },
    floor: 0,
    from: iso(START + 100),
    until: iso(START + 200),
  });
  const shop = shopOf(goods, [half], START);
  const before = told(shop);
  shop.take({ now: START + 99 });
  expect(told(shop)).toEqual(before);
  shop.take({ now: START + 100 });
  const during = told(shop);
  expect(during.reduced).toBe(3);
  // The floor is their cost with tax: 1,625 and a fifth.
  expect(shop.facts(ids[11]!)!.price).toBeGreaterThan(1_900);
  expect(during).toEqual(told(shopOf(goods, [half], START + 100)));
  shop.take({ now: START + 200 });
  expect(told(shop)).toEqual(before);
});

test('the rule of an offer is asked of prices before offers, and collections follow the prices after them', () => {
  const cheap = {
    ...collectionDefaults,
    id: 'k_000001',
    name: 'Cheap',
    slug: 'cheap',
    source: 'rule' as const,
    picked: [],
    order: NEWEST_FIRST,
    rule: { match: 'all' as const, of: [{ field: 'price', is: 'below' as const, value: 2_000 }] },
  };
  const on = { field: 'collection', is: 'anyOf' as const, value: [cheap.id] };
  const offers = [
    offer(1, { action: { does: 'price', price: 1_500 }, goods: { how: 'rule', rule: priceAbove(3_000) }, floor: null }),
    offer(2, { action: { does: 'percent', off: 1_000 }, goods: { how: 'rule', rule: { match: 'all', of: [on] } } }),
  ];
  const settings = { ...emptySettings, timeZone: 'UTC', offers: { floor: null, rounding: null } };
  const shop = shopOf(goods, offers, START, [
    { kind: 'settings', key: 'shop', body: settings },
    { kind: 'collection', key: cheap.id, body: cheap },
  ]);
  const dear = ids[11]!;
  expect(shop.facts(dear)!.price).toBe(1_500);
  // It is cheap now, and so in the collection; the offer on the collection asks what it was before.
  expect(shop.memberships.of(cheap.id, START).has(shop.index.slot(dear)!)).toBe(true);
  expect(shop.offersOf(dear).map(({ id }) => id)).toEqual([offers[0]!.id]);
  expect(shop.offersOf(ids[0]!).map(({ id }) => id)).toEqual([offers[1]!.id]);
  // Without the collection, nobody is in it.
  shop.take({ documents: [{ kind: 'collection', key: cheap.id, body: undefined }] });
  expect(shop.offersOf(ids[0]!)).toEqual([]);
});

test('weekdays and hours hold in the zone of the shop', () => {
  const mondays = offer(1, {
    action: { does: 'percent', off: 1_000 },
    weekdays: [1],
    hours: { from: 10 * 60, until: 12 * 60 },
  });
  // 1 March 2027 is a Monday.
  const shop = shopOf(goods, [mondays], START);
  const at = (hours: number) => {
    shop.take({ now: START + hours * 3_600 });
    return shop.offersOf(ids[0]!).length;
  };
  expect([9.9, 10, 11.99, 12, 24 + 10.5, 7 * 24 + 10.5].map(at)).toEqual([0, 1, 1, 0, 0, 1]);
});

const momentArbitrary = fc.option(fc.integer({ min: 0, max: 6 }).map((days) => iso(START + days * DAY)));
const rulesArbitrary: fc.Arbitrary<OfferGoods> = fc.oneof<fc.Arbitrary<OfferGoods>[]>(
  fc.constant({ how: 'all' as const }),
  fc.integer({ min: 0, max: 5_000 }).map((value) => ({ how: 'rule' as const, rule: priceAbove(value) })),
  fc.integer({ min: 1, max: 9 }).map((days) => ({
    how: 'rule' as const,
    rule: { match: 'all' as const, of: [{ field: 'created', is: 'inLast' as const, value: days }] },
  })),
  fc.constant({
    how: 'rule' as const,
    rule: { match: 'all' as const, of: [{ field: 'onSale', is: 'no' as const, value: null }] },
  }),
  fc.subarray(ids).map((some) => ({ how: 'picked' as const, ids: some })),
  fc.constant({ how: 'rule' as const, rule: EMPTY_RULE }),
);
const offerArbitrary = fc.record({
  goods: rulesArbitrary,
  action: fc.oneof(
    fc.record({ does: fc.constant('percent' as const), off: fc.integer({ min: 100, max: 9_000 }) }),
    fc.record({ does: fc.constant('costPlus' as const), plus: fc.integer({ min: 0, max: 9_000 }) }),
  ),
  from: momentArbitrary,
  until: momentArbitrary,
  weekdays: fc.subarray([1, 2, 3, 4, 5, 6, 7], { maxLength: 3 }),
  stacks: fc.boolean(),
  priority: fc.integer({ min: 0, max: 2 }),
  isOn: fc.boolean(),
});
const stepArbitrary = fc.oneof(
  fc.record({ what: fc.constant('time' as const), to: fc.integer({ min: 0, max: 8 * 24 }) }),
  fc.record({
    what: fc.constant('offer' as const),
    at: fc.integer({ min: 0, max: 3 }),
    offer: fc.option(offerArbitrary),
  }),
  fc.record({
    what: fc.constant('price' as const),
    at: fc.integer({ min: 0, max: 11 }),
    price: fc.integer({ min: 100, max: 9_000 }),
  }),
  fc.record({ what: fc.constant('gone' as const), at: fc.integer({ min: 0, max: 11 }) }),
  fc.constant({ what: 'copy' as const }),
);

test('whatever changes, and however the clock goes, a shop tells the prices that a fresh start tells', () => {
  fc.assert(
    fc.property(
      fc.array(offerArbitrary, { maxLength: 3 }),
      // Whether anybody looks after a step: what nobody looked at must not be missed later.
      fc.array(fc.tuple(stepArbitrary, fc.boolean()), { maxLength: 10 }),
      (first, steps) => {
        const offers = new Map(first.map((each, i) => [i, offer(i, each)]));
        const current = new Map(goods.map((each) => [each.id, each]));
        let now = START;
        let shop = shopOf(goods, [...offers.values()], now);
        for (const [i, [step, isSeen]] of steps.entries()) {
          if (step.what === 'copy') {
            const copied = shop;
            shop = new ResolvedShop({ stock: () => 5, now });
            shop.copyFrom(copied);
          } else if (step.what === 'time') shop.take({ now: (now = START + step.to * 3_600) });
          else if (step.what === 'offer') {
            const body = step.offer ? offer(step.at, step.offer) : undefined;
            if (body) offers.set(step.at, body);
            else offers.delete(step.at);
            shop.take({ documents: [{ kind: 'offer', key: offer(step.at, {}).id, body }] });
          } else {
            const id = ids[step.at]!;
            const body = step.what === 'gone' ? undefined : product(step.at, step.price);
            if (body) current.set(id, body);
            else current.delete(id);
            shop.take({ documents: [{ kind: 'product', key: id, body }] });
          }
          if (!isSeen && i < steps.length - 1) continue;
          const fresh = shopOf([...current.values()], [...offers.values()], now);
          for (const [id, each] of current) {
            expect(shop.facts(id)).toEqual(fresh.facts(id));
            expect(each.variants.map((variant) => shop.price(each, variant))).toEqual(
              each.variants.map((variant) => fresh.price(each, variant)),
            );
            expect(shop.index.column('price')[shop.index.slot(id)!]).toBe(
              fresh.index.column('price')[fresh.index.slot(id)!],
            );
            expect(shop.index.posting('onSale', 'yes')?.has(shop.index.slot(id)!) ?? false).toBe(
              fresh.index.posting('onSale', 'yes')?.has(fresh.index.slot(id)!) ?? false,
            );
          }
          for (const sort of ['price-up', 'price-down', 'price-top'])
            expect([...shop.index.order(sort)!.slots()].map((slot) => shop.index.id(slot))).toEqual(
              [...fresh.index.order(sort)!.slots()].map((slot) => fresh.index.id(slot)),
            );
        }
      },
    ),
    { numRuns: 120 },
  );
});
