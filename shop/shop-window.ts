/** Messages between the desk and the storefront that it shows in a frame. */
export const REDRAW = 'dispona:redraw';
export const SHOWS = 'dispona:shows';

/** In the shop window: draw again when the desk says that something changed, and tell it which page is shown. */
export function connectShopWindow(redraw: () => void): () => void {
  const onMessage = (event: MessageEvent) => {
    if (event.origin === window.location.origin && event.data === REDRAW) redraw();
  };
  window.addEventListener('message', onMessage);
  window.parent.postMessage({ type: SHOWS, path: window.location.pathname }, window.location.origin);
  return () => window.removeEventListener('message', onMessage);
}
