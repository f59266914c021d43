/** Which old editions are kept: all of the last days, and of those before one of each week or month; null keeps all. */
export interface KeepRule {
  days: number;
  then: 'week' | 'month';
}

interface KeptEdition {
  number: number;
  /** ISO */
  at: string;
  note: string;
  /** the edition that it repeats */
  ofEdition: number | null;
}

const DAY_MS = 86_400_000;

/** The week (from Monday) or the month of a moment, UTC. */
function spanOf(at: string, then: KeepRule['then']): string {
  if (then === 'month') return at.slice(0, 7);
  const day = Math.floor(Date.parse(at) / DAY_MS);
  return String(Math.floor((day + 3) / 7));
}

/**
 * Numbers of the editions that the rule lets go of, the oldest first. Never the live one, nor the first, nor any that has a note
 * or that another one repeats; of each week or month the last one stays. O(editions).
 */
export function thinned(editions: readonly KeptEdition[], rule: KeepRule | null, now: number): number[] {
  if (!rule || editions.length < 3) return [];
  const sorted = [...editions].sort((a, b) => a.number - b.number);
  const repeated = new Set(sorted.flatMap(({ ofEdition }) => ofEdition ?? []));
  const lastOf = new Map(sorted.map(({ number, at }) => [spanOf(at, rule.then), number]));
  return sorted.slice(1, -1).flatMap(({ number, at, note }) => {
    const isOld = now - Date.parse(at) > rule.days * DAY_MS;
    const isKept = note !== '' || repeated.has(number) || lastOf.get(spanOf(at, rule.then)) === number;
    return isOld && !isKept ? [number] : [];
  });
}
