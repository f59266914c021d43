import { refreshOf } from './what-changed';

const product = { id: 12, subjects: ['product:p_1'] };

test('a saved product refreshes lists and counts, and not what has nothing of it', () => {
  // Sheets and option lists tell how many products use them.
  for (const root of ['goods', 'status', 'groups', 'review', 'history', 'sheet', 'spec-sheets', 'option-lists'])
    expect(refreshOf(product, [root], undefined)).toBe('now');
  for (const root of ['settings', 'menu', 'session', 'jobs'])
    expect(refreshOf(product, [root], undefined)).toBe('none');
});

test('the product itself is read again unless this tab has that state already', () => {
  expect(refreshOf(product, ['product', 'p_1'], 12)).toBe('none');
  expect(refreshOf(product, ['product', 'p_1'], 11)).toBe('now');
  expect(refreshOf(product, ['product', 'p_1', 'history'], undefined)).toBe('now');
  expect(refreshOf(product, ['product', 'p_2'], 3)).toBe('later');
});

test('a change of groups may change where any product shows', () => {
  expect(refreshOf({ id: 12, subjects: ['category:c_1'] }, ['product', 'p_2'], 3)).toBe('now');
});

test('what is too much to name, or is not known, refreshes everything, and so does the clock', () => {
  expect(refreshOf({ id: 0, subjects: [] }, ['settings'], undefined)).toBe('now');
  expect(refreshOf({ id: 12, subjects: null }, ['settings'], undefined)).toBe('now');
  expect(refreshOf({ id: 12, subjects: ['settings'] }, ['menu'], undefined)).toBe('now');
  expect(refreshOf(product, ['what comes later'], undefined)).toBe('now');
});
