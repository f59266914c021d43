/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Outlet, useRoutes } from 'react-router';
import { startShop } from '../../../../server/testing/harness';
import { tray } from '../../../shared/tray-store';
import { complete, draw, retype } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { GoodsPage } from '../goods-page';

const server = onServer(() => startShop({ 'Harrier delta': 6_400, 'Wren sled': 1_850, 'Dune box': 9_900 }));
beforeEach(() => {
  tray.empty();
  localStorage.clear();
});
const product = (title: string) =>
  [...server().catalog.working.products.values()].find((each) => each.title.startsWith(title))!;

function Screen() {
  return useRoutes([
    {
      element: <Outlet context={{ newProduct: jest.fn(), orderFeatured: jest.fn() }} />,
      children: [
        { path: '/goods', element: <GoodsPage /> },
        { path: '/groups/:id', element: <h1>the collection</h1> },
      ],
    },
  ]);
}
const open = async (address = '/goods') => {
  const drawn = draw(<Screen />, address);
  await screen.findByText(/^\d+ products|^\d+ of \d+/);
  return drawn;
};
const titles = () =>
  screen.getAllByRole('row').flatMap((row) => /Harrier delta|Wren sled|Dune box/.exec(row.textContent)?.[0] ?? []);

describe('the left column', () => {
  test('the ends of a range are typed; what is no number stays, says so, and narrows nothing', async () => {
    const { router } = await open();
    await userEvent.click(within(screen.getByRole('complementary')).getByRole('button', { name: 'Price' }));
    const from = await screen.findByLabelText('Price from');
    await userEvent.type(from, 'dear{Enter}');
    expect(await screen.findByText('Type an amount, like 24.50.')).toBeTruthy();
    expect(screen.getByDisplayValue('dear')).toBe(from);
    expect(titles()).toHaveLength(3);
    await retype(from, '20');
    await userEvent.tab();
    await waitFor(() => expect(titles().sort()).toEqual(['Dune box', 'Harrier delta']));
    await userEvent.type(screen.getByLabelText('Price up to'), '70{Enter}');
    await waitFor(() => expect(titles()).toEqual(['Harrier delta']));
    expect(decodeURIComponent(router.state.location.search)).toContain('price');
    await retype(screen.getByLabelText('Price from'), ' ');
    await userEvent.tab();
    await waitFor(() => expect(titles().sort()).toEqual(['Harrier delta', 'Wren sled']));
  });

  test('fields that are seldom asked for wait behind one line, which is remembered', async () => {
    const first = await open();
    expect(screen.queryByRole('button', { name: /^Kind/ })).toBeNull();
    await userEvent.click(await screen.findByRole('button', { name: /^More fields/ }));
    expect(await screen.findByRole('button', { name: /^Kind/ })).toBeTruthy();
    first.unmount();
    await open();
    expect(await screen.findByRole('button', { name: /^Kind/ })).toBeTruthy();
  });
});

describe('the list', () => {
  test('a head sorts from the highest, then from the lowest, then as usual', async () => {
    const { router } = await open();
    const price = (await screen.findAllByTitle('Click to sort, drag to move')).find((each) =>
      /^Price/.test(each.textContent),
    )!;
    await userEvent.click(price);
    await waitFor(() => expect(titles()).toEqual(['Dune box', 'Harrier delta', 'Wren sled']));
    await userEvent.click(price);
    await waitFor(() => expect(titles()).toEqual(['Wren sled', 'Harrier delta', 'Dune box']));
    await userEvent.click(price);
    await waitFor(() => expect(router.state.location.search).not.toContain('sort'));
  });

  test('a column is made wider with the arrow keys, and stays so', async () => {
    const first = await open();
    const edge = await screen.findByRole('separator', { name: 'Width of Price' });
    const before = Number(edge.getAttribute('aria-valuenow'));
    edge.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowLeft}');
    await waitFor(() => expect(edge.getAttribute('aria-valuenow')).toBe(String(before + 12)));
    first.unmount();
    await open();
    const again = await screen.findByRole('separator', { name: 'Width of Price' });
    expect(again.getAttribute('aria-valuenow')).toBe(String(before + 12));
  });

  test('a price is changed beside its cell; what is no price is said there, and Escape leaves it', async () => {
    await open();
    const cell = () => screen.findByRole('button', { name: /^Change the price of Wren sled/ });
    await userEvent.click(await cell());
    const field = await within(await screen.findByRole('dialog')).findByRole('textbox');
    await retype(field, 'cheap');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Type an amount, like 24.50.')).toBeTruthy();
    await retype(field, '19.20');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(product('Wren').variants[0]!.price).toBe(1_920));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await userEvent.click(await cell());
    await userEvent.keyboard('{Escape}');
    expect(product('Wren').variants[0]!.price).toBe(1_920);
  });

  test('stock and standing are changed beside their cells', async () => {
    await open();
    await userEvent.click(await screen.findByRole('button', { name: /^Change the stock of Dune box/ }));
    await retype(await within(await screen.findByRole('dialog')).findByLabelText('In stock'), '7{Enter}');
    await waitFor(() => expect(product('Dune').variants[0]!.stock).toBe(7));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await userEvent.click(await screen.findByRole('button', { name: /^Change the status of Dune box/ }));
    await userEvent.click(await screen.findByRole('button', { name: 'Draft', pressed: false }));
    await waitFor(() => expect(product('Dune').status).toBe('draft'));
  });

  test('one product is featured, and not any more, at a click each', async () => {
    await open();
    await userEvent.click(await screen.findByRole('button', { name: 'Wren sled featured' }));
    await waitFor(() => expect(product('Wren').featured).toBe(true));
  });
});

