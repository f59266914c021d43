import type { RuleField } from '../../../contract/rule-field';
import { readAmount, type Reading } from '../ui/readings';

/** A number of a rule as people type it: amounts, days (seconds since 1970), decimals of a unit of so many parts. */
export function readNumber(typed: string, type: RuleField['type'], parts = 1): Reading<number> {
  const text = typed.trim();
  if (type === 'money') return readAmount(text);
  if (type === 'date') {
    const seconds = Date.parse(text) / 1000;
    return Number.isFinite(seconds) ? { value: seconds } : { problem: 'Choose a day.' };
  }
  return /^[-−]?\d+([.,]\d+)?\s*%?$/.test(text)
    ? { value: Math.round(Number(text.replace(',', '.').replace('−', '-').replace('%', '')) * parts) }
    : { problem: 'Type a number.' };
}
