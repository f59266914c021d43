import { useRef, useState } from 'react';

/**
 * Lets something run once at a time: a second click while the first is on its way does nothing. Answers how to start it,
 * and whether it is running.
 */
export function useOneAtATime<Args extends unknown[]>(
  run: (...args: Args) => Promise<unknown>,
): [start: (...args: Args) => void, isRunning: boolean] {
  const running = useRef(false);
  const [isRunning, setRunning] = useState(false);
  const start = (...args: Args) => {
    if (running.current) return;
    running.current = true;
    setRunning(true);
    void run(...args).finally(() => {
      running.current = false;
      setRunning(false);
    });
  };
  return [start, isRunning];
}
