/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRoutes } from 'react-router';
import { addProduct, startServer } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { ProductPage } from './product-page';

let id: string;
const server = onServer(async () => {
  const made = await startServer();
  const { product } = await addProduct(made, 'Harrier delta', 6_400);
  id = product.id;
  const value = (name: string) => ({ id: null, name, swatch: null, pictureId: null });
  await made.call('PUT', `/api/products/${id}/options`, {
    seen: Number.MAX_SAFE_INTEGER,
    options: [{ id: null, name: 'Size', listId: null, values: ['S', 'M', 'L'].map(value) }],
    confirmed: true,
  });
  return made;
});
const product = () => server().catalog.working.products.get(id)!;
const variantsBy = (of: 'sku' | 'price' | 'cost') => product().variants.map((variant) => variant[of]);

function Screen() {
  return useRoutes([{ path: '/goods/:id', element: <ProductPage /> }]);
}
const open = async (of = id) => {
  draw(<Screen />, `/goods/${of}`);
  await screen.findByRole('heading', { level: 1 });
};
const cell = (column: string, size: string) => screen.getByLabelText<HTMLInputElement>(`${column}, ${size}`);
const paste = (into: HTMLElement, text: string) => fireEvent.paste(into, { clipboardData: { getData: () => text } });

test('a title is saved while one types, and its address follows while shoppers have not seen it', async () => {
  await open();
  const title = screen.getByLabelText<HTMLInputElement>('Title');
  await userEvent.clear(title);
  await userEvent.type(title, 'Harrier delta two');
  await waitFor(() => expect(product().title).toBe('Harrier delta two'));
});

test('what cannot be is said at the cell, and the cells beside it are saved', async () => {
  await open();
  await userEvent.clear(cell('Price', 'S'));
  await userEvent.type(cell('Price', 'S'), 'much');
  expect((await screen.findAllByText(/Type an amount/)).length).toBeGreaterThan(0);
  await userEvent.type(cell('SKU', 'M'), 'H-M');
  await waitFor(() => expect(variantsBy('sku')).toContain('H-M'));
  expect(cell('Price', 'S').value).toBe('much');
  await userEvent.clear(cell('Price', 'S'));
  await userEvent.type(cell('Price', 'S'), '59');
  await waitFor(() => expect(variantsBy('price')).toContain(5_900));
});

test('a block of a spreadsheet is pasted from a cell on, with quotation marks read as such', async () => {
  await open();
  paste(cell('SKU', 'S'), '"H ""small"""\t61\nH-2\t62\nH-3\t63\n');
  await waitFor(() => expect(variantsBy('sku')).toEqual(['H "small"', 'H-2', 'H-3']));
  expect(variantsBy('price')).toEqual([6_100, 6_200, 6_300]);
  paste(cell('SKU', 'L'), 'A\nB');
  expect(await screen.findByText(/has 2 rows, but only 1 fit from here. Nothing was pasted/)).toBeTruthy();
});

test('cells are picked with Shift, copied, filled with one value, filled down and emptied together', async () => {
  await open();
  cell('Cost', 'S').focus();
  await userEvent.keyboard('{Shift>}{ArrowDown}{ArrowDown}{/Shift}');
  expect(document.querySelectorAll('[data-picked]')).toHaveLength(3);
  paste(cell('Cost', 'S'), '20');
  await waitFor(() => expect(variantsBy('cost')).toEqual([2_000, 2_000, 2_000]));
  const copied = { setData: jest.fn() };
  fireEvent.copy(cell('Cost', 'S'), { clipboardData: copied });
  expect(copied.setData).toHaveBeenCalledWith('text/plain', '20.00\n20.00\n20.00');
  await userEvent.keyboard('{Delete}');
  await waitFor(() => expect(variantsBy('cost')).toEqual([null, null, null]));
  await userEvent.type(cell('Cost', 'S'), '31');
  await userEvent.keyboard('{Shift>}{ArrowDown}{ArrowDown}{/Shift}{Control>}d{/Control}');
  await waitFor(() => expect(variantsBy('cost')).toEqual([3_100, 3_100, 3_100]));
});

test('the price opens how it comes about', async () => {
  await open();
  await userEvent.click(screen.getByRole('button', { name: 'Why: price and margin of M' }));
  expect(await screen.findByRole('dialog')).toBeTruthy();
});

test('a product that is gone says so', async () => {
  draw(<Screen />, '/goods/p_gone000');
  expect(await screen.findByText('This product is gone')).toBeTruthy();
  expect(within(document.body).queryByLabelText('Title')).toBeNull();
});
