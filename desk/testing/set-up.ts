import { setImmediate } from 'node:timers';
import { TextDecoder, TextEncoder } from 'node:util';

// A failed test shows its own lines, not the whole page; DEBUG_PRINT_LIMIT=7000 brings that back.
process.env.DEBUG_PRINT_LIMIT ??= '0';

// What jsdom has not, and the desk takes for granted.
if (typeof window !== 'undefined') {
  class Request {
    readonly headers = new Map();
    readonly method = 'GET';
    readonly signal: unknown;
    constructor(
      readonly url: string,
      init: { signal?: unknown } = {},
    ) {
      this.signal = init.signal;
    }
  }
  class ResizeObserver {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  }
  const media = { matches: false, addEventListener: () => undefined, removeEventListener: () => undefined };
  // The server that screens are tested before takes a breath after a hundred routes.
  Object.assign(globalThis, { TextDecoder, TextEncoder, Request, setImmediate });
  Object.assign(window, { ResizeObserver, matchMedia: () => media });
  window.HTMLCanvasElement.prototype.getContext = () => null;
  window.HTMLElement.prototype.scrollIntoView = () => undefined;
}
