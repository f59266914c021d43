import fc from 'fast-check';
import { sortedBy, sortedByText } from './slot-sort';

/** Places of the items sorted by plain comparing, which keeps equal ones as they are in `tie`. */
function sortedPlainly<T>(items: readonly T[], descending: boolean, tie: readonly number[]): number[] {
  const sign = descending ? -1 : 1;
  return [...tie].sort((a, b) => (items[a] === items[b] ? 0 : items[a]! < items[b]! ? -sign : sign));
}

const withTie = <T>(item: fc.Arbitrary<T>) =>
  fc
    .array(item, { maxLength: 40 })
    .chain((items) =>
      fc.tuple(fc.constant(items), fc.shuffledSubarray([...items.keys()], { minLength: items.length })),
    );

test('slots sorted by numbers stand as comparing would put them: of one digit or several, below 0, without limit', () => {
  const number = fc.oneof(
    fc.integer({ min: -3, max: 3 }),
    fc.integer({ min: -(2 ** 31), max: 2 ** 40 }),
    fc.constantFrom(0, 65_535, 65_536, 2 ** 32, 2 ** 52, Infinity),
  );
  fc.assert(
    fc.property(withTie(number), fc.boolean(), ([numbers, tie], descending) => {
      const sorted = sortedBy(Float64Array.from(numbers), descending, Uint32Array.from(tie));
      expect([...sorted]).toEqual(sortedPlainly(numbers, descending, tie));
    }),
    { numRuns: 400 },
  );
});

test('slots sorted by texts stand as comparing would put them: long ones that begin alike, and in any script', () => {
  const letter = fc.constantFrom('a', 'b', ' ', '9', 'é', 'ж', '\u0000', 'x'.repeat(24), 'kite kite ki');
  const plain = fc.constantFrom('a', 'b', 'x'.repeat(24), 'kite kite ki');
  const text = (unit: fc.Arbitrary<string>) => fc.array(unit, { maxLength: 4 }).map((parts) => parts.join(''));
  fc.assert(
    fc.property(fc.oneof(withTie(text(plain)), withTie(text(letter))), fc.boolean(), ([texts, tie], descending) => {
      const sorted = sortedByText(texts, descending, Uint32Array.from(tie));
      expect([...sorted]).toEqual(sortedPlainly(texts, descending, tie));
    }),
    { numRuns: 400 },
  );
});
