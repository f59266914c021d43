import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BackupFile, BackupPlan } from '../../contract/backups';
import type { Job } from '../../contract/bulk';
import { addProduct, person, problem, startServer, type Harness } from '../testing/harness';

interface Listed {
  backups: BackupFile[];
  plan: BackupPlan;
  problem: string;
}

let now = new Date('2027-03-01T12:00:00Z');
let server: Harness;
beforeEach(async () => {
  now = new Date('2027-03-01T12:00:00Z');
  server = await startServer(undefined, () => now);
});
afterEach(() => server.close());

const listed = async () => (await server.call<Listed>('GET', '/api/backups')).body;
const jobs = async () => (await server.call<{ jobs: Job[] }>('GET', '/api/jobs')).body.jobs;
async function settled(): Promise<Job> {
  for (;;) {
    const [job] = (await jobs()).slice(-1);
    if (job && job.state !== 'running') return job;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

test('a backup is made beside the work, listed, fetched and deleted', async () => {
  await addProduct(server, 'Tern kite');
  const begun = await server.call<Job>('POST', '/api/backups');
  expect(begun.body).toMatchObject({ label: 'Making a backup', state: 'running' });
  expect(problem(await server.call('POST', '/api/backups')).title).toMatch(/being made already/);
  expect(await settled()).toMatchObject({ state: 'done', outcome: 'Backed up 1 products and 0 pictures' });
  const { backups } = await listed();
  expect(backups).toEqual([
    expect.objectContaining({
      at: '2027-03-01T12:00:00.000Z',
      byPlan: false,
      products: 1,
      name: 'shop-2027-03-01T12-00-00.zip',
    }),
  ]);
  const file = await server.raw(`/api/backups/${backups[0]!.name}/file`, { headers: { Cookie: server.cookie } });
  expect((await file.arrayBuffer()).byteLength).toBe(backups[0]!.bytes);
  await server.call('DELETE', `/api/backups/${backups[0]!.name}`);
  expect((await listed()).backups).toEqual([]);
  expect((await server.call('DELETE', `/api/backups/${backups[0]!.name}`)).status).toBe(404);
});

test('only owners get them, and no name leads elsewhere', async () => {
  expect((await server.raw('/api/backups')).status).toBe(401);
  expect((await server.raw('/api/backups/shop-2027-03-01T12-00-00.zip/file')).status).toBe(401);
  for (const name of ['..%2fdispona.sqlite', 'dispona.sqlite', 'shop-2027-03-01T12-00-00.zip%2f..'])
    expect((await server.raw(`/api/backups/${name}/file`, { headers: { Cookie: server.cookie } })).status).toBe(404);
  server.catalog.db.prepare(`UPDATE user SET role = 'helper'`).run();
  expect((await server.call('GET', '/api/backups')).status).toBe(403);
  const fetched = await server.raw('/api/backups/shop-2027-03-01T12-00-00.zip/file', {
    headers: { Cookie: server.cookie },
  });
  expect(fetched.status).toBe(403);
});

test('each night one is made by plan, and so many are kept', async () => {
  await server.call('PATCH', '/api/backups/plan', { nightly: true, hour: 4, keep: 2 });
  const { backups } = server.shop;
  const nights: string[] = [];
  // The first look only notes when it began: there is nothing yet that could be lost.
  backups.look();
  expect(await jobs()).toEqual([]);
  for (const day of ['02', '03', '04']) {
    now = new Date(`2027-03-${day}T02:59:00Z`);
    backups.look();
    expect((await listed()).backups.length).toBe(nights.length > 2 ? 2 : nights.length);
    // Four in the morning where the shop is, an hour ahead of UTC.
    now = new Date(`2027-03-${day}T03:00:10Z`);
    backups.look();
    backups.look();
    expect((await settled()).state).toBe('done');
    backups.look();
    nights.push(`nightly-2027-03-${day}T03-00-10.zip`);
  }
  expect((await listed()).backups.map(({ name }) => name)).toEqual(nights.slice(1).reverse());
  await server.call('PATCH', '/api/backups/plan', { nightly: false });
  now = new Date('2027-03-06T12:00:00Z');
  backups.look();
  expect((await listed()).backups.length).toBe(2);
  const refused = await server.call('PATCH', '/api/backups/plan', { nightly: true, hour: 24, keep: 0 });
  expect(problem(refused).errors!.map(({ path }) => path.join())).toEqual(['hour', 'keep']);
});

test('one that fails by plan is told until one succeeds', async () => {
  const { backups } = server.shop;
  server.catalog.db.pragma('wal_checkpoint(TRUNCATE)');
  backups.look();
  now = new Date('2027-03-02T12:00:00Z');
  // Something stands where the backup would.
  const target = join(backups.folder, 'nightly-2027-03-02T12-00-00.zip');
  await listed();
  writeFileSync(target, '');
  backups.look();
  expect((await settled()).state).toBe('failed');
  expect((await listed()).problem).toMatch(/something at/);
  now = new Date('2027-03-03T12:00:00Z');
  backups.look();
  expect((await settled()).state).toBe('done');
  expect((await listed()).problem).toBe('');
});

describe('a shop that nobody has set up becomes one from a backup', () => {
  const send = (to: Harness, content: BlobPart) => {
    const form = new FormData();
    form.append('files', new File([content], 'shop.zip'));
    return to.raw('/api/setup/restore', { method: 'POST', body: form });
  };
  const backupOf = async () => {
    await server.call('POST', '/api/backups');
    await settled();
    const [{ name } = { name: '' }] = (await listed()).backups;
    return (await server.raw(`/api/backups/${name}/file`, { headers: { Cookie: server.cookie } })).arrayBuffer();
  };

  test('with its people, goods and editions, at once', async () => {
    await addProduct(server, 'Tern kite');
    await server.call('POST', '/api/editions', {});
    const content = await backupOf();
    const empty = await startServer();
    expect((await send(empty, content)).status).toBe(422);
    empty.catalog.db.prepare(`DELETE FROM user`).run();
    const answer = await send(empty, content);
    expect(await answer.json()).toEqual({ shop: 'Test kites', products: 1 });
    expect(await (await empty.raw('/')).text()).toContain('Test kites');
    const session = await empty.raw('/api/session', { headers: { Cookie: empty.cookie } });
    expect(await session.json()).toMatchObject({ user: null, needsSetup: false });
    const { email, password } = person;
    const entered = await empty.raw('/api/session', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email, password }),
    });
    expect(entered.status).toBe(200);
    expect((await send(empty, content)).status).toBe(422);
    expect(readdirSync(empty.folder).some((name) => name.startsWith('before-'))).toBe(true);
    expect(existsSync(join(empty.folder, 'restored'))).toBe(false);
    await empty.close();
  });

  test('two at once: one of them, and the other is told', async () => {
    const content = await backupOf();
    const empty = await startServer();
    empty.catalog.db.prepare(`DELETE FROM user`).run();
    const answers = await Promise.all([send(empty, content), send(empty, content)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422]);
    await empty.close();
  });

  test('what is no backup changes nothing', async () => {
    server.catalog.db.prepare(`DELETE FROM user`).run();
    const answer = await send(server, 'This is no ZIP.');
    expect(answer.status).toBe(422);
    expect(await answer.text()).toMatch(/damaged or not complete/);
    expect((await server.raw('/healthz')).status).toBe(200);
  });
});
