import { itemOf, NOW, productOf, put, shopOf } from '../testing/shop';
import { menuUrls, menuView } from './menu-view';

const category = (id: string) => ({ kind: 'category' as const, id });
const shop = (...items: ReturnType<typeof itemOf>[]) => {
  const made = shopOf([productOf('p_a')]);
  put(made, 'menu', 'shop', { items, footer: [], top: [] });
  return made;
};
const labels = (of: ReturnType<typeof shop>) =>
  menuView(of).items.map(({ label, items }) => [label, items.map((each) => each.label)]);

test('an item has its own words or the name of what it leads to; what is gone or shut is left out', () => {
  const made = shop(
    itemOf({ id: 'm_1', target: category('c_kites') }),
    itemOf({ id: 'm_2', target: category('c_line'), label: 'String' }),
    itemOf({ id: 'm_3', target: category('c_gone') }),
    itemOf({ id: 'm_4', target: { kind: 'address', url: 'https://example.com' }, label: 'Elsewhere' }),
  );
  expect(labels(made)).toEqual([
    ['Kites', []],
    ['String', []],
    ['Elsewhere', []],
  ]);
  expect(menuUrls(menuView(made).items)).toEqual(['/c/kites', '/c/line', 'https://example.com']);
});

test('all below a category are kept in step with the tree, before what was put there by hand', () => {
  const made = shop(
    itemOf({
      id: 'm_1',
      target: category('c_kites'),
      withChildren: true,
      items: [itemOf({ id: 'm_2', target: category('c_line') })],
    }),
  );
  expect(labels(made)).toEqual([['Kites', ['Deltas', 'Line']]]);
  put(made, 'category', 'c_deltas', { ...made.categories.get('c_deltas')!, status: 'off' });
  expect(labels(made)).toEqual([['Kites', ['Line']]]);
});

test('a heading leads nowhere, and is left out with nothing below it; hidden and dated items are not met', () => {
  const later = new Date((NOW + 60) * 1000).toISOString();
  const heading = itemOf({
    id: 'm_1',
    target: null,
    label: 'Help',
    items: [itemOf({ id: 'm_2', target: category('c_line') })],
  });
  const made = shop(
    heading,
    itemOf({ id: 'm_3', target: null, label: 'Nothing' }),
    itemOf({ id: 'm_4', target: category('c_kites'), hidden: true }),
    itemOf({ id: 'm_5', target: category('c_kites'), from: later }),
  );
  expect(labels(made)).toEqual([['Help', ['Line']]]);
  expect(menuView(made).items[0]!.url).toBeNull();
});
