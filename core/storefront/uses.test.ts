import { collectionOf, itemOf, pageOf, productOf, put, sectionOf, shopOf } from '../testing/shop';
import type { Rule } from '../model/rule';
import { usesOf } from './uses';

const inTag = (id: string): Rule => ({ match: 'all', of: [{ field: 'tag', is: 'anyOf', value: [id] }] });

function shop() {
  const made = shopOf([productOf('p_1', { categoryIds: ['c_deltas'] })]);
  put(made, 'collection', 'k_night', collectionOf('k_night', { rule: inTag('t_night') }));
  const deltas = { kind: 'category' as const, id: 'c_deltas' };
  put(
    made,
    'page',
    'g_home',
    pageOf({
      sections: [
        sectionOf({ id: 's_1', kind: 'strip', title: '', source: { kind: 'collection', id: 'k_night' }, count: 4 }),
        sectionOf({
          id: 's_2',
          kind: 'banner',
          slides: [{ title: 'Deltas', text: '', picture: null, pictureOf: null, buttons: [{ words: '', to: deltas }] }],
        }),
        sectionOf({ id: 's_3', kind: 'tiles', title: '', targets: [deltas, { kind: 'category', id: 'c_line' }] }),
        sectionOf({
          id: 's_4',
          kind: 'strip',
          title: 'By night',
          source: { kind: 'rule', rule: inTag('t_night') },
          count: 4,
        }),
      ],
    }),
  );
  put(made, 'menu', 'shop', {
    items: [itemOf({ id: 'm_1', label: 'Wings', target: { kind: 'category', id: 'c_deltas' } })],
    footer: [],
    top: [],
  });
  return made;
}

const told = (kind: 'category' | 'collection' | 'tag', id: string) =>
  usesOf(shop(), { kind, id }, []).map(({ in: where, label }) => [where, label]);

test('menu items, banners and tiles that lead to a category are its uses', () => {
  expect(told('category', 'c_deltas')).toEqual([
    ['menu', 'Wings'],
    ['page', 'Home › Deltas'],
    ['page', 'Home › Tiles'],
  ]);
});

test('a strip is told by the title that shoppers read', () => {
  expect(told('collection', 'k_night')).toEqual([['page', 'Home › k_night']]);
});

test('rules that name a tag are its uses, and those of products too', () => {
  expect(told('tag', 't_night')).toEqual([
    ['page', 'Home › By night'],
    ['collection', 'k_night'],
  ]);
  const relation = { how: 'rule' as const, rule: inTag('t_night') };
  const product = {
    ...productOf('p_2', { title: 'Lamp' }),
    relations: { goesWith: relation, stepUp: { how: 'none' as const }, similar: { how: 'none' as const } },
  };
  expect(usesOf(shop(), { kind: 'tag', id: 't_night' }, [product as never])).toContainEqual({
    in: 'product',
    id: 'p_2',
    label: 'Lamp',
  });
});

test('what nothing names has no uses', () => {
  expect(told('tag', 't_other')).toEqual([]);
});
