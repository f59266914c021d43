import type { Forward } from '../model/forward';
import type { Link } from '../model/target';
import { oneSlip, wordsOf } from '../search/words';
import type { Shop } from '../shop/shop';
import { suggest } from './suggest';
import { targetAt, targetLink } from './pages/targets';

/** Longer chains nobody makes; what is longer leads nowhere. */
const LONGEST_CHAIN = 20;

/** Where a path of the table of forwards leads in the end. */
export type Led = { url: string } | { gone: true };

/**
 * Where a path leads by the table of forwards; undefined where the table says nothing of it, or where it would lead to itself
 * or to something that is shut. Chains are followed to their end, so that a browser is sent on once. O(chain).
 */
export function ledFrom(shop: Shop, path: string): Led | undefined {
  const met = new Set<string>();
  let at = path;
  while (met.size < LONGEST_CHAIN && !met.has(at)) {
    met.add(at);
    const forward = shop.forwards.get(at);
    if (!forward) return at === path ? undefined : { url: at };
    if (forward.to === null) return { gone: true };
    if (forward.to.kind !== 'address') {
      const url = targetLink(shop, forward.to)?.url;
      return url === undefined || url === path ? undefined : { url };
    }
    if (!forward.to.url.startsWith('/')) return { url: forward.to.url };
    at = forward.to.url;
  }
  return undefined;
}

/** What a forward says, told by the shop: an own address is that of the thing that stands there, so that it follows when that is renamed. */
export const asTarget = (shop: Shop, to: Link): Link => (to.kind === 'address' ? (targetAt(shop, to.url) ?? to) : to);

/** Why a path cannot forward there, in plain words, and which of the two is wrong; undefined when it can. */
export function forwardProblem(
  shop: Shop,
  { path, to }: Pick<Forward, 'path' | 'to'>,
): { at: 'path' | 'to'; words: string } | undefined {
  const here = targetAt(shop, path);
  if (here && targetLink(shop, here)?.url === path)
    return { at: 'path', words: 'A page of the shop stands at this path.' };
  if (to?.kind !== 'address' || !to.url.startsWith('/')) return undefined;
  const met = new Set([path]);
  for (let at = to.url.split(/[?#]/)[0]!; ;) {
    if (met.has(at)) return { at: 'to', words: 'This would lead back to itself.' };
    met.add(at);
    const next = shop.forwards.get(at)?.to;
    if (next?.kind !== 'address' || !next.url.startsWith('/') || met.size > LONGEST_CHAIN) return undefined;
    at = next.url;
  }
}

/** Of forwards that are to be taken together, those that lead back to themselves by way of each other. O(forwards × chain). */
export function circlesAmong<F extends Pick<Forward, 'path' | 'to'>>(forwards: readonly F[]): F[] {
  const known = new Map<string, F>(forwards.map((forward) => [forward.path, forward]));
  return forwards.filter(({ path }) => {
    const met = new Set<string>();
    for (let at: string | undefined = path; at !== undefined && known.has(at);) {
      if (met.has(at)) return true;
      met.add(at);
      const { to }: Pick<Forward, 'to'> = known.get(at)!;
      at = to?.kind === 'address' ? to.url : undefined;
    }
    return false;
  });
}

/** The words that a path may be made of: "/shop/kites/red_harrier.html" → "red harrier". */
const wordsOfPath = (path: string) =>
  (path.split('/').findLast((part) => part !== '') ?? '')
    .replace(/\.[a-z0-9]{2,5}$/i, '')
    .replace(/[-_+.%0-9]+/g, ' ')
    .trim();

/** Shorter words are too alike for a slip to tell which was meant. */
const LONG_ENOUGH_TO_SLIP = 5;

/** Whether at least half of the words that were asked for stand in a name, give or take a letter. */
function isLike(asked: string, name: string): boolean {
  const named = wordsOf(name);
  const words = wordsOf(asked).filter((word) => word.length > 2);
  const found = words.filter((word) =>
    named.some((each) => each === word || (word.length >= LONG_ENOUGH_TO_SLIP && oneSlip(word, each))),
  );
  return found.length > 0 && found.length * 2 >= words.length;
}

/** The product or group that whoever asked for a path most likely wanted; undefined where nothing is near. */
export function nearestTo(shop: Shop, path: string): { label: string; to: Link } | undefined {
  const words = wordsOfPath(path);
  if (words.length < 3) return undefined;
  const { places, goods } = suggest(shop, `${words} `, shop.now);
  const place = places.find(({ label }) => isLike(words, label));
  const card = goods.find(({ title }) => isLike(words, title));
  const label = place?.label ?? card?.title;
  const to = place ? targetAt(shop, place.url) : card && { kind: 'product' as const, id: card.id };
  return to && label !== undefined ? { label, to } : undefined;
}
