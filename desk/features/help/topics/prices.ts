import type { DeskHelp } from '../topic';

export const prices: DeskHelp = {
  name: 'Prices',
  at: ['/prices'],
  topics: [
    {
      key: 'offers',
      title: 'Offers',
      words: [
        'An offer says who gets what off which goods, when, and under which conditions. It is off until you switch it on. Before it runs, you see every price and margin under it, and what last year’s orders would have earned.',
        'Where two offers meet, each price explains step by step which of them counted.',
      ],
      to: { at: '/prices', words: 'Go to the offers' },
    },
    {
      key: 'floor',
      title: 'The floor',
      words: [
        'The floor keeps a price from falling too near to its cost: never below cost plus so much. An offer that would, stops there, and says so.',
      ],
      drawing: 'margin',
      to: { at: '/prices?part=tax', words: 'Set tax and floor' },
    },
    {
      key: 'codes',
      title: 'Codes',
      words: [
        'An offer can ask for a code. Codes have a limit of uses in all and for each shopper; hundreds can be made at once, each for one person.',
      ],
    },
    {
      key: 'was-prices',
      title: '“Before” prices',
      words: [
        'What a price was before is kept with every edition. The shop tells the lowest price of the 30 days before a sale, as the law asks in many countries.',
      ],
    },
  ],
};
