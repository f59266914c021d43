import type { Offer } from '../../core/model/offer';
import type { ProductView } from '../../core/storefront/views';
import { startShop, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
let now: Date;
const variantOf = (i: number) => server.catalog.working.products.get(server.ids[i]!)!.variants[0]!;

beforeEach(async () => {
  now = new Date('2027-03-01T10:00:00Z');
  server = await startShop({ Tern: 2_000, Wren: 1_000 }, () => now);
  await live();
});
afterEach(() => server.close());

const live = () => server.call('POST', '/api/editions', {});
const edit = (i: number, fields: object) =>
  server.call('PATCH', `/api/products/${server.ids[i]!}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: [{ id: variantOf(i).id, fields }],
  });
async function offer(fields: Partial<Offer>): Promise<string> {
  const { body } = await server.call<{ id: string }>('POST', '/api/offers', { name: fields.name ?? 'Offer' });
  const answer = await server.call('PATCH', `/api/offers/${body.id}`, { isOn: true, goods: { how: 'all' }, ...fields });
  expect(answer.status).toBe(200);
  return body.id;
}
async function seen(path: string): Promise<ProductView> {
  const response = await server.raw(path, { headers: { Accept: 'application/json', Cookie: server.cookie } });
  return ((await response.json()) as { page: { product: ProductView } }).page.product;
}

describe('offers of the basket on the page of a product', () => {
  const told = async (slug = 'tern') => (await seen(`/p/${slug}`)).offers;

  test('are told in words with their terms, while they run', async () => {
    await offer({
      name: 'Kite days',
      action: { does: 'nForM', take: 3, pay: 2 },
      subtotal: 3_000,
      uses: 40,
      from: '2027-03-02T00:00:00Z',
      until: '2027-03-04T23:00:00Z',
    });
    await live();
    expect(await told()).toEqual([]);
    now = new Date('2027-03-02T10:00:00Z');
    expect(await told()).toEqual([
      {
        name: 'Kite days',
        gives: '3 for the price of 2',
        terms: 'from €30.00 in the basket, until 4 March, while it lasts',
      },
    ]);
    now = new Date('2027-03-05T10:00:00Z');
    expect(await told()).toEqual([]);
  });

  test('a gift is named; codes, other goods, and what shows in the price already are not told', async () => {
    const gift = { productId: server.ids[1]!, variantId: variantOf(1).id };
    await offer({
      name: 'Present',
      action: { does: 'gift', ...gift },
      goods: { how: 'picked', ids: [server.ids[0]!] },
    });
    await offer({ name: 'Secret', action: { does: 'percent', off: 1_000 }, needsCode: true });
    await offer({ name: 'Price', action: { does: 'percent', off: 1_000 } });
    await live();
    expect(await told()).toEqual([{ name: 'Present', gives: 'Wren as a gift', terms: '' }]);
    expect(await told('wren')).toEqual([]);
    expect((await seen('/p/tern')).variants[0]).toMatchObject({ price: 1_800, wasPrice: 2_000 });
  });
});

describe('the shop on a day to come', () => {
  test('shows what begins until then, follows every change, and alters nothing of now', async () => {
    await offer({
      action: { does: 'percent', off: 1_000 },
      from: '2027-03-10T00:00:00Z',
      until: '2027-03-20T00:00:00Z',
    });
    const price = async (path: string) => (await seen(path)).variants[0]!.price;
    const [before, during, after] = ['2027-03-05T10:00Z', '2027-03-10T10:00Z', '2027-03-20T10:00Z'];
    expect(await price(`/preview/on/${before}/p/tern`)).toBe(2_000);
    expect(await price(`/preview/on/${during}/p/tern`)).toBe(1_800);
    expect(await price(`/preview/on/${after}/p/tern`)).toBe(2_000);
    expect([await price('/preview/p/tern'), await price('/p/tern')]).toEqual([2_000, 2_000]);
    await edit(0, { price: 3_000 });
    expect(await price(`/preview/on/${during}/p/tern`)).toBe(2_700);
    // What it says then is what the shop says when the day has come.
    await live();
    now = new Date('2027-03-10T10:00:00Z');
    expect(await price('/p/tern')).toBe(2_700);
  });

  test('links stay on the day; a day that has passed is now; what is no moment is not there', async () => {
    const html = async (path: string) => {
      const response = await server.raw(path, { headers: { Accept: 'text/html', Cookie: server.cookie } });
      return { status: response.status, text: await response.text() };
    };
    const day = '/preview/on/2027-03-10T10:00Z';
    expect((await html(`${day}/search?q=tern`)).text).toContain(`href="${day}/p/tern"`);
    expect((await seen('/preview/on/2027-01-10T10:00Z/p/tern')).variants[0]!.price).toBe(2_000);
    expect((await html('/preview/on/soon/p/tern')).status).toBe(404);
    expect((await server.raw(`${day}/p/tern`)).status).toBe(401);
  });
});

describe('why this price', () => {
  const why = (more: object) =>
    server.call<{ steps: unknown[]; basket: { lines: { total: number }[]; used: unknown[]; total: number } | null }>(
      'POST',
      '/api/prices/why',
      {
        productId: server.ids[0],
        variantId: variantOf(0).id,
        quantity: 1,
        country: null,
        at: null,
        code: '',
        ...more,
      },
    );

  test('tries a basket of several goods, with what each offer takes off', async () => {
    await offer({ name: 'Pair', action: { does: 'setPrice', pieces: 2, price: 2_400 } });
    expect((await why({})).body.basket).toBeNull();
    const beside = [{ productId: server.ids[1], variantId: variantOf(1).id, quantity: 1 }];
    const { basket } = (await why({ beside })).body;
    expect(basket).toMatchObject({ total: 2_400, used: [{ name: 'Pair', off: 600 }] });
    expect(basket!.lines.reduce((sum, { total }) => sum + total, 0)).toBe(2_400);
    expect((await why({ beside: [{ ...beside[0], variantId: 'v_none' }] })).status).toBe(404);
    expect((await why({ beside: [{ ...beside[0], quantity: 0 }] })).status).toBe(422);
  });

  test('tells what the variant cost so far, and which editions changed that', async () => {
    now = new Date('2027-03-05T10:00:00Z');
    await edit(0, { price: 2_400 });
    await live();
    now = new Date('2027-03-06T10:00:00Z');
    await edit(1, { price: 900 });
    await live();
    await offer({ action: { does: 'price', price: 1_500 }, from: '2027-03-07T00:00:00Z' });
    await live();
    now = new Date('2027-03-08T10:00:00Z');
    await seen('/p/tern');
    const { body } = await server.call<{ steps: { price: number; list: number }[]; editions: { at: string }[] }>(
      'GET',
      `/api/prices/history?variant=${variantOf(0).id}`,
    );
    expect(body.steps.map(({ price, list }) => [price, list])).toEqual([
      [2_000, 2_000],
      [2_400, 2_400],
      [1_500, 2_400],
    ]);
    expect(body.editions.map(({ at }) => at.slice(0, 10))).toEqual(['2027-03-01', '2027-03-05']);
  });
});
