import type { ProductAnswer } from '../../contract/product';
import type { ProposalAnswer } from '../../contract/suppliers';
import type { Proposed, ProposedOption } from '../../core/model/proposal';
import { allRoutes } from '../../contract/all-routes';
import type { Route } from '../../contract/route';
import { startShop, problem, type Answer, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
beforeEach(async () => {
  server = await startShop({ Tern: 3900, Wren: 2400, Secret: 9900 });
});
afterEach(() => server.close());

interface Maker {
  call: <T = unknown>(method: string, path: string, body?: unknown) => Promise<Answer<T>>;
  supplier: string;
}

/** Somebody who makes these goods, signed in. */
async function joined(goods: readonly string[], languages: string[] | null = null): Promise<Maker> {
  const { id: supplier } = (await server.call<{ id: string }>('POST', '/api/suppliers', { name: 'Windwerk' })).body;
  if (goods.length > 0)
    await server.call('POST', `/api/suppliers/${supplier}/goods`, { productIds: goods, main: true });
  const invited = await server.call<{ code: string }>('POST', '/api/people/invites', {
    email: 'mara@windwerk.example',
    role: 'helper',
    suppliers: [supplier],
    languages,
  });
  const response = await server.raw('/api/invited', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ code: invited.body.code, name: 'Mara', password: 'a gust at dawn' }),
  });
  const cookie = response.headers.get('set-cookie')!.split(';')[0]!;
  const { token } = (await response.json()) as { token: string };
  const call = async <T>(method: string, path: string, body?: unknown): Promise<Answer<T>> => {
    const isForm = body instanceof FormData;
    const answer = await server.raw(path, {
      method,
      headers: { Cookie: cookie, 'X-Dispona-Token': token, ...(isForm ? {} : { 'Content-Type': 'application/json' }) },
      body: isForm ? body : body === undefined ? undefined : JSON.stringify(body),
    });
    const text = await answer.text();
    const isJson = answer.headers.get('content-type')?.includes('json');
    return { status: answer.status, headers: answer.headers, body: (isJson ? JSON.parse(text) : text) as T };
  };
  return { call, supplier };
}

const product = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body.product;
const waiting = async () => (await server.call<{ waiting: ProposalAnswer[] }>('GET', '/api/proposals')).body.waiting;
const take = (id: string, body: object = {}) =>
  server.call<{ productId: string }>('POST', `/api/proposals/${id}/take`, body);
const propose = (
  maker: Maker,
  productId: string | null,
  proposed: Partial<Proposed> & { options?: ProposedOption[] },
  note = '',
) =>
  maker.call<{ id: string }>('POST', '/api/maker/proposals', {
    productId,
    supplierId: maker.supplier,
    note,
    ...proposed,
  });
const told = (row: ProposalAnswer) => row.rows.map(({ label, nowWords, willWords }) => [label, nowWords, willWords]);

test('a maker reaches nothing of the desk but what is declared for makers', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const everything = Object.values(allRoutes).flatMap((group) => Object.values(group) as Route[]);
  const closed = everything.filter(({ open, makers, path }) => !open && !makers && path.startsWith('/api/'));
  expect(closed.length).toBeGreaterThan(150);
  for (const { method, path } of closed) {
    const { status } = await mara.call(method, path.replace(/:\w+/g, 'x'), method === 'GET' ? undefined : {});
    expect([method, path, status]).toEqual([method, path, 403]);
  }
  // What is no call of the contract: streams, files, the preview.
  for (const path of ['/api/events', '/preview/', `/preview/p/tern`, '/api/exports/x/file', '/api/backups/x/file'])
    expect([path, (await mara.call('GET', path)).status >= 400]).toEqual([path, true]);
});

