import type { ProductAnswer } from '../../contract/product';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => void (server = await startServer()));
afterEach(() => server.close());

const LATEST = Number.MAX_SAFE_INTEGER;

const patch = ({ product }: ProductAnswer, fields: object, was?: object) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${product.id}`, { seen: LATEST, fields, was });

describe('a product is written over what stood there when it was typed', () => {
  test('what somebody else changed meanwhile is told, and neither is lost', async () => {
    const made = await addProduct(server, 'Harrier');
    await patch(made, { title: 'Theirs' }, { title: 'Harrier' });
    const answer = await patch(made, { title: 'Mine', summary: 'Lifts' }, { title: 'Harrier', summary: '' });
    expect(answer.status).toBe(409);
    expect(problem(answer).errors).toEqual([
      { path: ['fields', 'title'], message: 'The title was changed by somebody else.', theirs: 'Theirs' },
    ]);
    const kept = await patch(made, { title: 'Mine' }, { title: 'Theirs' });
    expect(kept.body.product.title).toBe('Mine');
  });

  test('spaces around what was typed before are no change', async () => {
    const made = await addProduct(server, 'Harrier');
    await patch(made, { title: 'Harrier two ' }, { title: 'Harrier' });
    const answer = await patch(made, { title: 'Harrier two lines' }, { title: 'Harrier two ' });
    expect([answer.status, answer.body.product.title]).toEqual([200, 'Harrier two lines']);
  });

  test('nor is what rich text loses when it is cleaned', async () => {
    const made = await addProduct(server, 'Harrier');
    const typed = '<p onclick="x()">Sewn</p>';
    await patch(made, { description: typed }, { description: '' });
    const answer = await patch(made, { description: '<p>Sewn, not glued</p>' }, { description: typed });
    expect(answer.status).toBe(200);
  });

  test('tags that two people add at once are both there', async () => {
    const made = await addProduct(server, 'Harrier');
    const tag = async (name: string) => (await server.call<{ id: string }>('POST', '/api/tags', { name })).body.id;
    const [windy, calm] = [await tag('windy'), await tag('calm')];
    await patch(made, { tagIds: [windy] }, { tagIds: [] });
    const answer = await patch(made, { tagIds: [calm] }, { tagIds: [] });
    expect(answer.body.product.tagIds.sort()).toEqual([windy, calm].sort());
  });

  test('specs are merged attribute by attribute; the same one typed twice is a clash', async () => {
    const made = await addProduct(server, 'Harrier');
    const sheet = (await server.call<{ id: string }>('POST', '/api/spec-sheets', { name: 'Kite' })).body.id;
    const attribute = (id: string) => ({
      id,
      name: id,
      type: 'text',
      unit: '',
      choices: [],
      heading: '',
      required: false,
      shown: true,
      filterable: false,
    });
    const attributes = [attribute('a_sail'), attribute('a_frame')];
    await server.call('PUT', `/api/spec-sheets/${sheet}`, { name: 'Kite', attributes });
    await patch(made, { specSheetId: sheet }, { specSheetId: null });
    await patch(made, { specs: { a_sail: 'ripstop' } }, { specs: {} });
    const both = await patch(made, { specs: { a_frame: 'ash' } }, { specs: {} });
    expect(both.body.product.specs).toEqual({ a_sail: 'ripstop', a_frame: 'ash' });
    const cleared = await patch(made, { specs: { a_frame: 'ash' } }, { specs: { a_sail: 'ripstop', a_frame: 'ash' } });
    expect(cleared.body.product.specs).toEqual({ a_frame: 'ash' });
    const answer = await patch(made, { specs: { a_frame: 'oak' } }, { specs: { a_frame: 'elm' } });
    expect(problem(answer).errors![0]).toMatchObject({ path: ['fields', 'specs', 'a_frame'], theirs: 'ash' });
  });
});

describe('cells of variants', () => {
  const write = ({ product }: ProductAnswer, fields: object, was: object) =>
    server.call<ProductAnswer>('PATCH', `/api/products/${product.id}/variants`, {
      seen: LATEST,
      changes: [{ id: product.variants[0]!.id, fields, was }],
    });

  test('a cell that somebody else changed is told at the cell; the one beside it can be written', async () => {
    const made = await addProduct(server, 'Harrier');
    const { price } = made.product.variants[0]!;
    await write(made, { price: price + 100 }, { price });
    const answer = await write(made, { price: price + 200 }, { price });
    expect(problem(answer).errors![0]).toMatchObject({
      path: ['changes', 0, 'fields', 'price'],
      theirs: price + 100,
    });
    const beside = await write(made, { sku: 'H-1' }, { sku: '' });
    expect(beside.body.product.variants[0]).toMatchObject({ sku: 'H-1', price: price + 100 });
  });
});

describe('undo', () => {
  const status = async () =>
    (
      await server.call<{ undo: { id: number; label: string } | null; redo: { id: number } | null }>(
        'GET',
        '/api/status',
      )
    ).body;

  test('the status names what would be taken back, and only that is', async () => {
    const made = await addProduct(server, 'Harrier');
    await patch(made, { title: 'Wren' }, { title: 'Harrier' });
    const { undo } = await status();
    expect(undo!.label).toBe('Changed title of “Wren”');
    // In another tab the same person goes on.
    await patch(made, { summary: 'Small' }, { summary: '' });
    const refused = await server.call('POST', `/api/undo?of=${undo!.id}`);
    expect(refused.status).toBe(409);
    expect((await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body.product.summary).toBe(
      'Small',
    );
    const now = await status();
    expect((await server.call('POST', `/api/undo?of=${now.undo!.id}`)).status).toBe(200);
    expect((await status()).redo).toMatchObject({ id: now.undo!.id });
  });
});

describe('what names a group', () => {
  test('menu, pages and rules are told, and something of no sort is refused', async () => {
    const { id } = (await server.call<{ id: string }>('POST', '/api/tags', { name: 'windy' })).body;
    const rule = { match: 'all', of: [{ field: 'tag', is: 'anyOf', value: [id] }] };
    const shelf = (await server.call<{ id: string }>('POST', '/api/collections', { name: 'Gusts', source: 'rule' }))
      .body;
    await server.call('PATCH', `/api/collections/${shelf.id}`, { rule });
    const uses = await server.call('GET', `/api/uses/tag/${id}`);
    expect(uses.body).toEqual({ total: 1, uses: [{ in: 'collection', id: shelf.id, label: 'Gusts' }] });
    expect((await server.call('GET', `/api/uses/kite/${id}`)).status).toBe(404);
  });
});
