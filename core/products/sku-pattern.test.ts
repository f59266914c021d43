import { option, variant } from '../testing/product-parts';
import { skusByPattern } from './sku-pattern';
import { combinations } from './variants';

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
