import type { Attribute, SpecSheet } from '../model/spec-sheet';
import { SPEC_SCALE, specWords } from '../products/spec-values';
import { namedLike } from '../shared/same-name';
import { readMeasure, readRange } from '../shared/units';
import { idsOf } from './cell-readers';
import { BETWEEN, readYesNo, type ExchangeColumn, type NameList, type Reading, type ReadTerms } from './column';

/** Id of the attribute that a column holds; undefined for other columns. */
export const attributeOf = (key: string): string | undefined =>
  key.startsWith('spec ') ? key.slice('spec '.length) : undefined;

function readSpec({ type, unit, choices }: Attribute, typed: string, { decimal }: ReadTerms): Reading {
  const text = typed.replace(/\u00a0/g, ' ');
  if (text === '') return { value: undefined };
  const number = decimal === ',' ? text.replace(/,/g, '.') : text;
  switch (type) {
    case 'number':
      return readMeasure(number, unit);
    case 'range':
      return readRange(number, unit);
    case 'yesNo':
      return readYesNo(text);
    case 'choice':
    case 'choices': {
      const find = (name: string) => namedLike(choices, (choice) => choice.name, name);
      const list: NameList = {
        nameOf: (id) => choices.find((choice) => choice.id === id)?.name ?? '',
        has: (name) => find(name) !== undefined,
        idOf: (name) => find(name)?.id,
      };
      return idsOf(list, 'choice', text, ',');
    }
    default:
      return { value: text };
  }
}

/** The column of one attribute; it is called after its spec sheet too where others are called the same. */
export const specColumn = (sheet: SpecSheet, attribute: Attribute, isDouble: boolean): ExchangeColumn => ({
  key: `spec ${attribute.id}`,
  label: isDouble ? `${attribute.name} (${sheet.name})` : attribute.name,
  explains: `An attribute of the spec sheet “${sheet.name}”${attribute.unit && `, in ${attribute.unit}`}.`,
  aliases: [],
  of: 'product',
  type: attribute.type === 'number' ? 'number' : 'text',
  write: ({ specs }) => {
    const value = specs[attribute.id];
    if (attribute.type === 'number' && typeof value === 'number') return value / SPEC_SCALE;
    if (Array.isArray(value))
      return attribute.choices
        .filter(({ id }) => value.includes(id))
        .map(({ name }) => name)
        .join(BETWEEN);
    return specWords(attribute, value) || null;
  },
  read: (text, terms) => readSpec(attribute, text, terms),
});
