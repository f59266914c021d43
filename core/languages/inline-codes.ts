/** A piece of a text for translators: words, or a code that has to stay as it is. */
export type Piece = { words: string } | { code: string };

/** Tags of rich text, and places where something is filled in. */
const CODE = /<[^<>]+>|\{\w+\}/g;

/** A text as words with codes between them. Put together again it is the same text. */
export function piecesOf(text: string): Piece[] {
  const pieces: Piece[] = [];
  let from = 0;
  for (const { 0: code, index } of text.matchAll(CODE)) {
    if (index > from) pieces.push({ words: text.slice(from, index) });
    pieces.push({ code });
    from = index + code.length;
  }
  if (from < text.length) pieces.push({ words: text.slice(from) });
  return pieces;
}

export const textOfPieces = (pieces: readonly Piece[]): string =>
  pieces.map((piece) => ('words' in piece ? piece.words : piece.code)).join('');
