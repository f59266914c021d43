import { collectionOf, itemOf, pageOf, productOf, put, shopOf } from '../testing/shop';
import { suggest } from './suggest';

function shop() {
  const made = shopOf([
    productOf('p_a', { title: 'Swift delta', categoryIds: ['c_deltas'], brandId: 'b_tern' }),
    productOf('p_b', { title: 'Marsh delta', categoryIds: ['c_deltas'] }),
    productOf('p_c', { title: 'Braided line', categoryIds: ['c_line'] }),
  ]);
  put(made, 'collection', 'k_1', collectionOf('k_1', { name: 'Delta days', source: 'picked', picked: ['p_a'] }));
  put(
    made,
    'collection',
    'k_off',
    collectionOf('k_off', { name: 'Delta sale', source: 'picked', picked: ['p_a'], status: 'off' }),
  );
  put(made, 'page', 'g_home', pageOf({ sections: [] }));
  put(made, 'page', 'g_about', pageOf({ id: 'g_about', home: false, slug: 'deltas', title: 'Deltas, explained' }));
  put(made, 'page', 'g_lost', pageOf({ id: 'g_lost', home: false, slug: 'lost', title: 'Deltas nobody finds' }));
  put(made, 'menu', 'shop', {
    items: [itemOf({ id: 'm_1', target: { kind: 'page', id: 'g_about' } })],
    footer: [],
    top: [],
  });
  return made;
}
const told = (typed: string) => {
  const made = shop();
  const { words, places, goods, total } = suggest(made, typed, made.now);
  return {
    words,
    places: places.map(({ kind, label }) => `${kind} ${label}`),
    goods: goods.map(({ title }) => title),
    total,
  };
};

test('groups and pages of that name come, the closest first; what is off, empty or not to be found does not', () => {
  expect(told('deltas').places).toEqual(['category Deltas', 'collection Delta days', 'page Deltas, explained']);
  expect(told('tern').places).toEqual([]);
  expect(told('delta').goods.sort()).toEqual(['Marsh delta', 'Swift delta']);
});

test('a word goes on as the goods do, and a slip is put right', () => {
  expect(told('bra').words).toEqual(['braided']);
  // Of "delta" and "deltas" one is enough.
  expect(told('del').words).toHaveLength(1);
  expect(told('swift detla').words[0]).toBe('swift delta');
  expect(told('swift detla').goods).toEqual(['Swift delta']);
  expect(told('braided ').words).toEqual([]);
});

test('nothing typed, or only signs, suggests nothing', () => {
  for (const typed of ['', '  ', '“”']) expect(told(typed)).toEqual({ words: [], places: [], goods: [], total: 0 });
});
