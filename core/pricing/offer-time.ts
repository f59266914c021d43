import type { Offer } from '../model/offer';
import { localDay, localOfMoment, momentFromLocal, secondsOf } from '../shared/moment';

type Dated = Pick<Offer, 'isOn' | 'from' | 'until' | 'weekdays' | 'hours'>;

const DAY = 86_400_000;
/** 1 January 1970 was a Thursday. */
const weekdayOf = (day: number) => ((day + 3) % 7) + 1;

const minutesOf = (local: string) => Number(local.slice(11, 13)) * 60 + Number(local.slice(14, 16));

/** Does an offer hold at `now` (seconds since 1970), by its days, its weekdays and its hours in the shop's zone? */
export function isRunning({ isOn, from, until, weekdays, hours }: Dated, now: number, timeZone: string): boolean {
  if (!isOn || (from !== null && now < secondsOf(from)) || (until !== null && now >= secondsOf(until))) return false;
  if (weekdays.length === 0 && hours === null) return true;
  if (weekdays.length > 0 && !weekdays.includes(weekdayOf(localDay(now * 1_000, timeZone)))) return false;
  if (hours === null) return true;
  const minutes = minutesOf(localOfMoment(new Date(now * 1_000).toISOString(), timeZone));
  return minutes >= hours.from && minutes < hours.until;
}

const localTime = (day: number, minutes: number) => new Date(day * DAY + minutes * 60_000).toISOString().slice(0, 16);

/** The next moment after `now` at which an offer may begin or end, seconds since 1970; undefined when none is. */
export function nextOfferEdge(offer: Dated, now: number, timeZone: string): number | undefined {
  if (!offer.isOn) return undefined;
  const edges = [offer.from, offer.until].flatMap((moment) => (moment === null ? [] : [secondsOf(moment)]));
  if (offer.weekdays.length > 0 || offer.hours !== null) {
    const today = localDay(now * 1_000, timeZone);
    for (let day = today; day <= today + 8; day++)
      for (const minutes of [0, ...(offer.hours ? [offer.hours.from, offer.hours.until] : [])]) {
        const moment = momentFromLocal(localTime(day, minutes), timeZone);
        if (moment !== null) edges.push(secondsOf(moment));
      }
  }
  const next = Math.min(...edges.filter((edge) => edge > now));
  return Number.isFinite(next) ? next : undefined;
}
