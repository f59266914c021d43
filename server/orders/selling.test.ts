import { addProduct, startServer, type Answer, type Harness } from '../testing/harness';
import type { OrderAnswer } from '../../contract/orders';
import type { Offer } from '../../core/model/offer';
import type { ProductAnswer } from '../../contract/product';
import type { BasketView } from '../../core/storefront/basket-shapes';
import type { CheckoutPageData, OrderPageData } from '../../core/storefront/selling-pages';
import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Catalog } from '../state/catalog';

let server: Harness;
let tern: ProductAnswer['product'];
let now: Date;
beforeEach(async () => {
  now = new Date('2027-03-01T10:00:00Z');
  server = await startServer(undefined, () => now);
  tern = (await addProduct(server, 'Tern', 2_500)).product;
  await edit(tern, { stock: 5, cost: 1_000 });
  await live();
});
afterEach(() => server.close());

const seen = Number.MAX_SAFE_INTEGER;
const live = () => server.call('POST', '/api/editions', {});
const edit = ({ id, variants }: ProductAnswer['product'], fields: object) =>
  server.call('PATCH', `/api/products/${id}/variants`, { seen, changes: [{ id: variants[0]!.id, fields }] });
const stockOf = async () =>
  (await server.call<ProductAnswer>('GET', `/api/products/${tern.id}`)).body.product.variants[0]!.stock;

