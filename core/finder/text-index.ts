import type { Bitset } from './bitset';
import { IdLists } from './id-lists';
import type { Scratch } from './scratch';
import { MIN_SLIP_LENGTH, oneSlip, queryWords, wordsOf } from './words';

/** How much a hit counts: the whole word, its beginning, or its beginning with one slip. */
export const CLOSENESS = { exact: 10, prefix: 6, slip: 3 } as const;
const MAX_WEIGHT = 255;

interface Term {
  word: string;
  /** slots in rising order, and the weight of the word in each; unused while there is only one */
  slots: Uint32Array;
  weights: Uint8Array;
  length: number;
  /** Many words, such as SKUs, stand in one product only: those spare themselves the arrays. */
  onlySlot: number;
  onlyWeight: number;
}

const NO_SLOTS = new Uint32Array(0);
const NO_WEIGHTS = new Uint8Array(0);

export interface WeightedText {
  text: string;
  weight: number;
}

export interface TextMatch {
  hits: Bitset;
  /** slot → score; valid for the slots in `hits`, until the next search */
  scores: Uint32Array;
}

/** Length and first three letters of a word in one number, 8 bits each. */
function headOf(word: string): number {
  const letter = (i: number) => (i < word.length ? word.charCodeAt(i) & 0xff : 0);
  return ((Math.min(word.length, 255) << 24) | (letter(0) << 16) | (letter(1) << 8) | letter(2)) >>> 0;
}

/**
 * False when no slip can lead from the typed word to a word with this head. Follows `oneSlip` at the first letter that
 * differs: after a slip, a later letter must agree with its neighbour or its counterpart.
 */
function maySlip(typed: number, head: number): boolean {
  if (head >>> 24 < (typed >>> 24) - 1) return false;
  const t0 = (typed >>> 16) & 0xff;
  const t1 = (typed >>> 8) & 0xff;
  const t2 = typed & 0xff;
  const h0 = (head >>> 16) & 0xff;
  const h1 = (head >>> 8) & 0xff;
  const h2 = head & 0xff;
  if (h0 !== t0) return h0 === t1 || h1 === t1 || h1 === t0;
  if (h1 !== t1) return h1 === t2 || h2 === t2 || h2 === t1;
  return true;
}

/** Words → the slots they stand in. Every word of a query must be met: exactly, as a beginning, or else with one slip. */
export class TextIndex {
  #vocabulary: string[] = [];
  /** beginnings and lengths of the vocabulary: looking for slips reads these, and few of the words */
  #heads = new Uint32Array(0);
  #sorted = true;
  readonly #terms = new Map<string, number>();
  readonly #byId: (Term | undefined)[] = [];
  readonly #freeIds: number[] = [];
  readonly #termsOf = new IdLists();
  #scores = new Uint32Array(0);
  #best = new Uint32Array(0);

  get wordCount(): number {
    return this.#terms.size;
  }

