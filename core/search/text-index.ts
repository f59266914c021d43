import type { Bitset } from './bitset';
import { IdLists } from './id-lists';
import type { Scratch } from './scratch';
import type { TextState } from './state';
import { Vocabulary } from './vocabulary';
import { Synonyms } from './synonyms';
import { plainQuery, type Language, type QueryPart, type QueryWord, type TextQuery } from './text-query';
import { queryWords, visitWords, type WordVisitor } from './words';

/** How much a hit counts: the whole word, another form of it, its beginning, or its beginning with one slip. */
export const CLOSENESS = { exact: 10, form: 8, prefix: 6, slip: 3 } as const;
const MAX_WEIGHT = 255;
/** What lacks one part of a query counts so much less; more so where that is what the query is about. */
const WITHOUT_ONE = 0.75;
const WITHOUT_HEAD = 0.45;

/** What is left of a score where one part of the query is lacking. */
export const lacking = (score: number, isHead: boolean): number =>
  Math.floor(score * (isHead ? WITHOUT_HEAD : WITHOUT_ONE));

/** Shortest word that is looked for at the end of others, and fewest letters that stand before it there. */
const MIN_TAIL = 4;
const MIN_BEFORE = 3;
const MOST_COMPOUNDS = 200;

export interface WeightedText {
  /** a text; or several that stand in many products, such as names of tags, which filling an index reads once each */
  text: string | readonly string[];
  weight: number;
}

export interface TextMatch {
  hits: Bitset;
  /** slot → score; valid for the slots in `hits`, until the next search */
  scores: Uint32Array;
  /** parts of the query that were left out, as they were typed, so that something is found */
  dropped: string[];
  /** those of the hits that have all parts but the ones left out; absent where all hits do */
  full?: Bitset;
}

/** Where a word stands, and with what weight, in one number: slot × 256 + weight. */
const posting = (slot: number, weight: number) => ((slot << 8) | weight) >>> 0;

/** Words → the slots they stand in. Every word of a query must be met: exactly, as a beginning, or else with one slip. */
export class TextIndex {
  /** other ways to say what is searched for */
  synonyms = new Synonyms();
  /** whose forms of words count as one; word for word where there is none */
  language: Language | undefined;
  #vocabulary = new Vocabulary();
  /** number of postings by term id */
  #counts = new Uint32Array(256);
  /** Many words, such as SKUs, stand in one product only: their posting is here, and spares itself a list; 0 for others. */
  #only = new Uint32Array(256);
  /** postings in rising order, of the words that have two or more */
  readonly #lists: (Uint32Array | undefined)[] = [];
  /** term ids of a slot, packed into bytes */
  #termsOf = new IdLists(8);
  /** scores by slot: of what is found, and of each part of a query */
  readonly #rooms: Uint32Array[] = [];
  /** by word: the words that end in it */
  readonly #compounds = new Map<string, string[]>();
  /** the words of the text being read: their ids, and by id their weight, which is 0 for all others */
  #met = new Uint32Array(256);
  #metCount = 0;
  #weightOf = new Uint8Array(256);
  #weight = 0;
  /** while filling: the words of texts that come again and again */
  #known: Map<string, Uint32Array> | undefined;
  #packed = new Uint8Array(1024);

  get wordCount(): number {
    return this.#vocabulary.size;
  }

  get bytes(): number {
    let bytes = this.#vocabulary.bytes + this.#termsOf.bytes;
    for (const room of this.#rooms) bytes += room.byteLength;
    bytes += this.#counts.byteLength + this.#only.byteLength + this.#weightOf.byteLength;
    for (const list of this.#lists) if (list) bytes += list.byteLength;
    return bytes;
  }

  static of(
    { vocabulary, counts, only, postings, termsOf }: TextState,
    synonyms = new Synonyms(),
    language?: Language,
  ): TextIndex {
    const text = new TextIndex();
    text.synonyms = synonyms;
    text.language = language;
    text.#vocabulary = Vocabulary.of(vocabulary);
    text.#counts = counts;
    text.#only = only;
    text.#weightOf = new Uint8Array(counts.length);
    text.#termsOf = IdLists.of(termsOf);
    for (let id = 0, from = 0; id < text.#vocabulary.end; id++) {
      const count = counts[id]! > 1 ? counts[id]! : 0;
      text.#lists.push(count > 0 ? postings.slice(from, from + count) : undefined);
      from += count;
    }
    return text;
  }

  state(): TextState {
    const counts = this.#counts;
    let total = 0;
    this.#lists.forEach((list, id) => (total += list ? counts[id]! : 0));
    const postings = new Uint32Array(total);
    let end = 0;
    this.#lists.forEach((list, id) => {
      if (!list) return;
      postings.set(list.subarray(0, counts[id]), end);
      end += counts[id]!;
    });
    return {
      vocabulary: this.#vocabulary.state(),
      counts: counts.slice(),
      only: this.#only.slice(),
      postings,
      termsOf: this.#termsOf.state(),
    };
  }

