import { productOf, shopOf } from '../testing/shop';
import { tellingGoods } from './telling-goods';

test('each stress is shown by the product that has most of it, drafts aside', () => {
  const variants = (count: number) =>
    Array.from({ length: count }, (_, i) => ({ ...productOf('p_b2').variants[0]!, id: `v${count}${i}` }));
  const found = tellingGoods(
    shopOf(
      [
        productOf('p_a1', { title: 'A title that goes on for longer than any other in this shop' }),
        productOf('p_b2', { variants: variants(3) }),
        productOf('p_c4', { variants: variants(9), status: 'draft' }),
        productOf('p_d6', { description: '<p>Much is told of it.</p>' }),
      ],
      new Map([['p_d6v', 0]]),
    ),
  );
  expect(Object.fromEntries(found.map(({ why, id }) => [why, id]))).toEqual({
    'the longest title': 'p_a1',
    'the most versions': 'p_b2',
    'no picture': 'p_a1',
    'nothing in stock': 'p_d6',
    'the longest text': 'p_d6',
  });
});

test('an empty shop has none', () => expect(tellingGoods(shopOf([]))).toEqual([]));
