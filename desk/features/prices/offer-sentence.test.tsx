/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Offer } from '../../../core/model/offer';
import { startShop } from '../../../server/testing/harness';
import { tray } from '../../shared/tray-store';
import { choose, complete, draw, retype } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { PricesPage } from './prices-page';

// There is no canvas here: what a chart shows stands in a table beside it too.
jest.mock('./history-chart', () => ({ __esModule: true, default: () => null }));

const server = onServer(() => startShop({ Tern: 2_000, Wren: 1_000 }));
const offers = () => [...server().catalog.working.shop.offers.values()];
const offer = () => offers()[0]!;

/** One offer, open. */
beforeEach(async () => {
  tray.empty();
  for (const { id } of offers()) await server().call('DELETE', `/api/offers/${id}`);
  const { body } = await server().call<{ id: string }>('POST', '/api/offers', { name: 'Windy week' });
  await server().call('PATCH', `/api/offers/${body.id}`, { goods: { how: 'all' } });
  draw(<PricesPage />);
  await screen.findByRole('button', { name: 'What it gives' });
});
const chip = async (label: string) => userEvent.click(await screen.findByRole('button', { name: label }));
const becomes = (part: Partial<Offer>) => waitFor(() => expect(offer()).toMatchObject(part));

describe('what an offer gives', () => {
  test('an amount off each piece, or off the whole order', async () => {
    await chip('What it gives');
    await choose('What it gives', 'an amount off');
    await retype(await screen.findByLabelText('Off'), '3.50');
    await userEvent.click(screen.getByRole('button', { name: 'the whole order' }));
    await becomes({ action: { does: 'amount', off: 350, per: 'order' } });
  });

  test('more off for more pieces, in steps that are added and removed', async () => {
    await chip('What it gives');
    await choose('What it gives', 'more pieces, more off');
    await userEvent.click(await screen.findByRole('button', { name: 'Add a step' }));
    await retype(screen.getAllByLabelText('Off')[1]!, '20 %');
    await becomes({
      action: {
        does: 'ladder',
        steps: [
          { from: 3, off: 500 },
          { from: 6, off: 2_000 },
        ],
      },
    });
    await userEvent.click(screen.getByRole('button', { name: 'Remove step 1' }));
    await becomes({ action: { does: 'ladder', steps: [{ from: 6, off: 2_000 }] } });
  });

  test('several for the price of fewer: paying for more than is taken is refused, and said', async () => {
    await chip('What it gives');
    await choose('What it gives', 'several for the price of fewer');
    await retype(await screen.findByLabelText('Pieces paid for'), '4');
    expect(await screen.findByRole('alert')).toBeTruthy();
    await retype(screen.getByLabelText('Pieces taken'), '5');
    await becomes({ action: { does: 'nForM', take: 5, pay: 4 } });
  });

  test('a gift is found by name', async () => {
    await chip('What it gives');
    await choose('What it gives', 'a gift');
    await complete('Find the gift', 'Wre', 'Wren');
    const variantId = server().catalog.working.products.get(server().ids[1]!)!.variants[0]!.id;
    await becomes({ action: { does: 'gift', productId: server().ids[1]!, variantId } });
  });

  test.each([
    ['a fixed price', 'Price of each piece', '12', { does: 'price', price: 1_200 }],
    ['cost plus a percentage', 'On top of the cost', '40 %', { does: 'costPlus', plus: 4_000 }],
    ['one price for several', 'Price of them together', '30', { does: 'setPrice', pieces: 3, price: 3_000 }],
    ['one of several cheaper', 'Of each so many pieces', '4', { does: 'oneOf', of: 4, which: 'cheapest', off: 5_000 }],
  ] as const)('%s', async (kind, label, typed, action) => {
    await chip('What it gives');
    await choose('What it gives', kind);
    await retype(await screen.findByLabelText(label), typed);
    await becomes({ action });
  });
});

describe('which goods', () => {
  test('are picked by name and from the tray, and taken out one by one', async () => {
    const [tern, wren] = server().ids;
    tray.toggle(wren!);
    await chip('Which goods');
    await userEvent.click(await screen.findByRole('button', { name: 'picked by hand' }));
    await complete('Add goods by name', 'Ter', 'Tern');
    await becomes({ goods: { how: 'picked', ids: [tern!] } });
    await userEvent.click(screen.getByRole('button', { name: 'Add 1 product from the tray' }));
    await becomes({ goods: { how: 'picked', ids: [tern!, wren!] } });
    const list = screen.getByRole('list', { name: 'Goods picked by hand' });
    await userEvent.click(await within(list).findByRole('button', { name: 'Take out Tern' }));
    await becomes({ goods: { how: 'picked', ids: [wren!] } });
  });

  test('are taken in by a rule, said in words', async () => {
    await chip('Which goods');
    await userEvent.click(await screen.findByRole('button', { name: 'by rule' }));
    await complete('Add a condition', 'Price');
    await retype(await screen.findByLabelText('Value of Price'), '15');
    await waitFor(() =>
      expect(offer().goods).toMatchObject({ how: 'rule', rule: { of: [{ field: 'price', value: 1_500 }] } }),
    );
  });
});

