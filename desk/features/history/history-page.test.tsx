/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { addProduct, startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { HistoryPage } from './history-page';

let wren: string;
const server = onServer(async () => {
  const made = await startServer();
  wren = (await addProduct(made, 'Wren sled', 1_850)).product.id;
  return made;
});
const line = async (words: RegExp) => (await screen.findByText(words)).closest('li')!;

test('what was done is told by day, newest first, with old and new values', async () => {
  await server().call('PATCH', `/api/products/${wren}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { supplier: 'Rods & Reels' },
  });
  draw(<HistoryPage />);
  expect((await line(/Changed supplier of “Wren sled”/)).textContent).toContain('Rods & Reels');
  const told = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
  expect(told.findIndex((each) => each.includes('supplier'))).toBeLessThan(
    told.findIndex((each) => each.includes('Added “Wren sled”')),
  );
});

test('a change is taken back from here, and can then be done again', async () => {
  draw(<HistoryPage />);
  const change = await line(/Changed supplier of “Wren sled”/);
  await userEvent.click(within(change).getByRole('button', { name: 'Take back' }));
  await waitFor(() => expect(server().catalog.working.products.get(wren)!.supplier).toBe(''));
});
