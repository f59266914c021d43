import { useEffect } from 'react';
import { foresee } from './foreseen';

/** The link of a card that an event happened on, where it leads to a page of this shop. */
function cardLink({ target }: Event): HTMLAnchorElement | undefined {
  const link = target instanceof Element ? target.closest<HTMLAnchorElement>('a[data-product]') : null;
  return link && link.origin === window.location.origin ? link : undefined;
}

const isPlain = (event: MouseEvent) =>
  event.button === 0 && !event.defaultPrevented && !(event.ctrlKey || event.metaKey || event.shiftKey || event.altKey);

/** Who only passes over a card on the way to another does not point at it. */
const RESTED_MS = 60;

/** Cards lead to their products without loading a page, and at once: what is pointed at is asked for already. */
export function useCardLinks(base: string, go: (url: string) => void): void {
  useEffect(() => {
    let resting: ReturnType<typeof setTimeout> | undefined;
    const point = (event: Event) => {
      clearTimeout(resting);
      // Pointing at anything of a card is pointing at its product: a quick look needs it too.
      const card = event.target instanceof Element ? event.target.closest('.group') : null;
      const link = cardLink(event) ?? card?.querySelector<HTMLAnchorElement>(':scope > a[data-product]');
      if (link) resting = setTimeout(() => foresee(link.pathname + link.search), RESTED_MS);
    };
    const click = (event: MouseEvent) => {
      const link = isPlain(event) ? cardLink(event) : undefined;
      if (!link) return;
      event.preventDefault();
      go((link.pathname + link.search).slice(base.length));
    };
    const intents = ['pointerover', 'focusin', 'touchstart'] as const;
    for (const intent of intents) document.addEventListener(intent, point, { passive: true });
    document.addEventListener('click', click);
    return () => {
      clearTimeout(resting);
      for (const intent of intents) document.removeEventListener(intent, point);
      document.removeEventListener('click', click);
    };
  }, [base, go]);
}
