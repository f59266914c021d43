import { collectionOf, NOW, productOf, shopOf } from '../testing/shop';
import { pageView } from './page-view';

test('a strip takes the name of what it shows, whatever that is called now, until it has a title of its own', () => {
  const shop = shopOf([productOf('p_a')]);
  const shelf = collectionOf('k_1', { source: 'picked', picked: ['p_a'] });
  const titleAfter = (name: string, title: string) => {
    shop.apply('collection', 'k_1', { ...shelf, name });
    const section = {
      id: 's_1',
      kind: 'strip' as const,
      title,
      source: { kind: 'collection' as const, id: 'k_1' },
      count: 4,
    };
    shop.apply('page', 'g_1', { id: 'g_1', title: 'Home', slug: 'home', home: true, sections: [section] });
    return pageView(shop, shop.pages.get('g_1')!, NOW).sections[0]!.kind === 'strip'
      ? (pageView(shop, shop.pages.get('g_1')!, NOW).sections[0] as { title: string }).title
      : undefined;
  };
  expect(titleAfter('Light wind', '')).toBe('Light wind');
  expect(titleAfter('Calm days', '')).toBe('Calm days');
  expect(titleAfter('Calm days', 'For Sunday')).toBe('For Sunday');
});
