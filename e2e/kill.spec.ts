import Database from 'better-sqlite3';
import { expect, test } from '@playwright/test';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { plainPicture } from './pictures';
import { killHard, startShop } from './server';

/** More of them: `KILL_ROUNDS=65 npx playwright test kill`. */
const ROUNDS = Number(process.env.KILL_ROUNDS ?? 4);

test('kill -9 during a burst of saves, uploads and editions leaves a database that opens and is whole', async () => {
  let shop = await startShop();
  const { folder } = shop;
  const account = { shopName: 'Storm', name: 'Kim', email: 'kim@example.com', password: 'long enough now' };
  for (let round = 0; round < ROUNDS; round++) {
    const first = await fetch(`${shop.url}/api/${round === 0 ? 'setup' : 'session'}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(account),
    });
    const { token } = (await first.json()) as { token: string };
    const cookie = first.headers.get('set-cookie')!.split(';')[0]!;
    const send = (method: string, path: string, body: object | FormData) =>
      fetch(shop.url + path, {
        method,
        headers: {
          Cookie: cookie,
          'X-Dispona-Token': token,
          ...(body instanceof FormData ? {} : { 'Content-Type': 'application/json' }),
        },
        body: body instanceof FormData ? body : JSON.stringify(body),
      });
    // A new shop is closed until its seller opens it.
    await send('PUT', '/api/opening', { isClosed: false });
    const acknowledged: string[] = [];
    let isRunning = true;
    const work = async (lane: number) => {
      for (let i = 0; isRunning; i++) {
        const made = await send('POST', '/api/products', { title: `Kite ${round}-${lane}-${i}` });
        const { product, revision } = (await made.json()) as { product: { id: string }; revision: number };
        acknowledged.push(product.id);
        const form = new FormData();
        form.append(
          'files',
          new Blob([
            new Uint8Array(
              await plainPicture(`#${(100000 + round * 10000 + lane * 1000 + i).toString().slice(0, 6)}`, 400, 300),
            ),
          ]),
          'a.png',
        );
        await send('POST', `/api/products/${product.id}/pictures`, form);
        await send('PATCH', `/api/products/${product.id}`, {
          seen: revision,
          fields: { status: 'live', summary: 'x'.repeat(400) },
        });
        if (i % 3 === 0) await send('POST', '/api/editions', {});
      }
    };
    const lanes = [0, 1, 2].map((lane) => work(lane).catch(() => undefined));
    await new Promise((wait) => setTimeout(wait, 500 + (round % 8) * 170));
    await killHard(shop);
    isRunning = false;
    await Promise.all(lanes);

    const db = new Database(join(folder, 'dispona.sqlite'));
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(db.pragma('foreign_key_check')).toEqual([]);
    // At a change boundary: no change is half written, every edition is whole, every picture has its files.
    expect(db.prepare('SELECT count(*) FROM current_change').pluck().get()).toBe(0);
    expect(
      db.prepare('SELECT count(*) FROM product WHERE id NOT IN (SELECT product_id FROM variant)').pluck().get(),
    ).toBe(0);
    expect(
      db.prepare('SELECT count(*) FROM change WHERE id NOT IN (SELECT change_id FROM journal)').pluck().get(),
    ).toBe(0);
    expect(
      db.prepare('SELECT count(*) FROM edition_span WHERE hash NOT IN (SELECT hash FROM document)').pluck().get(),
    ).toBe(0);
    const kept = new Set(db.prepare('SELECT id FROM product').pluck().all());
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    for (const hash of db.prepare('SELECT hash FROM media').pluck().all() as string[])
      expect(existsSync(join(folder, 'media', hash.slice(0, 2), hash, '160.webp'))).toBe(true);
    db.close();
    expect(acknowledged.length).toBeGreaterThan(0);
    shop = await startShop(folder);
    expect((await fetch(`${shop.url}/`)).status).toBeLessThan(500);
  }
  await shop.stop();
});

test('kill -9 at any moment of an import leaves all of it or nothing, and the file says which', async () => {
  let shop = await startShop();
  const { folder } = shop;
  const account = { shopName: 'Storm', name: 'Kim', email: 'kim@example.com', password: 'long enough now' };
  const enter = async (path: string) => {
    const answer = await fetch(shop.url + path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(account),
    });
    const { token } = (await answer.json()) as { token: string };
    const headers = { Cookie: answer.headers.get('set-cookie')!.split(';')[0]!, 'X-Dispona-Token': token };
    return (method: string, at: string, body?: FormData) => fetch(shop.url + at, { method, headers, body });
  };
  let send = await enter('/api/setup');
  const ROWS = 1_500;
  for (let round = 0; round < ROUNDS; round++) {
    const rows = Array.from({ length: ROWS }, (_, i) => `Kite ${round}-${i},K-${round}-${i},${i + 1},Brand ${i % 7}`);
    const form = new FormData();
    form.append('files', new File([['Title,SKU,Price,Brand', ...rows].join('\n')], 'goods.csv'));
    const { id } = (await (await send('POST', '/api/imports', form)).json()) as { id: string };
    const before = count();
    await send('POST', `/api/imports/${id}/run`);
    await new Promise((wait) => setTimeout(wait, 150 + ((round * 431) % 1_400)));
    await killHard(shop);
    const db = new Database(join(folder, 'dispona.sqlite'));
    const state = db.prepare('SELECT state FROM import_file WHERE id = ?').pluck().get(id);
    db.close();
    expect([0, ROWS]).toContain(count() - before);
    expect(state).toBe(count() === before ? 'open' : 'done');
    shop = await startShop(folder);
    send = await enter('/api/session');
  }
  await shop.stop();

  function count(): number {
    const db = new Database(join(folder, 'dispona.sqlite'), { readonly: true });
    try {
      return db.prepare('SELECT count(*) FROM product').pluck().get() as number;
    } finally {
      db.close();
    }
  }
});
