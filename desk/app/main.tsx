import './no-eval';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import { CallError } from '../data/api';
import { BASE } from '../data/base';
import '../desk.css';
import { Frame } from './frame/frame';
import { useSession } from '../data/session';
import { Start } from './start';
import { Failed, Loading } from '../shared/ui/states';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => count < 3 && !(error instanceof CallError && error.problem.status >= 400),
      staleTime: 60_000,
    },
  },
});

/** The screens of a desk come when they are wanted, and the others as soon as the browser has nothing to do. */
const desks = {
  goods: () => import('../features/goods/goods-page'),
  product: () => import('../features/goods/product/product-page'),
  sheet: () => import('../features/sheet/sheet-page'),
  groups: () => import('../features/groups/screens'),
  overlap: () => import('../features/groups/overlap-page'),
  shopfront: () => import('../features/shopfront/shopfront-page'),
  setUp: () => import('../features/set-up/set-up-page'),
  prices: () => import('../features/prices/prices-page'),
  words: () => import('../features/words/words-page'),
  exchange: () => import('../features/exchange/exchange-page'),
  orders: () => import('../features/orders/orders-page'),
  review: () => import('../features/review/review-page'),
  today: () => import('../features/today/today-page'),
  looseEnds: () => import('../features/loose-ends/loose-ends-page'),
  suppliers: () => import('../features/suppliers/suppliers-page'),
  proposals: () => import('../features/suppliers/proposals-page'),
  history: () => import('../features/history/history-page'),
};
const Join = lazy(async () => ({ default: (await import('./join')).Join }));
const Maker = lazy(async () => ({ default: (await import('./maker')).Maker }));
const Entrance = lazy(async () => ({ default: (await import('./entrance')).Entrance }));

const router = createBrowserRouter(
  [
    {
      element: <Frame />,
      HydrateFallback: () => <Loading rows={8} />,
      children: [
        { path: '/', element: <Start /> },
        { path: '/set-up', lazy: { Component: async () => (await desks.setUp()).SetUpPage } },
        { path: '/goods', lazy: { Component: async () => (await desks.goods()).GoodsPage } },
        { path: '/goods/sheet', lazy: { Component: async () => (await desks.sheet()).SheetPage } },
        { path: '/goods/:id', lazy: { Component: async () => (await desks.product()).ProductPage } },
        {
          lazy: { Component: async () => (await desks.groups()).GroupsPage },
          children: [
            { path: '/groups', lazy: { Component: async () => (await desks.groups()).Shelves } },
            { path: '/groups/category/:id', lazy: { Component: async () => (await desks.groups()).CategoryPage } },
            { path: '/groups/tags/:id?', lazy: { Component: async () => (await desks.groups()).TagsPage } },
            { path: '/groups/brands/:id?', lazy: { Component: async () => (await desks.groups()).BrandsPage } },
            { path: '/groups/overlap', lazy: { Component: async () => (await desks.overlap()).OverlapPage } },
          ],
        },
        { path: '/groups/:id', lazy: { Component: async () => (await desks.groups()).CollectionPage } },
        { path: '/shopfront', lazy: { Component: async () => (await desks.shopfront()).ShopfrontPage } },
        { path: '/prices/:id?', lazy: { Component: async () => (await desks.prices()).PricesPage } },
        { path: '/words/:locale?', lazy: { Component: async () => (await desks.words()).WordsPage } },
        { path: '/exchange/:id?', lazy: { Component: async () => (await desks.exchange()).ExchangePage } },
        { path: '/orders/:id?', lazy: { Component: async () => (await desks.orders()).OrdersPage } },
        { path: '/review', lazy: { Component: async () => (await desks.review()).ReviewPage } },
        { path: '/today', lazy: { Component: async () => (await desks.today()).TodayPage } },
        { path: '/loose-ends', lazy: { Component: async () => (await desks.looseEnds()).LooseEndsPage } },
        { path: '/suppliers/:id?', lazy: { Component: async () => (await desks.suppliers()).SuppliersPage } },
        { path: '/proposals', lazy: { Component: async () => (await desks.proposals()).ProposalsPage } },
        { path: '/history', lazy: { Component: async () => (await desks.history()).HistoryPage } },
        { path: '*', element: <Navigate to="/goods" replace /> },
      ],
    },
  ],
  { basename: BASE },
);

function Desk() {
  const { data: session, error, refetch } = useSession();
  if (error && !session) return <Failed error={error} retry={() => void refetch()} />;
  if (!session) return <Loading rows={3} />;
  // The code of an invitation stands behind the #, so that no server and no log gets to see it.
  const invited = window.location.pathname.endsWith('/join') ? window.location.hash.slice(1) : '';
  if (!session.user && invited !== '')
    return (
      <Suspense fallback={<Loading rows={3} />}>
        <Join code={invited} />
      </Suspense>
    );
  if (!session.user)
    return (
      <Suspense fallback={<Loading rows={3} />}>
        <Entrance needsSetup={session.needsSetup} needsCode={session.needsCode} />
      </Suspense>
    );
  if (session.user.suppliers)
    return (
      <Suspense fallback={<Loading rows={3} />}>
        <Maker />
      </Suspense>
    );
  return <RouterProvider router={router} />;
}

createRoot(document.getElementById('desk')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <Desk />
      <Toaster position="bottom-left" offset={60} toastOptions={{ className: 'font-sans' }} />
    </QueryClientProvider>
  </StrictMode>,
);

const whenIdle = window.requestIdleCallback ?? ((run: () => void) => setTimeout(run, 2_000));
setTimeout(
  () =>
    whenIdle(
      () =>
        void Promise.all([import('../features/goods/new-product'), desks.product(), desks.groups(), desks.shopfront()]),
    ),
  1_500,
);
