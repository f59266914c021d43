/** @jest-environment jsdom */
import { usualLook } from '../core/model/look';
import { act, renderHook } from '@testing-library/react';
import fc from 'fast-check';
import type { ShopData } from './data';
import { forgetForeseen, foresee } from './foreseen';
import { withSort, withValue } from './listing/address';
import { useNavigation } from './use-navigation';

const dataAt = (url: string): ShopData => ({
  shop: { name: 'Test kites', tagline: '', locale: 'en', currency: 'EUR', look: usualLook },
  base: '',
  url,
  origin: 'https://shop.example',
  menu: { items: [], top: [], footer: [] },
  page: { kind: 'missing', heading: url, message: '' },
});

/** Requests that nobody has answered yet. */
let open: { url: string; answer: () => void }[] = [];
let asked = 0;
/** pages that the server was told somebody looks at */
let shown: string[] = [];
beforeEach(() => {
  open = [];
  asked = 0;
  shown = [];
  forgetForeseen();
  window.history.replaceState(null, '', '/c/kites');
  window.scrollTo = () => undefined;
  globalThis.fetch = ((url: string, { method }: RequestInit = {}) => {
    if (method === 'HEAD') {
      shown.push(url);
      return Promise.resolve({});
    }
    asked++;
    return new Promise((resolve) => {
      const answer = () =>
        resolve({ headers: { get: () => 'application/json' }, json: () => Promise.resolve(dataAt(url)) });
      open.push({ url, answer });
    });
  }) as never;
});

const start = () => renderHook(() => useNavigation(dataAt('/c/kites'), () => undefined));
const answerOne = (at: number) =>
  act(async () => {
    open.splice(at % open.length, 1)[0]!.answer();
    // The parts of the page are loaded, then it is drawn.
    for (let i = 0; i < 6; i++) await Promise.resolve();
  });

const click = fc.oneof(
  fc.record({ facet: fc.constantFrom('colour', 'brand'), value: fc.constantFrom('a', 'b', 'c'), isOn: fc.boolean() }),
  fc.record({ sort: fc.constantFrom('title', 'newest') }),
);

test('a chain of clicks ends in the listing of all of them, in whatever order and however late answers come', async () => {
  const step = fc.oneof({ weight: 3, arbitrary: click }, { weight: 2, arbitrary: fc.record({ answered: fc.nat(20) }) });
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 14 }), fc.infiniteStream(fc.nat(20)), async (steps, late) => {
      window.history.replaceState(null, '', '/c/kites');
      open = [];
      const { result, unmount } = start();
      let wanted = '/c/kites';
      for (const each of steps) {
        if ('answered' in each) {
          if (open.length > 0) await answerOne(each.answered);
          continue;
        }
        // As the filters do it: what changes is what was asked for last, not what is shown.
        const next = (url: string) =>
          'sort' in each ? withSort(url, each.sort) : withValue(url, each.facet, each.value, each.isOn);
        act(() => result.current.go(next(result.current.wanted)));
        wanted = next(wanted);
        expect(result.current.wanted).toBe(wanted);
      }
      while (open.length > 0) await answerOne(late.next().value);
      expect(result.current).toMatchObject({ shown: { url: wanted }, wanted, isBusy: false });
      expect(window.location.pathname + window.location.search).toBe(wanted);
      unmount();
    }),
    { numRuns: 60 },
  );
});

test('a page that was foreseen is not asked for again, but the server hears that it is looked at', async () => {
  const { result } = start();
  foresee('/p/tern');
  foresee('/p/tern');
  await answerOne(0);
  expect(shown).toEqual([]);
  act(() => result.current.go('/p/tern'));
  await act(async () => void (await Promise.resolve()));
  expect(asked).toBe(1);
  expect(shown).toEqual(['/p/tern']);
  expect(result.current.shown.url).toBe('/p/tern');
  expect(document.title).toBe('/p/tern · Test kites');
});

test('Back shows the page before, at the height it had', async () => {
  const heights: number[] = [];
  window.scrollTo = ((to: ScrollToOptions) => void heights.push(to.top!)) as never;
  const { result } = start();
  Object.defineProperty(window, 'scrollY', { value: 700, configurable: true });
  act(() => result.current.go('/p/tern'));
  await answerOne(0);
  Object.defineProperty(window, 'scrollY', { value: 0, configurable: true });
  await act(async () => {
    window.history.back();
    await new Promise((resolve) => window.addEventListener('popstate', resolve, { once: true }));
  });
  await answerOne(0);
  expect(result.current.shown.url).toBe('/c/kites');
  expect(heights).toEqual([0, 700]);
});
