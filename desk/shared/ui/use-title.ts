import { useEffect } from 'react';

/** Names the screen in the title of the tab, as long as it is shown. */
export function useTitle(words: string): void {
  useEffect(() => {
    document.title = words ? `${words} · Dispona` : 'Dispona';
  }, [words]);
}