/** A shopper with a browser of their own. */
function shopper() {
  const jar = new Map<string, string>();
  const ask = async (path: string, init: RequestInit = {}) => {
    const response = await server.raw(path, {
      ...init,
      headers: {
        ...(init.headers as Record<string, string>),
        Cookie: [...jar].map(([k, v]) => `${k}=${v}`).join('; '),
      },
    });
    for (const cookie of response.headers.getSetCookie()) {
      const [name, value] = cookie.split(';')[0]!.split('=');
      jar.set(name!, value!);
    }
    return response;
  };
  const api = async (method: string, path: string, body?: unknown): Promise<Answer<BasketView>> => {
    const response = await ask(`/shop-api/basket${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
    return { status: response.status, headers: response.headers, body: (await response.json()) as BasketView };
  };
  const page = async <T>(path: string) => {
    const data = (await (await ask(path, { headers: { Accept: 'application/json' } })).json()) as { page: T };
    return data.page;
  };
  const form = (path: string, fields: Record<string, string>, accept = 'application/json') =>
    ask(path, { method: 'POST', body: new URLSearchParams(fields), headers: { Accept: accept } });
  const add = (quantity = 1, product = tern) =>
    api('POST', '/entries', { slug: product.slug, variant: product.variants[0]!.id, quantity });
  const order = async (fields: Record<string, string> = {}) => {
    const { attempt, basket, payments, seen: looked } = await page<CheckoutPageData>('/checkout');
    return form('/checkout', {
      email: 'ada@example.com',
      name: 'Ada Vane',
      street: 'Harbour 1',
      postcode: '4401 AB',
      city: 'Yerseke',
      country: 'NL',
      attempt,
      seen: looked,
      deliveryId: basket.delivery.find(({ chosen }) => chosen)?.id ?? '',
      paymentId: payments[0]?.id ?? '',
      ...fields,
    });
  };
  return { ask, api, page, form, add, order };
}
const problemOf = async (response: Response) => ((await response.json()) as { page: CheckoutPageData }).page.problems;
const orders = async () =>
  (await server.call<{ orders: { id: string; number: number }[] }>('GET', '/api/orders')).body.orders;
const orderNo = async (i = 0) => (await server.call<OrderAnswer>('GET', `/api/orders/${(await orders())[i]!.id}`)).body;
const does = (id: string, what: string, body: object) =>
  server.call<OrderAnswer>('POST', `/api/orders/${id}/${what}`, body);

async function offer(fields: Partial<Offer>): Promise<string> {
  const { body } = await server.call<{ id: string }>('POST', '/api/offers', { name: fields.name ?? 'Offer' });
  const answer = await server.call('PATCH', `/api/offers/${body.id}`, { isOn: true, goods: { how: 'all' }, ...fields });
  expect(answer.status).toBe(200);
  return body.id;
}

describe('the basket', () => {
  test('holds what is put into it, as far as there is any, and remembers over visits', async () => {
    const ada = shopper();
    expect((await ada.add(2)).body).toMatchObject({ count: 2, goods: 5_000, total: 5_595 });
    // Three are left for this basket: what there is goes in.
    expect((await ada.add(9)).body).toMatchObject({ count: 5 });
    const more = await ada.add(1);
    expect([more.status, (more.body as unknown as { title: string }).title]).toEqual([
      422,
      'There are only 5 of this, and they are in your basket already.',
    ]);
    expect((await ada.api('GET', '')).body.count).toBe(5);
  });

  test('tells what changed since: a price, fewer pieces, and what is gone', async () => {
    const ada = shopper();
    await ada.add(4);
    await edit(tern, { price: 3_000, stock: 3 });
    await live();
    expect((await ada.api('GET', '')).body.lines[0]).toMatchObject({
      quantity: 3,
      unit: 3_000,
      notices: ['The price changed: it was €25.00', 'Only 3 left: you wanted 4'],
    });
    await edit(tern, { stock: 0 });
    expect((await ada.api('GET', '')).body).toMatchObject({
      lines: [],
      gone: [{ title: 'Tern', why: 'This is sold out.' }],
    });
  });

  test('what is taken out can be put back', async () => {
    const ada = shopper();
    const { key } = (await ada.add(2)).body.lines[0]!;
    const without = (await ada.api('PATCH', '/entries', { key, quantity: 0 })).body;
    expect(without).toMatchObject({ lines: [], removed: { title: 'Tern', quantity: 2 } });
    expect((await ada.api('PATCH', '/entries', { key, quantity: 2 })).body).toMatchObject({ count: 2, removed: null });
  });

  test('knows what goes with it: with most of it first, nothing that is in it, sold out or not in the shop', async () => {
    const [line, reel, tail, gone] = await Promise.all(
      ['Line', 'Reel', 'Tail', 'Gone'].map(async (title) => (await addProduct(server, title, 500)).product),
    );
    const wren = (await addProduct(server, 'Wren', 900)).product;
    const goesWith = async (product: ProductAnswer['product'], ids: string[]) =>
      server.call('PATCH', `/api/products/${product.id}`, {
        seen,
        fields: { goesWith: { how: 'picked', ids } },
      });
    await goesWith(tern, [line!.id, tail!.id, gone!.id, wren.id]);
    await goesWith(wren, [reel!.id, tail!.id]);
    await edit(gone!, { stock: 0 });
    await live();
    const ada = shopper();
    const found = async (query = '') => {
      const answer = await ada.ask(`/shop-api/basket/goes-with${query}`);
      return ((await answer.json()) as { items: { title: string }[] }).items.map(({ title }) => title);
    };
    expect(await found()).toEqual([]);
    await ada.add(1);
    await ada.add(1, wren);
    expect(await found()).toEqual(['Tail', 'Line', 'Reel']);
    expect(await found('?count=1')).toEqual(['Tail']);
    expect((await ada.ask('/shop-api/basket/goes-with?count=900')).status).toBe(422);
  });

  test('works with plain forms alone, and joins the basket of another device', async () => {
    const ada = shopper();
    const added = await ada.form('/basket/add', { slug: tern.slug, variant: tern.variants[0]!.id, quantity: '2' });
    expect([added.status, added.headers.get('location')]).toEqual([303, '/basket']);
    const { elsewhere, basket } = await ada.page<{ elsewhere: string; basket: BasketView }>('/basket');
    expect(basket.count).toBe(2);
    const phone = shopper();
    await phone.ask(new URL(elsewhere).pathname);
    expect((await phone.page<{ basket: BasketView }>('/basket')).basket.count).toBe(2);
    const html = await (await phone.ask('/basket', { headers: { Accept: 'text/html' } })).text();
    expect(html).toContain('action="/basket/change"');
  });

  test.each([
    [{ quantity: -1 }, 422],
    [{ quantity: 1e9 }, 422],
    [{ quantity: 1.5 }, 422],
    [{ variant: 'v_somebodyelse' }, 422],
    [{ slug: 'nothing' }, 404],
    [{ value: 1 }, 422],
  ])('refuses %j in plain words', async (wrong, status) => {
    const body = { slug: tern.slug, variant: tern.variants[0]!.id, quantity: 1, ...wrong };
    const answer = await shopper().api('POST', '/entries', body);
    expect(answer.status).toBe(status);
    expect((answer.body as unknown as { title: string }).title).toMatch(/^[A-Z].*\.$/);
  });

  test('a price that a browser sends is not looked at', async () => {
    const ada = shopper();
    const body = { slug: tern.slug, variant: tern.variants[0]!.id, quantity: 1, price: 1, seen: 1 };
    expect((await ada.api('POST', '/entries', body)).body.goods).toBe(2_500);
  });

  test('a code cannot be guessed by trying', async () => {
    const ada = shopper();
    const statuses: number[] = [];
    for (let i = 0; i < 40; i++) statuses.push((await ada.api('POST', '/codes', { code: `GUESS${i}` })).status);
    expect(statuses.slice(0, 30)).toEqual(Array.from({ length: 30 }, () => 422));
    expect(new Set(statuses.slice(30))).toEqual(new Set([429]));
  });
});

describe('offers', () => {
  test('one for all shows on the product, in rules and in the basket, from its beginning to its end', async () => {
    const from = new Date('2027-03-02T00:00:00Z').toISOString();
    const until = new Date('2027-03-03T00:00:00Z').toISOString();
    await offer({ name: 'A day of wind', action: { does: 'percent', off: 2_000 }, from, until });
    await live();
    const ada = shopper();
    await ada.add();
    const at = async (moment: string) => {
      now = new Date(moment);
      server.catalog.passTime();
      const product = (await (await ada.ask('/shop-api/products/tern')).json()) as {
        variants: { price: number; wasPrice: number | null }[];
      };
      const sale = (await (await ada.ask('/shop-api/listing?at=all&f.sale=yes')).json()) as { total: number };
      return [
        product.variants[0]!.price,
        product.variants[0]!.wasPrice,
        sale.total,
        (await ada.api('GET', '')).body.goods,
      ];
    };
    expect(await at('2027-03-01T23:59:59Z')).toEqual([2_500, null, 0, 2_500]);
    expect(await at('2027-03-02T00:00:00Z')).toEqual([2_000, 2_500, 1, 2_000]);
    const fresh = new Catalog(copyOf(server.folder), () => now);
    expect(fresh.live.shop.facts(tern.id)).toEqual(server.catalog.live.shop.facts(tern.id));
    fresh.close();
    expect(await at('2027-03-03T00:00:00Z')).toEqual([2_500, null, 0, 2_500]);
  });

  test('a price is never said to have been more than it was asked for in the 30 days before', async () => {
    const days = (from: string, until: string) => ({ from: `${from}T00:00:00.000Z`, until: `${until}T00:00:00.000Z` });
    await offer({ action: { does: 'percent', off: 4_000 }, ...days('2027-03-05', '2027-03-08') });
    await offer({ action: { does: 'percent', off: 2_000 }, ...days('2027-03-20', '2027-03-25') });
    await offer({ action: { does: 'percent', off: 5_000 }, ...days('2027-06-01', '2027-06-05') });
    await live();
    const at = async (moment: string) => {
      now = new Date(moment);
      const { variants } = (await (await server.raw('/shop-api/products/tern')).json()) as {
        variants: { price: number; wasPrice: number | null; lowestBefore: number | null }[];
      };
      const card = (await (await server.raw('/shop-api/listing?at=all')).json()) as {
        items: { wasPrice: number | null }[];
      };
      return [variants[0]!.price, variants[0]!.wasPrice, variants[0]!.lowestBefore, card.items[0]!.wasPrice];
    };
    expect(await at('2027-03-06T10:00:00Z')).toEqual([1_500, 2_500, 2_500, 2_500]);
    expect(await at('2027-03-10T10:00:00Z')).toEqual([2_500, null, null, null]);
    // It was 15.00 a fortnight before: 20.00 is nothing to be proud of.
    expect(await at('2027-03-21T10:00:00Z')).toEqual([2_000, null, null, null]);
    expect(await at('2027-04-01T10:00:00Z')).toEqual([2_500, null, null, null]);
    expect(await at('2027-06-02T10:00:00Z')).toEqual([1_250, 2_500, 2_500, 2_500]);
  });

  test('a code takes its offer, is used as often as it may be, and comes back with an order that is called off', async () => {
    const id = await offer({
      name: 'Light wind',
      action: { does: 'percent', off: 1_000 },
      needsCode: true,
      usesPerShopper: 1,
    });
    await server.call('POST', `/api/offers/${id}/codes`, { code: 'light-15', uses: null, note: '' });
    await live();
    const ada = shopper();
    await ada.add();
    expect((await ada.api('POST', '/codes', { code: 'nothing' })).status).toBe(422);
    expect((await ada.api('POST', '/codes', { code: 'Light 15' })).body).toMatchObject({
      goods: 2_250,
      offers: [{ code: 'LIGHT15', off: 250 }],
    });
    expect((await ada.order()).status).toBe(303);
    await ada.add();
    await ada.api('POST', '/codes', { code: 'LIGHT15' });
    // Only now is it known who asks: the total is another than was seen.
    const again = await ada.order();
    expect(again.status).toBe(409);
    const [first] = await orders();
    await does(first!.id, 'cancel', { reason: '' });
    expect((await ada.order()).status).toBe(303);
  });

  test('two tabs that change the same of an offer: the second is told, and loses nothing', async () => {
    const id = await offer({ priority: 10 });
    const change = (fields: Partial<Offer>, was: Partial<Offer>) =>
      server.call<{ offer: Offer }>('PATCH', `/api/offers/${id}`, { ...fields, was });
    expect((await change({ priority: 20 }, { priority: 10 })).status).toBe(200);
    expect((await change({ priority: 30 }, { priority: 10 })).status).toBe(409);
    expect((await change({ name: 'Another' }, { name: 'Offer' })).body.offer).toMatchObject({
      name: 'Another',
      priority: 20,
    });
  });

  test('many codes are made at once, all different, and what is wrong is said at its field', async () => {
    const id = await offer({ action: { does: 'percent', off: 1_000 }, needsCode: true });
    const { body } = await server.call<{ codes: string[] }>('POST', `/api/offers/${id}/codes`, {
      count: 200,
      uses: 1,
      note: 'fair',
    });
    expect(new Set(body.codes).size).toBe(200);
    const taken = await server.call<{ errors: { path: string[] }[] }>('POST', `/api/offers/${id}/codes`, {
      code: body.codes[0],
      uses: null,
      note: '',
    });
    expect([taken.status, taken.body.errors[0]!.path]).toEqual([422, ['code']]);
    const wrong = await server.call<{ errors: { path: unknown[] }[] }>('PATCH', `/api/offers/${id}`, {
      action: { does: 'nForM', take: 2, pay: 2 },
    });
    expect(wrong.body.errors[0]!.path).toEqual(['action', 'pay']);
  });

  test('what an offer would do is told before it runs: the floor that holds it, and what past orders had earned', async () => {
    const ada = shopper();
    await ada.add(2);
    await ada.order();
    const id = await offer({ action: { does: 'percent', off: 6_000 }, isOn: false });
    const { body } = await server.call<{ effects: object[]; past: object }>('POST', `/api/offers/${id}/preview`, {});
    // Cost 10.00, and 21 % tax on it: not below 12.10.
    expect(body.effects).toMatchObject([{ before: 2_500, after: 1_210, note: 'held at the floor', isBad: true }]);
    expect(body.past).toMatchObject({ orders: 1, touched: 1, revenueBefore: 5_000, revenueAfter: 2_420 });
  });
});

describe('orders', () => {
  test('an order takes stock, counts as sold, writes a letter, and empties the basket', async () => {
    const ada = shopper();
    await ada.add(2);
    const placed = await ada.order();
    expect(placed.status).toBe(303);
    expect(await stockOf()).toBe(3);
    expect(server.catalog.working.shop.facts(tern.id)!.sold[7]).toBe(2);
    expect((await ada.api('GET', '')).body.count).toBe(0);
    const page = await ada.page<OrderPageData>(placed.headers.get('location')!);
    expect(page).toMatchObject({ number: 1_001, statusWords: 'not paid', order: { total: 5_595 } });
    const { body } = await server.call<{ outbox: { subject: string; recipient: string }[] }>('GET', '/api/letters');
    expect(body.outbox).toMatchObject([{ subject: 'Your order 1001', recipient: 'ada@example.com' }]);
  });

  test('what is wrong is told at its field, and nothing typed is lost', async () => {
    const ada = shopper();
    await ada.add();
    const answer = await ada.order({ email: 'ada', postcode: '12', name: ' ' });
    expect(answer.status).toBe(422);
    const { page } = (await answer.clone().json()) as { page: CheckoutPageData };
    expect(page.problems).toEqual({
      email: 'Type a mail address such as you@example.com.',
      name: 'Type your name.',
      postcode: 'A postcode here looks like 4401 AB.',
    });
    expect(page.values).toMatchObject({ email: 'ada', postcode: '12', city: 'Yerseke' });
    expect(await orders()).toEqual([]);
  });

  test('a form that is sent twice makes one order', async () => {
    const ada = shopper();
    await ada.add(2);
    const { attempt } = await ada.page<CheckoutPageData>('/checkout');
    const both = await Promise.all([ada.order({ attempt }), ada.order({ attempt })]);
    expect(both.map(({ status }) => status)).toEqual([303, 303]);
    expect(new Set(both.map(({ headers }) => headers.get('location'))).size).toBe(1);
    expect(await orders()).toHaveLength(1);
    expect(await stockOf()).toBe(3);
  });

  test('what was seen once more after a change can be ordered', async () => {
    const ada = shopper();
    await ada.add(4);
    const { seen: before } = await ada.page<CheckoutPageData>('/checkout');
    await edit(tern, { stock: 2 });
    const refused = await ada.order({ seen: before });
    expect([refused.status, (await problemOf(refused))['']]).toEqual([409, expect.stringMatching(/changed while you/)]);
    // The page shows two pieces now, and two are ordered.
    expect((await ada.order()).status).toBe(303);
    expect((await orderNo()).body.lines[0]!.quantity).toBe(2);
  });

  test('of fifty who want the last piece at once one gets it, and the others are told', async () => {
    await edit(tern, { stock: 1 });
    const many = Array.from({ length: 50 }, shopper);
    await Promise.all(many.map((each) => each.add()));
    const answers = await Promise.all(many.map((each, i) => each.order({ email: `s${i}@example.com` })));
    const placed = answers.filter(({ status }) => status === 303);
    const refused = answers.filter(({ status }) => status === 409);
    expect([placed.length, refused.length, await stockOf()]).toEqual([1, 49, 0]);
    for (const answer of refused.slice(0, 3)) expect((await problemOf(answer))['']).toMatch(/Sorry|changed/);
  });

  test('a limited offer is used no oftener than it may be, whoever comes at once', async () => {
    await edit(tern, { stock: 50 });
    await offer({ action: { does: 'percent', off: 1_000 }, uses: 3 });
    await live();
    const many = Array.from({ length: 12 }, shopper);
    await Promise.all(many.map((each) => each.add()));
    await Promise.all(many.map((each, i) => each.order({ email: `s${i}@example.com` })));
    const all = await Promise.all((await orders()).map(async (_, i) => orderNo(i)));
    expect(all.filter(({ body }) => body.used.length > 0)).toHaveLength(3);
  });

  test('from new to paid, two parcels, and part of it paid back', async () => {
    const ada = shopper();
    await ada.add(3);
    await ada.order();
    const { id, body } = await orderNo();
    const { key } = body.lines[0]!;
    expect((await does(id, 'refund', { lines: [], amount: 100, restocked: false, reason: '' })).status).toBe(409);
    expect((await does(id, 'paid', {})).body).toMatchObject({ status: 'paid' });
    expect((await does(id, 'paid', {})).status).toBe(409);
    expect((await does(id, 'sent', { lines: [{ key, quantity: 4 }], tracking: '' })).status).toBe(422);
    expect((await does(id, 'sent', { lines: [{ key, quantity: 1 }], tracking: 'LL1' })).body.status).toBe('partSent');
    expect((await does(id, 'sent', { lines: [{ key, quantity: 2 }], tracking: '' })).body.status).toBe('sent');
    const back = (
      await does(id, 'refund', { lines: [{ key, quantity: 1 }], amount: null, restocked: true, reason: 'torn' })
    ).body;
    expect(back).toMatchObject({ status: 'sent', refunded: 2_500, isPartRefunded: true });
    expect(await stockOf()).toBe(3);
    expect((await does(id, 'refund', { lines: [], amount: 9_999, restocked: false, reason: '' })).status).toBe(422);
    expect(
      (await does(id, 'refund', { lines: [], amount: body.total - 2_500, restocked: false, reason: '' })).body.status,
    ).toBe('refunded');
    expect(back.events.map(({ event }) => event.what)).toEqual(['placed', 'paid', 'sent', 'sent', 'refunded']);
  });

  test('an order that is called off gives everything back', async () => {
    const ada = shopper();
    await ada.add(2);
    await ada.order();
    const { id } = await orderNo();
    expect((await does(id, 'cancel', { reason: 'changed my mind' })).body.status).toBe('cancelled');
    expect(await stockOf()).toBe(5);
    expect(server.catalog.working.shop.facts(tern.id)!.sold[7] ?? 0).toBe(0);
    expect((await does(id, 'paid', {})).status).toBe(409);
  });

  test('stock that the seller counts is what is left then, whatever was sold before, and undo does not bring sold pieces back', async () => {
    const ada = shopper();
    await ada.add(2);
    await ada.order();
    await edit(tern, { stock: 10 });
    expect(await stockOf()).toBe(10);
    await ada.add(4);
    await ada.order();
    expect(await stockOf()).toBe(6);
    await server.call('POST', '/api/undo', {});
    // Five there were; six were sold: nothing is left, and it is never below that.
    expect(await stockOf()).toBe(0);
  });

  test('a gift card is bought, pays part of another order, and gets its money back', async () => {
    const made = await addProduct(server, 'Gift card', 3_000);
    await server.call('PATCH', `/api/products/${made.product.id}`, { seen, fields: { kind: 'giftCard' } });
    await live();
    const ada = shopper();
    const card = (await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body.product;
    await ada.add(1, card);
    expect((await ada.api('GET', '')).body).toMatchObject({ needsDelivery: false, total: 3_000, taxes: [] });
    await ada.order();
    const bought = await orderNo();
    await does(bought.id, 'paid', {});
    const { code } = (await orderNo()).giftCards[0]!;
    const bo = shopper();
    await bo.add(2);
    expect((await bo.api('POST', '/codes', { code: code.toLowerCase() })).body).toMatchObject({
      total: 5_595,
      due: 2_595,
      giftCards: [{ pays: 3_000, left: 0 }],
    });
    expect((await bo.order({ email: 'bo@example.com' })).status).toBe(303);
    const spent = shopper();
    await spent.add();
    expect((await spent.api('POST', '/codes', { code })).status).toBe(422);
    const paid = await orderNo();
    await does(paid.id, 'paid', {});
    await does(paid.id, 'refund', { lines: [], amount: paid.body.total, restocked: false, reason: '' });
    expect((await spent.api('POST', '/codes', { code })).body.giftCards).toMatchObject([{ code, pays: 3_000 }]);
  });

  test('the simulated card is declined, does not answer, and pays; one that nobody finishes gives its goods back', async () => {
    const payments = [{ id: 'pay_card001', kind: 'card', name: 'Card', words: '', isOn: true, fee: 0 }];
    const settings = (await server.call<{ selling: object }>('GET', '/api/settings')).body;
    await server.call('PATCH', '/api/settings', { selling: { ...settings.selling, payments } });
    await live();
    const ada = shopper();
    await ada.add();
    const to = (await ada.order()).headers.get('location')!.split('?')[0]!;
    await ada.form(`${to}/card`, { does: 'decline' });
    expect((await ada.page<OrderPageData>(to)).card!.words).toBe('The card was declined. Nothing was paid.');
    expect((await ada.ask(`${to}/invoice`)).status).toBe(404);
    await ada.form(`${to}/card`, { does: 'accept' });
    expect(await ada.page<OrderPageData>(to)).toMatchObject({ isPaid: true, card: null });
    expect(await (await ada.ask(`${to}/invoice`)).text()).toContain('Invoice 1001');
    const pdf = Buffer.from(await (await ada.ask(`${to}/invoice.pdf`)).arrayBuffer());
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  });

  test('nobody but the people of the shop reads orders, and an order is found by its secret alone', async () => {
    const ada = shopper();
    await ada.add();
    await ada.order();
    expect((await server.raw('/api/orders')).status).toBe(401);
    const { id } = await orderNo();
    expect((await server.raw(`/order/${id}`)).status).toBe(404);
    expect((await server.raw('/order/1001')).status).toBe(404);
  });
});

function copyOf(folder: string): string {
  const copy = mkdtempSync(join(tmpdir(), 'dispona-copy-'));
  cpSync(folder, copy, { recursive: true, filter: (path) => !path.endsWith('dispona.lock') });
  return copy;
}

test('the ledger of stock tells what was left at each step: counted, sold, and come back', async () => {
  const ada = shopper();
  await ada.add(2);
  now = new Date('2027-03-01T11:00:00Z');
  await ada.order();
  now = new Date('2027-03-01T12:00:00Z');
  await edit(tern, { stock: 10 });
  now = new Date('2027-03-01T13:00:00Z');
  await does((await orderNo()).id, 'cancel', { reason: '' });
  const { body } = await server.call<{ movements: { words: string; before: number; after: number }[] }>(
    'GET',
    `/api/products/${tern.id}/stock`,
  );
  expect(body.movements.slice(0, 3)).toMatchObject([
    { words: 'Back from order 1001', before: 10, after: 12 },
    { before: 3, after: 10 },
    { words: 'Order 1001', before: 5, after: 3 },
  ]);
  expect(await stockOf()).toBe(12);
});
