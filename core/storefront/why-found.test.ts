import { productOf, put, shopOf } from '../testing/shop';
import { listingView } from './listing-view';
import { whyFound } from './why-found';

function kites() {
  const shop = shopOf([
    productOf('p_harrier', { title: 'Harrier delta', categoryIds: ['c_deltas'] }),
    productOf('p_swift', { title: 'Swift', summary: 'Deltas for light wind.' }),
    productOf('p_line', { title: 'Braided line', summary: 'Holds a delta kite.' }),
    productOf('p_sock', { title: 'Windsock', description: '<p>For the garden.</p>' }),
  ]);
  put(shop, 'settings', 'shop', {
    ...shop.settings,
    synonyms: [['child', 'garden'], { from: ['plane'], to: ['delta'] }],
  });
  return shop;
}
const because = (q: string, id: string) =>
  whyFound(kites(), q, 24)
    .goods.find((found) => found.id === id)
    ?.parts.map(({ because: why }) => why);

test('it says where a word is met, and in which form', () => {
  expect(because('delta', 'p_harrier')![0]).toMatch(/in the title/);
  expect(because('delta', 'p_swift')).toEqual(['in the summary, as “deltas”']);
  expect(because('windsok', 'p_sock')).toEqual(['in the title']);
  expect(because('winds', 'p_sock')).toEqual(['in the title, as “windsock”']);
});

test('it names the category that the word is the name of', () => {
  const [why] = because('deltas', 'p_harrier')!;
  expect(why).toContain('in the category “Deltas”');
  expect(why).toContain('in the title, as “delta”');
});

test('it says which way of saying it was met, and one way is no way back', () => {
  expect(because('child', 'p_sock')).toEqual(['in the description (“garden” means the same)']);
  expect(because('plane', 'p_swift')![0]).toContain('“delta” means the same');
  expect(whyFound(kites(), 'delta', 24).read[0]!.others).toEqual([]);
});

test('what is left out is told, and what comes close says what it lacks', () => {
  const { read } = whyFound(kites(), 'delta zeppelin', 24);
  expect(read.map(({ typed, isDropped }) => [typed, isDropped])).toEqual([
    ['delta', false],
    ['zeppelin', true],
  ]);
  const { goods, full } = whyFound(kites(), 'delta wind', 24);
  expect(full).toBeLessThan(goods.length);
  expect(goods.at(-1)!.parts.some(({ points }) => points === 0)).toBe(true);
});

test.each([
  'delta',
  'deltas',
  'delta kite',
  'light wind',
  'swift delta',
  'windsock garden',
  'line',
  'plane',
  'delta zeppelin',
])('“%s” is explained in the order of the listing, the points never rising', (q) => {
  const shop = kites();
  const request = {
    at: { kind: 'all' } as const,
    q,
    page: 1,
    sort: '',
    choices: new Map(),
    price: null,
    spans: new Map(),
  };
  const { goods } = whyFound(shop, q, 24);
  expect(goods.map(({ id }) => id)).toEqual(listingView(shop, request, shop.now).items.map(({ id }) => id));
  for (let i = 1; i < goods.length; i++) expect(goods[i]!.points).toBeLessThanOrEqual(goods[i - 1]!.points);
});
