import { problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

interface Person {
  id: string;
  name: string;
  email: string;
  role: string;
}
interface People {
  people: Person[];
  invites: { id: string; email: string }[];
}

const people = async () => (await server.call<People>('GET', '/api/people')).body;
const invite = async (email: string, role = 'helper') =>
  (await server.call<{ code: string }>('POST', '/api/people/invites', { email, role })).body.code;
const join = (code: string, over: object = {}) =>
  server.raw('/api/invited', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ code, name: 'Robin', password: 'a gust at dawn', ...over }),
  });

/** The session of an answer that signs somebody in. */
async function signedIn(response: Response) {
  const cookie = response.headers.get('set-cookie')!.split(';')[0]!;
  const { token } = (await response.json()) as { token: string };
  return (method: string, path: string, body?: object) =>
    server.raw(path, {
      method,
      headers: { Cookie: cookie, 'X-Dispona-Token': token, 'Content-Type': 'application/json' },
      body: body && JSON.stringify(body),
    });
}

test('an invitation makes one account, once, with the role that it was made for', async () => {
  const code = await invite('Robin@Line.example');
  expect((await people()).invites).toEqual([expect.objectContaining({ email: 'robin@line.example' })]);
  const told = await server.raw(`/api/invited?code=${code}`);
  expect(await told.json()).toMatchObject({ email: 'robin@line.example' });
  const first = await join(code);
  expect(first.status).toBe(200);
  expect((await join(code)).status).toBe(404);
  const after = await people();
  expect(after.invites).toEqual([]);
  expect(after.people.map(({ name, role }) => [name, role])).toContainEqual(['Robin', 'helper']);
});

test('two who take one invitation up in the same moment make one account', async () => {
  const code = await invite('robin@line.example');
  const answers = await Promise.all([join(code), join(code, { name: 'Rowan' })]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 404]);
  expect((await people()).people).toHaveLength(2);
});

test('a helper builds the catalog, but neither lets others in nor opens or closes the shop', async () => {
  const robin = await signedIn(await join(await invite('robin@line.example')));
  expect((await robin('POST', '/api/products', { title: 'Tern', price: 1_000 })).status).toBe(200);
  for (const [method, path, body] of [
    ['POST', '/api/people/invites', { email: 'kim@line.example', role: 'owner' }],
    ['PUT', '/api/opening', { isClosed: true }],
    ['DELETE', `/api/people/${(await people()).people[0]!.id}`, undefined],
  ] as const) {
    const answer = await robin(method, path, body);
    expect([path, answer.status]).toEqual([path, 403]);
    expect(await answer.json()).toMatchObject({ title: 'Only an owner of the shop can do this.' });
  }
});

test('who is removed is signed out at once, keeps their name in the history, and can be invited again', async () => {
  const robin = await signedIn(await join(await invite('robin@line.example')));
  await robin('POST', '/api/products', { title: 'Tern', price: 1_000 });
  const { id } = (await people()).people.find(({ name }) => name === 'Robin')!;
  expect((await server.call('DELETE', `/api/people/${id}`)).status).toBe(200);
  expect((await robin('GET', '/api/status')).status).toBe(401);
  const { body } = await server.call<{ changes: { userName: string }[] }>('GET', '/api/history?limit=5');
  expect(body.changes[0]!.userName).toBe('Robin');
  expect((await join(await invite('robin@line.example', 'owner'))).status).toBe(200);
  expect((await people()).people.find(({ name }) => name === 'Robin')).toMatchObject({ id, role: 'owner' });
});

test('a shop keeps one owner, and nobody is invited twice over', async () => {
  const [me] = (await people()).people;
  for (const answer of [
    await server.call('DELETE', `/api/people/${me!.id}`),
    await server.call('PATCH', `/api/people/${me!.id}`, { role: 'helper' }),
  ])
    expect([answer.status, problem(answer).errors![0]!.message]).toEqual([
      422,
      expect.stringMatching(/needs an owner/),
    ]);
  const twice = await server.call('POST', '/api/people/invites', { email: me!.email, role: 'helper' });
  expect(problem(twice).errors![0]).toMatchObject({ path: ['email'], message: expect.stringMatching(/already/) });
});

test('an invitation that was taken back, or is a week old, opens nothing', async () => {
  const code = await invite('robin@line.example');
  const { id } = (await people()).invites[0]!;
  await server.call('DELETE', `/api/people/invites/${id}`);
  expect((await join(code)).status).toBe(404);
  const old = await invite('robin@line.example');
  server.catalog.db.prepare(`UPDATE invite SET expires = '2000-01-01T00:00:00.000Z'`).run();
  expect((await join(old)).status).toBe(404);
});

test('all other sessions of a person end when they sign out elsewhere, this one stays', async () => {
  const code = await invite('robin@line.example', 'owner');
  const robin = await signedIn(await join(code));
  const again = await server.raw('/api/session', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ email: 'robin@line.example', password: 'a gust at dawn' }),
  });
  const other = await signedIn(again);
  expect((await other('GET', '/api/status')).status).toBe(200);
  expect((await robin('POST', '/api/session/others')).status).toBe(200);
  expect((await other('GET', '/api/status')).status).toBe(401);
  expect((await robin('GET', '/api/status')).status).toBe(200);
});

