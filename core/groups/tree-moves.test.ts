import fc from 'fast-check';
import { CategoryTree } from './category-tree';
import { categoryDefaults, type Category } from '../model/group';
import { destinationOf, dropOn, rowsAfter, shownRows, type Destination } from './tree-moves';

/** A random tree, as flat rows in the order in which they stand. */
const trees = fc.array(fc.nat(), { minLength: 1, maxLength: 12 }).map((parents) => {
  const categories = parents.map((parent, i): Category => ({
    ...categoryDefaults,
    id: `c_${i}`,
    parentId: i === 0 || parent % (i + 1) === i ? null : `c_${parent % i}`,
    position: i,
    name: `Category ${i}`,
    slug: `c-${i}`,
  }));
  return new CategoryTree(categories).flat().map(({ category }) => category);
});

/** The rows after a move, as the server makes it. */
function moved(rows: readonly Category[], id: string, { parentId, place }: Destination): Category[] {
  const row = { ...rows.find((each) => each.id === id)!, parentId };
  const siblings = rows.filter((each) => each.parentId === parentId && each.id !== id);
  siblings.splice(place ?? siblings.length, 0, row);
  const places = new Map(siblings.map((each, position) => [each.id, { ...each, position }]));
  return new CategoryTree(rows.map((each) => places.get(each.id) ?? each)).flat().map(({ category }) => category);
}

const names = (rows: readonly { id: string }[]) => rows.map(({ id }) => id);

test('a move up taken back down, and a move in taken back out, ends where it began', () => {
  fc.assert(
    fc.property(trees, fc.nat(), (rows, at) => {
      const row = rows[at % rows.length]!;
      for (const [there, back] of [
        ['up', 'down'],
        ['in', 'out'],
      ] as const) {
        const to = destinationOf(rows, row, there);
        if (!to) continue;
        const after = moved(rows, row.id, to);
        const home = destinationOf(
          after,
          after.find(({ id }) => id === row.id)!,
          back,
        )!;
        expect(names(moved(after, row.id, home))).toEqual(names(rows));
      }
    }),
  );
});

test('a drop keeps every category, and puts the branch where it was let go; never into itself', () => {
  fc.assert(
    fc.property(trees, fc.nat(), fc.nat(), fc.constantFrom('before', 'into', 'after'), (rows, a, b, zone) => {
      const [row, onto] = [rows[a % rows.length]!, rows[b % rows.length]!];
      const to = dropOn(rows, row.id, onto, zone);
      const isInside = new CategoryTree(rows).branch(row.id).some(({ id }) => id === onto.id);
      expect(to === undefined).toBe(isInside);
      if (!to) return;
      const after = moved(rows, row.id, to);
      expect(names(after).sort()).toEqual(names(rows).sort());
      const siblings = names(after.filter(({ parentId }) => parentId === to.parentId));
      if (zone === 'into') expect(siblings.at(-1)).toBe(row.id);
      else {
        const gap = siblings.indexOf(row.id) - siblings.indexOf(onto.id);
        expect(gap).toBe(zone === 'before' ? -1 : 1);
      }
    }),
  );
});

test('what is shown at once after a move is what the server makes of it', () => {
  const withLevels = (rows: readonly Category[]) => {
    const tree = new CategoryTree(rows);
    return rows.map((row) => ({ ...row, level: tree.path(row.id).length }));
  };
  fc.assert(
    fc.property(trees, fc.nat(), fc.nat(), fc.constantFrom('before', 'into', 'after'), (rows, a, b, zone) => {
      const [row, onto] = [rows[a % rows.length]!, rows[b % rows.length]!];
      const to = dropOn(rows, row.id, onto, zone);
      fc.pre(to !== undefined);
      const plain = (of: { id: string; parentId: string | null; level: number }[]) =>
        of.map(({ id, parentId, level }) => [id, parentId, level]);
      expect(plain(rowsAfter(withLevels(rows), row.id, to))).toEqual(plain(withLevels(moved(rows, row.id, to))));
    }),
  );
});

test('folded branches hide what is below them, and a search shows what it finds with those above', () => {
  const rows = [
    { id: 'a', parentId: null, name: 'Kites' },
    { id: 'b', parentId: 'a', name: 'Single' },
    { id: 'c', parentId: 'b', name: 'Deltas' },
    { id: 'd', parentId: null, name: 'Line' },
  ];
  expect(names(shownRows(rows, (id) => id === 'a', undefined))).toEqual(['a', 'd']);
  expect(
    names(
      shownRows(
        rows,
        (id) => id === 'a',
        (name) => name === 'Deltas',
      ),
    ),
  ).toEqual(['a', 'b', 'c']);
});
