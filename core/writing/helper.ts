/**
 * A stand-in for a writing service: fixed rules that tidy, shorten or list what was written. Nothing leaves the machine, and
 * nothing is made up. All take and answer plain text with paragraphs parted by empty lines.
 */
export type HelperTask = 'tidy' | 'shorten' | 'list';

/** A mark ends a sentence where a blank follows: "1.8 m" is none. */
const sentencesOf = (text: string): string[] =>
  text
    .split(/(?<=[.!?…]["”’)]*)\s+/)
    .map((sentence) => sentence.trim())
    .filter(Boolean);

const paragraphsOf = (text: string): string[] =>
  text
    .split(/\n\s*\n/)
    .map((paragraph) => paragraph.trim())
    .filter(Boolean);

const startLarge = (sentence: string) => sentence.charAt(0).toUpperCase() + sentence.slice(1);

/** Blanks, doubled marks and words, small beginnings of sentences and missing full stops put right; words stay as they are. */
export function tidy(text: string): string {
  return paragraphsOf(text)
    .map((paragraph) => {
      const plain = paragraph
        .replace(/\s+/g, ' ')
        .replace(/\s+([,.;:!?])/g, '$1')
        .replace(/([,;:!?])(?=\p{L})/gu, '$1 ')
        .replace(/([.!?])(?=\p{Lu}\p{Ll})/gu, '$1 ')
        .replace(/([!?,;:])\1+/g, '$1')
        .replace(/\.{4,}/g, '…')
        .replace(/(?<![\p{L}\p{N}])(\p{L}+)(?: \1)+(?![\p{L}\p{N}])/giu, '$1');
      const whole = /[.!?…:]["”’)]*$/.test(plain) ? plain : `${plain}.`;
      return sentencesOf(whole).map(startLarge).join(' ');
    })
    .join('\n\n');
}

/** Words that carry nothing where they stand before another. */
const FILLERS = /\b(?:very|really|quite|absolutely|basically|actually|simply|just|extremely|truly)\s+/giu;

/** Tidied, without filler words, and ended after the last whole sentence that leaves it at most `longest` letters long. */
export function shorten(text: string, longest = 160): string {
  const plain = tidy(text.replace(FILLERS, '').replace(/\n\s*\n/g, ' '));
  const kept: string[] = [];
  for (const sentence of sentencesOf(plain)) {
    if (kept.length > 0 && [...kept, sentence].join(' ').length > longest) break;
    kept.push(sentence);
  }
  return kept.join(' ');
}

/** The points of a text: its sentences, or the parts of its only one between commas. */
export function points(text: string): string[] {
  const sentences = paragraphsOf(tidy(text)).flatMap(sentencesOf);
  const parts =
    sentences.length > 1 ? sentences : (sentences[0] ?? '').split(/,\s+(?:and\s+|und\s+)?|;\s+|\s+and\s+(?=[^,]*$)/);
  return parts.map((part) => startLarge(part.replace(/[.,;]+$/, '').trim())).filter(Boolean);
}
