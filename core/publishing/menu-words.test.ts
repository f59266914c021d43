import type { Menu, MenuItem } from '../model/menu';
import { itemOf, productOf, put, shopOf } from '../testing/shop';
import { documentChange } from './difference';

const to = (id: string, over: Partial<MenuItem> = {}) =>
  itemOf({ id: `m_${id}`, target: { kind: 'category', id: `c_${id}` }, ...over });
const told = (before: Partial<Menu>, after: Partial<Menu>) => {
  const shop = (menu: Partial<Menu>) => {
    const made = shopOf([productOf('p_a')]);
    put(made, 'menu', 'shop', { items: [], footer: [], top: [], ...menu });
    return made;
  };
  return documentChange(shop(before), shop(after), 'menu', 'shop')!.fields.map(({ label, before: a, after: b }) => [
    label,
    a,
    b,
  ]);
};
const [kites, line, deltas] = [to('kites'), to('line'), to('deltas')];

test('items that come and go are told where they stand', () => {
  expect(told({ items: [kites] }, { items: [kites, line] })).toEqual([['Line', '', 'new in the menu']]);
  expect(told({ items: [kites, line] }, { items: [kites] })).toEqual([['Line', 'in the menu', '']]);
  expect(told({}, { footer: [kites] })).toEqual([['Kites', '', 'new in the foot of the shop']]);
  expect(told({ items: [kites] }, { items: [{ ...kites, items: [deltas] }] })).toEqual([
    ['Deltas', '', 'new below Kites'],
  ]);
});

test('one that moved is told once, and not those that it passed', () => {
  expect(told({ items: [kites, line, deltas] }, { items: [deltas, kites, line] })).toEqual([
    ['Deltas: Place', 'after Line', 'first'],
  ]);
  expect(told({ items: [kites, deltas] }, { items: [{ ...kites, items: [deltas] }] })).toEqual([
    ['Deltas: Place', 'in the menu', 'below Kites'],
  ]);
});

test('names and all that can be said of an item are told', () => {
  expect(told({ items: [kites] }, { items: [{ ...kites, label: 'All kites' }] })).toEqual([
    ['Name in the menu', 'Kites', 'All kites'],
  ]);
  expect(
    told({ items: [kites] }, { items: [{ ...kites, target: line.target, label: 'Kites', hidden: true }] }),
  ).toEqual([
    ['Kites: Leads to', 'Kites', 'Line'],
    ['Kites: Hidden', '', 'yes'],
  ]);
});
