/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { readBackupPlan } from '../../../server/store/backup-plan';
import { startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { ExchangePage } from './exchange-page';

const server = onServer(startServer);

test('a backup is planned, made and deleted after a question', async () => {
  const { client } = draw(<ExchangePage />, '/exchange?part=backups');
  expect(await screen.findByText('There is no backup yet.')).toBeTruthy();
  expect(screen.getByRole('tab', { name: 'Backups' }).getAttribute('aria-selected')).toBe('true');
  await userEvent.click(screen.getByRole('button', { name: /How many are kept/ }));
  await userEvent.click(await screen.findByRole('option', { name: 'the last 14' }));
  await waitFor(() => expect(readBackupPlan(server().catalog.db).keep).toBe(14));
  await userEvent.click(screen.getByRole('checkbox', { name: 'Make a backup every night' }));
  await waitFor(() => expect(readBackupPlan(server().catalog.db)).toMatchObject({ nightly: false, keep: 14 }));
  await userEvent.click(screen.getByRole('button', { name: 'Make a backup now' }));
  await waitFor(async () => expect(await server().shop.backups.list()).toHaveLength(1), { timeout: 15_000 });
  // As the server would tell it, if this page listened.
  await client.invalidateQueries({ queryKey: ['jobs'] });
  const list = within(await screen.findByRole('region', { name: 'Backups' }));
  await waitFor(() => expect(list.getByRole('link').getAttribute('href')).toMatch(/^\/api\/backups\/shop-/), {
    timeout: 15_000,
  });
  await userEvent.click(list.getByRole('button', { name: 'Delete' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Delete it' }));
  expect(await screen.findByText('There is no backup yet.')).toBeTruthy();
}, 40_000);

test('a helper is told whom to ask', async () => {
  server().catalog.db.prepare(`UPDATE user SET role = 'helper'`).run();
  draw(<ExchangePage />, '/exchange?part=backups');
  expect(await screen.findByText(/Ask an owner of the shop/)).toBeTruthy();
});
