import { expect, test } from '@playwright/test';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { drag, enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());
test.beforeEach(async ({ page }) => void (call = await enter(page, shop)));

const seen = Number.MAX_SAFE_INTEGER;

async function add(title: string): Promise<string> {
  const { product } = await call('POST', '/api/products', { title, price: 2_000 });
  await call('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live' } });
  return product.id;
}

test('a product dragged off its shelf goes where it is let go, and nowhere re-orders the shelf', async ({ page }) => {
  const [a, b, c] = [await add('Avocet'), await add('Bittern'), await add('Curlew')];
  const { id } = await call('POST', '/api/collections', { name: 'Waders', source: 'picked' });
  const { id: other } = await call('POST', '/api/collections', { name: 'Marsh', source: 'picked' });
  const { id: category } = await call('POST', '/api/categories', { name: 'Birds' });
  await call('POST', `/api/collections/${id}/products`, { ids: [a, b, c] });
  const picked = async (of: string) => (await call<{ picked: string[] }>('GET', `/api/collections/${of}`)).picked;
  await page.goto(`${shop.url}/desk/groups`);
  const shelf = page.getByRole('article', { name: 'Waders' });
  const good = (title: string) => shelf.locator(`[title="${title}"]`).first();
  await expect(good('Curlew')).toBeVisible();

  await test.step('let go where nothing takes it, nothing happens', async () => {
    await drag(page, good('Avocet'), page.getByText('Shop window').first());
    await page.waitForTimeout(400);
    expect(await picked(id)).toEqual([a, b, c]);
  });

  await test.step('onto another shelf and into a category', async () => {
    await drag(page, good('Avocet'), page.getByRole('article', { name: 'Marsh' }));
    await expect.poll(() => picked(other)).toEqual([a]);
    await drag(
      page,
      good('Bittern'),
      page
        .getByRole('complementary', { name: 'Categories' })
        .getByRole('list')
        .getByRole('link', { name: /^Birds/ }),
    );
    await expect
      .poll(
        async () =>
          (await call<{ product: { categoryIds: string[] } }>('GET', `/api/products/${b}`)).product.categoryIds,
      )
      .toEqual([category]);
    expect(await picked(id)).toEqual([a, b, c]);
  });

  await test.step('along the shelf it is put in order', async () => {
    await drag(page, good('Curlew'), good('Avocet'));
    await expect.poll(() => picked(id)).toEqual([c, a, b]);
  });
});

test('from the goods, the category tree and the shelves come out when a drag begins', async ({ page }) => {
  const id = await add('Dunlin');
  const { id: category } = await call('POST', '/api/categories', { name: 'Shore birds' });
  const { id: shelf } = await call('POST', '/api/collections', { name: 'Small ones', source: 'picked' });
  await page.goto(`${shop.url}/desk/goods?q=dunlin`);
  const thumb = page.locator(`[data-row="${id}"] [draggable=true]`);
  await expect(thumb).toBeVisible();
  const places = page.getByRole('complementary', { name: 'Places for these goods' });
  for (const name of ['Shore birds', 'Small ones']) {
    const box = (await thumb.boundingBox())!;
    await page.mouse.move(box.x + 10, box.y + 10);
    await page.mouse.down();
    await page.mouse.move(box.x + 40, box.y + 30, { steps: 5 });
    await expect(places).toBeVisible();
    const target = (await places.getByText(name).boundingBox())!;
    await page.mouse.move(target.x + 30, target.y + 8, { steps: 10 });
    await page.mouse.up();
    await expect(places).toBeHidden();
  }
  await expect
    .poll(
      async () =>
        (await call<{ product: { categoryIds: string[] } }>('GET', `/api/products/${id}`)).product.categoryIds,
    )
    .toEqual([category]);
  await expect
    .poll(async () => (await call<{ picked: string[] }>('GET', `/api/collections/${shelf}`)).picked)
    .toEqual([id]);
});

test('files dropped anywhere on a product are taken; elsewhere the browser stays where it is', async ({ page }) => {
  const id = await add('Egret');
  const drop = async (on: string, name: string, type: string, bytes: number[]) => {
    const data = await page.evaluateHandle(
      ([fileName, fileType, content]) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([new Uint8Array(content)], fileName, { type: fileType }));
        return transfer;
      },
      [name, type, bytes] as const,
    );
    await page.dispatchEvent(on, 'dragover', { dataTransfer: data });
    await page.dispatchEvent(on, 'drop', { dataTransfer: data });
  };
  await page.goto(`${shop.url}/desk/goods/${id}`);
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Egret');
  await drop('#when', 'egret.png', 'image/png', [...(await plainPicture('#0b6a69'))]);
  await expect
    .poll(
      async () =>
        (await call<{ product: { pictures: object[] } }>('GET', `/api/products/${id}`)).product.pictures.length,
    )
    .toBe(1);
  await drop('#words', 'how to.pdf', 'application/pdf', [37, 80, 68, 70, 45]);
  await expect(page.getByLabel('Name of how to.pdf')).toBeVisible();
  await page.goto(`${shop.url}/desk/review`);
  await drop('main', 'egret.png', 'image/png', [1, 2, 3]);
  await page.waitForTimeout(300);
  expect(page.url()).toContain('/desk/review');
});

