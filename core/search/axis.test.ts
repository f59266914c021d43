import fc from 'fast-check';
import { boundsOf } from './axis';

const of = (numbers: number[], part = 1, isDate = false) =>
  boundsOf(numbers.length, (at) => numbers[at]!, part, isDate);

test('bounds rise in equal round steps, hold the lowest number, and are few', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -20_000, max: 2_000_000 }), { minLength: 1 }),
      fc.constantFrom(1, 100),
      fc.boolean(),
      (numbers, part, isDate) => {
        const sorted = numbers.sort((a, b) => a - b);
        const bounds = of(sorted, part, isDate);
        const step = bounds[1]! - bounds[0]!;
        expect(bounds.length).toBeGreaterThanOrEqual(2);
        expect(bounds.length).toBeLessThanOrEqual(27);
        expect(bounds[0]).toBeLessThanOrEqual(sorted[0]!);
        expect(bounds[1]).toBeGreaterThan(sorted[0]!);
        expect(bounds.every((bound, i) => bound === bounds[0]! + i * step)).toBe(true);
      },
    ),
  );
});

test('one very large number does not flatten the others, and numbers without end are left out', () => {
  const prices = [...Array.from({ length: 99 }, (_, i) => i + 1), 1_000_000];
  expect(of(prices).at(-1)).toBeLessThan(120);
  expect(of([1, 2, Infinity])).toEqual([1, 2, 3]);
  expect(of([Infinity])).toEqual([]);
  expect(of([])).toEqual([]);
});
