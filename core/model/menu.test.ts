import fc from 'fast-check';
import { itemOf } from '../testing/shop';
import { flatItems, leanMenu, MENU_LEVELS, movedItem, wholeMenu, withLinks, writtenOut, type MenuItem } from './menu';

const item = (id: string, items: MenuItem[] = []) =>
  itemOf({ id, label: id, target: { kind: 'category', id: 'c_kites0' }, items });
/** "a", "-b" below it, "--c" below that. */
const menu = (...rows: string[]): MenuItem[] => {
  const top: MenuItem[] = [];
  const path: MenuItem[] = [];
  for (const row of rows) {
    const level = row.lastIndexOf('-') + 1;
    const own = item(row.slice(level));
    (level === 0 ? top : path[level - 1]!.items).push(own);
    path.length = level;
    path.push(own);
  }
  return top;
};
const rows = (items: MenuItem[]) => flatItems(items).map(({ item: { id }, level }) => '-'.repeat(level) + id);
const moved = (from: string[], id: string, to: number, level: number) => rows(movedItem(menu(...from), id, to, level));

test.each([
  ['down', ['a', 'b', 'c'], 'a', 1, 0, ['b', 'a', 'c']],
  ['below the one before', ['a', 'b'], 'b', 1, 1, ['a', '-b']],
  ['two levels down', ['a', '-b', 'c'], 'c', 2, 2, ['a', '-b', '--c']],
  ['not deeper than there is somebody to stand below', ['a', 'b'], 'b', 1, 2, ['a', '-b']],
  ['out again', ['a', '-b'], 'b', 1, 0, ['a', 'b']],
  ['with all below it', ['a', 'b', '-c', 'd'], 'b', 0, 0, ['b', '-c', 'a', 'd']],
  ['not so deep that what is below it has no level left', ['a', '-b', 'c', '-d'], 'c', 2, 2, ['a', '-b', '-c', '--d']],
  ['between children it becomes one', ['a', '-b', '-c', 'd'], 'd', 2, 0, ['a', '-b', '-d', '-c']],
  ['not where it has no level', ['a', '-b', '-c', 'd', '-e', '--f'], 'd', 2, 1, ['a', '-b', '-c', 'd', '-e', '--f']],
])('an item is moved: %s', (_how, from, id, to, level, expected) => {
  expect(moved(from, id, to, level)).toEqual(expected);
});

test('the first item has nobody to stand below, and an item that is gone moves nothing', () => {
  const items = menu('a', 'b');
  expect(movedItem(items, 'a', 0, 2)).toBe(items);
  expect(movedItem(items, 'gone', 0, 0)).toBe(items);
});

const tree: fc.Arbitrary<MenuItem[]> = fc
  .array(fc.integer({ min: 0, max: MENU_LEVELS - 1 }), { maxLength: 10 })
  .map((levels) => {
    let before = -1;
    return menu(...levels.map((level, i) => '-'.repeat((before = Math.min(level, before + 1))) + `m${i}`));
  });

test('law: moving loses nobody, doubles nobody, and no level is deeper than there are', () => {
  fc.assert(
    fc.property(tree, fc.nat(12), fc.nat(12), fc.nat(3), (items, which, to, level) => {
      const before = rows(items).map((row) => row.replace(/^-*/, ''));
      const id = before[which % Math.max(1, before.length)] ?? 'none';
      const next = movedItem(items, id, to, level);
      const after = flatItems(next);
      expect(after.map(({ item: each }) => each.id).sort()).toEqual([...before].sort());
      for (const each of after) expect(each.level).toBeLessThan(MENU_LEVELS);
      // What stands below the moved one goes with it.
      const below = (all: MenuItem[]) =>
        rows(flatItems(all).find(({ item: each }) => each.id === id)?.item.items ?? []);
      expect(below(next)).toEqual(below(items));
    }),
  );
});

test('menus are published without what is as usual, and read as they were', () => {
  fc.assert(
    fc.property(tree, tree, tree, (items, footer, top) => {
      expect(wholeMenu(leanMenu({ items, footer, top }) as never)).toEqual({ items, footer, top });
    }),
  );
  expect(leanMenu({ items: [item('a')], footer: [], top: [] })).toEqual({
    items: [{ id: 'a', label: 'a', target: { kind: 'category', id: 'c_kites0' }, items: [] }],
  });
});

test('what was kept in step with the tree is written out, as deep as a menu goes, before what stood below it', () => {
  const below: Record<string, string[]> = { c_kites0: ['c_1', 'c_2'], c_1: ['c_11'], c_11: ['c_111'] };
  let next = 0;
  const [own] = menu('a', '-b');
  const kept = { ...own!, target: { kind: 'category' as const, id: 'c_kites0' }, withChildren: true };
  const out = writtenOut(
    [kept],
    'a',
    (id) => below[id] ?? [],
    () => `n${(next += 1)}`,
  );
  const told = flatItems(out).map(
    ({ item: each, level }) => `${'-'.repeat(level)}${(each.target as { id: string }).id}`,
  );
  expect(told).toEqual(['c_kites0', '-c_1', '--c_11', '-c_2', '-c_kites0']);
  expect(out[0]!.withChildren).toBe(false);
  expect(
    writtenOut(
      [kept],
      'other',
      () => [],
      () => '',
    ),
  ).toEqual([kept]);
});

test('links are followed on every level; a menu that names nothing of it stays the same', () => {
  const items = menu('a', '-b', '--c');
  expect(withLinks(items, (link) => link)).toBe(items);
  const page = { kind: 'page' as const, id: 'g_000001' };
  for (const { item: each } of flatItems(withLinks(items, () => page))) expect(each.target).toBe(page);
});