test('back to the goods keeps the search, the scroll and the tray', async ({ page }) => {
  for (let i = 0; i < 45; i++) await add(`Gull ${i}`);
  await page.goto(`${shop.url}/desk/goods?q=gull`);
  const list = page.locator('[data-goods-scroller]');
  await expect(page.locator('[data-row]').first()).toBeVisible();
  await list.evaluate((element) => (element.scrollTop = 900));
  await page.waitForTimeout(300);
  await page.getByRole('checkbox').nth(3).click();
  const row = page.locator('[data-row] a').nth(12);
  await row.hover();
  const offset = await list.evaluate((element) => element.scrollTop);
  expect(offset).toBeGreaterThan(100);
  await row.click();
  await expect(page.getByRole('link', { name: 'Back to the goods' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the goods' }).click();
  await expect(page).toHaveURL(/q=gull/);
  await expect(page.getByText('kept while you move between desks')).toBeVisible();
  await expect.poll(() => list.evaluate((element) => element.scrollTop)).toBe(offset);
  await page.getByRole('link', { name: 'Shopfront' }).click();
  await page.getByRole('link', { name: 'Goods', exact: true }).click();
  await expect(page).toHaveURL(/q=gull/);
});

test('on a phone everything is reached: finding, undo, history, filters, categories, window, pictures, signing out', async ({
  page,
}) => {
  const id = await add('Heron');
  await call('POST', '/api/categories', { name: 'Tall birds' });
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(`${shop.url}/desk/goods`);
  await page.getByRole('button', { name: /^Filters/ }).click();
  await expect(page.getByRole('dialog').getByText('Standing')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Find or do', exact: true }).click();
  await page.keyboard.type('heron');
  await page.getByRole('option', { name: /Heron/ }).click();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Heron');
  await page.getByLabel('Title', { exact: true }).fill('Grey heron');
  await page.keyboard.press('Tab');
  await expect(page.getByText('saved just now')).toBeVisible();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Undo: Changed title/ }).click();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Heron');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Shop window' }).click();
  await expect(page.frameLocator('iframe').getByRole('heading', { name: 'Heron' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page
    .getByLabel('Add pictures')
    .setInputFiles({ name: 'h.png', mimeType: 'image/png', buffer: await plainPicture('#21404a') });
  await expect(page.getByRole('button', { name: 'edit', exact: true })).toBeVisible();
  await page.goto(`${shop.url}/desk/groups`);
  await page.getByRole('button', { name: 'Categories' }).click();
  await page
    .getByRole('dialog')
    .getByRole('link', { name: /^Tall birds/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await noSeriousFault(page, 'category on a phone');
  for (const path of ['goods', `goods/${id}`, 'groups', 'shopfront', 'review', 'history']) {
    await page.goto(`${shop.url}/desk/${path}`);
    await page.waitForTimeout(700);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, `${path} at 390 px`).toBeLessThanOrEqual(390);
  }
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Sign out/ }).click();
  await expect(page.getByLabel('Password')).toBeVisible();
});

test('every screen has its name, one h1, and buttons that a finger meets', async ({ page }) => {
  const id = await add('Ibis');
  const complaints: string[] = [];
  page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
  await page.setViewportSize({ width: 1024, height: 800 });
  for (const [path, title] of [
    ['goods', 'Goods'],
    [`goods/${id}`, 'Ibis'],
    ['goods/sheet', 'Sheet'],
    ['groups', 'Groups'],
    ['groups/tags', 'Tags'],
    ['shopfront', 'Shopfront'],
    ['review', 'Review'],
    ['history', 'History'],
  ]) {
    await page.goto(`${shop.url}/desk/${path}`);
    await expect(page).toHaveTitle(`${title} · Dispona`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    const cut = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(cut, `${path} at 1024 px`).toBeLessThanOrEqual(1024);
    const small = await page.locator('button:visible').evaluateAll((buttons) =>
      buttons
        .filter((button) => !button.closest('.tiptap, .rdg'))
        .map(
          (button) =>
            [button.getAttribute('aria-label') ?? button.textContent, button.getBoundingClientRect()] as const,
        )
        .filter(([, { width, height }]) => width > 0 && (width < 23.5 || height < 23.5))
        .map(([name, { width, height }]) => `${name}: ${Math.round(width)} × ${Math.round(height)}`),
    );
    expect(small, `small buttons of ${path}`).toEqual([]);
  }
  await page.goto(`${shop.url}/desk/goods`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
  expect(complaints, 'what the browser complains about').toEqual([]);
});
