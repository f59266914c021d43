import { addProduct, problem, startServer, type Harness } from '../testing/harness';
import type { ProductAnswer } from '../../contract/product';
import type { AnswerOf } from '../../contract/route';
import type { letterRoutes } from '../../contract/letters';
import { writeToWaiting } from './letters';

type Letters = AnswerOf<typeof letterRoutes.letters>;

let server: Harness;
let tern: ProductAnswer['product'];
beforeEach(async () => {
  server = await startServer();
  tern = (await addProduct(server, 'Tern')).product;
  await stock(0);
  await server.call('POST', '/api/editions', {});
});
afterEach(() => server.close());

const stock = (pieces: number) =>
  server.call('PATCH', `/api/products/${tern.id}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: [{ id: tern.variants[0]!.id, fields: { stock: pieces } }],
  });
const letters = async () => (await server.call<Letters>('GET', '/api/letters')).body;
const send = (path: string, body: object) =>
  server.raw(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
const post = (path: string, body: Record<string, string>) =>
  server.raw(path, { method: 'POST', body: new URLSearchParams(body), headers: { Accept: 'text/html' } });

test('a question comes to the desk, is answered once, and the answer stands in the outbox', async () => {
  expect(
    (await send('/shop-api/questions', { slug: 'tern', email: 'ada@example.com', text: 'How wide?' })).status,
  ).toBe(200);
  const [question] = (await letters()).questions;
  expect(question).toMatchObject({
    about: 'Tern',
    email: 'ada@example.com',
    text: 'How wide?',
    answered: null,
    isKnown: true,
  });
  await server.call('POST', `/api/questions/${question!.id}/answer`, { text: 'Two metres.' });
  const after = await letters();
  expect(after.questions[0]!.answered).not.toBeNull();
  expect(after.outbox).toMatchObject([{ recipient: 'ada@example.com', subject: 'Your question about Tern' }]);
  expect(after.outbox[0]!.text).toContain('Two metres.');
  // Without a sender of its own, the shop writes by its name.
  expect(after.outbox[0]).toMatchObject({ sender: 'Test kites' });
});

test('what is wrong is said at the field, and nothing is kept of it', async () => {
  const answer = await send('/shop-api/questions', { slug: 'tern', email: 'not an address', text: ' ' });
  expect(answer.status).toBe(422);
  const { errors } = (await answer.json()) as { errors: { path: string[]; message: string }[] };
  expect(errors.map(({ path }) => path[0]).sort()).toEqual(['email', 'text']);
  expect((await send('/shop-api/questions', { slug: 'nothing', email: 'a@example.com', text: 'Hi' })).status).toBe(404);
  expect(
    (await send('/shop-api/back-notes', { slug: 'tern', variant: 'v_other', email: 'a@example.com' })).status,
  ).toBe(422);
  expect(await letters()).toMatchObject({ questions: [], waiting: [], outbox: [] });
});

test('a plain form leads back to the product; one that is wrong gets a page that says so', async () => {
  const done = await post('/ask', { slug: 'tern', email: 'ada@example.com', text: 'How wide?' });
  expect([done.status, done.headers.get('location')]).toEqual([303, '/p/tern?done=asked']);
  expect((await letters()).questions).toHaveLength(1);
  const refused = await post('/ask', { slug: 'tern', email: 'ada', text: 'How wide?' });
  expect(refused.status).toBe(422);
  expect(await refused.text()).toContain('This is not a mail address.');
});

test('who waits is written to once, when it can be had again, and not before', async () => {
  const variant = tern.variants[0]!.id;
  for (const email of ['ada@example.com', 'Ada@Example.com', 'bo@example.com'])
    await post('/tell-when-back', { slug: 'tern', variant, email });
  expect((await letters()).waiting.map(({ email }) => email).sort()).toEqual(['ada@example.com', 'bo@example.com']);
  expect(writeToWaiting(server.catalog, 'https://shop.example')).toBe(0);
  await stock(3);
  expect(writeToWaiting(server.catalog, 'https://shop.example')).toBe(2);
  expect(writeToWaiting(server.catalog, 'https://shop.example')).toBe(0);
  const { waiting, outbox } = await letters();
  expect(waiting).toEqual([]);
  expect(outbox.map(({ recipient }) => recipient).sort()).toEqual(['ada@example.com', 'bo@example.com']);
  expect(outbox[0]!.text).toContain(`https://shop.example/p/tern?v=${variant}`);
});

test('nobody but the people of the shop reads or answers letters', async () => {
  for (const [path, method] of [
    ['/api/letters', 'GET'],
    ['/api/questions/q_1/answer', 'POST'],
  ] as const)
    expect((await server.raw(path, { method })).status).toBe(401);
  expect(problem(await server.call('POST', '/api/questions/q_1/answer', { text: 'Hello' })).title).toBe(
    'There is no such question.',
  );
});

test('mails come from whom the settings name, once that is live', async () => {
  const { body: settings } = await server.call<{ contact: object }>('GET', '/api/settings');
  await server.call('PATCH', '/api/settings', {
    contact: { ...settings.contact, senderName: 'Lark & Line', mail: 'hello@larkandline.example' },
  });
  await server.call('POST', '/api/editions', {});
  await send('/shop-api/questions', { slug: 'tern', email: 'ada@example.com', text: 'How long is it?' });
  const [question] = (await letters()).questions;
  await server.call('POST', `/api/questions/${question!.id}/answer`, { text: 'Two metres.' });
  const [letter] = (await letters()).outbox;
  expect(letter).toMatchObject({ sender: 'Lark & Line <hello@larkandline.example>' });
  expect(letter!.text.endsWith('Lark & Line')).toBe(true);
});
