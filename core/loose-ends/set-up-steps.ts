interface Step {
  title: string;
  /** why a shop needs it */
  why: string;
  /** a shop can do without it, or it is right as it is: the seller says so */
  canSkip?: true;
}

/** What a new shop needs, in the order in which people do it. When each is done, set-up-list.ts says. */
export const setUpSteps = {
  name: {
    title: 'Say what the shop is about',
    why: 'Its name and one sentence stand on every page and in search results.',
  },
  product: {
    title: 'Add your first product',
    why: 'A title is enough to begin with.',
  },
  picture: {
    title: 'Give it a picture',
    why: 'Goods without a picture are passed over.',
  },
  price: {
    title: 'Give it a price, and put it on the shop',
    why: 'Only you see drafts.',
  },
  tax: {
    title: 'Check the tax',
    why: 'Whether your prices include it, and how much it is.',
    canSkip: true,
  },
  delivery: {
    title: 'Say how you deliver and take returns',
    why: 'Two sentences that stand on every product and in the legal pages.',
  },
  selling: {
    title: 'Check what delivery costs and how people pay',
    why: 'One way of each is there to begin with.',
    canSkip: true,
  },
  category: {
    title: 'Make a category and put goods into it',
    why: 'That is how shoppers find their way.',
  },
  menu: {
    title: 'Put it into the menu',
    why: 'Nobody finds what no menu or page leads to.',
  },
  home: {
    title: 'Build the home page',
    why: 'A banner and a row of goods are a good start.',
  },
  look: {
    title: 'Choose a look',
    why: 'A logo, its colours, the letters.',
    canSkip: true,
  },
  legal: {
    title: 'Add the legal pages',
    why: 'Who you are, the terms, how to withdraw, privacy, and how people get and pay their goods.',
  },
  domain: {
    title: 'Choose an address',
    why: 'A name of your own that people remember.',
    canSkip: true,
  },
  live: {
    title: 'Put it live',
    why: 'Until then shoppers see nothing of what you made.',
  },
  open: {
    title: 'Open the shop',
    why: 'Let people in.',
  },
} as const satisfies Record<string, Step>;
export type SetUpKey = keyof typeof setUpSteps;
export const setUpKeys = Object.keys(setUpSteps) as [SetUpKey, ...SetUpKey[]];

export interface SetUpStep {
  key: SetUpKey;
  title: string;
  why: string;
  canSkip: boolean;
  state: 'done' | 'skipped' | 'open';
}
