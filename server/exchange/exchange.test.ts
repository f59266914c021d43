import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import iconv from 'iconv-lite';
import sharp from 'sharp';
import writeExcelFile from 'write-excel-file/node';
import type { Job } from '../../contract/bulk';
import type { ImportAnswer, ImportChanges, ImportPreview } from '../../contract/exchange';
import type { Problem } from '../../contract/problem';
import { newId } from '../shared/ids';
import { insertProduct } from '../store/put-products';
import { startShop, type Answer, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
beforeEach(async () => {
  server = await startShop({ Tern: 2_000, Wren: 1_000 });
  await edit(0, { sku: 'T-1', stock: 5 });
  await edit(1, { sku: 'W-1' });
});
afterEach(() => server.close());

const product = (i: number) => server.catalog.working.products.get(server.ids[i]!)!;
const titled = (title: string) => [...server.catalog.working.products.values()].find((each) => each.title === title);
const edit = (i: number, fields: object) =>
  server.call('PATCH', `/api/products/${server.ids[i]!}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: [{ id: product(i).variants[0]!.id, fields }],
  });
function bring(content: string | Buffer, name = 'goods.csv'): Promise<Answer<{ id: string } & Problem>> {
  const form = new FormData();
  form.append('files', new Blob([new Uint8Array(Buffer.from(content))]), name);
  return server.call('POST', '/api/imports', form);
}
async function brought(content: string | Buffer, settings: ImportChanges = {}, name?: string) {
  const { status, body } = await bring(content, name);
  expect([status, body.title]).toEqual([200, undefined]);
  const file = (await server.call<ImportAnswer>('PATCH', `/api/imports/${body.id}`, settings)).body;
  const preview = async (more: object = {}) =>
    (await server.call<ImportPreview>('POST', `/api/imports/${body.id}/preview`, more)).body;
  const run = async () => (await server.call<Job>('POST', `/api/imports/${body.id}/run`)).body;
  return { id: body.id, file, preview, run };
}
const refusal = async (content: string | Buffer, name?: string) => {
  const { status, body } = await bring(content, name);
  return [status, body.errors?.[0]?.message ?? body.title];
};

describe('a ZIP with pictures', () => {
  const picture = (colour: string) =>
    sharp({ create: { width: 90, height: 60, channels: 3, background: colour } })
      .jpeg()
      .toBuffer();
  const goods = strToU8(
    'Title;Price;Bild\r\nMöwe;12,50;moewe.jpg; hinten.JPG\r\nTern;20,00;fehlt.jpg\r\n'.replace(
      'moewe.jpg; hinten.JPG',
      '"moewe.jpg; hinten.JPG"',
    ),
  );

  test('brings its goods with them, and names what is missing', async () => {
    const zip = zipSync({
      'goods/artikel.csv': goods,
      'goods/bilder/Moewe.jpg': await picture('#e4572e'),
      'goods/bilder/hinten.jpg': await picture('#0b6a69'),
      '__MACOSX/goods/._artikel.csv': strToU8('x'),
    });
    const { file, preview, run } = await brought(Buffer.from(zip), { match: 'title' }, 'artikel.zip');
    expect(file).toMatchObject({ name: 'artikel.csv', pictures: 2 });
    expect(file.settings.columns).toEqual(['title', 'variant price', 'pictures']);
    const { products } = await preview();
    expect(products.map(({ state, problems }) => [state, problems[0]?.message.slice(0, 34)])).toEqual([
      ['refused', 'There is no picture “fehlt.jpg” wi'],
      ['new', undefined],
    ]);
    await run();
    const made = titled('Möwe')!;
    expect(made.pictures.map(({ width, height }) => [width, height])).toEqual([
      [90, 60],
      [90, 60],
    ]);
    const shown = await server.raw(`/media/${made.pictures[0]!.media}/160.webp`);
    expect(shown.headers.get('content-type')).toBe('image/webp');
  });

  test('is refused in plain words where it is none, too large, or leads out', async () => {
    const csv = { 'a.csv': goods };
    expect(await refusal(Buffer.from(zipSync({ 'a.jpg': strToU8('x') })), 'a.zip')).toEqual([
      422,
      expect.stringMatching(/no file with goods/),
    ]);
    expect(await refusal(Buffer.from(zipSync({ ...csv, 'b.csv': goods })), 'a.zip')).toEqual([
      422,
      expect.stringMatching(/2 files with goods/),
    ]);
    expect(await refusal(Buffer.from(zipSync({ ...csv, 'a.jpg': strToU8('no picture') })), 'a.zip')).toEqual([
      422,
      expect.stringMatching(/^a\.jpg: /),
    ]);
    expect(await refusal(Buffer.from(zipSync({ ...csv, '../b.jpg': strToU8('x') })), 'a.zip')).toEqual([
      422,
      expect.stringMatching(/leads out/),
    ]);
    const bomb = zipSync({ ...csv, 'a.png': new Uint8Array(60 * 1024 * 1024) });
    expect(bomb.length).toBeLessThan(100_000);
    expect((await refusal(Buffer.from(bomb), 'a.zip'))[0]).toBe(422);
    // It says that it is small, and is not.
    const lying = Buffer.from(bomb);
    const at = lying.lastIndexOf(Buffer.from([0x50, 0x4b, 1, 2]));
    lying.writeUInt32LE(10, at + 24);
    expect(await refusal(lying, 'a.zip')).toEqual([422, expect.stringMatching(/damaged/)]);
  });

  test('a workbook with entities that grow without end is refused, or read without them', async () => {
    const entity =
      '<!DOCTYPE x [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;"><!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;">]>';
    const workbook = unzipSync(
      await writeExcelFile([{ data: [[{ value: 'Title' }], [{ value: 'WORD' }]], sheet: 'Goods' }]).toBuffer(),
    );
    const [name] = Object.keys(workbook).filter((each) => each.includes('sharedStrings'));
    const text = strFromU8(workbook[name!]!);
    workbook[name!] = strToU8(text.replace(/<\?xml[^>]*\?>/, (head) => head + entity).replace('WORD', '&c;'));
    const [status, body] = await bring(Buffer.from(zipSync(workbook)), 'x.xlsx').then(
      ({ status: code, body: told }) => [code, told] as const,
    );
    if (status === 200) {
      const { columns } = (await server.call<ImportAnswer>('GET', `/api/imports/${body.id}`)).body;
      expect(columns[0]!.samples.join('').length).toBeLessThan(100);
    } else expect(status).toBe(422);
  });
});

test('how columns are taken is kept under a name, and holds for the next file by its headings', async () => {
  const first = await brought('Nr;Wert;Foo\nT-1;21,00;x\n', {
    fills: { 0: 'variant sku', 1: 'variant price', 2: 'own field' },
    switches: { 2: false },
    way: 'update',
  });
  const { id } = (await server.call<{ id: string }>('POST', `/api/imports/${first.id}/mapping`, { name: 'Windhof' }))
    .body;
  server.catalog.db.prepare(`DELETE FROM import_heading`).run();
  const second = await brought('Foo;Other;Wert;Nr\ny;1;22,00;T-1\n');
  expect(second.file.mappings).toEqual([{ id, name: 'Windhof' }]);
  const taken = await server.call<ImportAnswer>('PUT', `/api/imports/${second.id}/mapping`, { mapping: id });
  expect(taken.body.settings).toMatchObject({ way: 'update', columnsOff: [0], match: 'sku', decimal: ',' });
  expect(taken.body.settings.columns.filter((_, place) => place !== 1)).toEqual([
    'own field',
    'variant price',
    'variant sku',
  ]);
  await second.run();
  expect(product(0).variants[0]!.price).toBe(2_200);
  expect(product(0).customFields).toEqual([]);
  await server.call('DELETE', `/api/mappings/${id}`);
  expect((await server.call('PUT', `/api/imports/${second.id}/mapping`, { mapping: id })).status).toBe(404);
});

test('columns that go out are kept under a name, and stand in the order that was chosen', async () => {
  const columns = ['variant price', 'title'];
  await server.call('POST', '/api/exports/columns', { name: 'Prices', columns: ['title'] });
  await server.call('POST', '/api/exports/columns', { name: 'prices', columns });
  interface Sets {
    sets: { id: string; name: string; columns: string[] }[];
  }
  const { sets } = (await server.call<Sets>('GET', '/api/exports')).body;
  expect(sets).toEqual([{ id: sets[0]!.id, name: 'prices', columns }]);
  const which = {
    ids: [],
    matching: { text: '', rule: { match: 'all', of: [{ field: 'price', is: 'below', value: 1_500 }] } },
  };
  const made = await server.call<{ file: { id: string } }>('POST', '/api/exports', {
    ...{ which, format: 'csv', per: 'products', columns, hasMark: false },
  });
  const file = await server.raw(`/api/exports/${made.body.file.id}/file`, { headers: { Cookie: server.cookie } });
  expect(await file.text()).toBe('Price,Title\r\n10,Wren\r\n');
  await server.call('DELETE', `/api/exports/columns/${sets[0]!.id}`);
  expect((await server.call<Sets>('GET', '/api/exports')).body.sets).toEqual([]);
});

test('a large file is made beside the work, can be followed, and stands in the list when it is whole', async () => {
  const tern = product(0);
  server.catalog.journal.change({ did: 'productAdded', title: 'many' }, server.catalog.actor(null), () => {
    for (let i = 0; i < 2_000; i++)
      insertProduct(
        server.catalog.db,
        newId('product'),
        { ...tern, title: `Kite ${i}`, slug: `kite-${i}` },
        tern.created,
      );
  });
  const which = { ids: [], matching: { text: '', rule: { match: 'all', of: [] } } };
  const begun = await server.call<{ file: null; job: Job }>('POST', '/api/exports', {
    ...{ which, format: 'csv', per: 'products', columns: ['title'] },
  });
  expect(begun.body).toMatchObject({ file: null, job: { state: 'running', label: 'Making a file of goods' } });
  const job = async () => (await server.call<{ jobs: Job[] }>('GET', '/api/jobs')).body.jobs.at(-1)!;
  while ((await job()).state === 'running') await new Promise((wait) => setTimeout(wait, 20));
  expect(await job()).toMatchObject({ state: 'done', outcome: expect.stringMatching(/with 2002 products/) as string });
  expect((await server.call<{ files: object[] }>('GET', '/api/exports')).body.files).toHaveLength(1);
});

test('rows are found by any column of the file, and one that fits several goods is refused', async () => {
  await edit(0, { supplierNumber: 'L-77' });
  const file = 'Supplier number,Price\nL-77,31\nL-99,32\n';
  const { preview, run } = await brought(file, { match: 'column:0' });
  expect((await preview()).counts).toMatchObject({ changed: 1, refused: 1 });
  expect((await run()).outcome).toBe('Imported “goods.csv”: changed one product; 1 refused');
  expect(product(0).variants[0]).toMatchObject({ price: 3_100, supplierNumber: 'L-77' });
  // A field of its own, which only this shop has.
  const own = 'Title,Drawer\nTern,A 4\nWren,B 2\n';
  const fills = { 1: 'own field' };
  await (await brought(own, { match: 'title', fills })).run();
  const found = await brought('Drawer,Summary\nb 2,Small\n', { match: 'column:0', fills: { 0: 'own field' } });
  await found.run();
  expect(product(1).summary).toBe('Small');
  await edit(1, { supplierNumber: 'L-77' });
  const { products } = await (await brought(file, { match: 'column:0' })).preview();
  expect(products.map(({ problems }) => problems[0]!.message)).toEqual([
    'Several goods of the shop have “L-77”: it does not tell which is meant.',
    'Nothing in the shop has “L-99”, and the row tells no title.',
  ]);
});

describe('a file that comes in', () => {
  test('of another shop: its encoding, marks, headings and paths are recognised; cells are mended; one change, one undo', async () => {
    const text = [
      'Artikelname;Artikelnummer;Preis;Lagerbestand;Kategorie;Marke',
      'Größe M Drachen;G-1;1.234,50;3;Drachen > Deltas;Windmacher',
      'Tern;T-1;25,00;viele;Drachen;',
    ].join('\r\n');
    const { id, file, preview, run } = await brought(iconv.encode(text, 'windows-1252'));
    expect(file).toMatchObject({
      isText: true,
      rows: 2,
      settings: { encoding: 'windows-1252', delimiter: ';', decimal: ',', match: 'sku' },
    });
    expect(file.settings.columns).toEqual([
      'title',
      'variant sku',
      'variant price',
      'variant stock',
      'categoryIds',
      'brandId',
    ]);
    expect(file.columns[0]).toMatchObject({ heading: 'Artikelname', samples: ['Größe M Drachen', 'Tern'] });
    const first = await preview();
    expect(first.counts).toMatchObject({ new: 1, refused: 1 });
    expect(first.made).toEqual(['Windmacher', 'Drachen', 'Deltas']);
    expect(first.products[0]).toMatchObject({
      title: 'Tern',
      problems: [{ row: 1, column: 3, text: 'viele', message: '“viele” is not a whole number.' }],
      cells: [
        { column: 2, was: '20', will: '25' },
        { column: 4, was: '', will: 'Drachen' },
      ],
    });
    const refused = await server.call<string>('GET', `/api/imports/${id}/refused.csv`);
    expect(refused.body).toMatch(
      /Why it was refused\r\nTern,T-1,"25,00",viele,Drachen,,Lagerbestand: “viele” is not a whole number\./,
    );
    await server.call('PATCH', `/api/imports/${id}`, { mends: { '1:3': '7' } });
    expect((await preview()).counts).toMatchObject({ new: 1, changed: 1, refused: 0 });
    expect(product(0).variants[0]!.price).toBe(2_000);
    expect(await run()).toMatchObject({
      state: 'done',
      outcome: 'Imported “goods.csv”: added one product, changed one product',
    });
    expect(product(0)).toMatchObject({ variants: [{ price: 2_500, stock: 7 }] });
    const { shop } = server.catalog.working;
    const made = titled('Größe M Drachen')!;
    expect(made).toMatchObject({
      status: 'draft',
      slug: 'grosse-m-drachen',
      variants: [{ price: 123_450, stock: 3 }],
    });
    expect(shop.tree.path(made.categoryIds[0]!).map(({ name }) => name)).toEqual(['Drachen', 'Deltas']);
    expect(shop.brands.get(made.brandId!)!.name).toBe('Windmacher');
    // It is done once.
    expect((await server.call('POST', `/api/imports/${id}/run`)).status).toBe(422);
    expect((await server.call('POST', '/api/undo')).status).toBe(200);
    expect(titled('Größe M Drachen')).toBeUndefined();
    expect([product(0).variants[0]!.price, shop.brands.size, shop.categories.size]).toEqual([2_000, 0, 0]);
  });

  test('workbooks and JSON say the same as text', async () => {
    const rows = [
      ['SKU', 'Price', 'Featured'],
      ['T-1', 21.5, true],
    ] as const;
    const book = await writeExcelFile(
      rows.map((row) => row.map((value) => (typeof value === 'boolean' ? { value, type: Boolean } : { value }))),
    ).toBuffer();
    const cells = async (content: string | Buffer, name: string) =>
      (await (await brought(content, {}, name)).preview()).products[0]!.cells.map(({ was, will }) => [was, will]);
    const wanted = [
      ['20', '21.5'],
      ['no', 'yes'],
    ];
    expect(await cells(book, 'goods.xlsx')).toEqual(wanted);
    expect(await cells(JSON.stringify([{ SKU: 'T-1', Price: 21.5, Featured: true }]), 'goods.json')).toEqual(wanted);
    expect(await cells('SKU\tPrice\tFeatured\nT-1\t21.5\tyes', 'goods.tsv')).toEqual(wanted);
    expect(await cells(Buffer.from(`\ufeffSKU,Price,Featured\nT-1,21.5,x`, 'utf16le'), 'goods.csv')).toEqual(wanted);
  });

  test('what was chosen for a heading is remembered; columns can be off, rows left out, goods not listed become drafts', async () => {
    const text = 'SKU,Foo,Price\nT-1,Harbour,30\nW-1,Hill,40';
    const first = await brought(text);
    expect(first.file.settings.columns[1]).toBeNull();
    await server.call('PATCH', `/api/imports/${first.id}`, { fills: { 1: 'supplier' } });
    const { id, file, preview, run } = await brought(text, {
      switches: { 2: false },
      leavesOut: [1],
      draftsMissing: true,
    });
    expect(file.columns[1]).toMatchObject({ sure: 100, why: 'as you chose before' });
    expect(await preview()).toMatchObject({ missing: 1, counts: { changed: 1 } });
    expect((await server.call('PATCH', `/api/imports/${id}`, { fills: { 1: 'variant sku' } })).status).toBe(422);
    await run();
    expect([product(0).supplier, product(0).variants[0]!.price, product(1).status]).toEqual([
      'Harbour',
      2_000,
      'draft',
    ]);
  });

  test('deletes what is listed, and more rows than are done at once go on by themselves', async () => {
    const gone = await brought('SKU\nW-1\nNONE', { way: 'delete' });
    expect((await gone.preview()).counts).toMatchObject({ deleted: 1, passed: 1 });
    await gone.run();
    expect(titled('Wren')).toBeUndefined();
    const many = await brought(
      ['Title,SKU,Price,Tags', ...Array.from({ length: 300 }, (_, i) => `Kite ${i},K-${i},${i + 1},new`)].join('\n'),
    );
    const job = await many.run();
    for (let i = 0; i < 200 && !titled('Kite 299'); i++) await new Promise((wait) => setTimeout(wait, 50));
    expect(job.label).toBe('Importing “goods.csv”');
    expect(titled('Kite 299')).toMatchObject({ variants: [{ price: 30_000 }] });
    expect(server.catalog.working.shop.tags.size).toBe(1);
    const files = (await server.call<{ files: { state: string }[] }>('GET', '/api/imports')).body.files;
    expect(files.map(({ state }) => state)).toEqual(['done', 'done']);
  });

  test('pressed twice it is done once; two hands that mend at the same time lose nothing of each other', async () => {
    const { id } = await brought('Title,Price,Stock\nPlover,x,y');
    const change = (changes: ImportChanges) => server.call<ImportAnswer>('PATCH', `/api/imports/${id}`, changes);
    await Promise.all([
      change({ mends: { '0:1': '5' } }),
      change({ mends: { '0:2': '6' } }),
      change({ leavesOut: [3] }),
    ]);
    const { settings } = (await server.call<ImportAnswer>('GET', `/api/imports/${id}`)).body;
    expect([settings.mended, settings.leftOut]).toEqual([{ '0:1': '5', '0:2': '6' }, [3]]);
    expect((await change({ takesBack: true })).body.settings.leftOut).toEqual([]);
    const twice = await Promise.all([1, 2].map(() => server.call('POST', `/api/imports/${id}/run`)));
    expect(twice.map(({ status }) => status).sort()).toEqual([200, 422]);
    expect([...server.catalog.working.products.values()].filter(({ title }) => title === 'Plover')).toHaveLength(1);
  });

  test('what is broken, hostile or too large gets a clear refusal, and nothing is kept of it', async () => {
    expect(await refusal('')).toEqual([422, 'This file is empty.']);
    expect(await refusal('a,"b\nc')).toEqual([422, expect.stringMatching(/never closed/)]);
    expect(await refusal('a,b\u0000c\n1,2')).toEqual([422, expect.stringMatching(/not a file of text/)]);
    expect(await refusal(Array.from({ length: 2_000 }, (_, i) => `c${i}`).join(','))).toEqual([
      422,
      expect.stringMatching(/2000 columns/),
    ]);
    expect(await refusal(`a,b\n${'x'.repeat(300_000)},2`)).toEqual([422, expect.stringMatching(/row 2 is too long/)]);
    expect(await refusal('{"a": 1', 'goods.json')).toEqual([422, 'This is not JSON that can be read.']);
    expect(await refusal('[[1]]', 'goods.json')).toEqual([422, expect.stringMatching(/list of objects/)]);
    expect(await refusal(Buffer.from('PK\u0003\u0004nonsense'), 'goods.xlsx')).toEqual([
      422,
      expect.stringMatching(/damaged/),
    ]);
    expect(await refusal(Buffer.from([0xd0, 0xcf, 0x11, 0xe0, 1, 2]), 'goods.xls')).toEqual([
      422,
      expect.stringMatching(/old kind/),
    ]);
    expect((await server.call<{ files: unknown[] }>('GET', '/api/imports')).body.files).toEqual([]);
    // Mixed ends of lines are read all the same.
    expect((await brought('SKU,Price\r\nT-1,3\nW-1,4\rX,5')).file.rows).toBe(3);
  });
});

describe('a file that goes out', () => {
  const all = { matching: { text: '', rule: { match: 'all', of: [] } }, ids: [] };
  const keys = [
    'slug',
    'title',
    'summary',
    'metaTitle',
    'status',
    'variant sku',
    'variant price',
    'variant stock',
    'option 1 name',
    'option 1 value',
  ];
  async function made(more: object = {}) {
    const { status, body: answer } = await server.call<{ file: { id: string; name: string } }>('POST', '/api/exports', {
      which: all,
      format: 'csv',
      per: 'variants',
      columns: keys,
      ...more,
    });
    expect(status).toBe(200);
    const body = answer.file;
    const file = await server.raw(`/api/exports/${body.id}/file`, { headers: { Cookie: server.cookie } });
    return {
      ...body,
      content: Buffer.from(await file.arrayBuffer()),
      disposition: file.headers.get('content-disposition'),
    };
  }

  test.each(['csv', 'xlsx', 'json'] as const)(
    'as %s comes back with no change, formulas put out of harm',
    async (format) => {
      await server.call('PATCH', `/api/products/${server.ids[0]!}`, {
        seen: Number.MAX_SAFE_INTEGER,
        fields: { summary: '=1+1, “quoted"\nand on', metaTitle: "'=marked" },
      });
      const { content, name, disposition } = await made({ format });
      expect(disposition).toContain(`filename=${name}`);
      if (format === 'csv') expect(content.toString()).toContain(`"'=1+1, “quoted""\nand on"`);
      const { preview } = await brought(content, {}, name);
      expect(await preview()).toMatchObject({ counts: { same: 2, changed: 0, new: 0, refused: 0 }, total: 0 });
    },
  );

  test('is kept, asks for at least one product and one column, and is for those signed in', async () => {
    const { id } = await made({ per: 'products', which: { ids: [server.ids[1]!], matching: null } });
    const { files, fields } = (
      await server.call<{ files: { id: string }[]; fields: { key: string }[] }>('GET', '/api/exports')
    ).body;
    expect(files.map((file) => file.id)).toEqual([id]);
    expect(fields.length).toBeGreaterThan(40);
    expect((await server.raw(`/api/exports/${id}/file`)).status).toBe(401);
    expect((await server.raw('/api/exports/ex_none/file', { headers: { Cookie: server.cookie } })).status).toBe(404);
    const refused = (more: object) =>
      server.call('POST', '/api/exports', { which: all, format: 'csv', per: 'variants', columns: keys, ...more });
    expect((await refused({ columns: [] })).status).toBe(422);
    expect((await refused({ columns: ['nonsense'] })).status).toBe(422);
    expect((await refused({ which: { ids: [], matching: null } })).status).toBe(422);
  });
});

test('languages stand side by side in files, come back as they went, and go with one undo', async () => {
  await server.call('POST', '/api/languages', { locale: 'de' });
  const texts = async () => {
    const { wordings } = server.catalog.working.shop;
    return [...wordings.values()].flatMap(({ id, texts: all }) =>
      Object.entries(all).map(([path, { text }]) => [id, path, text]),
    );
  };
  const text = 'SKU,Title,Title (German)\nT-1,Sea tern,Küstenmöwe\nW-1,Wren,\nD-1,Dunnock,Küstenmöwe\n';
  const { file, run } = await brought(text);
  expect(file.settings.columns).toEqual(['variant sku', 'title', 'title in de']);
  // Goods that are new need a price, which this file does not have.
  await server.call('PATCH', `/api/imports/${file.id}`, { way: 'update' });
  expect((await run()).state).toBe('done');
  expect(await texts()).toEqual([
    [server.ids[0], 'slug', 'kuestenmoewe'],
    [server.ids[0], 'title', 'Küstenmöwe'],
  ]);
  // Made from the title that came with it, so nothing is out of date.
  const { units } = (
    await server.call<{ units: { path: string; state: string }[] }>(
      'GET',
      `/api/languages/de/texts?kind=product&id=${server.ids[0]}`,
    )
  ).body;
  expect(units.find(({ path }) => path === 'title')!.state).toBe('done');

  const made = await server.call<{ file: { id: string } }>('POST', '/api/exports', {
    which: { ids: server.ids },
    format: 'csv',
    per: 'products',
    columns: ['variant sku', 'title', 'title in de'],
  });
  const out = await server.raw(`/api/exports/${made.body.file.id}/file`, { headers: { cookie: server.cookie } });
  const written = await out.text();
  expect(written).toContain('Sea tern,Küstenmöwe');
  const again = await brought(written);
  expect((await again.preview()).counts).toMatchObject({ same: 2, changed: 0, refused: 0 });

  await server.call('POST', '/api/undo');
  expect([await texts(), product(0).title]).toEqual([[], 'Tern']);
});
