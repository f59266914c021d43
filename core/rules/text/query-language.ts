import { fold } from '../../shared/fold';
import { namedLike } from '../../shared/same-name';
import { parseMoney } from '../../shared/money';
import { operatorsFor, operatorWords, type FieldNames, type FieldWords } from '../field';
import {
  MAX_RULE_DEPTH,
  type Condition,
  type Operator,
  type Rule,
  type RuleNode,
  type VariantGroup,
} from '../../model/rule';
import { quotedIfNeeded } from './sentence';

/**
 * Rules as words: what `sentenceOf` writes can be typed, and means the same. See docs/typing-rules.md. The words of an
 * operator are those of the sentence and a few shorter ones.
 */
const shorterWords: Partial<Record<Operator, readonly string[]>> = {
  below: ['below', 'under', 'less than', '<'],
  atMost: ['at most', 'up to', '<=', '≤'],
  equals: ['exactly', 'is', '='],
  atLeast: ['at least', 'from', '>=', '≥'],
  above: ['above', 'over', 'more than', '>'],
  between: ['between'],
  anyOf: ['=', ':'],
  contains: ['has', ':'],
};

/** What "not" makes of a comparison. */
const opposites: Partial<Record<Operator, Operator>> = { yes: 'no', anyOf: 'noneOf', filled: 'empty', empty: 'filled' };

/** What could be typed next, where the reading stopped. */
interface Expected {
  what: 'field' | 'operator' | 'value' | 'number' | 'words' | 'joint';
  /** where it would begin */
  at: number;
  field?: FieldWords;
  /** where the comparison of the field begins, which may be half typed itself: "is b" */
  comparisonAt?: number;
}

export type ReadRule = { node: RuleNode } | { expected: Expected };

class Stop extends Error {
  constructor(readonly expected: Expected) {
    super();
  }
}

/** Reads words as a rule, such as "price is below 25 and (tag is indoor or on sale)". O(words × fields). */
export function readRule(text: string, fields: FieldNames): ReadRule {
  const reader = new Reader(text, fields);
  try {
    const node = reader.either();
    reader.end();
    return { node };
  } catch (stop) {
    if (stop instanceof Stop) return { expected: reader.furthest ?? stop.expected };
    throw stop;
  }
}

class Reader {
  at = 0;
  /** the expectation that came furthest: more telling than that of the branch tried last */
  furthest: Expected | undefined;
  #comparisonAt: number | undefined;
  /** brackets that are open, and negations of negations */
  #depth = 0;

  constructor(
    readonly text: string,
    readonly fields: FieldNames,
  ) {}

  either(): RuleNode {
    return this.#joined('any', ['or'], () => this.#all());
  }

  end(): void {
    this.#space();
    if (this.at < this.text.length) this.#stop('joint');
  }

