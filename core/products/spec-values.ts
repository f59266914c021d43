import { numberWords } from '../shared/units';
import type { Attribute, SpecValue } from '../model/spec-sheet';

/** Numbers of specs are kept in thousandths of the attribute's unit, so that they are whole. */
export const SPEC_SCALE = 1_000;

/** How values are told in a language; in English where nothing is said. */
interface SpecTongue {
  locale?: string;
  yes: string;
  no: string;
}
const english: SpecTongue = { yes: 'Yes', no: 'No' };

const withUnit = (text: string, unit: string) => (unit === '' ? text : `${text}\u00a0${unit}`);

/** A value as shoppers read it: "180 cm", "2–5 Bft", "Ripstop, Carbon". '' when it is empty or fits no longer. */
export function specWords(
  attribute: Attribute,
  value: SpecValue | undefined,
  { locale, yes, no }: SpecTongue = english,
): string {
  if (value === undefined) return '';
  const number = (thousandths: number) => numberWords(thousandths / SPEC_SCALE, locale);
  switch (attribute.type) {
    case 'text':
    case 'date':
      return typeof value === 'string' ? value : '';
    case 'number':
      return typeof value === 'number' ? withUnit(number(value), attribute.unit) : '';
    case 'range': {
      if (typeof value !== 'object' || Array.isArray(value)) return '';
      const { min, max } = value;
      const text = min === max ? number(min) : `${number(min)}–${number(max)}`;
      return withUnit(text, attribute.unit);
    }
    case 'yesNo':
      return typeof value === 'boolean' ? (value ? yes : no) : '';
    case 'choice':
    case 'choices': {
      const ids = Array.isArray(value) ? value : [];
      return attribute.choices
        .filter(({ id }) => ids.includes(id))
        .map(({ name: words }) => words)
        .join(', ');
    }
  }
}

/** Why a value cannot be that of an attribute, in plain words; undefined when it can. */
export function specProblem(attribute: Attribute, value: SpecValue): string | undefined {
  const isWhole = (x: unknown) => typeof x === 'number' && Number.isSafeInteger(x);
  switch (attribute.type) {
    case 'text':
      return typeof value === 'string' ? undefined : 'Type words.';
    case 'date':
      return typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value) && !Number.isNaN(Date.parse(value))
        ? undefined
        : 'Choose a day.';
    case 'number':
      return isWhole(value) ? undefined : 'Type a number.';
    case 'range': {
      if (typeof value !== 'object' || Array.isArray(value) || !isWhole(value.min) || !isWhole(value.max))
        return 'Type two numbers, like 2–5.';
      return value.min <= value.max ? undefined : 'The first number must not be above the second.';
    }
    case 'yesNo':
      return typeof value === 'boolean' ? undefined : 'Choose yes or no.';
    case 'choice':
    case 'choices': {
      if (!Array.isArray(value)) return 'Choose from the list.';
      if (attribute.type === 'choice' && value.length > 1) return 'Choose one.';
      return value.every((id) => attribute.choices.some((choice) => choice.id === id))
        ? undefined
        : 'This choice was deleted. Choose another.';
    }
  }
}
