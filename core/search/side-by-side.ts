import type { FinderEntry } from './entry';

interface Branch {
  entries: FinderEntry[];
  branches: Map<string, Branch>;
}

/**
 * The entries with those side by side that have the same values of a facet, as far as they stand together in an entry, and
 * next to them those that share the first ones: with categories named from the root down, a whole branch of a tree.
 * Otherwise they stay in their order. Linear.
 */
export function sideBySide(entries: readonly FinderEntry[], facet: string): FinderEntry[] {
  const root: Branch = { entries: [], branches: new Map() };
  for (const entry of entries) {
    let at = root;
    const { values } = entry;
    for (let i = values.findIndex(([name]) => name === facet); i >= 0 && values[i]?.[0] === facet; i++) {
      const value = values[i]![1];
      let next = at.branches.get(value);
      if (!next) at.branches.set(value, (next = { entries: [], branches: new Map() }));
      at = next;
    }
    at.entries.push(entry);
  }
  const sorted: FinderEntry[] = [];
  const take = (branch: Branch) => {
    for (const entry of branch.entries) sorted.push(entry);
    branch.branches.forEach(take);
  };
  take(root);
  return sorted;
}