test('a maker sees their own goods and nothing of others, not even whether they are there', async () => {
  const [tern, wren, secret] = server.ids as [string, string, string];
  const mara = await joined([tern, wren]);
  const { body } = await mara.call<{ goods: { title: string }[] }>('GET', '/api/maker');
  expect(body.goods.map(({ title }) => title)).toEqual(['Tern', 'Wren']);
  expect(JSON.stringify(body)).not.toContain('Secret');
  const good = await mara.call<{ product: object; variants: { fields: object }[] }>('GET', `/api/maker/goods/${tern}`);
  expect(Object.keys(good.body.product).sort()).toEqual(['description', 'summary', 'title']);
  expect(Object.keys(good.body.variants[0]!.fields)).not.toContain('salePrice');
  const [foreign, none] = [
    await mara.call('GET', `/api/maker/goods/${secret}`),
    await mara.call('GET', '/api/maker/goods/p_x'),
  ];
  expect([foreign.status, foreign.body]).toEqual([none.status, none.body]);
  expect((await propose(mara, secret, { product: { title: 'Mine now' } })).status).toBe(404);
});

test('a change is proposed, taken with an edit and without a row, told in the history, and undone as one', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const variant = (await product(tern)).variants[0]!.id;
  const made = await propose(
    mara,
    tern,
    { product: { title: 'Tern II', summary: 'Lighter.' }, variants: { [variant]: { price: 4200, cost: 1900 } } },
    'New cloth.',
  );
  expect((await product(tern)).title).toBe('Tern');
  const [proposal] = await waiting();
  expect(proposal).toMatchObject({ title: 'Tern II', by: 'Mara', supplier: 'Windwerk', note: 'New cloth.' });
  expect(told(proposal!)).toEqual([
    ['Title', 'Tern', 'Tern II'],
    ['Summary', '', 'Lighter.'],
    ['Price', '€39.00', '€42.00'],
    ['Cost', '', '€19.00'],
  ]);
  await take(made.body.id, {
    without: ['product/summary'],
    edits: { variants: { [variant]: { price: 4100 } } },
    reply: 'Thank you.',
  });
  const after = await product(tern);
  expect([after.title, after.summary, after.variants[0]!.price, after.variants[0]!.cost]).toEqual([
    'Tern II',
    '',
    4100,
    1900,
  ]);
  const { body } = await mara.call<{ proposals: ProposalAnswer[] }>('GET', '/api/maker');
  expect(body.proposals[0]).toMatchObject({ state: 'taken', reply: 'Thank you.' });
  const history = (await server.call<{ changes: { label: string; userName: string }[] }>('GET', '/api/history')).body;
  expect(history.changes.slice(0, 2)).toEqual([
    expect.objectContaining({
      label: 'Took title, price, cost of “Tern II” as Mara of Windwerk proposed',
      userName: 'Kim',
    }),
    expect.objectContaining({ label: 'Mara of Windwerk proposed changes to “Tern II”', userName: 'Mara' }),
  ]);
  // Nothing is live before the next edition, and undo lets the proposal wait again.
  const status = await server.call<{ changes: number }>('GET', '/api/status');
  expect(status.body.changes).toBeGreaterThan(0);
  await server.call('POST', '/api/undo');
  expect((await product(tern)).title).toBe('Tern');
  expect(await waiting()).toHaveLength(1);
});

test('what was changed meanwhile is marked; what is so already is not proposed; who proposes again replaces it', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const first = await propose(mara, tern, { product: { title: 'Tern II', summary: '' } });
  expect((await waiting())[0]!.rows.map(({ label }) => label)).toEqual(['Title']);
  await server.call('PATCH', `/api/products/${tern}`, { seen: 999, fields: { title: 'Tern of May' } });
  expect((await waiting())[0]!.rows[0]).toMatchObject({ now: 'Tern of May', isOutdated: true });
  const second = await propose(mara, tern, { product: { title: 'Tern III' } });
  expect(second.body.id).toBe(first.body.id);
  expect((await waiting()).map(told)).toEqual([[['Title', 'Tern of May', 'Tern III']]]);
  const nothing = await propose(mara, tern, { product: { title: 'Tern of May' } });
  expect([nothing.status, problem(nothing).errors?.[0]?.message]).toEqual([
    422,
    'Nothing of this is other than it is already.',
  ]);
});

