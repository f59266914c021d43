import fc from 'fast-check';
import { offeredSizes, pictureSizes, widthInFrame } from './picture-sizes';

const side = fc.integer({ min: 100, max: 6_000 });
const shape = fc.record({ width: side, height: side, fit: fc.constantFrom('fills' as const, 'fits' as const) });
const ratio = fc.double({ min: 0.4, max: 3, noNaN: true });

test('a tall picture that fills a square is as narrow there as its box makes it', () => {
  expect(widthInFrame({ width: 1_000, height: 2_000, fit: 'fills' }, 1, 480)).toBe(240);
  expect(widthInFrame({ width: 2_000, height: 1_000, fit: 'fills' }, 1, 480)).toBe(240);
  expect(widthInFrame({ width: 1_000, height: 2_000, fit: 'fits' }, 1, 480)).toBe(480);
  expect(widthInFrame({ width: 2_000, height: 1_000, fit: 'fills' }, 2, 480)).toBe(480);
});

test('a picture is never said to be wider than it is', () => {
  expect(widthInFrame({ width: 300, height: 300, fit: 'fills' }, 1, 1_600)).toBe(300);
});

test('whatever is shown, the next size up is at most 1.4 times as wide, where the picture has the pixels', () => {
  fc.assert(
    fc.property(shape, ratio, fc.integer({ min: 100, max: 800 }), (picture, frame, widest) => {
      const offered = offeredSizes(picture, frame, widest);
      for (let i = 1; i < offered.length; i++)
        expect(offered[i]!.width).toBeLessThanOrEqual(Math.ceil(offered[i - 1]!.width * 1.4) + 1);
      const most = widthInFrame(picture, frame, pictureSizes.at(-1)!);
      expect(offered.at(-1)!.width).toBeGreaterThanOrEqual(Math.min(most, widest * 2) - 1);
    }),
  );
});
