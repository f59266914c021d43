import fc from 'fast-check';
import { ruleArbitrary } from '../../testing/rules';
import { NOW, productArbitrary, productOf, shopOf } from '../../testing/shop';
import { nameKey } from '../../shared/name-key';
import { checkRule } from '../check';
import { membersOf } from '../members';
import { completions, readRule, readTyped } from './query-language';
import type { Rule, RuleNode } from '../../model/rule';
import { sentenceOf } from './sentence';

const shop = shopOf([
  productOf('p_1', {
    options: [{ id: 'o', name: 'Colourway', values: [{ id: 'v', name: 'Pine, dark', swatch: null, pictureId: null }] }],
  }),
]);
const { fields } = shop;
const nodeOf = (text: string): RuleNode => {
  const read = readRule(text, fields);
  if (!('node' in read)) throw new Error(`expected ${read.expected.what} at ${read.expected.at} of ${text}`);
  return read.node;
};

test('what a rule says in words is read as a rule that takes in the same', () => {
  const products = fc.uniqueArray(productArbitrary(fc.integer({ min: 0, max: 30 }).map((n) => `p_${n}`)), {
    selector: (product) => product.id,
    minLength: 4,
    maxLength: 8,
  });
  let read = 0;
  fc.assert(
    fc.property(products, ruleArbitrary, (all, rule) => {
      const own = shopOf(all);
      fc.pre(checkRule(rule, own.fields).length === 0);
      const words = sentenceOf(rule, own.fields, 'EUR').replace('every product where ', '');
      const again = readRule(words, own.fields);
      expect([words, 'node' in again]).toEqual([words, true]);
      const node = (again as { node: RuleNode }).node;
      // A day is told without its hours.
      fc.pre(!/ (before|after) \d/.test(words));
      const set = (of: RuleNode) => membersOf({ match: 'all', of: [of] }, own.index, own.fields, NOW).toArray();
      expect([words, set(node)]).toEqual([words, set(rule)]);
      read++;
    }),
    { numRuns: 150 },
  );
  expect(read).toBeGreaterThan(12);
});

test('a group of one keeps the brackets of what it holds', () => {
  const onSale = { field: 'onSale', is: 'yes', value: null } as const;
  const featured = { field: 'featured', is: 'yes', value: null } as const;
  const either: Rule = { match: 'any', of: [onSale, featured] };
  expect(sentenceOf({ match: 'all', of: [onSale, { match: 'any', of: [either] }] }, fields, 'EUR')).toBe(
    'every product where on sale and (on sale or featured)',
  );
});

test('conditions are typed in words, short or long, with "and" closer than "or"', () => {
  expect(nodeOf('price under 25')).toEqual({ field: 'price', is: 'below', value: 2_500 });
  expect(nodeOf('Price >= €24.50')).toEqual({ field: 'price', is: 'atLeast', value: 2_450 });
  expect(nodeOf('stock between 1 to 5')).toEqual({ field: 'stock', is: 'between', value: [1, 5] });
  expect(nodeOf('margin below -2.5 %')).toEqual({ field: 'margin', is: 'below', value: -250 });
  expect(nodeOf('added in the last 30 days')).toEqual({ field: 'created', is: 'inLast', value: 30 });
  expect(nodeOf('tag is indoor or night')).toEqual({ field: 'tag', is: 'anyOf', value: ['t_indoor', 't_night'] });
  expect(nodeOf('colourway = "Pine, dark"')).toEqual({
    field: 'option.colourway',
    is: 'anyOf',
    value: [nameKey('Pine, dark')],
  });
  expect(nodeOf('not on sale')).toEqual({ field: 'onSale', is: 'no', value: null });
  expect(nodeOf('not brand is Tern')).toEqual({ field: 'brand', is: 'noneOf', value: ['b_tern'] });
  expect(nodeOf('not price below 5')).toEqual({ match: 'none', of: [{ field: 'price', is: 'below', value: 500 }] });
  expect(nodeOf('sold in 30 days above 5')).toEqual({ field: 'sold30', is: 'above', value: 5 });
  expect(nodeOf('last sold in the last 90 days')).toEqual({ field: 'lastSold', is: 'inLast', value: 90 });
  expect(nodeOf('collection is not set')).toEqual({ field: 'collection', is: 'empty', value: null });
  expect(nodeOf('title contains night box, featured')).toEqual({
    match: 'all',
    of: [
      { field: 'title', is: 'contains', value: 'night box' },
      { field: 'featured', is: 'yes', value: null },
    ],
  });
  expect(nodeOf('tag is indoor or on sale and stock above 0')).toEqual({
    match: 'any',
    of: [
      { field: 'tag', is: 'anyOf', value: ['t_indoor'] },
      {
        match: 'all',
        of: [
          { field: 'onSale', is: 'yes', value: null },
          { field: 'stock', is: 'above', value: 0 },
        ],
      },
    ],
  });
});

test('where the reading stops, it says what is expected there, and what it could be', () => {
  const expected = (text: string) => {
    const read = readRule(text, fields);
    return 'expected' in read ? [read.expected.what, read.expected.at] : 'read';
  };
  expect(expected('prise below 5')).toEqual(['field', 0]);
  expect(expected('price bellow 5')).toEqual(['operator', 6]);
  expect(expected('price below five')).toEqual(['number', 12]);
  expect(expected('tag is outdoor')).toEqual(['value', 7]);
  expect(expected('price below 5 tag')).toEqual(['joint', 14]);
  expect(completions('ca', fields).map(({ text }) => text)).toEqual(['Category']);
  expect(completions('price is b', fields).map(({ text }) => text)).toEqual(['price is below', 'price is between']);
  expect(completions('tag is indoor or n', fields)).toEqual([{ text: 'tag is indoor or Night', words: 'Night' }]);
  expect(completions('price below 5 and br', fields)[0]!.text).toBe('price below 5 and Brand');
});

test('nothing that is typed, however strange, breaks the reading', () => {
  const pieces = fc.constantFrom(
    'price',
    'is',
    'not',
    '(',
    ')',
    'or',
    'and',
    ',',
    '“',
    '5',
    'tag',
    'one variant has',
    'Indoor',
    ' ',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(pieces).map((parts) => parts.join(' ')),
      ),
      (text) => {
        readRule(text, fields);
        completions(text, fields);
      },
    ),
  );
});

test('words to search for and conditions are told apart', () => {
  expect(readTyped('delta', fields)).toEqual({ text: 'delta' });
  expect(readTyped('light wind, red', fields)).toEqual({ text: 'light wind, red' });
  expect(readTyped('delta, price below 50', fields)).toEqual({
    text: 'delta',
    node: { field: 'price', is: 'below', value: 5_000 },
  });
  expect(readTyped('price below 50,', fields)).toEqual({
    text: '',
    node: { field: 'price', is: 'below', value: 5_000 },
  });
  expect(readTyped('price', fields)).toEqual({ text: 'price' });
  expect(readTyped('delta, price bel', fields)).toMatchObject({ text: 'delta', pending: { from: 6 } });
  expect(readTyped('price ', fields)).toMatchObject({ text: '', pending: { from: 0 } });
});