describe('when, for whom and how far down', () => {
  test('only on some weekdays and between two times, which are read as times', async () => {
    await chip('When it holds');
    await userEvent.click(await screen.findByRole('button', { name: 'Saturday' }));
    await userEvent.click(screen.getByRole('button', { name: 'Friday' }));
    await userEvent.click(screen.getByLabelText('Only between two times of the day'));
    const until = screen.getAllByLabelText('Until').at(-1)!;
    await retype(until, 'late');
    expect(await screen.findByText('Type a time, like 17:30.')).toBeTruthy();
    await retype(until, '21:30');
    await becomes({ weekdays: [5, 6], hours: { from: 17 * 60, until: 21 * 60 + 30 } });
    await userEvent.click(screen.getByRole('button', { name: 'Friday' }));
    await becomes({ weekdays: [6] });
  });

  test('from a sum on, for some countries, so many times', async () => {
    await chip('Conditions on the basket');
    await userEvent.type(await screen.findByLabelText('From this sum in the basket'), '40');
    await userEvent.type(screen.getByLabelText('Uses in all'), '100');
    await complete('Add a country', 'Belg', 'Belgium');
    await userEvent.click(screen.getByLabelText('Only on a shopper’s first order'));
    await becomes({ subtotal: 4_000, uses: 100, countries: ['BE'], firstOrder: true });
    await userEvent.type(screen.getByLabelText('Uses in all'), ' or so');
    expect(await screen.findByText('Type a whole number, or nothing.')).toBeTruthy();
    expect(offer().uses).toBe(100);
  });

  test('never below cost plus so much, and beside other offers', async () => {
    await chip('Floor');
    await userEvent.type(await screen.findByLabelText('Never below cost plus'), '30 %');
    await becomes({ floor: 3_000 });
    await userEvent.keyboard('{Escape}');
    await chip('Together with other offers');
    const before = offer().stacks;
    await userEvent.click(await screen.findByLabelText('It comes off prices that are reduced already'));
    await retype(screen.getByLabelText('Looked at first, from 0 to 99'), '120');
    expect(await screen.findByText('Type a number from 0 to 99.')).toBeTruthy();
    await retype(screen.getByLabelText('Looked at first, from 0 to 99'), '12');
    await becomes({ stacks: !before, priority: 12 });
  });
});

test('an offer is copied, and deleted after a question', async () => {
  await userEvent.click(await screen.findByRole('button', { name: 'Copy' }));
  await waitFor(() => expect(offers().map(({ name }) => name)).toContain('Windy week, copy'));
  await userEvent.click(await screen.findByRole('button', { name: 'Delete' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Delete the offer' }));
  await waitFor(() => expect(offers()).toHaveLength(1));
});

test('many codes are made at once, with how often each can be used; a number that is none is said', async () => {
  await server().call('PATCH', `/api/offers/${offer().id}`, { needsCode: true });
  document.body.innerHTML = '';
  draw(<PricesPage />);
  const codes = within(await screen.findByRole('region', { name: /^Codes/ }));
  await userEvent.type(codes.getByLabelText('Or many at once'), 'some');
  const [, makeMany] = codes.getAllByRole('button', { name: 'Make' });
  await userEvent.click(makeMany!);
  expect(await codes.findByRole('alert')).toBeTruthy();
  await retype(codes.getByLabelText('Or many at once'), '3');
  await userEvent.type(codes.getByLabelText('Uses of each'), '2');
  await userEvent.click(makeMany!);
  expect(await codes.findAllByText('0 of 2 used')).toHaveLength(3);
  expect(codes.getByLabelText<HTMLInputElement>('Or many at once').value).toBe('');
});

describe('tax', () => {
  const settings = () => server().catalog.working.shop.settings;
  const openTax = () => draw(<PricesPage />, '/prices?part=tax');

  test('rates that hold from a day on are added and removed, and a rate that is none is said', async () => {
    openTax();
    const standard = (await screen.findAllByLabelText('Standard'))[0]!;
    await retype(standard, 'a fifth');
    expect(await screen.findByText('Type a percentage.')).toBeTruthy();
    await retype(standard, '20 %');
    await userEvent.click(screen.getByRole('button', { name: 'Add rates that hold from a day on' }));
    await retype(screen.getAllByLabelText('Standard')[1]!, '22 %');
    await waitFor(() => expect(settings()).toMatchObject({ taxRate: 2_000, tax: { changes: [{ standard: 2_200 }] } }));
    await userEvent.click(screen.getByRole('button', { name: 'Remove these rates' }));
    await waitFor(() => expect(settings().tax.changes).toEqual([]));
  });

  test('who charges no tax is asked for the words on invoices, and for no rates', async () => {
    openTax();
    await userEvent.click(await screen.findByLabelText('We charge no tax (small-business exemption)'));
    expect(screen.queryByLabelText('Standard')).toBeNull();
    await retype(await screen.findByLabelText('Printed on invoices'), 'No tax is charged, § 19.');
    await waitFor(() =>
      expect(settings().tax).toMatchObject({ exempt: true, exemptWords: 'No tax is charged, § 19.' }),
    );
    await userEvent.click(screen.getByLabelText('We charge no tax (small-business exemption)'));
    await waitFor(() => expect(settings().tax.exempt).toBe(false));
  });

  test('prices of offers end on .95 when that is chosen', async () => {
    openTax();
    await choose('Prices of offers end', 'on .95');
    await waitFor(() => expect(settings().offers.rounding).toEqual({ step: 100, ending: 95, way: 'nearest' }));
  });
});
