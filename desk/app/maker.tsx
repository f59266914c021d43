import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { BASE } from '../data/base';
import { MakerFrame } from '../features/maker/maker-frame';
import { MakerGoodPage } from '../features/maker/maker-good';
import { MakerHome } from '../features/maker/maker-home';

const router = createBrowserRouter(
  [
    {
      element: <MakerFrame />,
      children: [
        { path: '/', element: <MakerHome /> },
        { path: '/my/:id', element: <MakerGoodPage /> },
        { path: '*', element: <Navigate to="/" replace /> },
      ],
    },
  ],
  { basename: BASE },
);

/** The screens of somebody who makes goods of the shop, in the place of the whole desk. */
export const Maker = () => <RouterProvider router={router} />;