test('a translator changes texts in their languages, and nothing else', async () => {
  for (const locale of ['de', 'fr']) await server.call('POST', '/api/languages', { locale });
  const { body } = await server.call<{ code: string }>('POST', '/api/people/invites', {
    email: 'robin@line.example',
    role: 'helper',
    languages: ['de'],
  });
  const joined = await join(body.code);
  expect(await joined.clone().json()).toMatchObject({ user: { role: 'helper', languages: ['de'] } });
  const robin = await signedIn(joined);
  const text = { kind: 'settings', id: 'settings', path: 'name', source: '', text: 'Lerche & Leine' };
  expect((await robin('PUT', '/api/languages/de/texts', { texts: [text] })).status).toBe(200);
  expect((await robin('PUT', '/api/languages/fr/texts', { texts: [text] })).status).toBe(403);
  expect((await robin('PATCH', '/api/languages/de', { isOn: true })).status).toBe(403);
  const refused = await robin('POST', '/api/products', { title: 'Kite', kind: 'physical', price: 100 });
  expect(refused.status).toBe(403);
  expect(await refused.json()).toMatchObject({ title: expect.stringMatching(/translat/i) });

  const { id } = (await people()).people.find(({ name }) => name === 'Robin')!;
  await server.call('PATCH', `/api/people/${id}`, { role: 'helper', languages: ['fr'] });
  expect((await robin('PUT', '/api/languages/de/texts', { texts: [text] })).status).toBe(403);
  await server.call('PATCH', `/api/people/${id}`, { role: 'helper' });
  expect((await robin('POST', '/api/products', { title: 'Kite', kind: 'physical', price: 100 })).status).toBe(200);
});

test('an owner cannot be limited to languages', async () => {
  await server.call('POST', '/api/languages', { locale: 'de' });
  const refused = await server.call('POST', '/api/people/invites', {
    email: 'kim@line.example',
    role: 'owner',
    languages: ['de'],
  });
  expect(problem(refused).errors).toEqual([expect.objectContaining({ path: ['languages'] })]);
});

test('an owner lets somebody choose another password: the link works once, and ends what was signed in before', async () => {
  const robin = await signedIn(await join(await invite('robin@line.example')));
  const { id } = (await people()).people.find(({ name }) => name === 'Robin')!;
  expect((await robin('POST', `/api/people/${id}/password-link`)).status).toBe(403);
  const link = await server.call<{ code: string }>('POST', `/api/people/${id}/password-link`);
  // It is no invitation of somebody new, and the old password holds until it is used.
  expect((await people()).invites).toEqual([]);
  expect((await robin('GET', '/api/status')).status).toBe(200);
  const { code } = link.body;
  expect(await (await server.raw(`/api/invited?code=${code}`)).json()).toMatchObject({ isHere: true });
  const weak = await join(code, { name: '', password: 'robin@line.example' });
  expect(weak.status).toBe(422);
  const back = await join(code, { name: '', password: 'kites over the dyke' });
  expect(back.status).toBe(200);
  expect(await back.clone().json()).toMatchObject({ user: { id, name: 'Robin' } });
  expect((await robin('GET', '/api/status')).status).toBe(401);
  expect((await join(code, { name: '' })).status).toBe(404);
  const signIn = (password: string) =>
    server.raw('/api/session', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email: 'robin@line.example', password }),
    });
  expect([(await signIn('a gust at dawn')).status, (await signIn('kites over the dyke')).status]).toEqual([422, 200]);
});

test('where one is signed in is told by device, and one place is ended without the others', async () => {
  const agents = [
    'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0',
    'Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/18.0 Mobile/15E148 Safari/604.1',
  ];
  const came = [];
  for (const agent of agents)
    came.push(
      await signedIn(
        await server.raw('/api/session', {
          method: 'POST',
          headers: { 'Content-Type': 'application/json', 'User-Agent': agent },
          body: JSON.stringify({ email: 'kim@example.com', password: 'a long password' }),
        }),
      ),
    );
  interface Places {
    sessions: { id: string; device: string; isThis: boolean }[];
  }
  const { sessions } = (await server.call<Places>('GET', '/api/sessions')).body;
  expect(sessions.map(({ device }) => device)).toEqual(expect.arrayContaining(['Firefox on Linux', 'Safari on iOS']));
  expect(sessions.filter(({ isThis }) => isThis)).toHaveLength(1);
  const phone = sessions.find(({ device }) => device === 'Safari on iOS')!;
  expect((await server.call('DELETE', `/api/sessions/${phone.id}`)).status).toBe(200);
  expect((await server.call('DELETE', `/api/sessions/${phone.id}`)).status).toBe(404);
  expect((await came[0]!('GET', '/api/status')).status).toBe(200);
  expect((await came[1]!('GET', '/api/status')).status).toBe(401);
});

test('nobody ends a session of somebody else', async () => {
  const robin = await signedIn(await join(await invite('robin@line.example')));
  const { sessions } = (await server.call<{ sessions: { id: string }[] }>('GET', '/api/sessions')).body;
  expect((await robin('DELETE', `/api/sessions/${sessions[0]!.id}`)).status).toBe(404);
  expect((await server.call('GET', '/api/status')).status).toBe(200);
});
