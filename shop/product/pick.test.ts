import type { ProductView } from '../../core/storefront/views';
import { firstVariant, isAvailable, variantWith } from './pick';

const variant = (id: string, colour: string, size: string, inStock = true) =>
  ({ id, options: { colour, size }, inStock }) as unknown as ProductView['variants'][number];

const product = {
  variants: [
    variant('es', 'ember', 's', false),
    variant('el', 'ember', 'l'),
    variant('ss', 'sea', 's'),
    variant('ps', 'plum', 's', false),
  ],
} as unknown as ProductView;
const of = (id: string) => product.variants.find((each) => each.id === id)!;

test('a product opens with the variant asked for, else with one that can be had', () => {
  expect(firstVariant(product, 'ps')!.id).toBe('ps');
  expect(firstVariant(product, 'gone')!.id).toBe('el');
  expect(firstVariant({ variants: [] }, null)).toBeUndefined();
});

test('choosing a value keeps the others where such a variant exists, else the nearest', () => {
  expect(variantWith(product, of('ss'), 'colour', 'ember').id).toBe('es');
  expect(variantWith(product, of('el'), 'colour', 'sea').id).toBe('ss');
  expect(variantWith(product, of('el'), 'colour', 'moon').id).toBe('el');
});

test('a value is offered as available only with the other chosen values, and in stock', () => {
  expect(isAvailable(product, of('ss'), 'colour', 'ember')).toBe(false);
  expect(isAvailable(product, of('el'), 'colour', 'ember')).toBe(true);
  expect(isAvailable(product, of('el'), 'colour', 'sea')).toBe(false);
});
