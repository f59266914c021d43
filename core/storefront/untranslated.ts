import { eachUnit } from '../shop/translation-units';
import { cachedByVersion } from '../shop/cached-by-version';
import type { Shop } from '../shop/shop';
import { plainText } from '../shared/plain-text';

/** What stands between the tags of a text, piece by piece, as a browser draws it. */
const pieces = (text: string): string[] =>
  text
    .split(/<[^>]*>/)
    .map(plainText)
    .filter(Boolean);

const missingIn = cachedByVersion((shop) => {
  const missing = new Set<string>();
  eachUnit(shop, shop.settings.locale, ({ state, text, mark }) => {
    if (state !== 'missing') return;
    for (const piece of mark.form === 'html' ? pieces(text) : [text.trim()]) if (piece) missing.add(piece);
  });
  return missing;
});

function* textsIn(view: unknown): Generator<string> {
  if (typeof view === 'string') yield view;
  else if (typeof view === 'object' && view !== null) for (const part of Object.values(view)) yield* textsIn(part);
}

/**
 * The texts that a page tells in the main language, because nobody has translated them; none in the main language itself.
 * O(texts of the page), and O(texts of the shop) after a change.
 */
export function untranslatedIn(shop: Shop, view: object): string[] {
  if (shop.settings.locale === shop.main.settings.locale) return [];
  const missing = missingIn(shop);
  const found = new Set<string>();
  for (const text of textsIn(view))
    for (const piece of text.includes('<') ? pieces(text) : [text.trim()]) if (missing.has(piece)) found.add(piece);
  return [...found];
}
