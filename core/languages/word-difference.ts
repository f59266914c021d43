/** A stretch of words that two texts share, or that only one of them has. */
export interface Stretch {
  words: string;
  in: 'both' | 'before' | 'after';
}

/** Words with the blanks and marks that follow them, so that they can be put together again. */
const partsOf = (text: string): string[] => text.match(/[\p{L}\p{N}]+|[^\p{L}\p{N}]+/gu) ?? [];

/** Longer texts are told as one change: comparing them word by word would take too long. */
const MOST_PARTS = 1_200;

/** What differs between two texts, word by word. O(words²). */
export function wordDifference(before: string, after: string): Stretch[] {
  const [a, b] = [partsOf(before), partsOf(after)];
  if (a.length > MOST_PARTS || b.length > MOST_PARTS)
    return before === after
      ? [{ words: before, in: 'both' }]
      : [
          { words: before, in: 'before' },
          { words: after, in: 'after' },
        ];
  const width = b.length + 1;
  const longest = new Uint16Array((a.length + 1) * width);
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--)
      longest[i * width + j] =
        a[i] === b[j]
          ? longest[(i + 1) * width + j + 1]! + 1
          : Math.max(longest[(i + 1) * width + j]!, longest[i * width + j + 1]!);
  const stretches: Stretch[] = [];
  const add = (words: string, where: Stretch['in']) => {
    const last = stretches.at(-1);
    if (last?.in === where) last.words += words;
    else stretches.push({ words, in: where });
  };
  let [i, j] = [0, 0];
  while (i < a.length || j < b.length) {
    if (i < a.length && j < b.length && a[i] === b[j]) {
      add(a[i]!, 'both');
      i++;
      j++;
    } else if (j >= b.length || (i < a.length && longest[(i + 1) * width + j]! >= longest[i * width + j + 1]!))
      add(a[i++]!, 'before');
    else add(b[j++]!, 'after');
  }
  return stretches;
}
