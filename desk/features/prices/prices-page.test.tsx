/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Offer } from '../../../core/model/offer';
import { startShop } from '../../../server/testing/harness';
import { noWindow, WindowContext } from '../../shared/window-state';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { PricesPage } from './prices-page';

// There is no canvas here: what a chart shows stands in a table beside it too.
jest.mock('./history-chart', () => ({ __esModule: true, default: () => null }));

const server = onServer(async () => {
  const made = await startShop({ Tern: 2_000, Wren: 1_000 });
  for (const id of made.ids) {
    const { variants } = made.catalog.working.products.get(id)!;
    await made.call('PATCH', `/api/products/${id}/variants`, {
      seen: Number.MAX_SAFE_INTEGER,
      changes: [{ id: variants[0]!.id, fields: { cost: 700 } }],
    });
  }
  await made.call('POST', '/api/editions', {});
  return made;
});
const offers = async () =>
  (await server().call<{ offers: { offer: Offer; status: string }[] }>('GET', '/api/offers')).body.offers;
// All tests ask one server: each begins without offers.
beforeEach(async () => {
  for (const { offer } of await offers()) await server().call('DELETE', `/api/offers/${offer.id}`);
});
async function made(fields: Partial<Offer>): Promise<string> {
  const { body } = await server().call<{ id: string }>('POST', '/api/offers', { name: 'Windy week' });
  await server().call('PATCH', `/api/offers/${body.id}`, { isOn: true, goods: { how: 'all' }, ...fields });
  return body.id;
}

