import fc from 'fast-check';
import { enoughFor } from '../forecast/run-out';
import { poisson, seeded } from '../testing/seeded';
import { reorder } from './reorder';

const steady = (pieces: number, days = 112) => Array.from({ length: days }, () => pieces);
const terms = { deliveryDays: 14, coverDays: 30 };

test('what sells steadily is ordered for the days until it came and those after, and a little more', () => {
  const { isDue, pieces } = reorder({ stock: 20, warnAt: null, sold: steady(2) }, terms);
  expect(isDue).toBe(true);
  // 44 days of two are 88, of which 20 are there.
  expect(pieces).toBeGreaterThan(68);
  expect(pieces).toBeLessThan(100);
});

test('what lasts longer than the delivery takes is not due, and told with what it would take', () => {
  const { isDue, pieces } = reorder({ stock: 60, warnAt: null, sold: steady(1) }, terms);
  expect([isDue, pieces]).toEqual([false, 0]);
});

test('what is sold out is due, though nothing tells how many it takes', () => {
  expect(reorder({ stock: 0, warnAt: null, sold: steady(0) }, terms)).toMatchObject({ isDue: true, pieces: 0 });
});

test('at its warn-at level it is due, sold or not, and ordered above that level', () => {
  expect(reorder({ stock: 3, warnAt: 3, sold: steady(0) }, terms)).toMatchObject({ isDue: true, pieces: 1 });
  expect(reorder({ stock: 4, warnAt: 3, sold: steady(0) }, terms)).toMatchObject({ isDue: false, pieces: 0 });
  expect(reorder({ stock: -2, warnAt: 0, sold: [] }, terms)).toMatchObject({ isDue: true, pieces: 1 });
});

const sold = fc.array(fc.nat(5), { minLength: 1, maxLength: 120 });

test('law: more days or more certainty never want fewer pieces; more stock never orders more', () => {
  fc.assert(
    fc.property(sold, fc.integer({ min: 1, max: 120 }), fc.nat(60), fc.nat(60), (days, ahead, stock, more) => {
      expect(enoughFor(ahead + 7, days, 0.9)).toBeGreaterThanOrEqual(enoughFor(ahead, days, 0.9));
      expect(enoughFor(ahead, days, 0.95)).toBeGreaterThanOrEqual(enoughFor(ahead, days, 0.5));
      const of = (left: number) => reorder({ stock: left, warnAt: null, sold: days }, terms).pieces;
      expect(of(stock + more)).toBeLessThanOrEqual(of(stock));
    }),
  );
});

test('law: on a known process, what was said to be enough is enough as often as it says', () => {
  const random = seeded(11);
  for (const mean of [0.2, 1, 4]) {
    let enough = 0;
    for (let i = 0; i < 400; i++) {
      const known = Array.from({ length: 112 }, () => poisson(random, mean));
      const wanted = Array.from({ length: 30 }, () => poisson(random, mean)).reduce((sum, each) => sum + each, 0);
      if (wanted <= enoughFor(30, known, 0.9)) enough++;
    }
    expect(enough / 400).toBeGreaterThan(0.84);
    expect(enough / 400).toBeLessThan(0.985);
  }
});
