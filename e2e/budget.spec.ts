import { expect, test } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root, startShop, type RunningShop } from './server';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());

/** What a page has to load before it can be used, in kB as it is sent. */
async function scriptsOf(path: string): Promise<number> {
  const html = await (await fetch(shop.url + path)).text();
  const files = [...html.matchAll(/<(?:script|link)[^>]+(?:src|href)="([^"]+\.js)"/g)].map(([, file]) => file!);
  expect(files.length).toBeGreaterThan(0);
  let bytes = 0;
  for (const file of new Set(files))
    bytes += gzipSync(Buffer.from(await (await fetch(new URL(file, shop.url))).arrayBuffer())).length;
  return bytes / 1_000;
}

test('the desk and the shop stay small enough to be there at once', async () => {
  expect(await scriptsOf('/desk/')).toBeLessThan(208);
  expect(await scriptsOf('/')).toBeLessThan(110);
  expect(await scriptsOf('/search')).toBeLessThan(97);
});

test('what other sites load for goods of the shop is one small script', async () => {
  const folder = join(root, 'dist', 'embed');
  const sizes = readdirSync(folder)
    .filter((name) => /^embed.*\.js$/.test(name))
    .map((name) => gzipSync(readFileSync(join(folder, name))).length);
  expect(sizes.length).toBeGreaterThan(0);
  expect(sizes.reduce((sum, size) => sum + size, 0) / 1_000).toBeLessThan(15);
});
