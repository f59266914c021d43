import fc from 'fast-check';
import { Bitset, popcount } from './bitset';

const slots = (size: number) => fc.uniqueArray(fc.integer({ min: 0, max: size - 1 }), { maxLength: 80 });
const size = fc.integer({ min: 1, max: 200 });
const filled = size.chain((n) => fc.record({ size: fc.constant(n), slots: slots(n) }));
const bitsetOf = ({ size: n, slots: all }: { size: number; slots: number[] }) => {
  const bits = new Bitset(n);
  for (const slot of all) bits.add(slot);
  return bits;
};
const rising = (all: Iterable<number>) => [...all].sort((a, b) => a - b);

test('as many bits as there are ones, also with the highest set', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 0xffffffff }), (word) => {
      expect(popcount(word | 0)).toBe(word.toString(2).replaceAll('0', '').length);
    }),
  );
});

test('what was added is in it, in rising order, and what was taken out is not', () => {
  fc.assert(
    fc.property(filled, (of) => {
      const bits = bitsetOf(of);
      expect(bits.toArray()).toEqual(rising(of.slots));
      expect(bits.count()).toBe(of.slots.length);
      const target = new Uint32Array(of.slots.length + 1);
      expect(bits.writeSlots(target)).toBe(of.slots.length);
      expect([...target].slice(0, of.slots.length)).toEqual(rising(of.slots));
      for (let slot = 0; slot < of.size; slot++) expect(bits.has(slot)).toBe(of.slots.includes(slot));
      for (const slot of of.slots.slice(0, 3)) bits.delete(slot);
      expect(bits.toArray()).toEqual(rising(of.slots.slice(3)));
      expect(bits.clear().count()).toBe(0);
    }),
  );
});

test('sets of unequal size are combined as if the shorter went on with nothing', () => {
  fc.assert(
    fc.property(filled, filled, (x, y) => {
      const [a, b] = [new Set(x.slots), new Set(y.slots)];
      const combined = (how: 'and' | 'or' | 'andNot' | 'copyFrom') => bitsetOf(x)[how](bitsetOf(y)).toArray();
      // What lies beyond the last word of the first has no room in it.
      const room = ((x.size + 31) >>> 5) << 5;
      const fits = (all: Iterable<number>) => rising(all).filter((slot) => slot < room);
      expect(combined('and')).toEqual(rising(a).filter((slot) => b.has(slot)));
      expect(combined('or')).toEqual(fits(new Set([...a, ...b])));
      expect(combined('andNot')).toEqual(rising(a).filter((slot) => !b.has(slot)));
      expect(combined('copyFrom')).toEqual(fits(b));
      expect(bitsetOf(x).countAnd(bitsetOf(y))).toBe(combined('and').length);
    }),
  );
});

test('a copy has nothing to do with its original, may be longer, and what is kept passes the test', () => {
  fc.assert(
    fc.property(filled, fc.integer({ min: 1, max: 300 }), (of, other) => {
      const bits = bitsetOf(of);
      const copy = bits.clone();
      const longer = bits.sized(of.size + other);
      copy.clear();
      expect(bits.count()).toBe(of.slots.length);
      expect(longer.toArray()).toEqual(rising(of.slots));
      expect(longer.add(of.size + other - 1).has(of.size + other - 1)).toBe(true);
      const state = bits.state();
      expect(bits.keep((slot) => slot % 3 === 0).toArray()).toEqual(rising(of.slots).filter((slot) => slot % 3 === 0));
      expect(Bitset.of(state).toArray()).toEqual(rising(of.slots));
    }),
  );
});
