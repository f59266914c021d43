import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState, type ComponentType } from 'react';
import { usualCardLook } from '../core/model/card-choices';
import type { Typed } from '../contract/shop-window';
import { BaseContext, WindowContext } from './base';
import { BasketContext } from './basket/basket-store';
import { useBasketDesk } from './basket/use-basket-desk';
import { tellDesk, useBuilding } from './building/use-building';
import { CardLookContext } from './ui/card-look';
import { QuickLookContext } from './ui/quick-look-context';
import { EditingContext } from './ui/words';
import type { PageData, ShopData } from './data';
import { Footer } from './frame/footer';
import { NoticeLine } from './frame/notice-line';
import { Header } from './frame/header';
import { ClosedPage } from './closed-page';
import { MissingPage } from './missing-page';
import { part, type BodyProps } from './parts';
import { connectShopWindow } from './shop-window';
import { stillDrawn, withTyped } from './typed';
import { useReady } from './ui/use-ready';
import { useNavigation } from './use-navigation';
import { useCardLinks } from './use-card-links';
import { say } from './tongue';

// What only some shoppers want, and what none but the seller does.
const QuickLook = lazy(() => import('./product/quick-look'));
const BasketDrawer = lazy(() => import('./basket/basket-drawer'));
const Untranslated = lazy(() => import('./preview/untranslated'));
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
  if (page.kind === 'closed') return null;
  if (page.kind === 'missing') return <MissingPage page={page} data={data} {...rest} />;
  const Look = part(page.kind) as ComponentType<BodyProps<PageData['kind']>>;
  return <Look page={page} data={data} {...rest} />;
}

/** The whole storefront page. Drawn on the server, then taken over by the browser with the same data. */
export function ShopApp({ initial }: { initial: ShopData }) {
  const [typed, setTyped] = useState<readonly Typed[]>([]);
  /** what the desk says is being typed now; what is drawn of it ends only with fresh data */
  const latest = useRef(typed);
  const { shown, wanted, isBusy, go, refresh } = useNavigation(
    initial,
    useCallback(() => setTyped(latest.current), []),
  );
  const data = useMemo(() => withTyped(shown, typed), [shown, typed]);
  useCardLinks(initial.base, go);
  const { look } = data.shop;
  useEffect(() => {
    if (initial.isPreview && look !== initial.shop.look) void import('./look').then(({ default: draw }) => draw(look));
  }, [initial, look]);

  useEffect(() => {
    if (!initial.isPreview) return;
    let settling: ReturnType<typeof setTimeout> | undefined;
    const type = (now: readonly Typed[]) => {
      latest.current = now;
      clearTimeout(settling);
      if (now.length > 0) setTyped((before) => stillDrawn(before, now));
      // Saved or given up: what is typed stays drawn until it is known what is saved now.
      else settling = setTimeout(refresh, SETTLE_MS);
    };
    const disconnect = connectShopWindow({ redraw: refresh, type });
    return () => {
      clearTimeout(settling);
      disconnect();
    };
  }, [initial.isPreview, refresh]);

  const [looked, setLooked] = useState<string | null>(null);
  const isReady = useReady();
  const { desk, drawer, setDrawer, setPieces } = useBasketDesk(shown.url);

  const building = useBuilding(initial.isPreview === true);
  const editing = useMemo(
    () =>
      building && {
        type: (id: string, field: string, words: string) => tellDesk({ dispona: 'typed words', id, field, words }),
      },
    [building],
  );
  if (data.page.kind === 'closed') return <ClosedPage shop={data.shop} page={data.page} />;
  return (
    <BaseContext value={data.base}>
      <WindowContext value={data.isPreview === true}>
        <BasketContext value={isReady && !data.isPreview ? desk : null}>
          <CardLookContext value={data.shop.cards ?? usualCardLook}>
            <a href="#content" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-paper focus:p-3">
              {say('frame.toContent')}
            </a>
            <NoticeLine shop={data.shop} />
            <Header data={data} />
            <main id="content" tabIndex={-1} aria-busy={isBusy} className="outline-none">
              <EditingContext value={editing}>
                <QuickLookContext value={isReady && !building ? setLooked : null}>
                  <Body data={data} url={wanted} go={go} />
                </QuickLookContext>
              </EditingContext>
            </main>
            <Footer data={data} />
            {data.untranslated && isReady && (
              <Suspense>
                <Untranslated texts={data.untranslated} />
              </Suspense>
            )}
            {looked !== null && (
              <Suspense>
                <QuickLook url={looked} close={() => setLooked(null)} go={go} />
              </Suspense>
            )}
            {building && (
              <Suspense>
                <BuildingLayer building={building} drawn={data.page} />
              </Suspense>
            )}
            {drawer && (
              <Suspense>
                <BasketDrawer initial={drawer} tell={({ count }) => setPieces(count)} close={() => setDrawer(null)} />
              </Suspense>
            )}
          </CardLookContext>
        </BasketContext>
      </WindowContext>
    </BaseContext>
  );
}