describe('conditions', () => {
  test('a condition is added from the list of fields, changed, turned round and taken away', async () => {
    await open();
    await userEvent.click(await screen.findByRole('button', { name: 'Add a condition' }));
    await complete('Field to narrow by', 'Price');
    const chip = await screen.findByTitle('Change this condition');
    await userEvent.click(chip);
    await retype(await screen.findByLabelText('Value of Price'), '50');
    await waitFor(() => expect(titles()).toHaveLength(1));
    const [only] = titles();
    await userEvent.click(screen.getByRole('button', { name: /^Turn round/ }));
    await waitFor(() => expect(titles()).toHaveLength(2));
    expect(titles()).not.toContain(only);
  });

  test('words that are typed are completed with Tab and become a chip with Enter', async () => {
    const { router } = await open();
    const find = screen.getByLabelText('Search the goods, or type a condition');
    await userEvent.type(find, 'pric');
    expect(await screen.findByRole('listbox', { name: 'How it could go on' })).toBeTruthy();
    await userEvent.keyboard('{Tab}');
    expect((find as HTMLInputElement).value).toMatch(/^price/i);
    await retype(find, 'price above 60{Enter}');
    await waitFor(() => expect(titles().sort()).toEqual(['Dune box', 'Harrier delta']));
    expect(await screen.findByTitle('Change this condition')).toBeTruthy();
    expect((find as HTMLInputElement).value).toBe('');
    expect(decodeURIComponent(router.state.location.search)).toMatch(/price/);
  });
});

describe('what narrows the goods is kept', () => {
  const keepAs = async (what: RegExp, name: string) => {
    await userEvent.click(await screen.findByRole('button', { name: 'Keep as …' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: what }));
    await userEvent.type(await screen.findByLabelText('Name'), name);
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }));
  };

  test('as a view, which finds them again and can be deleted; one of the same name is refused', async () => {
    const first = await open('/goods?q=price+above+60');
    await waitFor(() => expect(titles()).toHaveLength(2));
    await keepAs(/^View/, 'Dear ones');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await keepAs(/^View/, 'Dear ones');
    expect(await screen.findByRole('alert')).toBeTruthy();
    first.unmount();
    await open();
    await waitFor(() => expect(titles()).toHaveLength(3));
    await userEvent.click(await screen.findByRole('button', { name: 'Views' }));
    await userEvent.click(await screen.findByRole('button', { name: /^Dear ones/ }));
    await waitFor(() => expect(titles()).toHaveLength(2));
    await userEvent.click(screen.getByRole('button', { name: 'Views' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Delete the view Dear ones' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Delete the view Dear ones' })).toBeNull());
  });

  test('as a collection, which asks the words of the title', async () => {
    await open('/goods?q=harrier');
    await waitFor(() => expect(titles()).toEqual(['Harrier delta']));
    await keepAs(/^Collection/, 'Harriers');
    expect(await screen.findByRole('heading', { name: 'the collection' })).toBeTruthy();
    const [shelf] = [...server().catalog.working.shop.collections.values()];
    expect(shelf).toMatchObject({
      name: 'Harriers',
      rule: { of: [{ field: 'title', is: 'contains', value: 'harrier' }] },
    });
  });
});