test('a new product is proposed with a picture, and becomes a draft of its supplier when it is taken', async () => {
  const mara = await joined([]);
  const form = new FormData();
  form.append('files', new Blob([Buffer.from(PNG, 'base64')]), 'heron.png');
  form.append('files', new Blob(['no picture']), 'notes.png');
  const { pictures, refused } = (
    await mara.call<{ pictures: Proposed['pictures']; refused: { file: string }[] }>(
      'POST',
      '/api/maker/pictures',
      form,
    )
  ).body;
  expect(refused).toEqual([expect.objectContaining({ file: 'notes.png' })]);
  const { id } = (
    await propose(mara, null, {
      product: { title: 'Heron', description: '<p>Wide.</p><script>alert(1)</script>' },
      variants: { new: { price: 6900, barcode: '' } },
      pictures,
    })
  ).body;
  const [proposal] = await waiting();
  expect(proposal).toMatchObject({ isNew: true, title: 'Heron', pictures: [expect.stringContaining('/media/')] });
  const { productId } = (await take(id)).body;
  expect(await product(productId)).toMatchObject({
    title: 'Heron',
    slug: 'heron',
    status: 'draft',
    supplier: 'Windwerk',
    description: '<p>Wide.</p>',
    variants: [expect.objectContaining({ price: 6900 })],
    pictures: [expect.objectContaining({ media: pictures[0]!.media })],
  });
  expect((await take(id)).status).toBe(404);
});

test('a new product comes in sizes and colours: what is told of all holds where one variant says nothing else', async () => {
  const mara = await joined([]);
  const options = [
    { name: 'Size', values: ['S', 'L'] },
    { name: 'Colour', values: ['Red', 'Blue'] },
  ];
  const variants = {
    new: { price: 4_000, cost: 2_000, weight: 300, barcode: '4006381333931' },
    '1.0': { price: 5_000, supplierNumber: 'L-R' },
    '1.1': { cost: 2_500 },
  };
  expect((await propose(mara, null, { product: { title: 'Kestrel' }, options, variants })).status).toBe(200);
  const [proposal] = await waiting();
  expect(told(proposal!)).toContainEqual(['Price of L · Red', '', '€50.00']);
  expect(told(proposal!)).toContainEqual(['Price of S · Blue', '', '€40.00']);
  const { productId } = (await take(proposal!.id)).body;
  const made = await product(productId);
  expect(made.options.map(({ name, values }) => [name, values.map((value) => value.name)])).toEqual([
    ['Size', ['S', 'L']],
    ['Colour', ['Red', 'Blue']],
  ]);
  expect(
    made.variants.map(({ price, cost, weight, barcode, supplierNumber }) => [
      price,
      cost,
      weight,
      barcode,
      supplierNumber,
    ]),
  ).toEqual([
    [4_000, 2_000, 300, '', ''],
    [4_000, 2_000, 300, '', ''],
    [5_000, 2_000, 300, '', 'L-R'],
    [4_000, 2_500, 300, '', ''],
  ]);
});

test('options that cannot be, variants without a price, and those that nothing makes, are told at their fields', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const kite = { title: 'Kestrel' };
  const twice = [{ name: 'Size', values: ['S', 's'] }];
  const paths = async (productId: string | null, proposed: Parameters<typeof propose>[2]) =>
    problem(await propose(mara, productId, proposed)).errors!.map(({ path }) => path.join('.'));
  expect(await paths(null, { product: kite, options: twice, variants: { new: { price: 1 } } })).toEqual([
    'options.0.values.1',
  ]);
  const sizes = [{ name: 'Size', values: ['S', 'M', 'L'] }];
  expect(await paths(null, { product: kite, options: sizes, variants: { '1': { price: 1 } } })).toEqual([
    'variants.0.price',
    'variants.2.price',
  ]);
  const beyond = { new: { price: 1 }, '7': { price: 2 } };
  expect(await paths(null, { product: kite, options: sizes, variants: beyond })).toEqual(['variants.7']);
  expect(await paths(tern, { product: kite, options: sizes })).toEqual(['options']);
  expect(await waiting()).toEqual([]);
});

