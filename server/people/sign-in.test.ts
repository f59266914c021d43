import fc from 'fast-check';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { makeApp } from '../app/app';
import { startServer, person, type Harness } from '../testing/harness';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Attempts } from './attempts';
import { passwordProblem } from './common-passwords';
import { clearSessions } from './sign-in';
import { noAssets } from '../../shop/render';

const MINUTE = 60_000;

describe('passwords', () => {
  test.each([
    'password1234',
    'Passwort2027!',
    '123456789012',
    '987654321098',
    'aaaaaaaaaaaa',
    'abababababab',
    'qwertyuiop12',
    'letmeinletmein',
  ])('%s would soon be guessed', (password) => expect(passwordProblem(password, [])).toMatch(/guessed|tried first/));

  test('that are little more than a name are refused, long ones of several words are not', () => {
    expect(passwordProblem('larkline2027', ['Lark & Line'])).toMatch(/name that others know/);
    expect(passwordProblem('wind over the bay', ['Lark & Line', 'Robin'])).toBeUndefined();
  });

  test('of any sort are looked at without failing', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 60 }),
        fc.array(fc.string()),
        (password, about) => void passwordProblem(password, about),
      ),
    );
  });
});

describe('wrong passwords', () => {
  test('make an address wait for that account, and others go on', () => {
    const attempts = new Attempts();
    for (let i = 0; i < 8; i++) attempts.failed('1.1.1.1', 'kim', i);
    expect(attempts.mustWait('1.1.1.1', 'kim', 10)).toBe(true);
    expect(attempts.mustWait('1.1.1.1', 'robin', 10)).toBe(false);
    expect(attempts.mustWait('2.2.2.2', 'kim', 10)).toBe(false);
    expect(attempts.mustWait('1.1.1.1', 'kim', 16 * MINUTE)).toBe(false);
  });

  test('from many addresses close an account to strangers, but never to its owner', () => {
    const attempts = new Attempts();
    attempts.succeeded('9.9.9.9', 'kim');
    for (let i = 0; i < 100; i++) attempts.failed(`10.0.0.${i}`, 'kim', i);
    expect(attempts.mustWait('8.8.8.8', 'kim', 200)).toBe(true);
    expect(attempts.mustWait('9.9.9.9', 'kim', 200)).toBe(false);
  });
});

