import fc from 'fast-check';
import { slipsInto } from '../testing/reference-listing';
import { oneSlip, queryWords, wordsOf } from './words';

test('one slip is found exactly where the edit distance to some beginning is at most one', () => {
  const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), minLength: 1, maxLength: 7 });
  fc.assert(
    fc.property(word, word, (typed, other) => {
      expect(oneSlip(typed, other)).toBe(slipsInto(typed, other));
    }),
    { numRuns: 3000 },
  );
});

test.each([
  ['dlta', 'delta'],
  ['detla', 'delta'],
  ['deltta', 'delta'],
  ['dialo', 'diamond'],
  ['nigth', 'nightglow'],
])('%s is met by %s', (typed, word) => expect(oneSlip(typed, word)).toBe(true));

test('words are folded, and queries are capped', () => {
  expect(wordsOf('Größe 50-m Réel')).toEqual(['grosse', '50', 'm', 'reel']);
  expect(queryWords('a b c d e f g h i j')).toHaveLength(8);
  expect(queryWords('x'.repeat(10_000))[0]).toHaveLength(40);
});
