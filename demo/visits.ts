import type { Catalog } from '../server/state/catalog';
import { noteMet, noteViews } from '../server/store/page-views';
import { seeded } from './random';

const DAY = 86_400;
/** Days of which it is known what was looked at; of those before, only how many came. */
const KNOWN_DAYS = 120;

/** How many come on a day of each month, January first. */
const season = [34, 38, 52, 74, 92, 96, 110, 104, 76, 58, 50, 84];
/** On the weekend more do; and a write-up in June brought a wave that ebbed away. */
const isWeekend = (day: number) => [0, 6].includes(new Date(day * 1_000).getUTCDay());
const wave = (day: number) => {
  const since = (day - Date.UTC(new Date(day * 1_000).getUTCFullYear(), 5, 12) / 1_000) / DAY;
  return since < 0 || since > 30 ? 1 : 1 + 1.4 * Math.exp(-since / 6);
};

/** A year of visits up to `now` (ms since 1970): the same each time. What sells well is looked at often, but not only that. */
export function putVisits({ db, working }: Catalog, now: number): void {
  const random = seeded(20_260_612);
  const today = Math.floor(now / 1_000 / DAY) * DAY;
  const home = [...working.shop.pages.values()].find((page) => page.home)!.id;
  const products = [...working.products.values()].filter(({ status }) => status === 'live');
  db.transaction(() => {
    for (let ago = 364; ago >= 0; ago--) {
      const day = today - ago * DAY;
      const visits = Math.round(
        season[new Date(day * 1_000).getUTCMonth()]! *
          wave(day) *
          (isWeekend(day) ? 1.3 : 0.9) *
          (0.85 + random() * 0.3),
      );
      const atHome = Math.round(visits * 0.55);
      noteViews(db, { day, kind: 'page', id: '', times: Math.round(visits * 0.8), entries: atHome });
      if (ago >= KNOWN_DAYS) {
        noteViews(db, { day, kind: 'product', id: '', times: visits * 3, entries: visits - atHome });
        continue;
      }
      let entries = visits - atHome;
      for (const { id } of products) {
        const sold = working.salesOf(id).find((each) => each.day === day)?.pieces ?? 0;
        const times = Math.round(sold * (6 + random() * 8) + random() ** 3 * 3);
        if (times === 0) continue;
        const first = Math.min(entries, Math.round(times * 0.2));
        entries -= first;
        noteViews(db, { day, kind: 'product', id, times, entries: first });
        const main = working.products.get(id)!.categoryIds[0];
        let left = times - first;
        const meet = (share: number, kind: string, place: string) => {
          const here = Math.min(left, Math.round(times * share));
          left -= here;
          if (here > 0) noteMet(db, { day, productId: id, kind, id: place, times: here });
        };
        meet(0.35 * random(), 'page', home);
        if (main) meet(0.6 * random(), 'category', main);
        meet(0.2 * random(), 'product', '');
        meet(1, 'search', '');
        if (first > 0) noteMet(db, { day, productId: id, kind: 'outside', id: '', times: first });
      }
      noteViews(db, { day, kind: 'search', id: '', times: Math.round(visits * 0.4), entries });
    }
  })();
}
