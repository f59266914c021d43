/** What lies over the page and goes with Back, instead of the page going back. */
let over: (() => void) | null = null;

/** From now on Back is this, until what is answered is called. */
export function takeBack(instead: () => void): () => void {
  over = instead;
  return () => {
    if (over === instead) over = null;
  };
}

/** Does what Back means now; false where it means going back. */
export function backIsTaken(): boolean {
  over?.();
  return over !== null;
}

/** Marks the place in the history that something opened over the page made for itself, so that Back closes it. */
const OVER = { over: true };

const isOver = (): boolean => (window.history.state as { over?: boolean } | null)?.over === true;

/** Makes the place that Back will leave when it closes what was opened. */
export const openOver = (): void => window.history.pushState(OVER, '');

/** What was opened is closed by itself: the place that was made for it goes, unless another address took it. */
export function closeOver(): void {
  if (isOver()) window.history.back();
}

/** Goes on to another address of the page, in the place of what is open over it. */
export function pushAddress(address: string): void {
  if (isOver()) window.history.replaceState(null, '', address);
  else window.history.pushState(null, '', address);
}
