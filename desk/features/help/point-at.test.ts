/** @jest-environment jsdom */
import { pointAt } from './point-at';

const room = { length: 1 } as DOMRectList;
beforeEach(() => {
  jest.useFakeTimers();
  document.body.innerHTML = '<header><button>New product</button></header><main id="content"></main>';
  window.HTMLElement.prototype.getClientRects = () => room;
  window.HTMLElement.prototype.scrollIntoView = () => undefined;
});
afterEach(() => jest.useRealTimers());

const content = () => document.getElementById('content')!;
const pointed = () => document.querySelector('[data-pointed]')?.textContent ?? null;

test('what comes late is pointed at once it is there, within the content, and let go of after a while', () => {
  pointAt('New product');
  jest.advanceTimersByTime(1_000);
  expect(pointed()).toBeNull();
  content().innerHTML = '<button>Old</button><button>New product, by hand</button>';
  jest.advanceTimersByTime(400);
  expect(pointed()).toBe('New product, by hand');
  jest.advanceTimersByTime(7_000);
  expect(pointed()).toBeNull();
});

test('what a reader hears counts before what is written; what is not in sight does not', () => {
  content().innerHTML = '<button aria-label="Add pictures">+</button>';
  const stop = pointAt('Add pictures');
  jest.advanceTimersByTime(300);
  expect(pointed()).toBe('+');
  stop();
  expect(pointed()).toBeNull();
  window.HTMLElement.prototype.getClientRects = () => ({ length: 0 }) as DOMRectList;
  pointAt('Add pictures');
  jest.advanceTimersByTime(10_000);
  expect(pointed()).toBeNull();
});