test('what is missing of a new product is told at its field', async () => {
  const mara = await joined([]);
  for (const [proposed, path] of [
    [{ variants: { new: { price: 100 } } }, ['product', 'title']],
    [{ product: { title: 'Heron' } }, ['variants', 'new', 'price']],
    [{ product: { title: 'Heron' }, variants: { new: { price: -1 } } }, ['variants', 'new', 'price']],
  ] as const) {
    const refused = await propose(mara, null, proposed);
    expect([refused.status, problem(refused).errors?.[0]?.path]).toEqual([422, path]);
  }
});

test('a proposal is refused with a word, which has to be said, or withdrawn; then it is answered for good', async () => {
  const [tern, wren] = server.ids as [string, string];
  const mara = await joined([tern, wren]);
  const a = (await propose(mara, tern, { product: { title: 'Tern II' } })).body.id;
  const b = (await propose(mara, wren, { product: { title: 'Wren II' } })).body.id;
  const silent = await server.call('POST', `/api/proposals/${a}/refuse`, { reply: ' ' });
  expect(problem(silent).errors?.[0]?.path).toEqual(['reply']);
  await server.call('POST', `/api/proposals/${a}/refuse`, { reply: 'We keep the old name.' });
  await mara.call('DELETE', `/api/maker/proposals/${b}`);
  expect(await waiting()).toEqual([]);
  const { body } = await mara.call<{ proposals: ProposalAnswer[] }>('GET', '/api/maker');
  expect(body.proposals.map(({ state, reply }) => [state, reply]).sort()).toEqual([
    ['refused', 'We keep the old name.'],
    ['withdrawn', ''],
  ]);
  expect((await take(a)).status).toBe(404);
  expect((await mara.call('DELETE', `/api/maker/proposals/${b}`)).status).toBe(404);
});

test('a price that does not go with the sale is refused at its field, and nothing of the proposal is taken', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const { variants } = await product(tern);
  await server.call('PATCH', `/api/products/${tern}/variants`, {
    seen: 999,
    changes: [{ id: variants[0]!.id, fields: { salePrice: 3000 } }],
  });
  const { id } = (
    await propose(mara, tern, { product: { title: 'X' }, variants: { [variants[0]!.id]: { price: 2500 } } })
  ).body;
  const refused = await take(id);
  expect([refused.status, problem(refused).errors?.[0]?.path]).toEqual([
    422,
    ['edits', 'variants', variants[0]!.id, 'price'],
  ]);
  expect((await product(tern)).title).toBe('Tern');
  expect((await take(id, { without: [`variant/${variants[0]!.id}/price`] })).status).toBe(200);
});

test('texts are proposed in their languages only; taken, they are translations with an address', async () => {
  const [tern] = server.ids as [string];
  for (const locale of ['de', 'fr']) await server.call('POST', '/api/languages', { locale });
  const mara = await joined([tern], ['de']);
  expect((await propose(mara, tern, { texts: { fr: { title: 'Sterne' } } })).status).toBe(422);
  const { id } = (await propose(mara, tern, { texts: { de: { title: 'Seeschwalbe' } } })).body;
  expect(told((await waiting())[0]!)).toEqual([['Title in German', '', 'Seeschwalbe']]);
  await take(id);
  await server.call('PATCH', '/api/languages/de', { isOn: true });
  await server.call('POST', '/api/editions', {});
  expect((await server.raw('/de/p/seeschwalbe')).status).toBe(200);
});

