import { isPageOpen } from '../model/page';
import { list } from '../search/listing';
import { queryWords, wordsOf } from '../search/words';
import { LAST } from '../shop/facts';
import { groupsOf, isOpen, type GroupKind } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { meantWords, understand, variantsMeant } from '../shop/understand';
import { cardOf } from './card';
import { placeSet } from './listing-view';
import { targetLink } from './pages/targets';
import { reachOf } from './reach';
import type { Suggestions } from './views';

const MOST_WORDS = 3;
const MOST_PLACES = 5;
const MOST_GOODS = 6;

type Place = Suggestions['places'][number];

const kinds = ['category', 'collection', 'brand'] as const satisfies GroupKind[];

/** How well a name fits words of which the last may go on: 0 not at all, more for names that begin with them or are them. */
function nameFit(name: string, words: readonly string[], stem: (word: string) => string): number {
  const own = wordsOf(name);
  const meets = (word: string, isLast: boolean) =>
    own.some((each) => stem(each) === stem(word) || (isLast && each.startsWith(word)));
  if (!words.every((word, i) => meets(word, i === words.length - 1))) return 0;
  if (own.length === words.length) return 3;
  return stem(own[0]!) === stem(words[0]!) || own[0]!.startsWith(words[0]!) ? 2 : 1;
}

function placesFor(shop: Shop, words: readonly string[], now: number): Place[] {
  const { clicks } = reachOf(shop);
  const found: { place: Place; fit: number }[] = [];
  for (const kind of kinds)
    for (const { id, name } of groupsOf(shop, kind).values()) {
      const fit = nameFit(name, words, shop.language.stem);
      if (fit === 0 || !isOpen(shop, { kind, id })) continue;
      const count = placeSet(shop, { kind, id }, now).count();
      const link = targetLink(shop, { kind, id });
      if (count > 0 && link) found.push({ place: { kind, ...link, count }, fit });
    }
  for (const page of shop.pages.values()) {
    const fit = page.home || page.standsOn.length > 0 ? 0 : nameFit(page.title, words, shop.language.stem);
    const link = fit > 0 && isPageOpen(page, now * 1000) ? targetLink(shop, { kind: 'page', id: page.id }) : undefined;
    // A page that nothing leads to yet is not to be found by a search either.
    if (link && clicks.has(`page:${page.id}`)) found.push({ place: { kind: 'page', ...link, count: null }, fit });
  }
  return found
    .sort(
      (a, b) => b.fit - a.fit || (b.place.count ?? 0) - (a.place.count ?? 0) || (a.place.url < b.place.url ? -1 : 1),
    )
    .slice(0, MOST_PLACES)
    .map(({ place }) => place);
}

/** What was meant by a slip, then how the last word may go on, the commonest first. */
function wordsFor(shop: Shop, words: readonly string[], isOpenEnded: boolean): string[] {
  const meant = meantWords(shop, words);
  const found = new Set<string>();
  if (meant.join(' ') !== words.join(' ')) found.add(meant.join(' '));
  if (isOpenEnded) {
    // One form of each word is enough: "kite" and "kites" find the same.
    const stems = new Set<string>();
    for (const word of shop.texts.index.completions(meant.at(-1)!, 4 * MOST_WORDS)) {
      const stem = shop.language.stem(word);
      if (!stems.has(stem)) found.add([...meant.slice(0, -1), word].join(' '));
      stems.add(stem);
    }
  }
  found.delete(words.join(' '));
  return [...found].slice(0, MOST_WORDS);
}

/** Suggestions for what a shopper has typed so far. O(groups + pages + one search). */
export function suggest(shop: Shop, typed: string, now: number): Suggestions {
  const words = queryWords(typed);
  if (words.length === 0) return { words: [], places: [], goods: [], total: 0 };
  const meant = variantsMeant(shop, typed);
  const { slots, total } = list(shop.index, {
    base: shop.listed,
    text: understand(shop, typed),
    texts: shop.texts,
    sort: 'match',
    tieOrder: 'featured',
    offset: 0,
    limit: MOST_GOODS,
    last: shop.index.posting(LAST, 'yes'),
  });
  return {
    words: wordsFor(shop, words, /[\p{L}\p{N}]$/u.test(typed)),
    places: placesFor(shop, meantWords(shop, words), now),
    goods: slots.map((slot) => cardOf(shop, slot, meant)),
    total,
  };
}
