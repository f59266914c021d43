import { sortedByText } from './slot-sort';
import type { VocabularyState } from './state';
import { hashWith, letterAt, MIN_SLIP_LENGTH, oneSlip } from './words';

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

const FREE = 0;
/** Shorter beginnings are shared by words that have nothing to do with one another. */
const MIN_STEM = 3;
const NONE = new Uint32Array(0);

/** The terms that a typed word reaches. */
export interface Reach {
  ids: Uint32Array;
  /** the first of them is the typed word itself */
  isExact: boolean;
  /** they are met with one slip */
  isSlip: boolean;
}

/**
 * Words ↔ term ids. Words are found by a hash of their letters, so that a word which stands in the middle of a text is
 * looked up without being cut out of it; and kept in alphabetical order, for beginnings.
 */
export class Vocabulary {
  /** by term id; undefined where a word was dropped */
  #words: (string | undefined)[] = [];
  #freeIds: number[] = [];
  /** term id + 1 by hash, with linear probing */
  #table = new Uint32Array(1 << 10);
  /** term ids in the order of their words; not kept while `#sorted` is false */
  #order = new Uint32Array(0);
  /** beginnings and lengths of the words, in the same order: looking for slips reads these, and few of the words */
  #heads = new Uint32Array(0);
  #sorted = true;
  /** of the word that was looked for last, until a word comes or goes */
  #slips: { typed: string; ids: Uint32Array } | undefined;
  size = 0;

  get bytes(): number {
    return this.#table.byteLength + this.#order.byteLength + this.#heads.byteLength;
  }

  /** Term ids are below this. */
  get end(): number {
    return this.#words.length;
  }

  static of({ words, freeIds, table, order, heads }: VocabularyState): Vocabulary {
    const vocabulary = new Vocabulary();
    vocabulary.#words = words;
    vocabulary.#freeIds = freeIds;
    vocabulary.#table = table;
    vocabulary.#order = order;
    vocabulary.#heads = heads;
    vocabulary.size = words.length - freeIds.length;
    return vocabulary;
  }

  state(): VocabularyState {
    return {
      words: this.#words.slice(),
      freeIds: this.#freeIds.slice(),
      table: this.#table.slice(),
      order: this.#order.slice(),
      heads: this.#heads.slice(),
    };
  }

  /** New words are put in order when `fill` is done, all at once. */
  whileFilling(fill: () => void): void {
    this.#sorted = false;
    fill();
    this.#sort();
  }

