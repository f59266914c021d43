import type { Page } from '../core/model/page';
import type { Section } from '../core/model/sections/sections';
import type { Menu } from '../core/model/menu';
import type { Db } from '../server/database/connection';
import { putPage, writeMenu } from '../server/store/pages';
import { newId } from '../server/shared/ids';

interface Ids {
  category: (name: string) => string;
  collection: (name: string) => string;
}

/** Builds the pages and the menu of Lark & Line. */
export function putStorefront(db: Db, home: Page, ids: Ids): void {
  const collection = (name: string) => ({ kind: 'collection' as const, id: ids.collection(name) });
  const category = (name: string) => ({ kind: 'category' as const, id: ids.category(name) });
  const sections: Section[] = [
    {
      id: newId('section'),
      kind: 'banner',
      title: 'There is wind on Saturday',
      text: 'Kites that lift in a whisper, for beaches, meadows and the car park behind the school.',
      link: category('Deltas'),
    },
    {
      id: newId('section'),
      kind: 'strip',
      title: 'Light-wind days',
      source: collection('Light-wind days'),
      count: 8,
    },
    {
      id: newId('section'),
      kind: 'tiles',
      title: 'Find your way',
      categoryIds: ['Single-line kites', 'Dual-line kites', 'Line & reels', 'Tails & windsocks'].map((name) =>
        ids.category(name),
      ),
    },
    { id: newId('section'), kind: 'strip', title: 'First kites', source: collection('First kites'), count: 4 },
    {
      id: newId('section'),
      kind: 'banner',
      title: 'Learn it on the beach',
      text: 'Three hours, eight kites and the two of us. You bring shoes that may get wet.',
      link: category('Workshops'),
    },
    { id: newId('section'), kind: 'strip', title: 'Night flyers', source: collection('Night flyers'), count: 8 },
  ];
  putPage(db, { ...home, sections }, 0);
  const small = newId('page');
  putPage(
    db,
    {
      id: small,
      title: 'Beach week',
      slug: 'beach-week',
      home: false,
      sections: [
        {
          id: newId('section'),
          kind: 'banner',
          title: 'One week, one bag',
          text: 'Everything we take along when we close the shop and go.',
          link: collection('Beach week'),
        },
        { id: newId('section'), kind: 'strip', title: 'In the bag', source: collection('Beach week'), count: 8 },
      ],
    },
    1,
  );
  const item = (target: Menu['items'][number]['target'], label = '') => ({ id: newId('menuItem'), label, target });
  writeMenu(db, {
    items: [
      {
        ...item(category('Kites')),
        items: ['Single-line kites', 'Dual-line kites', 'Quad-line kites', 'Indoor gliders'].map((name) =>
          item(category(name)),
        ),
      },
      { ...item(category('Line & reels')), items: [item(category('Line')), item(category('Reels & winders'))] },
      {
        ...item(category('Parts & repair'), 'Parts'),
        items: [item(category('Spars')), item(category('Connectors & tape')), item(collection('Back on the bench'))],
      },
      { ...item(category('Tails & windsocks'), 'Tails'), items: [] },
      { ...item(category('Plans & sounds'), 'Plans'), items: [] },
      { ...item(collection('Sets')), items: [] },
      { ...item(collection('On sale')), items: [] },
      { ...item({ kind: 'page', id: small }), items: [] },
    ],
  });
}
