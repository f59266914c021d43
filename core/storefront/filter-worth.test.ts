import fc from 'fast-check';
import { NOW, productOf, shopOf } from '../testing/shop';
import { choiceGain, filterWorths, rangeGain } from './filter-worth';

const counts = fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 8 });
const sum = (of: readonly number[]) => of.reduce((a, b) => a + b, 0);

test('a filter that halves the goods is worth one bit, one with a single value nothing', () => {
  expect(choiceGain([50, 50], 100, 100)).toBeCloseTo(1);
  expect(choiceGain([100], 100, 100)).toBe(0);
  expect(choiceGain([], 0, 100)).toBe(0);
});

test('a value that is parted in two never makes a filter worse, and goods that say nothing of it never better', () => {
  fc.assert(
    fc.property(counts, fc.integer({ min: 0, max: 60 }), (of, silent) => {
      const [first, ...rest] = of;
      const total = sum(of) + silent;
      const whole = choiceGain(of, sum(of), total);
      const parted = choiceGain([Math.floor(first! / 2), Math.ceil(first! / 2), ...rest], sum(of), total);
      expect(parted).toBeGreaterThanOrEqual(whole - 1e-9);
      expect(whole).toBeGreaterThanOrEqual(0);
      // Of goods that all say it, as many values at most as halvings.
      expect(choiceGain(of, sum(of), sum(of))).toBeLessThanOrEqual(Math.log2(of.length) + 1e-9);
    }),
  );
});

test('the gain of numbers does not depend on their order, and is nothing where all are the same', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 30 }), (numbers) => {
      const gain = rangeGain(numbers, numbers.length);
      expect(rangeGain([...numbers].reverse(), numbers.length)).toBeCloseTo(gain);
      if (new Set(numbers).size === 1) expect(gain).toBe(0);
      expect(gain).toBeLessThanOrEqual(Math.log2(5) + 1e-9);
    }),
  );
});

test('the filters of a place come in the order in which they divide its goods', () => {
  const goods = Array.from({ length: 8 }, (_, i) =>
    productOf(`p_g${i}`, {
      brandId: i < 4 ? 'b_alula' : 'b_tern',
      categoryIds: ['c_kites'],
      variants: [{ ...productOf(`p_g${i}`).variants[0]!, price: 1_000 }],
    }),
  );
  const worths = filterWorths(shopOf(goods), { kind: 'all' }, NOW);
  expect(worths[0]).toMatchObject({ key: 'brand', values: 2, filled: 1, gain: 1 });
  expect(worths.find(({ key }) => key === 'price')).toMatchObject({ values: 1, gain: 0 });
  expect(worths.map(({ gain }) => gain)).toEqual([...worths.map(({ gain }) => gain)].sort((a, b) => b - a));
});
