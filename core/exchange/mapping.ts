import { columnPlaceOf, matchings, OWN_FIELD, type ImportChoices, type Matching } from './choices';
import { headingKey } from './recognise';

type Taken = Pick<ImportChoices, 'columns' | 'columnsOff' | 'match'>;

/** How the columns of a file are taken, by their headings, so that it holds for other files of the same sort. */
export interface Mapping {
  /** for headings: what their columns fill */
  fills: Readonly<Record<string, string>>;
  /** headings of columns that change nothing */
  off: readonly string[];
  /** by a usual number, or "heading:" and the heading of a column */
  match: string;
}

const BY_HEADING = 'heading:';

/** What is kept of how the columns of a file with these headings are taken. */
export function mappingOf({ columns, columnsOff, match }: Taken, head: readonly string[]): Mapping {
  const keyAt = (place: number) => headingKey(head[place] ?? '');
  const place = columnPlaceOf(match);
  return {
    fills: Object.fromEntries(columns.flatMap((key, at) => (key === null ? [] : [[keyAt(at), key]]))),
    off: columnsOff.map(keyAt),
    match: place === undefined ? match : BY_HEADING + keyAt(place),
  };
}

interface Mapped {
  /** by place: what a column is to fill; columns that are not named stay as they are */
  fills: Record<number, string | null>;
  /** by place: whether a column changes goods */
  switches: Record<number, boolean>;
  /** undefined where the file has no such column */
  match: Matching | undefined;
}

/** What a mapping does to the columns of another file. No field is given to two columns. `known`: keys of all that can be filled. */
export function mapped(
  { fills: kept, off, match }: Mapping,
  head: readonly string[],
  columns: Taken['columns'],
  known: ReadonlySet<string>,
): Mapped {
  const keys = head.map(headingKey);
  const fills: Mapped['fills'] = {};
  const given = new Set<string>();
  keys.forEach((key, place) => {
    const fill = Object.hasOwn(kept, key) ? kept[key] : undefined;
    if (fill === undefined || !(known.has(fill) || fill === OWN_FIELD) || given.has(fill)) return;
    fills[place] = fill;
    if (fill !== OWN_FIELD) given.add(fill);
  });
  columns.forEach((key, place) => {
    if (key !== null && given.has(key) && !(place in fills)) fills[place] = null;
  });
  const place = match.startsWith(BY_HEADING) ? keys.indexOf(match.slice(BY_HEADING.length)) : -1;
  return {
    fills,
    switches: Object.fromEntries(keys.map((key, at) => [at, !off.includes(key)])),
    match: place >= 0 ? `column:${place}` : matchings.find((each) => each === match),
  };
}
