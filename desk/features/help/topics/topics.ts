import { fold } from '../../../../core/shared/fold';
import type { DeskHelp, Topic } from '../topic';
import { exchange } from './exchange';
import { goods } from './goods';
import { groups } from './groups';
import { lookingAfter } from './looking-after';
import { orders } from './orders';
import { prices } from './prices';
import { shopfront } from './shopfront';
import { words } from './words';

/** All that is explained, desk by desk. */
export const deskHelps: readonly DeskHelp[] = [goods, groups, prices, shopfront, words, exchange, orders, lookingAfter];

/** What is explained about the desk of an address. */
export const helpAt = (pathname: string): DeskHelp =>
  deskHelps.find(({ at }) => at.some((begin) => pathname === begin || pathname.startsWith(`${begin}/`))) ?? goods;

interface Found {
  desk: DeskHelp;
  topic: Topic;
}

/** The topics in which all words of what was typed begin a word; those that have them in the title come first. O(topics). */
export function findTopics(typed: string): Found[] {
  const wanted = fold(typed).split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return [];
  const has = (text: string) => {
    const known = fold(text).split(/[^\p{L}\p{N}]+/u);
    return wanted.every((word) => known.some((each) => each.startsWith(word)));
  };
  const all = deskHelps.flatMap((desk) => desk.topics.map((topic) => ({ desk, topic })));
  const inTitle = all.filter(({ topic }) => has(topic.title));
  const inWords = all.filter(
    ({ topic, desk }) => !has(topic.title) && has([desk.name, topic.title, ...topic.words].join(' ')),
  );
  return [...inTitle, ...inWords];
}
