import { complete, draftsOf, rebased, withIds, type OptionDraft } from './option-drafts';

const value = (id: string | null, name: string) => ({ key: `k ${name}`, id, name, swatch: null, pictureId: null });
const option = (id: string | null, name: string, ...values: ReturnType<typeof value>[]): OptionDraft => ({
  key: `k ${name}`,
  id,
  name,
  listId: null,
  values,
});

test('what was typed during a save takes over the ids that the save made, and what is newer stays new', () => {
  const saved = [
    { ...option('o_1', 'Colour', value('w_1', 'Red')), id: 'o_1', values: [{ ...value('w_1', 'Red'), id: 'w_1' }] },
  ];
  const typed = [
    option(null, ' colour', value(null, 'red'), value(null, 'Blue')),
    option(null, 'Size', value(null, 'S')),
  ];
  expect(withIds(typed, saved)).toEqual([
    option('o_1', ' colour', value('w_1', 'red'), value(null, 'Blue')),
    option(null, 'Size', value(null, 'S')),
  ]);
});

test('what has an id keeps it, under whatever name', () => {
  const saved = [{ ...option('o_1', 'Colour'), id: 'o_1', values: [{ ...value('w_1', 'Red'), id: 'w_1' }] }];
  const renamed = [option('o_1', 'Shade', value('w_1', 'Crimson'))];
  expect(withIds(renamed, saved)).toEqual(renamed);
});

const plain = (id: string, name: string) => ({ id, name, swatch: null, pictureId: null });
const saved = (id: string, name: string, ...values: ReturnType<typeof plain>[]) => ({ id, name, listId: null, values });

test('what is on screen keeps its key when it comes back from the server', () => {
  const keys = new Map([
    ['o_1', 'k Colour'],
    ['w_1', 'k Red'],
  ]);
  const [row] = draftsOf([saved('o_1', 'Colour', plain('w_1', 'Red'), plain('w_2', 'Blue'))], keys);
  expect(row!.key).toBe('k Colour');
  expect(row!.values.map(({ key }) => key)).toEqual(['k Red', 'w_2']);
});

test('only options with values are sent', () => {
  const rows = [option('o_1', 'Colour', value('w_1', 'Red')), option(null, 'Size')];
  expect(complete(rows).map(({ name }) => name)).toEqual(['Colour']);
});

test('a value that somebody else added meanwhile stays beside what was typed here', () => {
  const base = [saved('o_1', 'Colour', plain('w_1', 'Red'))];
  const theirs = [saved('o_1', 'Colour', plain('w_1', 'Red'), plain('w_2', 'Blue'))];
  const mine = [option('o_1', 'Colour', value('w_1', 'Red'), value(null, 'Green'))];
  const [row] = rebased(mine, base, theirs);
  expect(row!.values.map(({ name }) => name).sort()).toEqual(['Blue', 'Green', 'Red']);
});
