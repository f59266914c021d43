import { canonicalJson } from './canonical-json';

/** A value changed by two people in ways that cannot both stand: where, as keys from the outside in, and what stands there now. */
export interface MergeClash {
  path: (string | number)[];
  theirs: unknown;
}

interface Merged<T> {
  value: T;
  clashes: MergeClash[];
}

const isSame = (a: unknown, b: unknown) => a === b || canonicalJson(a) === canonicalJson(b);
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What tells the items of a list apart: themselves, or their id, or their name. */
function keyOf(item: unknown): string | undefined {
  if (typeof item === 'string') return item;
  if (!isObject(item)) return undefined;
  const key = item.id ?? item.name;
  return typeof key === 'string' ? key : undefined;
}

/** Lists whose items can be told apart are merged item by item. */
function isKeyed(list: unknown): list is unknown[] {
  return Array.isArray(list) && list.every((item) => keyOf(item) !== undefined || (isObject(item) && item.id === null));
}

type Items = ReadonlyMap<string, unknown>;

const itemsOf = (list: readonly unknown[]): Map<string, unknown> =>
  new Map(list.flatMap((item) => (keyOf(item) === undefined ? [] : [[keyOf(item)!, item] as const])));

/** Puts what only `other` has behind what stands before it there; at the front what stands first. */
function withAdded(
  list: readonly unknown[],
  other: readonly unknown[],
  isAdded: (item: unknown) => boolean,
): unknown[] {
  const known = itemsOf(list);
  const behind = new Map<string | undefined, unknown[]>();
  let place: string | undefined;
  for (const item of other) {
    const key = keyOf(item);
    if (isAdded(item)) behind.set(place, [...(behind.get(place) ?? []), item]);
    else if (key !== undefined && known.has(key)) place = key;
  }
  const merged = [...(behind.get(undefined) ?? [])];
  for (const item of list) merged.push(item, ...(behind.get(keyOf(item) ?? '') ?? []));
  return merged;
}

/** Of what one side took away, what the other changed meanwhile: that cannot both stand. */
function lostChanges(was: Items, kept: Items, taken: Items): string[] {
  return [...was.keys()].filter((key) => kept.has(key) && !taken.has(key) && !isSame(kept.get(key), was.get(key)));
}

function mergeLists(base: readonly unknown[], theirs: readonly unknown[], ours: readonly unknown[]): Merged<unknown[]> {
  const [was, them, us] = [itemsOf(base), itemsOf(theirs), itemsOf(ours)];
  const places = new Map(ours.map((item, at) => [keyOf(item), at]));
  const clashes: MergeClash[] = [
    ...lostChanges(was, them, us).map((key) => ({ path: [], theirs: them.get(key) })),
    ...lostChanges(was, us, them).map((key) => ({ path: [places.get(key)!], theirs: null })),
  ];
  const isGone = (key: string) => was.has(key) && !(us.has(key) && them.has(key));
  const shared = (list: Items) => [...list.keys()].filter((key) => was.has(key) && us.has(key) && them.has(key));
  const isReordered = (list: Items) => !isSame(shared(list), shared(was));
  if (isReordered(us) && isReordered(them) && !isSame(shared(us), shared(them))) clashes.push({ path: [], theirs });
  // Whoever moved things decides the order; what the other added is put in behind what stood before it.
  const [first, second, known] = isReordered(us) ? [ours, theirs, us] : [theirs, ours, them];
  const isAdded = (item: unknown) => {
    const key = keyOf(item);
    return key === undefined || (!known.has(key) && !isGone(key));
  };
  const items = withAdded(first, second, isAdded).filter((item) => keyOf(item) === undefined || !isGone(keyOf(item)!));
  const value = items.map((item) => {
    const key = keyOf(item);
    if (key === undefined || !us.has(key) || !them.has(key)) return item;
    const merged = mergeValues(was.get(key), them.get(key), us.get(key));
    clashes.push(...merged.clashes.map(({ path, ...clash }) => ({ ...clash, path: [places.get(key)!, ...path] })));
    return merged.value;
  });
  return { value, clashes };
}

function mergeObjects(
  base: Record<string, unknown>,
  theirs: Record<string, unknown>,
  ours: Record<string, unknown>,
): Merged<Record<string, unknown>> {
  const value: Record<string, unknown> = {};
  const clashes: MergeClash[] = [];
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(ours)])) {
    const merged = mergeValues(base[key], theirs[key], key in ours ? ours[key] : base[key]);
    value[key] = merged.value;
    clashes.push(...merged.clashes.map(({ path, ...clash }) => ({ ...clash, path: [key, ...path] })));
  }
  return { value, clashes };
}

/** Objects that are sets of values of their own, such as specs by attribute: merged value by value. */
export function mergeRecords(
  base: Record<string, unknown>,
  theirs: Record<string, unknown>,
  ours: Record<string, unknown>,
): Merged<Record<string, unknown>> {
  const all = Object.fromEntries(Object.keys({ ...base, ...theirs, ...ours }).map((key) => [key, undefined]));
  const merged = mergeObjects({ ...all, ...base }, { ...all, ...theirs }, { ...all, ...ours });
  const value = Object.fromEntries(Object.entries(merged.value).filter(([, each]) => each !== undefined));
  return { ...merged, value };
}

/** Things with an id are merged field by field; other objects, such as a rule, are one value. */
const isThing = (value: unknown): value is Record<string, unknown> => isObject(value) && keyOf(value) !== undefined;

/** One value that two people may have changed; what cannot both stand is a clash, at `path` inside the value. */
export function mergeValues(base: unknown, theirs: unknown, ours: unknown): Merged<unknown> {
  if (isSame(theirs, base) || isSame(theirs, ours)) return { value: ours, clashes: [] };
  if (isSame(ours, base)) return { value: theirs, clashes: [] };
  if (isKeyed(base) && isKeyed(theirs) && isKeyed(ours)) return mergeLists(base, theirs, ours);
  if (isThing(base) && isThing(theirs) && isThing(ours)) return mergeObjects(base, theirs, ours);
  return { value: ours, clashes: [{ path: [], theirs }] };
}

/**
 * Fields that somebody wants to change (`ours`), having seen `base`, on something that is `theirs` by now. Where both
 * changed something, lists are merged item by item and things with an id field by field, so that an added item is an added
 * item; what cannot both stand is a clash. `ours` holds only the fields that are to change. Linear in the length of lists.
 */
export function mergeFields<T extends object>(
  base: object,
  theirs: object,
  ours: T,
): { fields: T; clashes: MergeClash[] } {
  const [was, is] = [base as Record<string, unknown>, theirs as Record<string, unknown>];
  const fields: Record<string, unknown> = {};
  const clashes: MergeClash[] = [];
  for (const [name, wanted] of Object.entries(ours)) {
    const merged = mergeValues(was[name], is[name], wanted);
    fields[name] = merged.value;
    clashes.push(...merged.clashes.map(({ path, ...clash }) => ({ ...clash, path: [name, ...path] })));
  }
  return { fields: fields as T, clashes };
}
