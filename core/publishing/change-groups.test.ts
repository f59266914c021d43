import type { DocumentChange } from './changes';
import { changeGroups, partsOfChange } from './change-groups';

const change = (over: Partial<DocumentChange>): DocumentChange => ({
  kind: 'product',
  key: 'p_1',
  title: 'Tern',
  what: 'changed',
  fields: [],
  ...over,
});
const field = (label: string) => ({ label, before: 'a', after: 'b' });
const told = (over: Partial<DocumentChange>) =>
  partsOfChange(change(over)).map(({ group, fields }) => [group, fields.map(({ label }) => label)]);

test('prices of a product are told apart from its words, and nothing is told twice or left out', () => {
  expect(told({ fields: [field('Title'), field('Price'), field('Price of S')] })).toEqual([
    ['prices', ['Price', 'Price of S']],
    ['words', ['Title']],
  ]);
  expect(told({ fields: [field('Price')] })).toEqual([['prices', ['Price']]]);
  expect(told({ fields: [] })).toEqual([['words', []]]);
});

test('what is new or gone stands together, but forwards and offers stand with theirs', () => {
  expect(told({ what: 'new' })).toEqual([['newAndGone', []]]);
  expect(told({ kind: 'category', what: 'gone' })).toEqual([['newAndGone', []]]);
  expect(told({ kind: 'redirect', what: 'new' })).toEqual([['addresses', []]]);
  expect(told({ kind: 'offer', what: 'new' })).toEqual([['prices', []]]);
  expect(told({ kind: 'settings', fields: [field('Name')] })).toEqual([['look', ['Name']]]);
  expect(Object.keys(changeGroups)[0]).toBe('prices');
});
