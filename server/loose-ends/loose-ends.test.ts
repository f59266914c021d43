import sharp from 'sharp';
import { checks } from '../../core/loose-ends/checks';
import type { LooseCheck } from '../../contract/loose-ends';
import type { ProductAnswer } from '../../contract/product';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
let now: Date;
beforeEach(async () => {
  now = new Date('2026-05-04T10:00:00Z');
  server = await startServer(undefined, () => now);
});
afterEach(() => server.close());

const seen = Number.MAX_SAFE_INTEGER;
const call = <T = { id: string }>(method: string, path: string, body?: object) => server.call<T>(method, path, body);
const patch = (id: string, fields: object) => call('PATCH', `/api/products/${id}`, { seen, fields });
const cells = ({ product }: ProductAnswer, fields: object) =>
  call('PATCH', `/api/products/${product.id}/variants`, {
    seen,
    changes: product.variants.map(({ id }) => ({ id, fields })),
  });
const all = async () => (await call<{ checks: LooseCheck[]; total: number }>('GET', '/api/loose-ends')).body;
const told = async (key: string) => (await all()).checks.find((check) => check.key === key);
async function picture(id: string, width: number, height: number) {
  const form = new FormData();
  const bytes = await sharp({ create: { width, height, channels: 3, background: '#fa0' } })
    .png()
    .toBuffer();
  form.append('files', new Blob([new Uint8Array(bytes)], { type: 'image/png' }), 'kite.png');
  const { status } = await server.call('POST', `/api/products/${id}/pictures`, form);
  expect(status).toBe(200);
}

/** Makes a shop in which a check finds something; answers what it is on, in words, where that is worth telling. */
const examples: Record<string, () => Promise<string | void>> = {
  nowhere: async () => void (await addProduct(server, 'Alone')),
  belowCost: async () => void (await cells(await addProduct(server, 'Cheap', 100), { cost: 5_000 })),
  noPrice: async () => void (await addProduct(server, 'Free', 0)),
  featuredSoldOut: async () => {
    const made = await addProduct(server, 'Gone');
    await cells(made, { stock: 0 });
    await patch(made.product.id, { featured: true });
  },
  noPicture: async () => void (await addProduct(server, 'Unseen')),
  noCategory: async () => void (await addProduct(server, 'Loose')),
  noDescription: async () => void (await addProduct(server, 'Silent')),
  noCost: async () => void (await addProduct(server, 'Costless')),
  noBrand: async () => void (await addProduct(server, 'Unbranded')),
  giveAway: async () => {
    await addProduct(server, 'Crate', 1_000);
    const { id } = (await call('POST', '/api/offers', { name: 'Clearing out' })).body;
    await call('PATCH', `/api/offers/${id}`, {
      isOn: true,
      goods: { how: 'all' },
      action: { does: 'percent', off: 6_000 },
    });
    return 'Crate for';
  },
  oddSection: async () => {
    const home = [...server.catalog.working.shop.pages.values()].find((page) => page.home)!.id;
    const shelf = (await call('POST', '/api/collections', { name: 'Beach', source: 'picked' })).body.id;
    await call('PATCH', `/api/pages/${home}`, {
      sections: [
        { id: null, kind: 'strip', title: 'On the beach', source: { kind: 'collection', id: shelf }, count: 4 },
      ],
    });
    return 'On the beach';
  },
  shelfSize: async () => {
    const { id } = (await call('POST', '/api/collections', { name: 'Beach', source: 'picked' })).body;
    await call('PUT', '/api/menu', {
      items: [{ id: null, label: '', target: { kind: 'collection', id }, items: [] }],
    });
    return 'Nothing on this shelf yet.';
  },
  soldOutInFront: async () => {
    const made = await addProduct(server, 'Gone');
    const { id } = (await call('POST', '/api/categories', { name: 'Kites' })).body;
    await patch(made.product.id, { categoryIds: [id] });
    await cells(made, { stock: 0 });
    await call('PUT', '/api/menu', { items: [{ id: null, label: '', target: { kind: 'category', id }, items: [] }] });
    return 'Gone';
  },
  unreachable: async () => {
    await call('POST', '/api/pages', { title: 'Lost page' });
  },
  sameTitle: async () => {
    await addProduct(server, 'Tern');
    await addProduct(server, 'tern ');
    return '2 of this name';
  },
  sameSku: async () => {
    await cells(await addProduct(server, 'Tern'), { sku: 'K-1' });
    await cells(await addProduct(server, 'Wren'), { sku: 'k-1' });
    return 'also on';
  },
  sameBarcode: async () => {
    await cells(await addProduct(server, 'Tern'), { barcode: '4006381333931' });
    await cells(await addProduct(server, 'Tern again'), { barcode: '4006381333931' });
    return 'same barcode as';
  },
  taxUnlike: async () => {
    const { id } = (await call('POST', '/api/categories', { name: 'Books' })).body;
    for (let i = 0; i < 6; i++) {
      const { product } = await addProduct(server, `Book ${i}`);
      await patch(product.id, { categoryIds: [id], taxClass: i === 0 ? 'standard' : 'reduced' });
    }
    return 'standard';
  },
  optionAlike: async () => {
    for (const [i, name] of ['Sea blue', 'sea-blue'].entries()) {
      const made = await addProduct(server, `Kite ${i}`);
      await call('PUT', `/api/products/${made.product.id}/options`, {
        seen,
        options: [{ id: null, name: 'Colour', values: [{ id: null, name, swatch: null }] }],
        confirmed: false,
      });
    }
    return '“Sea blue” and “sea-blue”';
  },
  noBarcode: async () => {
    await addProduct(server, 'Tern');
    await call('POST', '/api/feeds', { name: 'Market', channel: 'pier-market' });
  },
  palePicture: async () => void (await picture((await addProduct(server, 'Gull')).product.id, 900, 900)),
  smallPicture: async () => {
    const made = await addProduct(server, 'Tern');
    await picture(made.product.id, 640, 480);
    return '640 × 480 pixels';
  },
  noAlt: async () => {
    const made = await addProduct(server, 'Tern');
    await picture(made.product.id, 900, 900);
    return '1 of 1';
  },
  addressUnlike: async () => {
    const made = await addProduct(server, 'Tern');
    await patch(made.product.id, { slug: 'something-else' });
    return '/p/something-else';
  },
  longMeta: async () => {
    const made = await addProduct(server, 'Tern');
    await patch(made.product.id, { metaTitle: 'A kite '.repeat(12).trim() });
    return 'title of 83 letters';
  },
  languageGaps: async () => {
    await addProduct(server, 'Tern');
    await call('POST', '/api/languages', { locale: 'de' });
    await call('PATCH', '/api/languages/de', { isOn: true });
    return 'missing';
  },
  engineConflict: async () => {
    const { id } = (await call('POST', '/api/categories', { name: 'Kites' })).body;
    const made = await addProduct(server, 'Tern');
    await patch(made.product.id, { categoryIds: [id] });
    await call('PATCH', `/api/categories/${id}`, { noindex: true });
    await call('PUT', '/api/menu', { items: [{ id: null, label: '', target: { kind: 'category', id }, items: [] }] });
  },
  plannedTouched: async () => {
    const { product } = await addProduct(server, 'Tern');
    await call('POST', '/api/planned-editions', { at: '2026-06-01T00:00:00Z' });
    await patch(product.id, { title: 'Tern 2' });
    return 'Tern 2';
  },
  oldBackup: async () => {
    await addProduct(server, 'Tern');
    return 'None was ever made';
  },
};

