import fc from 'fast-check';
import { pixelWidth, SHOWN_PIXELS, shownText } from './pixel-width';

test('a text is cut where there is no room for it', () => {
  const long = 'a kite that flies when others stay on the ground '.repeat(5);
  expect(shownText('short', 'title')).toBe('short');
  expect(shownText(long, 'title')).toMatch(/^a kite .* …$/);
  expect(pixelWidth(shownText(long, 'title'), 'title')).toBeLessThanOrEqual(SHOWN_PIXELS.title);
});

test('what is shown is the beginning of the text and fits, whatever the text', () => {
  fc.assert(
    fc.property(
      fc.string({ maxLength: 300 }),
      fc.constantFrom('title' as const, 'description' as const),
      (text, as) => {
        const shown = shownText(text, as);
        expect(pixelWidth(shown, as)).toBeLessThanOrEqual(SHOWN_PIXELS[as]);
        expect(shown === text || (shown.endsWith(' …') && text.startsWith(shown.slice(0, -2)))).toBe(true);
      },
    ),
  );
});
