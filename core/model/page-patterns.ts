import { sectionTypes, type SectionBody, type SectionKind } from './sections/sections';

type Body<Kind extends SectionKind> = Partial<Extract<SectionBody, { kind: Kind }>>;
const of = <Kind extends SectionKind>(kind: Kind, over: Body<Kind> = {}): SectionBody => ({
  ...sectionTypes[kind].fresh(),
  ...over,
});

const slide = (title: string, text: string) => [{ ...sectionTypes.banner.fresh().slides[0]!, title, text }];

/** What a new page can begin with. Words are there to be typed over. */
export const pagePatterns = {
  blank: { name: 'Empty page', about: 'Nothing on it yet.', sections: (): SectionBody[] => [] },
  shopHome: {
    name: 'Home of a shop',
    about: 'A banner, ways into the shop, what is featured and what is new.',
    sections: () => [
      of('banner', { slides: slide('What your shop is about', 'One sentence that makes people look further.') }),
      of('strip', { title: '', source: { kind: 'featured' }, count: 4 }),
      of('tiles', { title: 'Find your way' }),
      of('strip', { source: { kind: 'newest' }, count: 8, skipAbove: true }),
      of('facts', {
        facts: [
          { icon: 'parcel', title: 'How fast you send', words: '' },
          { icon: 'return', title: 'How long people may send back', words: '' },
          { icon: 'chat', title: 'Where they can ask', words: '' },
        ],
      }),
    ],
  },
  landing: {
    name: 'Landing page',
    about: 'For one occasion: a banner, goods, what others say, a note to subscribe.',
    sections: () => [
      of('banner', {
        place: 'behind',
        height: 'tall',
        slides: slide('What this is about', 'Why now, in one sentence.'),
      }),
      of('strip', {
        title: 'To begin with',
        source: { kind: 'picked', ids: [] },
        count: 2,
        columns: 2,
        fewer: 'centre',
      }),
      of('strip', { source: null, count: 8, skipAbove: true, skipSoldOut: true }),
      of('quotes', { title: 'What others say' }),
      of('subscribe', { ground: 'tint', align: 'centre' }),
    ],
  },
  oneProduct: {
    name: 'Page of one product',
    about: 'One thing with its pictures and price, told in full.',
    sections: () => [
      of('product', {}),
      of('facts', { ground: 'soft' }),
      of('pictureText', { title: 'How it is made' }),
      of('quotes', { title: 'What others say' }),
      of('questions', {}),
    ],
  },
  about: {
    name: 'About',
    about: 'Who you are, with a picture.',
    sections: () => [
      of('pictureText', { title: 'Who we are', html: '<p>How it began, and what you care about.</p>' }),
      of('text', { title: 'How we work', columns: 2, html: '<p>Tell it as you would tell a friend.</p>' }),
    ],
  },
  contact: {
    name: 'Contact',
    about: 'How to reach you, and what people ask most.',
    sections: () => [
      of('text', { title: 'Write or call', html: '<p>Your address, your mail, your hours.</p>' }),
      of('questions', {}),
    ],
  },
} satisfies Record<string, { name: string; about: string; sections: () => SectionBody[] }>;

export type PagePattern = keyof typeof pagePatterns;
export const patternKeys = Object.keys(pagePatterns) as [PagePattern, ...PagePattern[]];
