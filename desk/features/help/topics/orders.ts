import type { DeskHelp } from '../topic';

export const orders: DeskHelp = {
  name: 'Orders',
  at: ['/orders'],
  topics: [
    {
      key: 'orders',
      title: 'From the basket to the parcel',
      words: [
        'Orders are marked paid, sent (in several parcels, with a tracking number), refunded or called off; stock follows. Payment and mail are stand-ins: nothing leaves this machine, and it says so.',
      ],
      to: { at: '/orders', words: 'Go to the orders' },
    },
    {
      key: 'questions',
      title: 'Questions and waiting lists',
      words: [
        'Shoppers ask about products, and leave their address to hear when something is back. Both lists are here; an answer is written beside the question.',
      ],
      to: { at: '/orders?part=questions', words: 'Go to the questions' },
    },
    {
      key: 'selling',
      title: 'Delivery and ways to pay',
      words: ['Which countries, at which price, how long it takes, and how one pays: the checkout follows from it.'],
      to: { at: '/orders?part=selling', words: 'Set delivery and payment' },
    },
  ],
};
