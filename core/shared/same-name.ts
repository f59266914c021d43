import { fold } from './fold';

/**
 * What a name is, apart from how it is written: capitals, outer and repeated blanks, and ways of writing one letter do not
 * count; marks and signs do. Two names are the same exactly where this is the same. The one notion of "the same name".
 */
export function nameIdentity(name: string): string {
  return name.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim();
}

export const isSameName = (a: string, b: string): boolean => nameIdentity(a) === nameIdentity(b);

/** The place of the first name that an earlier one is the same as; -1 when all differ. O(n). */
export function repeatedName(names: readonly string[]): number {
  const met = new Set<string>();
  return names.findIndex((name) => met.size === met.add(nameIdentity(name)).size);
}

/** The thing of this name; where there is none, one whose name differs in marks and signs only, as people type. */
export function namedLike<T>(things: readonly T[], nameOf: (thing: T) => string, typed: string): T | undefined {
  const wanted = fold(typed).trim();
  return (
    things.find((thing) => isSameName(nameOf(thing), typed)) ??
    things.find((thing) => fold(nameOf(thing)).trim() === wanted)
  );
}
