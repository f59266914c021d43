/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRoutes } from 'react-router';
import { addProduct, startServer } from '../../../server/testing/harness';
import { choose, complete, draw, retype, settled } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { OverlapPage } from './overlap-page';
import { BrandsPage, CategoryPage, CollectionPage, GroupsPage, Shelves, TagsPage } from './screens';

const ids: Record<string, string> = {};
const server = onServer(async () => {
  const made = await startServer();
  const make = async (path: string, body: object) => (await made.call<{ id: string }>('POST', path, body)).body.id;
  for (const [key, title, price] of [
    ['wren', 'Wren sled', 1_850],
    ['harrier', 'Harrier delta', 6_400],
    ['dune', 'Dune box', 9_900],
  ] as const)
    ids[key] = (await addProduct(made, title, price)).product.id;
  for (const [key, name, parent] of [
    ['kites', 'Kites', null],
    ['deltas', 'Deltas', 'kites'],
    ['boxes', 'Boxes', 'kites'],
    ['reels', 'Reels', null],
  ] as const)
    ids[key] = await make('/api/categories', { name, parentId: parent && ids[parent] });
  const set = (id: string, fields: object) =>
    made.call('PATCH', `/api/products/${id}`, { seen: Number.MAX_SAFE_INTEGER, fields });
  ids.calm = await make('/api/tags', { name: 'calm' });
  ids.calms = await make('/api/tags', { name: 'calms' });
  ids.cloth = await make('/api/brands', { name: 'Harbour Cloth' });
  await set(ids.harrier!, { categoryIds: [ids.deltas], tagIds: [ids.calm] });
  await set(ids.dune!, { categoryIds: [ids.boxes], tagIds: [ids.calm] });
  await set(ids.wren!, { tagIds: [ids.calms] });
  ids.hand = await make('/api/collections', { name: 'By hand', source: 'picked', picked: [ids.wren, ids.harrier] });
  ids.dear = await make('/api/collections', {
    name: 'Fine kites',
    source: 'rule',
    rule: { match: 'all', of: [{ field: 'price', is: 'above', value: 5_000 }] },
  });
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
        { path: '/groups/brands/:id?', element: <BrandsPage /> },
        { path: '/groups/overlap', element: <OverlapPage /> },
      ],
    },
    { path: '/groups/:id', element: <CollectionPage /> },
    { path: '/goods', element: <h1>the goods</h1> },
  ]);
}
const open = (address: string) => draw(<Screens />, address);
const shop = () => server().catalog.working.shop;
const category = (name: string) => [...shop().categories.values()].find((each) => each.name === name);
const row = async (name: string) =>
  within(await screen.findByRole('complementary', { name: 'Categories' })).findByRole('link', {
    name: new RegExp(`^${name}.*\\d`),
  });

