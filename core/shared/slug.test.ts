import fc from 'fast-check';
import { slugSchema } from './identity';
import { freeSlug, slugFrom } from './slug';

test('any words give a slug that is allowed and free', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), fc.integer({ min: 0, max: 5 }), (words, n) => {
      const taken = new Set<string>();
      for (let i = 0; i <= n; i++) {
        const slug = freeSlug(slugFrom(words), (each) => taken.has(each));
        expect(slugSchema.safeParse(slug).success).toBe(true);
        expect(taken.has(slug)).toBe(false);
        taken.add(slug);
      }
    }),
  );
  expect(slugFrom('Größe & Flügel')).toBe('grosse-and-flugel');
});

describe('slugs', () => {
  test('are written in Latin letters, whatever the script', () => {
    expect(slugFrom('Größe & Øland')).toBe('grosse-and-oland');
    expect(slugFrom('Красный змей')).toBe('krasnyy-zmey');
    expect(slugFrom('红色风筝')).toBe('hong-se-feng-zheng');
    expect(slugFrom('🪁')).toBe('untitled');
  });

  test.each([
    ['de', 'Schlitten & Möwen, größer', 'schlitten-und-moewen-groesser'],
    ['da', 'Drager & Snører på Øen', 'drager-og-snoerer-paa-oeen'],
    ['fr', 'Voiles & Mâts', 'voiles-et-mats'],
    ['ja', 'A & B', 'a-b'],
  ])('are spelled as %s spells them', (locale, words, slug) => {
    expect(slugFrom(words, 'untitled', locale)).toBe(slug);
  });

  test('that are taken get a number, and never become too long', () => {
    const taken = new Set(['kite', 'kite-2']);
    expect(freeSlug('kite', (slug) => taken.has(slug))).toBe('kite-3');
    const long = 'a'.repeat(120);
    expect(freeSlug(long, (slug) => slug === long)).toHaveLength(120);
  });
});
