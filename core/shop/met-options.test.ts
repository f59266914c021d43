import fc from 'fast-check';
import type { ProductDocument } from '../model/document';
import { MetOptions } from './met-options';

type Options = ProductDocument['options'];

const option = fc
  .record({
    name: fc.constantFrom('Colour', 'colour', 'Size', 'Größe'),
    values: fc.uniqueArray(fc.constantFrom('Rosé', 'Rose', 'rose', 'Ember', '2 m', '10 m', '红'), {
      minLength: 1,
      maxLength: 4,
    }),
    swatch: fc.constantFrom(null, '#e4572e', '#2e7d32'),
  })
  .map(({ name, values, swatch }) => ({
    id: 'o',
    name,
    values: values.map((value) => ({ id: value, name: value, swatch, pictureId: null })),
  }));
const options: fc.Arbitrary<Options> = fc.array(option, { maxLength: 3 });

const told = (met: MetOptions) =>
  Array.from(met.all, ([key, { label, values, swatches }]) => [key, label, [...values], [...swatches]]);

function of(all: readonly Options[]): MetOptions {
  const met = new MetOptions();
  for (const each of all) met.replace(undefined, each);
  return met;
}

test('what is told of options follows from the products, not from the order in which they came, or from what was before', () => {
  fc.assert(
    fc.property(
      fc.array(options, { maxLength: 6 }),
      fc.array(options, { maxLength: 4 }),
      fc.nat(1_000),
      (all, gone, seed) => {
        const shuffled = [...all.keys()]
          .sort((a, b) => ((a * 31 + seed) % 7) - ((b * 31 + seed) % 7))
          .map((i) => all[i]!);
        const lived = of(gone);
        shuffled.forEach((each, i) => lived.replace(gone[i], each));
        for (const each of gone.slice(shuffled.length)) lived.replace(each, undefined);
        expect(told(lived)).toEqual(told(of(all)));
        const copy = new MetOptions();
        copy.copyFrom(lived);
        if (all[0]) copy.replace(all[0], undefined);
        expect(told(lived)).toEqual(told(of(all)));
        expect(told(copy)).toEqual(told(of(all.slice(1))));
      },
    ),
  );
});

test('options that most products have come first, values as they stand in the products, numbers by their size', () => {
  const one = (name: string, ...values: string[]): Options => [
    { id: 'o', name, values: values.map((value) => ({ id: value, name: value, swatch: null, pictureId: null })) },
  ];
  const met = of([
    one('Length', '10 m', '2 m'),
    one('Length', '2 m', '10 m'),
    one('Size', 'S', 'L'),
    one('Size', 'S', 'M', 'L'),
    one('Size', 'M', 'L'),
  ]);
  expect([...met.all.values()].map(({ label, values }) => [label, [...values.values()]])).toEqual([
    ['Size', ['S', 'M', 'L']],
    ['Length', ['2 m', '10 m']],
  ]);
});