describe('over HTTP', () => {
  let server: Harness;
  let at: number;
  beforeEach(async () => {
    at = Date.UTC(2027, 0, 1);
    server = await startServer(undefined, () => new Date(at));
  });
  afterEach(() => server.close());

  const signIn = (password: string) =>
    server.raw('/api/session', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email: person.email, password }),
    });

  test('after some wrong passwords one waits, and the right one is let in again later', async () => {
    for (let i = 0; i < 8; i++) expect((await signIn('wrong')).status).toBe(422);
    expect((await signIn(person.password)).status).toBe(429);
    at += 16 * MINUTE;
    expect((await signIn(person.password)).status).toBe(200);
  });

  test('a password is changed with the old one only, and ends the sessions elsewhere', async () => {
    const elsewhere = (await signIn(person.password)).headers.get('set-cookie')!.split(';')[0]!;
    const next = 'three gulls on the pier';
    const change = (old: string, to: string) => server.call('PUT', '/api/password', { old, next: to });
    expect((await change('not it at all', next)).status).toBe(422);
    expect((await change(person.password, 'password12345')).status).toBe(422);
    expect((await change(person.password, 'short')).status).toBe(422);
    expect((await change(person.password, next)).status).toBe(200);
    expect((await server.raw('/api/status', { headers: { Cookie: elsewhere } })).status).toBe(401);
    expect((await server.call('GET', '/api/status')).status).toBe(200);
    expect((await signIn(person.password)).status).toBe(422);
    expect((await signIn(next)).status).toBe(200);
  });

  test('sessions end when they lie idle, and are forgotten', async () => {
    for (let days = 0; days < 13; days += 6) {
      at += 6 * 24 * 60 * MINUTE;
      expect((await server.call('GET', '/api/status')).status).toBe(200);
    }
    at += 15 * 24 * 60 * MINUTE;
    expect((await server.call('GET', '/api/status')).status).toBe(401);
    expect(clearSessions(server.catalog.db, new Date(at))).toBeGreaterThan(0);
    expect(server.catalog.db.prepare('SELECT count(*) FROM session').pluck().get()).toBe(0);
  });

  test('an event stream ends with the session', async () => {
    const stream = await server.raw('/api/events', { headers: { Cookie: server.cookie } });
    const reader = stream.body!.getReader();
    await reader.read();
    await server.call('DELETE', '/api/session');
    let isDone = false;
    while (!isDone) isDone = (await reader.read()).done;
    expect(isDone).toBe(true);
    expect((await server.raw('/api/events', { headers: { Cookie: server.cookie } })).status).toBe(401);
  });

  test('an uploaded script is something to keep, not to run', async () => {
    const made = await server.call<{ product: { id: string } }>('POST', '/api/products', {
      title: 'Plan',
      price: 100,
      kind: 'digital',
    });
    const form = new FormData();
    form.append('files', new Blob(['alert(1)']), 'plan.js');
    const answer = await server.call<{ product: { files: { id: string }[] } }>(
      'POST',
      `/api/products/${made.body.product.id}/files?role=manual`,
      form,
    );
    const file = await server.raw(`/preview/files/${made.body.product.id}/${answer.body.product.files[0]!.id}`, {
      headers: { Cookie: server.cookie },
    });
    expect(file.headers.get('content-type')).toBe('application/octet-stream');
    expect(file.headers.get('x-content-type-options')).toBe('nosniff');
    expect(file.headers.get('content-disposition')).toMatch(/^attachment/);
  });

  test('only its owner reads the database', () => {
    expect(statSync(join(server.folder, 'dispona.sqlite')).mode & 0o077).toBe(0);
  });

  describe('behind a proxy that speaks https', () => {
    const serve = async (origin: string, setUpCode?: string) => {
      const app = makeApp({
        catalog: server.catalog,
        origin,
        setUpCode,
        assets: noAssets,
        log: { error: () => undefined, warn: () => undefined },
      });
      const other = createServer(app).listen(0, '127.0.0.1');
      await new Promise((resolve) => other.once('listening', resolve));
      const url = `http://127.0.0.1:${(other.address() as AddressInfo).port}`;
      return { url, stop: () => other.close() };
    };

    test('cookies are for https alone, browsers are told to stay there, and addresses are those of the setting', async () => {
      const { url, stop } = await serve('https://kites.example');
      const response = await fetch(`${url}/api/session`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ email: person.email, password: person.password }),
      });
      expect(response.headers.get('set-cookie')).toMatch(/Secure/);
      expect(response.headers.get('strict-transport-security')).toMatch(/max-age/);
      await server.call('POST', '/api/editions', {});
      const page = await fetch(`${url}/`, { headers: { 'X-Forwarded-Host': 'evil.example' } });
      expect(await page.text()).toContain('<link rel="canonical" href="https://kites.example/">');
      stop();
    });

    test('whoever sets the shop up must know the code that was printed', async () => {
      server.catalog.db.exec('DELETE FROM session; DELETE FROM user');
      const { url, stop } = await serve('http://127.0.0.1', 'abc123');
      const setUp = (code: string) =>
        fetch(`${url}/api/setup`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ ...person, code }),
        });
      expect(((await (await fetch(`${url}/api/session`)).json()) as { needsCode: boolean }).needsCode).toBe(true);
      expect((await setUp('wrong')).status).toBe(422);
      expect((await setUp('abc123')).status).toBe(200);
      stop();
    });
  });
});
