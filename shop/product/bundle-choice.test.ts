import fc from 'fast-check';
import type { BundleView } from '../../core/storefront/views';
import { choose, missingOf, startChoice, sumOf } from './bundle-choice';

const part = (id: string, price: number, most: number) => ({
  id,
  title: id,
  url: '',
  picture: null,
  variants: [{ id: `${id}v`, label: '', price, most }],
});
const bundle: BundleView = {
  off: 1_000,
  slots: [
    { id: 'kite', label: 'Kite', min: 1, max: 1, usual: 'b', parts: [part('a', 3_000, 1), part('b', 5_000, 1)] },
    { id: 'line', label: 'Line', min: 2, max: 3, usual: null, parts: [part('l', 500, 1), part('m', 700, 9)] },
    { id: 'tail', label: 'Tail', min: 0, max: 1, usual: null, parts: [part('t', 999, 0)] },
  ],
};

test('it begins with the usual product, and fills the rest with what can be had', () => {
  expect(startChoice(bundle)).toEqual({ kite: { bv: 1 }, line: { lv: 1, mv: 1 }, tail: {} });
  expect(sumOf(bundle, startChoice(bundle), 0)).toEqual({ singly: 6_200, together: 5_580 });
  expect(missingOf(bundle, startChoice(bundle))).toBeNull();
});

test('a slot for one piece changes over; others add up to what they take', () => {
  const other = choose(startChoice(bundle), bundle.slots[0]!, 'av', 1);
  expect(other.kite).toEqual({ av: 1 });
  expect(choose(other, bundle.slots[1]!, 'mv', 9).line).toEqual({ lv: 1, mv: 2 });
  expect(missingOf(bundle, choose(other, bundle.slots[1]!, 'mv', 0))).toBe('Choose 1 more: Line');
});

test('sold-out parts cannot be chosen, and a fixed price stays', () => {
  const start = startChoice(bundle);
  expect(choose(start, bundle.slots[2]!, 'tv', 1).tail).toEqual({});
  expect(sumOf({ ...bundle, off: null }, start, 4_900).together).toBe(4_900);
  const gone = { ...bundle, slots: [{ ...bundle.slots[2]!, min: 1 }] };
  expect(missingOf(gone, startChoice(gone))).toBe('Tail is sold out');
});

test('no clicking can go beyond what there is or what a slot takes', () => {
  const clicks = fc.array(
    fc.record({ slot: fc.constantFrom(...bundle.slots), at: fc.nat(1), pieces: fc.integer({ min: -3, max: 20 }) }),
  );
  fc.assert(
    fc.property(clicks, (all) => {
      let choice = startChoice(bundle);
      for (const { slot, at, pieces } of all) {
        const variants = slot.parts.flatMap((each) => each.variants);
        choice = choose(choice, slot, variants[at % variants.length]!.id, pieces);
      }
      for (const slot of bundle.slots) {
        const chosen = Object.entries(choice[slot.id] ?? {});
        expect(chosen.reduce((sum, [, n]) => sum + n, 0)).toBeLessThanOrEqual(slot.max);
        for (const [id, n] of chosen)
          expect(n).toBeLessThanOrEqual(
            slot.parts.flatMap((each) => each.variants).find((each) => each.id === id)!.most,
          );
      }
    }),
  );
});
