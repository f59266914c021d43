import type { ShapeName } from './pictures/shapes';

/** A category with those below it. */
export interface DemoCategory {
  name: string;
  text?: string;
  /** spec sheet that is suggested to what stands in it */
  sheet?: string;
  below?: DemoCategory[];
}

export const categories: DemoCategory[] = [
  {
    name: 'Kites',
    text: 'Everything that flies on one line, two or four. If this is the first one, start with a delta.',
    below: [
      {
        name: 'Single-line kites',
        text: 'Let it up, hold on, look. From a breath of wind to a stiff breeze.',
        sheet: 'Single-line kite',
        below: [
          { name: 'Deltas', text: 'Wide wings, a light hand and no worries: the easiest kites to launch.' },
          { name: 'Diamonds', text: 'The shape that everybody draws, with a tail that dances.' },
          { name: 'Sleds & pockets', text: 'No spars, or nearly none. They fold into a pocket and forgive a crash.' },
          { name: 'Box kites', text: 'Steady as a lighthouse in strong wind.' },
        ],
      },
      {
        name: 'Dual-line kites',
        text: 'One line in each hand, and the kite goes where you look.',
        below: [{ name: 'Sport kites' }, { name: 'Foils' }],
      },
      { name: 'Quad-line kites', text: 'Forwards, backwards, and standing still in the air.' },
    ],
  },
  {
    name: 'Line & reels',
    text: 'What holds it all together.',
    below: [{ name: 'Line' }, { name: 'Reels & winders' }],
  },
  {
    name: 'Parts & repair',
    text: 'Spars, cloth and small things. Most kites can be mended in an evening.',
    below: [{ name: 'Spars', sheet: 'Spar' }, { name: 'Sail cloth', sheet: 'Cloth' }, { name: 'Connectors & tape' }],
  },
  { name: 'Tails & windsocks', text: 'Colour that moves, on the kite or in the garden.' },
  { name: 'Indoor gliders', text: 'For rainy days and sports halls.' },
  { name: 'Plans & sounds', text: 'Print it, build it. Or just listen to the beach.' },
  { name: 'Workshops', text: 'Two people, one beach, all the kites.' },
  { name: 'Gifts' },
];

/** Those with a text have a page of their own. */
export const brands = [
  { name: 'Alula Sailworks', text: 'Three sisters and a loft full of ripstop. Light kites that want to be let go.' },
  { name: 'Hallo Hangar', text: 'Boxes, gliders and odd ideas from an old boat shed.' },
  { name: 'Norrwind', text: 'Made where the wind never stops: lines, frames and kites for grown-up breezes.' },
  { name: 'Tern & Tackle', text: 'Reels, winders and everything that holds.' },
  { name: 'Lark & Line', text: '' },
];

export interface DemoProduct {
  title: string;
  category: string;
  brand: string;
  shape: ShapeName;
  summary: string;
  /** euros */
  price: number;
  sale?: number;
  kind?: 'digital' | 'service' | 'giftCard' | 'bundle';
  colours?: string[];
  /** second option: name, then values with what each adds to the price */
  option?: [name: string, ...values: [string, number][]];
  tags: string[];
  /** tells why it is sold out, a draft, without pictures … */
  odd?: 'draft' | 'soldOut' | 'noPicture' | 'belowCost' | 'few' | 'notCounted';
  featured?: boolean;
}

type Row = [title: string, price: number, shape: ShapeName, summary: string, extra?: Partial<DemoProduct>];

const warm = ['Ember', 'Sun', 'Rose'];
const cool = ['Sea', 'Pine', 'Plum'];
const mixed = ['Ember', 'Pine', 'Sea', 'Plum'];

/** Products that share a category, tags and the like; each row says what is its own. */
export function family(
  base: Pick<DemoProduct, 'category' | 'tags'> & Partial<DemoProduct>,
  rows: Row[],
): DemoProduct[] {
  const makers = ['Alula Sailworks', 'Hallo Hangar', 'Norrwind'];
  return rows.map(([title, price, shape, summary, extra = {}], i) => ({
    brand: makers[(i + title.length) % makers.length]!,
    ...base,
    title,
    price,
    shape,
    summary,
    ...extra,
    tags: [...new Set([...base.tags, ...(extra.tags ?? [])])],
  }));
}

/** Kites come alone, or ready to be let up. */
export const lineSet: DemoProduct['option'] = ['Line set', ['Without', 0], ['With 50 m reel', 15]];

