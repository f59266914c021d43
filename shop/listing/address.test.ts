import { withoutFilters, withPage, withSpan, withSort, withValue } from './address';

test('filters change the address and begin again on the first page', () => {
  const one = withValue('/c/kites?page=3', 'colourway', 'ember', true);
  expect(one).toBe('/c/kites?f.colourway=ember');
  const two = withValue(one, 'colourway', 'pine', true);
  expect(two).toBe('/c/kites?f.colourway=ember,pine');
  expect(withValue(withValue(two, 'colourway', 'ember', false), 'colourway', 'pine', false)).toBe('/c/kites');
});

test('spans keep an open end open, and taking filters away keeps words and sort', () => {
  const priced = withSpan('/search?q=delta', 'price', { min: 10.5, max: 64 });
  expect(priced).toBe('/search?q=delta&f.price=10.5..64');
  expect(withSpan(priced, 'price', { min: -Infinity, max: 64 })).toBe('/search?q=delta&f.price=..64');
  expect(withSpan(priced, 'price', null)).toBe('/search?q=delta');
  expect(withoutFilters(withSort(priced, 'title'))).toBe('/search?q=delta&sort=title');
  expect(withPage(withPage('/search?q=delta', 2), 1)).toBe('/search?q=delta');
});
