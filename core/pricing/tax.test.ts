import { noTaxSettings } from '../model/selling';
import { taxesOf, taxMoments, taxOfCountry, taxRateOf, type TaxOfShop } from './tax';

const at = (iso: string) => Date.parse(iso) / 1_000;
const shop: TaxOfShop = { taxRate: 2_100, reducedTaxRate: 900, taxIncluded: true, tax: noTaxSettings };
const change = (from: string | null, standard: number) => ({ from, standard, reduced: 500 });

test('the rate that began last holds, in whatever order rates were typed; of two of one moment the later line', () => {
  const changes = [
    change('2028-01-01T00:00:00.000Z', 2_300),
    change('2027-01-01T00:00:00.000Z', 2_200),
    change('2028-01-01T00:00:00.000Z', 2_400),
  ];
  const of: TaxOfShop = { ...shop, tax: { ...noTaxSettings, changes } };
  const rate = (iso: string) => taxRateOf(of, 'standard', at(iso));
  expect(rate('2026-12-31T23:59:59Z')).toBe(2_100);
  expect(rate('2027-01-01T00:00:00Z')).toBe(2_200);
  expect(rate('2028-01-01T00:00:00Z')).toBe(2_400);
  expect(taxRateOf(of, 'reduced', at('2029-01-01T00:00:00Z'))).toBe(500);
  expect(taxRateOf(of, 'zero', at('2029-01-01T00:00:00Z'))).toBe(0);
  expect(taxMoments(of)).toEqual(changes.map(({ from }) => from));
});

test('a zone whose rates have not begun is taxed as at home', () => {
  const zone = {
    id: 'z_de0001',
    countries: ['DE'],
    prices: 'added' as const,
    rates: [change('2027-01-01T00:00:00.000Z', 1_900)],
  };
  const of: TaxOfShop = { ...shop, tax: { ...noTaxSettings, zones: [zone] } };
  const before = taxOfCountry(of, 'DE', at('2026-06-01T00:00:00Z'));
  expect([before.rate('standard'), before.included, before.asked(12_100, 'standard')]).toEqual([2_100, true, 12_100]);
  const since = taxOfCountry(of, 'DE', at('2027-06-01T00:00:00Z'));
  expect([since.rate('standard'), since.included, since.asked(12_100, 'standard')]).toEqual([1_900, false, 10_000]);
  expect(taxOfCountry(of, 'BE', at('2027-06-01T00:00:00Z')).rate('standard')).toBe(2_100);
});

test('taxes are told by rate, the highest first, and each amount gets its part', () => {
  const amounts = [
    { amount: 109, rate: 900 },
    { amount: 121, rate: 2_100 },
    { amount: 242, rate: 2_100 },
    { amount: 50, rate: 0 },
  ];
  const { each, sums } = taxesOf(amounts, true);
  expect(sums).toEqual([
    { rate: 2_100, net: 300, tax: 63 },
    { rate: 900, net: 100, tax: 9 },
    { rate: 0, net: 50, tax: 0 },
  ]);
  expect(each).toEqual([9, 21, 42, 0]);
  expect(taxesOf([], true)).toEqual({ each: [], sums: [] });
});
