/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { SetUpPage } from './set-up-page';

const server = onServer(() => startServer());
const lineOf = async (title: string) => (await screen.findByRole('link', { name: title })).closest('li')!;

test('the first step that is open is the next one, and each leads to where it is done', async () => {
  draw(<SetUpPage />);
  const first = await lineOf('Say what the shop is about');
  expect(within(first).getByRole('link', { name: 'Do this next' }).getAttribute('href')).toBe(
    '/shopfront?view=settings',
  );
  expect(screen.getAllByRole('link', { name: 'Do this next' })).toHaveLength(1);
  expect((await screen.findByRole('link', { name: 'Give it a picture' })).getAttribute('href')).toBe('/goods');
});

test('with a product, its picture and price are done on its own page', async () => {
  const { body } = await server().call<{ product: { id: string } }>('POST', '/api/products', { title: 'Tern' });
  draw(<SetUpPage />);
  expect((await screen.findByRole('link', { name: 'Give it a picture' })).getAttribute('href')).toBe(
    `/goods/${body.product.id}`,
  );
  expect(within(await lineOf('Add your first product')).getByLabelText('done')).toBeTruthy();
});

test('a step is left as it is, and taken up again', async () => {
  draw(<SetUpPage />);
  await userEvent.click(within(await lineOf('Check the tax')).getByRole('button', { name: 'Leave it as it is' }));
  expect(await screen.findByText('left as it is')).toBeTruthy();
  await userEvent.click(within(await lineOf('Check the tax')).getByRole('button', { name: 'Do it after all' }));
  await waitFor(() => expect(screen.queryByText('left as it is')).toBeNull());
});

test('examples are loaded and removed', async () => {
  const own = server().catalog.working.shop.products.size;
  draw(<SetUpPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Load examples' }));
  expect(await screen.findByText(/6 example products are in the shop/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Remove them' }));
  expect(await screen.findByRole('button', { name: 'Load examples' })).toBeTruthy();
  expect(server().catalog.working.shop.products.size).toBe(own);
});
