import fc from 'fast-check';
import type { FinderEntry } from '../search/entry';

const words = ['delta', 'delat', 'diamond', 'kite', 'kites', 'reel', 'line', 'lime', 'sled', 'box', 'night', 'light'];
export const colours = ['ember', 'pine', 'sea'];
export const sizes = ['s', 'm', 'l'];
export const brands = ['alula', 'norrwind', 'tern'];
/** So many that the finder rather looks for them among the values of each product. */
export const tags = Array.from({ length: 24 }, (_, i) => `tag-${i}`);

export const queryText = fc.oneof(
  fc.constant(''),
  fc
    .array(fc.constantFrom(...words, 'de', 'k', 'dlta', 'kitse', 'nigth', 'zzzz', 'tag'), { maxLength: 2 })
    .map((x) => x.join(' ')),
);

const variant = fc.record({
  colour: fc.constantFrom(...colours),
  size: fc.constantFrom(...sizes),
  price: fc.integer({ min: 1, max: 6 }),
  stock: fc.integer({ min: 0, max: 2 }),
});

/** Finder entries over a small world, so that random filters meet. */
export function entryArbitrary(id: fc.Arbitrary<string>): fc.Arbitrary<FinderEntry> {
  return fc
    .record({
      id,
      title: fc.array(fc.constantFrom(...words), { minLength: 1, maxLength: 3 }).map((x) => x.join(' ')),
      extra: fc.array(fc.constantFrom(...words), { maxLength: 2 }).map((x) => x.join(' ')),
      brand: fc.option(fc.constantFrom(...brands)),
      tagged: fc.uniqueArray(fc.constantFrom(...tags), { maxLength: 4 }),
      created: fc.integer({ min: 0, max: 5 }),
      span: fc.option(fc.tuple(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 0, max: 3 }))),
      variants: fc.array(variant, { maxLength: 4 }),
    })
    .map(({ id, title, extra, brand, tagged, created, span, variants }) => ({
      id,
      title,
      numbers: {
        price: variants.length ? Math.min(...variants.map((each) => each.price)) : 0,
        priceMax: Math.max(0, ...variants.map((each) => each.price)),
        stock: variants.reduce((sum, each) => sum + each.stock, 0),
        created,
        featured: 0,
        ...(span ? { 'wind.from': span[0], 'wind.upTo': span[0] + span[1] } : {}),
      },
      // The brand stands in the middle: values of one facet need not come one after the other.
      values: [
        ...tagged.slice(2).map((tag) => ['tag', tag] as const),
        ...(brand ? [['brand', brand] as const] : []),
        ...tagged.slice(0, 2).map((tag) => ['tag', tag] as const),
      ],
      texts: [
        { text: title, weight: 8 },
        { text: tagged, weight: 3 },
        { text: extra, weight: 1 },
      ],
      variants: variants.map(({ colour, size, price, stock }, i) => ({
        id: `${id}-${i}`,
        numbers: { price, stock },
        values: [
          ['colour', colour] as const,
          ['size', size] as const,
          ...(stock > 0 ? [['available', 'in'] as const] : []),
        ],
      })),
    }));
}
