/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { addProduct, startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { ReviewPage } from './review-page';

let harrier: string;
const server = onServer(async () => {
  const made = await startServer();
  harrier = (await addProduct(made, 'Harrier delta', 6_400)).product.id;
  await made.call('POST', '/api/editions', { label: 'First kites' });
  return made;
});
const rename = (title: string) =>
  server().call('PATCH', `/api/products/${harrier}`, { seen: Number.MAX_SAFE_INTEGER, fields: { title } });

test('with nothing changed, shoppers see everything', async () => {
  draw(<ReviewPage />);
  expect(await screen.findByText('Shoppers see everything you have')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /live$/ })).toBeNull();
  expect(await screen.findByText(/First kites/)).toBeTruthy();
});

test('a changed title is told with what it was, and put live under the words that were typed', async () => {
  await rename('Harrier delta, large');
  draw(<ReviewPage />);
  const put = await screen.findByRole('button', { name: 'Put 1 change live' });
  expect(screen.getAllByText('Harrier delta, large').length).toBeGreaterThan(0);
  expect(screen.getByText('Harrier delta')).toBeTruthy();
  await userEvent.type(screen.getByLabelText('What this edition is about'), 'Larger');
  await userEvent.click(put);
  expect(await screen.findByText('Shoppers see everything you have')).toBeTruthy();
  expect(server().catalog.live.shop.products.get(harrier)!.title).toBe('Harrier delta, large');
  expect(await screen.findByText(/Larger/)).toBeTruthy();
});

test('going back asks first, and makes the older edition live again', async () => {
  draw(<ReviewPage />);
  const older = (await screen.findByText(/First kites/)).closest('li')!;
  await userEvent.click(within(older).getByRole('button', { name: 'Go back to this' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.click(within(dialog).getAllByRole('button').at(-1)!);
  await waitFor(() => expect(server().catalog.live.shop.products.get(harrier)!.title).toBe('Harrier delta'));
});
