import fc from 'fast-check';
import { bundlePrice, bundleStock, type BundlePart, type SlotParts } from './bundle';

const part = (id: string, stock: number, low = 100, high = low): BundlePart => ({ id, low, high, stock });
const slot = (min: number, max: number, ...parts: BundlePart[]): SlotParts => ({ min, max, parts });

/** Tries to fill every slot `times` times, piece by piece, with all ways to share. */
function canBeMade(slots: readonly SlotParts[], times: number): boolean {
  const left = new Map(slots.flatMap(({ parts }) => parts.map(({ id, stock }) => [id, stock])));
  const wanted = slots.flatMap(({ min, parts }) =>
    Array.from({ length: min * times }, () => parts.map(({ id }) => id)),
  );
  const fill = (at: number): boolean => {
    if (at === wanted.length) return true;
    return wanted[at]!.some((id) => {
      if (left.get(id)! <= 0) return false;
      left.set(id, left.get(id)! - 1);
      const done = fill(at + 1);
      left.set(id, left.get(id)! + 1);
      return done;
    });
  };
  return fill(0);
}

describe('how often a bundle can be made', () => {
  test('the slot that runs out first is told', () => {
    const slots = [slot(1, 1, part('kite', 9)), slot(2, 2, part('line', 7)), slot(0, 1, part('tail', 0))];
    expect(bundleStock(slots)).toEqual({ stock: 3, scarce: [1] });
  });

  test('a product in two slots is counted once', () => {
    const line = part('line', 5);
    expect(bundleStock([slot(1, 1, line), slot(1, 1, line)])).toEqual({ stock: 2, scarce: [0, 1] });
  });

  test('a slot without products lets nothing be made; uncounted parts have no end', () => {
    expect(bundleStock([slot(1, 1)]).stock).toBe(0);
    expect(bundleStock([slot(1, 1, part('plan', Infinity))])).toEqual({ stock: Infinity, scarce: [] });
  });

  test('where every slot may stay empty, the pieces of all parts are told, each product once', () => {
    const line = part('line', 5);
    expect(bundleStock([slot(0, 2, line, part('kite', 3)), slot(0, 1, line)])).toEqual({ stock: 8, scarce: [] });
    expect(bundleStock([])).toEqual({ stock: 0, scarce: [] });
  });

  test('a slot that may stay empty holds nothing up, and its place is counted all the same', () => {
    const slots = [slot(0, 1, part('tail', 0)), slot(1, 1, part('kite', 2)), slot(1, 1, part('line', 1))];
    expect(bundleStock(slots)).toEqual({ stock: 1, scarce: [2] });
  });

  test('it agrees with trying every way to share the pieces', () => {
    const piece = fc.integer({ min: 0, max: 3 });
    fc.assert(
      fc.property(
        fc.tuple(piece, piece, piece),
        fc.array(
          fc.record({
            min: fc.integer({ min: 1, max: 2 }),
            of: fc.uniqueArray(fc.integer({ min: 0, max: 2 }), { minLength: 1 }),
          }),
          { minLength: 1, maxLength: 3 },
        ),
        (stocks, wanted) => {
          const slots = wanted.map(({ min, of }) => slot(min, min, ...of.map((i) => part(`p${i}`, stocks[i]!))));
          const { stock } = bundleStock(slots);
          expect(canBeMade(slots, stock)).toBe(true);
          expect(canBeMade(slots, stock + 1)).toBe(false);
        },
      ),
    );
  });
});

describe('the price of a bundle of parts', () => {
  test('runs from the cheapest choice to the dearest, and leaves sold-out parts out', () => {
    const slots = [slot(1, 1, part('a', 2, 3_000, 4_000), part('b', 0, 1_000)), slot(0, 2, part('line', 9, 500))];
    expect(bundlePrice(slots, 1_000)).toEqual({ low: 2_700, high: 4_500 });
  });

  test('among the parts of a slot the cheapest and the dearest count, wherever they stand', () => {
    const parts = [part('b', 1, 500, 700), part('a', 1, 300, 400), part('c', 1, 400, 900), part('d', 1, 450, 600)];
    expect(bundlePrice([slot(2, 3, ...parts)], 0)).toEqual({ low: 600, high: 2_700 });
  });

  test('where everything in a slot is sold out, all of its parts are reckoned with', () => {
    expect(bundlePrice([slot(1, 1, part('a', 0, 300, 400), part('b', 0, 200))], 0)).toEqual({ low: 200, high: 400 });
  });

  test('a slot without parts costs nothing, and without any parts the bundle does neither', () => {
    expect(bundlePrice([slot(1, 1), slot(1, 1, part('a', 1, 300))], 0)).toEqual({ low: 300, high: 300 });
    expect(bundlePrice([slot(1, 1)], 0)).toEqual({ low: 0, high: 0 });
  });

  test('when every slot may stay empty, it begins at the cheapest part alone', () => {
    expect(bundlePrice([slot(0, 1, part('a', 1, 900)), slot(0, 1, part('b', 1, 400))], 0)).toEqual({
      low: 400,
      high: 1_300,
    });
  });

  test('the lowest is never above the highest, nor below zero', () => {
    const parts = fc.uniqueArray(
      fc.record({ id: fc.constantFrom('a', 'b', 'c'), low: fc.nat(9_999), more: fc.nat(999), stock: fc.nat(2) }),
      { selector: ({ id }) => id, maxLength: 3 },
    );
    const slots = fc.array(fc.record({ min: fc.nat(2), more: fc.nat(2), parts }), { maxLength: 4 });
    fc.assert(
      fc.property(slots, fc.integer({ min: 0, max: 9_500 }), (some, off) => {
        const { low, high } = bundlePrice(
          some.map(({ min, more, parts }) => ({
            min,
            max: Math.max(1, min + more),
            parts: parts.map(({ id, low, more, stock }) => ({ id, low, high: low + more, stock })),
          })),
          off,
        );
        expect(low).toBeGreaterThanOrEqual(0);
        expect(high).toBeGreaterThanOrEqual(low);
      }),
    );
  });
});
