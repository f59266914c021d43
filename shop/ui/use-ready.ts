import { useLayoutEffect, useState } from 'react';

/** False on the server and while the browser takes the page over: what needs the script is not offered before it is there. */
export function useReady(): boolean {
  const [isReady, setReady] = useState(false);
  useLayoutEffect(() => setReady(true), []);
  return isReady;
}
