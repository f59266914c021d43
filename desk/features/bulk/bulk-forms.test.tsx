/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRoutes } from 'react-router';
import type { BulkKey } from '../../../core/bulk/bulk-actions';
import { addProduct, startShop } from '../../../server/testing/harness';
import { choose, complete, draw, retype } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { BulkDialog } from './bulk-dialog';
import { MergeDialog } from './merge-dialog';
import { SplitDialog } from './split-dialog';

const groups: Record<string, string> = {};
const server = onServer(async () => {
  const made = await startShop({ 'Harrier delta': 6_400, 'Wren sled': 1_850 });
  const make = async (path: string, name: string) => (await made.call<{ id: string }>('POST', path, { name })).body.id;
  groups.calm = await make('/api/tags', 'calm');
  groups.kites = await make('/api/categories', 'Kites');
  groups.lark = await make('/api/brands', 'Lark');
  return made;
});
const products = () => server().ids.map((id) => server().catalog.working.products.get(id)!);
const close = jest.fn();
const open = (action: BulkKey) => draw(<BulkDialog action={action} which={{ ids: server().ids }} close={close} />);
const doIt = async (words = 'Change 2 products') => {
  const button = await screen.findByRole('button', { name: words });
  await waitFor(() => expect((button as HTMLButtonElement).disabled).toBe(false));
  await userEvent.click(button);
};
const become = (part: object) => waitFor(() => expect(products()).toMatchObject([part, part]));
beforeEach(() => close.mockClear());

test('tags are added, then taken away; a category is set instead of what they have', async () => {
  const first = open('tags');
  await complete('Tag', 'calm');
  await doIt();
  await become({ tagIds: [groups.calm] });
  first.unmount();
  const second = open('tags');
  await choose('How', 'Take away');
  await complete('Tag', 'calm');
  await doIt();
  await become({ tagIds: [] });
  second.unmount();
  open('categories');
  await choose('How', 'Set, instead');
  await complete('Category', 'Kites');
  await doIt();
  await become({ categoryIds: [groups.kites] });
});

test('a brand is given, and taken away from all', async () => {
  const first = open('brand');
  await complete('Brand', 'Lark');
  await doIt();
  await become({ brandId: groups.lark });
  first.unmount();
  open('brand');
  await complete('Brand', 'No br', 'No brand');
  await doIt();
  await become({ brandId: null });
});

test('a supplier is typed; standing, featuring, tax and pictures are one choice each', async () => {
  const first = open('supplier');
  await userEvent.type(await screen.findByRole('combobox', { name: 'Supplier' }), 'Harbour Cloth');
  await doIt();
  await become({ supplier: 'Harbour Cloth' });
  first.unmount();
  for (const [action, words, part] of [
    ['featured', /^featured, after/, { featured: true }],
    ['taxClass', /^Reduced/i, { taxClass: 'reduced' }],
    ['status', /^drafts/, { status: 'draft' }],
    ['status', /^on the shop/, { status: 'live' }],
  ] as const) {
    const drawn = open(action);
    await userEvent.click(await screen.findByRole('radio', { name: words }));
    await doIt();
    await become(part);
    drawn.unmount();
  }
});

test('stock is set for every variant and stays in its field; what cannot be read leaves nothing to do', async () => {
  open('stock');
  const pieces = await screen.findByLabelText<HTMLInputElement>('Pieces, for every variant');
  await userEvent.type(pieces, '12');
  await userEvent.tab();
  expect(pieces.value).toBe('12');
  const button = await screen.findByRole<HTMLButtonElement>('button', { name: 'Change 2 products' });
  await retype(pieces, '12 or so');
  expect(await screen.findByText('Type a whole number.')).toBeTruthy();
  // It was 12 a moment ago, which is not what stands in the field now.
  expect(button.disabled).toBe(true);
  await retype(pieces, '7');
  await doIt();
  await waitFor(() => expect(products().map(({ variants }) => variants[0]!.stock)).toEqual([7, 7]));
});

test('pieces are added and taken off, and counting can be stopped', async () => {
  const first = open('stock');
  await choose('Stock of every variant', 'Add to it');
  await userEvent.type(await screen.findByLabelText('Pieces, for every variant'), '-3');
  await doIt();
  await waitFor(() => expect(products().map(({ variants }) => variants[0]!.stock)).toEqual([4, 4]));
  first.unmount();
  open('stock');
  await choose('Stock of every variant', 'Stop counting it');
  await doIt();
  await waitFor(() => expect(products().map(({ variants }) => variants[0]!.stock)).toEqual([null, null]));
});

