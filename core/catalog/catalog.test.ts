import fc from 'fast-check';
import { CategoryTree } from './category-tree';
import { categoryDefaults } from './group';
import { slugSchema } from './identity';
import { freeSlug, slugFrom } from './slug';
import { parseMoney, plainAmount } from './money';
import { variantDefaults, type Option, type Variant } from './product';
import { checkOptions, combinations, pictureWords, planVariants, stillLeftOut } from './variants';
import { readDuration, readMeasure, readRange, readSize } from './units';
import { skusByPattern } from './sku-pattern';

test.each([
  ['24', 2400],
  ['24.5', 2450],
  ['24,50', 2450],
  ['€ 1.024,50', 102450],
  ['1,024', 102400],
  ['-3', -300],
  ['abc', undefined],
  ['1.2.3', undefined],
  ['', undefined],
  ['12.345,6,7', undefined],
])('an amount typed as %p is read as %p', (typed, minor) => expect(parseMoney(typed)).toBe(minor));

test.each([
  ['1.999', 'en', undefined],
  ['1,999', 'en', 199_900],
  ['1.999', 'de', 199_900],
  ['1,999', 'de', undefined],
  ['1.999,50', 'en', 199_950],
  ['1.234.567', 'en', 123_456_700],
  ['9'.repeat(100), 'en', undefined],
])('%p in the language %s is read as %p', (typed, locale, minor) => expect(parseMoney(typed, locale)).toBe(minor));

test('what is far too long for a measure is told so, and not looked at', () => {
  for (const read of [
    readSize,
    readDuration,
    (typed: string) => readMeasure(typed, 'cm'),
    (typed: string) => readRange(typed, 'Bft'),
  ])
    for (const typed of ['x'.repeat(50_000), '1'.repeat(50_000), `${'a '.repeat(25_000)}cm`])
      expect(read(typed)).toEqual({ problem: expect.stringContaining('too long') });
});

test('every amount survives being shown and typed again', () => {
  fc.assert(fc.property(fc.integer({ min: 0, max: 99_999_999 }), (minor) => parseMoney(plainAmount(minor)) === minor));
});

test('any words give a slug that is allowed and free', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), fc.integer({ min: 0, max: 5 }), (words, n) => {
      const taken = new Set<string>();
      for (let i = 0; i <= n; i++) {
        const slug = freeSlug(slugFrom(words), (each) => taken.has(each));
        expect(slugSchema.safeParse(slug).success).toBe(true);
        expect(taken.has(slug)).toBe(false);
        taken.add(slug);
      }
    }),
  );
  expect(slugFrom('Größe & Flügel')).toBe('grosse-and-flugel');
});

const option = (id: string, ...values: string[]): Option => ({
  id,
  name: id,
  listId: null,
  values: values.map((value) => ({ id: value, name: value, swatch: null, pictureId: null })),
});
const variant = (id: string, values: string[], stock = 0): Variant => ({
  id,
  values,
  sku: '',
  price: 100,
  ...variantDefaults,
  salePrice: null,
  cost: null,
  pictureId: null,
  stock,
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
      [variant('v1', ['red']), variant('v2', ['blue'], 4)],
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

test('a category may not move into its own branch or too deep', () => {
  const chain = Array.from({ length: 5 }, (_, i) => ({
    ...categoryDefaults,
    id: `c${i}`,
    parentId: i ? `c${i - 1}` : null,
    position: 0,
    name: '',
    slug: 'x',
  }));
  const tree = new CategoryTree([...chain, { ...chain[0]!, id: 'other' }]);
  expect(tree.refuseMove('c0', 'c3')).toMatch(/into itself/);
  expect(tree.refuseMove('other', 'c4')).toMatch(/5 levels/);
  expect(tree.refuseMove('other', 'c3')).toBeUndefined();
  expect([tree.refuseChild('c4'), tree.refuseChild('c3')]).toEqual([expect.stringMatching(/5 levels/), undefined]);
  expect(tree.branch('c2').map(({ id }) => id)).toEqual(['c2', 'c3', 'c4']);
});

describe('SKU patterns', () => {
  const options = [option('Colourway', 'Ember', 'Emerald', 'Pine'), option('Line set', 'Without', 'With 50 m reel')];
  const variants = combinations(options).map((values, i) => variant(`v${i}`, values));
  const skus = (pattern: string) => skusByPattern(pattern, options, variants);

  test('values stand in capitals, cut as told, and no two are the same', () => {
    const made = skus('HD180-{colourway:2}-{line}') as Map<string, string>;
    expect([...made.values()]).toEqual([
      'HD180-EM-WITHOUT',
      'HD180-EM-WITH50MREEL',
      'HD180-EM-WITHOUT-2',
      'HD180-EM-WITH50MREEL-2',
      'HD180-PI-WITHOUT',
      'HD180-PI-WITH50MREEL',
    ]);
  });
  test.each([
    ['HD-{size}', /no option “size”/],
    ['HD-{colourway', /partner/],
    ['HD-{colourway:x}', /no number/],
    ['HD-{}', /no option/],
  ])('%s is refused', (pattern, words) => expect(skus(pattern)).toMatch(words));
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
    fc.property(fc.subarray(all), (leftOut) => {
      const variants = all.map((values, i) => variant(`v${i}`, values));
      const without = planVariants(options, options, variants, leftOut);
      expect(without.keep.map(({ values }) => values)).toEqual(all.filter((values) => !leftOut.includes(values)));
      expect(without.drop).toHaveLength(leftOut.length);
      const back = planVariants(
        options,
        options,
        without.keep.map(({ variant: kept }) => kept),
        [],
      );
      expect(back.add.map(({ values }) => values).sort()).toEqual([...leftOut].sort());
    }),
  );
  expect(
    stillLeftOut([option('c', 'Ember'), option('s', 'S', 'L')], [['Ember', 'L'], ['Pine', 'S'], ['Ember']]),
  ).toEqual([['Ember', 'L']]);
});
