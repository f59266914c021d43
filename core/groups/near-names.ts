import { fold } from '../shared/fold';

/** Two names that look like one written twice. */
export interface NearNames<T> {
  a: T;
  b: T;
}

/** What is left of a name when capitals, accents, hyphens, spaces and a plural are not looked at. */
function core(name: string): string {
  const letters = fold(name).replace(/[^a-z0-9]/g, '');
  return letters.length > 3 ? letters.replace(/s$/, '') : letters;
}

/** So many letters may differ: none in short names, where one letter makes another word. */
const slipsIn = (length: number) => (length >= 8 ? 2 : length >= 5 ? 1 : 0);

/** Is the edit distance, swaps of neighbours counting once, at most `most`? O(length × most). */
function isWithin(a: string, b: string, most: number): boolean {
  if (Math.abs(a.length - b.length) > most) return false;
  let twoBack: number[] = [];
  let back = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const isSame = a[i - 1] === b[j - 1];
      let cost = Math.min(row[j - 1]! + 1, back[j]! + 1, back[j - 1]! + (isSame ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) cost = Math.min(cost, twoBack[j - 2]! + 1);
      row.push(cost);
      least = Math.min(least, cost);
    }
    if (least > most) return false;
    [twoBack, back] = [back, row];
  }
  return back[b.length]! <= most;
}

/** Digits make another thing of the same words: "4 mm" is not a slip of "6 mm". */
const digitsOf = (text: string) => text.replace(/\D/g, '');

/**
 * Pairs of names that differ by no more than capitals, hyphens, a plural or a slip or two: "begginer" and "Beginner". Names
 * are compared by the length of what is left of them, so that 2,000 cost about a million short comparisons.
 */
export function nearNames<T extends { name: string }>(things: readonly T[]): NearNames<T>[] {
  const cores = things.map((thing) => ({ thing, text: core(thing.name) })).filter(({ text }) => text !== '');
  cores.sort((a, b) => a.text.length - b.text.length);
  const pairs: NearNames<T>[] = [];
  cores.forEach(({ thing: a, text }, i) => {
    for (let j = i + 1; j < cores.length; j++) {
      const other = cores[j]!;
      const most = slipsIn(other.text.length);
      if (other.text.length - text.length > most) break;
      if (digitsOf(text) === digitsOf(other.text) && isWithin(text, other.text, most))
        pairs.push({ a, b: other.thing });
    }
  });
  return pairs;
}
