/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { startShop } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { ExchangePage } from './exchange-page';

const server = onServer(async () => {
  const made = await startShop({ Tern: 2_000, Wren: 1_000 });
  for (const [i, id] of made.ids.entries()) {
    const { variants } = made.catalog.working.products.get(id)!;
    await made.call('PATCH', `/api/products/${id}/variants`, {
      seen: Number.MAX_SAFE_INTEGER,
      changes: [{ id: variants[0]!.id, fields: { sku: `K-${i}`, stock: 4 } }],
    });
  }
  return made;
});
const titled = (title: string) =>
  [...server().catalog.working.products.values()].find((product) => product.title === title);
const open = (at = '/exchange') =>
  draw(
    <Routes>
      <Route path="/exchange/:id?" element={<ExchangePage />} />
    </Routes>,
    at,
  );

async function paste(text: string) {
  open();
  await userEvent.click(await screen.findByText('Or paste rows from a spreadsheet'));
  await userEvent.click(screen.getByLabelText('Rows, with their headings first'));
  await userEvent.paste(text);
  await userEvent.click(screen.getByRole('button', { name: 'Read these rows' }));
  await screen.findByRole('heading', { name: 'pasted rows.csv' });
}

test('pasted rows are told cell by cell, a mistake is mended in place, and they are imported', async () => {
  await paste('SKU\tPrice\tStock\tFeeling\nK-0\t25\tmany\tcalm\nNEW\t7\t3\t');
  expect(await screen.findByText('“many” is not a whole number.')).toBeTruthy();
  const mend = screen.getByLabelText('Stock, row 2');
  await userEvent.clear(mend);
  await userEvent.type(mend, '9{Enter}');
  await waitFor(() => expect(screen.queryByText('“many” is not a whole number.')).toBeNull());
  // The second row tells no title, and nothing has its number.
  expect(await screen.findByText(/Nothing in the shop has “NEW”/)).toBeTruthy();
  const feeling = screen.getByRole('row', { name: /^Feeling/ });
  await userEvent.click(within(feeling).getByRole('combobox'));
  await userEvent.type(within(feeling).getByRole('combobox'), 'own');
  await userEvent.click(await screen.findByRole('option', { name: 'A field of its own' }));
  expect(await screen.findByRole('button', { name: /A field of its own/ })).toBeTruthy();
  await userEvent.click(await screen.findByRole('button', { name: 'Import 1 product' }));
  await waitFor(() => expect(titled('Tern')!.variants[0]).toMatchObject({ price: 2_500, stock: 9 }));
  expect(titled('Tern')!.customFields).toEqual([{ label: 'Feeling', value: 'calm' }]);
  expect(await screen.findByText(/^Imported “pasted rows.csv”/)).toBeTruthy();
});

test('a column is switched off, a product left out, and deleting asks before', async () => {
  await paste('SKU\tTitle\tPrice\nK-0\tTern\t31\nK-1\tWren\t12');
  expect(await screen.findByRole('button', { name: 'Import 2 products' })).toBeTruthy();
  await userEvent.click(screen.getByRole('checkbox', { name: '“Price” changes goods' }));
  expect(await screen.findByText('Nothing changes')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: /^What it does/ }));
  await userEvent.click(await screen.findByRole('option', { name: 'deletes the goods that it lists' }));
  await userEvent.click((await screen.findAllByRole('button', { name: 'Leave out' }))[0]!);
  await userEvent.click(await screen.findByRole('button', { name: 'Import 1 product' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Delete them' }));
  await waitFor(() => expect(titled('Wren')).toBeUndefined());
  expect(titled('Tern')).toBeTruthy();
});

test('what cannot be read says so where it was brought, and nothing is lost', async () => {
  open();
  await userEvent.click(await screen.findByText('Or paste rows from a spreadsheet'));
  await userEvent.click(screen.getByLabelText('Rows, with their headings first'));
  await userEvent.paste('a,"b\n1,2');
  await userEvent.click(screen.getByRole('button', { name: 'Read these rows' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/never closed/);
  expect(screen.getByLabelText<HTMLTextAreaElement>('Rows, with their headings first').value).toBe('a,"b\n1,2');
});

test('a file is made of the columns that were chosen, and can be fetched again', async () => {
  open('/exchange?part=out');
  const columns = within(await screen.findByRole('group', { name: /^Columns/ }));
  await userEvent.click(columns.getByRole('checkbox', { name: 'Summary' }));
  await userEvent.click(screen.getByRole('button', { name: 'JSON' }));
  await userEvent.click(screen.getByRole('button', { name: 'Make the file' }));
  const link = await screen.findByRole('link', { name: /^goods-.*\.json$/ });
  const file = await server().raw(link.getAttribute('href')!, { headers: { Cookie: server().cookie } });
  const [first] = (await file.json()) as Record<string, unknown>[];
  expect(first).toMatchObject({ Title: 'Tern', Summary: '' });
});

test('how a file is taken, and which columns go out, are kept under names', async () => {
  await paste('Nr\tWert\nK-0\t23\n');
  await userEvent.type(screen.getByLabelText('Name for this mapping'), 'Windhof');
  await userEvent.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByRole('button', { name: 'Mapping: Windhof' })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'forget it' }));
  await waitFor(() => expect(screen.queryByRole('button', { name: /^Mapping/ })).toBeNull());
});

test('columns that go out are kept, taken again and forgotten', async () => {
  open('/exchange?part=out');
  await userEvent.click(await screen.findByRole('button', { name: 'all of them' }));
  await userEvent.type(screen.getByLabelText('Name for these columns'), 'Everything');
  await userEvent.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByRole('button', { name: 'forget “Everything”' })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'the usual ones' }));
  expect(screen.queryByRole('button', { name: /^forget/ })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: /^Columns that you kept/ }));
  await userEvent.click(await screen.findByRole('option', { name: 'Everything' }));
  await userEvent.click(await screen.findByRole('button', { name: 'forget “Everything”' }));
  await waitFor(() => expect(screen.queryByRole('button', { name: /^forget/ })).toBeNull());
}, 30_000);
