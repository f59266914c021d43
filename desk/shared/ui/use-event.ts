import { useCallback, useLayoutEffect, useRef } from 'react';

/** A handler that stays the same function while what it does follows the latest drawing. */
export function useEvent<Args extends unknown[], Answer>(
  handler: (...args: Args) => Answer,
): (...args: Args) => Answer {
  const latest = useRef(handler);
  useLayoutEffect(() => {
    latest.current = handler;
  });
  return useCallback((...args: Args) => latest.current(...args), []);
}