test('a file proposes changes of their own goods and new ones; rows of others are refused, other columns ignored', async () => {
  const [tern, wren, secret] = server.ids as [string, string, string];
  const mara = await joined([tern, wren]);
  for (const [id, sku] of [
    [tern, 'TE'],
    [wren, 'WR'],
    [secret, 'SE'],
  ] as const) {
    const { body } = await server.call<ProductAnswer>('GET', `/api/products/${id}`);
    const changes = [{ id: body.product.variants[0]!.id, fields: { sku } }];
    await server.call('PATCH', `/api/products/${id}/variants`, { seen: 999, changes });
  }
  const csv = [
    'SKU,Title,Price,Cost,Stock,Option 1,Value 1',
    'TE,Tern,41.00,18.50,900,,',
    'WR,Wren,24.00,,5,,',
    'SE,Secret,1.00,1.00,0,,',
    'HE-S,Heron,69.00,30,3,Colour,Sea',
    'HE-P,Heron,71.00,30,3,Colour,Pine',
  ].join('\n');
  const form = new FormData();
  form.append('files', new Blob([csv]), 'goods.csv');
  const { body } = await mara.call('POST', '/api/maker/import', form);
  expect(body).toEqual({
    changed: 1,
    added: 1,
    same: 1,
    refused: [{ row: 4, message: 'This is none of your goods.' }],
    ignored: ['Stock'],
  });
  const proposals = await waiting();
  const change = proposals.find(({ isNew }) => !isNew)!;
  expect(told(change)).toEqual([
    ['Price', '€39.00', '€41.00'],
    ['Cost', '', '€18.50'],
  ]);
  const { productId } = (await take(proposals.find(({ isNew }) => isNew)!.id)).body;
  const heron = await product(productId);
  expect(heron.options.map(({ name, values }) => [name, values.map((value) => value.name)])).toEqual([
    ['Colour', ['Sea', 'Pine']],
  ]);
  expect(heron.variants.map(({ price, stock, sku }) => [price, stock, sku])).toEqual([
    [6900, null, 'HE-S'],
    [7100, null, 'HE-P'],
  ]);
});

test('who becomes a maker loses the desk at once, and gets it back', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const { people } = (await server.call<{ people: { id: string; name: string }[] }>('GET', '/api/people')).body;
  const { id } = people.find(({ name }) => name === 'Mara')!;
  await server.call('PATCH', `/api/people/${id}`, { role: 'helper' });
  expect((await mara.call('GET', '/api/products/' + tern)).status).toBe(200);
  await server.call('PATCH', `/api/people/${id}`, { role: 'helper', suppliers: [mara.supplier] });
  expect((await mara.call('GET', '/api/products/' + tern)).status).toBe(403);
  const unknown = await server.call('PATCH', `/api/people/${id}`, { role: 'helper', suppliers: ['su_none'] });
  expect(problem(unknown).errors?.[0]?.path).toEqual(['suppliers']);
  const owner = await server.call('PATCH', `/api/people/${id}`, { role: 'owner', suppliers: [mara.supplier] });
  expect(owner.status).toBe(422);
});

test('somebody of two suppliers sees the goods of both, and says of which a new one is', async () => {
  const [tern, wren] = server.ids as [string, string];
  const mara = await joined([tern]);
  const { id: loft } = (await server.call<{ id: string }>('POST', '/api/suppliers', { name: 'Loft & Sons' })).body;
  await server.call('POST', `/api/suppliers/${loft}/goods`, { productIds: [wren], main: true });
  const { people } = (await server.call<{ people: { id: string; name: string }[] }>('GET', '/api/people')).body;
  const { id } = people.find(({ name }) => name === 'Mara')!;
  await server.call('PATCH', `/api/people/${id}`, { role: 'helper', suppliers: [mara.supplier, loft] });
  const overview = await mara.call<{ goods: { title: string; supplier: string }[] }>('GET', '/api/maker');
  expect(overview.body.goods.map(({ title, supplier }) => [title, supplier])).toEqual([
    ['Tern', 'Windwerk'],
    ['Wren', 'Loft & Sons'],
  ]);
  const heron = { product: { title: 'Heron' }, variants: { new: { price: 5_900 } } };
  const { id: made } = (await propose({ ...mara, supplier: loft }, null, heron)).body;
  expect(await product((await take(made)).body.productId)).toMatchObject({ supplier: 'Loft & Sons' });
  const foreign = (await server.call<{ id: string }>('POST', '/api/suppliers', { name: 'Others' })).body.id;
  const refused = await propose({ ...mara, supplier: foreign }, null, heron);
  expect([refused.status, problem(refused).errors?.[0]?.path]).toEqual([422, ['supplierId']]);
});

