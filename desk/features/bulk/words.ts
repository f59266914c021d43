/** What the days that were typed come to. */
export function lastDayWords({ from, until }: { from: string | null; until: string | null }): string {
  if (!from && !until) return 'No first and no last day: they are on the shop for as long as they are live.';
  if (!until) return 'Without a last day.';
  return from ? '' : 'From the next edition on.';
}
