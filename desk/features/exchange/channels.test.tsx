/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { readKeys } from '../../../server/store/api-keys';
import { startShop } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { ExchangePage } from './exchange-page';

const server = onServer(() => startShop({ Tern: 2_000, Wren: 1_000 }));
const feedNow = () => [...server().catalog.working.shop.feeds.values()][0]!;

test('a feed for a channel says what is refused; its prices and fields are changed, and a wrong name waits', async () => {
  draw(<ExchangePage />, '/exchange?part=channels');
  await userEvent.click(await screen.findByRole('button', { name: 'For Pier market' }));
  const verdicts = within(await screen.findByRole('region', { name: 'What Pier market takes' }));
  expect(await verdicts.findByText('2 refused')).toBeTruthy();
  expect(verdicts.getAllByText(/It has no barcode/)).toHaveLength(2);
  const dearer = screen.getByLabelText('Prices higher by');
  await userEvent.clear(dearer);
  await userEvent.type(dearer, '-5 %');
  await waitFor(() => expect(feedNow().dearer).toBe(-500));
  const name = screen.getByLabelText('Name of field 2');
  await userEvent.clear(name);
  await userEvent.type(name, 'a name');
  // Told at its field and beside the name of the feed, while the last whole name is kept.
  expect(await screen.findAllByText(/a letter first/)).toHaveLength(2);
  await waitFor(() => expect(feedNow().fields[1]!.name).toBe('a'));
  await userEvent.click(screen.getByRole('button', { name: 'Leave out “number”' }));
  await userEvent.clear(screen.getByLabelText('Name of field 1'));
  await userEvent.type(screen.getByLabelText('Name of field 1'), 'heading');
  await waitFor(() =>
    expect(
      feedNow()
        .fields.map(({ name: called }) => called)
        .slice(0, 2),
    ).toEqual(['heading', 'text']),
  );
  expect(await screen.findByText(/"heading":"/)).toBeTruthy();
}, 40_000);

test('a key is shown once, and taken back after a question', async () => {
  draw(<ExchangePage />, '/exchange?part=keys');
  await userEvent.click(await screen.findByRole('button', { name: 'Make the key' }));
  expect(await screen.findByText('It needs a name.')).toBeTruthy();
  await userEvent.type(screen.getByLabelText('For which program'), 'Stock program');
  await userEvent.click(screen.getByRole('checkbox', { name: /movements of stock/ }));
  await userEvent.click(screen.getByRole('button', { name: 'Make the key' }));
  const shown = await screen.findByLabelText<HTMLInputElement>('The new key');
  expect(shown.value).toMatch(/^dsp_/);
  expect(readKeys(server().catalog.db)[0]).toMatchObject({ name: 'Stock program', scopes: ['goods', 'stock'] });
  await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take it back' }));
  await waitFor(() => expect(readKeys(server().catalog.db)).toEqual([]));
}, 30_000);
