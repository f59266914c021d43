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
