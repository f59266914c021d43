import { list } from '../search/listing';
import { lacking } from '../search/text-index';
import type { QueryPart, QueryWord, TextQuery } from '../search/text-query';
import { fitOf, titleStems } from '../search/title-fit';
import { MIN_SLIP_LENGTH, oneSlip, wordsOf } from '../search/words';
import { plainText } from '../shared/plain-text';
import { LAST } from '../shop/facts';
import { groupsOf, type GroupKind } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { understand } from '../shop/understand';
import { textsOf, wordsBeside, type SearchedText } from '../shop/words-beside';
import { FILL_TO } from './listing-view';

/** Why one product was found. */
interface WhyFound {
  id: string;
  title: string;
  /** what it was put in order by */
  points: number;
  /** for each part of the query that is not left out: what it counts, and where it was met; no points where it was not */
  parts: { typed: string; points: number; because: string }[];
  /** of the points, those for how well the title fits the whole query */
  titlePoints: number;
  /** sold out, and to stand last then, whatever its points */
  isLast: boolean;
}

/** How a query was read, and why the goods that it finds stand in their order. */
export interface WhyFoundAnswer {
  read: { typed: string; meant: string[]; others: string[]; isDropped: boolean }[];
  total: number;
  /** of the total, those that have all of it */
  full: number;
  goods: WhyFound[];
}

/** What goods are that a meaning stands for, in words: “in the category “Kites””. */
function meaningWords(shop: Shop, what: string): string {
  const [kind = '', ...rest] = what.split(':');
  const name = rest.join(':');
  if (kind === 'colour') return `${name} by its swatch`;
  if (kind === 'measure') return `${name} by its specs`;
  return `in the ${kind} “${groupsOf(shop, kind as GroupKind).get(name)?.name ?? ''}”`;
}

/** How near a word of a text is to one that is looked for: less is nearer; undefined where it is another word. */
function nearness(shop: Shop, wanted: QueryWord, word: string): number | undefined {
  if (word === wanted.text) return 0;
  if (wanted.stem !== undefined && shop.language.stem(word) === wanted.stem) return 1;
  const isKnown = shop.texts.index.knows(wanted.text);
  if (isKnown && wanted.isFinished) return undefined;
  if (word.startsWith(wanted.text)) return 2;
  return !isKnown && wanted.text.length >= MIN_SLIP_LENGTH && oneSlip(wanted.text, word) ? 3 : undefined;
}

/** Where a word is met in the texts of a product, the weightiest and nearest first: “in the title”, “in the tags, as “lines””. */
function wordReason(shop: Shop, wanted: QueryWord, texts: readonly SearchedText[]): string | undefined {
  const met = texts.flatMap(({ where, text, weight }) =>
    wordsOf(typeof text === 'string' ? text : text.join(' ')).flatMap((word) => {
      const near = nearness(shop, wanted, word);
      return near === undefined ? [] : [{ where, word, near, weight }];
    }),
  );
  const [best] = met.sort((a, b) => a.near - b.near || b.weight - a.weight);
  if (!best) return undefined;
  return best.near === 0 ? `in the ${best.where}` : `in the ${best.where}, as “${best.word}”`;
}

/** Why a part of a query is met by a product: what it names, else where its words stand. */
function partReason(shop: Shop, part: QueryPart, slot: number, texts: readonly SearchedText[]): string {
  const meaning = [...part.meanings].sort((a, b) => b.score - a.score).find(({ set }) => set.has(slot));
  const ways = [part.words, ...part.compounds, ...part.others];
  const words = ways.flatMap((way) => {
    const reasons = way.map((word) => wordReason(shop, word, texts));
    if (way.length === 0 || reasons.includes(undefined)) return [];
    const said = way.map(({ text }) => text).join(' ');
    const asOther = part.others.includes(way) ? ` (“${said}” means the same)` : '';
    return [[...new Set(reasons)].join(' and ') + asOther];
  })[0];
  return [meaning && meaningWords(shop, meaning.what), words].filter(Boolean).join('; ');
}

/**
 * How a search is read, and why each of the first `count` goods that it finds is where it is: the same points as the listing
 * puts them in order by. One search for each part of the query.
 */
export function whyFound(shop: Shop, q: string, count: number): WhyFoundAnswer {
  const { index } = shop;
  const query = understand(shop, q, FILL_TO);
  const last = index.posting(LAST, 'yes');
  const result = list(index, {
    base: shop.listed,
    text: query,
    texts: shop.texts,
    sort: 'match',
    tieOrder: 'worth',
    offset: 0,
    limit: count,
    last,
  });
  const { parts } = query;
  const kept = parts.map((part) => !result.dropped.includes(part.typed));
  const points = parts.map((part) => pointsOf(shop, part, result.slots));
  const goods = result.slots.map((slot, i) => {
    const product = shop.products.get(index.id(slot))!;
    const texts = textsOf(product, plainText(product.description), wordsBeside(product, shop));
    const own = points.map((all) => all[i]!);
    const lacks = own.findIndex((each, at) => each === 0 && kept[at]);
    const sum = own.reduce((total, each) => total + each, 0);
    const titlePoints = fitOf(titleStems(shop.texts.title(slot), shop.language), query.stems);
    return {
      id: product.id,
      title: product.title,
      points: (lacks < 0 ? sum : lacking(sum, parts[lacks]!.isHead === true)) + titlePoints,
      parts: parts.flatMap((part, at) =>
        kept[at]
          ? { typed: part.typed, points: own[at]!, because: own[at]! > 0 ? partReason(shop, part, slot, texts) : '' }
          : [],
      ),
      titlePoints,
      isLast: last?.has(slot) ?? false,
    };
  });
  return {
    read: parts.map((part, at) => ({
      typed: part.typed,
      meant: [...new Set(part.meanings.map(({ what }) => meaningWords(shop, what)))],
      others: part.others.map((way) => way.map(({ text }) => text).join(' ')),
      isDropped: !kept[at],
    })),
    total: result.total,
    full: result.full,
    goods,
  };
}

/** What one part of a query counts for each of some slots; 0 where it is not met. */
function pointsOf(shop: Shop, part: QueryPart, slots: readonly number[]): number[] {
  const { index } = shop;
  const alone: TextQuery = { parts: [part], mayDrop: false, stems: [] };
  index.scratch.reset();
  const match = shop.texts.index.search(alone, index.alive.size, index.scratch);
  return slots.map((slot) => (match?.hits.has(slot) ? match.scores[slot]! : 0));
}
