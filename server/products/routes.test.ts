import sharp from 'sharp';
import type { ProductAnswer } from '../../contract/product';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => void (server = await startServer()));
afterEach(() => server.close());

const patch = (answer: ProductAnswer, fields: object, seen = answer.revision) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${answer.product.id}`, { seen, fields });
const setOptions = (answer: ProductAnswer, options: object[], confirmed = false) =>
  server.call<ProductAnswer>('PUT', `/api/products/${answer.product.id}/options`, {
    seen: answer.revision,
    options,
    confirmed,
  });
const option = (name: string, ...values: string[]) => ({
  id: null,
  name,
  values: values.map((value) => ({ id: null, name: value, swatch: null })),
});

describe('fields', () => {
  test.each([
    [{ title: '   ' }, ['fields', 'title'], /needs a title/],
    [{ slug: 'a/b' }, ['fields', 'slug'], /no slashes/],
    [{ slug: '../etc' }, ['fields', 'slug'], /no slashes/],
    [{ brandId: 'b_gone00000' }, ['fields', 'brandId'], /deleted/],
    [{ status: 'sold' }, ['fields', 'status'], /./],
  ])('%j is refused at its field and nothing is saved', async (fields, path, message) => {
    const made = await addProduct(server, 'Harrier');
    const answer = await patch(made, fields);
    expect(answer.status).toBe(422);
    expect(problem(answer).errors![0]).toMatchObject({ path, message: expect.stringMatching(message) });
    expect((await server.call('GET', `/api/products/${made.product.id}`)).body).toEqual(made);
  });

  test('rich text loses what could run', async () => {
    const made = await addProduct(server, 'Harrier');
    const html = '<p onclick="x()">Hi <b>there</b><script>alert(1)</script><a href="javascript:x()">a</a></p>';
    const answer = await patch(made, { description: html });
    expect(answer.body.product.description).toBe('<p>Hi <strong>there</strong><a>a</a></p>');
  });

  test('two people: different fields merge, the same field is refused with both values', async () => {
    const made = await addProduct(server, 'Harrier');
    await patch(made, { title: 'Harrier 180' });
    const other = await patch(made, { summary: 'Lifts in a whisper' });
    expect(other.body.product).toMatchObject({ title: 'Harrier 180', summary: 'Lifts in a whisper' });
    const late = await patch(made, { title: 'Harrier XL' });
    expect(late.status).toBe(409);
    expect(problem(late).errors).toEqual([
      expect.objectContaining({ path: ['fields', 'title'], theirs: 'Harrier 180' }),
    ]);
  });

  test('a new address leaves a forward from the old one, and may come back', async () => {
    const made = await addProduct(server, 'Harrier');
    await server.call('POST', '/api/editions', {});
    const moved = await patch(made, { slug: 'harrier-delta' });
    await server.call('POST', '/api/editions', {});
    const old = await server.raw('/p/harrier?v=1');
    expect([old.status, old.headers.get('location')]).toEqual([301, '/p/harrier-delta?v=1']);
    await patch(moved.body, { slug: 'harrier' });
    await server.call('POST', '/api/editions', {});
    expect((await server.raw('/p/harrier')).status).toBe(200);
    expect((await server.raw('/p/harrier-delta')).headers.get('location')).toBe('/p/harrier');
  });
});

describe('options and variants', () => {
  test('options make variants, with the price of the product', async () => {
    const made = await addProduct(server, 'Harrier', 6400);
    const { body } = await setOptions(made, [
      option('Colourway', 'Ember', 'Pine'),
      option('Line set', 'Without', 'With reel'),
    ]);
    expect(body.product.variants).toHaveLength(4);
    expect(body.product.variants.every((variant) => variant.price === 6400)).toBe(true);
    expect(new Set(body.product.variants.map((variant) => variant.values.join())).size).toBe(4);
  });

  test('two values of one name are refused at the second', async () => {
    const made = await addProduct(server, 'Harrier');
    const answer = await setOptions(made, [option('Size', 'L', 'l ')]);
    expect(problem(answer).errors).toEqual([
      { path: ['options', 0, 'values', 1], message: '“l” is already a value of Size.' },
    ]);
  });

  test('a value with stock goes only when that is confirmed, and comes back by undo', async () => {
    const made = await addProduct(server, 'Harrier');
    const two = (await setOptions(made, [option('Size', 'S', 'L')])).body;
    const large = two.product.variants[1]!;
    const path = `/api/products/${made.product.id}/variants`;
    const counted = await server.call<ProductAnswer>('PATCH', path, {
      seen: two.revision,
      changes: [{ id: large.id, fields: { stock: 7, sku: 'H-L' } }],
    });
    const [size] = two.product.options;
    const smaller = [{ ...size!, values: size!.values.slice(0, 1) }];
    const asked = await setOptions(counted.body, smaller);
    expect(problem(asked)).toMatchObject({
      status: 409,
      type: 'urn:dispona:confirm',
      detail: expect.stringContaining('H-L'),
    });
    const done = await setOptions(counted.body, smaller, true);
    expect(done.body.product.variants).toHaveLength(1);
    await server.call('POST', '/api/undo');
    const back = await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`);
    expect(back.body.product).toEqual(counted.body.product);
  });

  test.each([
    [{ price: -5 }, 'price', /below zero/],
    [{ price: 12.5 }, 'price', /two decimals/],
    [{ salePrice: 1000 }, 'salePrice', /below the price/],
    [{ stock: -1 }, 'stock', /below zero/],
    [{ stock: 1.5 }, 'stock', /whole number/],
  ])('%j is refused at its field', async (fields, name, message) => {
    const made = await addProduct(server, 'Harrier', 1000);
    const answer = await server.call('PATCH', `/api/products/${made.product.id}/variants`, {
      seen: made.revision,
      changes: [{ id: made.product.variants[0]!.id, fields }],
    });
    expect(answer.status).toBe(422);
    expect(problem(answer).errors![0]).toMatchObject({
      path: ['changes', 0, 'fields', name],
      message: expect.stringMatching(message),
    });
  });
});

