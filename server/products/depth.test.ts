import type { ProductAnswer } from '../../contract/product';
import type { ProductView } from '../../core/storefront/views';
import type { ListingView } from '../../core/storefront/views';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

const START = Date.parse('2027-03-01T10:00:00Z');
const HOUR = 3_600_000;
let now = START;
let server: Harness;
beforeEach(async () => {
  now = START;
  server = await startServer(undefined, () => new Date(now));
});
afterEach(() => server.close());

const iso = (hours: number) => new Date(START + hours * HOUR).toISOString();
const patch = (answer: ProductAnswer, fields: object) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${answer.product.id}`, { seen: answer.revision, fields });
const cells = (answer: ProductAnswer, fields: object) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${answer.product.id}/variants`, {
    seen: answer.revision,
    changes: answer.product.variants.map(({ id }) => ({ id, fields })),
  });
const putLive = () => server.call('POST', '/api/editions', {});
const inShop = async (slug: string) => {
  const answer = await server.raw(`/shop-api/products/${slug}`);
  return answer.status === 200 ? ((await answer.json()) as ProductView) : answer.status;
};
const listing = async (query = '') =>
  (await (await server.raw(`/shop-api/listing?at=all${query}`)).json()) as ListingView;

describe('what cannot be saved is refused at its field, and nothing changes', () => {
  test.each([
    [{ saleFrom: iso(5), saleUntil: iso(5) }, ['fields', 'saleUntil'], /after the beginning/],
    [{ liveFrom: iso(5), liveUntil: iso(1) }, ['fields', 'liveUntil'], /after the beginning/],
    [{ saleFrom: 'tomorrow' }, ['fields', 'saleFrom'], /day and a time/],
    [{ quantityPrices: [{ from: 1, off: 500 }] }, ['fields', 'quantityPrices', 0, 'from'], /begins at 2/],
    [
      {
        quantityPrices: [
          { from: 2, off: 500 },
          { from: 6, off: 400 },
        ],
      },
      ['fields', 'quantityPrices', 1],
      /must cost less/,
    ],
    [{ weight: -5 }, ['fields', 'weight'], /below zero/],
    [{ dispatchDays: 1.5 }, ['fields', 'dispatchDays'], /whole days/],
    [{ specSheetId: 'x_gone00' }, ['fields', 'specSheetId'], /deleted/],
    [{ goesWith: { how: 'picked', ids: ['p_gone00000'] } }, ['fields', 'goesWith'], /deleted/],
  ])('%j', async (fields, path, message) => {
    const made = await addProduct(server, 'Harrier');
    const answer = await patch(made, fields);
    expect(answer.status).toBe(422);
    expect(problem(answer).errors![0]).toMatchObject({ path, message: expect.stringMatching(message) });
    expect((await server.call('GET', `/api/products/${made.product.id}`)).body).toEqual(made);
  });

  test('a product beside itself, a wrong barcode', async () => {
    const made = await addProduct(server, 'Harrier');
    const itself = await patch(made, { stepUp: { how: 'picked', ids: [made.product.id] } });
    expect(problem(itself).errors![0]!.message).toMatch(/beside itself/);
    const barcode = await cells(made, { barcode: '4006381333932' });
    expect(problem(barcode).errors![0]).toMatchObject({
      path: ['changes', 0, 'fields', 'barcode'],
      message: expect.stringMatching(/last digit should be 1/),
    });
  });
});

test('a sale begins and ends by the clock, without a new edition', async () => {
  const made = await addProduct(server, 'Harrier');
  const priced = await cells(made, { price: 6400, salePrice: 5800 });
  await patch(priced.body, { status: 'live', saleFrom: iso(2), saleUntil: iso(4) });
  await putLive();
  const seen = async (hours: number) => {
    now = START + hours * HOUR;
    const card = (await listing()).items[0]!;
    const { price, wasPrice } = ((await inShop('harrier')) as ProductView).variants[0]!;
    expect([card.price.min, card.wasPrice]).toEqual([price, wasPrice]);
    const filtered = await listing('&f.price=0..60');
    expect(filtered.total).toBe(price <= 6000 ? 1 : 0);
    return [price, wasPrice];
  };
  expect(await seen(1.999)).toEqual([6400, null]);
  expect(await seen(2)).toEqual([5800, 6400]);
  expect(await seen(3.999)).toEqual([5800, 6400]);
  expect(await seen(4)).toEqual([6400, null]);
});