  /** The term id of the word between two places of a text, with the hash of its letters; a new word gets an id. */
  idOf(text: string, start: number, end: number, hash: number): number {
    const table = this.#table;
    const mask = table.length - 1;
    let place = spreadHash(hash) & mask;
    for (; table[place] !== FREE; place = (place + 1) & mask)
      if (this.#isAt(table[place]! - 1, text, start, end)) return table[place]! - 1;
    return this.#add(text.slice(start, end).toLowerCase(), place);
  }

  drop(id: number): void {
    this.#slips = undefined;
    const word = this.#words[id]!;
    const at = this.#placeOf(word);
    this.#order.copyWithin(at, at + 1, this.size);
    this.#heads.copyWithin(at, at + 1, this.size);
    this.#unhash(word, id);
    this.#words[id] = undefined;
    this.#freeIds.push(id);
    this.size--;
  }

  /**
   * The terms that a typed word reaches: those it begins, itself first; when there are none and it is long enough, those
   * that begin with it but for one slip. The ids are valid until the vocabulary changes. O(log n), for slips O(n).
   */
  reach(typed: string): Reach {
    const from = this.#placeOf(typed);
    // No letter or digit stands behind this one in the order of words.
    const to = this.#placeOf(`${typed}\uffff`);
    if (to > from) return { ids: this.#order.subarray(from, to), isExact: this.#wordAt(from) === typed, isSlip: false };
    return { ids: typed.length < MIN_SLIP_LENGTH ? NONE : this.#slipsOf(typed), isExact: false, isSlip: true };
  }

  /** The terms other than the word itself that have its stem. O(log n + words that begin alike). */
  forms(typed: string, stem: string, stemOf: (word: string) => string): number[] {
    // A stem may end in another letter than its words do: "berri" for "berry".
    let shared = 0;
    while (shared < stem.length && shared < typed.length && stem[shared] === typed[shared]) shared++;
    const begin = stem.slice(0, Math.max(MIN_STEM, Math.min(shared, stem.length - (stem.endsWith('i') ? 1 : 0))));
    if (begin.length < MIN_STEM || shared < MIN_STEM) return [];
    const ids: number[] = [];
    const to = this.#placeOf(`${begin}\uffff`);
    for (let place = this.#placeOf(begin); place < to; place++) {
      const word = this.#wordAt(place);
      if (word !== typed && stemOf(word) === stem) ids.push(this.#order[place]!);
    }
    return ids;
  }

  /**
   * Longer words that end in a typed one or in another form of it, such as "lenkdrachen" for "drachen", the rest of each at
   * least so long. O(words).
   */
  endings(typed: string, stem: string, stemOf: (word: string) => string, rest: number): string[] {
    const found: string[] = [];
    const begin = stem.slice(0, Math.max(MIN_STEM, stem.length - 1));
    for (let place = 0; place < this.size; place++) {
      const word = this.#wordAt(place);
      if (word.length < stem.length + rest) continue;
      const at = word.lastIndexOf(begin);
      if (at < rest) continue;
      const tail = word.slice(at);
      if (tail === typed || stemOf(tail) === stem) found.push(word);
    }
    return found;
  }

  /** Does the word itself stand in some text? */
  holds(word: string): boolean {
    const place = this.#placeOf(word);
    return place < this.size && this.#wordAt(place) === word;
  }

  word(id: number): string {
    return this.#words[id]!;
  }

  #slipsOf(typed: string): Uint32Array {
    // A word that nothing begins with is asked for twice: what was meant by it, and where it stands.
    if (this.#slips?.typed === typed) return this.#slips.ids;
    const head = headOf(typed);
    const ids: number[] = [];
    const heads = this.#heads.subarray(0, this.size);
    for (let place = 0; place < heads.length; place++)
      if (maySlip(head, heads[place]!) && oneSlip(typed, this.#wordAt(place))) ids.push(this.#order[place]!);
    this.#slips = { typed, ids: Uint32Array.from(ids) };
    return this.#slips.ids;
  }

  #wordAt(place: number): string {
    return this.#words[this.#order[place]!]!;
  }

  #isAt(id: number, text: string, start: number, end: number): boolean {
    const word = this.#words[id]!;
    if (word.length !== end - start) return false;
    for (let i = 0; i < word.length; i++) if (word.charCodeAt(i) !== letterAt(text, start + i)) return false;
    return true;
  }

  #add(word: string, tablePlace: number): number {
    this.#slips = undefined;
    const id = this.#freeIds.pop() ?? this.#words.length;
    this.#words[id] = word;
    this.#table[tablePlace] = id + 1;
    this.size++;
    if (this.size * 2 > this.#table.length) this.#growTable();
    if (this.#sorted) this.#insert(word, id);
    return id;
  }

  #insert(word: string, id: number): void {
    if (this.size > this.#order.length) {
      this.#order = grown(this.#order, this.size);
      this.#heads = grown(this.#heads, this.size);
    }
    const place = this.#placeOf(word, this.size - 1);
    this.#order.copyWithin(place + 1, place, this.size - 1);
    this.#heads.copyWithin(place + 1, place, this.size - 1);
    this.#order[place] = id;
    this.#heads[place] = headOf(word);
  }

  #sort(): void {
    const words = this.#words.map((word) => word ?? '');
    const ids = Uint32Array.from(words.keys()).filter((id) => this.#words[id] !== undefined);
    this.#order = sortedByText(words, false, ids);
    this.#heads = this.#order.map((id) => headOf(words[id]!));
    this.#sorted = true;
  }

  #growTable(): void {
    this.#table = new Uint32Array(this.#table.length * 2);
    this.#words.forEach((word, id) => {
      if (word !== undefined) this.#table[this.#freePlace(word)] = id + 1;
    });
  }

  #freePlace(word: string): number {
    const mask = this.#table.length - 1;
    let place = spreadHash(hashOf(word)) & mask;
    while (this.#table[place] !== FREE) place = (place + 1) & mask;
    return place;
  }

  /** Takes a word out of the table, and puts those that had to step aside in place again. */
  #unhash(word: string, id: number): void {
    const table = this.#table;
    const mask = table.length - 1;
    let place = spreadHash(hashOf(word)) & mask;
    while (table[place] !== id + 1) place = (place + 1) & mask;
    table[place] = FREE;
    for (place = (place + 1) & mask; table[place] !== FREE; place = (place + 1) & mask) {
      const moved = table[place]!;
      table[place] = FREE;
      table[this.#freePlace(this.#words[moved - 1]!)] = moved;
    }
  }

  #placeOf(word: string, size = this.size): number {
    let low = 0;
    let high = size;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (this.#wordAt(middle) < word) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}

function hashOf(word: string): number {
  let hash = 0;
  for (let i = 0; i < word.length; i++) hash = hashWith(hash, word.charCodeAt(i));
  return hash;
}

/** Makes near hashes fall far apart, which linear probing needs. */
function spreadHash(hash: number): number {
  const mixed = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d);
  return (mixed ^ (mixed >>> 13)) >>> 0;
}

function grown(array: Uint32Array, size: number): Uint32Array<ArrayBuffer> {
  const next = new Uint32Array(Math.ceil(size * 1.2) + 64);
  next.set(array);
  return next;
}
