const POINTED_MS = 6_000;
const PATIENCE_MS = 5_000;
const LOOK_EVERY_MS = 200;

const labelOf = (thing: Element) => thing.getAttribute('aria-label') ?? thing.textContent.trim();
const isSeen = (thing: Element) => thing.getClientRects().length > 0;

/** The first thing in sight that can be pressed and whose name begins so. */
const find = (words: string): HTMLElement | undefined =>
  [...document.querySelectorAll<HTMLElement>('#content button, #content a, #content label')].find(
    (thing) => labelOf(thing).startsWith(words) && isSeen(thing),
  );

/** Points at what is called so once it is on the screen; gives up after some seconds. Answers how to stop. */
export function pointAt(words: string): () => void {
  let pointed: HTMLElement | undefined;
  let end: ReturnType<typeof setTimeout> | undefined;
  const began = Date.now();
  const stop = () => {
    clearInterval(looking);
    clearTimeout(end);
    pointed?.removeAttribute('data-pointed');
  };
  const looking = setInterval(() => {
    pointed = find(words);
    if (!pointed && Date.now() - began < PATIENCE_MS) return;
    clearInterval(looking);
    if (!pointed) return;
    pointed.setAttribute('data-pointed', '');
    pointed.scrollIntoView({ block: 'nearest' });
    end = setTimeout(stop, POINTED_MS);
  }, LOOK_EVERY_MS);
  return stop;
}
