/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Settings } from '../../../core/model/settings';
import { usualSelling } from '../../../core/model/selling';
import { placeOrder } from '../../../server/orders/checkout';
import { startShop } from '../../../server/testing/harness';
import { emptyBasket, entryKey } from '../../../core/model/basket';
import { draw } from '../../testing/desk';
import { holdAnswers, onServer } from '../../testing/real-fetch';
import { OrdersPage } from './orders-page';

const server = onServer(async () => {
  const made = await startShop({ Tern: 2_000, Wren: 1_000 });
  await made.call('POST', '/api/editions', {});
  return made;
});

/** An order of two terns and a wren, as a shopper places it. */
function order(name: string) {
  const { catalog, ids } = server();
  const entries = ids.map((productId, i) => {
    const { variants } = catalog.live.shop.products.get(productId)!;
    const base = { productId, variantId: variants[0]!.id, parts: [], value: null };
    return { ...base, key: entryKey(base), quantity: i === 0 ? 2 : 1, seen: null };
  });
  return placeOrder(
    catalog,
    catalog.live.shop,
    { ...emptyBasket, entries },
    {
      email: `${name.toLowerCase()}@example.com`,
      name,
      phone: '',
      street: 'Harbour 1',
      more: '',
      postcode: '4401 AB',
      city: 'Yerseke',
      country: 'NL',
      note: 'Please ring twice.',
      deliveryId: usualSelling.delivery[0]!.id,
      paymentId: usualSelling.payments[0]!.id,
      agrees: true,
      attempt: `attempt-of-${name}-000000`,
      seen: '5595.2.1',
    },
    'https://shop.example',
  );
}

test('orders are found by name and by what became of them', async () => {
  order('Ada');
  const second = order('Bo');
  await server().call('POST', `/api/orders/${second.id}/paid`, {});
  draw(<OrdersPage />);
  expect(await screen.findByRole('link', { name: '1001' })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'paid 1' }));
  await waitFor(() => expect(screen.queryByText('Ada')).toBeNull());
  expect(screen.getByText('Bo')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'all 2' }));
  await userEvent.type(screen.getByLabelText('Search the orders'), 'nobody');
  expect(await screen.findByText('No order matches')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Show all orders' }));
  expect(await screen.findByText('Ada')).toBeTruthy();
});

test('an order is paid, sent in parcels and paid back in part; what cannot be is said at the field', async () => {
  const { id } = order('Ada');
  draw(<OrdersPage />, `/orders/${id}`);
  // The address of the test router has no parameters: the page is drawn by its own component.
  const { OrderPage } = await import('./order-page');
  draw(<OrderPage id={id} />);
  expect(await screen.findByText(/Please ring twice/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'It is paid' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Send a parcel' }));
  const parcel = screen.getByRole('dialog');
  const terns = within(parcel).getByLabelText('Pieces of Tern');
  await userEvent.clear(terns);
  await userEvent.type(terns, '3');
  expect(within(parcel).getByText('0 to 2')).toBeTruthy();
  expect(within(parcel).getByRole<HTMLButtonElement>('button', { name: 'Send the parcel' }).disabled).toBe(true);
  await userEvent.clear(terns);
  await userEvent.type(terns, '1');
  await userEvent.type(within(parcel).getByLabelText('Tracking number'), 'LL 7');
  await userEvent.click(within(parcel).getByRole('button', { name: 'Send the parcel' }));
  expect(await screen.findByText('Sent 1 × Tern, 1 × Wren, tracking LL 7')).toBeTruthy();
  expect(screen.getByText('part sent')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Money back' }));
  const back = screen.getByRole('dialog');
  await userEvent.type(within(back).getByLabelText('Paid back'), '900');
  await userEvent.click(within(back).getByRole('button', { name: 'Pay it back' }));
  expect(await within(back).findByText('At most €55.95 can be paid back.')).toBeTruthy();
  await userEvent.clear(within(back).getByLabelText('Paid back'));
  await userEvent.type(within(back).getByLabelText('Paid back'), '5.50');
  await userEvent.click(within(back).getByRole('button', { name: 'Pay it back' }));
  expect(await screen.findByText('€5.50 paid back')).toBeTruthy();
});

test('what is typed while a note is on its way stays in its field', async () => {
  const { id } = order('Cleo');
  const { OrderPage } = await import('./order-page');
  draw(<OrderPage id={id} />);
  const note = await screen.findByLabelText<HTMLInputElement>('A note for yourself');
  await userEvent.type(note, 'Wants it wrapped');
  const release = holdAnswers();
  await userEvent.click(screen.getByRole('button', { name: 'Note it' }));
  await userEvent.type(note, ' in blue');
  release();
  expect(await screen.findByText('Wants it wrapped')).toBeTruthy();
  expect(note.value).toBe('Wants it wrapped in blue');
  await userEvent.click(screen.getByRole('button', { name: 'Note it' }));
  await waitFor(() => expect(note.value).toBe(''));
});

test('a way of delivery and a way to pay are changed, and what cannot be stays with its reason', async () => {
  draw(<OrdersPage />, '/?part=selling');
  await userEvent.click(await screen.findByText('Parcel'));
  const name = screen.getAllByLabelText('Name')[0]!;
  await userEvent.clear(name);
  expect(await screen.findByText('A way of delivery needs a name.')).toBeTruthy();
  await userEvent.type(name, 'By bike');
  const free = screen.getByLabelText('Free from this sum on');
  await userEvent.type(free, '60');
  await userEvent.click(screen.getByRole('button', { name: 'the basket as a page' }));
  await screen.findByText('saved just now');
  const { body } = await server().call<Settings>('GET', '/api/settings');
  expect(body.selling).toMatchObject({ button: 'basket', delivery: [{ name: 'By bike', freeFrom: 6_000 }] });
});
