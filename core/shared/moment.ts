/** Seconds since 1970 of a UTC moment. */
export const secondsOf = (moment: string): number => Date.parse(moment) / 1000;

/**
 * The beginning of the hour, in seconds since 1970. What counts as new, and what a badge's rule takes in, is looked at again at
 * each, so that answers hold meanwhile and a shop that has run for days answers what one that just started does.
 */
export const hourOf = (now: number): number => now - (now % 3_600);

const formatters = new Map<string, Intl.DateTimeFormat>();

function formatter(timeZone: string): Intl.DateTimeFormat {
  let known = formatters.get(timeZone);
  if (!known)
    formatters.set(
      timeZone,
      (known = new Intl.DateTimeFormat('en-GB', {
        timeZone,
        day: 'numeric',
        month: 'short',
        year: 'numeric',
        hour: '2-digit',
        minute: '2-digit',
      })),
    );
  return known;
}

/** A UTC moment as people of a time zone read it: "3 May 2027, 10:00". */
export function momentWords(moment: string, timeZone: string): string {
  return formatter(timeZone).format(new Date(moment));
}

/** The last day before a moment, as people of a time zone read it: "2 May". */
export function lastDayBefore(moment: string, timeZone: string, locale: string): string {
  // Days stand before months.
  const days = locale === 'en' ? 'en-GB' : locale;
  return new Intl.DateTimeFormat(days, { timeZone, day: 'numeric', month: 'long' }).format(Date.parse(moment) - 1);
}

/** Minutes by which the clocks of a time zone are ahead of UTC at a moment (ms since 1970). */
function aheadOfUtc(at: number, timeZone: string): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
  }).formatToParts(at);
  const part = (type: string) => Number(parts.find((each) => each.type === type)!.value);
  const local = Date.UTC(part('year'), part('month') - 1, part('day'), part('hour'), part('minute'));
  return Math.round((local - Math.floor(at / 60_000) * 60_000) / 60_000);
}

/**
 * The UTC moment at which the clocks of a time zone show `local` ("2027-05-03T10:00"); null when that is no time. An hour
 * that clocks show twice means its first time; one that they skip means as much later.
 */
export function momentFromLocal(local: string, timeZone: string): string | null {
  const asUtc = Date.parse(`${local}Z`);
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(local) || Number.isNaN(asUtc)) return null;
  const first = asUtc - aheadOfUtc(asUtc - 86_400_000, timeZone) * 60_000;
  const isRight = (at: number) => at + aheadOfUtc(at, timeZone) * 60_000 === asUtc;
  if (isRight(first)) return new Date(first).toISOString();
  const second = asUtc - aheadOfUtc(asUtc + 86_400_000, timeZone) * 60_000;
  return new Date(isRight(second) ? second : first).toISOString();
}

/** What the clocks of a time zone show at a moment, as an input of date and time takes it: "2027-05-03T10:00". */
export function localOfMoment(moment: string, timeZone: string): string {
  const at = Date.parse(moment);
  return new Date(at + aheadOfUtc(at, timeZone) * 60_000).toISOString().slice(0, 16);
}

/** Days between 1 January 1970 and the day that a time zone has at a moment (ms since 1970). */
export const localDay = (at: number, timeZone: string): number =>
  Math.floor((at + aheadOfUtc(at, timeZone) * 60_000) / 86_400_000);

/** The last moment, up to `now`, at which a clock in this time zone struck a full hour, 0 to 23. */
export function lastStruck(now: string, hour: number, timeZone: string): string {
  const time = `${String(hour).padStart(2, '0')}:00`;
  // A day ends and begins an hour early or late when clocks are changed: two days back is always enough.
  for (const back of [0, 1, 2]) {
    const day = localOfMoment(new Date(Date.parse(now) - back * 86_400_000).toISOString(), timeZone).slice(0, 10);
    const struck = momentFromLocal(`${day}T${time}`, timeZone);
    if (struck !== null && struck <= now) return struck;
  }
  return now;
}
