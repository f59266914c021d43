import { expect, test } from '@playwright/test';
import type { Settings } from '../core/model/settings';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  const prepare = await enter(page, shop);
  for (let i = 0; i < 20; i++) {
    const { product } = await prepare('POST', '/api/products', {
      title: `Kite ${String(i).padStart(2, '0')}`,
      price: 1_000 + i * 100,
    });
    await prepare('PATCH', `/api/products/${product.id}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { status: 'live', summary: 'Flies.', description: '<p>Sewn by hand.</p>' },
    });
  }
  await page.close();
});
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});
test.afterAll(() => shop.stop());

/** Changes settings and puts them live, as if the seller had. */
async function live(change: (settings: Settings) => Partial<Settings>): Promise<void> {
  const settings = await call<Settings>('GET', '/api/settings');
  await call('PATCH', '/api/settings', change(settings));
  await call('POST', '/api/editions', {});
}

test('goods that grow by a button stay through Back, twice pressed quickly, and without script', async ({
  page,
  browser,
}) => {
  await live(({ listings }) => ({
    listings: { ...listings, paging: 'more', perPage: 8, sorts: ['title', 'price-down'], columns: 2 },
  }));
  await page.goto(`${shop.url}/search`);
  const goods = page.locator('[data-product]');
  await expect(goods).toHaveCount(8);
  // Pressed twice in a hurry, it brings the next goods once.
  await page.getByRole('link', { name: 'Show 8 more' }).dblclick();
  await expect(goods).toHaveCount(16);
  await page.getByRole('link', { name: 'Show 4 more' }).click();
  await expect(goods).toHaveCount(20);
  await page.getByRole('link', { name: /Kite 17/ }).click();
  await expect(page.getByRole('heading', { name: 'Kite 17' })).toBeVisible();
  await page.goBack();
  await expect(goods).toHaveCount(20);
  const plain = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await plain.goto(`${shop.url}/search`);
  await plain.getByRole('link', { name: 'Show 8 more' }).click();
  await expect(plain.locator('[data-product]')).toHaveCount(16);
});

for (const filtersAt of ['above', 'drawer', 'none'] as const)
  test(`filters ${filtersAt}: nothing keeps anybody out, wide, on a phone and at 320 px`, async ({ page }) => {
    await live(({ listings }) => ({ listings: { ...listings, filtersAt, paging: 'pages' } }));
    for (const width of [1280, 390, 320]) {
      await page.setViewportSize({ width, height: 800 });
      await page.goto(`${shop.url}/search`);
      await noSeriousFault(page, `${filtersAt} ${width}`);
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(
        0,
      );
      const button = page.getByRole('button', { name: 'Filter', exact: true });
      if (filtersAt === 'none' || (filtersAt === 'above' && width === 1280)) await expect(button).toBeHidden();
      else {
        await button.click();
        await expect(page.getByRole('dialog', { name: 'Filters' })).toBeVisible();
        await noSeriousFault(page, `${filtersAt} ${width} open`);
        await page.goBack();
        await expect(page.getByRole('dialog', { name: 'Filters' })).toBeHidden();
      }
    }
  });

test('a page whose parts are folded, moved and in pairs can be read by everybody', async ({ page }) => {
  await live(({ productPage, cards, notice }) => ({
    notice: {
      ...notice,
      text: 'A notice that goes on for longer than a phone is wide, and is read to its end all the same',
    },
    cards: { ...cards, parts: ['title', 'picture', 'stock', 'price', 'button'], frame: 'portrait' },
    productPage: {
      ...productPage,
      gallery: 'pairs',
      stays: 'words',
      deliveryWords: 'Sent within two days.',
      trust: ['Mended for as long as it flies'],
      parts: productPage.parts.map((each) => ({
        ...each,
        folded: each.part === 'description' || each.part === 'promises',
        place: each.part === 'description' ? ('below' as const) : each.place,
      })),
    },
  }));
  for (const width of [1280, 390, 320]) {
    await page.setViewportSize({ width, height: 800 });
    for (const path of ['/search', '/p/kite-03']) {
      await page.goto(shop.url + path);
      await noSeriousFault(page, `${width} ${path}`);
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(
        0,
      );
    }
    await expect(page.getByText('Sewn by hand.')).toBeHidden();
    await page.getByText('About Kite 03').click();
    await expect(page.getByText('Sewn by hand.')).toBeVisible();
  }
});