describe('pictures', () => {
  const send = (id: string, ...files: [string, Buffer | string, string][]) => {
    const form = new FormData();
    for (const [name, content, type] of files)
      form.append('files', new Blob([typeof content === 'string' ? content : new Uint8Array(content)], { type }), name);
    return server.call<ProductAnswer & { refused: { file: string; message: string }[] }>(
      'POST',
      `/api/products/${id}/pictures`,
      form,
    );
  };
  const png = (width: number, height: number, background = '#e4572e') =>
    sharp({ create: { width, height, channels: 3, background } })
      .png()
      .toBuffer();

  test('a picture gets its sizes at an immutable address, and the same content is kept once', async () => {
    const { product } = await addProduct(server, 'Harrier');
    const content = await png(1200, 800);
    const { body } = await send(product.id, ['a.png', content, 'image/png'], ['b.png', content, 'image/png']);
    expect(body.product.pictures).toMatchObject([{ width: 1200, height: 800 }]);
    expect(body.refused).toEqual([{ file: 'b.png', message: 'This is the same picture as number 1.' }]);
    const other = await send((await addProduct(server, 'Wren')).product.id, ['c.png', content, 'image/png']);
    expect(other.body.product.pictures[0]!.media).toBe(body.product.pictures[0]!.media);
    const at = `/media/${body.product.pictures[0]!.media}`;
    const sized = async (file: string) => {
      const { width, height } = await sharp(
        Buffer.from(await (await server.raw(`${at}/${file}`)).arrayBuffer()),
      ).metadata();
      return [width, height];
    };
    // Sizes that nobody asked for before are made then, by however many ask at once.
    expect(await Promise.all([sized('312.webp'), sized('312.webp'), sized('64.webp')])).toEqual([
      [312, 208],
      [312, 208],
      [64, 43],
    ]);
    expect(await sized('shared.jpg')).toEqual([1200, 630]);
    for (const file of ['313.webp', 'shared.png', '../../dispona.sqlite'])
      expect((await server.raw(`${at}/${file}`)).status).toBe(404);
    expect((await server.raw(`/media/${'0'.repeat(32)}/312.webp`)).status).toBe(404);
    const served = await server.raw(`${at}/480.webp`);
    expect(served.headers.get('cache-control')).toContain('immutable');
    expect(await sharp(Buffer.from(await served.arrayBuffer())).metadata()).toMatchObject({
      format: 'webp',
      width: 480,
    });
  });

  test('a picture fits on the colour of its edge, for shoppers too, and one in its place takes over words and variants', async () => {
    const made = await addProduct(server, 'Harrier');
    const { id } = made.product;
    const framed = await sharp(await png(60, 40, '#0f6b5f'))
      .extend({ top: 5, bottom: 5, left: 5, right: 5, background: '#f3a712' })
      .png()
      .toBuffer();
    const { body } = await send(id, ['a.png', framed, 'image/png'], ['b.png', await png(30, 30), 'image/png']);
    const [first, second] = body.product.pictures;
    expect(first).toMatchObject({ fit: 'fills', background: '#f3a712' });
    const kept = { id: first!.id, alt: 'From the front', focus: first!.focus, fit: 'fits' };
    const fitted = await server.call<ProductAnswer>('PUT', `/api/products/${id}/pictures`, {
      seen: body.revision,
      pictures: [kept, { ...kept, id: second!.id, fit: 'fills' }],
    });
    const tied = await server.call<ProductAnswer>('PATCH', `/api/products/${id}/variants`, {
      seen: fitted.body.revision,
      changes: [{ id: made.product.variants[0]!.id, fields: { pictureId: first!.id } }],
    });
    await server.call('POST', '/api/editions', {});
    const inShop = await (await server.raw('/shop-api/products/harrier')).json();
    expect(inShop).toMatchObject({ pictures: [{ fit: 'fits', background: '#f3a712' }, { fit: 'fills' }] });
    const form = new FormData();
    form.append('files', new Blob([new Uint8Array(await png(80, 80, '#5b3f9e'))], { type: 'image/png' }), 'c.png');
    const replaced = await server.call<ProductAnswer>(
      'POST',
      `/api/products/${id}/pictures?replace=${first!.id}`,
      form,
    );
    expect(replaced.body.product.pictures).toMatchObject([
      { id: first!.id, alt: 'From the front', fit: 'fits', width: 80, background: '#5b3f9e' },
      { id: second!.id },
    ]);
    expect(replaced.body.product.variants[0]!.pictureId).toBe(first!.id);
    await server.call('POST', '/api/undo');
    const undone = await server.call<ProductAnswer>('GET', `/api/products/${id}`);
    expect(undone.body.product).toEqual(tied.body.product);
  });

  test('a camera picture is turned upright and loses what the camera wrote', async () => {
    const { product } = await addProduct(server, 'Harrier');
    const turned = await sharp(await png(60, 20))
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const { body } = await send(product.id, ['a.jpg', turned, 'image/jpeg']);
    expect(body.product.pictures[0]).toMatchObject({ width: 20, height: 60 });
    const served = await server.raw(`/media/${body.product.pictures[0]!.media}/160.webp`);
    const metadata = await sharp(Buffer.from(await served.arrayBuffer())).metadata();
    expect([metadata.orientation, metadata.exif]).toEqual([undefined, undefined]);
  });

  test('what is not a picture is named with its reason, and the others are still taken', async () => {
    const { product } = await addProduct(server, 'Harrier');
    const { body } = await send(
      product.id,
      ['kite.png', await png(30, 30), 'image/png'],
      ['notes.png', 'just words', 'image/png'],
      [
        'bad.svg',
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>x()</script></svg>',
        'image/svg+xml',
      ],
      [
        'good.svg',
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>',
        'image/svg+xml',
      ],
    );
    expect(body.product.pictures).toHaveLength(2);
    expect(body.refused).toEqual([
      { file: 'notes.png', message: expect.stringContaining('content is not one') },
      { file: 'bad.svg', message: expect.stringContaining('script') },
    ]);
  });

  test('a 40 MB file, and one with too many pixels, are refused with numbers', async () => {
    const { product } = await addProduct(server, 'Harrier');
    const large = await send(product.id, ['large.png', Buffer.alloc(40 * 1024 * 1024), 'image/png']);
    expect([large.status, problem(large).title]).toEqual([422, 'This file has 40 MB; a picture may have up to 25 MB.']);
    const bomb = await sharp({ create: { width: 20_000, height: 5_000, channels: 3, background: '#fff' } })
      .png({ compressionLevel: 9 })
      .toBuffer();
    const wide = await send(product.id, ['bomb.png', bomb, 'image/png']);
    expect([wide.status, problem(wide).title]).toEqual([422, expect.stringContaining('20000 × 5000 pixels')]);
  });
});

