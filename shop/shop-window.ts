import { REDRAW } from '../contract/shop-window';

/** In the shop window: draw again when the desk says that something changed. Answers how to stop listening. */
export function connectShopWindow(redraw: () => void): () => void {
  const onMessage = (event: MessageEvent) => {
    if (event.origin === window.location.origin && event.data === REDRAW) redraw();
  };
  window.addEventListener('message', onMessage);
  return () => window.removeEventListener('message', onMessage);
}
