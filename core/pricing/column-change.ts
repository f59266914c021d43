import { parseMoney } from '../shared/money';

/** Amounts of a variant that a column can be reckoned from, minor units. */
export interface Amounts {
  price: number;
  salePrice: number | null;
  cost: number | null;
}

/** The two last digits that a reckoned amount is to have; null to leave it as it comes out. */
export const endings = [null, 0, 50, 90, 95, 99] as const;
export type Ending = (typeof endings)[number];

/** What is done to a whole column of amounts. */
export type ColumnChange =
  | { what: 'percent'; by: number }
  | { what: 'add'; by: number }
  | { what: 'from'; of: keyof Amounts; times: number }
  | { what: 'set'; to: number }
  | { what: 'empty' };

const decimal = (text: string) => Number(text.replace(',', '.'));
const sources: Record<string, keyof Amounts> = {
  price: 'price',
  sale: 'salePrice',
  saleprice: 'salePrice',
  cost: 'cost',
};

/**
 * Reads what was typed for a column: "+5 %", "-2", "-2.50", "=cost*2.4", "=price/2", "64.00", or nothing for empty. Undefined
 * when it is none of these.
 */
export function readColumnChange(typed: string): ColumnChange | undefined {
  const text = typed
    .replace(/[\s\u00a0\u202f]/g, '')
    .toLowerCase()
    .replace('−', '-');
  if (text === '') return { what: 'empty' };
  const percent = /^([+-]\d+(?:[.,]\d+)?)%$/.exec(text);
  if (percent) return { what: 'percent', by: decimal(percent[1]!) };
  const from = /^=(price|sale|saleprice|cost)(?:([*×/])(\d+(?:[.,]\d+)?))?$/.exec(text);
  if (from) {
    const factor = from[3] === undefined ? 1 : decimal(from[3]);
    if (from[2] === '/' && factor === 0) return undefined;
    return { what: 'from', of: sources[from[1]!]!, times: from[2] === '/' ? 1 / factor : factor };
  }
  const sign = /^[+-]/.exec(text)?.[0];
  const amount = parseMoney(sign ? text.slice(1) : text);
  if (amount === undefined || amount < 0) return undefined;
  return sign ? { what: 'add', by: sign === '-' ? -amount : amount } : { what: 'set', to: amount };
}

/** The amount nearest to `amount` that ends in these two digits and is not negative; of two as near, the higher. */
export function withEnding(amount: number, ending: Ending): number {
  if (ending === null) return amount;
  const below = Math.floor((amount - ending) / 100) * 100 + ending;
  const above = below + 100;
  return below >= 0 && amount - below < above - amount ? below : above;
}

/**
 * The amount that a column change makes of one amount, rounded half away from zero, then to the ending; null for empty.
 * Undefined where there is nothing to reckon from, or the result would be negative: the amount then stays.
 */
export function changedAmount(
  change: ColumnChange,
  own: number | null,
  amounts: Amounts,
  ending: Ending,
): number | null | undefined {
  if (change.what === 'empty') return null;
  if (change.what === 'set') return change.to;
  const basis = change.what === 'from' ? amounts[change.of] : own;
  if (basis === null) return undefined;
  const exact =
    change.what === 'from'
      ? basis * change.times
      : change.what === 'percent'
        ? basis + (basis * change.by) / 100
        : basis + change.by;
  if (exact < 0) return undefined;
  // Half a cent may have come out as a hair less in binary fractions.
  return withEnding(Math.round(exact + 1e-7), ending);
}
