const SETTLED_MS = 120;

interface Kept {
  /** pixels scrolled down */
  y?: number;
}

const keep = () => {
  const state = (window.history.state ?? {}) as Kept;
  window.history.replaceState({ ...state, y: Math.round(window.scrollY) }, '');
};

/** Notes in the address of a page how far it is scrolled, so that Back and reload come to the same place. Answers how to stop. */
export function keepScrollPlace(): () => void {
  window.history.scrollRestoration = 'manual';
  let settling: ReturnType<typeof setTimeout> | undefined;
  const onScroll = () => {
    clearTimeout(settling);
    settling = setTimeout(keep, SETTLED_MS);
  };
  window.addEventListener('scroll', onScroll, { passive: true });
  window.addEventListener('pagehide', keep);
  return () => {
    clearTimeout(settling);
    window.removeEventListener('scroll', onScroll);
    window.removeEventListener('pagehide', keep);
  };
}

/** Notes it now: the page is about to be left. */
export const leaveScrollPlace = keep;

/** How far the page of the current address was scrolled when it was left. */
export const keptScrollPlace = (): number => (window.history.state as Kept | null)?.y ?? 0;