test('each check has a name, a reason and an example here', () => {
  expect(Object.keys(examples).sort()).toEqual(checks.map(({ key }) => key).sort());
  expect(new Set(checks.map(({ label }) => label)).size).toBe(checks.length);
  for (const { about, harm } of checks) {
    expect(about).toMatch(/\.$/);
    expect(harm).toBeGreaterThanOrEqual(1);
    expect(harm).toBeLessThanOrEqual(10);
  }
});

test.each(checks.map(({ key }) => key))('%s is found where it is, and not in an empty shop', async (key) => {
  expect(await told(key)).toBeUndefined();
  const words = await examples[key]!();
  const check = await told(key);
  expect(check?.count).toBeGreaterThan(0);
  if (typeof words === 'string') expect(check!.ends.map((end) => end.words).join()).toContain(words);
});

test('what weighs more stands first; what is put aside is counted apart until its day', async () => {
  const { product } = await addProduct(server, 'Tern', 0);
  const before = await all();
  const weights = before.checks.map(({ weight }) => weight);
  expect(weights).toEqual([...weights].sort((a, b) => b - a));
  const place = { check: 'noPrice', kind: 'product', key: product.id };
  const refused = await call('PUT', '/api/loose-ends/aside', { ...place, reason: ' ', until: null });
  expect([refused.status, problem(refused).errors?.[0]?.message]).toEqual([422, 'Say why, in a word or two.']);
  await call('PUT', '/api/loose-ends/aside', { ...place, reason: 'Comes with the set', until: '2026-05-10' });
  expect(await told('noPrice')).toMatchObject({
    count: 0,
    aside: 1,
    ends: [{ aside: { reason: 'Comes with the set', until: '2026-05-10' } }],
  });
  expect((await call<{ total: number }>('GET', '/api/loose-ends/count')).body.total).toBe(before.total - 1);
  now = new Date('2026-05-10T10:00:00Z');
  expect(await told('noPrice')).toMatchObject({ count: 1, aside: 0 });
  await call('PUT', '/api/loose-ends/aside', { ...place, reason: 'For good', until: null });
  await call('POST', '/api/loose-ends/take-up', place);
  expect(await told('noPrice')).toMatchObject({ count: 1, aside: 0 });
});

test('a picture in which something stands out is not pale, whatever its colours; a drawing on a clear ground neither', async () => {
  const add = async (title: string, svg: string) => {
    const { product } = await addProduct(server, title);
    const form = new FormData();
    form.append('files', new Blob([svg], { type: 'image/svg+xml' }), 'kite.svg');
    expect((await server.call('POST', `/api/products/${product.id}/pictures`, form)).status).toBe(200);
  };
  const kite = (ground: string, cloth: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900">${ground}<path d="M450 100 800 700 100 700z" fill="${cloth}"/></svg>`;
  const white = '<rect width="900" height="900" fill="#fff"/>';
  await add('Dark on white', kite(white, '#1d4f91'));
  await add('Clear', kite('', '#7a2e2e'));
  await add('White on white', kite(white, '#fdfdfb'));
  expect((await told('palePicture'))!.ends.map(({ title }) => title)).toEqual(['White on white']);
});
