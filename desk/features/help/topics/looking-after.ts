import type { DeskHelp } from '../topic';

export const lookingAfter: DeskHelp = {
  name: 'Looking after it',
  at: ['/today', '/review', '/loose-ends', '/history', '/suppliers', '/proposals'],
  topics: [
    {
      key: 'editions',
      title: 'Working copy and editions',
      words: [
        'You work in a copy that shoppers do not see. Putting live makes an edition: everything at once. The review tells beforehand what shoppers will notice.',
        'Going back to an older edition is one click, and your work stays as it is.',
      ],
      drawing: 'edition',
      to: { at: '/review', words: 'Open the review' },
    },
    {
      key: 'hold-back',
      title: 'Holding back, and planning',
      words: [
        'A change that is held back stays in your work and out of the next edition. What cannot go without it waits too, and says for what.',
        'An edition can be planned for a moment to come. It goes live by itself, also when the server was off at that moment.',
      ],
      to: { at: '/review', words: 'Open the review' },
    },
    {
      key: 'undo',
      title: 'Undo, of anything',
      words: [
        'Ctrl or Cmd + Z takes back your last change, whether of one field or of five thousand rows. The history lists every change with who made it; each can be taken back by itself.',
      ],
      to: { at: '/history', words: 'Open the history' },
    },
    {
      key: 'loose-ends',
      title: 'Loose ends',
      words: [
        'All that is unfinished or odd, the weightiest first: how bad it is, times how many visits meet it. Each leads to its mend, or is put aside with a reason and until when.',
      ],
      to: { at: '/loose-ends', words: 'See the loose ends' },
    },
    {
      key: 'forecast',
      title: 'When something runs out',
      words: [
        'From what sold on each of the last days, Dispona works out when a product is sold out: a likely day, and the days between which it happens eight times in ten. What sells in batches, or has sold for few days, is told with a wider span.',
      ],
      drawing: 'stock',
      to: { at: '/today', words: 'See what runs out' },
    },
    {
      key: 'suppliers',
      title: 'Suppliers, and what to order',
      words: [
        'Keep who delivers what, in how many days and at which cost. “What to order” lists what may be gone before more arrives, with so many pieces as are enough in nine cases of ten, as a file or on paper.',
        'Costs that were agreed for a day come into force on it by themselves. Goods can have several suppliers; one of them is the rule.',
      ],
      drawing: 'stock',
      to: { at: '/suppliers', words: 'Go to the suppliers' },
    },
    {
      key: 'makers',
      title: 'Makers propose, you take',
      words: [
        'Those who make your goods can sign in and see these goods only. What they propose waits until you take it, change it, take a part of it, or refuse it with a word.',
      ],
      to: { at: '/proposals', words: 'See what is proposed' },
    },
  ],
};
