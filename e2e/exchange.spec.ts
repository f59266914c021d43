import { expect, test } from '@playwright/test';
import { zipSync } from 'fflate';
import iconv from 'iconv-lite';
import { readFile } from 'node:fs/promises';
import type { ProductAnswer } from '../contract/product';
import { Hands } from './hands';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeAll(async () => {
  shop = await startShop();
});
test.afterAll(() => shop.stop());
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});

/** As another shop writes it: a comma before decimals, paths of categories, an encoding of long ago. */
const foreign = [
  'Artikelname;Artikelnummer;Preis;Lagerbestand;Kategorie;Foo;Bild',
  'Möwe 90;MW-90;1.249,00;3;Drachen > Deltas;Harbour;fotos/moewe.png',
  'Tern;T-1;25,50;viele;Drachen;Hill;',
  'Wren;W-1;7,zehn;2;;;',
].join('\r\n');

test('a file of another shop is read, mended in two cells, imported, and undone; reloading in between loses nothing', async ({
  page,
}) => {
  const hands = new Hands(page, 3);
  const { product } = await call<ProductAnswer>('POST', '/api/products', { title: 'Tern', price: 2_000 });
  const sku = { id: product.variants[0]!.id, fields: { sku: 'T-1' } };
  await call('PATCH', `/api/products/${product.id}/variants`, { seen: Number.MAX_SAFE_INTEGER, changes: [sku] });
  await page.goto(`${shop.url}/desk/goods`);
  await page.getByRole('link', { name: 'Exchange', exact: true }).click();
  await page.getByLabel('A file with goods').setInputFiles({
    name: 'artikel.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from(
      zipSync({
        'artikel.csv': iconv.encode(foreign, 'windows-1252'),
        'fotos/moewe.png': await plainPicture('#e4572e', 800, 600),
      }),
    ),
  });
  await expect(page.getByRole('heading', { name: 'artikel.csv' })).toBeVisible();
  await expect(page.getByText('Möwe 90').first()).toBeVisible();
  await noSeriousFault(page);
  await page.getByRole('combobox', { name: 'What “Foo” fills' }).click();
  await hands.type('supplier', 40);
  await page.getByRole('option', { name: 'Supplier', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Supplier/ })).toBeVisible();
  await hands.replace(page.getByLabel('Lagerbestand, row 3'), '12');
  await page.keyboard.press('Enter');
  await page.reload();
  await expect(page.getByText('“viele” is not a whole number.')).toBeHidden();
  await hands.replace(page.getByLabel('Preis, row 4'), '7,10');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Preis, row 4')).toBeHidden();
  await page.getByRole('button', { name: 'Import 3 products' }).click();
  await expect(page.getByText('Imported “artikel.csv”: added 2 products, changed one product').first()).toBeVisible();
  const tern = async () => (await call<ProductAnswer>('GET', `/api/products/${product.id}`)).product;
  expect(await tern()).toMatchObject({ supplier: 'Hill', variants: [{ price: 2_550, stock: 12 }] });
  await page.goto(`${shop.url}/desk/goods?q=möwe`);
  await page.getByRole('link', { name: 'Möwe 90' }).click();
  await expect(page.getByRole('heading', { name: 'Pictures' })).toBeVisible();
  await expect(page.locator('img[src^="/media/"]').first()).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Imported “artikel.csv”/ }).click();
  await expect.poll(async () => (await tern()).variants[0]!.price).toBe(2_000);
});

test('what goes out comes back with no change, and is kept for a week', async ({ page }) => {
  await call('POST', '/api/products', { title: 'Avocet, “light” = quick', price: 4_500 });
  await page.goto(`${shop.url}/desk/exchange?part=out`);
  await page.getByRole('button', { name: 'all of them' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make the file' }).click(),
  ]);
  await expect(page.getByRole('region', { name: 'Files of the last week' })).toContainText('goods-');
  await noSeriousFault(page);
  await page.getByRole('tab', { name: 'Bring goods in' }).click();
  await page.getByLabel('A file with goods').setInputFiles({
    name: download.suggestedFilename(),
    mimeType: 'text/csv',
    buffer: await readFile(await download.path()),
  });
  await expect(page.getByText('Nothing changes')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing to import' })).toBeDisabled();
});

test('at 390 px a file can be brought, looked at and imported', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(`${shop.url}/desk/exchange`);
  await page.getByLabel('A file with goods').setInputFiles({
    name: 'goods.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Title,SKU,Price\nWren,W-9,8\n'),
  });
  await page.getByRole('button', { name: 'Import 1 product' }).click();
  await expect(page.getByText('Imported “goods.csv”: added one product').first()).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
});
