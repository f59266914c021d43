import fc from 'fast-check';
import { clipped, filledDown, isInBlock, placesIn, stepFrom, type Block } from './block';
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
      expect(store.many()).toBeUndefined();
      let end = from;
      for (const [key, by] of moves) {
        expect(store.extend(key, by, last)).toBe(true);
        end = stepFrom(end, key, by, last)!;
      }
      const picked = store.many();
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
  expect(store.block()).toEqual({ top: 1, left: 1, bottom: 2, right: 3 });
  expect([store.isPicked(2, 2), store.isPicked(3, 2)]).toEqual([true, false]);
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

test('before anything was picked there is no block; letting go keeps the cell where it began', () => {
  const store = new BlockStore();
  expect(store.block()).toBeUndefined();
  store.begin({ row: 3, column: 1 });
  store.reach({ row: 5, column: 2 });
  const first = store.block();
  expect(store.block()).toBe(first);
  store.single();
  expect([store.block(), store.many()]).toEqual([{ top: 3, left: 1, bottom: 3, right: 1 }, undefined]);
});

test('of a block there is what the table still has', () => {
  fc.assert(
    fc.property(block, place, (picked, end) => {
      const left = clipped(picked, end);
      const there = placesIn(picked).filter(({ row, column }) => row <= end.row && column <= end.column);
      expect(left ? placesIn(left) : []).toEqual(there);
    }),
  );
});
