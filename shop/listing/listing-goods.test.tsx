/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ListingView } from '../../core/storefront/views';
import { ListingGoods } from './listing-goods';

const item = (id: string): ListingView['items'][number] => ({
  id,
  slug: id,
  title: `Kite ${id}`,
  url: `/p/${id}`,
  image: null,
  picture: null,
  price: { min: 1_000, max: 1_000, currency: 'EUR' },
  pricing: 'shown',
  wasPrice: null,
  unitPrice: null,
  inStock: true,
  brand: null,
  variantId: null,
  swatches: [],
  badges: [],
});
const colours = {
  key: 'colourway',
  label: 'Colourway',
  type: 'choice' as const,
  values: [
    { value: 'ember', label: 'Ember', colour: '#e4572e', count: 3, selected: false },
    { value: 'sea', label: 'Sea', colour: '#1d4f91', count: 2, selected: false },
  ],
};
const usual = { columns: 4, phoneColumns: 2 as const, paging: 'pages' as const, filtersAt: 'beside' as const };

const asked: string[] = [];
beforeEach(() => (asked.length = 0));

function draw(over: Partial<ListingView> = {}, layout: Partial<NonNullable<ListingView['layout']>> = {}) {
  const listing: ListingView = {
    total: 20,
    page: 1,
    pageSize: 8,
    sorts: [{ key: 'featured', label: 'Featured' }],
    sort: 'featured',
    items: ['a', 'b', 'c'].map(item),
    without: [],
    full: 20,
    facets: [colours],
    layout: { ...usual, ...layout },
    ...over,
  };
  render(<ListingGoods listing={listing} q="" url="/c/kites" currency="EUR" go={(url) => void asked.push(url)} />);
}

test('further goods come by a button that keeps its place as a link, or by pages', async () => {
  draw({}, { paging: 'more' });
  const more = screen.getByRole('link', { name: 'Show 8 more' });
  expect(more.getAttribute('href')).toBe('/c/kites?page=2');
  expect(screen.queryByRole('navigation', { name: 'Pages' })).toBeNull();
  await userEvent.click(more);
  expect(asked).toEqual(['/c/kites?page=2']);
});

test('the last button offers as many as are left, and after them there is none', () => {
  draw({ page: 2 }, { paging: 'more' });
  expect(screen.getByRole('link', { name: 'Show 4 more' })).toBeTruthy();
  draw({ page: 3 }, { paging: 'more' });
  expect(screen.queryAllByRole('link', { name: /^Show/ })).toHaveLength(1);
});

test.each([
  ['beside', true, true],
  ['above', true, true],
  ['drawer', false, true],
  ['none', false, false],
] as const)('filters %s: in the page %s, a button to them %s', (filtersAt, isInPage, hasButton) => {
  draw({}, { filtersAt });
  expect(screen.queryAllByRole('complementary', { name: 'Filters' })).toHaveLength(Number(isInPage));
  expect(screen.queryAllByRole('button', { name: /^Filter/ })).toHaveLength(Number(hasButton));
});

test('a filter as colours is chosen like one in words, and each colour has its name and count', async () => {
  draw({ facets: [{ ...colours, swatches: true }] });
  await userEvent.click(screen.getByRole('checkbox', { name: 'Sea, 2' }));
  expect(asked).toEqual(['/c/kites?f.colourway=sea']);
});

test('a filter that begins folded is there all the same, and fewer values are in sight where the seller says so', () => {
  const values = Array.from({ length: 6 }, (_, i) => ({
    value: `v${i}`,
    label: `Value ${i}`,
    count: 1,
    selected: false,
  }));
  draw({ facets: [{ ...colours, values, folded: true, top: 3 }] });
  const filter = screen.getByText('Colourway', { selector: 'summary' }).closest('details')!;
  expect(filter.open).toBe(false);
  expect(filter.querySelectorAll('input[type=checkbox]')).toHaveLength(3);
  expect(filter.textContent).toContain('3 more');
});
