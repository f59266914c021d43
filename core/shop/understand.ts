import { optionField, specField, specFrom, specUpTo } from '../rules/field';
import { Bitset } from '../search/bitset';
import { otherWays } from '../search/synonyms';
import type { Meaning, QueryPart, QueryWord, TextQuery } from '../search/text-query';
import { MIN_SLIP_LENGTH, queryWords, wordsOf } from '../search/words';
import { fold } from '../shared/fold';
import { readMeasure } from '../shared/units';
import { cachedByVersion } from './cached-by-version';
import { colourCalled, colourMeant, coloursOf } from './colours';
import { isOpen, type GroupKind, type GroupRef } from './open-groups';
import type { Shop } from './shop';
import { sheetsInOrder } from './shop-fields';

/** How much it counts, for each word, to be in a group of that name; in one whose name has the word last, or somewhere. */
const whole: Record<GroupKind, number> = { category: 200, collection: 70, tag: 80, brand: 60 };
const part: Record<GroupKind, { last: number; other: number }> = {
  category: { last: 50, other: 25 },
  collection: { last: 20, other: 10 },
  tag: { last: 15, other: 8 },
  brand: { last: 15, other: 10 },
};
const COLOUR = 60;
const MEASURE = 90;
/** The thing that is looked for counts more than what is said of it: "kite" in "red kite", "line" in "line for kites". */
const HEAD = 1.5;
const BESIDE = 0.6;
/** What is meant by another way to say something counts so much of what it would itself. */
const OTHERWISE = 0.5;
/** A group of several names, such as "Line & reels", is less surely meant by one of them than a group of just that name. */
const ONE_OF_SEVERAL = 0.45;
/** Longest name of a group that is recognised as a whole, in words. */
const MOST_WORDS = 5;
/** A measure fits when it is this near. */
const NEAR = 0.02;
/** Shorter words are not taken for two that were written together. */
const MIN_SPLIT = 7;
/** Letters from which on a word that is still being typed is taken for the beginning of a name. */
const MIN_BEGUN = 3;

interface NamedGroup {
  at: GroupRef;
  /** stems of its name, without fillers */
  stems: readonly string[];
}

interface WholeName {
  at: GroupRef;
  /** less for one of the names in "Reels & winders" */
  share: number;
}

interface Names {
  /** by the stems of a whole name, apart and written together */
  whole: Map<string, WholeName[]>;
  /** by one stem of a longer name */
  part: Map<string, NamedGroup[]>;
  /** other ways to say a phrase, by its stems */
  otherwise: Map<string, string[][]>;
}

/** Shortest word that counts at the end of another, and fewest letters that stand before it there. */
const MIN_TAIL = 4;
const MIN_BEFORE = 3;

const kinds: readonly GroupKind[] = ['category', 'collection', 'tag', 'brand'];

/** What groups are called, and what the seller says to mean the same, by the stems of the words. */
function namesOf(shop: Shop): Names {
  const { language } = shop;
  const names: Names = { whole: new Map(), part: new Map(), otherwise: new Map() };
  const tellingOf = (name: string) => wordsOf(name).filter((word) => !language.isFiller(word));
  const stemsOf = (name: string) => tellingOf(name).map(language.stem);
  const add = <T>(map: Map<string, T[]>, key: string, value: T) => {
    const all = map.get(key);
    if (all) all.push(value);
    else map.set(key, [value]);
  };
  const groups: Record<GroupKind, ReadonlyMap<string, { name: string }>> = {
    category: shop.categories,
    collection: shop.collections,
    tag: shop.tags,
    brand: shop.brands,
  };
  for (const kind of kinds)
    for (const [id, { name }] of groups[kind]) {
      const at: GroupRef = { kind, id };
      // Tags and brands need not be listed to say what goods are.
      if ((kind === 'category' || kind === 'collection') && !isOpen(shop, at)) continue;
      const all = stemsOf(name);
      const called = new Map([[all.join(' '), 1]]);
      for (const each of name.split(/[&+,/]|\s(?:and|or|und|oder)\s/i)) {
        const key = stemsOf(each).join(' ');
        if (!called.has(key)) called.set(key, ONE_OF_SEVERAL);
      }
      called.set(language.stem(tellingOf(name).join('')), 1);
      for (const [key, share] of called) if (key !== '') add(names.whole, key, { at, share });
      if (all.length > 1) for (const stem of new Set(all)) add(names.part, stem, { at, stems: all });
    }
  for (const [phrase, others] of otherWays(shop.settings.synonyms)) {
    const key = stemsOf(phrase).join(' ');
    const ways = others.map(tellingOf).filter((words) => words.length > 0);
    names.otherwise.set(key, [...(names.otherwise.get(key) ?? []), ...ways]);
  }
  return names;
}

