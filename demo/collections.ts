import type { Collection } from '../core/model/group';
import { namedOrders } from '../core/model/order';
import type { Condition, Rule } from '../core/model/rule';

export type DemoCollection = Partial<Collection> & { name: string };

/** How the demo's collections name what they are made of. */
export interface DemoIds {
  product: (title: string) => string;
  tag: (name: string) => string;
  category: (name: string) => string;
}

const DAY = 86_400_000;
const all = (...of: Rule['of']): Rule => ({ match: 'all', of });
const inStock: Condition = { field: 'stock', is: 'above', value: 0 };

/** The collections of Lark & Line: those with `picked` are picked by hand, the others filled by rule. `now`: ms since 1970. */
export function demoCollections(ids: DemoIds, now: number): DemoCollection[] {
  const tag = (name: string): Condition => ({ field: 'tag', is: 'anyOf', value: [ids.tag(name)] });
  const within = (name: string): Condition => ({ field: 'category', is: 'anyOf', value: [ids.category(name)] });
  const picked = (...titles: string[]) => titles.map(ids.product);
  return [
    {
      name: 'Light-wind days',
      text: 'For evenings when the flags hang still.',
      rule: all(tag('light wind'), inStock, within('Kites')),
      pins: picked('Harrier delta 180', 'Wren pocket sled'),
      order: {
        keys: [
          { by: 'sold30', down: true },
          { by: 'price', down: false },
        ],
        mix: 'none',
        soldOutLast: true,
      },
      fewest: 6,
    },
    {
      name: 'First kites',
      text: 'Easy to launch, hard to break.',
      picked: picked(
        'Wren pocket sled',
        'Harrier delta 180',
        'Diamond classic',
        'Wagtail delta 120',
        'Beach foil 1.0',
        'Tern sport kite',
        'Balsa glider',
        'Child’s reel',
      ),
    },
    {
      name: 'Under 25',
      text: 'Small prices, real fun.',
      rule: all({ field: 'price', is: 'below', value: 2500 }, within('Kites'), inStock),
      order: namedOrders['price-up'],
    },
    {
      name: 'Beach week',
      text: 'What goes into the bag on Friday.',
      picked: picked(
        'Skua dual-line foil',
        'Harbour windsock',
        'Petrel delta 240',
        'Ribbon tail 6 m',
        'Hoop winder',
        'Beach blanket',
        'Wren pocket sled',
      ),
    },
    {
      name: 'Night flyers',
      text: 'After sunset it gets better.',
      rule: all(tag('night'), inStock),
      order: namedOrders['newest'],
    },
    {
      name: 'Just in',
      rule: all({ field: 'created', is: 'inLast', value: 60 }, inStock),
      order: namedOrders['newest'],
    },
    { name: 'On sale', rule: all({ field: 'onSale', is: 'yes', value: null }), order: namedOrders['price-up'] },
    {
      name: 'Strong wind',
      rule: all(
        { match: 'any', of: [tag('windy'), within('Box kites')] },
        { match: 'none', of: [within('Parts & repair')] },
      ),
      order: namedOrders['featured'],
    },
    {
      name: 'Blue or green, ready to send',
      rule: all({
        variants: 'some',
        match: 'all',
        of: [
          { field: 'option.colourway', is: 'anyOf', value: ['sea', 'pine'] },
          { field: 'stock', is: 'atLeast', value: 5 },
        ],
      }),
      order: namedOrders['title'],
    },
    {
      name: 'Back on the bench',
      text: 'Parts for a long winter evening.',
      rule: all(tag('repair'), inStock),
      order: namedOrders['price-up'],
    },
    { name: 'Sets', rule: all({ field: 'kind', is: 'anyOf', value: ['bundle'] }), order: namedOrders['featured'] },
    {
      name: 'Gifts over 1000',
      rule: all({ field: 'price', is: 'above', value: 100_000 }, tag('gift')),
      order: namedOrders['newest'],
    },
    {
      name: 'Best sellers',
      text: 'What most of you took home in the last three months.',
      rule: all({ field: 'sold90', is: 'atLeast', value: 8 }, inStock),
      order: { keys: [{ by: 'sold90', down: true }], mix: 'brand', soldOutLast: false },
      most: 40,
    },
    {
      name: 'Slow movers',
      text: 'For our own eyes: what gathers dust.',
      status: 'off',
      rule: all({ match: 'none', of: [{ field: 'lastSold', is: 'inLast', value: 90 }] }, inStock, {
        field: 'kind',
        is: 'anyOf',
        value: ['physical'],
      }),
      order: { keys: [{ by: 'stockValue', down: true }], mix: 'none', soldOutLast: false },
    },
    {
      name: 'Spring opening',
      text: 'New season, new lines.',
      liveFrom: new Date(now + 40 * DAY).toISOString(),
      liveUntil: new Date(now + 61 * DAY).toISOString(),
      rule: all(
        { field: 'category', is: 'anyOf', value: [ids.category('Single-line kites'), ids.category('Line')] },
        { field: 'margin', is: 'atLeast', value: 3000 },
        inStock,
      ),
      order: { keys: [{ by: 'margin', down: true }], mix: 'category', soldOutLast: false },
    },
  ];
}
