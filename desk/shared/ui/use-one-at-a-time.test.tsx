/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useOneAtATime } from './use-one-at-a-time';

test('a second start while the first is on its way does nothing, and then it can be started again', async () => {
  const ends: (() => void)[] = [];
  const run = jest.fn((_name: string) => new Promise<void>((resolve) => ends.push(resolve)));
  const { result } = renderHook(() => useOneAtATime(run));
  act(() => {
    result.current[0]('first');
    result.current[0]('second');
  });
  expect(run.mock.calls).toEqual([['first']]);
  expect(result.current[1]).toBe(true);
  await act(async () => {
    ends[0]!();
    await Promise.resolve();
  });
  expect(result.current[1]).toBe(false);
  act(() => result.current[0]('third'));
  expect(run.mock.calls.at(-1)).toEqual(['third']);
});
