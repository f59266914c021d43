import fc from 'fast-check';
import { otherWays, readSynonymLine, synonymWords } from './synonyms';

test('a line is read both ways, or one way', () => {
  expect(readSynonymLine(' spar, rod ,, stick ')).toEqual(['spar', 'rod', 'stick']);
  expect(readSynonymLine('power kite, traction kite > foil')).toEqual({
    from: ['power kite', 'traction kite'],
    to: ['foil'],
  });
  expect(readSynonymLine('plane -> glider')).toEqual({ from: ['plane'], to: ['glider'] });
  expect(readSynonymLine('   ')).toBeUndefined();
});

test.each([
  ['spar', /stands alone/],
  ['spar >', /both sides/],
  ['> rod', /both sides/],
  ['a > b > c', /more than one/],
])('“%s” is refused in words', (typed, problem) =>
  expect(readSynonymLine(typed)).toEqual({ problem: expect.stringMatching(problem) as string }),
);

const phrases = fc.uniqueArray(fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8})?$/), { minLength: 2, maxLength: 5 });
const line = fc.oneof(phrases, fc.record({ from: phrases, to: phrases }));

test('what is written of a line is read as that line', () => {
  fc.assert(fc.property(line, (one) => expect(readSynonymLine(synonymWords(one))).toEqual(one)));
});

test('one way, what is found never finds back', () => {
  expect(otherWays([{ from: ['plane'], to: ['glider', 'wing'] }])).toEqual([['plane', ['glider', 'wing']]]);
  expect(otherWays([['rod', 'spar']])).toEqual([
    ['rod', ['spar']],
    ['spar', ['rod']],
  ]);
});
