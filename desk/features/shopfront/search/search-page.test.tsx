/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { SearchPage } from './search-page';

const server = onServer(() => startShop({ 'Tern delta': 1_000, 'Wren sled': 2_000 }));

test('a search tells how it was read, and why each product is found', async () => {
  const { router } = draw(<SearchPage />, '/?view=search');
  await userEvent.type(screen.getByLabelText('Search as a shopper would'), 'deltas zeppelin');
  const read = await screen.findByRole('list', { name: 'How it is read' });
  await waitFor(() => expect(within(read).getByText(/ignored/)).toBeTruthy());
  expect(await screen.findByText('One product is found.')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Tern delta' })).toBeTruthy();
  expect(screen.getByText(/in the title, as “delta”/)).toBeTruthy();
  expect(router.state.location.search).toBe('?view=search&q=deltas+zeppelin');
});

test('words that mean the same are saved as they are typed, and a line that cannot be is said', async () => {
  draw(<SearchPage />, '/?view=search&q=glider');
  expect(await screen.findByText('Nothing found')).toBeTruthy();
  const field = screen.getByLabelText('Words that mean the same');
  await userEvent.type(field, 'glider');
  await userEvent.tab();
  expect((await screen.findAllByText(/stands alone in its line/)).length).toBeGreaterThan(0);
  await userEvent.type(field, ' > sled');
  await userEvent.tab();
  await waitFor(() =>
    expect(server().catalog.working.shop.settings.synonyms).toEqual([{ from: ['glider'], to: ['sled'] }]),
  );
});