test('a product is on the shop from its first moment to its last, by the clock', async () => {
  const made = await addProduct(server, 'Harrier');
  await patch(made, { status: 'live', liveFrom: iso(2), liveUntil: iso(4) });
  await putLive();
  const seen = async (hours: number) => {
    now = START + hours * HOUR;
    const page = (await server.raw('/p/harrier')).status;
    const view = await inShop('harrier');
    const { shownStatus } = (await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body;
    return [(await listing()).total, page, typeof view === 'number' ? view : 200, shownStatus];
  };
  expect(await seen(1)).toEqual([0, 404, 404, 'waiting']);
  expect(await seen(2)).toEqual([1, 200, 200, 'live']);
  expect(await seen(4)).toEqual([0, 404, 404, 'ended']);
});

test('the lowest price of the 30 days before a reduction is told with it', async () => {
  const made = await addProduct(server, 'Harrier');
  await patch((await cells(made, { price: 6000 })).body, { status: 'live' });
  await putLive();
  now += 5 * 24 * HOUR;
  await cells((await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body, { price: 7000 });
  await putLive();
  now += 5 * 24 * HOUR;
  await cells((await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body, { salePrice: 6500 });
  await putLive();
  now += HOUR;
  const view = (await inShop('harrier')) as ProductView;
  // It was to be had for less a week ago: nothing is said of a reduction.
  expect(view.variants[0]).toMatchObject({ price: 6500, wasPrice: null });
  await cells((await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body, { salePrice: 5500 });
  await putLive();
  const lower = (await inShop('harrier')) as ProductView;
  expect(lower.variants[0]).toMatchObject({ price: 5500, wasPrice: 6000, lowestBefore: 6000 });
});

test('quantity prices, unit prices, and prices that are not told', async () => {
  const made = await addProduct(server, 'Line');
  const filled = await cells(made, { price: 1250, content: 50_000 });
  const terms = { status: 'live', unitPricing: 'm', quantityPrices: [{ from: 6, off: 1000 }] };
  const saved = await patch(filled.body, terms);
  await putLive();
  expect(((await inShop('line')) as ProductView).variants[0]).toMatchObject({
    quantityPrices: [{ from: 6, price: 1125 }],
    unitPrice: { amount: 25, words: 'per metre' },
  });
  await patch(saved.body, { priceOnRequest: true });
  await putLive();
  const hidden = (await inShop('line')) as ProductView;
  expect(hidden.pricing).toBe('onRequest');
  expect(JSON.stringify([hidden, await listing()])).not.toMatch(/1250|1125/);
  expect((await listing('&f.price=12..13')).total).toBe(0);
  expect(await (await server.raw('/p/line')).text()).not.toMatch(/12\.50|"price":"/);
});

test('when it is sold out, a product hides, comes last, or can be ordered', async () => {
  const titles = ['Anna', 'Berta', 'Cora'];
  const [anna] = await Promise.all(titles.map((title) => addProduct(server, title)));
  const sold = await cells(anna!, { stock: 0 });
  const all = (await server.call<{ rows: { id: string }[] }>('POST', '/api/goods/list', {})).body.rows;
  for (const { id } of all) {
    const { body } = await server.call<ProductAnswer>('GET', `/api/products/${id}`);
    await patch(body, { status: 'live', featured: body.product.title === 'Anna' });
  }
  const order = async (whenSoldOut: string) => {
    const { body } = await server.call<ProductAnswer>('GET', `/api/products/${sold.body.product.id}`);
    await patch(body, { whenSoldOut, orderDelay: 'In three weeks' });
    await putLive();
    return (await listing()).items.map(({ title }) => title);
  };
  expect((await order('keep'))[0]).toBe('Anna');
  expect((await order('last')).at(-1)).toBe('Anna');
  expect(await order('hide')).not.toContain('Anna');
  expect(await order('order')).toContain('Anna');
  expect(((await inShop('anna')) as ProductView).orderDelay).toBe('In three weeks');
});

describe('spec sheets', () => {
  const attribute = (id: string, name: string, over: object = {}) => ({
    id,
    name,
    type: 'number',
    unit: 'cm',
    choices: [],
    heading: '',
    required: true,
    shown: true,
    filterable: true,
    ...over,
  });
  const skill = attribute('a_skill01', 'Skill', {
    type: 'choice',
    choices: [
      { id: 'q_first01', name: 'Beginner' },
      { id: 'q_able001', name: 'Experienced' },
    ],
  });
  const wingspan = attribute('a_wing001', 'Wingspan');

  async function withSheet() {
    const { body } = await server.call<{ id: string }>('POST', '/api/spec-sheets', { name: 'Kite' });
    await server.call('PUT', `/api/spec-sheets/${body.id}`, { name: 'Kite', attributes: [wingspan, skill] });
    const made = await addProduct(server, 'Harrier');
    const chosen = await patch(made, { specSheetId: body.id, status: 'live' });
    return { sheet: body.id, answer: chosen.body };
  }

  test('values are told to shoppers, make filters, are found by words and asked by rules; undo takes them back', async () => {
    const { answer } = await withSheet();
    // What all goods have parts nothing: another one has not.
    await addProduct(server, 'Wren');
    const specs = { a_wing001: 180_000, a_skill01: ['q_first01'] };
    const saved = await patch(answer, { specs });
    expect(saved.status).toBe(200);
    await putLive();
    expect(((await inShop('harrier')) as ProductView).specs).toEqual([
      {
        heading: '',
        rows: [
          { label: 'Wingspan', value: '180\u00a0cm' },
          { label: 'Skill', value: 'Beginner' },
        ],
      },
    ]);
    const facet = (await listing()).facets.find(({ label }) => label === 'Skill');
    expect(facet).toMatchObject({ key: 'spec.a_skill01', values: [{ label: 'Beginner', count: 1 }] });
    expect((await listing('&f.spec.a_skill01=q_able001')).total).toBe(0);
    expect((await listing('&q=beginner')).total).toBe(1);
    const members = async (value: number) => {
      const rule = { match: 'all', of: [{ field: 'spec.a_wing001', is: 'atLeast', value }] };
      return (await server.call<{ total: number }>('POST', '/api/rules/try', { rule })).body.total;
    };
    expect([await members(150_000), await members(200_000)]).toEqual([1, 0]);
    await server.call('POST', '/api/undo');
    const undone = (await server.call<ProductAnswer>('GET', `/api/products/${answer.product.id}`)).body;
    expect(undone.product.specs).toEqual({});
    expect(await members(150_000)).toBe(0);
  });

  test.each([
    [{ a_wing001: 'long' }, ['fields', 'specs', 'a_wing001'], /number/],
    [{ a_skill01: ['q_gone001'] }, ['fields', 'specs', 'a_skill01'], /deleted/],
  ])('%j is refused', async (specs, path, message) => {
    const { answer } = await withSheet();
    const refused = await patch(answer, { specs });
    expect(problem(refused).errors![0]).toMatchObject({ path, message: expect.stringMatching(message) });
  });

  test('two attributes of one name, and another type for one that has values, are refused', async () => {
    const { sheet, answer } = await withSheet();
    await patch(answer, { specs: { a_wing001: 1_000 } });
    const put = (attributes: object[]) => server.call('PUT', `/api/spec-sheets/${sheet}`, { name: 'Kite', attributes });
    const twice = await put([wingspan, { ...skill, name: 'wingspan' }]);
    expect(problem(twice).errors![0]).toMatchObject({ path: ['attributes', 1, 'name'] });
    const retyped = await put([{ ...wingspan, type: 'text' }]);
    expect(problem(retyped).errors![0]!.message).toMatch(/have values/);
  });

  test('an attribute that two sheets share is changed in both', async () => {
    await withSheet();
    const { body } = await server.call<{ id: string }>('POST', '/api/spec-sheets', { name: 'Foil' });
    const renamed = { ...wingspan, name: 'Span', heading: 'Size' };
    await server.call('PUT', `/api/spec-sheets/${body.id}`, { name: 'Foil', attributes: [renamed] });
    const { sheets } = (
      await server.call<{ sheets: { name: string; attributes: { name: string; heading: string }[] }[] }>(
        'GET',
        '/api/spec-sheets',
      )
    ).body;
    const kite = sheets.find(({ name }) => name === 'Kite')!;
    expect(kite.attributes.map(({ name, heading }) => [name, heading])).toEqual([
      ['Span', ''],
      ['Skill', ''],
    ]);
  });
});

test('a copy has everything but SKU, barcode, stock, address and status', async () => {
  const made = await addProduct(server, 'Harrier');
  const filled = await cells(made, { sku: 'HD-1', barcode: '4006381333931', stock: 7, price: 6400, cost: 2910 });
  await patch(filled.body, { status: 'live', weight: 350, customFields: [{ label: 'In the box', value: 'a kite' }] });
  const original = (await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body.product;
  const { body } = await server.call<ProductAnswer>('POST', `/api/products/${made.product.id}/copy`, {});
  expect(body.product).toMatchObject({
    title: 'Copy of Harrier',
    slug: 'copy-of-harrier',
    status: 'draft',
    weight: 350,
    customFields: original.customFields,
  });
  expect(body.product.variants[0]).toMatchObject({ sku: '', barcode: '', stock: 0, price: 6400, cost: 2910 });
  await server.call('POST', '/api/undo');
  expect((await server.call('GET', `/api/products/${body.product.id}`)).status).toBe(404);
});

test('parts are copied to several products in one change', async () => {
  const made = await addProduct(server, 'Harrier');
  await patch(made, { weight: 350, packageType: 'tube', quantityPrices: [{ from: 2, off: 500 }] });
  const others = [await addProduct(server, 'Wren'), await addProduct(server, 'Tern')];
  const to = others.map(({ product }) => product.id);
  const answer = await server.call('POST', `/api/products/${made.product.id}/copy-parts`, { to, parts: ['delivery'] });
  expect(answer.body).toEqual({ changed: 2, kept: [] });
  const read = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body.product;
  for (const id of to) expect(await read(id)).toMatchObject({ weight: 350, packageType: 'tube', quantityPrices: [] });
  await server.call('POST', '/api/undo');
  for (const id of to) expect(await read(id)).toMatchObject({ weight: null, packageType: '' });
});

test('options and prices are copied where no variant with work would go, which is told', async () => {
  const made = await addProduct(server, 'Harrier');
  const option = (name: string, ...values: string[]) => ({
    id: null,
    name,
    values: values.map((value) => ({ id: null, name: value, swatch: null })),
  });
  const setOptions = async (id: string, ...options: object[]) =>
    (await server.call<ProductAnswer>('PUT', `/api/products/${id}/options`, { seen: Number.MAX_SAFE_INTEGER, options }))
      .body;
  const priced = await setOptions(made.product.id, option('Colour', 'Red', 'Blue'), option('Size', 'S', 'L'));
  await server.call('PATCH', `/api/products/${made.product.id}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: priced.product.variants.map(({ id }, i) => ({ id, fields: { price: 1_000 + i } })),
  });
  const free = await addProduct(server, 'Wren', 500);
  const kept = await setOptions((await addProduct(server, 'Tern')).product.id, option('colour', 'red', 'Green'));
  await cells(kept, { stock: 3 });
  const to = [free.product.id, kept.product.id];
  const answer = await server.call('POST', `/api/products/${made.product.id}/copy-parts`, { to, parts: ['options'] });
  const reason = 'would lose variants with SKU, stock or a sale price';
  expect(answer.body).toEqual({ changed: 2, kept: [{ title: 'Tern', reason }] });
  const read = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body.product;
  const got = await read(free.product.id);
  expect(got.options.map(({ name, values }) => [name, ...values.map((value) => value.name)])).toEqual([
    ['Colour', 'Red', 'Blue'],
    ['Size', 'S', 'L'],
  ]);
  expect(got.variants.map(({ price }) => price)).toEqual([1_000, 1_001, 1_002, 1_003]);
  expect((await read(kept.product.id)).variants).toHaveLength(2);
  await server.call('POST', '/api/undo');
  expect((await read(free.product.id)).options).toEqual([]);
});

test('open tabs hear when a sale begins by the clock', async () => {
  const made = await addProduct(server, 'Harrier');
  const priced = await cells(made, { price: 6400, salePrice: 5800 });
  await patch(priced.body, { saleFrom: iso(2) });
  const heard: string[] = [];
  server.catalog.events.on('event', ({ type }) => void heard.push(type));
  server.catalog.passTime();
  expect(heard).toEqual([]);
  now = START + 2 * HOUR;
  server.catalog.passTime();
  expect(heard).toEqual(['changed']);
});

test('the same SKU or barcode elsewhere is found and named', async () => {
  const first = await addProduct(server, 'Harrier');
  await cells(first, { sku: 'HD-1', barcode: '4006381333931' });
  const second = await addProduct(server, 'Wren');
  const answer = await cells(second, { sku: 'HD-1', barcode: '400 638-1333931' });
  expect(answer.body.duplicates).toEqual([
    expect.objectContaining({ field: 'sku', value: 'HD-1', productId: first.product.id, title: 'Harrier' }),
    expect.objectContaining({ field: 'barcode', value: '4006381333931', productId: first.product.id }),
  ]);
});

test('the page of a product tells search engines what it is', async () => {
  const made = await addProduct(server, 'Harrier');
  const filled = await cells(made, { sku: 'HD-1', barcode: '4006381333931', price: 6400, stock: 0 });
  await patch(filled.body, {
    status: 'live',
    metaTitle: 'Harrier </title><script>',
    metaDescription: 'Lifts "light".',
  });
  await putLive();
  const html = await (await server.raw('/p/harrier')).text();
  expect(html).toContain('<title>Harrier &lt;/title&gt;&lt;script&gt;</title>');
  expect(html).toContain('<meta name="description" content="Lifts &quot;light&quot;.">');
  const data = JSON.parse(/<script type="application\/ld\+json">(.*?)<\/script>/.exec(html)![1]!) as object;
  expect(data).toMatchObject({
    '@context': 'https://schema.org',
    '@type': 'Product',
    name: 'Harrier',
    sku: 'HD-1',
    gtin: '4006381333931',
    offers: {
      '@type': 'Offer',
      price: '64.00',
      priceCurrency: 'EUR',
      availability: 'https://schema.org/OutOfStock',
    },
  });
  expect(html).not.toContain('content="noindex"');
  const { body } = await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`);
  await patch(body, { noindex: true });
  await putLive();
  expect(await (await server.raw('/p/harrier')).text()).toContain('content="noindex"');
});

test('relations stand below a product, in order, those on the shop only; and can lead back', async () => {
  const kite = await addProduct(server, 'Harrier');
  const reel = await addProduct(server, 'Reel');
  const draft = await addProduct(server, 'Draft line');
  await patch(draft, { status: 'draft' });
  const ids = [draft.product.id, reel.product.id];
  await patch(kite, { status: 'live', goesWith: { how: 'picked', ids } });
  await putLive();
  const strips = async (slug: string) => {
    const answer = await server.raw(`/p/${slug}`, { headers: { Accept: 'application/json' } });
    const { page } = (await answer.json()) as { page: { strips: { kind: string; cards: { title: string }[] }[] } };
    return page.strips.map(({ kind, cards }) => [kind, cards.map(({ title }) => title)]);
  };
  expect(await strips('harrier')).toEqual([['goesWith', ['Reel']]]);
  const body = { kind: 'goesWith', to: reel.product.id };
  await server.call('POST', `/api/products/${kite.product.id}/relate-back`, body);
  await putLive();
  expect(await strips('reel')).toEqual([['goesWith', ['Harrier']]]);
});

test('another kind is asked for when it loses something, and undo brings that back', async () => {
  const made = await addProduct(server, 'Repair');
  const heavy = await patch(made, { weight: 350, dispatchDays: 2 });
  const cellsToo = await cells(heavy.body, { weight: 400 });
  const asked = await patch(cellsToo.body, { kind: 'service' });
  expect([asked.status, problem(asked).title]).toEqual([
    409,
    'As a service, it loses its weight and its days to dispatch.',
  ]);
  const before = (await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body.product;
  expect(before).toMatchObject({ kind: 'physical', weight: 350 });
  const changed = await server.call<ProductAnswer>('PATCH', `/api/products/${made.product.id}`, {
    seen: cellsToo.body.revision,
    fields: { kind: 'service' },
    confirmed: true,
  });
  expect(changed.body.product).toMatchObject({ kind: 'service', weight: null, dispatchDays: null });
  expect(changed.body.product.variants[0]!.weight).toBeNull();
  const timed = await patch(changed.body, { duration: 150 });
  await putLive();
  expect(((await inShop('repair')) as ProductView).delivery).toEqual([{ label: 'Duration', value: '2 h 30 min' }]);
  const card = await patch(timed.body, { kind: 'giftCard' });
  expect(problem(card).title).toBe('As a gift card, it loses how long it takes.');
  await server.call('POST', '/api/undo');
  await server.call('POST', '/api/undo');
  expect((await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body.product).toEqual(before);
});

test('stock moves with a reason, a ledger tells every movement, and too many cannot be taken', async () => {
  const made = await addProduct(server, 'Harrier');
  const { id } = made.product;
  const variant = made.product.variants[0]!.id;
  const move = (reason: string, pieces: number, note = '') =>
    server.call<ProductAnswer>('POST', `/api/products/${id}/stock`, { reason, note, moves: [{ id: variant, pieces }] });
  expect(problem(await move('delivered', 5)).errors![0]!.message).toMatch(/not counted/);
  await move('counted', 10);
  await move('delivered', 5, 'delivery 214');
  const short = await move('damaged', -20);
  expect(problem(short).errors![0]).toMatchObject({
    path: ['moves', 0, 'pieces'],
    message: 'There are only 15 to take from.',
  });
  expect((await move('damaged', -3)).body.product.variants[0]!.stock).toBe(12);
  await server.call('POST', '/api/undo');
  const { movements } = (
    await server.call<{ movements: { words: string; before: number | null; after: number | null }[] }>(
      'GET',
      `/api/products/${id}/stock`,
    )
  ).body;
  expect(movements.map(({ words, before, after }) => [words.split(':')[0], before, after])).toEqual([
    ['Undone', 12, 15],
    ['Damaged or lost', 15, 12],
    ['Delivered', 10, 15],
    ['Counted', null, 10],
  ]);
  expect(movements[2]!.words).toBe('Delivered: stock of “Harrier”, delivery 214');
});

test('a copy leaves the same combinations out, and parts that a kind has not are not copied to it', async () => {
  const made = await addProduct(server, 'Harrier');
  const value = (name: string) => ({ id: null, name, swatch: null });
  const path = `/api/products/${made.product.id}/options`;
  const both = await server.call<ProductAnswer>('PUT', path, {
    seen: made.revision,
    options: [{ id: null, name: 'Size', values: ['S', 'M', 'L'].map(value) }],
  });
  const { options, variants } = both.body.product;
  const without = await server.call<ProductAnswer>('PUT', path, {
    seen: both.body.revision,
    options,
    excludedCombinations: [variants[1]!.values],
    confirmed: true,
  });
  expect(without.body.product.variants).toHaveLength(2);
  const copy = (await server.call<ProductAnswer>('POST', `/api/products/${made.product.id}/copy`, {})).body;
  expect(copy.product.excludedCombinations).toEqual([[copy.product.options[0]!.values[1]!.id]]);
  const again = await server.call<ProductAnswer>('PUT', `/api/products/${copy.product.id}/options`, {
    seen: copy.revision,
    options: copy.product.options,
  });
  expect(again.body.product.variants).toHaveLength(2);

  const service = await patch(await addProduct(server, 'Repair'), { kind: 'service' });
  await patch(without.body, { weight: 350 });
  const to = [service.body.product.id];
  await server.call('POST', `/api/products/${made.product.id}/copy-parts`, { to, parts: ['delivery', 'prices'] });
  const { product } = (await server.call<ProductAnswer>('GET', `/api/products/${to[0]}`)).body;
  expect(product.weight).toBeNull();
});

test('the review tells specs apart from fields of the same name', async () => {
  const { body } = await server.call<{ id: string }>('POST', '/api/spec-sheets', { name: 'Cloth' });
  const weight = { id: 'a_weight1', name: 'Weight', type: 'text', unit: '', choices: [], heading: '' };
  const attributes = [{ ...weight, required: false, shown: true, filterable: false }];
  await server.call('PUT', `/api/spec-sheets/${body.id}`, { name: 'Cloth', attributes });
  const made = await patch(await addProduct(server, 'Cloth'), { specSheetId: body.id, specs: { a_weight1: 'light' } });
  await putLive();
  await patch(made.body, { specs: { a_weight1: 'heavy' } });
  const review = await server.call<{ changes: { fields: object[] }[] }>('GET', '/api/review');
  expect(review.body.changes[0]!.fields).toEqual([{ label: 'Spec Weight', before: 'light', after: 'heavy' }]);
});
