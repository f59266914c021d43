import { productOf, shopOf } from '../testing/shop';
import { missingToOpen } from './missing-to-open';

const priced = (id: string, price: number) =>
  productOf(id, { variants: productOf(id).variants.map((variant) => ({ ...variant, price })), pictures: [] });
const words = (...products: ReturnType<typeof productOf>[]) =>
  missingToOpen(shopOf(products), 1).map((each) => each.words);

test('goods that shoppers would stumble over are counted; drafts are not', () => {
  expect(words(priced('p_a1', 0), priced('p_b2', 500), { ...priced('p_c4', 0), status: 'draft' })).toEqual([
    'The home page is empty.',
    'The menu is empty.',
    'One product has no price.',
    '2 products have no picture.',
  ]);
});

test('an empty shop has no products, and nothing is said of what they lack', () => {
  expect(missingToOpen(shopOf([]), 0).map(({ at }) => at)).toEqual(['review', 'goods', 'shopfront', 'menu']);
});
