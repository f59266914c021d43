import { shopOf } from '../testing/shop';
import { checkRule } from './check';
import { readRule } from './text/query-language';
import { ruleSchema, type Rule } from '../model/rule';
import { sentenceOf } from './text/sentence';

const { fields } = shopOf([]);
const messages = (rule: Rule) => checkRule(rule, fields).map((problem) => problem.message);

test('a rule that names a deleted tag says so, at its place', () => {
  const rule: Rule = {
    match: 'all',
    of: [
      { field: 'price', is: 'below', value: 2500 },
      { match: 'any', of: [{ field: 'tag', is: 'anyOf', value: ['t_gone'] }] },
    ],
  };
  expect(checkRule(rule, fields)).toEqual([{ path: [1, 0], message: 'This tag was deleted. Choose another.' }]);
});

test.each<[string, Rule, RegExp]>([
  ['empty rule', { match: 'all', of: [] }, /takes in nothing/],
  ['empty group', { match: 'all', of: [{ match: 'any', of: [] }] }, /group has no conditions/],
  ['unsuited operator', { match: 'all', of: [{ field: 'title', is: 'below', value: 3 }] }, /cannot be compared/],
  ['words for a number', { match: 'all', of: [{ field: 'stock', is: 'above', value: 'two' }] }, /Type a number/],
  ['turned ends', { match: 'all', of: [{ field: 'price', is: 'between', value: [9, 3] }] }, /must not be above/],
  ['unknown field', { match: 'all', of: [{ field: 'moon', is: 'equals', value: 1 }] }, /no field/],
  [
    'product fact of a variant',
    { match: 'all', of: [{ variants: 'some', match: 'all', of: [{ field: 'tag', is: 'anyOf', value: ['t_night'] }] }] },
    /whole product/,
  ],
])('%s is refused in plain words', (_name, rule, message) => expect(messages(rule).join()).toMatch(message));

test('hostile nesting and size are refused without trouble', () => {
  let deep: unknown = { field: 'stock', is: 'above', value: 0 };
  for (let i = 0; i < 100_000; i++) deep = { match: 'all', of: [deep] };
  expect(ruleSchema.safeParse(deep).success).toBe(false);
  const wide = { match: 'all', of: Array.from({ length: 201 }, () => ({ field: 'stock', is: 'above', value: 0 })) };
  expect(ruleSchema.safeParse(wide).success).toBe(false);
  expect(ruleSchema.safeParse({ match: 'all', of: 'everything' }).success).toBe(false);
});

test('a rule reads as a sentence', () => {
  const rule: Rule = {
    match: 'all',
    of: [
      { field: 'price', is: 'below', value: 2500 },
      {
        match: 'any',
        of: [
          { field: 'stock', is: 'above', value: 0 },
          { field: 'tag', is: 'anyOf', value: ['t_indoor'] },
        ],
      },
      { match: 'none', of: [{ field: 'category', is: 'anyOf', value: ['c_line', 'c_gone'] }] },
    ],
  };
  expect(sentenceOf(rule, fields, 'EUR')).toBe(
    'every product where price is below €25.00 and (stock is above 0 or tag is Indoor) and not (category is Line or something deleted)',
  );
});

test('what is too much for a rule is told before it is looked at closer', () => {
  const groups = (count: number) => ({
    match: 'all',
    of: Array.from({ length: count }, () => ({ match: 'any', of: [] })),
  });
  expect(ruleSchema.safeParse(groups(100_000)).error?.issues[0]!.message).toMatch(/at most 200 conditions/);
  let deep: unknown = { match: 'all', of: [] };
  for (let i = 0; i < 5_000; i++) deep = { match: 'all', of: [deep] };
  expect(ruleSchema.safeParse(deep).error?.issues[0]!.message).toMatch(/at most 10 deep/);
});

test('brackets in brackets, and negations of negations, end in words', () => {
  const { fields } = shopOf([]);
  for (const text of ['('.repeat(1_000), 'not '.repeat(5_000), `${'none of ('.repeat(2_000)}on sale`])
    expect(readRule(text, fields)).toHaveProperty('expected');
  expect(readRule('((((on sale))))', fields)).toHaveProperty('node');
});
