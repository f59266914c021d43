import fc from 'fast-check';
import type { Section } from '../../model/sections/sections';
import type { StripSource } from '../../model/sections/strip';
import { collectionOf, NOW, pageOf, productArbitrary, productOf, put, sectionOf, shopOf } from '../../testing/shop';
import { filledSections } from './page-goods';
import { pageView } from './page-view';
import { sectionSummary } from './sections/sections';

const ids = ['p_a', 'p_b', 'p_c', 'p_d', 'p_e', 'p_f'];
const picture = {
  id: 'f_1',
  media: 'm',
  width: 3,
  height: 2,
  alt: '',
  focus: { x: 0, y: 0 },
  fit: 'fills' as const,
  background: '#ffffff',
};

const picked: StripSource = { kind: 'picked', ids };
const strip = (id: string, over: object = {}) =>
  sectionOf({ id, kind: 'strip', title: id, source: picked, count: 3, ...over } as never) as Section;
const shop = () =>
  shopOf(
    ids.map((id) => productOf(id, { pictures: id === 'p_b' ? [] : [picture] })),
    new Map([['p_cv', 0]]),
  );
type Shop = ReturnType<typeof shop>;
const goods = (of: Shop, sections: Section[], daysOn = 0) =>
  filledSections(of, pageOf({ sections }), { now: NOW, daysOn }).map(({ goods: { slots, why, skipped, total } }) => ({
    ids: slots.map((slot) => of.index.id(slot)),
    why,
    skipped: skipped.map(({ slot, why: reason, section }) => [of.index.id(slot), reason, section]),
    total,
  }));
const shown = (sections: Section[]) => goods(shop(), sections).map((each) => each.ids);

test('goods that were picked stand in their order, as many as are asked for', () => {
  expect(goods(shop(), [strip('s_1')])).toEqual([
    { ids: ['p_a', 'p_b', 'p_c'], why: ['picked', 'picked', 'picked'], skipped: [], total: 6 },
  ]);
});

test('what is skipped makes room for the next, and is told with its reason', () => {
  const [section] = goods(shop(), [
    strip('s_1', { skipSoldOut: true, skipPictureless: true, leftOut: ['p_a'], source: picked }),
  ]);
  expect(section).toEqual({
    ids: ['p_d', 'p_e', 'p_f'],
    why: ['picked', 'picked', 'picked'],
    skipped: [
      ['p_a', 'leftOut', undefined],
      ['p_b', 'noPicture', undefined],
      ['p_c', 'soldOut', undefined],
    ],
    total: 5,
  });
});

test('a strip that skips what stands above says where that stands; a hidden one takes nothing from those below', () => {
  const [, second] = goods(shop(), [strip('s_1'), strip('s_2', { skipAbove: true })]);
  expect(second!.ids).toEqual(['p_d', 'p_e', 'p_f']);
  expect(second!.skipped).toEqual(['p_a', 'p_b', 'p_c'].map((id) => [id, 'above', 's_1']));
  expect(shown([strip('s_1', { hidden: true }), strip('s_2', { skipAbove: true })])[1]).toEqual(['p_a', 'p_b', 'p_c']);
});

test('who is held stands first, also when the source would not have it, and is not told twice', () => {
  const [section] = goods(shop(), [
    strip('s_1', { source: { kind: 'picked', ids: ['p_a', 'p_b'] }, pins: ['p_f', 'p_b', 'p_gone'] }),
  ]);
  expect(section!.ids).toEqual(['p_f', 'p_b', 'p_a']);
  expect(section!.why).toEqual(['pinned', 'pinned', 'picked']);
});

test('sources: a rule, a group, featured, newest, on sale, best sold', () => {
  const made = shopOf([
    productOf('p_1', { featured: true, tagIds: ['t_night'], created: '2020-01-01T00:00:00.000Z' }),
    productOf('p_2', { categoryIds: ['c_deltas'], created: '2021-01-01T00:00:00.000Z' }),
    productOf('p_3', {
      variants: [{ ...productOf('p_3').variants[0]!, salePrice: 500 }],
      created: '2022-01-01T00:00:00.000Z',
    }),
    productOf('p_4', { status: 'draft', featured: true }),
  ]);
  put(made, 'collection', 'k_1', collectionOf('k_1', { source: 'picked', picked: ['p_2', 'p_1', 'p_4'] }));
  const of = (source: object) => goods(made, [strip('s_1', { source, count: 9 })])[0]!.ids;
  const rule = { match: 'all', of: [{ field: 'tag', is: 'anyOf', value: ['t_night'] }] };
  expect(of({ kind: 'rule', rule })).toEqual(['p_1']);
  expect(of({ kind: 'category', id: 'c_kites' })).toEqual(['p_2']);
  expect(of({ kind: 'collection', id: 'k_1' })).toEqual(['p_2', 'p_1']);
  expect(of({ kind: 'featured' })).toEqual(['p_1']);
  expect(of({ kind: 'newest' })).toEqual(['p_3', 'p_2', 'p_1']);
  expect(of({ kind: 'onSale' })).toEqual(['p_3']);
  // Of these only the one whose name ends with 3 was never sold.
  expect(of({ kind: 'bestSold', days: 30 }).sort()).toEqual(['p_1', 'p_2']);
  expect(of({ kind: 'recentlySeen' })).toEqual([]);
  expect(of({ kind: 'goesWithBasket' })).toEqual([]);
  put(made, 'collection', 'k_1', { ...made.collections.get('k_1')!, status: 'off' });
  expect(of({ kind: 'collection', id: 'k_1' })).toEqual([]);
});