/** Kites with more than one line come alone, or with lines and straps. */
export const handles: DemoProduct['option'] = ['Lines', ['Without', 0], ['With lines and straps', 42]];

export const fixing: DemoProduct['option'] = ['Fixing', ['Loop', 0], ['Swivel', 2.5]];

/** Cloth by the metre, or in longer pieces for a little less. */
export const clothPiece: DemoProduct['option'] = ['Piece', ['1 m', 0], ['3 m', 19], ['5 m', 36]];

export const firstGoods: DemoProduct[] = [
  ...family({ category: 'Deltas', tags: ['light wind', 'single line'], colours: mixed, option: lineSet }, [
    [
      'Harrier delta 180',
      64,
      'delta',
      'A forgiving single-line delta that lifts in a whisper.',
      { brand: 'Alula Sailworks', tags: ['first kite', 'ready to fly'], sale: 58, featured: true },
    ],
    [
      'Petrel delta 240',
      118,
      'wideDelta',
      'Two metres forty of calm, for evenings with hardly any wind.',
      { brand: 'Norrwind', featured: true },
    ],
    [
      'Wagtail delta 120',
      29.5,
      'delta',
      'Small, quick to rig and happy in a backpack.',
      { tags: ['first kite', 'travel'] },
    ],
    [
      'Heron delta 300',
      164,
      'wideDelta',
      'Big slow wings that carry a tail, or a camera, without a shrug.',
      { tags: ['large'], option: undefined },
    ],
    ['Swift delta 150', 42, 'delta', 'A little more pull, for a little more wind.', { tags: ['windy'] }],
    [
      'Night-glow delta',
      54,
      'delta',
      'Glows for two hours after sunset, brighter after a sunny day.',
      { tags: ['night'], colours: cool },
    ],
    [
      'Linnet delta 90',
      19.5,
      'delta',
      'The one that goes along in every bag, just in case.',
      { tags: ['first kite', 'travel', 'under 25'], option: undefined },
    ],
    ['Marsh delta 200', 72, 'wideDelta', 'Long wing tips that settle on the air and stay there.'],
    [
      'Storm delta 160',
      58,
      'delta',
      'Vented for days when everybody else packs up.',
      { tags: ['windy'], colours: warm },
    ],
  ]),
  ...family({ category: 'Diamonds', tags: ['single line'], colours: mixed, option: lineSet }, [
    [
      'Diamond classic',
      24,
      'diamond',
      'The kite that everybody draws, with seven bows on its tail.',
      { brand: 'Hallo Hangar', tags: ['first kite', 'under 25'], odd: 'soldOut' },
    ],
    [
      'Night-glow diamond',
      32,
      'diamond',
      'A diamond for dusk: the cross glows, the bows follow.',
      { tags: ['night'], colours: cool, featured: true },
    ],
    ['Tidewater eddy', 38, 'eddy', 'A bowed diamond that needs no tail and wants no help.', { tags: ['light wind'] }],
    ['Paper-look diamond', 27.5, 'diamond', 'Looks like paper, holds like sail cloth.'],
    [
      'Harbour eddy 110',
      34,
      'eddy',
      'Made after the kites that boats once flew to test the wind.',
      { tags: ['light wind'] },
    ],
    [
      'Patchwork diamond',
      46,
      'diamond',
      'Sewn from offcuts, so no two are the same.',
      { option: ['Size', ['80 cm', 0], ['110 cm', 14]] },
    ],
    [
      'Little lantern diamond',
      21,
      'diamond',
      'Small enough for small hands.',
      { tags: ['first kite', 'under 25'], colours: warm },
    ],
    ['Compass eddy', 41, 'eddy', 'A rose of the winds in the middle, so that you know where it came from.'],
  ]),
  ...family({ category: 'Sleds & pockets', tags: ['single line', 'travel'], colours: mixed, option: lineSet }, [
    [
      'Wren pocket sled',
      18.5,
      'sled',
      'Folds to the size of a sandwich, flies like a kite twice as large.',
      { brand: 'Alula Sailworks', tags: ['first kite', 'under 25', 'ready to fly'], featured: true },
    ],
    ['Plover pocket', 22, 'pocket', 'Six cells, no sticks, nothing to break.', { tags: ['under 25'] }],
    ['Sanderling sled', 26, 'sled', 'Runs up from the hand as soon as there is a breeze.'],
    [
      'Dunlin pocket 120',
      39,
      'pocket',
      'The large pocket: more cells, more pull, still no sticks.',
      { tags: ['windy'] },
    ],
    [
      'School sled',
      9.5,
      'sled',
      'White cloth to paint on, one or thirty at a time.',
      {
        tags: ['under 25', 'first kite'],
        colours: undefined,
        option: ['Pack', ['1 sled', 0], ['10 sleds', 72], ['30 sleds', 190]],
        odd: 'notCounted',
      },
    ],
    [
      'Knot pocket',
      24.5,
      'pocket',
      'Comes with a tail on each corner and a bag that is part of it.',
      { tags: ['under 25'] },
    ],
    ['Breakwater sled 140', 34, 'sled', 'For the end of the pier, where the wind is straight.', { tags: ['windy'] }],
  ]),
  ...family(
    { category: 'Box kites', tags: ['single line', 'windy'], colours: ['Sun', 'Sea', 'Moss'], option: lineSet },
    [
      [
        'Meridian box kite',
        92,
        'box',
        'Two cells, four spars and a hundred years of practice.',
        { brand: 'Hallo Hangar', odd: 'few' },
      ],
      ['Lighthouse box', 76, 'box', 'Stripes that can be seen from the next village.', { colours: ['Ember', 'Sea'] }],
      ['Crate box kite', 58, 'box', 'A small box with a loud voice in strong wind.'],
      [
        'Winged box 160',
        124,
        'box',
        'A box between two wings, for less wind than boxes like.',
        { tags: ['large'], colours: cool },
      ],
      ['Signal box', 66, 'box', 'Rigs in one minute, even with cold fingers.'],
    ],
  ),
  ...family({ category: 'Sport kites', tags: ['two lines'], colours: ['Ember', 'Sea', 'Plum'], option: handles }, [
    [
      'Skua sport kite',
      139,
      'sport',
      'Sharp corners when you ask for them, slow circles when you do not.',
      { brand: 'Norrwind', featured: true },
    ],
    [
      'Tern sport kite',
      89,
      'sport',
      'A first sport kite that takes a nose dive with good grace.',
      { tags: ['first kite', 'ready to fly'] },
    ],
    ['Gannet sport kite XL', 189, 'sport', 'Large, quiet and precise. Wants room.', { tags: ['large'] }],
    ['Kittiwake light', 156, 'sport', 'Made for the first two notches of the wind scale.', { tags: ['light wind'] }],
    [
      'Fulmar sport kite',
      112,
      'sport',
      'For windy coasts: vents, a strong frame and short tips.',
      { tags: ['windy'], sale: 95 },
    ],
    [
      'Petrel indoor sport',
      98,
      'sport',
      'Flies in a sports hall, pulled by nothing but your steps.',
      { tags: ['indoor', 'light wind'], odd: 'few' },
    ],
    ['Sparrow sport mini', 34, 'sport', 'Zips about like its name, in a metre of sky.', { tags: ['windy', 'travel'] }],
  ]),
  ...family({ category: 'Foils', tags: ['two lines'], colours: ['Ember', 'Sea', 'Moss'], option: handles }, [
    [
      'Skua dual-line foil',
      129,
      'foil',
      'Soft, strong and unbreakable: pulls you along the beach.',
      { brand: 'Norrwind', option: ['Size', ['1.2 m²', 0], ['1.6 m²', 20], ['2.0 m²', 44]], featured: true },
    ],
    [
      'Beach foil 1.0',
      69,
      'foil',
      'A soft start with two lines, and a bag to sit on.',
      { tags: ['first kite', 'ready to fly', 'travel'] },
    ],
    ['Groyne foil', 154, 'foil', 'More wing, more pull. Wear shoes.', { tags: ['large', 'windy'], sale: 129 }],
    ['Sandpiper foil 0.8', 48, 'foil', 'For strong wind, or for children with a strong will.', { tags: ['windy'] }],
    [
      'Ebb foil 2.5',
      219,
      'foil',
      'Turns a light breeze into a long walk backwards.',
      { tags: ['light wind', 'large'] },
    ],
  ]),
  ...family({ category: 'Quad-line kites', tags: ['four lines'], colours: ['Plum', 'Sea', 'Ember'], option: handles }, [
    ['Hover quad', 198, 'quad', 'Stops, turns on the spot and backs into its parking place.', { brand: 'Norrwind' }],
    ['Hover quad vented', 212, 'quad', 'The same, for when the flags stand straight.', { tags: ['windy'] }],
    [
      'Team quad',
      246,
      'quad',
      'Light and even, so that six of them can move as one.',
      { tags: ['light wind'], odd: 'few' },
    ],
    [
      'Quad trainer',
      134,
      'quad',
      'Four lines without tears, with a video for each step.',
      { tags: ['first kite', 'ready to fly'] },
    ],
  ]),
  ...family({ category: 'Line', tags: [], brand: 'Tern & Tackle' }, [
    [
      'Braided line',
      9.8,
      'spool',
      'Does not stretch, does not sing, does not mind salt.',
      { option: ['Length', ['25 m', 0], ['50 m', 5.2], ['100 m', 14.2]], colours: ['Sun', 'Sea'] },
    ],
    [
      'Twisted line 50 m',
      5.9,
      'spool',
      'Plain, honest line for plain, honest kites.',
      { tags: ['under 25'], option: ['Strength', ['15 daN', 0], ['25 daN', 2]], colours: ['Slate', 'Ember'] },
    ],
    [
      'Sleeved dual-line set',
      34,
      'spool',
      'Two equal lines, pre-stretched, with sleeved ends.',
      { tags: ['two lines'], option: ['Length', ['20 m', 0], ['25 m', 4], ['30 m', 8]] },
    ],
    [
      'Quad-line set 25 m',
      62,
      'spool',
      'Four lines cut to the millimetre.',
      { tags: ['four lines'], option: ['Strength', ['45 daN', 0], ['70 daN', 8]] },
    ],
    [
      'Night line 50 m',
      14.5,
      'spool',
      'Glows just enough to find it.',
      { tags: ['night', 'under 25'], colours: ['Sun'] },
    ],
    ['Cotton line 100 m', 8.4, 'spool', 'For kites with a past.', { tags: ['under 25'] }],
    [
      'Bridle line 10 m',
      4.2,
      'spool',
      'Thin, stiff and easy to knot.',
      { tags: ['under 25'], colours: ['Slate', 'Ember', 'Sea'] },
    ],
    ['Sleeving 2 m', 2.8, 'spool', 'Keeps a knot from cutting its own line.', { tags: ['under 25'] }],
  ]),
  ...family({ category: 'Reels & winders', tags: [], brand: 'Tern & Tackle' }, [
    [
      'Beech reel',
      28,
      'reel',
      'Turned from one piece, oiled, and smoother every summer.',
      { colours: ['Sea', 'Ember'], option: ['Size', ['16 cm', 0], ['20 cm', 9]] },
    ],
    [
      'Hoop winder',
      11.5,
      'winder',
      'Winds fast and never tangles. Almost never.',
      { tags: ['under 25'], colours: ['Sun', 'Pine', 'Rose'] },
    ],
    ['Pocket winder', 4.9, 'winder', 'Flat, light, and it floats.', { tags: ['under 25', 'travel'] }],
    ['Dual-line winder', 9.8, 'winder', 'Two lines side by side, wound as one.', { tags: ['two lines', 'under 25'] }],
    [
      'Deck reel with brake',
      58,
      'reel',
      'For large kites and long lines: a brake for the thumb.',
      { tags: ['large'], odd: 'few' },
    ],
    [
      'Child’s reel',
      12,
      'reel',
      'Large handles, short line, no sharp edges.',
      { tags: ['first kite', 'under 25'], colours: ['Sun', 'Rose'] },
    ],
    [
      'Finger straps',
      13.5,
      'winder',
      'Soft straps for two lines and long afternoons.',
      { tags: ['two lines', 'under 25'], colours: ['Slate', 'Ember'] },
    ],
  ]),
  ...family({ category: 'Spars', tags: ['repair'], brand: 'Norrwind' }, [
    [
      'Carbon spar',
      5.4,
      'spars',
      'Stiff and light; wrapped, so that it bends before it breaks.',
      { option: ['Diameter', ['4 mm', 0], ['5 mm', 1.2], ['6 mm', 2.6], ['8 mm', 5.8]], tags: ['under 25'] },
    ],
    [
      'Glass-fibre spar',
      2.2,
      'spars',
      'Bends a long way and comes back.',
      { option: ['Diameter', ['3 mm', 0], ['4 mm', 0.6], ['6 mm', 1.4]], tags: ['under 25'] },
    ],
    [
      'Tapered spar set',
      38,
      'spars',
      'A whole frame, thick where it works and thin where it flies.',
      { tags: ['two lines'] },
    ],
    [
      'Bamboo split 90 cm',
      1.8,
      'spars',
      'Ten for a rainy weekend and a roll of paper.',
      { tags: ['under 25'], odd: 'notCounted' },
    ],
    [
      'Ferrule pack',
      6.4,
      'connector',
      'Twelve joints that turn two short spars into a long one.',
      { tags: ['under 25'] },
    ],
  ]),
  ...family(
    {
      category: 'Sail cloth',
      tags: ['repair', 'by the metre'],
      brand: 'Alula Sailworks',
      colours: ['Ember', 'Sun', 'Moss', 'Pine', 'Sea', 'Plum'],
      option: clothPiece,
    },
    [
      [
        'Ripstop nylon, per metre',
        9.6,
        'cloth',
        'The cloth that most of our kites are made of, 150 cm wide.',
        { tags: ['under 25'] },
      ],
      [
        'Ripstop polyester, per metre',
        12.4,
        'cloth',
        'Crisper, shinier, and it does not grow in the rain.',
        { tags: ['under 25'] },
      ],
      [
        'Light cloth, per metre',
        14.8,
        'cloth',
        'A third lighter, for kites that fly on hope.',
        { tags: ['light wind', 'under 25'], colours: cool },
      ],
      [
        'Mesh for vents, per metre',
        8.2,
        'cloth',
        'Lets the wind through where you want it to.',
        { tags: ['windy', 'under 25'], colours: ['Slate'] },
      ],
      [
        'Glow cloth, half a metre',
        16.5,
        'cloth',
        'Drinks light by day, gives it back by night.',
        { tags: ['night', 'under 25'], colours: undefined, option: undefined },
      ],
      [
        'Offcut bag',
        12,
        'cloth',
        'Half a kilo of colours: enough for a tail, or a very small kite.',
        { tags: ['under 25'], colours: undefined, option: undefined, odd: 'few' },
      ],
    ],
  ),
  ...family({ category: 'Connectors & tape', tags: ['repair', 'under 25'], brand: 'Tern & Tackle' }, [
    [
      'T-connector',
      0.9,
      'connector',
      'Moulded, tough and just tight enough.',
      { option: ['Diameter', ['4 mm', 0], ['5 mm', 0.1], ['6 mm', 0.2]], odd: 'notCounted' },
    ],
    ['Nock set', 3.2, 'connector', 'Twenty end caps with a groove for the line.'],
    ['Centre cross', 2.4, 'connector', 'Where all four spars of a diamond meet.', { colours: ['Slate', 'Ember'] }],
    [
      'Ripstop repair tape',
      6.9,
      'roll',
      'Sticks for years. Round the corners first.',
      { colours: ['Ember', 'Sea', 'Slate', 'Sun'] },
    ],
    ['Edge binding 10 m', 7.4, 'roll', 'Folds over an edge and ends the fraying.', { colours: ['Slate', 'Sea'] }],
    ['Swivel clips', 3.6, 'connector', 'Stop the line from twisting. Five in a tin.', { odd: 'belowCost' }],
    ['Split rings', 1.6, 'connector', 'Small, steel and always gone when one is needed.', { odd: 'noPicture' }],
    ['Needle and thread kit', 8.8, 'roll', 'Waxed thread, three needles, one thimble.'],
  ]),
  ...family({ category: 'Tails & windsocks', tags: ['colour'], colours: mixed, option: fixing }, [
    [
      'Ribbon tail 6 m',
      7.9,
      'tail',
      'Three ribbons that settle a nervous kite.',
      { brand: 'Alula Sailworks', tags: ['under 25'] },
    ],
    ['Tube tail 10 m', 24, 'tail', 'A long soft tube that swims through the air.', { tags: ['under 25'] }],
    ['Spinning tail', 16.5, 'tail', 'Turns, shines and makes people point.', { tags: ['under 25'], colours: warm }],
    ['Comet tail 15 m', 38, 'tail', 'For large kites that want to be larger.', { tags: ['large'] }],
    [
      'Harbour windsock',
      22,
      'windsock',
      'Five rings of colour for the garden or the boat.',
      { tags: ['under 25'], featured: true },
    ],
    ['Windsock 150', 34, 'windsock', 'A metre and a half, and it never stops talking.'],
    ['Balcony windsock', 14.5, 'windsock', 'Small, with a clamp for the railing.', { tags: ['under 25'] }],
    [
      'Fishbone windsock',
      29,
      'windsock',
      'A fish that swims against the wind all day.',
      { colours: cool, odd: 'draft' },
    ],
    [
      'Glow tail 4 m',
      19.5,
      'tail',
      'Draws lines into the dark.',
      { tags: ['night', 'under 25'], colours: ['Sun', 'Pine'] },
    ],
  ]),
  ...family({ category: 'Indoor gliders', tags: ['indoor', 'light wind'], brand: 'Hallo Hangar' }, [
    [
      'Balsa glider',
      12.5,
      'glider',
      'Slots together, trims with a coin, flies the length of a hall.',
      { tags: ['under 25', 'first kite'], colours: ['Ember', 'Sea'] },
    ],
    [
      'Walk-along glider',
      9.5,
      'glider',
      'Rides on the air that you push in front of you.',
      { tags: ['under 25'], colours: ['Plum', 'Moss'] },
    ],
    [
      'Feather glider',
      18,
      'glider',
      'Two grams. It lands when it likes.',
      { tags: ['under 25'], colours: ['Rose', 'Sea'] },
    ],
    ['Indoor delta', 36, 'delta', 'On a two-metre line, round and round, with no wind at all.', { colours: cool }],
    ['Hall glider class set', 84, 'glider', 'Twelve gliders, a repair kit and a lesson plan.', { odd: 'draft' }],
  ]),
  ...family(
    { category: 'Plans & sounds', tags: ['download'], brand: 'Lark & Line', kind: 'digital', odd: 'notCounted' },
    [
      ['Build plan: sparless sled', 6, 'plan', 'Twelve pages to print, one evening to sew.', { odd: 'draft' }],
      ['Build plan: barn-door diamond', 6, 'plan', 'Three sticks, one sail, no sewing machine.'],
      ['Build plan: Harrier delta', 9, 'plan', 'Our own delta, in full size, with every trick.', { featured: true }],
      ['Build plan: six-cell box', 8, 'plan', 'For those who like a right angle.'],
      ['Build plan: school sled, 30 pupils', 12, 'plan', 'A plan, a shopping list and a timetable for one class.'],
      ['Sounds: wind in the dunes', 4, 'sound', 'Fifty minutes of grass, gulls and distance.'],
      ['Sounds: harbour at night', 4, 'sound', 'Rigging, water and somebody’s radio.'],
      ['Sounds: rain on sail cloth', 4, 'sound', 'For sleeping, or for staying in.'],
    ],
  ),
  ...family({ category: 'Workshops', tags: ['experience'], brand: 'Lark & Line', kind: 'service' }, [
    [
      'First-flight afternoon',
      35,
      'flock',
      'Three hours on the beach with eight kites and the two of us.',
      { option: ['Day', ['Saturday', 0], ['Sunday', 0]], featured: true },
    ],
    ['Two lines for beginners', 48, 'flock', 'From the first crash to the first figure of eight.', { odd: 'few' }],
    ['Kite repair by the hour', 28, 'connector', 'Bring it, and we will look at it together.', { odd: 'notCounted' }],
    ['Build a sled with your class', 190, 'flock', 'We come to your school with cloth for thirty.', { odd: 'soldOut' }],
  ]),
  ...family({ category: 'Gifts', tags: ['gift'], brand: 'Lark & Line' }, [
    [
      'Gift card',
      15,
      'card',
      'For somebody whose favourite colour you do not know.',
      {
        kind: 'giftCard',
        colours: ['Ember', 'Sea'],
        option: ['Value', ['€15', 0], ['€30', 15], ['€50', 35], ['€100', 85]],
        odd: 'notCounted',
      },
    ],
    ['Kite postcard set', 8.5, 'flock', 'Ten cards, ten kites, one harbour.', { tags: ['under 25'] }],
    [
      'Gift box: Wren and reel',
      27,
      'sled',
      'The pocket sled, a hoop winder and fifty metres of line.',
      { tags: ['first kite', 'ready to fly'], colours: ['Ember', 'Sea'] },
    ],
    [
      'Harbour mug',
      14,
      'card',
      'Enamel, with a small diamond where the spoon goes.',
      { tags: ['under 25'], colours: ['Sea', 'Ember'], odd: 'noPicture' },
    ],
    [
      'Beach blanket',
      36,
      'cloth',
      'Ripstop on one side, soft on the other, pegs in the corners.',
      { colours: ['Sea', 'Moss'] },
    ],
  ]),
];
