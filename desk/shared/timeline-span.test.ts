import { monthsIn, placeOf, shifted } from './timeline-span';

const range = { begin: Date.UTC(2027, 0, 1), end: Date.UTC(2027, 0, 11) };
const day = (n: number) => new Date(Date.UTC(2027, 0, n)).toISOString();

test('a span stands where its days are, open ends reach the edge, and what is outside is not drawn', () => {
  expect(placeOf({ from: day(2), until: day(6) }, range)).toEqual({ left: 10, width: 40 });
  expect(placeOf({ from: null, until: null }, range)).toEqual({ left: 0, width: 100 });
  expect(placeOf({ from: day(12), until: null }, range)).toBeNull();
});

test('a span is moved or stretched by whole days, and no end passes the other', () => {
  const span = { from: day(2), until: day(4) };
  expect(shifted(span, 3, 'all')).toEqual({ from: day(5), until: day(7) });
  expect(shifted(span, -1, 'from')).toEqual({ from: day(1), until: day(4) });
  expect(shifted(span, 2, 'until')).toEqual({ from: day(2), until: day(6) });
  expect(shifted(span, -2, 'until')).toEqual(span);
  expect(shifted({ from: null, until: day(4) }, 1, 'all')).toEqual({ from: null, until: day(5) });
});

test('months begin on their first days', () => {
  expect(monthsIn({ begin: Date.UTC(2026, 10, 20), end: Date.UTC(2027, 1, 2) })).toEqual([
    Date.UTC(2026, 11, 1),
    Date.UTC(2027, 0, 1),
    Date.UTC(2027, 1, 1),
  ]);
});
