import { parseMoney } from '../../../core/shared/money';
import { shopLocale } from '../../data/shop-locale';
import type { RuleField } from '../../../contract/rule-field';

/** A number of a rule as people type it: amounts, days, decimals of a unit of so many parts. Undefined when it is none. */
export function readNumber(typed: string, type: RuleField['type'], parts = 1): number | undefined {
  const text = typed.trim();
  if (type === 'money') return parseMoney(text, shopLocale());
  if (type === 'date') {
    const seconds = Date.parse(text) / 1000;
    return Number.isFinite(seconds) ? seconds : undefined;
  }
  return /^[-−]?\d+([.,]\d+)?\s*%?$/.test(text)
    ? Math.round(Number(text.replace(',', '.').replace('−', '-').replace('%', '')) * parts)
    : undefined;
}
