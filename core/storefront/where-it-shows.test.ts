import { collectionOf, itemOf, NOW, pageOf, productOf, sectionOf, shopOf, put } from '../testing/shop';
import type { Section } from '../model/sections/sections';
import { pageView } from './pages/page-view';
import { placeCounts, waysTo, whereItShows } from './where-it-shows';

const strip = (id: string, kind: 'category' | 'collection', source: string, count: number) =>
  sectionOf({ id, kind: 'strip', title: id, source: { kind, id: source }, count });

function placed() {
  const shop = shopOf([
    productOf('p_a', { categoryIds: ['c_deltas'], featured: true }),
    productOf('p_b', { categoryIds: ['c_deltas'] }),
    productOf('p_c', { categoryIds: ['c_line'] }),
    productOf('p_d', { categoryIds: ['c_deltas'], status: 'draft' }),
  ]);
  put(shop, 'collection', 'k_1', collectionOf('k_1', { source: 'picked', picked: ['p_c', 'p_gone', 'p_d', 'p_b'] }));
  const sections = [strip('s_1', 'collection', 'k_1', 5), strip('s_2', 'category', 'c_deltas', 1)];
  put(shop, 'page', 'g_home', pageOf({ sections }));
  return shop;
}

test('a strip shows live goods in the order of its source, at most as many as it should', () => {
  const shop = placed();
  const [first, second] = pageView(shop, shop.pages.get('g_home')!, { now: NOW }).sections;
  const ids = (section: typeof first) => (section?.kind === 'strip' ? section.items.map(({ id }) => id) : []);
  expect(ids(first)).toEqual(['p_c', 'p_b']);
  expect(ids(second)).toEqual(['p_a']);
});

test('places count strips and listings with a way in, and nowhere is nowhere', () => {
  const shop = placed();
  expect(whereItShows(shop, 'p_b', NOW).map(({ label, position, of }) => [label, position, of])).toEqual([
    ['Home › s_1', 2, 2],
    ['Deltas', 2, 2],
    ['Kites', 2, 2],
  ]);
  expect(whereItShows(shop, 'p_d', NOW)).toEqual([]);
  const counts = placeCounts(shop, NOW);
  for (const id of ['p_a', 'p_b', 'p_c', 'p_d'])
    expect([id, counts[shop.index.slot(id)!]]).toEqual([id, whereItShows(shop, id, NOW).length]);
});

test('a category without menu item, tile or strip has no way in; one below a linked one has', () => {
  const shop = placed();
  expect(waysTo(shop, 'category', 'c_kites')).toEqual([]);
  put(shop, 'menu', 'shop', {
    items: [itemOf({ id: 'm_1', label: '', target: { kind: 'category', id: 'c_kites' } })],
    footer: [],
    top: [],
  });
  expect(waysTo(shop, 'category', 'c_kites')).toEqual(['Menu']);
  expect(waysTo(shop, 'category', 'c_deltas')).toEqual(['Home', 'Kites']);
});

test('pages that nobody can reach, and groups that are off or not open now, are no places', () => {
  const shop = placed();
  const page = (id: string, sections: Section[]) =>
    put(shop, 'page', id, pageOf({ id, title: id, slug: id.slice(2), home: false, sections }));
  const places = () => whereItShows(shop, 'p_c', NOW).map(({ label }) => label);
  const before = places();
  page('g_hidden', [strip('s_3', 'category', 'c_line', 5)]);
  expect(places()).toEqual(before);
  expect(waysTo(shop, 'category', 'c_line')).toEqual([]);
  // A page that the hidden one leads to is as hidden; one that the menu leads to is not.
  page('g_below', [strip('s_4', 'category', 'c_line', 5)]);
  put(shop, 'menu', 'shop', {
    items: [itemOf({ id: 'm_1', label: '', target: { kind: 'page', id: 'g_below' } })],
    footer: [],
    top: [],
  });
  expect(places()).toEqual(expect.arrayContaining(['g_below › s_4', 'Line']));
  expect(places()).not.toContain('g_hidden › s_3');
  put(shop, 'category', 'c_line', { ...shop.categories.get('c_line')!, status: 'off' });
  expect(places()).toEqual(before.filter((label) => label !== 'Line'));
  put(shop, 'collection', 'k_1', {
    ...shop.collections.get('k_1')!,
    liveUntil: new Date((NOW - 60) * 1000).toISOString(),
  });
  expect(places()).toEqual([]);
});

test('what shows where follows the days of pages, sections and items of the menu, as time passes', () => {
  const moment = new Date((NOW + 60) * 1000).toISOString();
  const places = (over: { page?: object; section?: object; item?: object }) => {
    const shop = placed();
    const sections = [sectionOf({ ...strip('s_9', 'category', 'c_line', 5), ...over.section })];
    put(
      shop,
      'page',
      'g_spring',
      pageOf({ id: 'g_spring', title: 'Spring', slug: 'spring', home: false, sections, ...over.page }),
    );
    put(shop, 'menu', 'shop', {
      items: [itemOf({ id: 'm_1', target: { kind: 'page', id: 'g_spring' }, ...over.item })],
      footer: [],
      top: [],
    });
    const told = () => whereItShows(shop, 'p_c', shop.now).some(({ label }) => label === 'Spring › s_9');
    const before = told();
    shop.take({ now: NOW + 61 });
    return [before, told()];
  };
  for (const what of ['page', 'section', 'item'] as const) {
    expect([what, places({ [what]: { from: moment } })]).toEqual([what, [false, true]]);
    expect([what, places({ [what]: { until: moment } })]).toEqual([what, [true, false]]);
  }
});
