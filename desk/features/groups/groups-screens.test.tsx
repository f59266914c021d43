/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRoutes } from 'react-router';
import { addProduct, startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { CategoryPage, CollectionPage, GroupsPage, Shelves, TagsPage } from './screens';

const ids: Record<string, string> = {};
const server = onServer(async () => {
  const made = await startServer();
  const make = async (path: string, body: object) => (await made.call<{ id: string }>('POST', path, body)).body.id;
  ids.wren = (await addProduct(made, 'Wren sled', 1_850)).product.id;
  ids.harrier = (await addProduct(made, 'Harrier delta', 6_400)).product.id;
  ids.light = await make('/api/collections', { name: 'Light wind', source: 'picked', picked: [ids.wren, ids.harrier] });
  ids.dear = await make('/api/collections', {
    name: 'Fine kites',
    source: 'rule',
    rule: { match: 'all', of: [{ field: 'price', is: 'above', value: 5_000 }] },
  });
  ids.deltas = await make('/api/categories', { name: 'Deltas' });
  ids.windy = await make('/api/tags', { name: 'windy' });
  return made;
});

function Screens() {
  return useRoutes([
    {
      element: <GroupsPage />,
      children: [
        { path: '/groups', element: <Shelves /> },
        { path: '/groups/category/:id', element: <CategoryPage /> },
        { path: '/groups/tags/:id?', element: <TagsPage /> },
      ],
    },
    { path: '/groups/:id', element: <CollectionPage /> },
  ]);
}
const open = (address: string) => draw(<Screens />, address);
const { collections, categories, tags } = {
  collections: () => server().catalog.working.shop.collections,
  categories: () => server().catalog.working.shop.categories,
  tags: () => server().catalog.working.shop.tags,
};

test('every collection is a shelf, with what fills it and how many goods are on it', async () => {
  open('/groups');
  const light = await screen.findByRole('article', { name: 'Light wind' });
  expect(light.textContent).toContain('2 goods');
  const fine = screen.getByRole('article', { name: 'Fine kites' });
  expect(fine.textContent).toMatch(/price is above €50\.00/i);
});

test('a collection filled by rule says who is in, and what the others lack', async () => {
  open(`/groups/${ids.dear}`);
  await waitFor(() => expect(document.body.textContent).toContain('Harrier delta'));
  expect(await screen.findByText(/needs price above €50\.00/)).toBeTruthy();
});

test('a shelf picked by hand is renamed in place', async () => {
  open(`/groups/${ids.light}`);
  const name = await screen.findByDisplayValue('Light wind');
  await userEvent.clear(name);
  await userEvent.type(name, 'Light-wind days');
  await waitFor(() => expect(collections().get(ids.light!)!.name).toBe('Light-wind days'));
});

test('a collection that is gone says so, with a way to the others', async () => {
  open('/groups/k_gone000');
  expect(await screen.findByText('This collection is gone')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'To all shelves' }).getAttribute('href')).toBe('/groups');
});

test('a category keeps the words of its page', async () => {
  open(`/groups/category/${ids.deltas}`);
  const title = await screen.findByLabelText(/Meta title/i);
  await userEvent.type(title, 'Deltas for calm days');
  await waitFor(() => expect(categories().get(ids.deltas!)!.metaTitle).toBe('Deltas for calm days'));
});

test('a tag gets a page of its own by a tick', async () => {
  open(`/groups/tags/${ids.windy}`);
  const tick = await screen.findByLabelText(/page of its own/i);
  await userEvent.click(tick);
  await waitFor(() => expect(tags().get(ids.windy!)!.listed).toBe(true));
  expect(within(document.body).getAllByText('windy').length).toBeGreaterThan(0);
});