test('a product that is deleted meanwhile cannot be taken to, until that is undone', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const { id } = (await propose(mara, tern, { product: { title: 'Tern II' } })).body;
  await server.call('DELETE', `/api/products/${tern}`);
  expect((await waiting())[0]).toMatchObject({ isGone: true, productId: null, title: 'Tern II' });
  expect((await take(id)).status).toBe(404);
  await server.call('POST', '/api/undo');
  expect((await take(id)).status).toBe(200);
  expect((await product(tern)).title).toBe('Tern II');
});

test('what names nothing of theirs, or nothing at all, is refused or left out', async () => {
  const [tern, wren] = server.ids as [string, string];
  const mara = await joined([tern]);
  const foreign = (await product(wren)).variants[0]!.id;
  const refused = await propose(mara, tern, { variants: { [foreign]: { price: 1 } } });
  expect([refused.status, problem(refused).errors?.[0]?.path]).toEqual([422, ['variants', foreign]]);
  const unknown = { media: 'f'.repeat(32), width: 1, height: 1, background: '#ffffff' };
  const pictures = await propose(mara, tern, { pictures: [unknown] });
  expect(problem(pictures).errors?.[0]?.message).toBe('Nothing of this is other than it is already.');
  const odd = await mara.call('POST', '/api/maker/proposals', {
    productId: tern,
    supplierId: mara.supplier,
    product: { status: 'live', slug: 'mine' },
  });
  expect(odd.status).toBe(422);
  const salePrice = await propose(mara, tern, {
    variants: { [(await product(tern)).variants[0]!.id]: { salePrice: 1 } as object },
  });
  expect(salePrice.status).toBe(422);
});

test('a file that cannot be read is told so; one of another form is read as well', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const bring = (name: string, content: string) => {
    const form = new FormData();
    form.append('files', new Blob([content]), name);
    return mara.call<{ changed: number; refused: { message: string }[] }>('POST', '/api/maker/import', form);
  };
  const broken = await bring('goods.csv', 'Title;Price\n"Tern;1');
  expect([broken.status, problem(broken).errors?.[0]?.message]).toEqual([
    422,
    expect.stringContaining('quotation mark'),
  ]);
  const none = await mara.call('POST', '/api/maker/import', new FormData());
  expect(none.status).toBe(422);
  const json = await bring('goods.json', JSON.stringify([{ title: 'Tern', price: 'dear' }]));
  expect(json.body).toMatchObject({ changed: 0, refused: [{ message: expect.stringContaining('dear') }] });
  const again = await bring('goods.json', JSON.stringify([{ title: 'Tern', price: '41.50' }]));
  expect(again.body).toMatchObject({ changed: 1, refused: [] });
});

test('without the token of the session nothing is written', async () => {
  const [tern] = server.ids as [string];
  const mara = await joined([tern]);
  const session = await server.raw('/api/session', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ email: 'mara@windwerk.example', password: 'a gust at dawn' }),
  });
  const cookie = session.headers.get('set-cookie')!.split(';')[0]!;
  const { status } = await server.raw('/api/maker/proposals', {
    method: 'POST',
    headers: { Cookie: cookie, 'Content-Type': 'application/json' },
    body: JSON.stringify({ productId: tern, supplierId: mara.supplier, product: { title: 'X' } }),
  });
  expect(status).toBe(403);
  expect(await waiting()).toEqual([]);
});

const PNG = 'iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAIAAAACUFjqAAAAEklEQVR4nGP4z8CAB+GTG8HSALfKY52fTcuYAAAAAElFTkSuQmCC';
