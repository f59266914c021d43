import { fold } from '../shared/fold';
import type { Field } from './field';
import type { Condition } from '../model/rule';

const DAY = 86_400;

/** The last second of the year 9999, since 1970: no day that a rule asks for lies farther away. */
export const LAST_SECOND = 253_402_300_799;
/** About a hundred years. */
export const MOST_DAYS = 36_525;

/** The numbers that a condition on a number, money or date field takes in: `low <= x <= high`, ends open if told. */
export interface Span {
  low: number;
  high: number;
  lowOpen: boolean;
  highOpen: boolean;
}

/** The span of a numeric condition at `now` (seconds since 1970); undefined when its value does not fit. */
export function spanOf(condition: Condition, now: number): Span | undefined {
  const { is, value } = condition;
  if (is === 'between') {
    if (!Array.isArray(value) || typeof value[0] !== 'number' || typeof value[1] !== 'number') return undefined;
    return { low: value[0], high: value[1], lowOpen: false, highOpen: false };
  }
  if (typeof value !== 'number') return undefined;
  const all: Span = { low: -Infinity, high: Infinity, lowOpen: false, highOpen: false };
  switch (is) {
    case 'below':
    case 'before':
      return { ...all, high: value, highOpen: true };
    case 'atMost':
      return { ...all, high: value };
    case 'equals':
      return { ...all, low: value, high: value };
    case 'atLeast':
    case 'after':
      return { ...all, low: value };
    case 'above':
      return { ...all, low: value, lowOpen: true };
    case 'inLast':
      return { ...all, low: now - value * DAY, high: now };
    default:
      return undefined;
  }
}

/** The test that a text condition makes on an already folded text. */
export function textTest(condition: Condition): (folded: string) => boolean {
  const wanted = fold(String(condition.value ?? '')).trim();
  if (wanted === '') return () => false;
  if (condition.is === 'starts') return (text) => text.startsWith(wanted);
  if (condition.is === 'equals') return (text) => text === wanted;
  return (text) => text.includes(wanted);
}

/** Is there a value at all? */
function isFilled(actual: readonly string[] | number | string | boolean): boolean {
  if (typeof actual === 'number') return !Number.isNaN(actual);
  return typeof actual === 'boolean' || actual.length > 0;
}

type Actual = ReturnType<Field['read']>;

/** The test whether a number lies in a span. */
const testOfSpan = ({ low, high, lowOpen, highOpen }: Span) =>
  lowOpen
    ? highOpen
      ? (x: number) => x > low && x < high
      : (x: number) => x > low && x <= high
    : highOpen
      ? (x: number) => x >= low && x < high
      : (x: number) => x >= low && x <= high;

/** One condition as a test of the value(s) that its field reads. What it asks for is worked out once. */
export function conditionTest(
  { type }: Pick<Field, 'type'>,
  condition: Condition,
): (actual: Actual, now: number) => boolean {
  const { is, value } = condition;
  if (is === 'filled' || is === 'empty')
    return type === 'yesNo' ? () => false : (actual) => isFilled(actual) === (is === 'filled');
  switch (type) {
    case 'choice': {
      const wanted = Array.isArray(value) ? (value as string[]) : [];
      const isWanted = is !== 'noneOf';
      return (actual) => (actual as readonly string[]).some((each) => wanted.includes(each)) === isWanted;
    }
    case 'yesNo':
      return (actual) => (actual as boolean) === (is === 'yes');
    case 'text': {
      const test = textTest(condition);
      return (actual) => test(fold(actual as string));
    }
    default: {
      if (is === 'inLast')
        return (actual, now) => {
          const span = spanOf(condition, now);
          return span !== undefined && testOfSpan(span)(actual as number);
        };
      const span = spanOf(condition, 0);
      if (!span) return () => false;
      const isIn = testOfSpan(span);
      return (actual) => isIn(actual as number);
    }
  }
}