test('the list finds, narrows and counts working products, drafts too', async () => {
  await addProduct(server, 'Harrier delta', 6400);
  await addProduct(server, 'Wren sled', 1850);
  await server.call('POST', '/api/products', { title: 'Draft delta' });
  type List = {
    total: number;
    rows: { title: string }[];
    sections: { key: string; values: { value: string; count: number }[] }[];
    looseEnds: { key: string; count: number }[];
    sentence: string;
  };
  const list = (body: object) => server.call<List>('POST', '/api/goods/list', body);
  const found = await list({ text: 'detla' });
  expect(found.body.rows.map((row) => row.title).sort()).toEqual(['Draft delta', 'Harrier delta']);
  const rule = { match: 'all', of: [{ field: 'status', is: 'anyOf', value: ['draft'] }] };
  const drafts = await list({ rule });
  expect([drafts.body.total, drafts.body.sentence]).toEqual([1, 'every product where standing is draft']);
  const status = drafts.body.sections.find((section) => section.key === 'status')!.values;
  expect(status).toContainEqual(expect.objectContaining({ value: 'live', count: 2 }));
  expect(drafts.body.looseEnds).toContainEqual(expect.objectContaining({ key: 'noPicture', count: 1 }));
});

test('an SVG that would be drawn for ever is stopped and refused, and other pictures do not wait for it', async () => {
  const levels = Array.from({ length: 9 }, (_, i) => `<g id="g${i + 1}">${`<use href="#g${i}"/>`.repeat(10)}</g>`).join(
    '',
  );
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900"><defs><path id="g0" d="M0 0h900v900z" opacity=".1"/>${levels}</defs><use href="#g9"/></svg>`;
  const { id } = (await addProduct(server, 'Kite')).product;
  const form = (content: BlobPart, name: string) => {
    const made = new FormData();
    made.append('files', new Blob([content]), name);
    return made;
  };
  const png = await sharp({ create: { width: 60, height: 60, channels: 3, background: '#0b6a69' } })
    .png()
    .toBuffer();
  let isRefused = false;
  const bad = server.call('POST', `/api/products/${id}/pictures`, form(svg, 'bomb.svg')).then((answer) => {
    isRefused = true;
    return answer;
  });
  const good = await server.call('POST', `/api/products/${id}/pictures`, form(new Uint8Array(png), 'kite.png'));
  expect([good.status, isRefused]).toEqual([200, false]);
  const refused = await bad;
  expect([refused.status, problem(refused).title]).toEqual([
    422,
    expect.stringMatching(/takes too long to draw|not one|damaged/),
  ]);
});

