import fc from 'fast-check';
import { nameKey } from './name-key';
import { isSameName, nameIdentity, namedLike, repeatedName } from './same-name';
import { freeSlug, slugFrom } from './slug';

describe('the same name', () => {
  test('does not depend on capitals, blanks or how a letter is written, but on marks and signs', () => {
    expect(isSameName('  Light   Wind ', 'light wind')).toBe(true);
    expect(isSameName('Rosé', 'Rose\u0301')).toBe(true);
    expect(isSameName('Ｋｉｔｅ', 'kite')).toBe(true);
    for (const [a, b] of [
      ['Rosé', 'Rose'],
      ['A', 'A+'],
      ['+10', '−10'],
      ['-10', '10'],
      ['Größe', 'Grosse'],
      ['红', '蓝'],
    ] as const)
      expect(isSameName(a, b)).toBe(false);
  });

  test('is found again where it is typed without marks, the exact one first', () => {
    const values = ['Rosé', 'Rose', 'Größe'];
    const find = (typed: string) => namedLike(values, (each) => each, typed);
    expect(find('rosé')).toBe('Rosé');
    expect(find('ROSE')).toBe('Rose');
    expect(find('grösse')).toBe('Größe');
    expect(find('blue')).toBeUndefined();
  });

  test('is told where it stands twice', () => {
    expect(repeatedName(['Rosé', 'Rose', 'rosé'])).toBe(2);
    expect(repeatedName(['a', 'b'])).toBe(-1);
  });
});

describe('keys', () => {
  test('of plain names read as they are', () => {
    expect(['Ember', 'Light Wind', '1.5 m', '2 m', 'With reel'].map(nameKey)).toEqual([
      'ember',
      'light-wind',
      '1-5-m',
      '2-m',
      'with-reel',
    ]);
  });

  test('of others hold what can be read, and what tells them apart', () => {
    expect(nameKey('Rosé')).toMatch(/^rose~[a-z0-9]{5}$/);
    expect(nameKey('红色')).toMatch(/^hong-se~/);
    expect(nameKey('🪁')).toMatch(/^~[a-z0-9]{5}$/);
  });

  test('are the same exactly for the same names, in any script, and can stand in addresses', () => {
    const letters = fc.constantFrom('a', 'A', 'é', 'e\u0301', '1', '5', '.', ' ', '-', '+', 'ß', 'ы', '红', '赤', '🪁');
    const name = fc.oneof(fc.string({ unit: letters, maxLength: 6 }), fc.string({ unit: 'grapheme', maxLength: 12 }));
    fc.assert(
      fc.property(name, name, (a, b) => {
        expect(nameKey(a) === nameKey(b)).toBe(nameIdentity(a) === nameIdentity(b));
        expect(nameKey(a)).toMatch(/^[a-z0-9~-]+$/);
      }),
      { numRuns: 2_000 },
    );
  });
});

describe('slugs', () => {
  test('are written in Latin letters, whatever the script', () => {
    expect(slugFrom('Größe & Øland')).toBe('grosse-and-oland');
    expect(slugFrom('Красный змей')).toBe('krasnyy-zmey');
    expect(slugFrom('红色风筝')).toBe('hong-se-feng-zheng');
    expect(slugFrom('🪁')).toBe('untitled');
  });

  test('that are taken get a number, and never become too long', () => {
    const taken = new Set(['kite', 'kite-2']);
    expect(freeSlug('kite', (slug) => taken.has(slug))).toBe('kite-3');
    const long = 'a'.repeat(120);
    expect(freeSlug(long, (slug) => slug === long)).toHaveLength(120);
  });
});