test('prices are made from one price, with an ending and a floor', async () => {
  open('price');
  await choose('Change prices', 'to one price');
  await userEvent.type(await screen.findByLabelText('Price'), '20.40');
  await choose('Rounded', 'to end in .90');
  await choose('Which way', 'upwards');
  expect(await screen.findAllByText('€20.90')).toHaveLength(2);
  await doIt();
  await waitFor(() => expect(products().map(({ variants }) => variants[0]!.price)).toEqual([2_090, 2_090]));
});

test('a sale is made and ended', async () => {
  const first = open('sale');
  await userEvent.type(await screen.findByLabelText('Off the price'), '50 %');
  await doIt();
  await waitFor(() => expect(products().map(({ variants }) => variants[0]!.salePrice)).toEqual([1_045, 1_045]));
  first.unmount();
  open('sale');
  await choose('Sale', 'End their sale');
  await doIt();
  await waitFor(() => expect(products().map(({ variants }) => variants[0]!.salePrice)).toEqual([null, null]));
});

test('of delivery only what is ticked is changed', async () => {
  open('delivery');
  const [weight] = await screen.findAllByLabelText('Weight');
  await userEvent.click(weight!);
  await userEvent.type(screen.getByPlaceholderText('350 g'), '1.2 kg');
  await userEvent.click(screen.getByRole('checkbox', { name: 'Days to dispatch' }));
  await userEvent.type(screen.getByRole('textbox', { name: 'Days to dispatch' }), '3');
  await userEvent.click(screen.getByRole('checkbox', { name: 'Days to dispatch' }));
  await doIt();
  await become({ weight: 1_200, dispatchDays: null });
});

test('what stays as it is is counted apart, and can be looked at alone', async () => {
  await server().call('PATCH', `/api/products/${server().ids[0]}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { featured: false },
  });
  open('featured');
  await userEvent.click(await screen.findByRole('radio', { name: /^featured, after/ }));
  expect(await screen.findByText('1 is so already')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: '1 change' }));
  const list = screen.getByRole('list', { name: 'What would change' });
  await waitFor(() => expect(within(list).queryByText('Wren sled')).toBeNull());
  expect(within(list).getByText('Harrier delta')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(close).toHaveBeenCalledTimes(1);
  expect(products()[0]!.featured).toBe(false);
});

describe('products become one, and one becomes several', () => {
  const Screens = ({ of }: { of: React.ReactNode }) =>
    useRoutes([
      { path: '/', element: of },
      { path: '/goods/:id', element: <h1>the product</h1> },
    ]);

  test('what their titles differ by tells them apart; a second click makes no second one', async () => {
    const small = (await addProduct(server(), 'Dune box, small', 4_000)).product.id;
    const large = (await addProduct(server(), 'Dune box, large', 6_000)).product.id;
    const drawn = draw(<Screens of={<MergeDialog which={{ ids: [small, large] }} close={close} />} />);
    expect((await screen.findByLabelText<HTMLInputElement>('Value of Dune box, small')).value).toBe('small');
    await retype(screen.getByLabelText('Value of Dune box, large'), ' ');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Merge them' }).disabled).toBe(true);
    await retype(screen.getByLabelText('Value of Dune box, large'), 'large');
    const before = server().catalog.working.products.size;
    await userEvent.dblClick(screen.getByRole('button', { name: 'Merge them' }));
    expect(await screen.findByRole('heading', { name: 'the product' })).toBeTruthy();
    expect(server().catalog.working.products.size).toBe(before - 1);
    const { options, variants } = server().catalog.working.products.get(small)!;
    expect(options[0]!.values.map(({ name }) => name)).toEqual(['small', 'large']);
    expect(variants.map(({ price }) => price)).toEqual([4_000, 6_000]);
    drawn.unmount();
    draw(<Screens of={<SplitDialog id={small} close={close} />} />);
    await userEvent.click(await screen.findByRole('radio', { name: /^Size/ }));
    const becomes = screen.getByRole('list', { name: 'What it becomes' });
    expect(becomes.textContent).toMatch(/small – stays where it is.*large/);
    await userEvent.dblClick(screen.getByRole('button', { name: 'Split it' }));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(server().catalog.working.products.get(small)!.variants).toHaveLength(1);
    expect(JSON.parse(localStorage.getItem('dispona.tray')!)).toMatchObject({ ids: [small, expect.any(String)] });
  });
});

test('deleting says how many, and takes them', async () => {
  open('delete');
  await doIt('Delete 2 products');
  await waitFor(() => expect(server().ids.some((id) => server().catalog.working.products.has(id))).toBe(false));
});
