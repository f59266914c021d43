import { useState } from 'react';
import { MomentField } from '../../../shared/ui/moment-field';
import type { FormProps } from '../form';

/** What the days that were typed come to. */
function lastDayWords({ from, until }: { from: string | null; until: string | null }): string {
  if (!from && !until) return 'No first and no last day: they are on the shop for as long as they are live.';
  if (!until) return 'Without a last day.';
  return from ? '' : 'From the next edition on.';
}

export function DaysForm({ change, timeZone }: FormProps) {
  const [days, setDays] = useState<{ from: string | null; until: string | null }>({ from: null, until: null });
  const set = (next: Partial<typeof days>) => {
    const after = { ...days, ...next };
    setDays(after);
    change({ do: 'days', ...after });
  };
  return (
    <>
      <MomentField label="On the shop from" value={days.from} timeZone={timeZone} change={(from) => set({ from })} />
      <MomentField label="Until" value={days.until} timeZone={timeZone} change={(until) => set({ until })} />
      <p className="text-ink-2">{lastDayWords(days)}</p>
    </>
  );
}