  #all(): RuleNode {
    return this.#joined('all', ['and', ','], () => this.#part());
  }

  #joined(match: 'all' | 'any', joints: readonly string[], part: () => RuleNode): RuleNode {
    const parts = [part()];
    while (joints.some((joint) => this.#take(joint))) parts.push(part());
    return parts.length === 1 ? parts[0]! : { match, of: parts as Rule['of'] };
  }

  #part(): RuleNode {
    for (const [words, variants] of [
      ['one variant has', 'some'],
      ['every variant has', 'every'],
    ] as const)
      if (this.#take(words)) return this.#onVariants(variants);
    if (this.#take('none of')) {
      const of = this.#bracketed();
      return { match: 'none', of: 'match' in of && of.match === 'any' && !('variants' in of) ? of.of : [of] };
    }
    if (this.#take('not')) {
      const isBracketed = this.#peek('(');
      if (++this.#depth > MAX_RULE_DEPTH) this.#stop('field');
      const of = this.#part();
      this.#depth--;
      const is = 'field' in of && !isBracketed ? opposites[of.is] : undefined;
      return is ? { ...(of as Condition), is } : { match: 'none', of: [of] };
    }
    return this.#peek('(') ? this.#bracketed() : this.#condition();
  }

  #bracketed(): RuleNode {
    if (!this.#take('(') || ++this.#depth > MAX_RULE_DEPTH) this.#stop('field');
    const node = this.either();
    this.#depth--;
    if (!this.#take(')')) this.#stop('joint');
    return node;
  }

  #onVariants(variants: VariantGroup['variants']): VariantGroup {
    const start = this.at;
    const inside = this.#bracketed();
    const group: Rule = 'match' in inside && !('variants' in inside) ? inside : { match: 'all', of: [inside] };
    const of = group.of.filter((node): node is Condition => 'field' in node);
    if (of.length < group.of.length) {
      this.at = start;
      this.#stop('field');
    }
    return { variants, match: group.match, of };
  }

  #condition(): Condition {
    const field = this.#longest([...this.fields.values()], ({ label }) => label);
    if (!field) return this.#stop('field');
    if (field.type === 'yesNo') return { field: field.key, is: 'yes', value: null };
    const operators = operatorsFor(field).flatMap((is) =>
      [operatorWords[is], ...(shorterWords[is] ?? [])].map((words) => ({ is, words })),
    );
    this.#space();
    this.#comparisonAt = this.at;
    const operator = this.#longest(operators, ({ words }) => words);
    if (!operator) return this.#stop('operator', field);
    return { field: field.key, is: operator.is, value: this.#value(field, operator.is) };
  }

  #value(field: FieldWords, is: Operator): Condition['value'] {
    if (is === 'filled' || is === 'empty') return null;
    if (field.type === 'choice') return this.#choices(field);
    if (field.type === 'text') return this.#words(field);
    if (is === 'inLast') {
      const days = this.#match(/\d{1,5}/y) ?? this.#stop('number', field);
      if (!this.#take('days')) this.#take('day');
      return Number(days);
    }
    const first = this.#number(field);
    if (is !== 'between') return first;
    if (!['and', 'to', '–', '-'].some((joint) => this.#take(joint))) this.#stop('number', field);
    return [first, this.#number(field)];
  }

  #choices(field: FieldWords): string[] {
    const one = () =>
      this.#quoted((name) => namedLike([...field.choices!], ([, label]) => label, name)?.[0]) ??
      this.#longest([...field.choices!], ([, label]) => label)?.[0];
    const chosen = [one() ?? this.#stop('value', field)];
    for (;;) {
      const before = this.at;
      if (!this.#take('or')) return chosen;
      const next = one();
      if (next === undefined) {
        // What follows is another condition, or a value still being typed.
        this.#expect({ what: 'value', at: this.at, field });
        this.at = before;
        return chosen;
      }
      chosen.push(next);
    }
  }

  #words(field: FieldWords): string {
    const quoted = this.#quoted((words) => words);
    if (quoted !== undefined) return quoted;
    const bare = this.#match(/(?:(?!\s+(?:and|or)\s)[^,()“”"])+/iy)?.trim();
    return bare || this.#stop('words', field);
  }

  #number(field: FieldWords): number {
    if (field.type === 'date') {
      const day = this.#match(/\d{4}-\d\d-\d\d/y);
      const seconds = day === undefined ? NaN : Date.parse(day) / 1000;
      return Number.isNaN(seconds) ? this.#stop('number', field) : seconds;
    }
    const sign = this.#match(/[-−]/y) === undefined ? 1 : -1;
    if (field.type === 'money') this.#match(/[^\s\d(),.]{1,4}\s*(?=\d)/y);
    const digits = this.#match(/\d+(?:[.,]\d+)*/y) ?? this.#stop('number', field);
    const read =
      field.type === 'money' ? parseMoney(digits) : Number(digits.replace(',', '.')) * (field.unit?.parts ?? 1);
    if (read === undefined || Number.isNaN(read)) {
      this.at -= digits.length;
      return this.#stop('number', field);
    }
    if (field.unit?.words) this.#take(field.unit.words);
    return sign * Math.round(read);
  }

  /** The longest of these whose words stand here. */
  #longest<T>(items: readonly T[], words: (item: T) => string): T | undefined {
    this.#space();
    let best: T | undefined;
    let length = 0;
    for (const item of items) {
      const each = words(item);
      if (each.length > length && this.#standsHere(each)) {
        best = item;
        length = each.length;
      }
    }
    this.at += length;
    return best;
  }

  #standsHere(words: string): boolean {
    const there = this.text.slice(this.at, this.at + words.length);
    if (there.length < words.length || fold(there) !== fold(words)) return false;
    const isWord = (letter: string | undefined) => letter !== undefined && /[\p{L}\p{N}]/u.test(letter);
    return !isWord(words.at(-1)) || !isWord(this.text[this.at + words.length]);
  }

  #quoted<T>(read: (inside: string) => T | undefined): T | undefined {
    this.#space();
    const before = this.at;
    const match = this.#match(/“[^”]*”|"[^"]*"/y);
    const found = match === undefined ? undefined : read(match.slice(1, -1));
    if (found === undefined) this.at = before;
    return found;
  }

  #match(pattern: RegExp): string | undefined {
    this.#space();
    pattern.lastIndex = this.at;
    const match = pattern.exec(this.text)?.[0];
    if (match !== undefined) this.at += match.length;
    return match;
  }

  #peek(words: string): boolean {
    this.#space();
    return this.#standsHere(words);
  }

  #take(words: string): boolean {
    if (!this.#peek(words)) return false;
    this.at += words.length;
    return true;
  }

  #space(): void {
    while (/\s/.test(this.text[this.at] ?? '')) this.at++;
  }

  #expect(expected: Expected): void {
    if (!this.furthest || expected.at > this.furthest.at) this.furthest = expected;
  }

  #stop(what: Expected['what'], field?: FieldWords): never {
    this.#space();
    const expected = { what, at: this.at, field, comparisonAt: field && this.#comparisonAt };
    this.#expect(expected);
    throw new Stop(expected);
  }
}

