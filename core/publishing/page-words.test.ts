import type { Section } from '../model/sections/sections';
import { sectionTypes, type SectionKind } from '../model/sections/sections';
import { collectionOf, pageOf, productOf, put, sectionOf, shopOf } from '../testing/shop';
import { sectionFields } from '../storefront/pages/sections/sections';
import { documentChange } from './difference';

const strip = (over: object) =>
  sectionOf({
    id: 's_1',
    kind: 'strip',
    title: '',
    source: { kind: 'collection', id: 'k_1' },
    count: 4,
    ...over,
  } as never) as Section;
const quotes = sectionOf({ id: 's_2', kind: 'quotes', title: 'They flew it', quotes: [] }) as Section;
const shopWith = (sections: Section[], over: object = {}) => {
  const shop = shopOf([productOf('p_a', { title: 'Harrier' })]);
  put(shop, 'collection', 'k_1', collectionOf('k_1', { name: 'Light-wind days', source: 'picked', picked: ['p_a'] }));
  put(shop, 'page', 'g_home', pageOf({ sections, ...over }));
  return shop;
};
const told = (before: Section[], after: Section[], over: object = {}) =>
  documentChange(shopWith(before), shopWith(after, over), 'page', 'g_home')!.fields.map(
    ({ label, before: a, after: b }) => [label, a, b],
  );

test('a section is spoken of by its name, with what it shows now and before', () => {
  expect(told([strip({})], [strip({ count: 8 })])).toEqual([['Light-wind days: Shows', '4', '8']]);
  expect(told([strip({})], [strip({ pins: ['p_a'], skipSoldOut: true })])).toEqual([
    ['Light-wind days: Held here', '', 'Harrier'],
    ['Light-wind days: Skips what is sold out', '', 'yes'],
  ]);
});

test('sections that come, go and move are told each once', () => {
  expect(told([strip({})], [strip({}), quotes])).toEqual([['They flew it', '', 'new on the page']]);
  expect(told([strip({}), quotes], [strip({})])).toEqual([['They flew it', 'on the page', '']]);
  expect(told([strip({}), quotes], [quotes, strip({})])).toEqual([
    ['Order of sections', 'Light-wind days, They flew it', 'They flew it, Light-wind days'],
  ]);
});

test('sections of one name are told apart', () => {
  const second = { ...strip({}), id: 's_3' };
  expect(told([strip({}), second], [strip({}), { ...second, count: 2 } as Section])).toEqual([
    ['Light-wind days (2): Shows', '4', '2'],
  ]);
});

test('what only the seller calls a section is no change for shoppers, what a page says of itself is', () => {
  expect(told([strip({})], [strip({ label: 'Row one' })])).toEqual([]);
  expect(told([strip({})], [strip({})], { metaTitle: 'Kites for calm days', showsTitle: true })).toEqual([
    ['Title on the page', '', 'shown'],
    ['Meta title', '', 'Kites for calm days'],
  ]);
});

test.each(Object.keys(sectionTypes) as SectionKind[])(
  'everything that can be changed of a section of the sort %s is told',
  (kind) => {
    const shop = shopWith([]);
    const section = { ...sectionTypes[kind].fresh(), id: 's_1' };
    const before = sectionFields(shop, section);
    for (const [field, value] of Object.entries(section)) {
      if (['id', 'kind', 'label'].includes(field)) continue;
      const other = changed(field, value);
      const after = sectionFields(shop, { ...section, [field]: other });
      expect([field, JSON.stringify([...after])]).not.toEqual([field, JSON.stringify([...before])]);
    }
  },
);

const media = { media: '0'.repeat(32), width: 4, height: 3, alt: 'A kite', focus: { x: 0.5, y: 0.5 } };
const samples: Record<string, unknown> = {
  from: '2027-01-01T00:00:00.000Z',
  until: '2027-01-01T00:00:00.000Z',
  source: { kind: 'featured' },
  order: { keys: [{ by: 'title', down: false }], mix: 'none', soldOutLast: false },
  pins: ['p_a'],
  leftOut: ['p_a'],
  without: ['brand'],
  targets: [{ kind: 'collection', id: 'k_1' }],
  childrenOf: 'c_kites',
  productId: 'p_a',
  of: { kind: 'collection', id: 'k_1' },
  pictureOf: { kind: 'collection', id: 'k_1' },
  picture: media,
  button: { words: 'Go', to: { kind: 'collection', id: 'k_1' } },
  pictures: [{ picture: media, caption: 'Up', to: null }],
  quotes: [{ words: 'Other', who: 'Else', stars: 3 }],
  facts: [{ icon: 'leaf', title: 'Other', words: '' }],
  questions: [{ question: 'Other?', html: '<p>Yes.</p>' }],
  slides: [{ title: 'Other', text: '', picture: null, pictureOf: null, buttons: [] }],
  daily: 9,
  film: `${'a'.repeat(40)}.mp4`,
  captions: `${'a'.repeat(40)}.vtt`,
  poster: media,
};

/** Another value of a field. */
function changed(field: string, value: unknown): unknown {
  if (typeof value === 'boolean') return !value;
  if (typeof value === 'number') return value === 2 ? 1 : 2;
  if (field === 'pictures' && typeof value === 'string') return 'face';
  if (value === 'grid') return 'row';
  if (field in samples) return samples[field];
  const others: Record<string, string> = { height: 'tall', html: '<p>Other.</p>' };
  return others[field] ?? `other ${String(value)}`;
}
