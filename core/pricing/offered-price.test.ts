import { newOffer, type Offer } from '../model/offer';
import type { OfferAction } from '../model/offer-action';
import { byPriority, isCatalogOffer, lowestUnder, offeredPrice, tryOffer, type OfferTerms } from './offered-price';

const terms: OfferTerms = { floor: null, rounding: null, taxRate: 2_500, taxIncluded: true };
const offer = (action: OfferAction, more: Partial<Offer> = {}): Offer => ({
  ...newOffer('o_000001', 'Offer'),
  isOn: true,
  goods: { how: 'all' },
  action,
  ...more,
});
const tenth = { does: 'percent', off: 1_000 } as const;

test.each([
  ['a code', { needsCode: true }],
  ['a first order', { firstOrder: true }],
  ['a country', { countries: ['NL'] }],
  ['a sum', { subtotal: 1 }],
  ['a number of pieces', { pieces: 2 }],
  ['so many uses', { uses: 10 }],
  ['so many uses for each shopper', { usesPerShopper: 1 }],
])('an offer that asks for %s shows in the basket only', (_, more) => {
  expect(isCatalogOffer(offer(tenth))).toBe(true);
  expect(isCatalogOffer(offer(tenth, more))).toBe(false);
});

test('the higher priority is looked at first, then whichever was made first', () => {
  const named = (id: string, priority: number) => offer(tenth, { id, priority });
  const all = [named('b', 1), named('c', 5), named('a', 1), named('d', 0)];
  expect([...all].sort(byPriority).map(({ id }) => id)).toEqual(['c', 'a', 'b', 'd']);
});

test('the floor is that of the offer, else that of the shop; without one, or without a cost, there is none', () => {
  expect(lowestUnder({ floor: 1_000 }, 800, { ...terms, floor: 5_000 })).toBe(1_100);
  expect(lowestUnder({ floor: null }, 800, { ...terms, floor: 5_000 })).toBe(1_500);
  expect(lowestUnder({ floor: 0 }, 800, { ...terms, floor: 5_000 })).toBe(1_000);
  expect(lowestUnder({ floor: null }, 800, terms)).toBe(0);
  expect(lowestUnder({ floor: 1_000 }, null, terms)).toBe(0);
});

describe('what one offer makes of a price', () => {
  test('is told with the floor that held it, where one did', () => {
    expect(tryOffer(offer(tenth), 2_000, 800, terms)).toMatchObject({ made: 1_800, heldAt: null, price: 1_800 });
    const held = tryOffer(offer(tenth, { floor: 9_000 }), 2_000, 800, terms);
    expect(held).toMatchObject({ made: 1_800, heldAt: 1_900, price: 1_900 });
    // What comes out just at its floor was not held.
    expect(tryOffer(offer(tenth, { floor: 8_000 }), 2_000, 800, terms)).toMatchObject({ heldAt: null, price: 1_800 });
  });

  test('is refused for a reason', () => {
    const why = (of: Offer, price: number, cost: number | null) => {
      const tried = tryOffer(of, price, cost, terms);
      return 'refused' in tried ? tried.refused : undefined;
    };
    expect(why(offer({ does: 'costPlus', plus: 1_000 }), 2_000, null)).toBe('costUnknown');
    expect(why(offer({ does: 'price', price: 2_000 }), 2_000, 800)).toBe('notLower');
    expect(why(offer({ does: 'price', price: 1_999 }), 2_000, 800)).toBeUndefined();
    expect(why(offer(tenth, { floor: 10_000 }), 2_000, 800)).toBe('atFloor');
    expect(why(offer(tenth, { floor: 9_990 }), 2_000, 800)).toBeUndefined();
  });

  test('ends as the shop has it: above its floor, and never at the price or above it', () => {
    const ending = (way: 'nearest' | 'down', more: Partial<Offer> = {}, price = 2_000) =>
      tryOffer(offer(tenth, more), price, 800, { ...terms, rounding: { step: 100, ending: 90, way } });
    expect(ending('nearest')).toMatchObject({ made: 1_800, price: 1_790 });
    // 17.90 is below the floor of 18.10, so the next that ends so is taken.
    expect(ending('down', { floor: 8_100 })).toMatchObject({ heldAt: 1_810, price: 1_890 });
    // 18.90 would be more than it cost before.
    expect(ending('down', { floor: 8_100 }, 1_880)).toMatchObject({ price: 1_810 });
    expect(ending('down', { floor: 8_100 }, 1_890)).toMatchObject({ price: 1_810 });
  });
});

describe('the best price', () => {
  const piece = { list: 2_000, sale: 1_900, cost: 800 };
  const stacking = offer(tenth, { id: 'o_stack1', stacks: true });
  const alone = (price: number) => offer({ does: 'price', price }, { id: 'o_alone1', stacks: false });

  test('without offers is the sale price, or the list price', () => {
    expect(offeredPrice(piece, [], terms)).toEqual({ price: 1_900, used: [], lowest: 0, tried: [] });
    expect(offeredPrice({ ...piece, sale: null }, [], terms).price).toBe(2_000);
  });

  test('is what stacks, one after another, or what one alone makes of the list price where that is less', () => {
    const both = offeredPrice(piece, [stacking, alone(1_600)], terms);
    expect(both).toMatchObject({ price: 1_600, used: [{ offer: { id: 'o_alone1' } }] });
    expect(both.tried.map(({ offer: { id } }) => id)).toEqual(['o_stack1', 'o_alone1']);
    expect(offeredPrice(piece, [stacking, alone(1_750)], terms)).toMatchObject({
      price: 1_710,
      used: [{ offer: { id: 'o_stack1' } }],
    });
    // Where they come to the same, what stacks is used.
    expect(offeredPrice(piece, [stacking, alone(1_710)], terms).used[0]!.offer.id).toBe('o_stack1');
    const twice = offer(tenth, { id: 'o_stack2', stacks: true });
    expect(offeredPrice(piece, [stacking, twice], terms)).toMatchObject({ price: 1_539, used: [{}, {}] });
  });

  test('has the floors of what made it, and of nothing else', () => {
    const floored = offer(tenth, { id: 'o_stack2', stacks: true, floor: 5_000 });
    expect(offeredPrice(piece, [floored, stacking], terms)).toMatchObject({ price: 1_539, lowest: 1_500 });
    const deep = offer({ does: 'percent', off: 9_000 }, { id: 'o_deep01', stacks: true });
    // The floor of the first holds while it is part of the price.
    expect(offeredPrice(piece, [floored, deep], terms).price).toBe(1_500);
    expect(offeredPrice(piece, [floored, alone(1_200)], terms)).toMatchObject({ price: 1_200, lowest: 0 });
  });
});
