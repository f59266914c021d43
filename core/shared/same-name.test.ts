import { isSameName, namedLike, repeatedName } from './same-name';

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
