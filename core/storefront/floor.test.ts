import { Bitset } from '../search/bitset';
import { collectionOf, itemOf, pageOf, productOf, put, sectionOf, shopOf } from '../testing/shop';
import { floorPlan } from './floor';

function shop() {
  const made = shopOf([
    productOf('p_a', { categoryIds: ['c_deltas'] }),
    productOf('p_b', { categoryIds: ['c_deltas'] }),
    productOf('p_c'),
  ]);
  put(made, 'collection', 'k_1', collectionOf('k_1', { source: 'picked', picked: ['p_a', 'p_b'] }));
  put(made, 'collection', 'k_off', collectionOf('k_off', { source: 'picked', picked: ['p_c'], status: 'off' }));
  const strip = (id: string, kind: 'collection' | 'category', of: string, over: object = {}) =>
    sectionOf({ id, kind: 'strip', title: id, source: { kind, id: of }, count: 4, ...over });
  put(
    made,
    'page',
    'g_home',
    pageOf({
      sections: [
        strip('s_1', 'collection', 'k_1'),
        strip('s_2', 'category', 'c_deltas'),
        strip('s_3', 'category', 'c_deltas', { hidden: true }),
        sectionOf({ id: 's_4', kind: 'tiles', title: '', targets: [{ kind: 'category', id: 'c_deltas' }] }),
      ],
    }),
  );
  return made;
}
const only = (of: ReturnType<typeof shop>, ...ids: string[]) => {
  const set = new Bitset(of.index.alive.size);
  for (const id of ids) set.add(of.index.slot(id)!);
  return set;
};

test('pages come by the clicks that lead there, those without a way last; what is shut says why', () => {
  const places = floorPlan(shop(), null);
  expect(places.map(({ name, clicks }) => [name, clicks])).toEqual([
    ['Home', 0],
    ['Deltas', 1],
    ['Kites', 2],
    ['Line', null],
    ['k_1', null],
    ['k_off', null],
  ]);
  expect(places.find(({ id }) => id === 'k_off')!.unseen).toBe('off the shop');
});

test('a product that stands on a page twice is told once; hidden sections and tiles do not count', () => {
  const made = shop();
  const [home] = floorPlan(made, null);
  expect(home!.repeats.map((slot) => made.index.id(slot)).sort()).toEqual(['p_a', 'p_b']);
  expect(home!.parts.map(({ id, unseen }) => [id, unseen])).toEqual([
    ['s_1', null],
    ['s_2', null],
    ['s_3', 'hidden'],
    ['s_4', null],
  ]);
});

test('what is lit is counted wherever it stands, also behind the first goods', () => {
  const made = shop();
  const home = floorPlan(made, only(made, 'p_a'))[0]!;
  expect(home.lit).toBe(2);
  expect(home.parts.map(({ lit }) => lit)).toEqual([1, 1, 0, 0]);
  const many = shopOf(Array.from({ length: 30 }, (_, i) => productOf(`p_${i}`, { categoryIds: ['c_line'] })));
  put(many, 'menu', 'shop', {
    items: [itemOf({ id: 'm_1', label: '', target: { kind: 'category', id: 'c_line' } })],
    footer: [],
    top: [],
  });
  put(many, 'page', 'g_home', pageOf({}));
  const line = floorPlan(many, null).find(({ id }) => id === 'c_line')!.parts[0]!;
  expect(line.goods).toHaveLength(12);
  const last = many.index.id(
    floorPlan(many, only(many, ...many.products.keys())).find(({ id }) => id === 'c_line')!.parts[0]!.goods[11]!.slot,
  );
  const lit = floorPlan(many, only(many, last)).find(({ id }) => id === 'c_line')!.parts[0]!;
  expect(lit.lit).toBe(1);
  expect(lit.goods.filter(({ isLit }) => isLit)).toHaveLength(1);
});
