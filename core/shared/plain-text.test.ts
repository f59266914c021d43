import fc from 'fast-check';
import { plainText } from './plain-text';

test('words of HTML are those that people read', () => {
  expect(
    plainText(
      '<p>Reels &amp; <strong>line</strong></p><ul><li>1&nbsp;&lt; 2</li><li>&quot;Tern&quot; &#39;s &#x1FA81;</li></ul>',
    ),
  ).toBe(`Reels & line 1 < 2 "Tern" 's 🪁`);
  expect(plainText('')).toBe('');
  expect(plainText('&unknown; &#0; &#xffffff;')).toBe('&unknown; &#0; &#xffffff;');
});

test('what is escaped once comes back as it was', () => {
  const escape = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), (text) => {
      expect(plainText(`<p>${escape(text)}</p>`)).toBe(text.replace(/\s+/g, ' ').trim());
    }),
  );
});
