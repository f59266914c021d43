/** The slots of `tie` sorted by a column of whole numbers; equal ones stay as they are in `tie`. O(n log n). */
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
  // Number and place in one float, which is exact up to 53 bits: a typed array of them sorts without a comparison function.
  const span = tie.length;
  if ((highest - lowest + 2) * span > Number.MAX_SAFE_INTEGER)
    return tie.slice().sort(compareNumbers(column, descending));
  const keys = new Float64Array(span);
  for (let place = 0; place < span; place++) {
    const x = Math.min(column[tie[place]!]!, highest + 1);
    keys[place] = (descending ? highest + 1 - x : x - lowest) * span + place;
  }
  return Uint32Array.from(keys.sort(), (key) => tie[key % span]!);
}

function compareNumbers(column: Float64Array, descending: boolean): (a: number, b: number) => number {
  const sign = descending ? -1 : 1;
  return (a, b) => (column[a] === column[b] ? 0 : column[a]! < column[b]! ? -sign : sign);
}

export function compareTexts(texts: readonly string[], descending: boolean): (a: number, b: number) => number {
  const sign = descending ? -1 : 1;
  return (a, b) => (texts[a] === texts[b] ? 0 : texts[a]! < texts[b]! ? -sign : sign);
}
