import { isTypedMessage, REDRAW, type Typed } from '../contract/shop-window';

interface Listeners {
  /** something was saved or put live */
  redraw: () => void;
  /** something is being typed, or no longer */
  type: (typed: readonly Typed[]) => void;
}

/** In the shop window: listens to the desk around it. Answers how to stop listening. */
export function connectShopWindow({ redraw, type }: Listeners): () => void {
  const onMessage = (event: MessageEvent<unknown>) => {
    if (event.origin !== window.location.origin) return;
    if (event.data === REDRAW) redraw();
    else if (isTypedMessage(event.data)) type(event.data.typed);
  };
  window.addEventListener('message', onMessage);
  // The desk tells what is being typed to a page that has just come into the window.
  window.parent.postMessage(REDRAW, window.location.origin);
  return () => window.removeEventListener('message', onMessage);
}
