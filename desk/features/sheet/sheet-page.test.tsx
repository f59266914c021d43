/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../server/testing/harness';
import { choose, draw, retype } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { SheetPage } from './sheet-page';

const server = onServer(() => startShop({ 'Harrier delta': 6_400, 'Wren sled': 1_850 }));
const prices = () => server().ids.map((id) => server().catalog.working.products.get(id)!.variants[0]!.price);

async function open(address = '/goods/sheet') {
  draw(<SheetPage />, address);
  return screen.findByRole('grid', { name: 'Sheet' });
}
const cell = (of: RegExp, column: number) =>
  screen.getByRole('row', { name: of }).querySelectorAll<HTMLElement>('[role="gridcell"]')[column]!;
/** Clicks a cell, and pastes where the cursor then is. */
async function pasteAt(into: HTMLElement, text: string): Promise<void> {
  await userEvent.click(into);
  fireEvent.paste(document.activeElement!, { clipboardData: { getData: () => text } });
}

test('only goods that the address asks for are in the sheet', async () => {
  await open(`/goods/sheet?q=${encodeURIComponent('wren')}`);
  expect(screen.getByText('1 variant of what was found')).toBeTruthy();
  expect(screen.queryByText('Harrier delta')).toBeNull();
});

test('a pasted block is saved as one change; what the server refuses is told, and holds up no other cell', async () => {
  await open();
  await pasteAt(cell(/Harrier delta/, 1), 'H-1\t70\n');
  expect(await screen.findByRole('button', { name: 'Save 2 cells' })).toBeTruthy();
  await pasteAt(cell(/Wren sled/, 1), 'W'.repeat(90));
  await userEvent.click(await screen.findByRole('button', { name: 'Save 3 cells' }));
  expect(await screen.findByText(/^1 cell cannot be saved: A SKU can have at most 80 characters/)).toBeTruthy();
  expect(prices()).toEqual([6_400, 1_850]);
  await userEvent.click(screen.getByRole('button', { name: 'Save the other 2 cells' }));
  await waitFor(() => expect(prices()).toEqual([7_000, 1_850]));
  expect(server().catalog.journal.history(1)[0]!.label).toBe('Changed 2 cells of one product in a sheet');
});

test('what was typed and not saved is taken away again', async () => {
  await open();
  await pasteAt(cell(/Wren sled/, 1), 'W-2\t20');
  await userEvent.click(await screen.findByRole('button', { name: 'As it was' }));
  expect(cell(/Wren sled/, 1).textContent).toBe('');
  expect(prices()).toEqual([7_000, 1_850]);
});

test('a column is changed at once: reckoned, replaced or set, with what would change in view and what cannot be read said', async () => {
  await open();
  await screen.findByText('Harrier delta');
  await userEvent.click(screen.getByRole('button', { name: 'Change a column…' }));
  const dialog = within(await screen.findByRole('dialog', { name: 'Change a column' }));
  await choose('Column', 'Price');
  await choose('How', 'Reckon');
  const by = dialog.getByLabelText('Reckoning');
  await userEvent.type(by, 'more');
  expect(dialog.getByText('Type +5 %, -2, =cost*2.4, or an amount.')).toBeTruthy();
  expect(dialog.getByText('Nothing would change yet.')).toBeTruthy();
  await retype(by, '+10 %');
  expect(within(dialog.getByRole('list', { name: 'What would change' })).getByText('77.00')).toBeTruthy();
  await userEvent.click(dialog.getByRole('button', { name: 'Change 2 cells' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Save 2 cells' }));
  await waitFor(() => expect(prices()).toEqual([7_700, 2_035]));
  await userEvent.click(screen.getByRole('button', { name: 'Change a column…' }));
  await choose('Column', 'SKU');
  await choose('How', 'Find and replace');
  await userEvent.type(screen.getByLabelText('Find'), 'h-');
  await userEvent.type(screen.getByLabelText('Replace by'), 'HD-');
  expect(screen.getByRole('button', { name: 'Change 1 cell' })).toBeTruthy();
  await userEvent.click(screen.getByLabelText('Capital letters as typed'));
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Change 0 cells' }).disabled).toBe(true);
  await userEvent.click(screen.getByLabelText('Capital letters as typed'));
  await userEvent.click(screen.getByRole('button', { name: 'Change 1 cell' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Save 1 cell' }));
  await waitFor(() => expect(server().catalog.working.products.get(server().ids[0]!)!.variants[0]!.sku).toBe('HD-1'));
});
