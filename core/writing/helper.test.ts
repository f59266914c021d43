import fc from 'fast-check';
import { points, shorten, tidy } from './helper';

test('tidying puts blanks, marks, doubled words and beginnings right', () => {
  expect(tidy('a  forgiving kite ,that that lifts!! in a whisper\n\n  sewn,not glued')).toBe(
    'A forgiving kite, that lifts! In a whisper.\n\nSewn, not glued.',
  );
});

test('tidying keeps every word in its order, and a tidy text as it is', () => {
  const word = fc.constantFrom('kite', 'Wind', 'lifts', 'über', '1.8', 'm');
  const text = fc.array(fc.tuple(word, fc.constantFrom(' ', '  ', ', ', ' . ', '! ', '\n\n')), {
    minLength: 1,
    maxLength: 12,
  });
  const wordsOf = (from: string) =>
    (from.toLowerCase().match(/\d\.\d|[\p{L}\d]+/gu) ?? []).filter((each, i, all) => each !== all[i - 1]);
  fc.assert(
    fc.property(text, (parts) => {
      const typed = parts.map(([each, gap]) => each + gap).join('');
      const tidied = tidy(typed);
      expect(wordsOf(tidied)).toEqual(wordsOf(typed));
      expect(tidy(tidied)).toBe(tidied);
    }),
  );
});

test('shortening ends with a whole sentence and drops fillers', () => {
  const text = 'A really forgiving delta. It lifts in a whisper. It folds into a sleeve that hangs by a loop.';
  expect(shorten(text, 50)).toBe('A forgiving delta. It lifts in a whisper.');
  expect(shorten('One very long sentence without an end', 10)).toBe('One long sentence without an end.');
});

test('a paragraph becomes points: its sentences, or what stands between commas', () => {
  expect(points('Comes rigged. Sewn, not glued.')).toEqual(['Comes rigged', 'Sewn, not glued']);
  expect(points('with kite, sleeve and a reel')).toEqual(['With kite', 'Sleeve', 'A reel']);
  expect(points('')).toEqual([]);
});
