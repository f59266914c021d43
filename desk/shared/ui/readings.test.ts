import { setShopLocale } from '../../data/shop-locale';
import { readAmount, readPercent, readReduction, readWeight } from './readings';

afterEach(() => setShopLocale('en'));

test('a weight without a unit is grams', () => {
  expect(readWeight('400')).toEqual({ value: 400 });
  expect(readWeight('1.2 kg')).toEqual({ value: 1_200 });
  expect(readWeight('')).toEqual({ value: null });
});

test('an amount is read as the shop\u2019s language writes it', () => {
  expect(readAmount('1.999')).toHaveProperty('problem');
  setShopLocale('de');
  expect(readAmount('1.999')).toEqual({ value: 199_900 });
  expect(readAmount('24,50')).toEqual({ value: 2_450 });
});

test('what looks like a price is not taken for a reduction', () => {
  for (const typed of ['13.50', '13,50 ', '€13', '12.00']) expect(readReduction(typed)).toHaveProperty('problem');
  expect(readReduction('13.5 %')).toEqual({ value: 1_350 });
  expect(readReduction('10')).toEqual({ value: 1_000 });
  expect(readPercent('13.50')).toEqual({ value: 1_350 });
});
