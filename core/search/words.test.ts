import fc from 'fast-check';
import { fold } from '../shared/fold';
import { slipsInto } from '../testing/reference-listing';
import { MAX_WORD, oneSlip, queryWords, wordsOf } from './words';

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

test('words are the runs of letters and digits of the folded text, in any script and of any length', () => {
  const unit = fc.constantFrom(...'aZ09 -_.éßжД中٣\u0301\u{1d49c}', 'x'.repeat(45));
  fc.assert(
    fc.property(fc.string({ unit, maxLength: 30 }), (text) => {
      const runs = fold(text).match(/[\p{L}\p{N}]+/gu) ?? [];
      expect(wordsOf(text)).toEqual(runs.map((run) => run.slice(0, MAX_WORD)));
    }),
    { numRuns: 3000 },
  );
});
