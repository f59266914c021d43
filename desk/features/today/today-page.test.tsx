/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { noteViews } from '../../../server/store/page-views';
import { recordSales } from '../../../server/orders/sales';
import { addProduct, startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { TodayPage } from './today-page';

// There is no canvas to draw on; the table beside the chart tells the same.
jest.mock('./days-chart', () => ({ __esModule: true, default: () => null }));

let tern: string;
onServer(async () => {
  const made = await startServer();
  const { product } = await addProduct(made, 'Tern', 2_000);
  tern = product.id;
  await made.call('PATCH', `/api/products/${tern}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: [{ id: product.variants[0]!.id, fields: { stock: 4 } }],
  });
  const today = Math.floor(Date.now() / 86_400_000) * 86_400;
  recordSales(
    made.catalog,
    Array.from({ length: 60 }, (_, ago) => ({ productId: tern, day: today - ago * 86_400, pieces: 1 })),
  );
  noteViews(made.catalog.db, { day: today, kind: 'page', id: '', times: 3, entries: 2 });
  return made;
});

test('what runs out is told with its spread, and every number leads to what is behind it', async () => {
  draw(<TodayPage />);
  const list = await screen.findByRole('region', { name: 'Runs out soon' });
  expect(within(list).getByRole('link', { name: 'Tern' }).getAttribute('href')).toBe(`/goods/${tern}`);
  expect(within(list).getByText(/^4 left, in \d days?/)).toBeTruthy();
  const loose = screen.getByRole('region', { name: 'Loose ends' });
  expect(within(loose).getByRole('link', { name: 'No picture' }).getAttribute('href')).toBe(
    '/loose-ends?check=noPicture',
  );
  expect(screen.getByText('Every search found something.')).toBeTruthy();
});

test('another time is looked at, day by day in a table too', async () => {
  const { router } = draw(<TodayPage />);
  await userEvent.click(await screen.findByRole('button', { name: '7 days' }));
  expect(router.state.location.search).toBe('?days=7');
  const table = screen.getByText('As a table').closest('details')!;
  await waitFor(() => expect(within(table).getAllByRole('row', { hidden: true })).toHaveLength(8));
});
