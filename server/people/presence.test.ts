import { startServer, type Harness } from '../testing/harness';
import { Presence } from './presence';

const at = (path: string, unsaved: string[] = []) => ({ userId: 'u_1', name: 'Kim', path, title: path, unsaved });

test('it is news when somebody comes, moves, types or leaves; not that they are still there', () => {
  const presence = new Presence();
  expect(presence.tell('a', at('/goods'), 0)).toBe(true);
  expect(presence.tell('a', at('/goods'), 1_000)).toBe(false);
  expect(presence.tell('a', at('/goods', ['title']), 2_000)).toBe(true);
  expect(presence.tell('a', at('/groups'), 3_000)).toBe(true);
  expect(presence.leave('a')).toBe(true);
  expect(presence.leave('a')).toBe(false);
});

test('one sees others and not oneself, in whatever tab; who says nothing for long is gone', () => {
  const presence = new Presence();
  presence.tell('a', at('/goods'), 0);
  presence.tell('b', at('/groups'), 60_000);
  // Who is still there has not moved.
  presence.tell('a', at('/goods'), 1_000);
  expect(presence.others('u_1', 60_000)).toEqual([]);
  expect(presence.others('u_2', 60_000).map(({ path }) => path)).toEqual(['/groups', '/goods']);
  expect(presence.others('u_2', 80_000).map(({ path }) => path)).toEqual(['/groups']);
});

test('however many tabs call themselves by new names, not all of them are kept', () => {
  const presence = new Presence();
  for (let tab = 0; tab < 5_000; tab++) presence.tell(String(tab), at('/goods'), 0);
  expect(presence.others('u_2', 0).length).toBeLessThanOrEqual(200);
});

describe('over HTTP', () => {
  let server: Harness;
  beforeEach(async () => {
    server = await startServer();
  });
  afterEach(() => server.close());

  test('where others are is told, with what they have typed; a tab of another person cannot be moved', async () => {
    const { code } = (
      await server.call<{ code: string }>('POST', '/api/people/invites', {
        email: 'robin@line.example',
        role: 'helper',
      })
    ).body;
    const joined = await server.raw('/api/invited', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ code, name: 'Robin', password: 'a gust at dawn' }),
    });
    const cookie = joined.headers.get('set-cookie')!.split(';')[0]!;
    const { token } = (await joined.json()) as { token: string };
    const robin = (method: string, body?: object) =>
      server.raw('/api/presence', {
        method,
        headers: { Cookie: cookie, 'X-Dispona-Token': token, 'Content-Type': 'application/json' },
        body: body && JSON.stringify(body),
      });
    const where = { tab: 'a', path: '/goods/p_1', title: 'Tern', unsaved: ['title'] };
    await server.call('POST', '/api/presence', where);
    const seen = async () => ((await (await robin('GET')).json()) as { others: object[] }).others;
    expect(await seen()).toEqual([expect.objectContaining({ name: 'Kim', path: '/goods/p_1', unsaved: ['title'] })]);
    await robin('POST', { ...where, path: '' });
    expect(await seen()).toHaveLength(1);
    await server.call('POST', '/api/presence', { ...where, path: '' });
    expect(await seen()).toEqual([]);
  });
});