const names = cachedByVersion(namesOf);

function setOf(shop: Shop, { kind, id }: GroupRef): Bitset {
  if (kind === 'collection') return shop.memberships.of(id, shop.now);
  return shop.index.posting(kind, id) ?? new Bitset(shop.index.alive.size);
}

const groupMeaning = (shop: Shop, at: GroupRef, score: number): Meaning => ({
  set: setOf(shop, at),
  score,
  what: `${at.kind}:${at.id}`,
});

/** Variants in each basic colour, by the swatches of their options. */
const variantsByColour = cachedByVersion(() => new Map<string, Bitset>());

/** The variants that have a value whose swatch would be called by this colour; undefined when there are none. */
function variantsIn(shop: Shop, colour: string): Bitset | undefined {
  const byColour = variantsByColour(shop);
  if (byColour.size === 0)
    for (const [key, { swatches }] of shop.options)
      for (const [value, hex] of swatches)
        for (const name of coloursOf(hex)) {
          const posting = shop.index.variantPosting(optionField(key), value);
          if (!posting) continue;
          const set = byColour.get(name) ?? new Bitset(shop.index.variants.alive.size);
          byColour.set(name, set.or(posting));
        }
  return byColour.get(colour);
}

/** Products with a spec that is the measure typed, such as "180 cm" or "1.8 m", or whose range holds it. */
function measured(shop: Shop, typed: string): Bitset | undefined {
  const { index } = shop;
  const [, unit = ''] = /^[\d.,]+\s*(.*)$/.exec(typed) ?? [];
  let found: Bitset | undefined;
  for (const { attributes } of sheetsInOrder(shop))
    for (const attribute of attributes) {
      if ((attribute.type !== 'number' && attribute.type !== 'range') || attribute.unit === '') continue;
      const own = fold(attribute.unit) === fold(unit) ? typed.replace(unit, attribute.unit) : typed;
      const read = readMeasure(own, attribute.unit);
      if ('problem' in read) continue;
      const field = specField(attribute.id);
      const isRange = attribute.type === 'range';
      const [low, high] = [
        index.column(isRange ? specFrom(field) : field),
        index.column(isRange ? specUpTo(field) : field),
      ];
      const room = isRange ? 0 : Math.abs(read.value) * NEAR;
      const reaching = index.whereNumber(high, read.value - room, Infinity, index.alive);
      const holding = index.whereNumber(low, -Infinity, read.value + room, reaching);
      found = found ? found.or(holding) : holding;
    }
  return found && found.count() > 0 ? found : undefined;
}

/** A number with what may be a unit; whether it is one, the units of the specs tell. */
const MEASURED = /(\d+(?:[.,]\d+)?)\s?([a-z]{1,5})\b/gi;

/** What is left of a query when the measures in it are read, and those. */
function measuresOf(shop: Shop, query: string): { rest: string; parts: QueryPart[] } {
  const parts: QueryPart[] = [];
  const rest = query.replace(MEASURED, (typed: string, number: string) => {
    const set = measured(shop, typed);
    if (!set) return typed;
    const digits = wordsOf(number);
    parts.push({
      typed,
      // "180" stands in many a title; "1.8" is two words there, which would say little.
      words: digits.length === 1 ? [{ text: digits[0]!, isFinished: true }] : [],
      others: [],
      compounds: [],
      meanings: [{ set, score: MEASURE, what: `measure:${typed}` }],
    });
    return ' ';
  });
  return { rest, parts };
}

