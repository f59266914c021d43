/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { tray, useTrayContent } from './tray-store';

const rule = { match: 'all' as const, of: [{ field: 'price', is: 'below' as const, value: 5_000 }] };
const content = () => renderHook(() => useTrayContent()).result.current;
beforeEach(() => act(() => tray.empty()));

test('a product is put in once, and taken out by the same move', () => {
  act(() => tray.add(['p_1', 'p_2', 'p_1']));
  expect(content().ids).toEqual(['p_1', 'p_2']);
  act(() => tray.toggle('p_1'));
  expect(content().ids).toEqual(['p_2']);
  act(() => tray.toggle('p_1'));
  expect(content().ids).toEqual(['p_2', 'p_1']);
});

test('it can hold whatever matches, beside what was picked, and freeze that into a list', () => {
  act(() => tray.add(['p_1']));
  act(() => tray.keepMatching({ text: 'sled', rule, words: 'sleds below €50' }));
  expect(content()).toMatchObject({ ids: ['p_1'], matching: { words: 'sleds below €50' } });
  act(() => tray.freeze(['p_1', 'p_7']));
  expect(content()).toEqual({ ids: ['p_1', 'p_7'], matching: null });
});

test('what another tab puts in is in here too; what cannot be read empties it', () => {
  const { result } = renderHook(() => useTrayContent());
  const elsewhere = (value: string) => {
    localStorage.setItem('dispona.tray', value);
    act(() => void window.dispatchEvent(new StorageEvent('storage', { key: 'dispona.tray' })));
  };
  elsewhere(JSON.stringify({ ids: ['p_9'], matching: null }));
  expect(result.current.ids).toEqual(['p_9']);
  // A list alone is how it was kept at first.
  elsewhere(JSON.stringify(['p_3']));
  expect(result.current.ids).toEqual(['p_3']);
  elsewhere('{not json');
  expect(result.current.ids).toEqual([]);
});

test('goods that are gone are dropped, the others stay', () => {
  act(() => tray.add(['p_1', 'p_2', 'p_3']));
  act(() => tray.drop(['p_2', 'p_8']));
  expect(content().ids).toEqual(['p_1', 'p_3']);
});
