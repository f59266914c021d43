import { categoryChoices } from './category-choices';

test('two categories of one name show what they stand in, others just their name', () => {
  const rows = [
    { id: 'c_1', name: 'Kites', parentId: null },
    { id: 'c_2', name: 'Spares', parentId: 'c_1' },
    { id: 'c_3', name: 'Reels', parentId: null },
    { id: 'c_4', name: 'Spares', parentId: 'c_3' },
  ];
  expect(categoryChoices(rows).map(({ label }) => label)).toEqual([
    'Kites',
    'Kites › Spares',
    'Reels',
    'Reels › Spares',
  ]);
});
