/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { ShopfrontPage } from './shopfront-page';

const server = onServer(async () => {
  const made = await startServer();
  await made.call('POST', '/api/collections', { name: 'Light wind', source: 'picked' });
  await made.call('POST', '/api/categories', { name: 'Deltas' });
  return made;
});
const home = () => [...server().catalog.working.shop.pages.values()].find((page) => page.home)!;

test('each sort of section can be added, and stands on the page as it was added', async () => {
  draw(<ShopfrontPage />);
  const before = (await screen.findByRole('region', { name: /^Page / })).querySelectorAll('article').length;
  for (const name of ['Banner', 'Strip of goods', 'Category tiles'])
    await userEvent.click(screen.getByRole('button', { name }));
  await waitFor(() => expect(home().sections).toHaveLength(before + 3), { timeout: 5_000 });
  expect(
    home()
      .sections.slice(-3)
      .map(({ kind }) => kind),
  ).toEqual(['banner', 'strip', 'tiles']);
  expect((await screen.findAllByText('Choose what this strip shows.')).length).toBeGreaterThan(0);
});

test('what is wrong with a section is said at its field, and the rest of the desk goes on', async () => {
  draw(<ShopfrontPage />);
  const banner = (await screen.findAllByRole('article', { name: /^Banner New banner/ })).at(-1)!;
  await userEvent.clear(within(banner).getByLabelText('Title'));
  expect(await within(banner).findByText('A banner needs a title.')).toBeTruthy();
  await userEvent.type(within(banner).getByLabelText('Title'), 'Fly');
  await waitFor(() =>
    expect(home().sections).toContainEqual(expect.objectContaining({ kind: 'banner', title: 'Fly' })),
  );
});

test('a strip gets its goods by name, and takes their name until it has its own', async () => {
  draw(<ShopfrontPage />);
  const strip = (await screen.findAllByRole('article', { name: /^Strip of goods/ })).at(-1)!;
  const choose = within(strip).getByLabelText('Choose a collection or category');
  await userEvent.type(choose, 'light');
  await userEvent.click(await screen.findByRole('option', { name: /Light wind/ }));
  await waitFor(() =>
    expect(home().sections).toContainEqual(
      expect.objectContaining({ kind: 'strip', source: expect.objectContaining({ kind: 'collection' }) as unknown }),
    ),
  );
  expect(within(strip).getByLabelText<HTMLInputElement>('Title').placeholder).toBe('Light wind');
});

test('a new page is named in place, and only the home page cannot be deleted', async () => {
  draw(<ShopfrontPage />);
  expect(await screen.findByRole('heading', { name: 'Home' })).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Delete page' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'New page' }));
  const title = await screen.findByLabelText('Title', { selector: '.w-44 input' });
  await userEvent.clear(title);
  await userEvent.type(title, 'Beach week');
  await waitFor(() =>
    expect([...server().catalog.working.shop.pages.values()].map((page) => page.title)).toContain('Beach week'),
  );
  expect(screen.getByRole('button', { name: 'Delete page' })).toBeTruthy();
});
