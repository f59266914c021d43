import fc from 'fast-check';
import { thinned } from './thinning';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 10, 29);
const edition = (number: number, daysAgo: number, over: object = {}) => ({
  number,
  at: new Date(NOW - daysAgo * DAY).toISOString(),
  note: '',
  ofEdition: null,
  ...over,
});

test('of old weeks the last edition stays; what is young, noted or repeated stays too', () => {
  const editions = [
    edition(1, 100),
    edition(2, 62.3),
    edition(3, 62.2),
    edition(4, 62.1, { note: 'Before the sale' }),
    edition(5, 62),
    edition(6, 5),
    edition(7, 4, { ofEdition: 2 }),
    edition(8, 1),
  ];
  expect(thinned(editions, { days: 30, then: 'week' }, NOW)).toEqual([3]);
  expect(thinned(editions, null, NOW)).toEqual([]);
});

test('law: the first, the live and all of the last days stay, and doing it twice is doing it once', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ daysAgo: fc.nat(400), note: fc.constantFrom('', '', 'x') }), { maxLength: 40 }),
      fc.nat(120),
      fc.constantFrom('week' as const, 'month' as const),
      (made, days, then) => {
        const editions = made
          .sort((a, b) => b.daysAgo - a.daysAgo)
          .map(({ daysAgo, note }, i) => edition(i + 1, daysAgo, { note }));
        const gone = new Set(thinned(editions, { days, then }, NOW));
        const left = editions.filter(({ number }) => !gone.has(number));
        expect(gone.has(1)).toBe(false);
        expect(gone.has(editions.length)).toBe(false);
        for (const { number, at, note } of editions)
          if (NOW - Date.parse(at) <= days * DAY || note) expect(gone.has(number)).toBe(false);
        expect(thinned(left, { days, then }, NOW)).toEqual([]);
      },
    ),
  );
});
