import { boundOf, readNumber } from './read-number';

test.each([
  ['20', 'en', 20],
  ['€20', 'en', 20],
  ['20 €', 'de', 20],
  ['EUR 20', 'en', 20],
  ['20,50', 'de', 20.5],
  ['20.50', 'de', 20.5],
  ['1.000,50', 'de', 1000.5],
  ['1,000.50', 'en', 1000.5],
  ['1.000', 'de', 1000],
  ['1,000', 'en', 1000],
  ['1.000.000', 'en', 1_000_000],
  ['1.500', 'en', 1.5],
  ['12 500', 'en', 12_500],
  [' 7 ', 'en', 7],
])('“%s” in %s is %d', (typed, locale, value) => expect(readNumber(typed, locale)).toBe(value));

test.each(['abc', '€', '--3', '1e5', '12x34', '.'])('“%s” is no number', (typed) =>
  expect(readNumber(typed, 'en')).toBeNaN(),
);

test('a bound is one that an address can hold', () => {
  expect(boundOf(20.555, 2, 0)).toBe(20.56);
  expect(boundOf(-5, 2, 0)).toBe(0);
  expect(boundOf(1e12, 2, 0)).toBe(99_999_999);
  expect(boundOf(-1.23456, 3, -1_000)).toBe(-1.235);
  expect(boundOf(Infinity, 2, 0)).toBe(Infinity);
});
