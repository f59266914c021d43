import fc from 'fast-check';
import { OWN_FIELD, type ImportChoices } from './choices';
import { mapped, mappingOf } from './mapping';

const fields = ['title', 'variant sku', 'variant price', 'brandId'];
const known = new Set(fields);
const taken = (columns: (string | null)[], more: Partial<ImportChoices> = {}) => ({
  columns,
  columnsOff: [],
  match: 'sku' as const,
  ...more,
});

test('whatever the order of its columns, a file of the same headings is taken as the first one was', () => {
  const names = fc.uniqueArray(fc.stringMatching(/^[a-z]{2,8}$/), { minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(names, fc.infiniteStream(fc.nat()), (head, numbers) => {
      const left = [...fields];
      const columns = head.map(() => {
        const [n] = [...numbers.take(1)];
        return n! % 3 === 0 ? null : n! % 3 === 1 ? OWN_FIELD : (left.shift() ?? null);
      });
      const off = head.flatMap((_, place) => (place % 2 ? [place] : []));
      const mapping = mappingOf(taken(columns, { columnsOff: off, match: 'column:0' }), head);
      const turned = [...head].reverse();
      const { fills, switches, match } = mapped(
        mapping,
        turned,
        turned.map(() => null),
        known,
      );
      turned.forEach((name, place) => {
        const before = head.indexOf(name);
        expect(fills[place] ?? null).toBe(columns[before]);
        expect(switches[place]).toBe(!off.includes(before));
      });
      expect(match).toBe(`column:${head.length - 1}`);
    }),
  );
});

test('no field is given to two columns, what is gone fills nothing, and what the file lacks is not found by', () => {
  const mapping = mappingOf(taken(['title', 'spec a_gone', 'variant price'], { match: 'column:1' }), [
    'Name',
    'Span',
    'Cost',
  ]);
  const { fills, match } = mapped(
    mapping,
    ['Name', 'name', 'Amount', 'Cost'],
    [null, null, 'variant price', null],
    known,
  );
  expect(fills).toEqual({ 0: 'title', 2: null, 3: 'variant price' });
  expect(match).toBeUndefined();
});

test('a heading that is called as what every object has fills nothing', () => {
  expect(mapped(mappingOf(taken(['title']), ['Name']), ['constructor'], [null], known).fills).toEqual({});
});
