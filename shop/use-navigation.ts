import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { backIsTaken, pushAddress } from './back';
import type { ShopData } from './data';
import { forgetForeseen, pageAt } from './foreseen';
import { titleOf } from './page-title';
import { keepScrollPlace, keptScrollPlace, leaveScrollPlace } from './scroll-place';

/** How a page is come to: how far it is scrolled then, and for Back, from which address. */
interface Arrival {
  y: number;
  from?: string;
}

export interface Navigation {
  /** what is drawn */
  shown: ShopData;
  /** what was asked for last: the next click changes that, and not what the page still shows */
  wanted: string;
  isBusy: boolean;
  /** shows another state of the page, or another page, with an address of its own */
  go: (url: string) => void;
  /** draws the page afresh */
  refresh: () => void;
}

const pathOf = (url: string) => url.split('?')[0]!;
const here = (base: string) => window.location.pathname.slice(base.length) + window.location.search;
const reload = () => window.location.reload();
const linkTo = (address: string) =>
  [...document.querySelectorAll('main a')].find((link) => link.getAttribute('href') === address) as
    HTMLElement | undefined;

/**
 * Moves between pages without loading them: the address, Back, how far each was scrolled, the title and the focus are as
 * if they had been. `whenShown` is called as another page, or the same one afresh, is about to be drawn.
 */
export function useNavigation(initial: ShopData, whenShown: () => void): Navigation {
  const { base } = initial;
  const [shown, setShown] = useState(initial);
  const [wanted, setWanted] = useState(initial.url);
  const [isBusy, setBusy] = useState(false);
  const asked = useRef(0);
  const latestUrl = useRef(initial.url);
  const arriving = useRef<Arrival>(undefined);
  const show = useCallback(
    async (url: string, arrival?: Arrival) => {
      asked.current += 1;
      const mine = asked.current;
      latestUrl.current = url;
      setWanted(url);
      setBusy(true);
      const next = await pageAt(base + url).catch((error: unknown) => {
        // What nobody waits for any more may fail.
        if (mine === asked.current) throw error;
      });
      // Answers may come in another order than they were asked for.
      if (!next || mine !== asked.current) return;
      arriving.current = arrival;
      setBusy(false);
      setShown(next);
      whenShown();
    },
    [base, whenShown],
  );
  const go = useCallback(
    (url: string) => {
      // A field that is left after Enter asks once more for what is on its way.
      if (url === latestUrl.current) return;
      const isOtherPage = pathOf(url) !== pathOf(latestUrl.current);
      if (isOtherPage) leaveScrollPlace();
      pushAddress(base + url);
      show(url, isOtherPage ? { y: 0 } : undefined).catch(reload);
    },
    [base, show],
  );
  const refresh = useCallback(() => {
    forgetForeseen();
    show(here(base)).catch(reload);
  }, [base, show]);

  useLayoutEffect(() => {
    if (shown === initial) return;
    document.title = titleOf(shown);
    const arrival = arriving.current;
    arriving.current = undefined;
    if (!arrival) return;
    window.scrollTo({ top: arrival.y, behavior: 'instant' });
    const left = arrival.from === undefined ? undefined : linkTo(base + arrival.from);
    (left ?? document.getElementById('content'))?.focus({ preventScroll: true });
  }, [shown, initial, base]);

  useEffect(() => {
    const y = keptScrollPlace();
    if (window.scrollY === 0 && y > 0) window.scrollTo({ top: y, behavior: 'instant' });
    return keepScrollPlace();
  }, []);

  useEffect(() => {
    const onPop = () => {
      if (backIsTaken()) return;
      const [to, from] = [here(base), latestUrl.current];
      // Another place on the same page, or what lay over it was closed.
      if (to === from) return;
      const isOtherPage = pathOf(to) !== pathOf(from);
      show(to, { y: keptScrollPlace(), from: isOtherPage ? from : undefined }).catch(reload);
    };
    window.addEventListener('popstate', onPop);
    return () => window.removeEventListener('popstate', onPop);
  }, [base, show]);

  return { shown, wanted, isBusy, go, refresh };
}
