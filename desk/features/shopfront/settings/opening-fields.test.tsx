/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../../server/testing/harness';
import { readOpening } from '../../../../server/store/opening';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { OpeningFields } from './opening-fields';

const server = onServer(() => startShop({ Tern: 1_000 }));
const opening = () => readOpening(server().catalog.db);

test('the shop is closed and opened at a click, and what is missing leads to its mend', async () => {
  draw(<OpeningFields />);
  const missing = await screen.findByRole('list', { name: 'Still missing' });
  expect(within(missing).getByRole('link', { name: 'The menu is empty.' }).getAttribute('href')).toBe(
    '/shopfront?view=menu',
  );
  await userEvent.click(screen.getByRole('button', { name: 'Close the shop' }));
  expect(await screen.findByRole('heading', { name: 'The shop is closed' })).toBeTruthy();
  expect(opening().isClosed).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Open the shop' }));
  expect(await screen.findByRole('heading', { name: 'The shop is open' })).toBeTruthy();
});

test('a message is saved while it is typed, and also when the dialog is closed in the middle of a word', async () => {
  const { unmount } = draw(<OpeningFields />);
  await userEvent.type(await screen.findByLabelText('What shoppers read while it is closed'), 'Back on Mon');
  unmount();
  await waitFor(() => expect(opening().message).toBe('Back on Mon'));
});

test('a password that is too short is refused at its field and stays as it was typed', async () => {
  draw(<OpeningFields />);
  await userEvent.type(await screen.findByLabelText('Password for visitors'), 'wind');
  await userEvent.click(screen.getByRole('button', { name: 'Set password' }));
  expect(await screen.findByText('At least 6 characters.')).toBeTruthy();
  await userEvent.type(screen.getByLabelText('Password for visitors'), ' and sand');
  await userEvent.click(screen.getByRole('button', { name: 'Set password' }));
  expect(await screen.findByLabelText('New password for visitors')).toBeTruthy();
  expect(opening().password).not.toContain('wind');
});
