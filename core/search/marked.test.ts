import fc from 'fast-check';
import { markedParts } from './marked';

const marked = (text: string, query: string) =>
  markedParts(text, query)
    .map(({ part, isMet }) => (isMet ? `[${part}]` : part))
    .join('');

test('words are marked that begin as typed, whatever the accents, or else with one slip', () => {
  expect(marked('Harrier delta 180', 'del har')).toBe('[Harrier] [delta] 180');
  expect(marked('Éole light-wind kite', 'eole WIND')).toBe('[Éole] light-[wind] kite');
  expect(marked('Harrier delta', 'detla')).toBe('Harrier [delta]');
  expect(marked('Delta and dilta', 'delta')).toBe('[Delta] and dilta');
  expect(marked('Wren sled', 'kite')).toBe('Wren sled');
});

test('the parts together are always the text', () => {
  fc.assert(
    fc.property(fc.string(), fc.string(), (text, query) => {
      expect(
        markedParts(text, query)
          .map(({ part }) => part)
          .join(''),
      ).toBe(text);
    }),
  );
});
