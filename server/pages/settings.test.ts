import type { Settings } from '../../core/model/settings';
import type { ProductAnswer } from '../../contract/product';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const set = (fields: object) => server.call('PATCH', '/api/settings', fields);

test('tax of the shop reaches every margin, by its class, and undo brings it back', async () => {
  const made = await addProduct(server, 'Plan', 1_210);
  const id = made.product.id;
  const changes = made.product.variants.map((variant) => ({ id: variant.id, fields: { cost: 500 } }));
  const seen = Number.MAX_SAFE_INTEGER;
  await server.call('PATCH', `/api/products/${id}/variants`, { seen, changes });
  const read = async () => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body;
  const margin = async () => Object.values((await read()).margins)[0];
  expect(await margin()).toBe(5_000);
  await set({ taxRate: 0 });
  expect(await margin()).toBe(5_868);
  await server.call('PATCH', `/api/products/${id}`, { seen, fields: { taxClass: 'reduced' } });
  await set({ reducedTaxRate: 1_000 });
  expect((await read()).tax).toEqual({ rate: 1_000, included: true });
  await server.call('POST', '/api/undo');
  expect((await read()).tax.rate).toBe(900);
});

test.each([
  [{ name: ' ' }, 'name', /needs a name/],
  [{ taxRate: -1 }, 'taxRate', /below zero/],
  [{ taxRate: 10_001 }, 'taxRate', /100 %/],
  [{ timeZone: 'Mars/Olympus' }, 'timeZone', /no such time zone/],
  [{ currency: 'shells' }, 'currency', /Choose a currency/],
])('%j is refused at its field', async (fields, name, message) => {
  const answer = await set(fields);
  expect(answer.status).toBe(422);
  expect(problem(answer).errors![0]).toMatchObject({ path: [name], message: expect.stringMatching(message) });
});

test('what is not named stays: a new name neither resets the look nor any other part', async () => {
  const { body: before } = await server.call<Settings>('GET', '/api/settings');
  const changed: Partial<Settings> = {
    look: { ...before.look, corners: 'square' },
    cards: { ...before.cards, second: true },
    listings: { ...before.listings, perPage: 12 },
    productPage: { ...before.productPage, trust: ['Sewn in our loft'] },
    contact: { ...before.contact, city: 'Windhaven' },
    notice: { ...before.notice, text: 'Free delivery this week' },
    signs: { ...before.signs, logoHeight: 50 },
    domain: 'kites.example',
  };
  await set(changed);
  await set({ name: 'Lark & Line', was: { name: before.name } });
  expect((await server.call<Settings>('GET', '/api/settings')).body).toEqual({
    ...before,
    ...changed,
    name: 'Lark & Line',
  });
});