  get bytes(): number {
    let bytes = this.#termsOf.bytes + this.#heads.byteLength + this.#scores.byteLength + this.#best.byteLength;
    for (const term of this.#byId) if (term) bytes += term.slots.byteLength + term.weights.byteLength;
    return bytes;
  }

  /** New words are from now on appended, and put in place by the next search or single change. For filling an index. */
  deferSorting(): void {
    this.#sorted = false;
  }

  /** Makes these the texts of a slot. Words that it had before with the same weight are not touched. */
  set(slot: number, texts: readonly WeightedText[]): void {
    const weights = new Map<string, number>();
    for (const { text, weight } of texts)
      for (const word of wordsOf(text)) weights.set(word, Math.min(MAX_WEIGHT, (weights.get(word) ?? 0) + weight));
    const before = this.#termsOf.get(slot).slice();
    const ids: number[] = [];
    for (const [word, weight] of weights) {
      const id = this.#terms.get(word) ?? this.#newTerm(word);
      setPosting(this.#byId[id]!, slot, weight);
      ids.push(id);
    }
    this.#termsOf.set(slot, ids);
    if (before.length === 0) return;
    const kept = new Set(ids);
    for (const id of before) if (!kept.has(id)) this.#forget(id, slot);
  }

  remove(slot: number): void {
    for (const id of this.#termsOf.get(slot)) this.#forget(id, slot);
    this.#termsOf.set(slot, []);
  }

  /** The slots that meet every word of `query`; undefined when the query holds no word. `size`: number of slots. */
  search(query: string, size: number, scratch: Scratch): TextMatch | undefined {
    const words = queryWords(query);
    if (words.length === 0) return undefined;
    this.#sort();
    if (this.#scores.length < size) {
      this.#scores = new Uint32Array(size);
      this.#best = new Uint32Array(size);
    }
    const hits = scratch.take(size);
    const scores = this.#scores;
    this.#collect(words[0]!, hits, scores);
    const reached = scratch.take(size);
    const best = this.#best;
    for (const word of words.slice(1)) {
      reached.clear();
      this.#collect(word, reached, best);
      hits.and(reached);
      hits.forEach((slot) => (scores[slot]! += best[slot]!));
    }
    return { hits, scores };
  }

  /** Adds the slots that meet one word to `reached`, and its best score in each to `best`. */
  #collect(word: string, reached: Bitset, best: Uint32Array): void {
    const bits = reached.words;
    for (const [term, closeness] of this.#reach(word)) {
      const { slots, weights, length } = term;
      const isOne = length === 1;
      for (let k = 0; k < length; k++) {
        const slot = isOne ? term.onlySlot : slots[k]!;
        const score = (isOne ? term.onlyWeight : weights[k]!) * closeness;
        const bit = 1 << (slot & 31);
        if ((bits[slot >>> 5]! & bit) === 0) {
          bits[slot >>> 5]! |= bit;
          best[slot] = score;
        } else if (score > best[slot]!) best[slot] = score;
      }
    }
  }

  *#reach(word: string): Generator<[Term, number]> {
    const vocabulary = this.#vocabulary;
    let found = false;
    for (let i = this.#placeOf(word); i < vocabulary.length && vocabulary[i]!.startsWith(word); i++) {
      found = true;
      yield [this.#term(vocabulary[i]!), vocabulary[i] === word ? CLOSENESS.exact : CLOSENESS.prefix];
    }
    if (found || word.length < MIN_SLIP_LENGTH) return;
    const typed = headOf(word);
    const heads = this.#heads;
    for (let i = 0; i < vocabulary.length; i++) {
      if (!maySlip(typed, heads[i]!)) continue;
      const other = vocabulary[i]!;
      if (oneSlip(word, other)) yield [this.#term(other), CLOSENESS.slip];
    }
  }

  #term(word: string): Term {
    return this.#byId[this.#terms.get(word)!]!;
  }

  #newTerm(word: string): number {
    const id = this.#freeIds.pop() ?? this.#byId.length;
    this.#byId[id] = { word, slots: NO_SLOTS, weights: NO_WEIGHTS, length: 0, onlySlot: 0, onlyWeight: 0 };
    this.#terms.set(word, id);
    if (this.#sorted) {
      const place = this.#placeOf(word);
      this.#vocabulary.splice(place, 0, word);
      if (this.#vocabulary.length > this.#heads.length) this.#growHeads();
      this.#heads.copyWithin(place + 1, place, this.#vocabulary.length - 1);
      this.#heads[place] = headOf(word);
    } else this.#vocabulary.push(word);
    return id;
  }

  #forget(id: number, slot: number): void {
    const term = this.#byId[id]!;
    removePosting(term, slot);
    if (term.length === 0) this.#dropTerm(id, term.word);
  }

  #dropTerm(id: number, word: string): void {
    this.#byId[id] = undefined;
    this.#freeIds.push(id);
    this.#terms.delete(word);
    this.#sort();
    const place = this.#placeOf(word);
    this.#vocabulary.splice(place, 1);
    this.#heads.copyWithin(place, place + 1, this.#vocabulary.length + 1);
  }

  #sort(): void {
    if (this.#sorted) return;
    this.#vocabulary.sort((a, b) => (a < b ? -1 : 1));
    this.#heads = Uint32Array.from(this.#vocabulary, headOf);
    this.#sorted = true;
  }

  #growHeads(): void {
    const next = new Uint32Array(Math.ceil(this.#vocabulary.length * 1.2) + 64);
    next.set(this.#heads);
    this.#heads = next;
  }

  #placeOf(word: string): number {
    let low = 0;
    let high = this.#vocabulary.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (this.#vocabulary[middle]! < word) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}

function postingPlace(term: Term, slot: number): number {
  let low = 0;
  let high = term.length;
  if (high > 0 && term.slots[high - 1]! < slot) return high;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (term.slots[middle]! < slot) low = middle + 1;
    else high = middle;
  }
  return low;
}

function setPosting(term: Term, slot: number, weight: number): void {
  if (term.length === 0 || (term.length === 1 && term.onlySlot === slot)) {
    term.length = 1;
    term.onlySlot = slot;
    term.onlyWeight = weight;
    return;
  }
  if (term.length === 1) writeOut(term);
  const place = postingPlace(term, slot);
  if (place < term.length && term.slots[place] === slot) {
    term.weights[place] = weight;
    return;
  }
  if (term.length === term.slots.length) grow(term, Math.ceil(term.length * 1.25) + 2);
  term.slots.copyWithin(place + 1, place, term.length);
  term.weights.copyWithin(place + 1, place, term.length);
  term.slots[place] = slot;
  term.weights[place] = weight;
  term.length++;
}

/** Puts the only posting into the arrays, since another comes. */
function writeOut(term: Term): void {
  if (term.slots.length === 0) grow(term, 4);
  term.slots[0] = term.onlySlot;
  term.weights[0] = term.onlyWeight;
}

function grow(term: Term, room: number): void {
  const slots = new Uint32Array(room);
  slots.set(term.slots);
  const weights = new Uint8Array(room);
  weights.set(term.weights);
  term.slots = slots;
  term.weights = weights;
}

function removePosting(term: Term, slot: number): void {
  if (term.length > 1) {
    const place = postingPlace(term, slot);
    term.slots.copyWithin(place, place + 1, term.length);
    term.weights.copyWithin(place, place + 1, term.length);
  }
  term.length--;
  if (term.length !== 1) return;
  term.onlySlot = term.slots[0]!;
  term.onlyWeight = term.weights[0]!;
}
