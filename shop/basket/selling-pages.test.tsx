/** @jest-environment jsdom */
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { OrderAnswer } from '../../contract/orders';
import type { Offer } from '../../core/model/offer';
import { usualSelling } from '../../core/model/selling';
import type { CheckoutPageData } from '../../core/storefront/selling-pages';
import { holdAnswers, onServer } from '../../desk/testing/real-fetch';
import { startShop } from '../../server/testing/harness';
import type { ShopData } from '../data';
import { WindowContext } from '../base';
import type { BodyProps } from '../parts';
import { AddToBasket } from './add-to-basket';
import { BasketPage } from './basket-page';
import { BasketContext, basketCalls, type BasketDesk } from './basket-store';
import { CheckoutPage } from './checkout-page';
import { OrderPage } from './order-page';

type BasketPageData = BodyProps<'basket'>['page'];

const [parcel] = usualSelling.delivery;
const [transfer] = usualSelling.payments;
const server = onServer(async () => {
  const made = await startShop({ Tern: 2_000, Wren: 1_000 });
  await made.call('PATCH', '/api/settings', {
    selling: {
      ...usualSelling,
      countries: ['NL', 'BE'],
      delivery: [
        parcel,
        { ...parcel, id: 'dlv_collect1', name: 'At the shop', isCollected: true, steps: [{ upTo: null, price: 0 }] },
      ],
      payments: [transfer, { ...transfer, id: 'pay_collect1', kind: 'onCollection', name: 'When you come', fee: 150 }],
      terms: 'I have read the terms.',
    },
  });
  const offer = await made.call<Offer>('POST', '/api/offers', { name: 'Light wind' });
  await made.call('PATCH', `/api/offers/${offer.body.id}`, { goods: { how: 'all' }, isOn: true, needsCode: true });
  await made.call('POST', `/api/offers/${offer.body.id}/codes`, { code: 'LIGHT10', uses: null, note: '' });
  await made.call('POST', '/api/editions', {});
  return made;
});

/** Another shopper with these goods: from then on what is asked comes from them. */
async function basketOf(pieces: Record<string, number>): Promise<void> {
  const goods = server().catalog.live.shop.products;
  Object.assign(server(), { cookie: '' });
  for (const [title, quantity] of Object.entries(pieces)) {
    const { slug, variants } = [...goods.values()].find((each) => each.title === title)!;
    const answer = await fetch('/shop-api/basket/entries', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ slug, variant: variants[0]!.id, quantity }),
    });
    const cookie = answer.headers.get('set-cookie');
    if (cookie) Object.assign(server(), { cookie: cookie.split(';')[0] });
  }
}
async function pageAt<T>(url: string): Promise<{ data: ShopData; page: T }> {
  const answer = await fetch(url, { headers: { Accept: 'application/json' } });
  const data = (await answer.json()) as ShopData;
  return { data, page: data.page as T };
}
async function openBasket() {
  cleanup();
  const { data, page } = await pageAt<BasketPageData>('/basket');
  render(<BasketPage page={page} data={data} url="/basket" go={() => undefined} />);
}
async function openCheckout() {
  cleanup();
  const { data, page } = await pageAt<CheckoutPageData>('/checkout');
  return render(<CheckoutPage page={page} data={data} url="/checkout" go={() => undefined} />);
}
const sums = () => within(screen.getByRole('complementary')).getByText('Total').nextElementSibling!.textContent;

describe('the basket', () => {
  test('a number is typed, or a line is taken out and put back; the sum follows each', async () => {
    await basketOf({ Tern: 1, Wren: 2 });
    await openBasket();
    expect(sums()).toBe('€45.95');
    const pieces = screen.getByLabelText(/Tern/, { selector: 'input' });
    await userEvent.clear(pieces);
    await userEvent.type(pieces, '3');
    await userEvent.tab();
    await waitFor(() => expect(sums()).toBe('€85.95'));
    await userEvent.click(screen.getByRole('button', { name: 'Remove Wren' }));
    await waitFor(() => expect(sums()).toBe('€65.95'));
    await userEvent.click(screen.getByRole('button', { name: 'Put it back' }));
    await waitFor(() => expect(sums()).toBe('€85.95'));
  });

  test('a code is taken, one that is none is said at its field, and what is typed meanwhile stays', async () => {
    await basketOf({ Tern: 1 });
    await openBasket();
    const code = screen.getByRole<HTMLInputElement>('textbox', { name: 'Code or gift card' });
    await userEvent.type(code, 'nothing{Enter}');
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(code.value).toBe('nothing');
    await userEvent.clear(code);
    await userEvent.type(code, 'LIGHT10');
    const release = holdAnswers();
    await userEvent.keyboard('{Enter}');
    await userEvent.type(code, 'X');
    release();
    expect(await screen.findByText('LIGHT10')).toBeTruthy();
    expect(code.value).toBe('LIGHT10X');
    await userEvent.click(screen.getByRole('button', { name: /LIGHT10/ }));
    await waitFor(() => expect(sums()).toBe('€25.95'));
  });

  test('a word to the seller is kept when its field is left', async () => {
    await basketOf({ Wren: 1 });
    await openBasket();
    await userEvent.type(screen.getByRole('textbox', { name: 'A note for us' }), 'In blue, please');
    await userEvent.tab();
    await waitFor(async () =>
      expect((await pageAt<BasketPageData>('/basket')).page.basket.note).toBe('In blue, please'),
    );
  });
});

