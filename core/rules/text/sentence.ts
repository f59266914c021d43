import { formatMoney } from '../../shared/money';
import { LAST_SECOND } from '../condition';
import { operatorWords, type Field, type FieldNames, type FieldWords } from '../field';
import { isCondition, isVariantGroup, type Condition, type Match, type Rule, type RuleNode } from '../../model/rule';

/** Days outside of what a calendar tells are stored nowhere any more, but may have been. */
const day = (seconds: number) =>
  Math.abs(seconds) <= LAST_SECOND ? new Date(seconds * 1000).toISOString().slice(0, 10) : 'a day that is none';

function numberWords(field: FieldWords, x: number, currency: string): string {
  if (!Number.isFinite(x)) return x > 0 ? 'without end' : '';
  if (field.type === 'money') return formatMoney(x, currency);
  if (field.type === 'date') return day(x);
  return field.unit ? `${x / field.unit.parts} ${field.unit.words}`.trim() : String(x);
}

/** What a condition asks for, in words: amounts with their currency, choices by name. */
export function valueWords(field: FieldWords, condition: Condition, currency: string): string {
  const { value, is } = condition;
  const number = (x: number) => numberWords(field, x, currency);
  if (is === 'inLast') return `${value} ${value === 1 ? 'day' : 'days'}`;
  if (is === 'between' && Array.isArray(value))
    return `${number(value[0] as number)} and ${number(value[1] as number)}`;
  if (Array.isArray(value))
    return value.map((id) => quotedIfNeeded(field.choices?.get(String(id)) ?? 'something deleted')).join(' or ');
  return typeof value === 'number' ? number(value) : `“${value ?? ''}”`;
}

/** A name in quotation marks where it would be misread without. */
export function quotedIfNeeded(name: string): string {
  return /[,()“”"]|\b(and|or|not)\b/i.test(name) ? `“${name}”` : name;
}

/** What a field read from a product, in words; '' when there is nothing to say. */
export function actualWords(field: FieldWords, actual: ReturnType<Field['read']>, currency: string): string {
  // Whether it holds says it all.
  if (typeof actual === 'boolean') return '';
  if (typeof actual === 'number') return numberWords(field, actual, currency);
  if (typeof actual === 'string') return `“${actual}”`;
  return actual.flatMap((value) => field.choices?.get(value) ?? []).join(', ');
}

/** One condition in words: "price is below €25.00". */
export function conditionWords(condition: Condition, fields: FieldNames, currency: string): string {
  const field = fields.get(condition.field);
  if (!field) return `a deleted field “${condition.field}”`;
  const label = field.label.toLowerCase();
  if (field.type === 'yesNo') return condition.is === 'yes' ? `${label}` : `not ${label}`;
  if (condition.is === 'filled' || condition.is === 'empty') return `${label} ${operatorWords[condition.is]}`;
  if (field.type === 'choice' && Array.isArray(condition.value) && condition.value.length === 0) return `${label} is …`;
  return `${label} ${operatorWords[condition.is]} ${valueWords(field, condition, currency)}`;
}

function join(match: Match, parts: string[]): string {
  const list = parts.join(match === 'all' ? ' and ' : ' or ');
  if (match !== 'none') return list;
  return parts.length === 1 ? `not (${list})` : `none of (${list})`;
}

/** The rule as a sentence to be read aloud: "every product where stock is above 0 and tag is indoor". */
export function sentenceOf(rule: Rule, fields: FieldNames, currency: string): string {
  const words = (node: RuleNode, outer: Match | null): string => {
    if (isCondition(node)) return conditionWords(node, fields, currency);
    if (node.of.length === 0) return 'nothing yet';
    if (isVariantGroup(node)) {
      const inside = join(
        node.match,
        node.of.map((condition) => conditionWords(condition, fields, currency)),
      );
      return `${node.variants === 'some' ? 'one variant has' : 'every variant has'} (${inside})`;
    }
    // A group of one says what its child says: what stands around it decides on brackets.
    if (node.of.length === 1 && node.match !== 'none') return words(node.of[0]!, outer);
    const inside = join(
      node.match,
      node.of.map((child) => words(child, node.match)),
    );
    const needsBrackets = outer !== null && node.match !== 'none' && node.match !== outer;
    return needsBrackets ? `(${inside})` : inside;
  };
  return rule.of.length === 0 ? 'no conditions yet' : `every product where ${words(rule, null)}`;
}
