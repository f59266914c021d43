import { usualPage, type Page } from '../core/model/page';
import { sectionTypes, type SectionKind, type SectionOf } from '../core/model/sections/sections';
import type { PlacedPicture } from '../core/model/sections/picture';
import type { StoredMedia } from '../server/media/picture-store';
import type { Slide } from '../core/model/sections/banner';
import type { Link, Target } from '../core/model/target';
import { usualItem, type MenuItem } from '../core/model/menu';
import type { Db } from '../server/database/connection';
import { putPage, writeMenu } from '../server/store/pages';
import { newId } from '../server/shared/ids';

/** What was drawn for the pages: three pictures from the beach, and a film with the words over it. */
export interface PageMedia {
  beach: StoredMedia[];
  film: string;
  captions: string;
}

interface Ids {
  category: (name: string) => string;
  collection: (name: string) => string;
  product: (title: string) => string;
}

/** A section of the demo shop: as a new one is, but for what is said of it here. */
const section = <Kind extends SectionKind>(kind: Kind, over: Partial<SectionOf<Kind>>): SectionOf<Kind> =>
  ({ ...sectionTypes[kind].fresh(), ...over, id: newId('section') }) as SectionOf<Kind>;

const beachWords = ['Up at seven, before the bathers', 'The dune behind the shop', 'Last flight of the day'];

const placed = ({ media, width, height }: StoredMedia, alt: string): PlacedPicture => ({
  media,
  width,
  height,
  alt,
  focus: { x: 0.5, y: 0.5 },
});

const slide = (title: string, text: string, pictureOf: Target, ...buttons: [words: string, to: Link][]): Slide => ({
  title,
  text,
  picture: null,
  pictureOf,
  buttons: buttons.map(([words, to]) => ({ words, to })),
});

