import fc from 'fast-check';
import type { CostFrom } from '../model/supplier';
import { costComing, costOn, handOver } from './costs';

const costs: CostFrom[] = [
  { from: '2027-03-01', cost: 1_000 },
  { from: '2027-04-01', cost: 1_100 },
];

test('a cost holds from its day on, until the next one', () => {
  expect(
    ['2027-02-28', '2027-03-01', '2027-03-31', '2027-04-01', '2099-01-01'].map((day) => costOn(costs, day)),
  ).toEqual([undefined, 1_000, 1_000, 1_100, 1_100]);
});

test('a cost comes once, on its day; after a longer absence the last of several counts', () => {
  expect(costComing(costs, '2027-02-27', '2027-02-28')).toBeUndefined();
  expect(costComing(costs, '2027-02-28', '2027-03-01')).toBe(1_000);
  expect(costComing(costs, '2027-03-01', '2027-03-02')).toBeUndefined();
  expect(costComing(costs, '2027-01-01', '2027-06-01')).toBe(1_100);
});

const day = fc.integer({ min: 1, max: 28 }).map((n) => `2027-03-${String(n).padStart(2, '0')}`);
const someCosts = fc
  .uniqueArray(fc.record({ from: day, cost: fc.nat(9_999) }), { selector: ({ from }) => from, maxLength: 6 })
  .map((list) => [...list].sort((a, b) => (a.from < b.from ? -1 : 1)));

test('law: looking every day or seldom leads to the same cost', () => {
  fc.assert(
    fc.property(someCosts, fc.uniqueArray(day, { minLength: 1, maxLength: 8 }), (list, days) => {
      let cost: number | undefined;
      let since = '2027-02-28';
      for (const today of [...days].sort()) {
        cost = costComing(list, since, today) ?? cost;
        since = today;
      }
      expect(cost).toBe(costOn(list, since));
    }),
  );
});

test('who is left keeps number and cost of the day, who comes brings theirs; what neither told stays', () => {
  const day = '2027-03-10';
  const former = { number: 'old', costs: [{ from: '2027-04-01', cost: 1_200 }] };
  const next = { number: 'N-1', costs: [{ from: '2027-03-01', cost: 900 }] };
  expect(handOver({ supplierNumber: 'W-7', cost: 1_000 }, { former, next, day })).toEqual({
    kept: {
      number: 'W-7',
      costs: [
        { from: day, cost: 1_000 },
        { from: '2027-04-01', cost: 1_200 },
      ],
    },
    fields: { supplierNumber: 'N-1', cost: 900 },
  });
  expect(handOver({ supplierNumber: '', cost: null }, { former: undefined, next: undefined, day })).toEqual({
    kept: undefined,
    fields: { supplierNumber: '' },
  });
});