describe('the checkout', () => {
  const radio = (name: RegExp) => screen.findByRole('radio', { name });

  test('what was typed stays while ways of delivery and payment are changed to and fro', async () => {
    await basketOf({ Tern: 1 });
    await openCheckout();
    await userEvent.type(screen.getByLabelText('Mail address'), 'ada@example.com');
    await userEvent.type(screen.getByLabelText(/^Street/), 'Harbour 1');
    await userEvent.type(screen.getByLabelText('Town'), 'Yerseke');
    await userEvent.click(await radio(/^At the shop/));
    await waitFor(() => expect(screen.queryByLabelText(/^Street/)).toBeNull());
    expect(sums()).toBe('€20.00');
    await userEvent.click(await radio(/^When you come/));
    await waitFor(() => expect(sums()).toBe('€21.50'));
    await userEvent.click(await radio(/^Parcel/));
    expect((await screen.findByLabelText<HTMLInputElement>(/^Street/)).value).toBe('Harbour 1');
    expect(screen.getByLabelText<HTMLInputElement>('Town').value).toBe('Yerseke');
    expect(screen.getByLabelText<HTMLInputElement>('Mail address').value).toBe('ada@example.com');
  });

  test('the last choice counts, however late the answers to earlier ones come', async () => {
    await basketOf({ Tern: 1 });
    await openCheckout();
    const release = holdAnswers();
    await userEvent.click(await radio(/^At the shop/));
    await userEvent.click(await radio(/^Parcel/));
    release();
    await waitFor(() => expect(sums()).toBe('€25.95'));
    expect(screen.getByLabelText(/^Street/)).toBeTruthy();
  });

  test('a second click orders nothing more, and Back lets it be sent again', async () => {
    await basketOf({ Tern: 1 });
    const { container } = await openCheckout();
    const sent = jest.fn((event: Event) => event.preventDefault());
    let stopped = 0;
    // jsdom sends no forms: what would have been sent is counted where it arrives.
    container.addEventListener('submit', (event) => {
      if (event.defaultPrevented) stopped++;
      else sent(event);
    });
    const button = screen.getByRole('button', { name: /order/i });
    await userEvent.dblClick(button);
    expect([sent.mock.calls.length, stopped]).toEqual([1, 1]);
    window.dispatchEvent(new Event('pageshow'));
    await waitFor(() => expect(button.getAttribute('aria-disabled')).toBe('false'));
    await userEvent.click(button);
    expect(sent).toHaveBeenCalledTimes(2);
  });

  test('what is missing is said at each field, with what was typed in the others', async () => {
    await basketOf({ Tern: 1 });
    const { page } = await pageAt<CheckoutPageData>('/checkout');
    const answer = await fetch('/checkout', {
      method: 'POST',
      headers: { Accept: 'application/json' },
      body: new URLSearchParams({
        attempt: page.attempt,
        seen: page.seen,
        email: 'ada',
        name: 'Ada Vane',
        country: 'NL',
        deliveryId: parcel!.id,
        paymentId: transfer!.id,
      }),
    });
    expect(answer.status).toBe(422);
    const data = (await answer.json()) as ShopData;
    render(<CheckoutPage page={data.page as CheckoutPageData} data={data} url="/checkout" go={() => undefined} />);
    const wrong = screen.getAllByRole('textbox').filter((field) => field.getAttribute('aria-invalid') === 'true');
    expect(wrong.map((field) => field.getAttribute('name')).sort()).toEqual(['city', 'email', 'postcode', 'street']);
    expect(screen.getByDisplayValue('Ada Vane')).toBeTruthy();
    expect(screen.getByDisplayValue('ada')).toBeTruthy();
    expect(screen.getByRole('checkbox', { name: /I have read the terms/ }).getAttribute('aria-invalid')).toBe('true');
  });
});

