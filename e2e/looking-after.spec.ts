import { expect, test, type Page } from '@playwright/test';
import type { ProductAnswer } from '../contract/product';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
let tern: string;
let wren: string;
const seen = Number.MAX_SAFE_INTEGER;

test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  const prepare = await enter(page, shop);
  const make = async (title: string) => {
    const { product } = await prepare<ProductAnswer>('POST', '/api/products', { title, price: 4_000 });
    await prepare('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live' } });
    return product.id;
  };
  tern = await make('Tern');
  wren = await make('Wren');
  await prepare('POST', '/api/editions', { label: 'As we began' });
  await page.close();
});
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});
test.afterAll(() => shop.stop());

const rename = (id: string, title: string) => call('PATCH', `/api/products/${id}`, { seen, fields: { title } });
const liveTitle = async (slug: string) =>
  /<h1[^>]*>([^<]*)/.exec(await (await fetch(`${shop.url}/p/${slug}`)).text())?.[1];
const row = (page: Page, title: string) => page.locator('[data-change]').filter({ hasText: title }).first();

test('one change is held back by keys, the rest goes live; a planned one goes live by itself', async ({ page }) => {
  await rename(tern, 'Tern of May');
  await rename(wren, 'Wren, mended');
  await page.goto(`${shop.url}/desk/review`);
  await row(page, 'Tern of May').focus();
  await page.keyboard.press('b');
  await expect(row(page, 'Tern of May').getByText('Held back')).toBeVisible();
  await noSeriousFault(page, 'review with one held back');
  await page.getByRole('button', { name: 'Put 1 change live' }).click();
  await expect(page.getByText('Edition 2 is live')).toBeVisible();
  expect([await liveTitle('tern'), await liveTitle('wren')]).toEqual(['Tern', 'Wren, mended']);

  await row(page, 'Tern of May').getByRole('button', { name: 'Let go on' }).click();
  await page.getByLabel('What this edition is about').fill('May');
  await page.getByRole('button', { name: 'Later …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Goes live').fill('2020-05-01T06:00');
  await dialog.getByRole('button', { name: 'Plan it' }).click();
  await expect(dialog.getByText('Choose a moment that is still to come.')).toBeVisible();
  await dialog.getByLabel('Goes live').fill('2090-05-01T06:00');
  await dialog.getByRole('button', { name: 'Plan it' }).dblclick();
  await expect(dialog).toBeHidden();
  const editions = page.getByRole('complementary', { name: 'Editions' });
  await expect(editions.getByText('Planned', { exact: true })).toHaveCount(2);
  await editions.getByRole('button', { name: 'See it' }).first().click();
  const shown = page.frameLocator('iframe');
  await expect(page.getByRole('status').filter({ hasText: 'The shop as it will be on' })).toBeVisible();
  await expect(shown.locator('body')).toBeVisible();
  expect(await (await page.request.get(`${shop.url}/preview/p/tern`)).text()).toContain('Tern of May');
  await page.getByRole('button', { name: 'Back to the work' }).click();
  await editions.getByRole('button', { name: 'Call it off' }).click();
  await expect(page.getByRole('button', { name: 'Put 1 change live' })).toBeVisible();
  expect(await liveTitle('tern')).toBe('Tern');

  await call('POST', '/api/planned-editions', { at: new Date(Date.now() + 2_000).toISOString(), label: 'May' });
  await expect.poll(() => liveTitle('tern'), { timeout: 15_000 }).toBe('Tern of May');
  await expect(editions.getByText('May', { exact: false }).first()).toBeVisible();
});

test('two editions are compared, one thing is brought back, and Back leads to the review', async ({ page }) => {
  await rename(wren, 'Wren 3');
  await call('POST', '/api/editions', {});
  await page.goto(`${shop.url}/desk/review`);
  const first = page.getByRole('complementary', { name: 'Editions' }).getByRole('listitem').last();
  await first.getByRole('link', { name: 'Compare' }).click();
  await expect(page.getByRole('heading', { name: 'Compare editions' })).toBeVisible();
  await page.getByRole('button', { name: 'Bring “Wren 3” back from edition 1' }).click();
  await expect(page.getByText('“Wren” is in the working copy as it was then')).toBeVisible();
  await noSeriousFault(page, 'comparison');
  await page.goBack();
  await expect(row(page, 'Wren')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
  await page.getByRole('button', { name: 'Take back “Wren”' }).click();
  await expect(page.getByText('Shoppers see everything you have')).toBeVisible();
});

test('loose ends of several sorts are mended, and one is put aside', async ({ page }) => {
  const cheap = (await call<ProductAnswer>('POST', '/api/products', { title: 'Lost kite', price: 0 })).product;
  await call('PATCH', `/api/products/${cheap.id}`, { seen, fields: { status: 'live', slug: 'something-else' } });
  await call('PATCH', `/api/products/${cheap.id}/variants`, {
    seen,
    changes: [{ id: cheap.variants[0]!.id, fields: { sku: 'K-1' } }],
  });
  await page.goto(`${shop.url}/desk/loose-ends`);
  const sorts = page.getByRole('navigation', { name: 'Sorts of loose ends' });
  const open = async (label: string) => {
    await page.goto(`${shop.url}/desk/loose-ends`);
    await sorts.getByRole('button', { name: label }).click();
  };
  await noSeriousFault(page, 'loose ends');
  // Each leads to where it is mended; once it is, it is gone from the list.
  await open('No price');
  await page.getByRole('link', { name: 'Mend Lost kite' }).click();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Lost kite');
  const mends: [string, () => Promise<unknown>][] = [
    [
      'No price',
      () =>
        call('PATCH', `/api/products/${cheap.id}/variants`, {
          seen,
          changes: [{ id: cheap.variants[0]!.id, fields: { price: 900, cost: 400 } }],
        }),
    ],
    [
      'Address unlike the title',
      () => call('PATCH', `/api/products/${cheap.id}`, { seen, fields: { slug: 'lost-kite' } }),
    ],
    [
      'No description',
      () => call('PATCH', `/api/products/${cheap.id}`, { seen, fields: { description: '<p>Flies.</p>' } }),
    ],
    [
      'No brand',
      async () => {
        const { id } = await call('POST', '/api/brands', { name: 'Norrwind' });
        await call('PATCH', `/api/products/${cheap.id}`, { seen, fields: { brandId: id } });
      },
    ],
    [
      'In no category',
      async () => {
        const { id } = await call('POST', '/api/categories', { name: 'Kites' });
        await call('PATCH', `/api/products/${cheap.id}`, { seen, fields: { categoryIds: [id] } });
      },
    ],
  ];
  for (const [label, mend] of mends) {
    await open(label);
    const found = page.getByRole('button', { name: 'Put Lost kite aside' });
    await expect(found).toBeVisible();
    await mend();
    await expect(found).toBeHidden();
  }
  await open('No picture');
  await page.getByRole('button', { name: 'Put Lost kite aside' }).click();
  await page.getByRole('dialog').getByLabel('Why it may stay so').fill('The photographer comes on Friday');
  await page.getByRole('dialog').getByRole('button', { name: 'Put it aside' }).click();
  await expect(page.getByText('put aside: The photographer comes on Friday')).toBeVisible();
  await page.reload();
  await expect(page.getByText('put aside: The photographer comes on Friday')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
});
