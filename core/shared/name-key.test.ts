import fc from 'fast-check';
import { nameKey } from './name-key';
import { nameIdentity } from './same-name';

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
