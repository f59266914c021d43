import { TextDecoder, TextEncoder } from 'node:util';

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
    disconnect(): void {}
  }
  const media = { matches: false, addEventListener: () => undefined, removeEventListener: () => undefined };
  Object.assign(globalThis, { TextDecoder, TextEncoder, Request });
  Object.assign(window, { ResizeObserver, matchMedia: () => media });
  window.HTMLElement.prototype.scrollIntoView = () => undefined;
}