export interface Completion {
  /** the whole text with it */
  text: string;
  words: string;
}

/** What the text could go on with, the nearest first: fields, comparisons, values. At most `limit`. */
export function completions(text: string, fields: FieldNames, limit = 8): Completion[] {
  const read = readRule(text, fields);
  if ('node' in read) return [];
  const { what, at, field, comparisonAt = at } = read.expected;
  if (field && what !== 'operator') {
    const half = fold(text.slice(comparisonAt)).trimStart();
    const longer = operatorsFor(field)
      .map((is) => operatorWords[is])
      .filter((words) => half.trim() !== '' && words.startsWith(half) && words !== half);
    if (longer.length > 0) return longer.map((words) => ({ text: text.slice(0, comparisonAt) + words, words }));
  }
  const typed = fold(text.slice(at)).trim();
  const before = text.slice(0, at);
  const candidates =
    what === 'field'
      ? [...fields.values()].map(({ label }) => label)
      : what === 'operator'
        ? operatorsFor(field!).map((is) => operatorWords[is])
        : what === 'value'
          ? [...field!.choices!.values()].map(quotedIfNeeded)
          : [];
  const starts = candidates.filter((words) => fold(words).startsWith(typed));
  const holds = candidates.filter((words) => !starts.includes(words) && fold(words).includes(typed));
  const space = before === '' || /[\s(]$/.test(before) ? '' : ' ';
  return [...starts, ...(typed.length > 1 ? holds : [])]
    .slice(0, limit)
    .map((words) => ({ text: `${before}${space}${words}`, words }));
}

export interface Typed {
  /** words to search for */
  text: string;
  /** the condition, or conditions, that were typed */
  node?: RuleNode;
  /** a condition that is not finished yet, with where it begins */
  pending?: { from: number; expected: Expected };
}

/**
 * What was typed into a field that both searches and narrows: words first, then, after a comma or at once, conditions.
 * "delta, price below 50" searches for delta among what costs less than 50.
 */
export function readTyped(typed: string, fields: FieldNames): Typed {
  const begins = [0, ...[...typed.matchAll(/,/g)].map(({ index }) => index + 1)];
  for (const from of begins) {
    const part = typed.slice(from);
    if (part.trim() === '') continue;
    const read = readRule(part.replace(/,\s*$/, ''), fields);
    const text = typed.slice(0, from).replace(/[\s,]+$/, '');
    if ('node' in read) return { text, node: read.node };
    const { what, at, field } = read.expected;
    // The name of a field and a space after it: a condition begins. The name alone may be a word to search for.
    if (
      (field ?? what !== 'field') &&
      /\s$|\s\S+$/.test(part.slice(0, Math.max(at, part.trimEnd().length + 1))) &&
      at > 0
    )
      return { text, pending: { from, expected: read.expected } };
  }
  return { text: typed.trim() };
}
