import fc from 'fast-check';
import { pinnedFirst, pinsAfterMove } from './pins';

test('what was moved stays where it was put, and no pin is lost', () => {
  expect(pinsAfterMove(['m', 'a', 'b', 'c'], 'm', ['a', 'b'])).toEqual(['m', 'a', 'b']);
  expect(pinsAfterMove(['b', 'c', 'a', 'd'], 'a', ['a', 'b'])).toEqual(['b', 'c', 'a']);
  const shelf = fc.uniqueArray(fc.string({ minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(shelf, fc.nat(), fc.nat(), (ids, from, count) => {
      const moved = ids[from % ids.length]!;
      // Pins stand in front, wherever among them the moved one was put.
      const pins = ids.filter((id) => id !== moved).slice(0, count % ids.length);
      const next = pinsAfterMove(ids, moved, pins);
      expect(ids.slice(0, next.length)).toEqual(next);
      expect(next).toEqual(expect.arrayContaining([moved]));
    }),
  );
});

test('goods that were just pinned stand first in the order of the pins, and the others as they were', () => {
  const goods = ['a', 'b', 'c', 'd'].map((id) => ({ id }));
  expect(pinnedFirst(goods, ['c', 'gone', 'a']).map(({ id }) => id)).toEqual(['c', 'a', 'b', 'd']);
});