  /** Fills an empty index with the texts of the slots 0 to `count`−1. Linear, but for putting the words in order. */
  load(count: number, textsOf: (slot: number) => readonly WeightedText[]): void {
    this.#known = new Map();
    let ids = new Uint32Array(count * 64 + 64);
    let weights = new Uint8Array(ids.length);
    const ends = new Uint32Array(count);
    let end = 0;
    this.#vocabulary.whileFilling(() => {
      for (let slot = 0; slot < count; slot++) {
        this.#read(textsOf(slot));
        if (end + this.#metCount > ids.length) {
          ids = resized(ids, Math.ceil((end + this.#metCount) * 1.4));
          weights = resizedBytes(weights, ids.length);
        }
        for (let i = 0; i < this.#metCount; i++) {
          const id = this.#met[i]!;
          ids[end] = id;
          weights[end++] = this.#weightOf[id]!;
          this.#counts[id]!++;
        }
        ends[slot] = end;
        this.#keepTerms(slot);
        this.#forgetRead();
      }
    });
    this.#known = undefined;
    this.#fillLists(ids, weights, ends);
    this.#termsOf.trim(count);
    this.#resizeTerms(this.#vocabulary.end);
  }

  /** Now that it is known how often each word stands, its list is made at its full length, and filled. */
  #fillLists(ids: Uint32Array, weights: Uint8Array, ends: Uint32Array): void {
    const counts = this.#counts;
    const only = this.#only;
    const filled = new Uint32Array(this.#vocabulary.end);
    const lists = this.#lists;
    for (let id = 0; id < filled.length; id++) lists[id] = counts[id]! > 1 ? new Uint32Array(counts[id]!) : undefined;
    for (let slot = 0, at = 0; slot < ends.length; slot++)
      for (; at < ends[slot]!; at++) {
        const id = ids[at]!;
        const found = posting(slot, weights[at]!);
        const list = lists[id];
        if (list) list[filled[id]!++] = found;
        else only[id] = found;
      }
  }

  /** Makes these the texts of a slot. Words that it had before with the same weight are not touched. */
  set(slot: number, texts: readonly WeightedText[]): void {
    this.#compounds.clear();
    const before = this.#termIds(slot);
    this.#read(texts);
    for (let i = 0; i < this.#metCount; i++) {
      const id = this.#met[i]!;
      this.#setPosting(id, slot, this.#weightOf[id]!);
    }
    for (const id of before) if (this.#weightOf[id] === 0) this.#removePosting(id, slot);
    this.#keepTerms(slot);
    this.#forgetRead();
  }

  remove(slot: number): void {
    this.#compounds.clear();
    for (const id of this.#termIds(slot)) this.#removePosting(id, slot);
    this.#termsOf.set(slot, []);
  }

  /**
   * Words of the texts that are one word with this at their end, the commonest first; none in languages that write words
   * apart. O(words), once until a text changes.
   */
  compoundsOf(word: string, most: number): string[] {
    const { language } = this;
    if (!language?.links || word.length < MIN_TAIL) return [];
    let found = this.#compounds.get(word);
    if (!found) {
      const words = this.#vocabulary.endings(word, language.stem(word), language.stem, MIN_BEFORE);
      if (this.#compounds.size >= MOST_COMPOUNDS) this.#compounds.clear();
      this.#compounds.set(
        word,
        (found = words.sort((a, b) => this.#countOf(b) - this.#countOf(a) || (a < b ? -1 : 1))),
      );
    }
    return found.slice(0, most);
  }

  #countOf(word: string): number {
    const { ids, isExact } = this.#vocabulary.reach(word);
    return isExact ? this.#counts[ids[0]!]! : 0;
  }

  /** Is there a word in a query, and not only signs? */
  holdsWords(query: string): boolean {
    return queryWords(query).length > 0;
  }

  /** The word that was meant by one that no text holds and none begins with: the commonest that one slip leads to. */
  correct(typed: string): string | undefined {
    const { ids, isSlip } = this.#vocabulary.reach(typed);
    if (!isSlip) return undefined;
    let best: string | undefined;
    let most = 0;
    for (const id of ids) {
      const word = this.#vocabulary.word(id);
      if (word.length > typed.length + 1 || this.#counts[id]! <= most) continue;
      best = word;
      most = this.#counts[id]!;
    }
    return best;
  }

  /** Longer words that begin with a typed one, the commonest first. Cost: the words that do. */
  completions(typed: string, count: number): string[] {
    const { ids, isSlip } = this.#vocabulary.reach(typed);
    if (isSlip) return [];
    return Array.from(ids, (id) => ({ word: this.#vocabulary.word(id), count: this.#counts[id]! }))
      .filter(({ word }) => word.length > typed.length && !/\d/.test(word))
      .sort((a, b) => b.count - a.count || (a.word < b.word ? -1 : 1))
      .slice(0, count)
      .map(({ word }) => word);
  }

  /** Does some text hold the word, or another form of it? */
  knows(word: string): boolean {
    return (
      this.#vocabulary.holds(word) ||
      this.#formsOf({ text: word, stem: this.language?.stem(word), isFinished: true }).length > 0
    );
  }

  /**
   * The slots that meet every part of `query`; undefined when the query holds no word. Where no slot does and parts may be
   * left out, those go that nothing meets, then one after the other the least telling, which most slots meet. `size`: number
   * of slots.
   */
  search(query: string | TextQuery, size: number, scratch: Scratch): TextMatch | undefined {
    const { parts, mayDrop, fillTo = 0 } = typeof query === 'string' ? plainQuery(query, this.synonyms) : query;
    const [first, ...others] = parts;
    if (!first) return undefined;
    const room = (at: number) => {
      let scores = this.#rooms[at];
      if (!scores || scores.length < size) this.#rooms[at] = scores = new Uint32Array(size);
      return scores;
    };
    const scores = room(0);
    const hits = scratch.take(size);
    this.#collectPart(first, hits, scores, scratch);
    if (!mayDrop) {
      const reached = scratch.take(size);
      const best = room(1);
      for (const part of others) {
        reached.clear();
        this.#collectPart(part, reached, best, scratch);
        hits.and(reached);
        hits.forEach((slot) => (scores[slot]! += best[slot]!));
      }
      return { hits, scores, dropped: [] };
    }
    // Each part in a room of its own: which of them are left out is known only when all are there.
    const met = [{ part: first, reached: hits, best: scores, count: hits.count() }];
    others.forEach((part, i) => {
      const reached = scratch.take(size);
      const best = room(i + 1);
      this.#collectPart(part, reached, best, scratch);
      met.push({ part, reached, best, count: reached.count() });
    });
    const dropped = new Set(met.filter(({ count }) => count === 0));
    const all = scratch.take(size);
    for (;;) {
      const left = met.filter((each) => !dropped.has(each));
      if (left.length === 0) break;
      all.clear().or(left[0]!.reached);
      for (const { reached } of left.slice(1)) all.and(reached);
      if (left.length === 1 || all.count() > 0) break;
      dropped.add(left.reduce((least, each) => (each.count > least.count ? each : least)));
    }
    const sums = room(parts.length);
    const sumOf = (slot: number) => {
      let sum = 0;
      for (const { reached, best } of met) if (reached.has(slot)) sum += best[slot]!;
      return sum;
    };
    const found = { scores: sums, dropped: met.filter((each) => dropped.has(each)).map(({ part }) => part.typed) };
    const telling = met.filter(({ count }) => count > 0);
    if (telling.length < 2 || all.count() >= fillTo) {
      all.forEach((slot) => (sums[slot] = sumOf(slot)));
      return { hits: all, ...found };
    }
    const filled = scratch.copy(all);
    for (const missing of telling) {
      const some = scratch.take(size);
      const [one, ...rest] = telling.filter((each) => each !== missing);
      some.or(one!.reached);
      for (const { reached } of rest) some.and(reached);
      filled.or(some);
    }
    const head = telling.find(({ part }) => part.isHead);
    filled.forEach((slot) => {
      sums[slot] = all.has(slot) ? sumOf(slot) : lacking(sumOf(slot), !!head && !head.reached.has(slot));
    });
    return { hits: filled, full: all, ...found };
  }

  /**
   * Adds the slots that meet a part to `reached`, and its best score in each to `best`: those with all of its words, or all of
   * those of another way to say it, and those that it means, which counts beside the words.
   */
  #collectPart(
    { words, others, compounds, meanings }: QueryPart,
    reached: Bitset,
    best: Uint32Array,
    scratch: Scratch,
  ): void {
    if (words.length === 1 && others.length === 0 && compounds.length === 0) this.#collect(words[0]!, reached, best);
    else this.#collectWays(words, others, compounds, reached, best, scratch);
    if (meanings.length === 0) return;
    const meant = scratch.take(reached.size);
    for (const { set, score } of [...meanings].sort((a, b) => b.score - a.score)) {
      const fresh = scratch.copy(set).andNot(meant);
      meant.or(fresh);
      fresh.forEach((slot) => {
        best[slot] = (reached.has(slot) ? best[slot]! : 0) + score;
        reached.add(slot);
      });
    }
  }

  #collectWays(
    words: readonly QueryWord[],
    others: QueryPart['others'],
    compounds: QueryPart['compounds'],
    reached: Bitset,
    best: Uint32Array,
    scratch: Scratch,
  ): void {
    const [phrase, met] = [scratch.take(reached.size), scratch.take(reached.size)];
    // Parts like this are few, so room of their own is no matter.
    const [sums, scores] = [new Uint32Array(best.length), new Uint32Array(best.length)];
    const ways = [words, ...compounds, ...others].filter((way) => way.length > 0);
    for (const way of ways) {
      phrase.clear();
      this.#collect(way[0]!, phrase, sums);
      for (const word of way.slice(1)) {
        met.clear();
        this.#collect(word, met, scores);
        phrase.and(met);
        phrase.forEach((slot) => (sums[slot]! += scores[slot]!));
      }
      const isOther = others.includes(way);
      phrase.forEach((slot) => {
        const score = isOther ? Math.floor(sums[slot]! / (2 * way.length)) : sums[slot]!;
        if (!reached.has(slot)) {
          reached.add(slot);
          best[slot] = score;
        } else if (score > best[slot]!) best[slot] = score;
      });
    }
  }

  #formsOf({ text, stem }: QueryWord): number[] {
    const { language } = this;
    return stem === undefined || !language ? [] : this.#vocabulary.forms(text, stem, language.stem);
  }

  /** Adds the slots that meet one word to `reached`, and its best score in each to `best`. */
  #collect(word: QueryWord, reached: Bitset, best: Uint32Array): void {
    const forms = this.#formsOf(word);
    const { ids, isExact, isSlip } = this.#vocabulary.reach(word.text);
    this.#addPostings(forms, forms.length, CLOSENESS.form, reached, best);
    if (isSlip) {
      if (forms.length === 0 && !word.isSure) this.#addPostings(ids, ids.length, CLOSENESS.slip, reached, best);
      return;
    }
    if (isExact) this.#addPostings(ids, 1, CLOSENESS.exact, reached, best);
    if (word.isFinished && (isExact || forms.length > 0)) return;
    this.#addPostings(isExact ? ids.subarray(1) : ids, ids.length - Number(isExact), CLOSENESS.prefix, reached, best);
  }

  /** The same for the first `count` of some terms. */
  #addPostings(ids: ArrayLike<number>, length: number, closeness: number, reached: Bitset, best: Uint32Array): void {
    const bits = reached.words;
    const only = this.#only;
    for (let i = 0; i < length; i++) {
      const id = ids[i]!;
      const alone = only[id]!;
      // Written out twice: a beginning of one or two letters reaches tens of thousands of words that stand alone.
      if (alone !== 0) {
        const slot = alone >>> 8;
        const score = (alone & 0xff) * closeness;
        const bit = 1 << (slot & 31);
        const met = bits[slot >>> 5]!;
        if ((met & bit) === 0) bits[slot >>> 5] = met | bit;
        else if (score <= best[slot]!) continue;
        best[slot] = score;
        continue;
      }
      const list = this.#lists[id]!;
      const count = this.#counts[id]!;
      for (let k = 0; k < count; k++) {
        const found = list[k]!;
        const slot = found >>> 8;
        const score = (found & 0xff) * closeness;
        const bit = 1 << (slot & 31);
        const met = bits[slot >>> 5]!;
        if ((met & bit) === 0) bits[slot >>> 5] = met | bit;
        else if (score <= best[slot]!) continue;
        best[slot] = score;
      }
    }
  }

  /** Notes the words of these texts and their weights, until `#forgetRead`. */
  #read(texts: readonly WeightedText[]): void {
    for (const { text, weight } of texts) {
      this.#weight = weight;
      if (typeof text === 'string') visitWords(text, this.#readWord);
      else for (const each of text) this.#readAgain(each);
    }
    // In rising order, the differences between ids are small, and take fewer bytes.
    this.#met.subarray(0, this.#metCount).sort();
  }

  /** Reads a text that may be known. */
  #readAgain(text: string): void {
    const ids = this.#known?.get(text);
    if (ids) for (let i = 0; i < ids.length; i++) this.#meet(ids[i]!);
    else {
      const found: number[] = [];
      visitWords(text, (within, start, end, hash) => found.push(this.#vocabulary.idOf(within, start, end, hash)));
      for (const id of found) this.#meet(id);
      this.#known?.set(text, Uint32Array.from(found));
    }
  }

  readonly #readWord: WordVisitor = (text, start, end, hash) =>
    this.#meet(this.#vocabulary.idOf(text, start, end, hash));

  #meet(id: number): void {
    if (id >= this.#counts.length) this.#resizeTerms(Math.ceil((id + 1) * 1.3));
    const before = this.#weightOf[id]!;
    if (before === 0) {
      if (this.#metCount === this.#met.length) this.#met = resized(this.#met, this.#met.length * 2);
      this.#met[this.#metCount++] = id;
    }
    this.#weightOf[id] = Math.min(MAX_WEIGHT, before + this.#weight);
  }

  #forgetRead(): void {
    for (let i = 0; i < this.#metCount; i++) this.#weightOf[this.#met[i]!] = 0;
    this.#metCount = 0;
  }

  /**
   * Keeps the words just read as those of the slot: how far each id is above the one before, seven bits a byte, the eighth
   * says that more follow.
   */
  #keepTerms(slot: number): void {
    if (this.#packed.length < this.#metCount * 5) this.#packed = new Uint8Array(this.#metCount * 8);
    let end = 0;
    let before = 0;
    for (let i = 0; i < this.#metCount; i++) {
      let more = this.#met[i]! - before;
      before = this.#met[i]!;
      for (; more > 0x7f; more >>>= 7) this.#packed[end++] = (more & 0x7f) | 0x80;
      this.#packed[end++] = more;
    }
    this.#termsOf.set(slot, this.#packed, end);
  }

  #termIds(slot: number): number[] {
    const ids: number[] = [];
    this.#visitTerms(slot, (id) => ids.push(id));
    return ids;
  }

  #visitTerms(slot: number, visit: (id: number) => void): void {
    const { pool } = this.#termsOf;
    const start = this.#termsOf.start(slot);
    const end = start + this.#termsOf.length(slot);
    let id = 0;
    let more = 0;
    let shift = 0;
    for (let i = start; i < end; i++) {
      const byte = pool[i]!;
      more |= (byte & 0x7f) << shift;
      shift += 7;
      if (byte > 0x7f) continue;
      id += more;
      visit(id);
      more = 0;
      shift = 0;
    }
  }

  #resizeTerms(size: number): void {
    this.#counts = resized(this.#counts, size);
    this.#only = resized(this.#only, size);
    this.#weightOf = resizedBytes(this.#weightOf, size);
  }

  #setPosting(id: number, slot: number, weight: number): void {
    const count = this.#counts[id]!;
    const added = posting(slot, weight);
    if (count === 0 || (count === 1 && this.#only[id]! >>> 8 === slot)) {
      this.#only[id] = added;
      this.#counts[id] = 1;
      return;
    }
    const list = this.#lists[id] ?? Uint32Array.of(this.#only[id]!, 0, 0, 0);
    const place = placeIn(list, count, slot);
    if (place < count && list[place]! >>> 8 === slot) {
      list[place] = added;
      return;
    }
    const roomy = count < list.length ? list : resized(list, Math.ceil(count * 1.25) + 2);
    roomy.copyWithin(place + 1, place, count);
    roomy[place] = added;
    this.#lists[id] = roomy;
    this.#only[id] = 0;
    this.#counts[id] = count + 1;
  }

  #removePosting(id: number, slot: number): void {
    const list = this.#lists[id];
    const count = --this.#counts[id]!;
    if (list) {
      const place = placeIn(list, count + 1, slot);
      list.copyWithin(place, place + 1, count + 1);
      if (count === 1) {
        this.#only[id] = list[0]!;
        this.#lists[id] = undefined;
      }
    }
    if (count > 0) return;
    this.#only[id] = 0;
    this.#vocabulary.drop(id);
  }
}

/** The first place whose posting is of this slot or of a later one. */
function placeIn(list: Uint32Array, count: number, slot: number): number {
  let low = 0;
  let high = count;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (list[middle]! >>> 8 < slot) low = middle + 1;
    else high = middle;
  }
  return low;
}

function resized(array: Uint32Array, size: number): Uint32Array<ArrayBuffer> {
  const next = new Uint32Array(size);
  next.set(array.length > size ? array.subarray(0, size) : array);
  return next;
}

function resizedBytes(array: Uint8Array, size: number): Uint8Array<ArrayBuffer> {
  const next = new Uint8Array(size);
  next.set(array.length > size ? array.subarray(0, size) : array);
  return next;
}
