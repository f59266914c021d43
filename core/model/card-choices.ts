import type { ColourRole } from './look-choices';

/** What a card can tell of a product, in the words of the desk. */
export const cardParts = {
  picture: 'Picture',
  brand: 'Brand',
  category: 'Category',
  title: 'Title',
  price: 'Price',
  unitPrice: 'Price per unit',
  swatches: 'Colours',
  stock: 'Stock',
  button: 'Button',
} as const;
export type CardPart = keyof typeof cardParts;
export const cardPartKeys = Object.keys(cardParts) as [CardPart, ...CardPart[]];
/** Colours in which a badge can stand, each readable on its ground. */
export const badgeColours = ['sale', 'sea', 'deep', 'tint', 'mist', 'paper'] as const satisfies ColourRole[];
export type BadgeColour = (typeof badgeColours)[number];

/** What a badge says of a product, and of which: `words` may hold {percent}, {days} or {pieces}. */
export const badgeKinds = {
  soldOut: { name: 'Sold out', words: 'Sold out', colour: 'paper' },
  reduced: { name: 'Reduced', words: '−{percent} %', colour: 'sale' },
  new: { name: 'New', words: 'New', colour: 'sea' },
  last: { name: 'Last pieces', words: 'Last {pieces}', colour: 'tint' },
  rule: { name: 'Products that match a rule', words: '', colour: 'deep' },
} as const satisfies Record<string, { name: string; words: string; colour: BadgeColour }>;
export type BadgeKind = keyof typeof badgeKinds;

/** Shapes of frames, as width by height. */
export const frames = {
  square: { name: 'square', ratio: 1 },
  portrait: { name: 'portrait', ratio: 0.8 },
  landscape: { name: 'landscape', ratio: 1.333 },
} as const;
export type Frame = keyof typeof frames;

/** What every card is drawn by, before the seller changes it. */
export const usualCardLook: { parts: readonly CardPart[]; price: 'from' | 'range'; frame: Frame } = {
  parts: ['picture', 'brand', 'title', 'price', 'swatches', 'unitPrice'],
  price: 'from',
  frame: 'square',
};
