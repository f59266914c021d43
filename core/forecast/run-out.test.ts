import fc from 'fast-check';
import { incompleteBeta } from './incomplete-beta';
import { poisson } from '../testing/seeded';
import { HORIZON, LOOKED_AT, runOut } from './run-out';

/** A random number generator that gives the same each time. */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    let mixed = state ^ (state >>> 15);
    mixed = Math.imul(mixed, 0x2c1b3c6d);
    mixed ^= mixed >>> 12;
    return (mixed >>> 0) / 2 ** 32;
  };
}

/** How often the day on which it was really sold out lay where it was said to lie, of many histories. */
function coverage(daily: (random: () => number) => number, stock: number, seed: number) {
  const random = seeded(seed);
  let within = 0;
  let before = 0;
  let told = 0;
  for (let i = 0; i < 400; i++) {
    const sold = Array.from({ length: LOOKED_AT }, () => daily(random));
    const forecast = runOut(stock, sold);
    if (!forecast) continue;
    let left = stock;
    let day = 0;
    while (left > 0 && day < HORIZON) {
      left -= daily(random);
      day++;
    }
    told++;
    // Some time on that day.
    const at = day - 0.5;
    if (at >= forecast.early && at <= forecast.late) within++;
    if (at <= forecast.likely) before++;
  }
  return { within: within / told, before: before / told };
}

describe('law: on known processes, the spread holds as often as it says', () => {
  test.each([
    ['half a piece a day', (random: () => number) => poisson(random, 0.5), 20],
    ['three a day', (random: () => number) => poisson(random, 3), 60],
    ['one in ten days', (random: () => number) => poisson(random, 0.1), 4],
    ['orders of four, one in four days', (random: () => number) => 4 * poisson(random, 0.25), 40],
  ])('%s', (_, daily, stock) => {
    const { within, before } = coverage(daily, stock, 7);
    expect(within).toBeGreaterThan(0.72);
    expect(within).toBeLessThan(0.9);
    expect(before).toBeGreaterThan(0.35);
    expect(before).toBeLessThan(0.65);
  });
});

test('law: more stock lasts longer, and the likely day lies within the spread', () => {
  fc.assert(
    fc.property(
      fc.array(fc.nat(6), { minLength: 1, maxLength: 150 }),
      fc.integer({ min: 1, max: 400 }),
      fc.integer({ min: 0, max: 50 }),
      (sold, stock, more) => {
        const [a, b] = [runOut(stock, sold), runOut(stock + more, sold)];
        if (!a || !b) return expect(sold.slice(0, LOOKED_AT).every((count) => count === 0)).toBe(true);
        expect(a.early).toBeLessThanOrEqual(a.likely);
        expect(a.likely).toBeLessThanOrEqual(a.late);
        expect(b.likely).toBeGreaterThanOrEqual(a.likely - 0.1);
        expect(a.late).toBeLessThanOrEqual(HORIZON);
        return undefined;
      },
    ),
  );
});

test('what was never sold has no such day; what is gone is sold out now; what sells faster is gone sooner', () => {
  expect(runOut(5, [])).toBeUndefined();
  expect(runOut(5, [0, 0, 0])).toBeUndefined();
  expect(runOut(0, [1, 0, 2])).toEqual({ early: 0, likely: 0, late: 0 });
  const steady = Array.from({ length: LOOKED_AT }, () => 1);
  expect(runOut(30, steady)!.likely).toBeGreaterThan(25);
  expect(runOut(30, steady)!.likely).toBeLessThan(35);
  // What was sold lately counts for more.
  const rising = steady.map((count, ago) => (ago < 28 ? 3 * count : 0));
  const falling = [...rising].reverse();
  expect(runOut(30, rising)!.likely).toBeLessThan(runOut(30, falling)!.likely);
});

test('the function behind it has the values that tables give', () => {
  expect(incompleteBeta(0.5, 2, 2)).toBeCloseTo(0.5, 10);
  expect(incompleteBeta(0.3, 1, 1)).toBeCloseTo(0.3, 10);
  expect(incompleteBeta(0.2, 3, 5)).toBeCloseTo(0.148032, 6);
  expect(incompleteBeta(0.9, 0.5, 0.5)).toBeCloseTo(0.795167, 6);
  expect([incompleteBeta(0, 2, 3), incompleteBeta(1, 2, 3)]).toEqual([0, 1]);
});
