import fc from 'fast-check';
import { nearNames } from './near-names';

const pairsOf = (...names: string[]) =>
  nearNames(names.map((name) => ({ name }))).map(({ a, b }) => [a.name, b.name].sort());

test('slips, capitals, hyphens and plurals make near names; other words and other sizes do not', () => {
  expect(pairsOf('begginer', 'Beginner')).toEqual([['Beginner', 'begginer']]);
  expect(pairsOf('light wind', 'light-wind')).toHaveLength(1);
  expect(pairsOf('Kite', 'kites')).toHaveLength(1);
  expect(pairsOf('nihgt flyer', 'night flyer')).toHaveLength(1);
  expect(pairsOf('Spar 4 mm', 'Spar 6 mm')).toEqual([]);
  expect(pairsOf('red', 'rod', 'night', 'light wind', 'large')).toEqual([]);
});

test('a name with one letter swapped, left out or doubled is near, whatever else there is', () => {
  const word = fc.stringMatching(/^[a-z]{6,12}[b-df-hj-np-rtv-z]$/);
  fc.assert(
    fc.property(word, fc.nat(), fc.constantFrom('swap', 'drop', 'double'), (name, seed, slip) => {
      const at = seed % (name.length - 2);
      const wrong = {
        swap: name.slice(0, at) + name[at + 1]! + name[at]! + name.slice(at + 2),
        drop: name.slice(0, at) + name.slice(at + 1),
        double: name.slice(0, at) + name[at]! + name.slice(at),
      }[slip];
      expect(pairsOf(name, wrong, 'q', 'unlike anything')).toContainEqual([name, wrong].sort());
    }),
  );
});