describe('the tree, by keys', () => {
  test('a category is renamed with F2; Escape leaves its name as it was', async () => {
    open('/groups');
    (await row('Reels')).focus();
    await userEvent.keyboard('{F2}');
    await retype(screen.getByLabelText('New name of Reels'), 'Spools{Escape}');
    expect(category('Reels')).toBeTruthy();
    (await row('Reels')).focus();
    await userEvent.keyboard('{F2}');
    await retype(screen.getByLabelText('New name of Reels'), 'Reels and winders{Enter}');
    await waitFor(() => expect(category('Reels and winders')?.id).toBe(ids.reels));
  });

  test('Alt and the arrows move it: up, in below the one above, and out again', async () => {
    const { client } = open('/groups');
    (await row('Reels')).focus();
    await userEvent.keyboard('{Alt>}{ArrowUp}{/Alt}');
    await waitFor(() => expect(shop().categories.get(ids.reels!)!.parentId).toBeNull());
    await waitFor(() => expect(document.querySelectorAll('[data-category]')[0]!.textContent).toMatch(/^Reels/));
    await settled(client);
    (await row('Kites')).focus();
    await userEvent.keyboard('{Alt>}{ArrowRight}{/Alt}');
    await waitFor(() => expect(shop().categories.get(ids.kites!)!.parentId).toBe(ids.reels));
    await settled(client);
    (await row('Kites')).focus();
    await userEvent.keyboard('{Alt>}{ArrowLeft}{/Alt}');
    await waitFor(() => expect(shop().categories.get(ids.kites!)!.parentId).toBeNull());
  });

  test('a branch is folded and unfolded, and the arrows go from one row to the next', async () => {
    open('/groups');
    const kites = await row('Kites');
    kites.focus();
    await userEvent.keyboard('{ArrowLeft}');
    await waitFor(() => expect(document.querySelector(`[data-category="${ids.deltas}"]`)).toBeNull());
    await userEvent.keyboard('{ArrowRight}');
    await row('Deltas');
    await userEvent.keyboard('{ArrowDown}');
    expect(document.activeElement!.textContent).toMatch(/^Deltas/);
    await userEvent.keyboard('{ArrowUp}');
    expect(document.activeElement!.textContent).toMatch(/^Kites/);
  });

  test('Insert adds one below, and Delete asks what becomes of its goods', async () => {
    open('/groups');
    (await row('Boxes')).focus();
    await userEvent.keyboard('{Insert}');
    await userEvent.type(await screen.findByLabelText('Name of the new category'), 'Cellular{Enter}{Escape}');
    await waitFor(() => expect(category('Cellular')).toBeTruthy());
    (await row('Boxes')).focus();
    await userEvent.keyboard('{Delete}');
    expect(await screen.findByText(/1 product is in it or below it/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(category('Boxes')).toBeTruthy();
    (await row('Boxes')).focus();
    await userEvent.keyboard('{Delete}');
    await complete('Another category', 'Delt', 'Deltas');
    await userEvent.click(screen.getByRole('button', { name: 'Delete, products go to “Deltas”' }));
    await waitFor(() => expect(category('Boxes')).toBeUndefined());
    expect(server().catalog.working.products.get(ids.dune!)!.categoryIds).toEqual([ids.deltas]);
  });

  test('what is in no category is counted, and leads to those goods', async () => {
    open('/groups');
    const link = await screen.findByRole('link', { name: /^Not in any category/ });
    expect(link.textContent).toMatch(/1$/);
    await userEvent.click(link);
    expect(await screen.findByRole('heading', { name: 'the goods' })).toBeTruthy();
  });
});

test('a category is merged into another: its goods go over, and its page leads there', async () => {
  const made = await server().call<{ id: string }>('POST', '/api/categories', { name: 'Sleds', parentId: null });
  await server().call('PATCH', `/api/products/${ids.wren}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { categoryIds: [made.body.id] },
  });
  open(`/groups/category/${made.body.id}`);
  await userEvent.click(await screen.findByRole('button', { name: 'Merge …' }));
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Merge' }).disabled).toBe(true);
  await complete('Into', 'Delt', 'Deltas');
  await userEvent.click(screen.getByRole('button', { name: 'Merge into “Deltas”' }));
  await waitFor(() => expect(category('Sleds')).toBeUndefined());
  expect(server().catalog.working.products.get(ids.wren!)!.categoryIds).toEqual([ids.deltas]);
});

describe('tags and brands', () => {
  test('they are found by a part of their name, and put in order by how many goods have them', async () => {
    open('/groups/tags');
    const names = () => screen.getAllByRole('link', { name: /calm/ }).map(({ textContent }) => textContent);
    await screen.findByRole('link', { name: /^calms/ });
    await choose('Sorted', 'fewest first');
    expect(names()).toEqual(['calms1', 'calm2']);
    await choose('Sorted', 'most goods first');
    expect(names()).toEqual(['calm2', 'calms1']);
    await userEvent.type(screen.getByLabelText('Find a tag'), 'CALMS');
    expect(names()).toEqual(['calms1']);
  });

  test('names that look written twice are merged, what fewer goods have into the other', async () => {
    open('/groups/tags');
    await userEvent.click(
      await within(await screen.findByRole('region', { name: 'Written twice?' })).findByRole('button'),
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Merge into “calm”' }));
    await waitFor(() => expect(shop().tags.has(ids.calms!)).toBe(false));
    expect(server().catalog.working.products.get(ids.wren!)!.tagIds).toEqual([ids.calm]);
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Written twice?' })).toBeNull());
  });

  test('several are typed one after the other; deleting one asks first', async () => {
    open('/groups/brands');
    await userEvent.click(await screen.findByRole('button', { name: 'New brand' }));
    await userEvent.type(await screen.findByLabelText('Name of the new brand'), 'Second{Enter}Third{Enter}{Escape}');
    await waitFor(() => expect(shop().brands.size).toBe(3));
    await userEvent.click(await screen.findByRole('link', { name: /^Third/ }));
    await userEvent.click(await screen.findByRole('button', { name: 'Delete' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Delete the brand' }));
    await waitFor(() => expect(shop().brands.size).toBe(2));
  });
});

describe('a collection', () => {
  const at = (id: string) => shop().collections.get(id)!;

  test('filled by rule: one is left out, let in again, and held at the front', async () => {
    open(`/groups/${ids.dear}`);
    await userEvent.click(await screen.findByRole('button', { name: 'Leave out: Dune box' }));
    await waitFor(() => expect(at(ids.dear!).leftOut).toEqual([ids.dune]));
    await userEvent.click(await screen.findByRole('button', { name: 'Let it in again' }));
    await waitFor(() => expect(at(ids.dear!).leftOut).toEqual([]));
    await userEvent.click(await screen.findByRole('button', { name: 'Pin Dune box at the front' }));
    await waitFor(() => expect(at(ids.dear!).pins).toEqual([ids.dune]));
  });

  test('a condition is typed, and who is in follows before it is saved', async () => {
    open(`/groups/${ids.dear}`);
    const shelf = await screen.findByRole('region', { name: 'Goods on this shelf' });
    await within(shelf).findByText('2 in');
    const amount = await screen.findByDisplayValue(/50\.00/);
    await retype(amount, '80');
    expect(await within(shelf).findByText('1 in')).toBeTruthy();
    await waitFor(() => expect(at(ids.dear!).rule.of).toMatchObject([{ value: 8_000 }]));
    await retype(amount, 'dear');
    await userEvent.tab();
    expect(await screen.findByText('Type an amount, like 24.50.')).toBeTruthy();
    expect(screen.getByDisplayValue('dear')).toBeTruthy();
    expect(at(ids.dear!).rule.of).toMatchObject([{ value: 8_000 }]);
  });

  test('is frozen into a list and filled by its rule again; a copy stands beside it', async () => {
    open(`/groups/${ids.dear}`);
    await userEvent.click(await screen.findByRole('button', { name: 'Freeze into a list' }));
    await waitFor(() => expect(at(ids.dear!)).toMatchObject({ source: 'picked', picked: [ids.dune] }));
    await userEvent.click(await screen.findByRole('button', { name: 'Fill by rule' }));
    await waitFor(() => expect(at(ids.dear!).source).toBe('rule'));
    await screen.findByRole('button', { name: 'Freeze into a list' });
    await userEvent.click(screen.getByRole('button', { name: 'Copy' }));
    await waitFor(() => expect(shop().collections.size).toBe(3));
    await screen.findByRole('heading', { level: 1, name: /Fine kites.+/ });
    await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Delete the collection' }));
    await waitFor(() => expect(shop().collections.size).toBe(2));
  });

  test('picked by hand: goods are found and put on it, and taken out', async () => {
    open(`/groups/${ids.hand}`);
    await userEvent.click(await screen.findByRole('button', { name: 'Take out: Wren sled' }));
    await waitFor(() => expect(at(ids.hand!).picked).toEqual([ids.harrier]));
  });
});

describe('the shelves', () => {
  const shown = () => screen.queryAllByRole('article').map((each) => each.getAttribute('aria-label'));

  test('are found by words of their rule, sorted, and folded all at once', async () => {
    open('/groups');
    await screen.findByRole('article', { name: 'Fine kites' });
    await userEvent.type(screen.getByLabelText('Find a shelf'), 'price');
    await waitFor(() => expect(shown()).toEqual(['Fine kites']));
    await retype(screen.getByLabelText('Find a shelf'), 'nothing like it');
    await userEvent.click(await screen.findByRole('button', { name: 'Show all' }));
    await choose('Sorted', 'by name');
    await waitFor(() => expect(shown()).toEqual(['By hand', 'Fine kites']));
    await userEvent.click(screen.getByRole('button', { name: 'Fold all' }));
    expect(await screen.findByRole('button', { name: 'Unfold By hand' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Unfold all' }));
    expect(await screen.findByRole('button', { name: 'Fold By hand' })).toBeTruthy();
  });

  test('are moved up and down in their own order', async () => {
    open('/groups');
    await screen.findByRole('article', { name: 'Fine kites' });
    const [first, second] = shown();
    await userEvent.click(screen.getByRole('button', { name: `Move ${first} down` }));
    await waitFor(() => expect(shown()).toEqual([second, first]));
  });

  test('a new one needs a name, and opens', async () => {
    open('/groups');
    await userEvent.click(await screen.findByRole('button', { name: 'Pick by hand' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Make it' }));
    expect(await screen.findByText('A name is needed.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Name'), 'For the beach');
    await userEvent.click(screen.getByRole('button', { name: 'Make it' }));
    expect(await screen.findByRole('heading', { level: 1, name: 'For the beach' })).toBeTruthy();
    expect(screen.getAllByText(/Nothing on this shelf yet/)).not.toHaveLength(0);
  });
});

test('which collections share goods, and which goods are in none, lead to the goods themselves', async () => {
  await server().call('PATCH', `/api/collections/${ids.hand}`, { picked: [ids.harrier, ids.dune] });
  await server().call('PATCH', `/api/collections/${ids.dear}`, {
    rule: { match: 'all', of: [{ field: 'price', is: 'above', value: 5_000 }] },
  });
  open('/groups/overlap');
  await userEvent.click(await screen.findByText('As a list'));
  const both = screen.getByRole('link', { name: /^(By hand and Fine kites|Fine kites and By hand): 2$/ });
  expect(screen.getByText('in 2 collections').nextElementSibling!.nextElementSibling!.textContent).toBe('2');
  expect(screen.getByRole('link', { name: 'all 1 as a list' })).toBeTruthy();
  await userEvent.click(both);
  expect(await screen.findByRole('heading', { name: 'the goods' })).toBeTruthy();
});
