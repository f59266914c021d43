/** Highest key that `sortByKeys` can sort by. */
const MAX_KEY = 2 ** 48 - 1;
const DIGIT_BITS = 16;
const DIGITS = 1 << DIGIT_BITS;

/** Letters that are packed into one key, a byte each, and how many keys of a text are looked at before the text itself. */
const LETTERS = 6;
const TEXT_KEYS = 4;

/**
 * Sorts slots by a key each, whole numbers from 0 to MAX_KEY; equal ones stay as they are. A radix sort: linear, and a
 * digit that is the same everywhere costs nothing.
 */
function sortByKeys(slots: Uint32Array<ArrayBuffer>, keys: Float64Array): Uint32Array<ArrayBuffer> {
  const digits = new Uint16Array(keys.length);
  const starts = new Uint32Array(DIGITS + 1);
  let sorted = slots;
  for (let scale = 1; scale <= MAX_KEY; scale *= DIGITS) {
    starts.fill(0);
    for (const slot of sorted) {
      const digit = Math.floor(keys[slot]! / scale) & (DIGITS - 1);
      digits[slot] = digit;
      starts[digit + 1]!++;
    }
    if (sorted.length === 0 || starts[digits[sorted[0]!]! + 1] === sorted.length) continue;
    for (let digit = 0; digit < DIGITS; digit++) starts[digit + 1]! += starts[digit]!;
    const next = new Uint32Array(sorted.length);
    for (const slot of sorted) next[starts[digits[slot]!]!++] = slot;
    sorted = next;
  }
  return sorted;
}

/** The slots of `tie` sorted by a column of whole numbers; equal ones stay as they are in `tie`. Linear unless numbers span more than 2^48. */
export function sortedBy(column: Float64Array, descending: boolean, tie: Uint32Array): Uint32Array<ArrayBuffer> {
  let highest = 0;
  let lowest = 0;
  for (const slot of tie) {
    const x = column[slot]!;
    if (Number.isFinite(x)) {
      highest = Math.max(highest, x);
      lowest = Math.min(lowest, x);
    }
  }
  if (highest + 1 - lowest > MAX_KEY) return tie.slice().sort(compareNumbers(column, descending));
  const keys = new Float64Array(column.length);
  for (const slot of tie) {
    // Infinity stands behind all others.
    const x = Math.min(column[slot]!, highest + 1);
    keys[slot] = descending ? highest + 1 - x : x - lowest;
  }
  return sortByKeys(Uint32Array.from(tie), keys);
}

/** The slots of `tie` sorted by their texts, as JavaScript compares them; equal ones stay as they are in `tie`. */
export function sortedByText(
  texts: readonly string[],
  descending: boolean,
  tie: Uint32Array,
): Uint32Array<ArrayBuffer> {
  const compare = compareTexts(texts, descending);
  // All keys of a text at once: texts lie far apart in memory.
  const keys = Array.from({ length: TEXT_KEYS }, () => new Float64Array(texts.length));
  for (const slot of tie) {
    const text = texts[slot]!;
    for (let k = 0; k < TEXT_KEYS; k++) {
      const key = keyOf(text, k * LETTERS);
      if (key === undefined) return tie.slice().sort(compare);
      keys[k]![slot] = descending ? MAX_KEY - key : key;
    }
  }
  // From the last letters looked at to the first: each round keeps what the one before it sorted.
  let sorted = Uint32Array.from(tie);
  for (let k = TEXT_KEYS - 1; k >= 0; k--) sorted = sortByKeys(sorted, keys[k]!);
  const seen = TEXT_KEYS * LETTERS;
  for (let from = 0, to = 1; from < sorted.length; from = to++) {
    const text = texts[sorted[from]!]!;
    if (text.length < seen) continue;
    const beginning = text.slice(0, seen);
    while (to < sorted.length && texts[sorted[to]!]!.startsWith(beginning)) to++;
    if (to - from > 1) sorted.subarray(from, to).sort(compare);
  }
  return sorted;
}

/** The letters from a place on in one number, 0 for none; undefined when one of them is 0 itself or takes more than a byte. */
function keyOf(text: string, from: number): number | undefined {
  const to = Math.min(text.length, from + LETTERS);
  let key = 0;
  for (let i = from; i < to; i++) {
    const letter = text.charCodeAt(i);
    if (letter === 0 || letter > 0xff) return undefined;
    key = key * 256 + letter;
  }
  return key * 256 ** (from + LETTERS - Math.max(from, to));
}

function compareNumbers(column: Float64Array, descending: boolean): (a: number, b: number) => number {
  const sign = descending ? -1 : 1;
  return (a, b) => (column[a] === column[b] ? 0 : column[a]! < column[b]! ? -sign : sign);
}

function compareTexts(texts: readonly string[], descending: boolean): (a: number, b: number) => number {
  const sign = descending ? -1 : 1;
  return (a, b) => (texts[a] === texts[b] ? 0 : texts[a]! < texts[b]! ? -sign : sign);
}
