import type { FinderEntry, SortKey } from '../search/entry';
import type { ListingQuery } from '../search/listing-query';
import { CLOSENESS } from '../search/text-index';
import { MIN_SLIP_LENGTH, queryWords, wordsOf } from '../search/words';

/** Edit distance with swaps of neighbours, by the textbook table. */
function editDistance(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, (_, i) => [i, ...new Array<number>(b.length).fill(0)]);
  for (let j = 0; j <= b.length; j++) rows[0]![j] = j;
  for (let i = 1; i <= a.length; i++)
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1;
      let best = Math.min(rows[i - 1]![j]! + 1, rows[i]![j - 1]! + 1, rows[i - 1]![j - 1]! + cost);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, rows[i - 2]![j - 2]! + 1);
      rows[i]![j] = best;
    }
  return rows[a.length]![b.length]!;
}

export const slipsInto = (typed: string, word: string) =>
  Array.from({ length: word.length + 1 }, (_, n) => word.slice(0, n)).some((start) => editDistance(typed, start) <= 1);

function scores(entries: readonly FinderEntry[], query: string): Map<string, number> | undefined {
  const wanted = queryWords(query);
  if (wanted.length === 0) return undefined;
  const weights = entries.map((entry) => {
    const of = new Map<string, number>();
    for (const { text, weight } of entry.texts)
      for (const word of [text].flat().flatMap(wordsOf)) of.set(word, Math.min(255, (of.get(word) ?? 0) + weight));
    return of;
  });
  const vocabulary = new Set(weights.flatMap((of) => [...of.keys()]));
  const reach = wanted.map((word) => {
    const begun = [...vocabulary].filter((other) => other.startsWith(word));
    const closeness = new Map(
      begun.map((other) => [other, other === word ? CLOSENESS.exact : CLOSENESS.prefix] as const),
    );
    if (begun.length > 0 || word.length < MIN_SLIP_LENGTH) return closeness;
    return new Map([...vocabulary].filter((other) => slipsInto(word, other)).map((other) => [other, CLOSENESS.slip]));
  });
  const found = new Map<string, number>();
  entries.forEach((entry, i) => {
    const each = reach.map((terms) =>
      Math.max(0, ...[...terms].map(([word, close]) => (weights[i]!.get(word) ?? 0) * close)),
    );
    if (each.every((score) => score > 0))
      found.set(
        entry.id,
        each.reduce((sum, score) => sum + score, 0),
      );
  });
  return found;
}

function referenceOrder(sort: SortKey): (a: FinderEntry, b: FinderEntry) => number {
  return (a, b) => {
    const read = (entry: FinderEntry) => (sort.by === 'title' ? entry.title : entry.numbers[sort.by]!);
    const [x, y] = [read(a), read(b)];
    if (x !== y) return (x < y ? -1 : 1) * (sort.descending ? -1 : 1);
    const tie = sort.then ? b.numbers[sort.then]! - a.numbers[sort.then]! : 0;
    return tie || (a.id < b.id ? -1 : 1);
  };
}

/** What a listing must answer, by plain loops over the entries. */
export function referenceListing(
  entries: readonly FinderEntry[],
  query: Omit<ListingQuery, 'text' | 'sort' | 'base' | 'last'> & {
    text?: string;
    sort: string;
    lastBrand?: string | null;
  },
  sorts: readonly SortKey[],
) {
  const found = query.text === undefined ? undefined : scores(entries, query.text);
  const passing = (entry: FinderEntry, without?: string) =>
    entry.variants.filter(
      (variant) =>
        (query.choices ?? []).every(
          ({ facet, values, onVariant }) =>
            !onVariant || facet === without || variant.values.some(([f, v]) => f === facet && values.includes(v)),
        ) &&
        (query.ranges ?? []).every(
          ({ column, min, max }) =>
            column === without || (variant.numbers[column]! >= min && variant.numbers[column]! <= max),
        ),
    );
  const matches = (without?: string) =>
    entries.filter((entry) => {
      if (found && !found.has(entry.id)) return false;
      const onProduct = (query.choices ?? []).every(
        ({ facet, values, onVariant }) =>
          onVariant || facet === without || entry.values.some(([f, v]) => f === facet && values.includes(v)),
      );
      const isVariantFree =
        !(query.choices ?? []).some((choice) => choice.onVariant && choice.facet !== without) &&
        !(query.ranges ?? []).some((range) => range.column !== without);
      const inSpans = (query.spans ?? []).every(
        ({ name, low, high, min, max }) =>
          name === without || ((entry.numbers[high] ?? NaN) >= min && (entry.numbers[low] ?? NaN) <= max),
      );
      return onProduct && inSpans && (isVariantFree || passing(entry, without).length > 0);
    });
  const counts = new Map<string, Map<string, number>>();
  for (const facet of query.count ?? []) {
    const of = new Map<string, number>();
    for (const entry of matches(facet)) {
      const values = new Set([
        ...entry.values.filter(([f]) => f === facet).map(([, v]) => v),
        ...passing(entry, facet).flatMap((variant) => variant.values.filter(([f]) => f === facet).map(([, v]) => v)),
      ]);
      for (const value of values) of.set(value, (of.get(value) ?? 0) + 1);
    }
    counts.set(facet, of);
  }
  const extents = new Map(
    (query.extent ?? []).map((column) => {
      const numbers = matches(column).flatMap((entry) =>
        passing(entry, column).map((variant) => variant.numbers[column]!),
      );
      return [column, numbers.length ? { min: Math.min(...numbers), max: Math.max(...numbers) } : null] as const;
    }),
  );
  for (const { name, low, high } of query.spanExtents ?? []) {
    const of = matches(name).filter((entry) => entry.numbers[low] !== undefined);
    const min = Math.min(...of.map((entry) => entry.numbers[low]!));
    extents.set(name, of.length ? { min, max: Math.max(...of.map((entry) => entry.numbers[high]!)) } : null);
  }
  const order = referenceOrder(
    sorts.find(({ key }) => key === (query.sort === 'match' ? query.tieOrder : query.sort))!,
  );
  const isLast = ({ values }: FinderEntry) =>
    Number(values.some(([facet, value]) => facet === 'brand' && value === query.lastBrand));
  const all = matches().sort((a, b) => {
    const byScore = query.sort === 'match' && found ? found.get(b.id)! - found.get(a.id)! : 0;
    return isLast(a) - isLast(b) || byScore || order(a, b);
  });
  return {
    total: all.length,
    ids: all.slice(query.offset, query.offset + query.limit).map((entry) => entry.id),
    counts,
    extents,
  };
}
