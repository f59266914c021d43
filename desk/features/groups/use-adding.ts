import { useRef, useState } from 'react';
import type { Category } from '../../../core/model/group';

type Row = Pick<Category, 'id' | 'parentId'>;
/** The id of a category, which may still be being made; null for the root, undefined for one that could not be made. */
type Later = Promise<string | null | undefined>;

/** Where a new category is being typed. */
export interface Adding {
  /** below whom it goes, from the root down; as many as its level */
  parents: readonly Later[];
  /** the one above it */
  above: Later;
  /** the level of the one above it; 0 when there is none */
  aboveLevel: number;
  /** the row after which it shows; at the end when that is not there yet */
  shownAfter: string | null;
  /** its place among its siblings; at their end when absent */
  place?: number;
  /** what it begins with: a name that could not be made */
  name?: string;
}

const now = (id: string | null): Later => Promise.resolve(id);

/**
 * Categories that are typed one after the other, faster than the server may answer: each is made after the one before it,
 * so that they stand in the order in which they were typed, and one indented goes below one that is still being made.
 */
export function useAdding(
  categories: readonly Row[],
  create: (body: { name: string; parentId: string | null; place?: number }) => Promise<{ id: string }>,
) {
  const [{ adding }, setLines] = useState<{ adding: Adding | null; refused: readonly Adding[] }>({
    adding: null,
    refused: [],
  });
  const setAdding = (next: (line: Adding | null) => Adding | null) =>
    setLines((now) => ({ ...now, adding: next(now.adding) }));
  // What could not be made comes back, after the line that is open now.
  const stop = () => setLines(({ refused: [first = null, ...refused] }) => ({ adding: first, refused }));
  const bringBack = (line: Adding) =>
    setLines(({ adding: open, refused }) =>
      open ? { adding: open, refused: [...refused, line] } : { adding: line, refused },
    );
  const last = useRef<Later>(now(null));

  const begin = (after: Row | null) => {
    const parents: Later[] = [];
    const byId = new Map(categories.map((each) => [each.id, each]));
    for (let id = after?.parentId ?? null; id !== null; id = byId.get(id)?.parentId ?? null) parents.unshift(now(id));
    parents.unshift(now(null));
    const siblings = after ? categories.filter(({ parentId }) => parentId === after.parentId) : [];
    setAdding(() => ({
      parents,
      above: now(after?.id ?? null),
      aboveLevel: after ? parents.length : 0,
      shownAfter: after?.id ?? null,
      ...(after && { place: siblings.findIndex(({ id }) => id === after.id) + 1 }),
    }));
  };

  /** Makes a category of a name. `goesOn`: another one is typed next. */
  const keep = (name: string, goesOn: boolean, line: Adding) => {
    const { parents, place } = line;
    const made = last.current.then(async () => {
      try {
        const parentId = await parents.at(-1)!;
        // Below one that could not be made there is no place yet.
        if (parentId === undefined) throw new Error('no parent');
        const { id } = await create({ name, parentId, ...(place !== undefined && { place }) });
        setAdding((next) => (next?.above === made ? { ...next, shownAfter: id } : next));
        return id;
      } catch {
        const isOrphan = (await parents.at(-1)!) === undefined;
        bringBack({ ...line, name, ...(isOrphan && { parents: parents.slice(0, -1) }) });
        return undefined;
      }
    });
    last.current = made;
    const { name: _begun, ...next } = line;
    const moved = place === undefined ? {} : { place: place + 1 };
    if (goesOn) setAdding(() => ({ ...next, above: made, aboveLevel: parents.length, ...moved }));
    else stop();
  };

  /** One level in, below the one above it; or one level out, beside its parent. */
  const shift = (way: 'in' | 'out') =>
    setAdding((line) => {
      if (!line) return line;
      const { parents, above, aboveLevel, place: _place, ...rest } = line;
      if (way === 'in' && parents.length <= aboveLevel)
        return { ...rest, above, aboveLevel, parents: [...parents, above] };
      if (way === 'out' && parents.length > 1) return { ...rest, above, aboveLevel, parents: parents.slice(0, -1) };
      return line;
    });

  return { adding, begin, keep, shift, stop };
}
