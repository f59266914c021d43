import { expect, test } from '@playwright/test';
import { presets } from '../core/look/presets';
import { Hands } from './hands';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, saved, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});
test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  const prepare = await enter(page, shop);
  const { id: kites } = await prepare('POST', '/api/categories', { name: 'Kites' });
  const { token } = await prepare<{ token: string }>('GET', '/api/session');
  for (const [i, title] of ['Avocet delta', 'Bittern sled', 'Curlew box'].entries()) {
    const { product } = await prepare('POST', '/api/products', { title, price: 2_000 + i * 700 });
    await prepare('PATCH', `/api/products/${product.id}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { status: 'live', categoryIds: [kites], summary: 'Flies in a whisper.' },
    });
    await page.request.post(`${shop.url}/api/products/${product.id}/pictures`, {
      headers: { 'X-Dispona-Token': token },
      multipart: { files: { name: 'a.png', mimeType: 'image/png', buffer: await plainPicture('#f3a712') } },
    });
    await prepare('PATCH', `/api/products/${product.id}/variants`, {
      seen: Number.MAX_SAFE_INTEGER,
      changes: [{ id: product.variants[0]!.id, fields: { salePrice: 1_500 + i * 700 } }],
    });
  }
  await prepare('PUT', '/api/menu', {
    items: [{ id: null, label: 'Kites', target: { kind: 'category', id: kites }, items: [] }],
  });
  await prepare('POST', '/api/editions', {});
  await page.close();
});
test.afterAll(() => shop.stop());

test('a look is tried in the shop window, taken, changed by hand, undone, and goes live', async ({ page }) => {
  const hands = new Hands(page, 9);
  await page.goto(`${shop.url}/desk/shopfront?view=look`);
  const inWindow = page.frameLocator('iframe').locator('html');
  // While the window turns to another page there is nothing to ask.
  const sea = () =>
    inWindow.evaluate((root) => getComputedStyle(root).getPropertyValue('--color-sea').trim()).catch(() => '');
  await expect(inWindow.locator('h1').first()).toBeAttached();
  const before = await sea();
  await page.getByRole('button', { name: /^Meadow/ }).click();
  await expect.poll(sea).toBe('#2f6b3a');
  await page.getByRole('group', { name: 'Page in the shop window' }).getByRole('button', { name: 'A product' }).click();
  await expect(inWindow.getByRole('button', { name: /Ask us|Menu/ }).first()).toBeAttached();
  await expect.poll(sea).toBe('#2f6b3a');
  await page.getByRole('button', { name: 'Back to my look' }).click();
  await expect.poll(sea).toBe(before);
  await page.getByRole('button', { name: /^Signal/ }).click();
  await page.getByRole('button', { name: 'Take this look' }).click();
  await saved(page);
  await hands.replace(page.getByLabel('Links and buttons', { exact: true }), '#f3a712');
  await expect.poll(sea).toBe('#f3a712');
  const faults = page.getByRole('list', { name: 'Hard to read' });
  await expect(faults).toBeVisible();
  await noSeriousFault(page);
  await faults.getByRole('button').first().click();
  await expect(page.getByText('All text is easy to read')).toBeVisible();
  await page.getByRole('group', { name: 'Page header' }).getByRole('button', { name: 'menu below the name' }).click();
  await saved(page);
  await call('POST', '/api/editions', {});
  await page.goto(shop.url);
  expect(await page.locator('html').getAttribute('style')).toContain('--color-sea');
});

for (const { key, name, look } of presets)
  test(`“${name}” keeps nobody out, wide and on a phone`, async ({ page }) => {
    await call('PATCH', '/api/settings', { look });
    for (const width of [1280, 390])
      for (const path of ['/', '/c/kites', '/p/avocet-delta']) {
        await page.setViewportSize({ width, height: 800 });
        await page.goto(`${shop.url}/preview${path}`);
        await expect(page.getByRole('main')).toBeVisible();
        await noSeriousFault(page, `${key} ${width} ${path}`);
        const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect([path, width, over <= 0]).toEqual([path, width, true]);
      }
  });

test('a closed shop shows its message and a way in by password, also on the narrowest screen', async ({
  page,
  browser,
}) => {
  await call('PUT', '/api/opening', { isClosed: true, message: 'We move house.', password: 'wind from the west' });
  const context = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 320, height: 640 } });
  const visitor = await context.newPage();
  await visitor.goto(`${shop.url}/p/avocet-delta`);
  await expect(visitor.getByText('We move house.')).toBeVisible();
  await visitor.getByLabel('Password').fill('rain');
  await visitor.getByRole('button', { name: 'Enter' }).click();
  await expect(visitor.getByRole('alert')).toHaveText('That is not the password.');
  await visitor.getByLabel('Password').fill('wind from the west');
  await visitor.getByRole('button', { name: 'Enter' }).click();
  await expect(visitor.getByRole('combobox', { name: 'Search the shop' })).toBeVisible();
  await context.close();
  await page.context().clearCookies();
  await page.setViewportSize({ width: 320, height: 640 });
  await page.goto(shop.url);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Walks');
  await noSeriousFault(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
});
