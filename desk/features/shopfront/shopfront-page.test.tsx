/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { pagePatterns } from '../../../core/model/page-patterns';
import { sectionTypes } from '../../../core/model/sections/sections';
import { addProduct, startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { ShopfrontPage } from './shopfront-page';

let lightWind = '';
const server = onServer(async () => {
  const made = await startServer();
  const { body } = await made.call<{ id: string }>('POST', '/api/collections', {
    name: 'Light wind',
    source: 'picked',
  });
  lightWind = body.id;
  await made.call('POST', '/api/categories', { name: 'Deltas' });
  return made;
});

const home = () => [...server().catalog.working.shop.pages.values()].find((page) => page.home)!;
const kinds = () => home().sections.map(({ kind }) => kind);
const panel = () => screen.getByRole('complementary', { name: 'What is chosen' });
const outline = () => screen.getByRole('complementary', { name: 'Sections of the page' });

async function add(name: string) {
  await userEvent.click(screen.getByRole('button', { name: 'Add a section' }));
  await userEvent.click(within(await screen.findByRole('dialog')).getByText(name));
  await waitFor(() => expect(within(panel()).getByRole('heading', { name })).toBeTruthy());
}
const drawn = async () => {
  draw(<ShopfrontPage />);
  await screen.findByRole('complementary', { name: 'Sections of the page' });
};
const choose = async (name: RegExp) => userEvent.click(await within(outline()).findByRole('button', { name }));

test('every sort of section can be added, and stands on the page as it was added', async () => {
  await drawn();
  for (const { name } of Object.values(sectionTypes)) await add(name);
  await waitFor(() => expect(kinds()).toEqual(Object.keys(sectionTypes)), { timeout: 5_000 });
}, 120_000);

test('what is wrong with a section is said at its field, and all the others are saved', async () => {
  await drawn();
  await choose(/^Strip of goods/);
  const count = within(panel()).getByLabelText(/^Shows/);
  await userEvent.clear(count);
  expect(await within(panel()).findByText('Type how many goods to show.')).toBeTruthy();
  await choose(/New banner/);
  await userEvent.clear(within(panel()).getByLabelText('Heading'));
  await userEvent.type(within(panel()).getByLabelText('Heading'), 'Fly');
  await waitFor(() => expect(JSON.stringify(home().sections)).toContain('"Fly"'));
  expect(home().sections).toContainEqual(expect.objectContaining({ kind: 'strip', count: 4 }));
  // What was unfinished is still as it was left.
  await choose(/^Strip of goods/);
  expect(within(panel()).getByLabelText<HTMLInputElement>(/^Shows/).value).toBe('');
  await userEvent.type(within(panel()).getByLabelText(/^Shows/), '6');
  await waitFor(() => expect(home().sections).toContainEqual(expect.objectContaining({ kind: 'strip', count: 6 })));
});

test('a strip gets its goods by name, tells who stands in it, and holds or leaves out whom the seller says', async () => {
  const { id } = (await addProduct(server(), 'Harrier')).product;
  await server().call('POST', `/api/collections/${lightWind}/products`, { ids: [id] });
  await drawn();
  await choose(/^Strip of goods/);
  await userEvent.type(within(panel()).getByLabelText('Choose a collection or category'), 'light');
  await userEvent.click(await screen.findByRole('option', { name: /Light wind/ }));
  expect(await within(panel()).findByRole('button', { name: 'Hold Harrier here' })).toBeTruthy();
  await userEvent.click(within(panel()).getByRole('button', { name: 'Hold Harrier here' }));
  await waitFor(() => expect(home().sections).toContainEqual(expect.objectContaining({ pins: [id] })));
  await userEvent.click(await within(panel()).findByRole('button', { name: 'Leave Harrier out here' }));
  await waitFor(() => expect(home().sections).toContainEqual(expect.objectContaining({ pins: [], leftOut: [id] })));
  expect(await within(panel()).findByText(/you left it out/)).toBeTruthy();
});

test('a section is hidden, copied, moved and deleted', async () => {
  await drawn();
  await choose(/^Fly/);
  const act = (name: string) => userEvent.click(within(panel()).getByRole('button', { name }));
  await act('Hide from shoppers');
  expect(await within(panel()).findByText(/Shoppers do not see it: hidden/)).toBeTruthy();
  await waitFor(() => expect(home().sections[0]).toMatchObject({ kind: 'banner', hidden: true }));
  const before = kinds();
  await act('Copy below');
  await waitFor(() => expect(kinds()).toEqual(['banner', ...before]));
  expect(new Set(home().sections.map(({ id }) => id)).size).toBe(before.length + 1);
  await act('Move down');
  await waitFor(() => expect(kinds().slice(0, 3)).toEqual(['banner', 'strip', 'banner']));
  await act('Delete this section');
  await waitFor(() => expect(kinds()).toEqual(before));
});

test('a new page begins as its pattern does, says that nobody finds it, and can be copied and deleted', async () => {
  await drawn();
  expect(screen.queryByRole('button', { name: 'Delete page' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'New page' }));
  await userEvent.type(await screen.findByLabelText('Title', { selector: '[role=dialog] input' }), 'Beach week');
  await userEvent.click(screen.getByText('Landing page'));
  expect(await screen.findByText('nothing leads here')).toBeTruthy();
  const pages = () => [...server().catalog.working.shop.pages.values()];
  expect(
    pages()
      .find(({ title }) => title === 'Beach week')
      ?.sections.map(({ kind }) => kind),
  ).toEqual(pagePatterns.landing.sections().map(({ kind }) => kind));
  await userEvent.click(screen.getByRole('button', { name: 'Copy the page' }));
  expect(await screen.findByText('Beach week, copy', { selector: 'aside span' })).toBeTruthy();
  await userEvent.click(await screen.findByRole('button', { name: 'Delete page' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Delete the page' }));
  await waitFor(() => expect(pages().map(({ title }) => title)).toEqual(['Home', 'Beach week']));
});
