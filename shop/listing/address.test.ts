import { withoutFilters, withPage, withPrice, withSort, withValue } from './address';

test('filters change the address and begin again on the first page', () => {
  const one = withValue('/c/kites?page=3', 'colourway', 'ember', true);
  expect(one).toBe('/c/kites?f.colourway=ember');
  const two = withValue(one, 'colourway', 'pine', true);
  expect(two).toBe('/c/kites?f.colourway=ember,pine');
  expect(withValue(withValue(two, 'colourway', 'ember', false), 'colourway', 'pine', false)).toBe('/c/kites');
});

test('prices stand in whole units, and taking filters away keeps words and sort', () => {
  const priced = withPrice('/search?q=delta', { min: 1050, max: 6400 });
  expect(priced).toBe('/search?q=delta&f.price=10.5..64');
  expect(withoutFilters(withSort(priced, 'title'))).toBe('/search?q=delta&sort=title');
  expect(withPage(withPage('/search?q=delta', 2), 1)).toBe('/search?q=delta');
});
