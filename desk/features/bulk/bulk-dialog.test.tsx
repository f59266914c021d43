/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { bulkActions, type BulkKey } from '../../../core/bulk/bulk-actions';
import { startShop } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { BulkDialog } from './bulk-dialog';

const server = onServer(() => startShop({ 'Harrier delta': 6_400, 'Wren sled': 1_850 }));
const prices = () => server().ids.map((id) => server().catalog.working.products.get(id)!.variants[0]!.price);
const close = jest.fn();
const open = (action: BulkKey) => draw(<BulkDialog action={action} which={{ ids: server().ids }} close={close} />);

test.each(Object.keys(bulkActions) as BulkKey[])(
  '%s has a form under its own name, and nothing is done unasked',
  async (key) => {
    open(key);
    const dialog = await screen.findByRole('dialog', { name: new RegExp(bulkActions[key].name) });
    const doIt = within(dialog).getAllByRole<HTMLButtonElement>('button').at(-1)!;
    expect(doIt.textContent).toMatch(/^(Change|Delete) /);
    if (key !== 'delete') expect(doIt.disabled).toBe(true);
  },
);

test('what becomes of each is shown before it is done, and then done as one change', async () => {
  const { unmount } = open('price');
  await userEvent.type(await screen.findByLabelText('Change by (use a minus to lower)'), '10');
  const list = screen.getByRole('list', { name: 'What would change' });
  await waitFor(() => expect(list.textContent).toContain('€70.40'));
  expect(prices()).toEqual([6_400, 1_850]);
  await userEvent.click(await screen.findByRole('button', { name: 'Change 2 products' }));
  await waitFor(() => expect(prices()).toEqual([7_040, 2_035]));
  expect(close).toHaveBeenCalled();
  unmount();
});

test('a reading that cannot be is told, and leaves nothing to do', async () => {
  open('price');
  await userEvent.type(await screen.findByLabelText('Change by (use a minus to lower)'), 'a lot');
  await userEvent.tab();
  expect(await screen.findByText('Type a percentage, such as 4 or −10.')).toBeTruthy();
  expect(screen.getAllByRole<HTMLButtonElement>('button').at(-1)!.disabled).toBe(true);
});