test('a new value of an option that is counted begins with none', async () => {
  const made = await addProduct(server, 'Kite');
  const { id } = made.product;
  const value = (name: string) => ({ id: null, name, swatch: null, pictureId: null });
  const put = (values: object[], optionId: string | null) =>
    server.call<ProductAnswer>('PUT', `/api/products/${id}/options`, {
      seen: Number.MAX_SAFE_INTEGER,
      options: [{ id: optionId, name: 'Size', values }],
      confirmed: true,
    });
  const first = (await put([value('S')], null)).body.product;
  await server.call('PATCH', `/api/products/${id}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: first.variants.map((variant) => ({ id: variant.id, fields: { stock: 4 } })),
  });
  const after = (await put([...first.options[0]!.values, value('L')], first.options[0]!.id)).body.product;
  expect(after.variants.map(({ stock }) => stock)).toEqual([4, 0]);
});

test('two values whose names differ in a sign or a mark only can both be filtered and bought', async () => {
  const made = await addProduct(server, 'Bent kite');
  await server.call('PUT', `/api/products/${made.product.id}/options`, {
    seen: Number.MAX_SAFE_INTEGER,
    options: [
      {
        id: null,
        name: 'Bend',
        values: ['+10', '−10', 'Rosé', 'Rose', '红', '蓝'].map((name) => ({
          id: null,
          name,
          swatch: null,
          pictureId: null,
        })),
      },
    ],
    confirmed: true,
  });
  await server.call('POST', '/api/editions', {});
  const listing = (await (await server.raw('/shop-api/listing')).json()) as {
    facets: { key: string; values: { value: string; label: string }[] }[];
  };
  const { values } = listing.facets.find(({ key }) => key === 'bend')!;
  expect(values.map(({ label }) => label).sort()).toEqual(['+10', '−10', 'Rosé', 'Rose', '红', '蓝'].sort());
  const met = new Set<string>();
  for (const { value } of values) {
    const only = (await (await server.raw(`/shop-api/listing?f.bend=${encodeURIComponent(value)}`)).json()) as {
      items: { variantId: string }[];
    };
    expect(only.items).toHaveLength(1);
    met.add(only.items[0]!.variantId);
  }
  expect(met.size).toBe(6);
});

test('the review warns of what would be given away, and of a download without a file', async () => {
  await addProduct(server, 'Free kite', 0);
  const plan = await server.call<ProductAnswer>('POST', '/api/products', {
    title: 'Plan',
    price: 400,
    kind: 'digital',
  });
  await server.call('PATCH', `/api/products/${plan.body.product.id}`, {
    seen: plan.body.revision,
    fields: { status: 'live' },
  });
  await server.call('PATCH', '/api/settings', { taxRate: 1900, taxIncluded: false });
  const review = (
    await server.call<{ worries: { words: string }[]; changes: { kind: string; fields: object[] }[] }>(
      'GET',
      '/api/review',
    )
  ).body;
  expect(review.worries.map(({ words }) => words)).toEqual(
    expect.arrayContaining([
      'Free kite would be given away: a price of it is 0.00.',
      'Plan is a download, but has no file for buyers.',
    ]),
  );
});

test('the review tells settings, kind, tax and order in words', async () => {
  const made = await addProduct(server, 'Kite');
  const { id } = made.product;
  await server.call('POST', '/api/editions', {});
  await server.call('PATCH', '/api/settings', { taxRate: 1900, synonyms: [['spar', 'rod']] });
  await server.call('PATCH', `/api/products/${id}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { kind: 'service', taxClass: 'reduced', featured: true },
    confirmed: true,
  });
  const { changes } = (
    await server.call<{ changes: { kind: string; fields: { label: string; before: string; after: string }[] }[] }>(
      'GET',
      '/api/review',
    )
  ).body;
  const of = (kind: string) =>
    Object.fromEntries(
      changes
        .find((change) => change.kind === kind)!
        .fields.map(({ label, before, after }) => [label, [before, after]]),
    );
  expect(of('settings')).toEqual({ Tax: ['21 %', '19 %'], 'Words that mean the same': ['', 'spar, rod'] });
  expect(of('product')).toMatchObject({
    Kind: ['physical product', 'service'],
    Tax: ['Standard', 'Reduced'],
    Featured: ['', 'yes'],
  });
});
