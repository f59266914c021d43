/** Which goods of the demo shop: all that is said must hold. */
export interface Which {
  /** in this category or below it */
  category?: string;
  tag?: string;
  title?: RegExp;
  brand?: string;
  /** a value that one of its options has */
  option?: RegExp;
}

/** A query and how well goods answer it: 3 what was looked for, 2 nearly so, 1 of some use. Others are no answer. */
export interface Judged {
  q: string;
  3: readonly Which[];
  2?: readonly Which[];
  1?: readonly Which[];
}

const cat = (category: string): Which => ({ category });
const tag = (name: string): Which => ({ tag: name });
const title = (pattern: RegExp): Which => ({ title: pattern });
const coloured = (category: string, option: RegExp): Which => ({ category, option });
const red = /ember|rose/i;
const blue = /^sea$/i;
const green = /moss|pine/i;

export const judged: readonly Judged[] = [
  // Sorts of goods, in one and in many.
  { q: 'kites', 3: [cat('Kites')] },
  { q: 'kite', 3: [cat('Kites')] },
  { q: 'deltas', 3: [cat('Deltas')], 1: [title(/delta/i)] },
  { q: 'delta kite', 3: [cat('Deltas')], 1: [title(/delta/i)] },
  { q: 'diamond', 3: [cat('Diamonds')], 1: [title(/diamond/i)] },
  { q: 'diamond kites', 3: [cat('Diamonds')], 1: [title(/diamond/i)] },
  { q: 'sled', 3: [cat('Sleds & pockets')], 1: [title(/sled/i)] },
  { q: 'pocket kites', 3: [cat('Sleds & pockets')], 1: [tag('travel')] },
  { q: 'box kite', 3: [cat('Box kites')] },
  { q: 'boxes', 3: [cat('Box kites')], 1: [title(/box/i)] },
  { q: 'foils', 3: [cat('Foils')] },
  { q: 'sport kite', 3: [cat('Sport kites')] },
  { q: 'stunt kite', 3: [cat('Kites')] },
  { q: 'quad', 3: [cat('Quad-line kites')], 2: [title(/quad/i)] },
  { q: 'four line kite', 3: [cat('Quad-line kites')], 1: [tag('four lines')] },
  { q: 'quad line kites', 3: [cat('Quad-line kites')] },
  { q: 'single line kites', 3: [cat('Single-line kites')] },
  { q: 'single-line kite', 3: [cat('Single-line kites')] },
  { q: 'dual line kite', 3: [cat('Dual-line kites')] },
  { q: 'two line kites', 3: [cat('Dual-line kites')], 2: [tag('two lines')] },
  { q: 'reels', 3: [title(/\breel\b/i)], 2: [cat('Reels & winders')] },
  { q: 'reel', 3: [title(/\breel\b/i)], 2: [cat('Reels & winders')] },
  { q: 'winders', 3: [title(/winder/i)], 2: [cat('Reels & winders')] },
  { q: 'line', 3: [cat('Line')] },
  { q: 'kite line', 3: [cat('Line')] },
  { q: 'line for kites', 3: [cat('Line')] },
  { q: 'spars', 3: [cat('Spars')] },
  { q: 'carbon tube', 3: [title(/carbon tube/i)], 2: [title(/carbon/i)] },
  { q: 'glass fibre rods', 3: [title(/glass-fibre/i)], 1: [cat('Spars')] },
  { q: 'sail cloth', 3: [cat('Sail cloth')] },
  { q: 'sailcloth', 3: [cat('Sail cloth')] },
  {
    q: 'ripstop',
    3: [title(/ripstop (?:nylon|polyester)|ripstop, per/i)],
    2: [title(/ripstop/i)],
    1: [cat('Sail cloth')],
  },
  { q: 'cloth by the metre', 3: [{ category: 'Sail cloth', title: /metre/i }], 2: [tag('by the metre')] },
  { q: 'connectors', 3: [title(/connector/i)], 2: [cat('Connectors & tape')] },
  { q: 'tape', 3: [title(/\btape\b/i)], 2: [title(/binding/i)], 1: [cat('Connectors & tape')] },
  { q: 'tails', 3: [title(/\btails?\b/i)], 2: [cat('Tails & windsocks')] },
  { q: 'windsock', 3: [title(/windsock/i)], 2: [cat('Tails & windsocks')] },
  { q: 'wind socks', 3: [title(/windsock/i)], 2: [cat('Tails & windsocks')] },
  { q: 'gliders', 3: [title(/glider/i)], 2: [cat('Indoor gliders')] },
  { q: 'indoor kite', 3: [{ category: 'Kites', tag: 'indoor' }], 2: [tag('indoor')], 1: [cat('Indoor gliders')] },
  { q: 'build plans', 3: [title(/build plan/i)] },
  { q: 'plan', 3: [title(/build plan/i)], 1: [cat('Plans & sounds')] },
  { q: 'sounds', 3: [title(/^sounds/i)] },
  { q: 'workshop', 3: [cat('Workshops')] },
  { q: 'gifts', 3: [cat('Gifts')], 2: [tag('gift')] },
  { q: 'gift card', 3: [title(/gift card/i)] },
  { q: 'voucher', 3: [title(/gift card/i)] },
  // What goods are like.
  { q: 'red kite', 3: [coloured('Kites', red)] },
  { q: 'red delta', 3: [coloured('Deltas', red)], 1: [cat('Deltas')] },
  { q: 'blue kites', 3: [coloured('Kites', blue)] },
  { q: 'green box kite', 3: [coloured('Box kites', green)], 1: [cat('Box kites')] },
  { q: 'purple sled', 3: [coloured('Sleds & pockets', /plum/i)], 1: [cat('Sleds & pockets')] },
  { q: 'yellow', 3: [{ option: /^sun$/i }], 1: [{ option: /ember/i }] },
  { q: 'kite for beginners', 3: [{ category: 'Kites', tag: 'first kite' }], 1: [cat('Kites')] },
  { q: 'first kite', 3: [{ category: 'Kites', tag: 'first kite' }], 2: [tag('first kite')] },
  { q: 'kite for a child', 3: [{ category: 'Kites', tag: 'first kite' }], 1: [cat('Kites'), tag('first kite')] },
  { q: 'light wind', 3: [tag('light wind')] },
  { q: 'lightwind kite', 3: [{ category: 'Kites', tag: 'light wind' }] },
  { q: 'light-wind delta', 3: [{ category: 'Deltas', tag: 'light wind' }], 1: [cat('Deltas')] },
  { q: 'kite for strong wind', 3: [{ category: 'Kites', tag: 'windy' }], 1: [cat('Kites')] },
  { q: 'night kite', 3: [{ category: 'Kites', tag: 'night' }], 2: [tag('night')] },
  { q: 'travel kite', 3: [{ category: 'Kites', tag: 'travel' }], 2: [tag('travel')] },
  { q: 'ready to fly', 3: [tag('ready to fly')] },
  { q: 'repair', 3: [title(/repair/i)], 2: [tag('repair')] },
  { q: 'repair kit', 3: [title(/repair kit/i)], 2: [title(/repair/i)], 1: [tag('repair')] },
  { q: 'starter kit', 3: [title(/starter kit/i)] },
  { q: 'large kite', 3: [{ category: 'Kites', tag: 'large' }], 1: [cat('Kites')] },
  { q: 'indoor', 3: [tag('indoor')] },
  // Single goods, as they are remembered, with slips and measures.
  { q: 'harrier', 3: [title(/^harrier/i)], 1: [title(/harrier/i)] },
  { q: 'harier delta', 3: [title(/^harrier/i)], 1: [title(/harrier/i)] },
  { q: 'petrel 240', 3: [title(/petrel delta 240/i)] },
  { q: 'swift delta 150', 3: [title(/swift delta 150/i)], 1: [cat('Deltas')] },
  { q: 'delta 240 cm', 3: [title(/petrel delta 240/i)], 1: [cat('Deltas')] },
  { q: '50 m line', 3: [title(/line 50 m/i)], 2: [{ category: 'Line', option: /50 m/i }], 1: [cat('Line')] },
  { q: '6 mm carbon', 3: [title(/carbon tube 6/i), { title: /carbon/i, option: /6 mm/i }], 1: [title(/carbon/i)] },
  { q: 'childs reel', 3: [title(/child.s reel/i)], 1: [title(/\breel\b/i)] },
  { q: 'beach blanket', 3: [title(/beach blanket/i)] },
  { q: 'windsok', 3: [title(/windsock/i)], 1: [cat('Tails & windsocks')] },
  { q: 'hallo hangar', 3: [{ brand: 'Hallo Hangar' }] },
  { q: 'norrwind kites', 3: [{ brand: 'Norrwind', category: 'Kites' }], 1: [{ brand: 'Norrwind' }] },
  // With words that say too much.
  {
    q: 'the best kite for my kids',
    3: [{ category: 'Kites', tag: 'first kite' }],
    2: [cat('Kites')],
    1: [tag('first kite')],
  },
  { q: 'i need a reel with line', 3: [title(/\breel\b/i)], 2: [cat('Line & reels')] },
  { q: 'delta kite zzyzx', 3: [cat('Deltas')], 1: [title(/delta/i)] },
  { q: 'waterproof sail cloth', 3: [cat('Sail cloth')] },
];
