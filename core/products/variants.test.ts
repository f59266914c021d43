import fc from 'fast-check';
import type { Variant } from '../model/product';
import { option, variant } from '../testing/product-parts';
import { checkOptions, combinations, mergeValues, pictureWords, planVariants, stillExcluded } from './variants';

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

describe('variants follow options', () => {
  test('a new option keeps the old variants as its first value', () => {
    const plan = planVariants(
      [option('colour', 'red', 'blue')],
      [option('colour', 'red', 'blue'), option('size', 's', 'l')],
      [variant('v1', ['red']), variant('v2', ['blue'])],
    );
    expect(plan.keep.map(({ variant: { id }, values }) => [id, ...values])).toEqual([
      ['v1', 'red', 's'],
      ['v2', 'blue', 's'],
    ]);
    expect(plan.add.map(({ values, like }) => [like?.id, ...values])).toEqual([
      ['v1', 'red', 'l'],
      ['v2', 'blue', 'l'],
    ]);
    expect(plan.drop).toEqual([]);
  });

  test('a value that goes leaves its variants to be dropped by decision, not silently', () => {
    const plan = planVariants(
      [option('colour', 'red', 'blue')],
      [option('colour', 'red')],
      [variant('v1', ['red']), variant('v2', ['blue'], { stock: 4 })],
    );
    expect(plan.drop.map(({ id }) => id)).toEqual(['v2']);
  });

  test('whatever the change, every combination has exactly one variant and none is in two lists', () => {
    const values = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd'), { minLength: 1, maxLength: 3 });
    const options = fc
      .uniqueArray(fc.constantFrom('x', 'y', 'z'), { maxLength: 3 })
      .chain((ids) => fc.tuple(...ids.map((id) => values.map((all) => option(id, ...all.map((v) => id + v))))));
    fc.assert(
      fc.property(options, options, (before, after) => {
        const variants = combinations(before).map((row, i) => variant(`v${i}`, row));
        const plan = planVariants(before, after, variants);
        const made = [...plan.keep, ...plan.add].map(({ values: row }) => row.join(' ')).sort();
        expect(made).toEqual(
          combinations(after)
            .map((row) => row.join(' '))
            .sort(),
        );
        expect(plan.keep.length + plan.drop.length).toBe(variants.length);
      }),
    );
  });

  test('names that clash, and too many variants, are told', () => {
    const named = (name: string, ...values: string[]) => ({ name, values: values.map((value) => ({ name: value })) });
    expect(checkOptions([named('Size', 'S', ' s ')])[0]!.message).toBe('“s” is already a value of Size.');
    expect(checkOptions([named('Size', 'S'), named('size', 'M')])[0]!.message).toMatch(/already an option/);
    const many = Array.from({ length: 25 }, (_, i) => String(i));
    expect(checkOptions([named('A', ...many), named('B', ...many)])[0]!.message).toMatch(/625 variants/);
  });
});

test('words for a picture name what its variants share', () => {
  const options = [option('Colourway', 'Ember', 'Pine'), option('Size', 'S', 'L')];
  const variants = combinations(options).map((values, i) => ({
    ...variant(`v${i}`, values),
    pictureId: i < 2 ? 'i_1' : 'i_2',
  }));
  const product = { title: 'Harrier', options, variants };
  expect(pictureWords(product, 'i_1')).toBe('Harrier, Ember');
  expect(pictureWords(product, 'i_9')).toBe('Harrier');
  const all = { ...product, variants: variants.map((each) => ({ ...each, pictureId: 'i_1' })) };
  expect(pictureWords(all, 'i_1')).toBe('Harrier');
});

test('combinations that are left out get no variant, and come back when they are not', () => {
  const options = [option('c', 'Ember', 'Pine'), option('s', 'S', 'L')];
  const all = combinations(options);
  fc.assert(
    fc.property(fc.subarray(all), (excluded) => {
      const variants = all.map((values, i) => variant(`v${i}`, values));
      const without = planVariants(options, options, variants, excluded);
      expect(without.keep.map(({ values }) => values)).toEqual(all.filter((values) => !excluded.includes(values)));
      expect(without.drop).toHaveLength(excluded.length);
      const back = planVariants(
        options,
        options,
        without.keep.map(({ variant: kept }) => kept),
        [],
      );
      expect(back.add.map(({ values }) => values).sort()).toEqual([...excluded].sort());
    }),
  );
  expect(
    stillExcluded([option('c', 'Ember'), option('s', 'S', 'L')], [['Ember', 'L'], ['Pine', 'S'], ['Ember']]),
  ).toEqual([['Ember', 'L']]);
});
