import fc from 'fast-check';
import { choiceOfDay, shuffled } from './rotation';

const pool = fc.uniqueArray(fc.integer(), { minLength: 1, maxLength: 40 });
const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b);

test('a shuffle is a permutation that follows from its seed', () => {
  fc.assert(
    fc.property(pool, fc.string(), (things, seed) => {
      expect(sorted(shuffled(things, seed))).toEqual(sorted(things));
      expect(shuffled(things, seed)).toEqual(shuffled(things, seed));
    }),
  );
});

test('a choice has as many as it should, each once, and is the same all day', () => {
  fc.assert(
    fc.property(pool, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 40_000 }), (things, count, day) => {
      const choice = choiceOfDay(things, count, 'strip', day);
      expect(choice).toHaveLength(Math.min(count, things.length));
      expect(new Set(choice).size).toBe(choice.length);
      expect(choiceOfDay(things, count, 'strip', day)).toEqual(choice);
    }),
  );
});

test('within a round everybody has a turn, and nobody more than one more than another', () => {
  fc.assert(
    fc.property(pool, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 5_000 }), (things, count, round) => {
      const days = Math.ceil(things.length / count);
      const turns = new Map(things.map((thing) => [thing, 0]));
      for (let day = round * days; day < (round + 1) * days; day++)
        for (const thing of choiceOfDay(things, count, 'strip', day)) turns.set(thing, turns.get(thing)! + 1);
      const counts = [...turns.values()];
      expect(Math.min(...counts)).toBeGreaterThanOrEqual(1);
      expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
    }),
  );
});

test('over many rounds each place of the first day is as likely to be anybody’s', () => {
  const things = [0, 1, 2, 3, 4];
  const first = things.map(() => 0);
  for (let round = 0; round < 5_000; round++) first[choiceOfDay(things, 1, 'strip', round * 5)[0]!]! += 1;
  // Five standard deviations of a fair draw.
  for (const count of first) expect(Math.abs(count - 1_000)).toBeLessThan(5 * Math.sqrt(5_000 * 0.2 * 0.8));
});
