import { parseMoney } from '../../../core/shared/money';
import { readMeasure } from '../../../core/shared/units';
import { shopLocale } from '../../data/shop-locale';

/** What was typed into a field, as a value or as what is wrong with it. */
export type Reading<T> = { value: T } | { problem: string };

export function readWhole(typed: string): Reading<number> {
  return /^\d{1,9}$/.test(typed.trim()) ? { value: Number(typed) } : { problem: 'Type a whole number.' };
}

/** Nothing typed is null. */
export function readWholeOrNone(typed: string): Reading<number | null> {
  if (typed.trim() === '') return { value: null };
  return 'value' in readWhole(typed) ? { value: Number(typed) } : { problem: 'Type a whole number, or nothing.' };
}

/** Basis points: "12.5 %" is 1250. */
export function readPercent(typed: string): Reading<number> {
  const match = /^(\d+(?:[.,]\d{1,2})?)\s*%?$/.exec(typed.trim());
  return match ? { value: Math.round(Number(match[1]!.replace(',', '.')) * 100) } : { problem: 'Type a percentage.' };
}

/** Minor units of an amount, as people of the shop's language write it. */
export function readAmount(typed: string): Reading<number> {
  const minor = parseMoney(typed, shopLocale());
  return minor === undefined ? { problem: 'Type an amount, like 24.50.' } : { value: minor };
}

/** A reading of what may be below zero, too. */
const signed =
  (read: (typed: string) => Reading<number>) =>
  (typed: string): Reading<number> => {
    const [, minus, rest] = /^\s*([-−+]?)\s*(.*)$/.exec(typed)!;
    const found = read(rest!);
    return 'value' in found && /[-−]/.test(minus!) ? { value: -found.value } : found;
  };

/** Basis points above, or with a minus below: "-5 %" is -500. */
export const readDearer = signed(readPercent);
/** Minor units above, or with a minus below. */
export const readExtra = signed(readAmount);

/** Basis points that come off: what looks like a price is not taken for a percentage. */
export function readReduction(typed: string): Reading<number> {
  return /[.,]\d\d\s*$|[€$£]/.test(typed)
    ? { problem: 'Type how much comes off in percent, like 10 %, not the price.' }
    : readPercent(typed);
}

/** Grams, from "350 g", "1.2 kg" or a number alone. */
export function readWeight(typed: string): Reading<number | null> {
  if (typed.trim() === '') return { value: null };
  const read = readMeasure(/[a-z]/i.test(typed) ? typed : `${typed} g`, 'kg');
  return 'problem' in read ? { problem: 'Type a weight, like 350 g or 1.2 kg.' } : { value: read.value };
}
