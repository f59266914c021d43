/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Outlet, useRoutes } from 'react-router';
import { startShop } from '../../../server/testing/harness';
import { tray } from '../../shared/tray-store';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { GoodsPage } from './goods-page';

onServer(async () => {
  const server = await startShop({ 'Harrier delta': 6_400, 'Wren sled': 1_850 });
  await server.call('POST', '/api/products', { title: 'Tern flyer', price: 2_000 });
  return server;
});
beforeEach(() => tray.empty());

const newProduct = jest.fn();
function Screen() {
  return useRoutes([
    {
      element: <Outlet context={{ newProduct, orderFeatured: jest.fn() }} />,
      children: [{ path: '/goods', element: <GoodsPage /> }],
    },
  ]);
}
const open = (address: string) => draw(<Screen />, address);
const titles = () =>
  screen.getAllByRole('row').flatMap((row) => /Harrier delta|Wren sled|Tern flyer/.exec(row.textContent)?.[0] ?? []);

test('all goods are listed, with how many there are and what they can be narrowed by', async () => {
  open('/goods');
  expect(await screen.findByText('3 products')).toBeTruthy();
  await waitFor(() => expect(titles().sort()).toEqual(['Harrier delta', 'Tern flyer', 'Wren sled']));
  expect(screen.getByRole('button', { name: /^Draft/ })).toBeTruthy();
});

test('what stands in the address is what is listed: words, a condition, an order', async () => {
  open('/goods?q=price+below+50&sort=price');
  expect(await screen.findByText(/^2 of 3/)).toBeTruthy();
  await waitFor(() => expect(titles()).toEqual(['Wren sled', 'Tern flyer']));
});

test('a value that is clicked narrows the goods and is kept in the address; clicked again it does not', async () => {
  const { router } = open('/goods');
  await userEvent.click(await screen.findByRole('button', { name: /^Draft/ }));
  await waitFor(() => expect(titles()).toEqual(['Tern flyer']));
  expect(router.state.location.search).toContain('draft');
  await userEvent.click(screen.getByRole('button', { name: /^Draft/ }));
  await waitFor(() => expect(titles()).toHaveLength(3));
});

test('goods that are ticked are in the tray', async () => {
  open('/goods');
  const row = await screen.findByRole('row', { name: /Wren sled/ });
  await userEvent.click(within(row).getByRole('checkbox'));
  expect(JSON.parse(localStorage.getItem('dispona.tray')!)).toMatchObject({ ids: [expect.any(String)] });
});

test('where nothing is found, that is said, with a way out', async () => {
  const { router } = open('/goods?q=zeppelin');
  expect(await screen.findByText(/Nothing/)).toBeTruthy();
  expect(router.state.location.search).toContain('zeppelin');
});

test('a typed condition leads to no sheet before it is known to be one', async () => {
  const real = globalThis.fetch;
  let letGo = () => undefined as void;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  globalThis.fetch = async (...asked) => {
    const url = typeof asked[0] === 'string' ? asked[0] : asked[0] instanceof URL ? asked[0].href : asked[0].url;
    if (url.includes('/api/goods/fields')) await held;
    return real(...asked);
  };
  try {
    open('/goods?q=price+below+50');
    expect(await screen.findByRole('heading', { name: 'Goods' })).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Edit as a sheet' })).toBeNull();
    letGo();
    const link = await screen.findByRole<HTMLAnchorElement>('link', { name: 'Edit as a sheet' });
    expect(new URL(link.href).searchParams.get('if')).toContain('"field":"price"');
  } finally {
    globalThis.fetch = real;
  }
});
