import fc from 'fast-check';
import type { ProposedOption } from '../model/proposal';
import { ALL_NEW, fieldsOfNew, newVariants } from './new-good';

const option: fc.Arbitrary<ProposedOption> = fc.record({
  name: fc.constantFrom('Size', 'Colour', 'Line'),
  values: fc.uniqueArray(fc.string({ minLength: 1, maxLength: 6 }), { minLength: 1, maxLength: 5 }),
});

test('without options there is one variant; with options each combination once, under the places of its values', () => {
  expect(newVariants([])).toEqual([{ key: ALL_NEW, names: [] }]);
  fc.assert(
    fc.property(fc.array(option, { minLength: 1, maxLength: 3 }), (options) => {
      const rows = newVariants(options);
      expect(rows).toHaveLength(options.reduce((product, { values }) => product * values.length, 1));
      expect(new Set(rows.map(({ key }) => key)).size).toBe(rows.length);
      for (const { key, names } of rows)
        expect(key.split('.').map((place, i) => options[i]!.values[Number(place)])).toEqual(names);
    }),
  );
});

test('what is told of all holds where a variant says nothing else; numbers of one variant are never those of all', () => {
  const variants = {
    [ALL_NEW]: { price: 100, cost: 50, barcode: '4006381333931', supplierNumber: 'A' },
    '0': { price: 120 },
  };
  expect(fieldsOfNew(variants, '0')).toEqual({ price: 120, cost: 50 });
  expect(fieldsOfNew(variants, '1')).toEqual({ price: 100, cost: 50 });
  expect(fieldsOfNew(variants, ALL_NEW)).toEqual(variants[ALL_NEW]);
  expect(fieldsOfNew({}, '0')).toEqual({});
});
