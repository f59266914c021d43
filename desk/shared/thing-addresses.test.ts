import { addressOf } from './thing-addresses';

test('each thing leads to the place where it is worked on', () => {
  expect(addressOf({ kind: 'category', key: 'c_1' })).toBe('/groups/category/c_1');
  expect(addressOf({ kind: 'tag', key: 't_1' })).toBe('/groups/tags/t_1');
  expect(addressOf({ kind: 'wording', key: 'de/product/p_1' })).toBe('/words/de?at=product/p_1');
  expect(addressOf({ kind: 'specSheet', key: 'x_1' })).toBeUndefined();
});