test('a first offer is made, changed word by word, and told what it does before it runs', async () => {
  draw(<PricesPage />);
  await userEvent.click((await screen.findAllByRole('button', { name: 'New offer' }))[0]!);
  expect(await screen.findByText(/takes in nothing yet/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Which goods' }));
  await userEvent.click(await screen.findByRole('button', { name: 'all goods' }));
  await userEvent.keyboard('{Escape}');
  await userEvent.click(screen.getByRole('button', { name: 'What it gives' }));
  const off = await screen.findByLabelText('Off');
  await userEvent.clear(off);
  await userEvent.type(off, 'a lot');
  expect(await screen.findByText('Type a percentage.')).toBeTruthy();
  await userEvent.clear(off);
  await userEvent.type(off, '50 %');
  await userEvent.keyboard('{Escape}');
  const table = await screen.findByRole('table', { name: 'What it does to each product' });
  // Wren would cost 5.00, and its cost with tax is 8.47.
  await waitFor(() => expect(within(table).getByRole('row', { name: /Wren.*8\.47.*held at the floor/ })).toBeTruthy());
  expect(within(table).getByRole('row', { name: /Tern.*10\.00/ })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Switch it on' }));
  await waitFor(async () =>
    expect((await offers())[0]).toMatchObject({ status: 'running', offer: { action: { off: 5_000 } } }),
  );
});

test('an offer is moved along time with the arrow keys, and stretched with Shift', async () => {
  const day = (n: number) =>
    new Date(
      Date.UTC(new Date().getUTCFullYear(), new Date().getUTCMonth(), new Date().getUTCDate() + n),
    ).toISOString();
  await made({ from: day(2), until: day(9) });
  draw(<PricesPage />);
  const bar = await screen.findByRole('button', { name: /Arrow keys move it by a day/ });
  bar.focus();
  await userEvent.keyboard('{ArrowRight}');
  await waitFor(async () => expect((await offers())[0]!.offer).toMatchObject({ from: day(3), until: day(10) }));
  await screen.findByRole('button', { name: /Arrow keys move it by a day/ });
  await userEvent.keyboard('{Shift>}{ArrowLeft}{/Shift}');
  await waitFor(async () => expect((await offers())[0]!.offer).toMatchObject({ from: day(3), until: day(9) }));
});

test('a code is made and deleted; one that is taken is refused at its field', async () => {
  await made({ needsCode: true });
  draw(<PricesPage />);
  const codes = within(await screen.findByRole('region', { name: /^Codes/ }));
  await userEvent.type(codes.getByLabelText('A code of your own'), 'kite-20{Enter}');
  expect(await codes.findByText('KITE20')).toBeTruthy();
  await userEvent.type(codes.getByLabelText('A code of your own'), 'KITE20{Enter}');
  expect(await codes.findByText('The code KITE20 is taken.')).toBeTruthy();
  await userEvent.click(codes.getByRole('button', { name: 'Delete the code KITE20' }));
  await waitFor(() => expect(codes.queryByText('KITE20')).toBeNull());
});

test('a price says how it came about, and which offers do nothing to it', async () => {
  await made({ action: { does: 'percent', off: 1_000 } });
  await made({ action: { does: 'nForM', take: 3, pay: 2 } });
  draw(<PricesPage />);
  await userEvent.click((await screen.findAllByTitle('Why this price'))[0]!);
  const steps = await screen.findByRole('list', { name: 'Steps of the price' });
  await waitFor(() => expect(steps.textContent).toMatch(/List price.*Windy week/));
  const pieces = screen.getByLabelText('Pieces');
  await userEvent.clear(pieces);
  expect(await screen.findByText('How many?')).toBeTruthy();
  await userEvent.type(pieces, '3');
  await waitFor(() =>
    expect(screen.getByRole('list', { name: 'Steps of the price' }).textContent).toMatch(/off 3 pieces/),
  );
});

test('a basket of several goods is tried, and what a price was so far stands in a table', async () => {
  await made({ name: 'Pair', action: { does: 'setPrice', pieces: 2, price: 2_500 } });
  draw(<PricesPage />);
  await userEvent.click((await screen.findAllByTitle('Why this price'))[0]!);
  const list = await screen.findByRole('table', { hidden: true, name: '' });
  expect(within(list).getByRole('row', { name: /€20\.00 €20\.00|€10\.00 €10\.00/, hidden: true })).toBeTruthy();
  await userEvent.type(screen.getByRole('combobox', { name: 'Something else in the basket' }), 'Tern');
  await userEvent.click(await screen.findByRole('option', { name: /Tern/ }));
  const whole = await screen.findByRole('region', { name: 'The whole basket' });
  await userEvent.clear(await screen.findByLabelText(/^Pieces of/));
  await userEvent.type(screen.getByLabelText(/^Pieces of/), '3');
  await waitFor(() => expect(whole.textContent).toMatch(/3 × .*Pair/));
  await userEvent.click(screen.getByRole('button', { name: /^Take .* out$/ }));
  await waitFor(() => expect(screen.queryByRole('region', { name: 'The whole basket' })).toBeNull());
});

test('the day that the shop window shows is chosen along time by keys', async () => {
  await made({});
  const moments: (string | null)[] = [];
  draw(
    <WindowContext value={{ ...noWindow, setMoment: (moment) => void moments.push(moment) }}>
      <PricesPage />
    </WindowContext>,
  );
  const day = await screen.findByRole('slider', { name: 'Day shown in the shop window' });
  expect(day.getAttribute('aria-valuetext')).toBe('today');
  day.focus();
  await userEvent.keyboard('{PageDown}{ArrowLeft}{Home}');
  const ahead = moments.map((moment) =>
    moment === null ? 0 : Math.round((Date.parse(moment) - Date.now()) / 86_400_000),
  );
  expect(ahead).toEqual([7, 0, 0]);
});

test('tax of another country, and the floor of all offers, are typed and kept', async () => {
  draw(<PricesPage />, '/prices?part=tax');
  const floor = await screen.findByLabelText('Never below cost plus');
  await userEvent.clear(floor);
  await userEvent.type(floor, '25 %');
  await userEvent.click(screen.getByRole('button', { name: 'Add a country' }));
  await userEvent.type(await screen.findByRole('combobox', { name: 'Add a country' }), 'Germany');
  await userEvent.click(await screen.findByRole('option', { name: 'Germany' }));
  await userEvent.click(await screen.findByRole('button', { name: 'prices without tax, this tax added' }));
  await screen.findByText('saved just now');
  await waitFor(async () => {
    const { body } = await server().call<{ tax: object; offers: object }>('GET', '/api/settings');
    expect(body).toMatchObject({ offers: { floor: 2_500 }, tax: { zones: [{ countries: ['DE'], prices: 'added' }] } });
  });
});
