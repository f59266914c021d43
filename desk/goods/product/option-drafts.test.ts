import { withIds, type OptionDraft } from './option-drafts';

const value = (id: string | null, name: string) => ({ id, name, swatch: null, pictureId: null });
const option = (id: string | null, name: string, ...values: ReturnType<typeof value>[]): OptionDraft => ({
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
