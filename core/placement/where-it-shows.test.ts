import { collectionOf, NOW, productOf, shopOf } from '../testing/shop';
import { pageView } from './page-view';
import { placeCounts, waysTo, whereItShows } from './where-it-shows';

const strip = (id: string, kind: 'category' | 'collection', source: string, count: number) => ({
  id,
  kind: 'strip' as const,
  title: id,
  source: { kind, id: source },
  count,
});

function placed() {
  const shop = shopOf([
    productOf('p_a', { categoryIds: ['c_deltas'], featured: true }),
    productOf('p_b', { categoryIds: ['c_deltas'] }),
    productOf('p_c', { categoryIds: ['c_line'] }),
    productOf('p_d', { categoryIds: ['c_deltas'], standing: 'draft' }),
  ]);
  shop.apply('collection', 'k_1', collectionOf('k_1', { source: 'picked', picked: ['p_c', 'p_gone', 'p_d', 'p_b'] }));
  const sections = [strip('s_1', 'collection', 'k_1', 5), strip('s_2', 'category', 'c_deltas', 1)];
  shop.apply('page', 'g_home', { id: 'g_home', title: 'Home', slug: 'home', home: true, sections });
  return shop;
}

test('a strip shows live goods in the order of its source, at most as many as it should', () => {
  const shop = placed();
  const [first, second] = pageView(shop, shop.pages.get('g_home')!, NOW).sections;
  const ids = (section: typeof first) => (section?.kind === 'strip' ? section.items.map(({ id }) => id) : []);
  expect(ids(first)).toEqual(['p_c', 'p_b']);
  expect(ids(second)).toEqual(['p_a']);
});

test('places count strips and listings with a way in, and nowhere is nowhere', () => {
  const shop = placed();
  expect(whereItShows(shop, 'p_b', NOW).map(({ label, position, of }) => [label, position, of])).toEqual([
    ['Home › s_1', 2, 2],
    ['k_1', 2, 2],
    ['Deltas', 2, 2],
  ]);
  expect(whereItShows(shop, 'p_d', NOW)).toEqual([]);
  const counts = placeCounts(shop, NOW);
  for (const id of ['p_a', 'p_b', 'p_c', 'p_d'])
    expect([id, counts[shop.index.slot(id)!]]).toEqual([id, whereItShows(shop, id, NOW).length]);
});

test('a category without menu item, tile or strip has no way in; one below a linked one has', () => {
  const shop = placed();
  expect(waysTo(shop, 'category', 'c_kites')).toEqual([]);
  shop.apply('menu', 'shop', {
    items: [{ id: 'm_1', label: '', target: { kind: 'category', id: 'c_kites' }, items: [] }],
  });
  expect(waysTo(shop, 'category', 'c_kites')).toEqual(['Menu']);
  expect(waysTo(shop, 'category', 'c_deltas')).toEqual(['Home', 'Kites']);
});
