import { addProduct, startServer, type Harness } from '../testing/harness';

let shop: Harness;
beforeEach(async () => void (shop = await startServer()));
afterEach(() => shop.close());

interface Note {
  id: string;
  shown: number;
  available: number;
  goods: { thumbnail: string | null }[];
  warnings: string[];
}
const post = async (path: string, body: object) => (await shop.call<{ id: string }>('POST', path, body)).body.id;

/** What is said of the one section of a page. */
async function noteOf(section: object): Promise<Note> {
  const page = await post('/api/pages', { title: 'Beach week' });
  const { status, body } = await shop.call<{ notes: Note[] }>('POST', `/api/pages/${page}/drawn`, {
    sections: [{ id: 's_000001', ...section }],
  });
  expect(status).toBe(200);
  return body.notes[0]!;
}
const strip = (source: object | null, count = 4) => ({ kind: 'strip', title: 'Kites', source, count, columns: 2 });

async function shelfOf(...titles: string[]) {
  const id = await post('/api/collections', { name: 'Light wind', source: 'picked' });
  const ids: string[] = [];
  for (const title of titles) ids.push((await addProduct(shop, title)).product.id);
  await shop.call('POST', `/api/collections/${id}/products`, { ids });
  return { source: { kind: 'collection', id }, ids };
}

test('a strip without a source asks for one', async () => {
  expect(await noteOf(strip(null))).toMatchObject({ shown: 0, warnings: ['Choose what this strip shows.'] });
});

test('a strip with too few goods, without pictures, some sold out, says each of it', async () => {
  const { source, ids } = await shelfOf('Harrier', 'Wren');
  const { body } = await shop.call<{ product: { variants: { id: string }[] } }>('GET', `/api/products/${ids[0]}`);
  const changes = [{ id: body.product.variants[0]!.id, fields: { stock: 0 } }];
  await shop.call('PATCH', `/api/products/${ids[0]}/variants`, { seen: Number.MAX_SAFE_INTEGER, changes });
  expect(await noteOf({ ...strip(source), columns: 4 })).toMatchObject({
    shown: 2,
    available: 2,
    goods: [{ thumbnail: null }, { thumbnail: null }],
    warnings: [
      '2 of 4 columns filled: there is nothing more to show.',
      '2 products have no picture.',
      'One product is sold out.',
    ],
  });
});

test('a strip of nothing, and one of what is off the shop, say that shoppers do not see it', async () => {
  const { source } = await shelfOf();
  expect((await noteOf(strip(source))).warnings).toEqual(['Nothing to show: shoppers do not see this strip.']);
  await shop.call('PATCH', `/api/collections/${source.id}`, { status: 'off' });
  expect((await noteOf(strip(source))).warnings).toEqual([
    'Its collection is not on the shop now: shoppers do not see this strip.',
  ]);
});

test('a strip that has enough says nothing but that pictures are missing', async () => {
  const { source } = await shelfOf('Harrier', 'Wren', 'Ibis');
  expect(await noteOf(strip(source, 2))).toMatchObject({
    shown: 2,
    available: 3,
    warnings: ['2 products have no picture.'],
  });
});

test('tiles without a category say so, and count those that are left', async () => {
  expect((await noteOf({ kind: 'tiles', title: '', targets: [] })).warnings).toEqual([
    'Nothing chosen yet, so shoppers see nothing here.',
  ]);
  const category = await post('/api/categories', { name: 'Kites' });
  expect(await noteOf({ kind: 'tiles', title: '', targets: [{ kind: 'category', id: category }] })).toMatchObject({
    shown: 1,
    warnings: [],
  });
});

test('the review tells what is odd about sections that shoppers see, and not about hidden ones', async () => {
  const page = await post('/api/pages', { title: 'Beach week' });
  const odd = async (hidden: boolean) => {
    await shop.call('PATCH', `/api/pages/${page}`, { sections: [{ id: 's_000001', hidden, ...strip(null) }] });
    const { body } = await shop.call('GET', '/api/review');
    return JSON.stringify(body).includes('“Kites” on Beach week: Choose what this strip shows.');
  };
  expect([await odd(false), await odd(true)]).toEqual([true, false]);
});
