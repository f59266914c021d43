import type { Category } from '../model/group';

export type Move = 'up' | 'down' | 'in' | 'out';
/** Where a row is dropped on another: in front of it, into it, or behind it. */
export type Zone = 'before' | 'into' | 'after';

export interface Destination {
  parentId: string | null;
  /** index among its new siblings, itself left out; at their end when absent */
  place?: number;
}

type Row = Pick<Category, 'id' | 'parentId'>;

const siblingsOf = (rows: readonly Row[], parentId: string | null) => rows.filter((each) => each.parentId === parentId);

/** Where a move leads: the new parent and the place among its children; undefined when there is nowhere to go. */
export function destinationOf(rows: readonly Row[], row: Row, move: Move): Destination | undefined {
  const siblings = siblingsOf(rows, row.parentId);
  const at = siblings.findIndex(({ id }) => id === row.id);
  switch (move) {
    case 'up':
      return at > 0 ? { parentId: row.parentId, place: at - 1 } : undefined;
    case 'down':
      return at < siblings.length - 1 ? { parentId: row.parentId, place: at + 1 } : undefined;
    case 'in':
      return at > 0 ? { parentId: siblings[at - 1]!.id } : undefined;
    case 'out': {
      const parent = rows.find((each) => each.id === row.parentId);
      if (!parent) return undefined;
      const aunts = siblingsOf(rows, parent.parentId);
      return { parentId: parent.parentId, place: aunts.findIndex(({ id }) => id === parent.id) + 1 };
    }
  }
}

/** Where a category goes that is dropped on another; undefined where it would go into its own branch. */
export function dropOn(rows: readonly Row[], moved: string, onto: Row, zone: Zone): Destination | undefined {
  const parents = new Map(rows.map(({ id, parentId }) => [id, parentId]));
  for (let at: string | null | undefined = onto.id; at; at = parents.get(at)) if (at === moved) return undefined;
  if (zone === 'into') return { parentId: onto.id };
  const siblings = siblingsOf(rows, onto.parentId).filter(({ id }) => id !== moved);
  const place = siblings.findIndex(({ id }) => id === onto.id);
  return { parentId: onto.parentId, place: zone === 'before' ? place : place + 1 };
}

/** The rows that show while some branches are folded, or that a search finds with those above them. */
export function shownRows<T extends Row & { name: string }>(
  rows: readonly T[],
  isFolded: (id: string) => boolean,
  isFound: ((name: string) => boolean) | undefined,
): T[] {
  if (isFound) {
    const byId = new Map(rows.map((row) => [row.id, row]));
    const shown = new Set<string>();
    for (const row of rows)
      if (isFound(row.name))
        for (let at: T | undefined = row; at && !shown.has(at.id); at = byId.get(at.parentId ?? '')) shown.add(at.id);
    return rows.filter(({ id }) => shown.has(id));
  }
  const hidden = new Set<string>();
  return rows.filter(({ id, parentId }) => {
    if (parentId && (hidden.has(parentId) || isFolded(parentId))) hidden.add(id);
    return !hidden.has(id);
  });
}

/** The rows as they stand after a category was moved with its branch: what the server will make of it. */
export function rowsAfter<T extends Row & { level: number }>(
  rows: readonly T[],
  id: string,
  { parentId, place }: Destination,
): T[] {
  const from = rows.findIndex((row) => row.id === id);
  const endOf = (of: readonly T[], at: number) => {
    let end = at + 1;
    while (end < of.length && of[end]!.level > of[at]!.level) end++;
    return end;
  };
  const branch = rows.slice(from, endOf(rows, from));
  const rest = [...rows.slice(0, from), ...rows.slice(from + branch.length)];
  const parentAt = rest.findIndex((row) => row.id === parentId);
  const siblings = siblingsOf(rest, parentId);
  const next = place === undefined ? undefined : siblings[place];
  const at = next
    ? rest.findIndex((row) => row.id === next.id)
    : parentId === null
      ? rest.length
      : endOf(rest, parentAt);
  const deeper = (parentId === null ? 1 : rest[parentAt]!.level + 1) - branch[0]!.level;
  const moved = branch.map((row, i) => ({ ...row, level: row.level + deeper, ...(i === 0 ? { parentId } : {}) }));
  return [...rest.slice(0, at), ...moved, ...rest.slice(at)];
}
