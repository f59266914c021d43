import fc from 'fast-check';
import { variantDefaults, type Variant } from './product';
import { mergeValues } from './variants';

const variant = (id: string, values: string[], over: Partial<Variant> = {}): Variant => ({
  ...variantDefaults,
  id,
  values,
  sku: '',
  price: 100,
  salePrice: null,
  cost: null,
  pictureId: null,
  stock: 0,
  ...over,
});

test('a value that goes gives its stock, and codes where there are none', () => {
  const merged = mergeValues(
    [
      variant('a', ['red', 's'], { stock: 3, sku: 'R-S' }),
      variant('b', ['rose', 's'], { stock: 4, sku: 'P-S', barcode: '96385074' }),
      variant('c', ['rose', 'l'], { stock: 2 }),
    ],
    new Map([['rose', 'red']]),
  );
  expect(merged).toEqual([
    variant('a', ['red', 's'], { stock: 7, sku: 'R-S', barcode: '96385074' }),
    variant('c', ['red', 'l'], { stock: 2 }),
  ]);
});

test('no piece is lost, no combination is there twice, and nothing has the old value', () => {
  const rows = fc.uniqueArray(
    fc.record({
      colour: fc.constantFrom('red', 'rose', 'pink'),
      size: fc.constantFrom('s', 'l'),
      stock: fc.nat(9),
    }),
    { selector: ({ colour, size }) => `${colour} ${size}` },
  );
  fc.assert(
    fc.property(rows, (all) => {
      const before = all.map(({ colour, size, stock }, i) => variant(`v${i}`, [colour, size], { stock }));
      const after = mergeValues(
        before,
        new Map([
          ['rose', 'red'],
          ['pink', 'red'],
        ]),
      );
      const pieces = (of: Variant[]) => of.reduce((sum, { stock }) => sum + stock!, 0);
      expect(pieces(after)).toBe(pieces(before));
      expect(new Set(after.map(({ values }) => values.join())).size).toBe(after.length);
      expect(after.every(({ values }) => values[0] === 'red')).toBe(true);
    }),
  );
});

test('uncounted stock stays uncounted', () => {
  const [merged] = mergeValues(
    [variant('a', ['red'], { stock: null }), variant('b', ['rose'], { stock: 4 })],
    new Map([['rose', 'red']]),
  );
  expect(merged!.stock).toBeNull();
});
