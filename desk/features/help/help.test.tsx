/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import HelpPanel from './help-panel';
import { hasNews } from './news';
import Tour from './tour';
import { tourStore, useTour } from './tour-store';

const server = onServer(() => startShop({ Tern: 3_900, Wren: 2_400, Heron: 5_900 }));
beforeEach(() => {
  localStorage.clear();
  tourStore.set(null);
});

const open = (at: string) => draw(<HelpPanel isOpen close={() => undefined} showKeys={() => undefined} />, at);

test('the desk that one is at is explained first, with the seller’s own goods', async () => {
  open('/groups/tags');
  expect(await screen.findByRole('heading', { name: 'Pinning and leaving out' })).toBeTruthy();
  expect(await screen.findAllByText('Heron')).not.toEqual([]);
  await userEvent.click(screen.getByRole('button', { name: 'Goods' }));
  const rule = (await screen.findByText(/^price below/)).closest('figure')!;
  // The middle price of the three: one of them is below it.
  expect(rule.textContent).toMatch(/price below €39\.00/);
  expect(within(rule).getByTitle('Wren')).toBeTruthy();
});

test('a search looks through all desks and says when nothing is found; what is new is noted as seen', async () => {
  open('/goods');
  const field = await screen.findByRole('searchbox', { name: 'Search the help' });
  await userEvent.type(field, 'floor');
  expect(screen.getByRole('heading', { name: /^The floor\s*Prices/ })).toBeTruthy();
  await userEvent.type(field, ' bicycle');
  expect(screen.getByText(/Nothing explains “floor bicycle”/)).toBeTruthy();
  await userEvent.clear(field);
  expect(hasNews()).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: /^What is new/ }));
  expect(screen.getByText(/what to order before it runs out/)).toBeTruthy();
  expect(hasNews()).toBe(false);
});

function Touring() {
  const tour = useTour();
  return tour ? <Tour tour={tour} /> : <HelpPanel isOpen close={() => undefined} showKeys={() => undefined} />;
}

test('the tour goes on when the work is done, can skip, and is still there after a reload', async () => {
  const { client } = draw(<Touring />, '/goods');
  const begin = await screen.findByRole('button', { name: 'First tour, three minutes' });
  await waitFor(() => expect((begin as HTMLButtonElement).disabled).toBe(false));
  await userEvent.click(begin);
  expect(await screen.findByRole('heading', { name: 'Add a product' })).toBeTruthy();
  await server().call('POST', '/api/products', { title: 'Curlew', price: 2_000 });
  await client.invalidateQueries();
  expect(await screen.findByRole('heading', { name: 'Give it a face' })).toBeTruthy();
  expect(screen.getByText(/“Curlew”/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Skip this step' }));
  expect(await screen.findByRole('heading', { name: 'Put it on the shop' })).toBeTruthy();
  expect(JSON.parse(localStorage.getItem('dispona.tour')!)).toMatchObject({ done: ['product', 'picture'] });
  await userEvent.click(screen.getByRole('button', { name: 'End the tour' }));
  expect(localStorage.getItem('dispona.tour')).toBeNull();
});
