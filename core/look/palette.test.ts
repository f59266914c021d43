import fc from 'fast-check';
import { lookSchema, usualLook } from '../model/look';
import { pairFaults } from './pairs';
import { coloursOf, lookOf } from './palette';

type Pixel = [red: number, green: number, blue: number, alpha: number];
const byte = fc.integer({ min: 0, max: 255 });
const pixel: fc.Arbitrary<Pixel> = fc.tuple(byte, byte, byte, fc.constantFrom(0, 60, 200, 255));
const many = (of: Pixel, count: number) => Array.from({ length: count }, () => of);

test('the colours of a logo are found, the commonest first; what is transparent and what is blur is not', () => {
  const found = coloursOf(
    [
      ...many([228, 87, 46, 255], 60),
      ...many([18, 54, 74, 255], 30),
      ...many([9, 200, 30, 0], 500),
      ...many([120, 70, 60, 255], 1),
    ].flat(),
  );
  expect(found).toHaveLength(2);
  expect(found[0]!.share).toBeCloseTo(60 / 91);
  // Red before blue, each within a step of what it was.
  expect(found[0]!.hex).toMatch(/^#[c-f][0-9a-f]/);
  expect(found[1]!.hex).toMatch(/^#[0-2][0-9a-f]/);
});

test('in whatever order the pixels come, the colours are the same', () => {
  fc.assert(
    fc.property(fc.array(pixel, { minLength: 1, maxLength: 60 }), fc.integer(), (pixels, seed) => {
      const turned = [...pixels].sort((a, b) => ((a[0] * 31 + seed) % 97) - ((b[0] * 31 + seed) % 97));
      expect(coloursOf(turned.flat())).toEqual(coloursOf(pixels.flat()));
    }),
  );
});

test('whatever the picture, the look made of it is whole and can be read throughout', () => {
  fc.assert(
    fc.property(fc.array(pixel, { maxLength: 40 }), (pixels) => {
      const look = lookOf(coloursOf(pixels.flat()), usualLook);
      expect(lookSchema.parse(look)).toEqual(look);
      expect(pairFaults(look)).toEqual([]);
      expect({ ...look, colours: usualLook.colours }).toEqual(usualLook);
    }),
    { numRuns: 300 },
  );
});

test('a logo of one colour, of greys, and an empty one make looks too', () => {
  const red = lookOf(coloursOf(many([211, 47, 47, 255], 9).flat()), usualLook);
  expect(red.colours.sea).not.toBe(usualLook.colours.sea);
  for (const pixels of [many([90, 90, 90, 255], 9), many([0, 0, 0, 0], 9), []])
    expect(lookOf(coloursOf(pixels.flat()), usualLook).colours.ink).toMatch(/^#([0-9a-f]{2})\1\1$/);
});
