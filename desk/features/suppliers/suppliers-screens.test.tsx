/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { startShop } from '../../../server/testing/harness';
import { tray } from '../../shared/tray-store';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { SuppliersPage } from './suppliers-page';

const server = onServer(async () => {
  const made = await startShop({ Tern: 3_900, Wren: 2_400, Heron: 5_900 });
  await made.call('PATCH', `/api/products/${made.ids[0]}`, { seen: 999, fields: { supplier: 'Windwerk' } });
  return made;
});
beforeEach(() => tray.empty());

const page = (
  <Routes>
    <Route path="/suppliers/:id?" element={<SuppliersPage />} />
  </Routes>
);
const add = async (name: string) => (await server().call<{ id: string }>('POST', '/api/suppliers', { name })).body.id;
const give = (id: string, at: number) =>
  server().call('POST', `/api/suppliers/${id}/goods`, { productIds: [server().ids[at]], main: true });

test('a name that goods tell is kept with details, which save themselves or say what is wrong with them', async () => {
  draw(page, '/suppliers');
  expect(await screen.findByText('No suppliers yet')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Keep details of Windwerk' }));
  const mail = await screen.findByLabelText('Mail');
  await userEvent.type(mail, 'mara at windwerk');
  await userEvent.tab();
  expect((await screen.findByRole('alert')).textContent).toMatch(/e-mail address/);
  await userEvent.clear(mail);
  await userEvent.type(mail, 'mara@windwerk.example');
  await userEvent.type(screen.getByLabelText('Delivery time in days'), '9');
  await waitFor(async () => {
    const { suppliers } = (
      await server().call<{ suppliers: { name: string; email: string; deliveryDays: number }[] }>(
        'GET',
        '/api/suppliers',
      )
    ).body;
    expect(suppliers[0]).toMatchObject({ name: 'Windwerk', email: 'mara@windwerk.example', deliveryDays: 9 });
  });
});

test('a second one of the same name is refused at the field, and what was typed stays', async () => {
  await add('Loft & Sons');
  draw(page, '/suppliers');
  const field = await screen.findByLabelText('Name of a new supplier');
  await userEvent.type(field, 'LOFT & sons{Enter}');
  expect((await screen.findByRole('alert')).textContent).toMatch(/already a supplier/);
  expect((field as HTMLInputElement).value).toBe('LOFT & sons');
});

test('goods in the tray are added as a rule or as well, and those as well are taken off again', async () => {
  const id = await add('Cloth House');
  tray.freeze([server().ids[1]!]);
  draw(page, `/suppliers/${id}?part=goods`);
  await userEvent.click(await screen.findByRole('button', { name: 'as well' }));
  await userEvent.click(screen.getByRole('button', { name: 'Add 1 from the tray' }));
  const row = (await screen.findByRole('link', { name: /Wren/ })).closest('tr')!;
  expect(within(row).getByText('as well')).toBeTruthy();
  await userEvent.type(within(row).getByLabelText('Their number of Wren'), 'CH-1{Enter}');
  await waitFor(() => expect(screen.getByDisplayValue('CH-1')).toBeTruthy());
  await userEvent.click(screen.getByRole('button', { name: 'Not from here: Wren' }));
  expect(await screen.findByText('Nothing comes from here yet')).toBeTruthy();
});

test('what is missing to the smallest order is told; the order is printed as it is typed', async () => {
  const id = await add('Rod Works');
  await give(id, 2);
  await server().call('PATCH', `/api/suppliers/${id}`, { smallestOrder: 20_000, accountNumber: 'LL-9' });
  const { product } = (
    await server().call<{ product: { variants: { id: string }[] } }>('GET', `/api/products/${server().ids[2]}`)
  ).body;
  const changes = [{ id: product.variants[0]!.id, fields: { stock: 0, warnAt: 2, cost: 2_500 } }];
  await server().call('PATCH', `/api/products/${server().ids[2]}/variants`, { seen: 999, changes });
  let printed = '';
  window.print = () => void (printed = document.querySelector('.on-paper')?.textContent ?? '');
  draw(page, `/suppliers/${id}?part=order`);
  const pieces = await screen.findByLabelText('Pieces of Heron');
  expect((pieces as HTMLInputElement).value).toBe('3');
  expect(screen.getByRole('status').textContent).toMatch(/€125\.00 are missing to their smallest order of €200\.00/);
  await userEvent.clear(pieces);
  await userEvent.type(pieces, '8');
  expect(screen.queryByRole('status')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Print' }));
  await waitFor(() => expect(printed).toMatch(/Order to Rod Works.*LL-9.*Heron8€25\.00€200\.00/));
  await userEvent.clear(pieces);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Order as CSV' }).disabled).toBe(true);
});

test('deleting asks first, with how many goods it touches', async () => {
  const id = await add('Old Loft');
  await give(id, 1);
  draw(page, `/suppliers/${id}`);
  await userEvent.click(await screen.findByRole('button', { name: 'Delete this supplier' }));
  const dialog = await screen.findByRole('dialog');
  expect(dialog.textContent).toMatch(/1 product is ordered from nobody then/);
  await userEvent.click(within(dialog).getByRole('button', { name: 'Delete it' }));
  await waitFor(() => expect(screen.queryByRole('link', { name: /Old Loft/ })).toBeNull());
});
