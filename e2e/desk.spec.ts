import { expect, test } from '@playwright/test';
import { startShop, type RunningShop } from './server';
import { enter } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());

test('two tabs: another tab sees a change by itself, and the same field is never overwritten silently', async ({
  page,
  context,
}) => {
  const call = await enter(page, shop);
  const made = (await call('POST', '/api/products', { title: 'Wren sled' })) as unknown as { product: { id: string } };
  const address = `${shop.url}/desk/goods/${made.product.id}`;
  const other = await context.newPage();
  await page.goto(address);
  await other.goto(address);
  await page.getByLabel('Summary', { exact: true }).fill('From the first tab');
  await expect(other.getByLabel('Summary', { exact: true })).toHaveValue('From the first tab');
  // The other tab does not hear of the next change before it writes.
  await other.route('**/api/events', (route) => route.abort());
  await other.reload();
  await expect(other.getByLabel('Title', { exact: true })).toHaveValue('Wren sled');
  await page.getByLabel('Title', { exact: true }).fill('Wren pocket sled');
  await expect(page.getByText('saved just now').first()).toBeVisible();
  await other.getByLabel('Title', { exact: true }).fill('Wren large sled');
  await expect(other.getByText('Theirs: “Wren pocket sled”. Yours: “Wren large sled”.')).toBeVisible();
  await other.getByRole('button', { name: 'Keep mine' }).click();
  // What was typed stays under the cursor; whoever leaves the field sees what is saved now.
  await page.getByLabel('Title', { exact: true }).blur();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Wren large sled');
});

test('putting the cursor into a description changes nothing', async ({ page }) => {
  const call = await enter(page, shop);
  const made = (await call('POST', '/api/products', { title: 'Untouched' })) as unknown as {
    product: { id: string };
    revision: number;
  };
  const path = `/api/products/${made.product.id}`;
  const fields = { description: '<p>Comes rigged.</p><ul><li><p>In a sleeve</p></li></ul>' };
  await call('PATCH', path, { seen: made.revision, fields });
  await page.goto(`${shop.url}/desk/goods/${made.product.id}`);
  await page.getByText('Comes rigged.').first().click();
  await page.getByLabel('Summary', { exact: true }).fill('Typed after');
  await expect(page.getByText('saved just now').first()).toBeVisible();
  const after = (await call('GET', path)) as unknown as { product: { description: string; summary: string } };
  expect(after.product).toMatchObject({ ...fields, summary: 'Typed after' });
});

test('what is typed while the server is away is kept and saved when it is back', async ({ page }) => {
  const call = await enter(page, shop);
  const made = (await call('POST', '/api/products', { title: 'Away' })) as unknown as { product: { id: string } };
  await page.goto(`${shop.url}/desk/goods/${made.product.id}`);
  await page.route('**/api/products/**', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Summary', { exact: true }).fill('Typed in a tunnel');
  await expect(page.getByText('The server cannot be reached.')).toBeVisible();
  await expect(page.getByLabel('Summary', { exact: true })).toHaveValue('Typed in a tunnel');
  await page.unroute('**/api/products/**');
  await expect(page.getByText('saved just now')).toBeVisible({ timeout: 10_000 });
  await page.reload();
  await expect(page.getByLabel('Summary', { exact: true })).toHaveValue('Typed in a tunnel');
});

test('goods are found, picked up with the keyboard, kept in the tray and put into a collection', async ({ page }) => {
  const call = await enter(page, shop);
  for (const title of ['Plover pocket', 'Plover sled', 'Dunlin box']) await call('POST', '/api/products', { title });
  await page.goto(`${shop.url}/desk/goods`);
  await page.getByLabel('Search the goods, or type a condition').fill('plovr');
  await expect(page.getByText(/^2 of/)).toBeVisible();
  await page.locator('[data-goods-scroller]').focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('t');
  await expect(page.getByText('2 products, kept while you move between desks')).toBeVisible();
  await page.reload();
  await page.getByRole('link', { name: 'Groups', exact: true }).click();
  await page.getByRole('button', { name: 'Add to group…' }).click();
  await page.getByLabel('Group', { exact: true }).fill('Plovers');
  await page.getByRole('button', { name: /Make a collection/ }).click();
  await expect(page.getByRole('article', { name: 'Plovers' }).getByRole('img')).toHaveCount(0);
  await expect(page.getByRole('article', { name: 'Plovers' }).getByText('2 goods')).toBeVisible();
});

test('W puts the shop window away, / finds a product, and an unknown product is a designed state', async ({ page }) => {
  await enter(page, shop);
  await page.goto(`${shop.url}/desk/goods`);
  await expect(page.getByRole('complementary', { name: 'Shop window' })).toBeVisible();
  await page.locator('body').press('w');
  await expect(page.getByRole('complementary', { name: 'Shop window' })).toBeHidden();
  await page.keyboard.press('/');
  await page.keyboard.type('dunlin');
  await page.getByRole('option', { name: /Dunlin box/ }).click();
  await expect(page.getByRole('heading', { name: 'Dunlin box' })).toBeVisible();
  await page.goto(`${shop.url}/desk/goods/p_gone00000`);
  await expect(page.getByText('This product is gone')).toBeVisible();
});
