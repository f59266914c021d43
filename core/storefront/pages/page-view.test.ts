import { collectionOf, NOW, pageOf, productOf, sectionOf, shopOf, put } from '../../testing/shop';
import { pageView } from './page-view';

test('a strip takes the name of what it shows, whatever that is called now, until it has a title of its own', () => {
  const shop = shopOf([productOf('p_a')]);
  const source = { kind: 'collection' as const, id: 'k_1' };
  const titleAfter = (name: string, title: string) => {
    put(shop, 'collection', 'k_1', collectionOf('k_1', { name, source: 'picked', picked: ['p_a'] }));
    const sections = [sectionOf({ id: 's_1', kind: 'strip', title, source, count: 4 })];
    const page = pageOf({ sections });
    return pageView(shop, page, { now: NOW }).sections[0];
  };
  expect(titleAfter('Light wind', '')).toMatchObject({ title: 'Light wind' });
  expect(titleAfter('Calm days', '')).toMatchObject({ title: 'Calm days' });
  expect(titleAfter('Calm days', 'For Sunday')).toMatchObject({ title: 'For Sunday' });
});
