import fc from 'fast-check';
import { changedAmount, endings, readColumnChange, withEnding } from './column-change';

const amounts = { price: 6_400, salePrice: 5_800, cost: 2_910 };

test.each([
  ['+5 %', 6_720],
  ['-10%', 5_760],
  ['−2', 6_200],
  ['+ 1,50', 6_550],
  ['=cost*2.4', 6_984],
  ['= cost × 2,4', 6_984],
  ['=price/2', 3_200],
  ['=sale', 5_800],
  ['79.00', 7_900],
  ['', null],
])('“%s” in the column of prices makes 64.00 into %s', (typed, expected) =>
  expect(changedAmount(readColumnChange(typed)!, amounts.price, amounts, null)).toBe(expected),
);

test.each(['=margin*2', '5 %', 'twelve', '=cost*', '=price/0', '--2'])('“%s” is no column change', (typed) =>
  expect(readColumnChange(typed)).toBeUndefined(),
);

test('what has nothing to reckon from, or would fall below zero, stays', () => {
  expect(changedAmount(readColumnChange('=cost*2')!, 100, { ...amounts, cost: null }, null)).toBeUndefined();
  expect(changedAmount(readColumnChange('-80')!, 6_400, amounts, null)).toBeUndefined();
  expect(changedAmount(readColumnChange('+5 %')!, null, amounts, null)).toBeUndefined();
});

test('an ending is the nearest amount that has it, and never negative', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1_000_000 }), fc.constantFrom(...endings), (amount, ending) => {
      const rounded = withEnding(amount, ending);
      if (ending === null) return expect(rounded).toBe(amount);
      expect(rounded % 100).toBe(ending);
      expect(rounded).toBeGreaterThanOrEqual(0);
      const others = [rounded - 100, rounded + 100].filter((other) => other >= 0);
      for (const other of others) expect(Math.abs(rounded - amount)).toBeLessThanOrEqual(Math.abs(other - amount));
    }),
  );
});
