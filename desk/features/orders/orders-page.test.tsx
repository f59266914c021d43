/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { OrdersPage } from './orders-page';

const server = onServer(async () => {
  const made = await startShop({ Tern: 1_000 });
  await made.call('POST', '/api/editions', {});
  return made;
});
const asked = (text: string) =>
  server().call('POST', '/shop-api/questions', { slug: 'tern', email: 'ada@example.com', text });

test('an answer that is being written is kept, is sent, and then stands among the letters', async () => {
  await asked('How wide is it?');
  const first = draw(<OrdersPage />, '/?part=questions');
  await userEvent.type(await screen.findByLabelText('Answer to ada@example.com'), 'Two metres');
  first.unmount();
  draw(<OrdersPage />, '/?part=questions');
  expect(await screen.findByDisplayValue('Two metres')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Answer' }));
  expect(await screen.findByText('All questions are answered.')).toBeTruthy();
  await userEvent.click(screen.getByRole('tab', { name: 'Mail sent 1' }));
  expect(await screen.findByText('Your question about Tern')).toBeTruthy();
  expect(screen.getByText(/nothing leaves this machine/)).toBeTruthy();
});

test('a question can be put away without an answer; an empty answer cannot be sent', async () => {
  await asked('Does it float?');
  draw(<OrdersPage />, '/?part=questions');
  const answer = await screen.findByRole('button', { name: 'Answer' });
  expect((answer as HTMLButtonElement).disabled).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'No answer needed' }));
  expect(await screen.findByText('All questions are answered.')).toBeTruthy();
  expect(within(screen.getByRole('region', { name: 'Done' })).getByText('Does it float?')).toBeTruthy();
});

test('who waits stands by what they wait for', async () => {
  const variant = server().catalog.working.shop.products.get(server().ids[0]!)!.variants[0]!.id;
  for (const email of ['ada@example.com', 'bo@example.com'])
    await server().call('POST', '/shop-api/back-notes', { slug: 'tern', variant, email });
  draw(<OrdersPage />, '/?part=waiting');
  await waitFor(() => expect(screen.getByText(/2 people have been waiting/)).toBeTruthy());
  expect(screen.getByRole('link', { name: 'Tern' })).toBeTruthy();
});