describe('the button on a product', () => {
  const added: (string | undefined)[] = [];
  const desk: BasketDesk = {
    pieces: 0,
    add: async (entry) => {
      const answer = await basketCalls.add(entry);
      added.push('problem' in answer ? answer.problem : undefined);
      return added.at(-1);
    },
  };
  async function openProduct(inWindow = false) {
    cleanup();
    added.length = 0;
    const { page } = await pageAt<BodyProps<'product'>['page']>('/p/wren');
    render(
      <WindowContext value={inWindow}>
        <BasketContext value={inWindow ? null : desk}>
          <AddToBasket product={page.product} variant={page.product.variants[0]!} />
        </BasketContext>
      </WindowContext>,
    );
    return screen.getByRole<HTMLButtonElement>('button', { name: 'Add to basket' });
  }

  test('puts so many pieces into the basket once, says so, and leads to it', async () => {
    await basketOf({ Tern: 1 });
    const button = await openProduct();
    const pieces = screen.getByLabelText('How many');
    await userEvent.clear(pieces);
    await userEvent.type(pieces, '3');
    await userEvent.dblClick(button);
    expect((await screen.findByRole('link')).getAttribute('href')).toBe('/basket');
    expect(added).toEqual([undefined]);
    const { page } = await pageAt<BasketPageData>('/basket');
    expect(page.basket.lines.map(({ title, quantity }) => [title, quantity])).toEqual([
      ['Tern', 1],
      ['Wren', 3],
    ]);
  });

  test('says why something cannot go in, and can be pressed again', async () => {
    await basketOf({ Tern: 1 });
    const { variants, id } = [...server().catalog.live.shop.products.values()].find(({ title }) => title === 'Wren')!;
    await server().call('PATCH', `/api/products/${id}/variants`, {
      seen: Number.MAX_SAFE_INTEGER,
      changes: [{ id: variants[0]!.id, fields: { stock: 1 } }],
    });
    const button = await openProduct();
    await userEvent.click(button);
    await screen.findByRole('link');
    await userEvent.click(button);
    expect((await screen.findByRole('alert')).textContent).toMatch(/There .* only 1 of this/);
    expect(button.disabled).toBe(false);
  });

  test('sells nothing in the shop window of the desk', async () => {
    await basketOf({ Tern: 1 });
    await userEvent.click(await openProduct(true));
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(added).toEqual([]);
  });
});

test('an order tells what was ordered, what is to pay and how; once it is sent, what is on its way', async () => {
  await basketOf({ Tern: 2 });
  const { page } = await pageAt<CheckoutPageData>('/checkout');
  const placed = await fetch('/checkout', {
    method: 'POST',
    headers: { Accept: 'text/html' },
    body: new URLSearchParams({
      attempt: page.attempt,
      seen: page.seen,
      email: 'ada@example.com',
      name: 'Ada Vane',
      street: 'Harbour 1',
      postcode: '4401 AB',
      city: 'Yerseke',
      country: 'NL',
      deliveryId: parcel!.id,
      paymentId: transfer!.id,
      agrees: 'yes',
    }),
  });
  const address = placed.headers.get('location')!.replace(/^https?:\/\/[^/]+/, '');
  const openOrder = async () => {
    cleanup();
    const { data, page: order } = await pageAt<BodyProps<'order'>['page']>(address);
    render(<OrderPage page={order} data={data} url={address} go={() => undefined} />);
  };
  await openOrder();
  expect(screen.getByText('2 × Tern')).toBeTruthy();
  expect(screen.getByText('Total').nextElementSibling!.textContent).toBe('€45.95');
  expect(screen.getByText(/Yerseke/)).toBeTruthy();
  const { orders } = (await server().call<{ orders: { id: string }[] }>('GET', '/api/orders')).body;
  const { id } = orders[0]!;
  const { body } = await server().call<OrderAnswer>('GET', `/api/orders/${id}`);
  await server().call('POST', `/api/orders/${id}/paid`, {});
  await server().call('POST', `/api/orders/${id}/sent`, {
    lines: [{ key: body.body.lines[0]!.key, quantity: 1 }],
    tracking: 'LL 7',
  });
  await openOrder();
  const parcelSent = within(screen.getByRole('region', { name: 'Parcel 1' }));
  expect(parcelSent.getByText(/1 × Tern/)).toBeTruthy();
  expect(parcelSent.getByText(/LL 7/)).toBeTruthy();
  expect(screen.getAllByRole('link').map((link) => link.textContent)).toContain('Invoice');
});