/** Builds the pages and the menu of Lark & Line. */
export function putStorefront(db: Db, home: Page, ids: Ids, media: PageMedia): void {
  const collection = (name: string) => ({ kind: 'collection' as const, id: ids.collection(name) });
  const category = (name: string) => ({ kind: 'category' as const, id: ids.category(name) });
  const product = (title: string) => ({ kind: 'product' as const, id: ids.product(title) });
  const page = (title: string, slug: string, over: Partial<Page>): Page => ({
    ...usualPage,
    id: newId('page'),
    title,
    slug,
    home: false,
    sections: [],
    ...over,
  });

  const about = page('About us', 'about', {
    sections: [
      section('pictureText', {
        title: 'Two people, one harbour, far too much string',
        html: '<p>We began by mending kites on the quay, because the wind took apart what it was sold to hold. One winter we drew our own. Now there is a shop, with a workbench in the window.</p><p>Everything here has flown on our beach before it is sold. What did not fly well is not in the shop.</p>',
        pictureOf: category('Box kites'),
        side: 'right',
      }),
      section('facts', {
        ground: 'soft',
        facts: [
          { icon: 'wind', title: 'Flown before it is sold', words: 'On our own beach, in the wind it is made for.' },
          {
            icon: 'hand',
            title: 'Mended, not thrown away',
            words: 'Spars, bridles and sails, at the bench in the shop.',
          },
          { icon: 'pin', title: 'Harbour quay 4', words: 'Open when the flag is out.' },
        ],
      }),
      section('text', {
        title: 'How we choose what stands here',
        columns: 2,
        html: '<p>A kite is good when a child can launch it and a grown-up does not want to give it back. So we look at the first ten seconds: does it lift by itself, and does it forgive a clumsy hand?</p><p>Then we look at the tenth day. Seams that hold, spars that can be had one by one, a bag that closes with cold fingers.</p><p>We do not sell what we cannot repair. If it breaks, write to us: most of it is a matter of one spar and five minutes.</p>',
      }),
      section('line', {}),
      section('questions', {
        title: 'What people ask us',
        questions: [
          {
            question: 'Which kite should I begin with?',
            html: '<p>A delta with more than a metre and a half of span. It lifts by itself in a light breeze, and there is nothing to steer.</p>',
          },
          {
            question: 'How much wind is enough?',
            html: '<p>When leaves move, a delta flies. When dust lifts, a box kite is happy. When hats fly, stay at home and mend something.</p>',
          },
          {
            question: 'Can I send something back?',
            html: '<p>Within 30 days, also when it has sand in the seams.</p>',
          },
        ],
      }),
    ],
  });

  const beach = page('Beach week', 'beach-week', {
    metaDescription:
      'What we take along for a week on the beach: kites that pack small, lines, and something for the evening.',
    sections: [
      section('banner', {
        place: 'behind',
        height: 'tall',
        width: 'full',
        above: 'none',
        slides: [
          slide(
            'One week, one bag',
            'Everything we take along when we close the shop and go.',
            collection('Beach week'),
            ['What is in the bag', { kind: 'address', url: '#bag' }],
            ['First kites', collection('First kites')],
          ),
        ],
      }),
      section('film', {
        title: 'How it goes up',
        film: media.film,
        captions: media.captions,
        poster: placed(media.beach[1]!, 'A kite above a dune'),
        caption: 'Back to the wind, arm up, and let go.',
        width: 'text',
      }),
      section('strip', {
        title: 'Two to start with',
        subtitle: 'Both fly in a whisper, and both survive a suitcase.',
        source: { kind: 'picked', ids: [ids.product('Petrel delta 240'), ids.product('Heron delta 300')] },
        count: 2,
        columns: 2,
        fewer: 'centre',
      }),
      section('strip', {
        title: 'In the bag',
        anchor: 'bag',
        ground: 'soft',
        source: collection('Beach week'),
        count: 8,
        skipAbove: true,
        skipSoldOut: true,
      }),
      section('quotes', {
        title: 'They took it along',
        quotes: [
          {
            words: 'Six days of wind, one day of rain, and the box kite was still up when we went home.',
            who: 'Marit, with two boys and a dog',
            stars: 5,
          },
          {
            words: 'It fits beside the towels. That is all I wanted to know, and now I know it.',
            who: 'Jonas',
            stars: 4,
          },
          { words: 'My father flew it until it was dark. We had to call him for supper twice.', who: 'Ines', stars: 5 },
        ],
      }),
      section('strip', { title: '', source: { kind: 'goesWithBasket' }, count: 4, shape: 'row' }),
      section('strip', { title: '', source: { kind: 'recentlySeen' }, count: 4, shape: 'row' }),
      section('subscribe', {
        ground: 'tint',
        align: 'centre',
        title: 'Tell me when it blows',
        text: 'A note on Thursdays when the weekend looks good. Nothing else.',
        button: 'Tell me',
        thanks: 'You are on the list. Keep a line ready.',
      }),
    ],
  });

  const night = page('Night flying', 'night-flying', {
    sections: [
      section('banner', {
        slides: [
          slide(
            'After sunset',
            'Lights on the spars, the sea going quiet, and nobody else on the beach.',
            collection('Night flyers'),
            ['All night flyers', collection('Night flyers')],
          ),
        ],
      }),
      section('pictureText', {
        title: 'What you need besides a kite',
        html: '<p>A head torch with red light, a line that you can see, and somebody who holds the flask. Check where planes come in low.</p>',
        pictureOf: category('Reels & winders'),
        share: 'third',
        button: { words: 'Reels and winders', to: category('Reels & winders') },
      }),
      section('listing', { title: 'Everything that glows', of: collection('Night flyers') }),
    ],
  });

  const kit = page('Starter kit', 'starter-kit', {
    sections: [
      section('product', { productId: ids.product('Starter kit') }),
      section('facts', {
        ground: 'soft',
        facts: [
          { icon: 'gift', title: 'Comes in one box', words: 'Kite, line and reel, knotted together by us.' },
          { icon: 'return', title: '30 days to send it back', words: 'With sand in it, too.' },
          { icon: 'chat', title: 'Stuck? Write to us', words: 'One of us is always at the bench.' },
        ],
      }),
      section('quotes', {
        title: '',
        align: 'centre',
        quotes: [{ words: 'Up in the air before the instructions were unfolded.', who: 'Pieter, aged 41', stars: 5 }],
      }),
      section('tiles', {
        title: 'Build it yourself instead',
        childrenOf: ids.category('Parts & repair'),
        columns: 3,
        shape: 'round',
      }),
    ],
  });

  const workshops = page('Around the workshops', 'around-the-workshops', {
    standsOn: [category('Workshops')],
    sections: [
      section('facts', {
        facts: [
          { icon: 'clock', title: 'Three hours', words: 'Saturdays from April to October.' },
          { icon: 'hand', title: 'Eight people', words: 'And the two of us.' },
          { icon: 'wind', title: 'No wind, no lesson', words: 'Then it moves to the next Saturday.' },
        ],
      }),
      section('listing', { of: null }),
      section('quotes', {
        title: 'Those who came',
        quotes: [
          { words: 'I came to look after my daughter. I left with a kite.', who: 'Bram', stars: null },
          { words: 'Patient people, cold fingers, good coffee.', who: 'Lotte', stars: null },
        ],
      }),
    ],
  });

  const front: Page = {
    ...home,
    sections: [
      section('banner', {
        slides: [
          slide(
            'There is wind on Saturday',
            'Kites that lift in a whisper, for beaches, meadows and the car park behind the school.',
            category('Deltas'),
            ['', category('Deltas')],
            ['Beach week', { kind: 'page', id: beach.id }],
          ),
          slide('After sunset', 'Kites with lights on their spars.', collection('Night flyers'), [
            'Night flying',
            { kind: 'page', id: night.id },
          ]),
        ],
      }),
      section('strip', { title: 'Light-wind days', source: collection('Light-wind days'), count: 8 }),
      section('tiles', {
        title: 'Find your way',
        targets: ['Single-line kites', 'Dual-line kites', 'Line & reels', 'Tails & windsocks'].map(category),
      }),
      section('strip', { title: 'First kites', source: collection('First kites'), count: 4 }),
      section('pictureText', {
        title: 'Learn it on the beach',
        html: '<p>Three hours, eight kites and the two of us. You bring shoes that may get wet.</p>',
        pictureOf: category('Workshops'),
        side: 'right',
        ground: 'soft',
        button: { words: 'Workshops', to: category('Workshops') },
      }),
      section('strip', { title: 'Night flyers', source: collection('Night flyers'), count: 8 }),
      section('strip', {
        title: 'Three for today',
        subtitle: 'Other ones tomorrow.',
        source: { kind: 'bestSold', days: 90 },
        count: 3,
        columns: 3,
        daily: 18,
        skipAbove: true,
        skipSoldOut: true,
      }),
      section('pictures', {
        title: 'From the beach',
        pictures: media.beach.map((picture, i) => ({
          picture: placed(picture, beachWords[i]!),
          caption: beachWords[i]!,
          to: null,
        })),
      }),
    ],
  };
  putPage(db, front, 0);
  [beach, night, kit, about, workshops].forEach((each, i) => putPage(db, each, i + 1));

  const item = (target: Link | null, label = '', items: MenuItem[] = [], over: Partial<MenuItem> = {}): MenuItem => ({
    id: newId('menuItem'),
    label,
    target,
    ...usualItem,
    items,
    ...over,
  });
  const toPage = ({ id }: Page) => item({ kind: 'page', id });
  writeMenu(db, {
    items: [
      item(category('Kites'), '', [toPage(night)], { withChildren: true }),
      item(category('Line & reels'), '', [item(category('Line')), item(category('Reels & winders'))]),
      item(category('Parts & repair'), 'Parts', [
        item(category('Spars')),
        item(category('Connectors & tape')),
        item(collection('Back on the bench')),
      ]),
      item(category('Tails & windsocks'), 'Tails'),
      item(category('Plans & sounds'), 'Plans'),
      item(collection('Sets'), '', [toPage(kit), item(product('Starter kit'), 'Starter kit, in detail')]),
      item(collection('On sale')),
      toPage(beach),
    ],
    footer: [
      item(null, 'The shop', [
        item(category('Kites')),
        item(category('Line & reels')),
        item(category('Gifts')),
        item(collection('Best sellers')),
      ]),
      item(null, 'On the beach', [item(category('Workshops')), toPage(beach), toPage(night)]),
      item(null, 'Us', [
        toPage(about),
        item({ kind: 'address', url: 'mailto:hello@larkandline.example' }, 'Write to us'),
      ]),
    ],
    top: [item({ kind: 'address', url: 'mailto:hello@larkandline.example' }, 'Ask us'), item(category('Workshops'))],
  });
}
