import { presets } from '../../core/look/presets';
import { usualLook } from '../../core/model/look';
import { problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
  await server.call('POST', '/api/editions', {});
});
afterEach(() => server.close());

const almanac = presets.find(({ key }) => key === 'almanac')!.look;
const html = async (path: string, init?: RequestInit) => (await server.raw(path, init)).text();
const root = (page: string) => /<html[^>]*>/.exec(page)![0];

test('a look is in the first paint of the shop with the next edition, and of the window at once', async () => {
  expect(root(await html('/'))).toBe('<html lang="en">');
  await server.call('PATCH', '/api/settings', { look: almanac });
  expect(root(await html('/'))).toBe('<html lang="en">');
  const inWindow = root(await html('/preview', { headers: { Cookie: server.cookie } }));
  expect(inWindow).toContain(`--color-sea:${almanac.colours.sea}`);
  await server.call('POST', '/api/editions', {});
  expect(root(await html('/'))).toBe(inWindow);
  // Only what differs from the usual look is written.
  expect(inWindow).not.toContain('--text-size');
});

test('the review names each colour and choice that changes, and undo brings them back', async () => {
  const look = { ...usualLook, corners: 'square' as const, colours: { ...usualLook.colours, sea: '#12365a' } };
  await server.call('PATCH', '/api/settings', { look });
  const { body } = await server.call<{
    changes: { kind: string; fields: { label: string; before: string; after: string }[] }[];
  }>('GET', '/api/review');
  expect(body.changes.flatMap(({ fields }) => fields)).toEqual([
    expect.objectContaining({ label: 'Colour: links and buttons', before: '#0d6470', after: '#12365a' }),
    expect.objectContaining({ label: 'Corners', before: 'round', after: 'square' }),
  ]);
  await server.call('POST', '/api/undo');
  expect((await server.call<{ changes: unknown[] }>('GET', '/api/review')).body.changes).toEqual([]);
});

test('what is no colour or no choice is refused at its place, and nothing of a page can be broken out of', async () => {
  for (const wrong of ['red', '#fff', '#0d6470;background:url(//x)', '"><script>']) {
    const answer = await server.call('PATCH', '/api/settings', {
      look: { ...usualLook, colours: { ...usualLook.colours, sea: wrong } },
    });
    expect([answer.status, problem(answer).errors?.[0]?.path]).toEqual([422, ['look', 'colours', 'sea']]);
  }
  const answer = await server.call('PATCH', '/api/settings', { look: { ...usualLook, display: 'comic' } });
  expect(answer.status).toBe(422);
});
