import type { DeskHelp } from '../topic';

export const groups: DeskHelp = {
  name: 'Groups',
  at: ['/groups'],
  topics: [
    {
      key: 'collections',
      title: 'Shelves: picked by hand or filled by rule',
      words: [
        'A collection is a shelf. You pick its goods and put them in order, or a rule fills it: “price below 40, and in stock”. A rule keeps the shelf right when goods come, sell out or change.',
        'Each condition says how many goods it leaves. Any product says why it is in, or why it is not.',
      ],
      drawing: 'shelf',
      to: { at: '/groups', words: 'Go to the shelves' },
    },
    {
      key: 'pins',
      title: 'Pinning and leaving out',
      words: [
        'On a shelf that a rule fills, a pin holds a product at the front, and “leave out” keeps one off although the rule takes it in. Both are told beside the product.',
      ],
      drawing: 'pinned',
    },
    {
      key: 'categories',
      title: 'The tree of categories',
      words: [
        'Categories are the departments of the shop, up to some levels deep. The first category of a product is its main one: it makes the path that shoppers and search engines read.',
        'Drag a category to move it with everything in it. Addresses of before forward by themselves.',
      ],
    },
    {
      key: 'tags',
      title: 'Tags and brands',
      words: [
        'A tag is a word that any goods can share, such as “night” or “gift”. Brands are who made it. Both can be filters and pages of the shop, and both can be merged when two of them mean the same.',
      ],
      to: { at: '/groups/tags', words: 'Go to the tags' },
    },
    {
      key: 'overlap',
      title: 'What stands on several shelves',
      words: [
        'The overlap shows which collections share goods, and how many. Two shelves that hold nearly the same goods are better one.',
      ],
      to: { at: '/groups/overlap', words: 'Look at the overlap' },
    },
  ],
};
