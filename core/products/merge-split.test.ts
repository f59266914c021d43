import fc from 'fast-check';
import { productArbitrary } from '../testing/shop';
import { mergedProduct, refuseMerge, refuseSplit, splitProducts, type NewId } from './merge-split';
import { variantDefaults, type Product } from '../model/product';
import { combinations } from './variants';

const ids = (): NewId => {
  let n = 0;
  return (kind) => `${kind}_${n++}`;
};
const arbitrary = productArbitrary(fc.constantFrom('p_1')).map((product) => ({
  ...product,
  supplier: '',
  options: product.options.map((option) => ({ ...option, listId: null })),
  variants: product.variants.map((variant, i) => ({
    ...variantDefaults,
    ...variant,
    stock: i,
    sku: `S${i}`,
  })),
}));

/** What is sold: SKU, price and stock of each combination, by the names of its values without those of one option. */
const sold = (products: readonly Product[], withoutOption?: string) =>
  products
    .flatMap(({ options, variants }) =>
      variants.map(({ values, sku, price, stock }) => {
        const names = options.flatMap((option, i) =>
          option.name === withoutOption ? [] : (option.values.find(({ id }) => id === values[i])?.name ?? 'lost'),
        );
        return [...names.sort(), sku, price, stock].join(' ');
      }),
    )
    .sort();

test('splitting and merging again keep every variant with its price, stock and SKU', () => {
  fc.assert(
    fc.property(arbitrary, (product) => {
      const [option] = product.options;
      fc.pre(refuseSplit(product, option!.id) === undefined);
      const parts = splitProducts(product, option!.id, ids());
      expect(sold(parts)).toEqual(sold([product], option!.name));
      expect(parts.every((part) => part.options.every(({ id }) => id !== option!.id))).toBe(true);
      if (parts.length < 2) return;
      const values = parts.map((part) => part.title.split(', ').at(-1)!);
      expect(refuseMerge(parts, option!.name, values)).toBeUndefined();
      const whole = mergedProduct(parts, option!.name, values, ids());
      expect(sold([whole])).toEqual(sold([product]));
      expect(whole.variants.length + whole.excludedCombinations.length).toBe(combinations(whole.options).length);
      expect(new Set(whole.variants.map(({ id }) => id)).size).toBe(whole.variants.length);
    }),
  );
});

test('what cannot become one says why', () => {
  const [a] = fc.sample(arbitrary, { numRuns: 1, seed: 1 }) as [Product];
  const b = { ...a, id: 'p_2', title: 'Other', options: a.options.slice(0, 1) };
  expect(refuseMerge([a], 'Size', ['s'])).toBe('Pick at least two products.');
  expect(refuseMerge([a, b], 'Length', ['s', 'l'])).toBe(`“Other” has other options than “${a.title}”.`);
  expect(refuseMerge([a, { ...a, kind: 'service' }], 'Length', ['s', 'l'])).toBe('They are of different kinds.');
  expect(refuseMerge([a, a], 'Length', ['s', 'S '])).toBe('Two products have the same value of the new option.');
  expect(refuseMerge([a, a], a.options[0]!.name, ['s', 'l'])).toBe(
    `There is already an option “${a.options[0]!.name}”.`,
  );
  expect(refuseMerge([a, a], '', ['s', 'l'])).toBe('The new option needs a name.');
});
