import { lowestBefore, type PriceSpan } from './lowest';

const DAY = 86_400;
const NOW = 1_800_000_000;
const ago = (days: number) => NOW - days * DAY;
const iso = (seconds: number) => new Date(seconds * 1_000).toISOString();
/** What a variant cost from so many days ago on. */
const span = (days: number, price: number, over: Partial<PriceSpan> = {}): PriceSpan => ({
  since: ago(days),
  price,
  salePrice: null,
  saleFrom: null,
  saleUntil: null,
  ...over,
});
const reduced = (days: number, over: Partial<PriceSpan> = {}) => span(days, 1_000, { salePrice: 800, ...over });

test('of the prices before the reduction the lowest counts, not the last and not the one of now', () => {
  expect(lowestBefore([span(25, 950), span(20, 900), span(10, 1_000), reduced(0)], NOW)).toBe(900);
});

test('what cost less more than 30 days before is forgotten, to the second', () => {
  expect(lowestBefore([span(90, 500), span(31, 950), reduced(0)], NOW)).toBe(950);
  // It ended exactly 30 days ago, or one second later.
  expect(lowestBefore([span(90, 500), span(30, 950), reduced(0)], NOW)).toBe(950);
  expect(lowestBefore([span(90, 500), { ...span(30, 950), since: ago(30) + 1 }, reduced(0)], NOW)).toBe(500);
});

test('a price that stood before the 30 days and into them counts', () => {
  expect(lowestBefore([span(90, 700), span(2, 950), reduced(0)], NOW)).toBe(700);
});

test('30 days are counted back from where the reduction began, not from now', () => {
  expect(lowestBefore([span(60, 700), span(45, 950), reduced(20)], NOW)).toBe(700);
  expect(lowestBefore([span(60, 700), span(55, 950), reduced(20)], NOW)).toBe(950);
});

test('a reduction that began later than its edition counts from its own beginning', () => {
  const began = { saleFrom: iso(ago(1)) };
  // The full price that the same edition told until yesterday is part of what was before.
  expect(lowestBefore([reduced(5, { price: 990, ...began })], NOW)).toBe(990);
  expect(lowestBefore([span(40, 700), reduced(35, { price: 990, ...began })], NOW)).toBe(990);
  expect(lowestBefore([span(40, 700), reduced(28, { price: 990, ...began })], NOW)).toBe(700);
});

test('an earlier reduction within the 30 days counts while it held, and no longer', () => {
  const was = { salePrice: 600, saleFrom: iso(ago(20)), saleUntil: iso(ago(15)) };
  expect(lowestBefore([span(29, 1_000, was), reduced(0)], NOW)).toBe(600);
  const over = { salePrice: 600, saleFrom: iso(ago(50)), saleUntil: iso(ago(40)) };
  expect(lowestBefore([span(60, 1_000, over), reduced(0)], NOW)).toBe(1_000);
  // One that would have begun only after another price had come never held.
  const late = { salePrice: 600, saleFrom: iso(ago(5)) };
  expect(lowestBefore([span(29, 1_000, late), span(10, 1_000), reduced(0)], NOW)).toBe(1_000);
});

test('what is not reduced now, or was never sold before, has none', () => {
  expect(lowestBefore([span(20, 900), span(1, 1_000)], NOW)).toBeUndefined();
  expect(lowestBefore([reduced(3, { saleUntil: iso(ago(1)) })], NOW)).toBeUndefined();
  expect(lowestBefore([reduced(3)], NOW)).toBeUndefined();
  expect(lowestBefore([], NOW)).toBeUndefined();
  expect(lowestBefore([{ ...reduced(0), since: NOW + 1 }], NOW)).toBeUndefined();
});

test('an edition that came this very second holds', () => {
  expect(lowestBefore([span(9, 900), reduced(0)], NOW)).toBe(900);
});
