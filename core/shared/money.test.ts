import fc from 'fast-check';
import { parseMoney, plainAmount } from './money';

test.each([
  ['24', 2400],
  ['24.5', 2450],
  ['24,50', 2450],
  ['€ 1.024,50', 102450],
  ['1,024', 102400],
  ['-3', -300],
  ['abc', undefined],
  ['1.2.3', undefined],
  ['', undefined],
  ['12.345,6,7', undefined],
])('an amount typed as %p is read as %p', (typed, minor) => expect(parseMoney(typed)).toBe(minor));

test.each([
  ['1.999', 'en', undefined],
  ['1,999', 'en', 199_900],
  ['1.999', 'de', 199_900],
  ['1,999', 'de', undefined],
  ['1.999,50', 'en', 199_950],
  ['1.234.567', 'en', 123_456_700],
  ['9'.repeat(100), 'en', undefined],
])('%p in the language %s is read as %p', (typed, locale, minor) => expect(parseMoney(typed, locale)).toBe(minor));

test('every amount survives being shown and typed again', () => {
  fc.assert(fc.property(fc.integer({ min: 0, max: 99_999_999 }), (minor) => parseMoney(plainAmount(minor)) === minor));
});
