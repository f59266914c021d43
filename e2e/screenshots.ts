import { chromium, type Page } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launchOptions } from './browser';
import { root, startShop } from './server';

/** Takes one current picture of each main view, from a fresh demo shop. Run after `npm run build`. */
const folder = mkdtempSync(join(tmpdir(), 'dispona-pictures-'));
spawnSync(process.execPath, ['dist/server/seed.js'], {
  cwd: root,
  env: { ...process.env, DISPONA_DATA: folder },
  stdio: 'inherit',
});
const shop = await startShop(folder);
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.setDefaultTimeout(10_000);
await page.request.post(`${shop.url}/api/session`, {
  data: { email: 'demo@larkandline.example', password: 'kites-in-the-wind' },
});

async function take(name: string, path: string, prepare: (page: Page) => Promise<unknown> = async () => undefined) {
  await page.goto(shop.url + path);
  await prepare(page);
  await page.waitForTimeout(1_500);
  await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) });
}

const openProduct = (title: string) => async (on: Page) => {
  await on.getByRole('link', { name: title }).first().click();
  await on.getByRole('heading', { name: 'Pictures' }).waitFor();
};

await take('goods', '/desk/goods', async (on) => {
  await on.getByRole('button', { name: /^Single-line kites/ }).click();
  for (const place of [0, 2, 4]) await on.getByRole('grid').getByRole('checkbox').nth(place).click();
  await on.getByRole('link', { name: 'Harrier delta 180' }).hover();
  await on.waitForTimeout(1_200);
});
await take('prices', '/desk/prices', async (on) => {
  await on.getByRole('table', { name: 'What it does to each product' }).waitFor();
  await on.getByTitle('Why this price').first().click();
});
await take('exchange', '/desk/exchange', async (on) => {
  const rows = [
    'Artikelname;Artikelnummer;Preis;Lagerbestand;Kategorie;Marke',
    'Petrel delta 240;PEDE240-EMBE-WITH;112,00;viele;Kites > Single-line kites > Deltas;Norrwind',
    'Möwe 90;MW-90;49,00;3;Kites > Single-line kites;Saltline Works',
  ];
  const file = { name: 'artikel.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\r\n')) };
  await on.getByLabel('A file with goods').setInputFiles(file);
  await on.getByText('Möwe 90').first().waitFor();
});
await take('orders', '/desk/orders', async (on) => {
  await on.getByRole('button', { name: /^part sent/ }).click();
  await on.getByRole('row').nth(1).getByRole('link').click();
  await on.getByRole('heading', { name: 'What happened' }).waitFor();
});
await take('product', '/desk/goods?q=harrier', openProduct('Harrier delta 180'));
await take('groups', '/desk/groups');
await take('shopfront', '/desk/shopfront', (on) => on.getByRole('button', { name: /^Light-wind days/ }).click());
await take('look', '/desk/shopfront?view=look', async (on) => {
  await on.getByRole('button', { name: /^Almanac/ }).click();
  await on.waitForTimeout(1_000);
});
await take('floor', '/desk/shopfront?view=floor', async (on) => {
  await on.getByLabel('a product, category, collection, brand or tag').fill('Harrier delta');
  await on.getByRole('option', { name: /Harrier delta 180/ }).click();
});
await take('words', '/desk/words/de?kind=product', async (on) => {
  await on.getByRole('button', { name: 'Begin with the first' }).click();
  await on.waitForTimeout(1_500);
});
await take('today', '/desk/today', (on) => on.locator('canvas').waitFor());
await take('loose-ends', '/desk/loose-ends');
await take('suppliers', '/desk/suppliers?part=order');
await take('proposals', '/desk/proposals');
await take('review', '/desk/review', (on) => on.getByText(/of visits see/).waitFor());
await page.evaluate(() => localStorage.clear());
await take('shop-home', '/');
await take('shop-product', '/p/skua-dual-line-foil');
await take('elsewhere', '/desk/shopfront?view=elsewhere', async (on) => {
  const sample = on.frameLocator('iframe[title^="A page of another site"]');
  await sample.locator('dispona-goods .card').first().waitFor();
});
await page.setViewportSize({ width: 390, height: 844 });
await take('shop-phone', '/c/single-line-kites');
await browser.close();
await shop.stop();
