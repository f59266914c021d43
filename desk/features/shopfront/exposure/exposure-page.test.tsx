/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { ShopfrontPage } from '../shopfront-page';
import { corners, goodsOfCorner, type Good } from './corners';

// There is no canvas here; the lists beside say the same in words.
jest.mock('./scatter', () => ({ __esModule: true, default: () => null }));

const server = onServer(async () => {
  const made = await startShop({ Harrier: 1_000, Wren: 2_000, Ibis: 3_000, Gannet: 4_000 });
  const home = [...made.catalog.working.shop.pages.values()].find((page) => page.home)!;
  await made.call('PATCH', `/api/pages/${home.id}`, {
    sections: [
      { id: null, kind: 'strip', title: 'First', source: { kind: 'picked', ids: made.ids.slice(0, 2) }, count: 4 },
    ],
  });
  return made;
});
const opened = async (tab: string) => {
  draw(<ShopfrontPage />);
  await userEvent.click(await screen.findByRole('tab', { name: tab }));
};

test('goods that are seen often and sold seldom are listed, with the way to all of them', async () => {
  await opened('Exposure');
  const corner = await screen.findByRole('region', { name: 'Seen often, sold seldom' });
  expect(within(corner).getByRole('link', { name: 'Harrier' })).toBeTruthy();
  expect(within(corner).getByRole('link', { name: 'Wren' })).toBeTruthy();
  expect(within(corner).queryByText('Ibis')).toBeNull();
  const all = within(corner).getByRole('link', { name: 'Show all 2 in Goods' });
  const rule: unknown = JSON.parse(new URLSearchParams(all.getAttribute('href')!.split('?')[1]).get('if')!);
  const { body } = await server().call<{ total: number }>('POST', '/api/goods/list', { rule });
  expect(body.total).toBe(2);
});

test('the numbers are changed where they are explained; what cannot be is said at the field, and nothing is lost', async () => {
  await opened('Exposure');
  await userEvent.click(await screen.findByRole('button', { name: 'How this is worked out' }));
  const dialog = await screen.findByRole('dialog');
  const home = within(dialog).getByLabelText('Home page, percent');
  await userEvent.clear(home);
  await userEvent.type(home, '65');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Use these numbers' }));
  expect(await within(dialog).findByText('The four beginnings make 100 % together.')).toBeTruthy();
  expect(home).toHaveProperty('value', '65');
  const listing = within(dialog).getByLabelText('A category or another group, percent');
  await userEvent.clear(listing);
  await userEvent.type(listing, '0');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Use these numbers' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  const { body } = await server().call<{ model: object }>('GET', '/api/exposure');
  expect(body.model).toMatchObject({ home: 65, listing: 0 });
});

test('the floor plan tells on each product how often it is seen', async () => {
  await opened('Floor plan');
  await userEvent.click(await screen.findByLabelText('How often it is seen'));
  const home = await screen.findByRole('article', { name: 'Home' });
  await waitFor(() => expect(within(home).getAllByText(/^\d+ %$/).length).toBeGreaterThanOrEqual(2));
});

test('corners part the goods at the middles, those without a margin in none', () => {
  const good = (id: string, share: number, sold: number, margin: number | null): Good => ({
    id,
    title: id,
    share,
    sold,
    margin,
  });
  const goods = [good('a', 100, 0, 10), good('b', 200, 9, null), good('c', 300, 1, 30), good('d', 400, 8, 40)];
  const ids = (beside: 'sold' | 'margin') =>
    Object.fromEntries(corners.map((corner) => [corner.key, goodsOfCorner(goods, beside, corner).map(({ id }) => id)]));
  expect(ids('sold')).toEqual({ hidden: ['b'], strong: ['d'], wasted: ['c'], quiet: ['a'] });
  expect(ids('margin')).toEqual({ hidden: [], strong: ['d'], wasted: ['c'], quiet: ['a'] });
});
