import fc from 'fast-check';
import { filledDown, isInBlock, placesIn, stepFrom, type Block } from './block';
import { BlockStore } from './block-store';

const last = { row: 9, column: 4 };
const keys = fc.constantFrom('ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight');
const place = fc.record({ row: fc.nat(last.row), column: fc.nat(last.column) });
const block: fc.Arbitrary<Block> = fc.tuple(place, place).map(([a, b]) => ({
  top: Math.min(a.row, b.row),
  left: Math.min(a.column, b.column),
  bottom: Math.max(a.row, b.row),
  right: Math.max(a.column, b.column),
}));

test('a block grows from where it began, never beyond the table, and a single cell is none', () => {
  fc.assert(
    fc.property(place, fc.array(fc.tuple(keys, fc.integer({ min: 1, max: 20 }))), (from, moves) => {
      const store = new BlockStore();
      store.begin(from);
      expect(store.block).toBeUndefined();
      let end = from;
      for (const [key, by] of moves) {
        expect(store.extend(key, by, last)).toBe(true);
        end = stepFrom(end, key, by, last)!;
      }
      const { block: picked } = store;
      if (end.row === from.row && end.column === from.column) return expect(picked).toBeUndefined();
      for (const each of [from, end]) expect(isInBlock(picked!, each.row, each.column)).toBe(true);
      expect(picked!.bottom).toBeLessThanOrEqual(last.row);
      expect(picked!.right).toBeLessThanOrEqual(last.column);
    }),
  );
});

test('other keys leave it as it is, and whoever listens is told of each change', () => {
  const store = new BlockStore();
  const told = jest.fn();
  const stop = store.subscribe(told);
  store.begin({ row: 1, column: 1 });
  expect(store.extend('a', 1, last)).toBe(false);
  store.reach({ row: 2, column: 3 });
  expect(store.block).toEqual({ top: 1, left: 1, bottom: 2, right: 3 });
  expect([store.has(2, 2), store.has(3, 2)]).toEqual([true, false]);
  stop();
  store.begin({ row: 0, column: 0 });
  expect(told).toHaveBeenCalledTimes(2);
});

test('filling down takes each cell of a block from its top row, in its own column', () => {
  fc.assert(
    fc.property(block, (picked) => {
      const filled = filledDown(picked);
      const isOne = picked.top === picked.bottom;
      const wanted = isOne && picked.top === 0 ? [] : placesIn(isOne ? picked : { ...picked, top: picked.top + 1 });
      expect(filled.map(({ to }) => to)).toEqual(wanted);
      for (const { to, from } of filled)
        expect(from).toEqual({ row: isOne ? picked.top - 1 : picked.top, column: to.column });
    }),
  );
});
