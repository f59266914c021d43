import { clothPiece, family, fixing, handles, lineSet, type DemoProduct } from './lark-and-line';

const lengths: DemoProduct['option'] = ['Length', ['60 cm', 0], ['82 cm', 0.8], ['100 cm', 1.4], ['150 cm', 2.6]];
const all = ['Ember', 'Sun', 'Moss', 'Pine', 'Sea', 'Plum'];
const few = ['Ember', 'Sea', 'Plum', 'Pine'];

/** The rest of the shop: what comes after the goods that everybody asks for. */
export const moreGoods: DemoProduct[] = [
  ...family({ category: 'Deltas', tags: ['single line'], colours: few, option: lineSet }, [
    ['Whimbrel delta 150', 42, 'delta', 'Between the small one and the calm one.', { tags: ['ready to fly'] }],
    ['Fulmar delta 200', 86, 'wideDelta', 'Holds its height when the wind forgets to blow.', { tags: ['light wind'] }],
    // A tag that somebody wrote otherwise, so that there is something to find.
    ['Plover delta 90', 19.5, 'delta', 'For a coat pocket and a short pause.', { tags: ['under 25', 'travels'] }],
    [
      'Albatross delta 400',
      340,
      'wideDelta',
      'Four metres of patience. Bring gloves.',
      { tags: ['large'], odd: 'few' },
    ],
    ['Shearwater delta 220', 104, 'delta', 'Vented along the keel, for coasts that never rest.', { tags: ['windy'] }],
    [
      'Dusk delta 160',
      72,
      'delta',
      'Reflecting edges that answer a torch.',
      { tags: ['night'], colours: ['Plum', 'Sea'] },
    ],
  ]),
  ...family({ category: 'Diamonds', tags: ['single line'], colours: few, option: lineSet }, [
    [
      'Diamond mini',
      14,
      'diamond',
      'The first one that a child can carry alone.',
      { tags: ['first kite', 'under 25'] },
    ],
    ['Diamond grande', 68, 'diamond', 'The postcard kite, as large as a door.', { tags: ['large'] }],
    ['Bowed diamond 90', 32, 'eddy', 'Flies without a tail, if you let it.', { tags: ['light wind'] }],
    ['Bowed diamond 140', 54, 'eddy', 'Steady enough to hang a camera from.', { tags: ['windy'] }],
    ['Offcut diamond', 46, 'diamond', 'Sewn from offcuts: no two are alike.', { odd: 'few' }],
  ]),
  ...family({ category: 'Sleds & pockets', tags: ['single line', 'travel'], colours: all, option: lineSet }, [
    ['Dunlin pocket sled', 12.5, 'pocket', 'Folds to the size of an apple.', { tags: ['under 25', 'first kite'] }],
    ['Keel sled 120', 38, 'sled', 'Two keels, so that it does not wander.', { colours: few }],
    ['Vented sled 80', 27, 'sled', 'For the days when the others stay at home.', { tags: ['windy'], colours: few }],
    [
      'Paper sled, five to paint',
      16,
      'sled',
      'Five white sleds and a rainy afternoon.',
      { tags: ['under 25'], colours: undefined },
    ],
  ]),
  ...family({ category: 'Box kites', tags: ['single line', 'windy'], colours: few, option: lineSet }, [
    ['Breakwater box 80', 58, 'box', 'Square, stubborn and impossible to tip over.'],
    ['Lantern box', 74, 'box', 'Takes a small light into the dark.', { tags: ['night'] }],
    ['Winged box 140', 126, 'box', 'A box that learned to glide.', { tags: ['large'], odd: 'few' }],
  ]),
  ...family({ category: 'Sport kites', tags: ['two lines'], colours: few, option: handles }, [
    ['Knot sport kite', 92, 'sport', 'Slow enough to learn, quick enough to stay.', { tags: ['first kite'] }],
    [
      'Kittiwake sport kite',
      148,
      'sport',
      'Turns on a coin and stops on a word.',
      { option: ['Frame', ['Glass fibre', 0], ['Carbon', 46]] },
    ],
    ['Stint sport kite', 64, 'sport', 'Short, fast and loud.', { tags: ['windy'] }],
    [
      'Indoor sport kite',
      118,
      'sport',
      'On three-metre lines, in a hall, to music.',
      { tags: ['indoor', 'light wind'] },
    ],
  ]),
  ...family({ category: 'Foils', tags: ['two lines'], colours: few, option: handles }, [
    [
      'Sandbar foil 1.4',
      72,
      'foil',
      'The one to begin with when you are grown up.',
      { tags: ['first kite', 'ready to fly'] },
    ],
    ['Tide foil 3.2', 284, 'foil', 'Takes you along. Let go when in doubt.', { tags: ['large', 'windy'] }],
    ['Puddle foil 0.6', 39, 'foil', 'Fits behind a bicycle seat.', { tags: ['travel'] }],
  ]),
  ...family({ category: 'Quad-line kites', tags: ['four lines'], colours: few, option: handles }, [
    ['Quad mini', 96, 'quad', 'Half the size, twice the nerves.', { tags: ['windy'] }],
    [
      'Quad whisper',
      268,
      'quad',
      'For indoor halls and windless evenings.',
      { tags: ['light wind', 'indoor'], odd: 'soldOut' },
    ],
  ]),
  ...family({ category: 'Line', tags: [], brand: 'Tern & Tackle' }, [
    [
      'Coreless braid',
      12.6,
      'spool',
      'Splices to itself, needs no sleeve.',
      { option: ['Length', ['25 m', 0], ['50 m', 8], ['100 m', 21]], colours: ['Sun', 'Slate'] },
    ],
    [
      'Kite line 200 m',
      18,
      'spool',
      'For large kites, on a plain spool.',
      { option: ['Strength', ['50 daN', 0], ['90 daN', 9], ['140 daN', 18]] },
    ],
    [
      'Launching line 30 m',
      7.5,
      'spool',
      'Bright, thick and easy on the fingers.',
      { tags: ['under 25'], colours: ['Sun', 'Ember'] },
    ],
    ['Pre-cut bridle set', 9.2, 'spool', 'Six legs, marked and numbered.', { tags: ['under 25', 'repair'] }],
  ]),
  ...family({ category: 'Reels & winders', tags: [], brand: 'Tern & Tackle' }, [
    [
      'Ash reel',
      42,
      'reel',
      'Ash from the garden of a friend, with a brass pin.',
      { option: ['Size', ['18 cm', 0], ['24 cm', 12]] },
    ],
    [
      'Figure-eight winder',
      6.8,
      'winder',
      'No twist in, no twist out.',
      { tags: ['under 25'], colours: ['Slate', 'Sun'] },
    ],
    ['Quad winder', 14, 'winder', 'Four lines, four notches, no arguing.', { tags: ['four lines', 'under 25'] }],
    ['Ground stake', 8.5, 'winder', 'Holds the kite while you have lunch.', { tags: ['under 25'] }],
  ]),
  ...family({ category: 'Spars', tags: ['repair'], brand: 'Norrwind', option: lengths }, [
    ['Carbon tube 3 mm', 4.2, 'spars', 'For small deltas and mended tails.', { tags: ['under 25'] }],
    ['Carbon tube 4 mm', 4.9, 'spars', 'The one that most kites ask for.', { tags: ['under 25'] }],
    ['Carbon tube 6 mm', 6.8, 'spars', 'For spans of two metres and more.', { tags: ['under 25'] }],
    ['Glass-fibre rod 2 mm', 1.4, 'spars', 'Bends into a hoop and stays friendly.', { tags: ['under 25'] }],
    ['Glass-fibre rod 5 mm', 2.8, 'spars', 'Spreaders that survive a landing.', { tags: ['under 25'] }],
    ['Bamboo rod, planed', 3.4, 'spars', 'Planed by hand, sorted by weight.', { tags: ['under 25'] }],
  ]),
  ...family(
    {
      category: 'Sail cloth',
      tags: ['repair', 'by the metre'],
      brand: 'Alula Sailworks',
      colours: all,
      option: clothPiece,
    },
    [
      ['Heavy ripstop, per metre', 11.4, 'cloth', 'For keels, corners and dogs.', { tags: ['under 25'] }],
      [
        'Printed ripstop, per metre',
        15.2,
        'cloth',
        'Dots, stripes and one with gulls.',
        { tags: ['under 25', 'colour'], colours: few },
      ],
      ['Clear film, per metre', 6.8, 'cloth', 'A window for the sky.', { tags: ['under 25'], colours: undefined }],
    ],
  ),
  ...family({ category: 'Connectors & tape', tags: ['repair', 'under 25'], brand: 'Tern & Tackle' }, [
    [
      'Dihedral connector',
      1.8,
      'connector',
      'Gives both wings the same angle.',
      { option: ['Diameter', ['4 mm', 0], ['6 mm', 0.3]] },
    ],
    [
      'Vinyl end caps',
      1.2,
      'connector',
      'Twenty, soft and black.',
      { option: ['Diameter', ['3 mm', 0], ['4 mm', 0], ['6 mm', 0.2]] },
    ],
    ['Stand-off set', 4.6, 'connector', 'Keeps the sail away from the spars.'],
    [
      'Elastic cord 3 m',
      2.6,
      'roll',
      'Pulls a frame together, evening after evening.',
      { colours: ['Slate', 'Ember'] },
    ],
    ['Reinforcing patches', 3.8, 'roll', 'Stick-on corners, cut and ready.', { colours: ['Slate', 'Sea'] }],
    ['Seam tape 20 m', 5.2, 'roll', 'Holds two cloths still until they are sewn.'],
  ]),
  ...family({ category: 'Tails & windsocks', tags: ['colour'], colours: few, option: fixing }, [
    ['Streamer pair 3 m', 6.5, 'tail', 'One for each wing tip.', { tags: ['under 25'] }],
    ['Drogue 30', 12, 'tail', 'A little parachute that calms a wild kite.', { tags: ['under 25', 'windy'] }],
    ['Jellyfish tail', 42, 'tail', 'Forty ribbons on one ring.', { tags: ['large'] }],
    ['Spiral windsock', 18, 'windsock', 'Turns slowly, says nothing.', { tags: ['under 25'] }],
    ['Boat windsock', 24, 'windsock', 'Seam-taped, for the backstay.', { tags: ['under 25', 'windy'] }],
    [
      'Windsock pole 2 m',
      16,
      'spars',
      'Three pieces of glass fibre, one spike.',
      { tags: ['under 25'], colours: undefined },
    ],
  ]),
  ...family({ category: 'Indoor gliders', tags: ['indoor', 'light wind'], brand: 'Hallo Hangar', colours: few }, [
    ['Paper glider sheet', 5.5, 'glider', 'Press out, fold twice, throw.', { tags: ['under 25', 'first kite'] }],
    ['Foam glider', 8.5, 'glider', 'Survives a staircase.', { tags: ['under 25'] }],
    ['Catapult glider', 14, 'glider', 'With a rubber band and a promise to be careful.', { tags: ['under 25'] }],
  ]),
  ...family(
    { category: 'Plans & sounds', tags: ['download'], brand: 'Lark & Line', kind: 'digital', odd: 'notCounted' },
    [
      ['Build plan: bowed diamond', 6, 'plan', 'No tail, no glue, one evening.'],
      ['Build plan: jellyfish tail', 5, 'plan', 'Forty ribbons, and in which order.'],
      ['Sounds: gulls at noon', 4, 'sound', 'Recorded from the roof, with lunch in the background.'],
    ],
  ),
  ...family({ category: 'Workshops', tags: ['experience'], brand: 'Lark & Line', kind: 'service' }, [
    ['Sew your own delta', 120, 'flock', 'One Saturday, one machine each, one kite to take home.', { odd: 'few' }],
    ['Four lines for the curious', 56, 'flock', 'Two hours in which everything goes backwards.'],
  ]),
  ...family({ category: 'Gifts', tags: ['gift'], brand: 'Lark & Line' }, [
    ['Wall print: sixteen kites', 22, 'flock', 'Printed in the town, on thick paper.', { tags: ['under 25'] }],
    ['Sticker sheet', 3.5, 'flock', 'Twelve small kites for large suitcases.', { tags: ['under 25'] }],
    ['Tin of small things', 18, 'connector', 'Rings, clips, caps and a needle.', { tags: ['under 25', 'repair'] }],
  ]),
];
