import fc from 'fast-check';
import { IdLists } from './id-lists';

const row = fc.integer({ min: 0, max: 150 });
const ids = (most: number) => fc.array(fc.integer({ min: 0, max: most }), { maxLength: 40 });
const step = fc.oneof(
  { weight: 12, arbitrary: fc.record({ row, ids: ids(255), mark: fc.nat(40) }) },
  // The first number that needs more than eight bits widens all of them.
  { weight: 2, arbitrary: fc.record({ row, ids: ids(1_000_000), mark: fc.nat(40) }) },
  { weight: 1, arbitrary: fc.constant('restart' as const) },
  { weight: 1, arbitrary: fc.constant('trim' as const) },
);

test('each row has the list that it was given last, whatever grew, shrank, moved or was started again around it', () => {
  fc.assert(
    fc.property(fc.array(step, { maxLength: 120 }), (steps) => {
      const known = new Map<number, { ids: number[]; mark: number }>();
      let lists = new IdLists(8);
      for (const each of steps) {
        if (each === 'restart') lists = IdLists.of(lists.state());
        else if (each === 'trim') lists.trim(151);
        else {
          lists.set(each.row, each.ids, each.ids.length, each.mark);
          known.set(each.row, each);
        }
      }
      for (let at = 0; at <= 150; at++) {
        const { ids: wanted, mark } = known.get(at) ?? { ids: [], mark: 0 };
        expect([...lists.get(at)]).toEqual(wanted);
        expect([lists.length(at), lists.mark(at)]).toEqual([wanted.length, mark]);
        // Loops over many rows read the same.
        const start = lists.rows[at * 2]!;
        const length = lists.rows[at * 2 + 1]! & 0xffff;
        expect([...lists.pool.subarray(start, start + length)]).toEqual(wanted);
      }
    }),
  );
});

test('lists that are written again and again do not grow the room without end', () => {
  const lists = new IdLists(16);
  for (let round = 0; round < 400; round++)
    for (let at = 0; at < 20; at++)
      lists.set(
        at,
        Array.from({ length: (round + at) % 50 }, (_, i) => i),
      );
  lists.trim(20);
  expect(lists.bytes).toBeLessThan(20_000);
});

test('only a part of what is handed over is taken where that is said, and a list that is far too long is refused', () => {
  const lists = new IdLists(32);
  lists.set(3, [7, 8, 9], 2);
  expect([...lists.get(3)]).toEqual([7, 8]);
  expect(() => lists.set(0, new Uint32Array(70_000))).toThrow(RangeError);
});
