import './no-eval';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import { CallError } from './api';
import './desk.css';
import { Frame } from './frame/frame';
import { useSession } from './frame/queries';
import { GoodsPage } from './goods/goods-page';
import { ProductPage } from './goods/product/product-page';
import { CategoryPage } from './groups/category-page';
import { CollectionPage } from './groups/collection-page';
import { GroupsPage } from './groups/groups-page';
import { NamedPage } from './groups/named-page';
import { OverlapPage } from './groups/overlap-page';
import { Shelves } from './groups/shelves';
import { HistoryPage } from './history/history-page';
import { ReviewPage } from './review/review-page';
import { Entrance } from './session/entrance';
import { ShopfrontPage } from './shopfront/shopfront-page';
import { Failed, Loading } from './ui/states';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => count < 3 && !(error instanceof CallError && error.problem.status >= 400),
      staleTime: 60_000,
    },
  },
});

/** The grid of the sheet is loaded when it is wanted. */
const SheetPage = lazy(() => import('./sheet/sheet-page'));

function Later({ page }: { page: ReactNode }) {
  return <Suspense fallback={<Loading rows={8} />}>{page}</Suspense>;
}

const router = createBrowserRouter(
  [
    {
      element: <Frame />,
      children: [
        { path: '/', element: <Navigate to="/goods" replace /> },
        { path: '/goods', element: <GoodsPage /> },
        { path: '/goods/sheet', element: <Later page={<SheetPage />} /> },
        { path: '/goods/:id', element: <ProductPage /> },
        {
          element: <GroupsPage />,
          children: [
            { path: '/groups', element: <Shelves /> },
            { path: '/groups/category/:id', element: <CategoryPage /> },
            { path: '/groups/tags/:id?', element: <NamedPage key="tag" kind="tag" /> },
            { path: '/groups/brands/:id?', element: <NamedPage key="brand" kind="brand" /> },
            { path: '/groups/overlap', element: <OverlapPage /> },
          ],
        },
        { path: '/groups/:id', element: <CollectionPage /> },
        { path: '/shopfront', element: <ShopfrontPage /> },
        { path: '/review', element: <ReviewPage /> },
        { path: '/history', element: <HistoryPage /> },
        { path: '*', element: <Navigate to="/goods" replace /> },
      ],
    },
  ],
  { basename: '/desk' },
);

function Desk() {
  const { data: session, error, refetch } = useSession();
  if (error && !session) return <Failed error={error} retry={() => void refetch()} />;
  if (!session) return <Loading rows={3} />;
  if (!session.user) return <Entrance needsSetup={session.needsSetup} needsCode={session.needsCode} />;
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