test('an order of its own goes before that of the source', () => {
  const order = { keys: [{ by: 'title', down: true }], mix: 'none', soldOutLast: false };
  expect(shown([strip('s_1', { order })])).toEqual([['p_f', 'p_e', 'p_d']]);
});

test('goods that take turns are others from day to day, after those that are held', () => {
  const turns = strip('s_1', { daily: 6, count: 2, pins: ['p_a'] });
  const days = [0, 1, 2, 3, 4].map((daysOn) => goods(shop(), [turns], daysOn)[0]!);
  for (const { ids: each, why } of days) {
    expect(each[0]).toBe('p_a');
    expect(why).toEqual(['pinned', 'turn']);
  }
  expect(new Set(days.map((day) => day.ids[1])).size).toBeGreaterThan(1);
});

test('law: who skips what stands above never repeats anybody; nobody stands twice in a strip; the count is held', () => {
  const products = fc.uniqueArray(productArbitrary(fc.constantFrom(...ids)), {
    selector: ({ id }) => id,
    minLength: 1,
  });
  const sections = fc.array(
    fc.record({
      count: fc.integer({ min: 1, max: 5 }),
      skipAbove: fc.boolean(),
      skipSoldOut: fc.boolean(),
      pins: fc.uniqueArray(fc.constantFrom(...ids), { maxLength: 2 }),
      leftOut: fc.uniqueArray(fc.constantFrom(...ids), { maxLength: 2 }),
      daily: fc.constantFrom(null, 2, 5),
      source: fc.constantFrom<StripSource>(
        picked,
        { kind: 'newest' },
        { kind: 'category', id: 'c_kites' },
        { kind: 'featured' },
      ),
    }),
    { minLength: 1, maxLength: 4 },
  );
  fc.assert(
    fc.property(products, sections, fc.integer({ min: 0, max: 30 }), (all, wanted, daysOn) => {
      const of = shopOf(all);
      const told = goods(
        of,
        wanted.map((each, i) => strip(`s_${i}`, each)),
        daysOn,
      );
      const above = new Set<string>();
      told.forEach((section, i) => {
        expect(new Set(section.ids).size).toBe(section.ids.length);
        expect(section.ids.length).toBeLessThanOrEqual(wanted[i]!.count);
        expect(section.why).toHaveLength(section.ids.length);
        for (const id of section.ids) {
          expect(wanted[i]!.leftOut).not.toContain(id);
          expect(of.products.get(id)!.status).toBe('live');
          if (wanted[i]!.skipAbove) expect(above.has(id)).toBe(false);
        }
        for (const id of section.ids) above.add(id);
      });
    }),
  );
});

test('shoppers get only sections that they are to see; who builds the page gets them all, with the reason', () => {
  const later = new Date((NOW + 60) * 1000).toISOString();
  const page = pageOf({ sections: [strip('s_1', { hidden: true }), strip('s_2', { from: later }), strip('s_3')] });
  const seen = (showsUnseen: boolean) =>
    pageView(shop(), page, { now: NOW, showsUnseen }).sections.map(({ id, unseen }) => [id, unseen?.split(' ')[0]]);
  expect(seen(false)).toEqual([['s_3', undefined]]);
  expect(seen(true)).toEqual([
    ['s_1', 'hidden'],
    ['s_2', 'not'],
    ['s_3', undefined],
  ]);
});

test('what is odd about a strip is said', () => {
  const of = shop();
  const warnings = (section: Section) => {
    const [filled] = filledSections(of, pageOf({ sections: [section] }), { now: NOW });
    return sectionSummary(of, section, { now: NOW }, filled!.goods).warnings;
  };
  expect(warnings(strip('s_1', { source: null }))).toEqual(['Choose what this strip shows.']);
  expect(warnings(strip('s_1', { count: 6, columns: 6 }))).toEqual([
    'One product has no picture.',
    'One product is sold out.',
  ]);
  expect(warnings(strip('s_1', { source: { kind: 'featured' } }))).toEqual([
    'Nothing to show: shoppers do not see this strip.',
  ]);
  expect(warnings(strip('s_1', { source: { kind: 'featured' }, emptyWords: 'Soon.' }))).toEqual([
    'Nothing to show: shoppers read your words instead.',
  ]);
});
