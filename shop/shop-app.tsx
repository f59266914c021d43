import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState, type ComponentType } from 'react';
import type { Typed } from '../contract/shop-window';
import { backIsTaken } from './back';
import { BaseContext } from './base';
import { tellDesk, useBuilding } from './building/use-building';
import { EditingContext } from './ui/words';
import type { PageData, ShopData } from './data';
import { fetchShopData } from './fetch-data';
import { Footer } from './frame/footer';
import { Header } from './frame/header';
import { MissingPage } from './missing-page';
import { loadParts } from './load-parts';
import { part, type BodyProps } from './parts';
import { connectShopWindow } from './shop-window';
import { stillDrawn, withTyped } from './typed';

// Shoppers never load it.
const BuildingLayer = lazy(() => import('./building/building-layer'));

const SETTLE_MS = 150;
interface FrameProps {
  data: ShopData;
  url: string;
  go: (url: string) => void;
}

/** What is drawn between head and foot. */
function Body({ data, ...rest }: FrameProps) {
  const { page } = data;
  if (page.kind === 'missing') return <MissingPage page={page} data={data} {...rest} />;
  const Look = part(page.kind) as ComponentType<BodyProps<PageData['kind']>>;
  return <Look page={page} data={data} {...rest} />;
}

/** The whole storefront page. Drawn on the server, then taken over by the browser with the same data. */
export function ShopApp({ initial }: { initial: ShopData }) {
  const [saved, setSaved] = useState(initial);
  const [typed, setTyped] = useState<readonly Typed[]>([]);
  /** what the desk says is being typed now; what is drawn of it ends only with fresh data */
  const latest = useRef(typed);
  const data = useMemo(() => withTyped(saved, typed), [saved, typed]);

  const asked = useRef(0);
  /** what was asked for last: the next click changes that, and not what the page still shows */
  const [wanted, setWanted] = useState(initial.url);
  const latestUrl = useRef(initial.url);
  const [isBusy, setBusy] = useState(false);
  const show = useCallback(
    async (url: string) => {
      asked.current += 1;
      const mine = asked.current;
      latestUrl.current = url;
      setWanted(url);
      setBusy(true);
      const next = await fetchShopData(initial.base + url);
      await loadParts(next.page);
      // Answers may come in another order than they were asked for.
      if (mine !== asked.current) return;
      setBusy(false);
      setSaved(next);
      setTyped(latest.current);
    },
    [initial.base],
  );
  const go = useCallback(
    (url: string) => {
      // A field that is left after Enter asks once more for what is on its way.
      if (url === latestUrl.current) return;
      window.history.pushState(null, '', initial.base + url);
      show(url).catch(() => window.location.reload());
    },
    [initial.base, show],
  );

  useEffect(() => {
    const here = () => window.location.pathname.slice(initial.base.length) + window.location.search;
    const back = () => void show(here()).catch(() => window.location.reload());
    const onPop = () => {
      if (!backIsTaken()) back();
    };
    window.addEventListener('popstate', onPop);
    let settling: ReturnType<typeof setTimeout> | undefined;
    const type = (now: readonly Typed[]) => {
      latest.current = now;
      clearTimeout(settling);
      if (now.length > 0) setTyped((before) => stillDrawn(before, now));
      // Saved or given up: what is typed stays drawn until it is known what is saved now.
      else settling = setTimeout(back, SETTLE_MS);
    };
    const disconnect = initial.base ? connectShopWindow({ redraw: back, type }) : undefined;
    return () => {
      clearTimeout(settling);
      window.removeEventListener('popstate', onPop);
      disconnect?.();
    };
  }, [initial.base, show]);

  const building = useBuilding(initial.base !== '');
  const editing = useMemo(
    () =>
      building && {
        type: (id: string, field: string, words: string) => tellDesk({ dispona: 'typed words', id, field, words }),
      },
    [building],
  );
  return (
    <BaseContext value={data.base}>
      <a href="#content" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-white focus:p-3">
        To the content
      </a>
      <Header data={data} />
      <main id="content" tabIndex={-1} aria-busy={isBusy} className="outline-none">
        <EditingContext value={editing}>
          <Body data={data} url={wanted} go={go} />
        </EditingContext>
      </main>
      <Footer data={data} />
      {building && (
        <Suspense>
          <BuildingLayer building={building} drawn={data.page} />
        </Suspense>
      )}
    </BaseContext>
  );
}
