import fc from 'fast-check';
import { apportion } from './apportion';

test('parts add up to the whole, and none is more than a unit away from its exact share', () => {
  fc.assert(
    fc.property(fc.nat(10_000_000), fc.array(fc.nat(1_000_000), { minLength: 1, maxLength: 20 }), (total, weights) => {
      const parts = apportion(total, weights);
      expect(parts.reduce((sum, part) => sum + part, 0)).toBe(total);
      const all = weights.reduce((sum, weight) => sum + weight, 0);
      if (all > 0) parts.forEach((part, i) => expect(Math.abs(part - (total * weights[i]!) / all)).toBeLessThan(1));
    }),
  );
});

test('without any weight the first takes all', () => {
  expect(apportion(5, [0, 0])).toEqual([5, 0]);
  expect(apportion(5, [])).toEqual([]);
});
