import { categoryDefaults } from '../model/group';
import { CategoryTree } from './category-tree';

test('a category may not move into its own branch or too deep', () => {
  const chain = Array.from({ length: 5 }, (_, i) => ({
    ...categoryDefaults,
    id: `c${i}`,
    parentId: i ? `c${i - 1}` : null,
    position: 0,
    name: '',
    slug: 'x',
  }));
  const tree = new CategoryTree([...chain, { ...chain[0]!, id: 'other' }]);
  expect(tree.refuseMove('c0', 'c3')).toMatch(/into itself/);
  expect(tree.refuseMove('other', 'c4')).toMatch(/5 levels/);
  expect(tree.refuseMove('other', 'c3')).toBeUndefined();
  expect([tree.refuseChild('c4'), tree.refuseChild('c3')]).toEqual([expect.stringMatching(/5 levels/), undefined]);
  expect(tree.branch('c2').map(({ id }) => id)).toEqual(['c2', 'c3', 'c4']);
});
