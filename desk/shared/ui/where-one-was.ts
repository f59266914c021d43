import { useEffect, useLayoutEffect, useState, type RefObject } from 'react';
import { useLocation } from 'react-router';

/** Search and filters of each list as it was left, by path. */
const searches = new Map<string, string>();
/** How far each list was scrolled, by its whole address. */
const offsets = new Map<string, number>();

/** Remembers with which search a list is shown, so that whoever comes back finds it as it was. */
export function useLeftBehind(): void {
  const { pathname, search } = useLocation();
  useEffect(() => void searches.set(pathname, search), [pathname, search]);
}

/** The address of a list as it was left. */
export const asItWas = (path: string) => path + (searches.get(path) ?? '');

/** Where this list was scrolled to when it was left; kept up to date by `useKeepOffset`. */
export function useOffsetBefore(): number {
  const { pathname, search } = useLocation();
  const [before] = useState(() => offsets.get(pathname + search) ?? 0);
  return before;
}

/** Keeps how far a list is scrolled, and scrolls it there again once `isReady`. */
export function useKeepOffset(scroller: RefObject<HTMLElement | null>, isReady: boolean): void {
  const { pathname, search } = useLocation();
  const address = pathname + search;
  useLayoutEffect(() => {
    const element = scroller.current;
    if (!element || !isReady) return;
    const before = offsets.get(address);
    if (before !== undefined) element.scrollTop = before;
    const keep = () => void offsets.set(address, element.scrollTop);
    element.addEventListener('scroll', keep, { passive: true });
    return () => element.removeEventListener('scroll', keep);
  }, [scroller, address, isReady]);
}
