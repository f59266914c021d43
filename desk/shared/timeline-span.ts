const DAY_MS = 86_400_000;

export interface Span {
  from: string | null;
  until: string | null;
}
/** The days that a timeline shows, ms since 1970. */
export interface Range {
  begin: number;
  end: number;
}

/** Where a span stands on a timeline, in parts of a hundred of its width; open ends reach its edge. */
export function placeOf({ from, until }: Span, { begin, end }: Range): { left: number; width: number } | null {
  const at = (moment: string | null, open: number) => (moment === null ? open : Date.parse(moment));
  const [a, b] = [Math.max(begin, at(from, begin)), Math.min(end, at(until, end))];
  if (b <= a) return null;
  const part = (moment: number) => ((moment - begin) / (end - begin)) * 100;
  return { left: part(a), width: part(b) - part(a) };
}

export type Grip = 'all' | 'from' | 'until';

/** A span that is moved, or stretched at one of its ends, by whole days. An end that is open stays so, and no end passes the other. */
export function shifted({ from, until }: Span, days: number, grip: Grip): Span {
  const move = (moment: string | null) =>
    moment === null ? null : new Date(Date.parse(moment) + days * DAY_MS).toISOString();
  const next = { from: grip === 'until' ? from : move(from), until: grip === 'from' ? until : move(until) };
  return next.from !== null && next.until !== null && next.from >= next.until ? { from, until } : next;
}

/** The first days of the months in a range, ms since 1970. */
export function monthsIn({ begin, end }: Range): number[] {
  const months: number[] = [];
  const first = new Date(begin);
  for (let month = first.getUTCMonth(); ; month++) {
    const at = Date.UTC(first.getUTCFullYear(), month, 1);
    if (at >= end) return months;
    if (at >= begin) months.push(at);
  }
}

/** From six weeks back to four months ahead. */
export const rangeAround = (now: number): Range => ({ begin: now - 42 * DAY_MS, end: now + 120 * DAY_MS });