/** What one word means by itself: a colour, or a word of the name of a group. */
function meaningsOfWord(shop: Shop, { text, stem = text, isFinished }: QueryWord): Meaning[] {
  const { part: byPart, whole: byWhole } = names(shop);
  const meanings: Meaning[] = [];
  const colour = colourCalled(text);
  const variants = colour === undefined ? undefined : variantsIn(shop, colour);
  if (variants) meanings.push({ set: shop.index.productsOf(variants), score: COLOUR, what: `colour:${colour}` });
  const met = (group: NamedGroup, of: string) => {
    const { last, other } = part[group.at.kind];
    meanings.push(groupMeaning(shop, group.at, group.stems.at(-1) === of ? last : other));
  };
  for (const group of byPart.get(stem) ?? []) met(group, stem);
  if (!isFinished && text.length >= MIN_BEGUN) {
    for (const [name, groups] of byWhole)
      if (name !== stem && name.startsWith(text))
        for (const { at } of groups) meanings.push(groupMeaning(shop, at, part[at.kind].last));
    for (const [name, groups] of byPart)
      if (name !== stem && name.startsWith(text)) for (const group of groups) met(group, name);
  }
  // "Segeltuch" is "Tuch", too.
  if (shop.language.links && stem.length >= MIN_TAIL)
    for (const [name, groups] of byWhole)
      if (name.length >= stem.length + MIN_BEFORE && name.endsWith(stem))
        for (const { at } of groups) meanings.push(groupMeaning(shop, at, part[at.kind].last));
  return meanings;
}

const wordOf = (shop: Shop, text: string, isFinished: boolean): QueryWord => ({
  text,
  stem: shop.language.stem(text),
  isFinished,
});

/** Does the word stand in the name of a group? */
function isNamed(shop: Shop, word: string): boolean {
  const { whole: byWhole, part: byPart } = names(shop);
  const stem = shop.language.stem(word);
  return byWhole.has(stem) || byPart.has(stem);
}

/** The word that was meant where the typed one is a slip of the hand; itself for all others. */
function corrected(shop: Shop, typed: string): string {
  const { index: text } = shop.texts;
  if (isNamed(shop, typed) || names(shop).otherwise.has(shop.language.stem(typed)) || colourCalled(typed)) return typed;
  if (text.knows(typed) || typed.length < MIN_SLIP_LENGTH) return typed;
  return text.correct(typed) ?? colourMeant(typed) ?? typed;
}

/** The words of a query, each as it was meant. */
export const meantWords = (shop: Shop, words: readonly string[]): string[] =>
  words.map((word) => corrected(shop, word));

/** A word stands at the end of so many others that are looked for with it. */
const MOST_COMPOUNDS = 24;

/** A word written in two, where both stand in some text; the longest beginning counts. */
function apart(shop: Shop, { text }: QueryWord): QueryWord[][] {
  const isKnown = (word: string) => isNamed(shop, word) || shop.texts.index.knows(word);
  for (let at = text.length - 3; at >= 3; at--) {
    const [whole, b] = [text.slice(0, at), text.slice(at)];
    if (!isKnown(b)) continue;
    // In some languages letters stand between the two.
    const link = shop.language.links?.find((letters) => whole.endsWith(letters) && whole.length >= letters.length + 3);
    const a = [whole, ...(link ? [whole.slice(0, -link.length)] : [])].find(isKnown);
    if (a !== undefined) return [[a, b].map((each) => wordOf(shop, each, true))];
  }
  // What stands before the last word may be new to the shop: "Ersatzteile" are parts all the same.
  if (shop.language.links)
    for (let at = 3; at <= text.length - MIN_TAIL; at++)
      if (isKnown(text.slice(at))) return [[wordOf(shop, text.slice(at), true)]];
  return [];
}

/** The groups whose whole name this is. */
const wholeNames = (shop: Shop, key: string, words: number): Meaning[] =>
  (names(shop).whole.get(key) ?? []).map(({ at, share }) =>
    groupMeaning(shop, at, Math.round(whole[at.kind] * words * share)),
  );

/** The word that says what is looked for: the last one, or the last before a filler such as "for" or "with". */
function headOf(shop: Shop, all: readonly string[]): string | undefined {
  const isTelling = (word: string) => !shop.language.isFiller(word);
  const first = all.findIndex(isTelling);
  const end = all.findIndex((word, i) => i > first && !isTelling(word));
  return first < 0 ? undefined : all[end < 0 ? all.length - 1 : end - 1];
}

