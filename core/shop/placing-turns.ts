import { allItems, type Menu } from '../model/menu';
import type { Page } from '../model/page';
import type { Settings } from '../model/settings';
import { localDay, secondsOf } from '../shared/moment';

interface Dated {
  from: string | null;
  until: string | null;
}

interface Placing {
  pages: ReadonlyMap<string, Page>;
  menu: Menu;
  settings: Pick<Settings, 'timeZone'>;
}

/**
 * Whether between two moments (seconds since 1970, the first one before the second) a page, a section or an item of a menu
 * came or went by its days, or goods that take turns did. O(sections + items).
 */
export function hasPlacingTurned({ pages, menu, settings }: Placing, before: number, now: number): boolean {
  const isWithin = (moment: string | null) => moment !== null && secondsOf(moment) > before && secondsOf(moment) <= now;
  const hasTurned = ({ from, until }: Dated) => isWithin(from) || isWithin(until);
  const day = (at: number) => localDay(at * 1000, settings.timeZone);
  let takesTurns = false;
  for (const page of pages.values()) {
    if (hasTurned(page) || page.sections.some(hasTurned)) return true;
    takesTurns ||= page.sections.some((section) => section.kind === 'strip' && section.daily !== null);
  }
  if (allItems(menu).some(hasTurned)) return true;
  return takesTurns && day(before) !== day(now);
}
