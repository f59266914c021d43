import fc from 'fast-check';
import { canonicalJson } from '../shared/canonical-json';
import { usualCards } from './cards';
import { usualListings } from './listing-layout';
import { usualProductPage } from './product-layout';
import { emptySettings, leanSettings, settingsOf, settingsSchema, someSettingsSchema, type Settings } from './settings';
import { noContact } from './shop-contact';
import { noNotice, noSigns } from './signs';

const changed: fc.Arbitrary<Partial<Settings>> = fc.record(
  {
    name: fc.constantFrom('Lark & Line', 'My shop'),
    domain: fc.constantFrom('', 'kites.example'),
    cards: fc.constantFrom(usualCards, { ...usualCards, second: true }),
    listings: fc.constantFrom(usualListings, { ...usualListings, perPage: 12 }),
    productPage: fc.constantFrom(usualProductPage, { ...usualProductPage, trust: ['Mended for life'] }),
    contact: fc.constantFrom(noContact, { ...noContact, city: 'Windhaven' }),
    notice: fc.constantFrom(noNotice, { ...noNotice, text: 'Closed on Friday' }),
    signs: fc.constantFrom(noSigns, { ...noSigns, logoHeight: 48 }),
  },
  { requiredKeys: [] },
);

/** The same document with the keys of each object the other way round, as a database may give them. */
const turned = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(turned);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .reverse()
      .map(([key, each]) => [key, turned(each)]),
  );
};

test('what an edition holds of settings is read back as they were', () => {
  fc.assert(
    fc.property(changed, (over) => {
      const settings = { ...emptySettings, ...over };
      expect(settingsOf(JSON.parse(canonicalJson(leanSettings(settings))) as Partial<Settings>)).toEqual(settings);
      expect(settingsSchema.parse(settings)).toEqual(settings);
    }),
  );
});

test('what is as usual is no part of an edition, in whatever order its keys come', () => {
  const parts = ['look', 'cards', 'listings', 'productPage', 'contact', 'notice', 'signs', 'domain'];
  const lean = leanSettings(turned(emptySettings) as Settings);
  expect(parts.filter((part) => part in lean)).toEqual([]);
  expect(Object.keys(leanSettings({ ...emptySettings, cards: { ...usualCards, mostBadges: 2 } }))).toContain('cards');
});

test('settings from before a part existed have it as usual, and a part from before one of its fields as well', () => {
  const { cards: _cards, contact: _contact, ...old } = emptySettings;
  expect(settingsOf(old)).toEqual(emptySettings);
  const { fit: _fit, ...oldCards } = usualCards;
  expect(settingsOf({ ...old, cards: oldCards as typeof usualCards }).cards).toEqual(usualCards);
});

test('of some settings, nothing stands in for what is not named', () => {
  fc.assert(
    fc.property(changed, (over) =>
      expect(Object.keys(someSettingsSchema.parse(over)).sort()).toEqual(Object.keys(over).sort()),
    ),
  );
});

test.each([
  ['kites.example', true],
  ['Kites.Example', true],
  ['', true],
  ['https://kites.example', false],
  ['kites', false],
  ['kites.example/shop', false],
  ['-kites.example', false],
])('the domain “%s”: %s', (domain, isGood) => {
  expect(someSettingsSchema.safeParse({ domain }).success).toBe(isGood);
});
