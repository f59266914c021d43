import type { z } from 'zod';
import { EMPTY_RULE } from '../rule';
import { linkSchema } from '../target';
import { isShownAt } from './frame';
import {
  leanSection,
  rulesOf,
  sectionBodySchema,
  sectionTypes,
  targetsOf,
  typeOfSection,
  wholeSection,
  type SectionBody,
  type SectionKind,
} from './sections';

const page = { kind: 'page' as const, id: 'g_000001' };
const category = { kind: 'category' as const, id: 'c_000001' };
const picture = { media: '0'.repeat(32), width: 4, height: 3, alt: '' };

/** A section of each sort that names all that its sort can name, as it may be sent. A new sort has to be added here. */
const named: { [Kind in SectionKind]: z.input<(typeof sectionTypes)[Kind]['schema']> } = {
  banner: {
    kind: 'banner',
    slides: [{ title: 'Fly', text: '', pictureOf: category, buttons: [{ words: '', to: page }] }],
  },
  strip: {
    kind: 'strip',
    title: '',
    source: { kind: 'collection', id: 'k_000001' },
    count: 4,
    pins: ['p_000001'],
    leftOut: ['p_000002'],
  },
  tiles: { kind: 'tiles', title: '', targets: [category, page], childrenOf: 'c_000002' },
  product: { kind: 'product', title: '', productId: 'p_000001' },
  listing: { kind: 'listing', title: '', of: category },
  text: { kind: 'text', title: 'About us', html: '<p>Two of us.</p>' },
  pictureText: { kind: 'pictureText', title: '', html: '', pictureOf: category, button: { words: 'Go', to: page } },
  pictures: { kind: 'pictures', title: '', pictures: [{ picture, to: page }] },
  film: { kind: 'film', title: '', film: `${'a'.repeat(40)}.mp4`, captions: `${'b'.repeat(40)}.vtt` },
  quotes: { kind: 'quotes', title: '', quotes: [{ words: 'It flies.', who: 'A friend', stars: 5 }] },
  facts: { kind: 'facts', title: '', facts: [{ title: 'Sent soon', words: '' }] },
  questions: { kind: 'questions', title: '', questions: [{ question: 'Does it fly?', html: '<p>Yes.</p>' }] },
  subscribe: { kind: 'subscribe', title: '', text: '', button: 'Tell me', thanks: 'Thanks.' },
  line: { kind: 'line' },
};
const whole = (kind: SectionKind) => sectionBodySchema.parse(named[kind]);
const places = (body: SectionBody) => new Set(targetsOf(body).map(({ to }) => `${to.kind}:${to.id}`));

describe.each(Object.keys(sectionTypes) as SectionKind[])('%s', (kind) => {
  const declared = sectionTypes[kind];
  const body = whole(kind);

  test('stands under its own kind, says what it is for, and a new one can be saved as it is', () => {
    expect(declared.kind).toBe(kind);
    expect(declared.about).toMatch(/^[A-Z].*\.$/);
    expect(sectionBodySchema.safeParse(declared.fresh()).error).toBeUndefined();
    expect(targetsOf(declared.fresh())).toEqual([]);
  });

  test('what it names is told with its field, and only what can be deleted is asked for', () => {
    for (const { field } of targetsOf(body)) expect(Object.keys(body)).toContain(field);
    for (const field of Object.keys(declared.gone)) expect(Object.keys(body)).toContain(field);
  });

  test('is itself when nothing is followed elsewhere, and names the other when all is', () => {
    const { follow } = typeOfSection(body);
    expect(follow(body, (to) => to)).toBe(body);
    const moved = follow(body, (to) => ({ ...to, id: `${to.id.slice(0, 2)}moved1` }));
    expect(sectionBodySchema.safeParse(moved).success).toBe(true);
    for (const place of places(moved)) expect(place).toMatch(/_moved1$/);
    expect(places(moved).size > 0).toBe(places(body).size > 0);
  });

  test('is stored without what is as usual, and read as it was', () => {
    const stored = leanSection(body);
    expect(wholeSection(stored as SectionBody)).toEqual(body);
    expect(Object.keys(stored).sort()).toEqual(Object.keys(named[kind]).sort());
    expect(leanSection({ ...body, ground: 'deep', label: 'Mine' })).toMatchObject({ ground: 'deep', label: 'Mine' });
  });
});

test('a strip by rule hands its rule on, and changes only with it', () => {
  const rule = { match: 'all' as const, of: [{ field: 'tag', is: 'anyOf' as const, value: ['t_000001'] }] };
  const strip = sectionBodySchema.parse({ ...named.strip, source: { kind: 'rule', rule } });
  expect(rulesOf(strip)).toEqual([rule]);
  const { followRules } = typeOfSection(strip);
  expect(followRules!(strip, (each) => each)).toBe(strip);
  expect(rulesOf(followRules!(strip, () => EMPTY_RULE))).toEqual([EMPTY_RULE]);
});

test('links lead to things of the shop, or to addresses that run nothing', () => {
  const link = (url: string) => linkSchema.safeParse({ kind: 'address', url }).success;
  for (const url of ['https://example.com/a?b', '/page/about', '#questions', 'mailto:us@example.com', 'tel:+31 20 123'])
    expect([url, link(url)]).toEqual([url, true]);
  for (const url of [
    'javascript:alert(1)',
    'data:text/html,x',
    '//example.com',
    'example.com',
    '',
    'ht tp://x',
    'JAVASCRIPT:x',
  ])
    expect([url, link(url)]).toEqual([url, false]);
});

test('a section is seen between its days, and not while it is put away', () => {
  const at = (over: object) => isShownAt({ hidden: false, from: null, until: null, ...over }, 1_000);
  const moment = (ms: number) => new Date(ms).toISOString();
  expect(at({})).toBe(true);
  expect(at({ hidden: true })).toBe(false);
  expect([at({ from: moment(1_000) }), at({ from: moment(1_001) })]).toEqual([true, false]);
  expect([at({ until: moment(1_001) }), at({ until: moment(1_000) })]).toEqual([true, false]);
});

test('a section of a sort that is not known is refused at its kind', () => {
  const { error } = sectionBodySchema.safeParse({ kind: 'unheard-of', title: '' });
  expect(error?.issues[0]?.path).toEqual(['kind']);
});
