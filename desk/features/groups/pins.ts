/**
 * Which goods of a shelf that a rule fills are pinned after one of them was dragged to another place: those that were, the
 * one that was moved, and, so that it stays there, all before it.
 */
export function pinsAfterMove(ids: readonly string[], moved: string, pins: readonly string[]): string[] {
  const held = new Set([...pins.filter((id) => ids.includes(id)), moved]);
  return ids.slice(0, Math.max(ids.indexOf(moved) + 1, held.size));
}

/** The goods as they will stand once pins that were just changed are known: without waiting, so that nothing jumps back. */
export function pinnedFirst<T extends { id: string }>(goods: readonly T[], pins: readonly string[]): T[] {
  const first = pins.flatMap((id) => goods.find((row) => row.id === id) ?? []);
  return [...first, ...goods.filter((row) => !first.includes(row))];
}
