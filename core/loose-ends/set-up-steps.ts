/** Where a step is done, in the desk. */
export type SetUpPlace =
  | 'settings'
  | 'goods'
  | 'picture'
  | 'price'
  | 'tax'
  | 'delivery'
  | 'categories'
  | 'menu'
  | 'home'
  | 'look'
  | 'legal'
  | 'domain'
  | 'review'
  | 'opening';

interface Step {
  title: string;
  /** why a shop needs it */
  why: string;
  at: SetUpPlace;
  /** a shop can do without it, or it is right as it is: the seller says so */
  canSkip?: true;
}

/** What a new shop needs, in the order in which people do it. When each is done, set-up-list.ts says. */
export const setUpSteps = {
  name: {
    title: 'Say what the shop is about',
    why: 'Its name and one sentence stand on every page and in search results.',
    at: 'settings',
  },
  product: {
    title: 'Add your first product',
    why: 'A title is enough to begin with.',
    at: 'goods',
  },
  picture: {
    title: 'Give it a picture',
    why: 'Goods without a picture are passed over.',
    at: 'picture',
  },
  price: {
    title: 'Give it a price, and put it on the shop',
    why: 'Drafts are seen by nobody but you.',
    at: 'price',
  },
  tax: {
    title: 'Check the tax',
    why: 'Whether prices contain it, and how much it is.',
    at: 'tax',
    canSkip: true,
  },
  delivery: {
    title: 'Say how you send, and take back',
    why: 'Two sentences that stand on every product and in the legal pages.',
    at: 'delivery',
  },
  category: {
    title: 'Make a category and put goods into it',
    why: 'That is how shoppers find their way.',
    at: 'categories',
  },
  menu: {
    title: 'Put it into the menu',
    why: 'What no menu and no page leads to is found by nobody.',
    at: 'menu',
  },
  home: {
    title: 'Build the home page',
    why: 'A banner and a row of goods are a good start.',
    at: 'home',
  },
  look: {
    title: 'Choose a look',
    why: 'A logo, its colours, the letters.',
    at: 'look',
    canSkip: true,
  },
  legal: {
    title: 'Add the legal pages',
    why: 'Who you are, the terms, how to withdraw, privacy, and how people get and pay their goods.',
    at: 'legal',
  },
  domain: {
    title: 'Choose an address',
    why: 'A name of your own that people remember.',
    at: 'domain',
    canSkip: true,
  },
  live: {
    title: 'Put it live',
    why: 'Until then shoppers see nothing of what you made.',
    at: 'review',
  },
  open: {
    title: 'Open the shop',
    why: 'Let people in.',
    at: 'opening',
  },
} as const satisfies Record<string, Step>;
export type SetUpKey = keyof typeof setUpSteps;
export const setUpKeys = Object.keys(setUpSteps) as [SetUpKey, ...SetUpKey[]];

export interface SetUpStep {
  key: SetUpKey;
  title: string;
  why: string;
  at: SetUpPlace;
  canSkip: boolean;
  state: 'done' | 'skipped' | 'open';
}
