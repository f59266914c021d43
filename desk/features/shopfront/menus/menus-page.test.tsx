/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useMenu } from '../../../data/shopfront';
import { addProduct, startServer } from '../../../../server/testing/harness';
import { complete, draw, retype, settled } from '../../../testing/desk';
import { holdAnswers, onServer } from '../../../testing/real-fetch';
import { MenusPage } from './menus-page';

const ids: Record<string, string> = {};
const server = onServer(async () => {
  const made = await startServer();
  const make = async (path: string, body: object) => (await made.call<{ id: string }>('POST', path, body)).body.id;
  ids.kites = await make('/api/categories', { name: 'Kites' });
  ids.deltas = await make('/api/categories', { name: 'Deltas', parentId: ids.kites });
  ids.light = await make('/api/collections', { name: 'Light wind', source: 'picked' });
  await addProduct(made, 'Tern');
  return made;
});
const menu = () => server().catalog.working.shop.menu;
const labels = (of: 'items' | 'footer' | 'top') => menu()[of].map(({ label, target }) => label || target?.kind);
beforeEach(() => server().call('PUT', '/api/menu', { items: [], footer: [], top: [] }));

function Screen() {
  const { data } = useMenu();
  return data ? <MenusPage menu={data} /> : null;
}
const list = (name: string) => within(screen.getByRole('region', { name }));
const open = async () => {
  const drawn = draw(<Screen />);
  await screen.findByRole('region', { name: 'The menu' });
  return drawn;
};

test('categories, addresses and headings are added; one that is no address says so', async () => {
  await open();
  await complete('Add to the menu', 'Kit', 'Kites');
  await waitFor(() => expect(labels('items')).toEqual(['category']));
  const field = screen.getByRole('combobox', { name: 'Add to the foot of the shop' });
  await userEvent.type(field, 'javascript:alert(1)');
  expect(await screen.findByText(/^Type an address such as/)).toBeTruthy();
  await retype(field, 'mailto:us@example.com');
  await userEvent.click(await screen.findByRole('option', { name: /^Lead to/ }));
  await waitFor(() => expect(menu().footer[0]!.target).toEqual({ kind: 'address', url: 'mailto:us@example.com' }));
  await userEvent.click(list('The foot of the shop').getByRole('button', { name: 'Add a heading' }));
  await waitFor(() => expect(labels('footer')).toEqual(['address', 'A heading']));
});

test('an item is worded, moved a level deeper and back by keys, and removed with what stands below it', async () => {
  const { client } = await open();
  await complete('Add to the menu', 'Kit', 'Kites');
  await complete('Add to the menu', 'Light', 'Light wind');
  await waitFor(() => expect(menu().items).toHaveLength(2));
  const words = await screen.findByLabelText('Words in the menu for Light wind');
  await userEvent.type(words, 'Calm days{Enter}');
  await waitFor(() => expect(labels('items')).toEqual(['category', 'Calm days']));
  const move = async (key: string) => {
    await settled(client);
    (await screen.findByRole('button', { name: /^Move Calm days/ })).focus();
    await userEvent.keyboard(key);
  };
  await move('{ArrowRight}');
  await waitFor(() => expect(menu().items[0]!.items.map(({ label }) => label)).toEqual(['Calm days']));
  await move('{ArrowLeft}');
  await waitFor(() => expect(menu().items).toHaveLength(2));
  await move('{ArrowRight}');
  await waitFor(() => expect(menu().items).toHaveLength(1));
  await settled(client);
  await userEvent.click(screen.getByRole('button', { name: 'Remove Kites from the menu' }));
  await waitFor(() => expect(menu().items).toEqual([]));
});

test('what is in no menu is told, and added at a press', async () => {
  await open();
  const missing = list('In no menu');
  expect(await missing.findByText('Deltas')).toBeTruthy();
  await userEvent.click(missing.getByRole('button', { name: 'Add Light wind to the menu' }));
  await waitFor(() => expect(labels('items')).toEqual(['collection']));
  await waitFor(() => expect(missing.queryByText('Light wind')).toBeNull());
});

test('subcategories kept in step with the tree count as in the menu, and are written out one by one', async () => {
  await open();
  await complete('Add to the menu', 'Kit', 'Kites');
  await userEvent.click(await screen.findByRole('button', { name: 'More about Kites' }));
  await userEvent.click(screen.getByLabelText(/^All its subcategories/));
  await waitFor(() => expect(menu().items[0]!.withChildren).toBe(true));
  expect(list('In no menu').queryByText('Deltas')).toBeNull();
  await userEvent.click(await screen.findByRole('button', { name: 'Write them out' }));
  await waitFor(() =>
    expect(menu().items[0]).toMatchObject({
      withChildren: false,
      items: [{ target: { kind: 'category', id: ids.deltas } }],
    }),
  );
  await userEvent.click(screen.getByLabelText('Hide it from shoppers'));
  await waitFor(() => expect(menu().items[0]!.hidden).toBe(true));
});

test('two menus changed before the server answered both follow what comes later', async () => {
  const { client } = await open();
  const release = holdAnswers();
  await userEvent.click(list('The menu').getByRole('button', { name: 'Add a heading' }));
  await userEvent.click(list('The foot of the shop').getByRole('button', { name: 'Add a heading' }));
  release();
  await waitFor(() => expect([labels('items'), labels('footer')]).toEqual([['A heading'], ['A heading']]));
  // Somebody else empties them.
  await server().call('PUT', '/api/menu', { items: [], footer: [], top: [] });
  await act(() => client.invalidateQueries());
  await waitFor(() => expect(screen.queryByRole('button', { name: /^Remove A heading/ })).toBeNull());
});
