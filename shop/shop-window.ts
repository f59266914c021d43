import { isTypedMessage, READY, REDRAW, type Typed } from '../contract/shop-window';

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
  if (window.parent !== window) window.parent.postMessage(READY, window.location.origin);
  return () => window.removeEventListener('message', onMessage);
}
