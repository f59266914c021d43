import type { ShownStatus } from '../../../contract/product';

/** What the tour looks at. */
export interface ShopState {
  products: number;
  /** the product that was added last */
  newest: { id: string; title: string; status: ShownStatus; places: number; hasPicture: boolean } | null;
  /** those that hold goods */
  collections: number;
  edition: number;
}

/** How it was when the tour began. */
export type Before = Pick<ShopState, 'products' | 'collections' | 'edition'>;

export interface TourStep {
  key: string;
  title: string;
  words: (state: ShopState) => string;
  /** where it is done */
  at: (state: ShopState) => string;
  /** what it is done with there, to be pointed at */
  points: string;
  isDone: (state: ShopState, before: Before) => boolean;
}

const newestAt = ({ newest }: ShopState) => (newest ? `/goods/${newest.id}` : '/goods');
const named = ({ newest }: ShopState) => (newest ? `“${newest.title}”` : 'your product');

/** The first three minutes: a product from nothing to the live shop. Each step is real work, and done once the shop shows it. */
export const tourSteps: readonly TourStep[] = [
  {
    key: 'product',
    title: 'Add a product',
    words: () => 'Give it a title and a price. The rest can wait: what you type is saved as you go.',
    at: () => '/goods',
    points: 'New product',
    isDone: ({ products }, before) => products > before.products,
  },
  {
    key: 'picture',
    title: 'Give it a face',
    words: (state) => `Drop a picture anywhere on the page of ${named(state)}. The first one is its face everywhere.`,
    at: newestAt,
    points: 'Add pictures',
    isDone: ({ newest }) => newest?.hasPicture ?? false,
  },
  {
    key: 'status',
    title: 'Put it on the shop',
    words: (state) =>
      `${named(state)} is a draft: nobody sees it. Put it on the shop: shoppers meet it with the next edition.`,
    at: newestAt,
    points: 'Put on the shop',
    isDone: ({ newest }) => newest !== null && !['draft', 'off'].includes(newest.status),
  },
  {
    key: 'shelf',
    title: 'Make a shelf that fills itself',
    words: () =>
      'Make a collection that a rule fills, and add a condition that your product meets. Whatever fits stands on it, now and later.',
    at: () => '/groups',
    points: 'Fill by rule',
    isDone: ({ collections }, before) => collections > before.collections,
  },
  {
    key: 'place',
    title: 'Let shoppers meet it',
    words: (state) =>
      `Put a section with your shelf, or with ${named(state)}, on the home page. The shop window shows it at once.`,
    at: () => '/shopfront',
    points: 'Add a section',
    isDone: ({ newest }) => (newest?.places ?? 0) > 0,
  },
  {
    key: 'live',
    title: 'Put it live',
    words: () => 'The review tells what shoppers will notice. Put it live; going back is one click.',
    at: () => '/review',
    points: 'Put',
    isDone: ({ edition }, before) => edition > before.edition,
  },
];

/** The place of the first step that is not done; that of the end when all are. A step that was done stays so. */
export function nextStep(state: ShopState, before: Before, done: ReadonlySet<string>): number {
  const at = tourSteps.findIndex((step) => !done.has(step.key) && !step.isDone(state, before));
  return at < 0 ? tourSteps.length : at;
}