/** The words from one place on that are looked for together, as many as have a name, another way to be said, or are one word. */
function partAt(shop: Shop, words: readonly QueryWord[]): { length: number; part: QueryPart } {
  const { whole: groups, otherwise } = names(shop);
  const stems = (count: number) => words.slice(0, count).map(({ text, stem = text }) => stem);
  const joined = (count: number) =>
    words
      .slice(0, count)
      .map(({ text }) => text)
      .join('');
  let length = Math.min(MOST_WORDS, words.length);
  const isOne = (count: number) =>
    groups.has(stems(count).join(' ')) ||
    otherwise.has(stems(count).join(' ')) ||
    shop.texts.index.knows(joined(count));
  while (length > 1 && !isOne(length)) length--;
  const own = words.slice(0, length);
  const others = otherwise.get(stems(length).join(' ')) ?? [];
  const [word] = own;
  const together = shop.language.stem(joined(length));
  const isKnown = shop.texts.index.knows(joined(length));
  const split = length === 1 && word!.text.length >= MIN_SPLIT && others.length === 0 ? apart(shop, word!) : [];
  const heads = shop.language.links ? split.flatMap((way) => way.slice(-1)) : [];
  const meanings = [
    ...heads.flatMap((head) =>
      meaningsOfWord(shop, head).map((meaning) => ({
        ...meaning,
        score: Math.round(meaning.score * (isKnown ? OTHERWISE : 1)),
      })),
    ),
    ...wholeNames(shop, stems(length).join(' '), length),
    ...(length > 1 ? wholeNames(shop, together, length) : meaningsOfWord(shop, word!)),
    ...others.flatMap((way) =>
      wholeNames(shop, way.map((each) => shop.language.stem(each)).join(' '), way.length).map((meaning) => ({
        ...meaning,
        score: Math.round(meaning.score * OTHERWISE),
      })),
    ),
  ];
  return {
    length,
    part: {
      typed: own.map(({ text }) => text).join(' '),
      words: others.length > 0 ? own.map((each) => ({ ...each, isSure: true })) : own,
      others: [
        ...others.map((way) => way.map((text) => wordOf(shop, text, true))),
        // Where the word itself is known, what it is in two is less surely meant.
        ...(isKnown ? split : []),
        // Where words are written together, the last of them says what it is.
        ...heads.map((head) => [head]),
        ...(length === 1
          ? shop.texts.index.compoundsOf(word!.text, MOST_COMPOUNDS).map((each) => [wordOf(shop, each, true)])
          : []),
      ],
      compounds: length > 1 && isKnown ? [[wordOf(shop, joined(length), true)]] : isKnown ? [] : split,
      meanings,
    },
  };
}

/**
 * Reads what a shopper typed: fillers are passed over, words count in all their forms, written together or apart; names of
 * groups, colours and measures stand for their goods; what the seller said to mean the same counts too. The last word may go
 * on, unless a space follows it. Where fewer goods than `fillTo` have all of it, those follow that come close.
 */
export function understand(shop: Shop, query: string, fillTo = 0): TextQuery {
  const { language } = shop;
  const { rest, parts } = measuresOf(shop, query.slice(0, 400));
  const all = queryWords(rest);
  const telling = all.filter((word) => !language.isFiller(word));
  const typed = telling.length > 0 || parts.length > 0 ? telling : all;
  const isOpenEnded = /[\p{L}\p{N}]$/u.test(rest);
  const words = typed.map((text) => wordOf(shop, corrected(shop, text), !(isOpenEnded && text === all.at(-1))));
  const headWord = corrected(shop, headOf(shop, all) ?? '');
  const measures = parts.length;
  for (let at = 0; at < words.length;) {
    const { length, part: made } = partAt(shop, words.slice(at));
    parts.push(made);
    at += length;
  }
  const isHead = ({ words: own }: QueryPart) => own.some(({ text }) => text === headWord);
  return {
    parts:
      parts.length === 1
        ? parts
        : parts.map((each, i) => ({
            ...each,
            isHead: isHead(each),
            meanings:
              i < measures
                ? each.meanings
                : each.meanings.map((meaning) => ({
                    ...meaning,
                    score: Math.round(meaning.score * (isHead(each) ? HEAD : BESIDE)),
                  })),
          })),
    mayDrop: true,
    fillTo,
    stems: words.map(({ text, stem }) => stem ?? text),
  };
}

/** The variants that a query speaks of by their colour, so that a card can show one of them; undefined when it does not. */
export function variantsMeant(shop: Shop, query: string): Bitset | undefined {
  for (const word of queryWords(query)) {
    const colour = colourCalled(corrected(shop, word));
    const variants = colour === undefined ? undefined : variantsIn(shop, colour);
    if (variants) return variants;
  }
  return undefined;
}
