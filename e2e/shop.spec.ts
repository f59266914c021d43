import { expect, test } from '@playwright/test';
import { Hands } from './hands';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  call = await enter(page, shop);
  await fill();
  await page.close();
});
test.afterAll(() => shop.stop());

const names = ['Avocet', 'Bittern', 'Curlew', 'Dunlin', 'Egret', 'Fulmar', 'Gannet', 'Heron', 'Ibis', 'Jaeger'];
const colours = ['Ember', 'Sea', 'Moss'];

/** Thirty kites in three colours each, of three brands, in two categories. */
async function fill(): Promise<void> {
  const { id: deltas } = await call('POST', '/api/categories', { name: 'Deltas' });
  const { id: sleds } = await call('POST', '/api/categories', { name: 'Pocket sleds' });
  const brands = [];
  for (const name of ['Tern', 'Alula', 'Norrwind']) brands.push((await call('POST', '/api/brands', { name })).id);
  for (let i = 0; i < 30; i++) {
    const title = `${names[i % 10]} ${i % 2 ? 'delta' : 'sled'} ${100 + i}`;
    const { product } = await call<{ product: { id: string } }>('POST', '/api/products', {
      title,
      price: 1_000 + i * 500,
    });
    await call('PATCH', `/api/products/${product.id}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { status: 'live', categoryIds: [i % 2 ? deltas : sleds], brandId: brands[i % 3] },
    });
    await call('PUT', `/api/products/${product.id}/options`, {
      seen: Number.MAX_SAFE_INTEGER,
      options: [
        {
          id: null,
          name: 'Colourway',
          listId: null,
          values: colours.map((name) => ({ id: null, name, swatch: null, pictureId: null })),
        },
      ],
    });
  }
  await call('POST', '/api/editions', {});
}

const facet = (url: string, name: string) => new URL(url).searchParams.get(`f.${name}`)?.split(',').sort() ?? [];

test('a chain of quick clicks on a slow network keeps every one; reload and Back restore what was chosen', async ({
  page,
}) => {
  await page.goto(`${shop.url}/search`);
  const column = page.getByRole('complementary', { name: 'Filters' });
  await expect(column.getByRole('checkbox', { name: /Tern/ })).toBeVisible();
  const hands = new Hands(page, 7);
  await hands.slowServer(100, 1_200, (url) => url.pathname === '/search');
  for (const name of ['Tern', 'Ember', 'Alula', 'Sea', 'Tern', 'Norrwind']) {
    const box = column.getByRole('checkbox', { name: new RegExp(name) });
    const was = await box.isChecked();
    await box.click();
    // The tick is there at once, whatever the server is still at.
    expect(await box.isChecked()).toBe(!was);
    await page.waitForTimeout(hands.between(30, 160));
  }
  await expect.poll(() => facet(page.url(), 'brand')).toEqual(['alula', 'norrwind']);
  expect(facet(page.url(), 'colourway')).toEqual(['ember', 'sea']);
  await expect(page.getByRole('main')).toHaveAttribute('aria-busy', 'false');
  await expect(page.locator('#goods-count')).toHaveText('20 products');
  await hands.quickServer();
  await page.reload();
  await expect(page.locator('#goods-count')).toHaveText('20 products');
  await expect(column.getByRole('checkbox', { name: /Norrwind/ })).toBeChecked();
  await page.goBack();
  await expect.poll(() => facet(page.url(), 'brand')).toEqual(['alula']);
  await expect(column.getByRole('checkbox', { name: /Norrwind/ })).not.toBeChecked();
  await expect(page.locator('#goods-count')).toHaveText('10 products');
  // What is taken away leaves the focus where one reads on.
  await page.getByRole('button', { name: /^Alula.*remove$/ }).click();
  await expect(page.locator('#goods-count')).toBeFocused();
  await noSeriousFault(page);
});

test('prices are read as people type them, and what cannot be read is said and kept', async ({ page }) => {
  await page.goto(`${shop.url}/search`);
  const low = page.getByRole('textbox', { name: 'Lowest price' });
  await low.fill('€ 20');
  await low.press('Enter');
  await expect.poll(() => new URL(page.url()).searchParams.get('f.price')).toBe('20..');
  await expect(page.locator('#goods-count')).toHaveText('28 products');
  const high = page.getByRole('textbox', { name: 'Highest price' });
  await high.fill('a lot');
  await high.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('“a lot” cannot be read as a number.');
  await expect(high).toHaveValue('a lot');
  await high.fill('100,00');
  await high.press('Enter');
  await expect.poll(() => new URL(page.url()).searchParams.get('f.price')).toBe('20..100');
});

test('on a phone the filters come out, keep the focus, count what is chosen, and go with Back; what was chosen stays', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 780 });
  await page.goto(`${shop.url}/search`);
  await page.getByRole('button', { name: 'Filter' }).click();
  const drawer = page.getByRole('dialog', { name: 'Filters' });
  await drawer.getByRole('checkbox', { name: /Tern/ }).click();
  await drawer.getByRole('checkbox', { name: /Ember/ }).click();
  await expect(drawer.getByRole('button', { name: 'Show 10' })).toBeVisible();
  await noSeriousFault(page);
  for (let i = 0; i < 30; i++) await page.keyboard.press('Tab');
  expect(
    await page.evaluate(
      () => document.activeElement?.closest('dialog') !== null || document.activeElement === document.body,
    ),
  ).toBe(true);
  await page.goBack();
  await expect(drawer).toBeHidden();
  await expect(page.locator('#goods-count')).toHaveText('10 products');
  expect(facet(page.url(), 'brand')).toEqual(['tern']);
  await page.getByRole('button', { name: 'Filter (2)' }).click();
  await page.keyboard.press('Escape');
  await expect(drawer).toBeHidden();
  await expect(page.getByRole('button', { name: 'Filter (2)' })).toBeFocused();
});

test('a search is suggested while it is typed: by hand, by keys, put right, remembered; narrow screens hold it', async ({
  page,
}) => {
  await page.goto(shop.url);
  const field = page.getByRole('combobox', { name: 'Search the shop' });
  const hands = new Hands(page, 3);
  await hands.add(field, 'delt');
  const list = page.getByRole('listbox', { name: 'Suggestions' });
  await expect(list.getByRole('option', { name: /Deltas/ })).toBeVisible();
  await expect(page.getByRole('status')).toHaveText(/^\d+ suggestions$/);
  await noSeriousFault(page);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(list.getByRole('option', { selected: true })).toHaveText(/Deltas/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/c\/deltas$/);

  await hands.replace(field, 'gannet detla');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/q=gannet\+detla/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('“gannet detla”');
  await expect(page.locator('#goods-count')).not.toHaveText('0 products');

  await page.goto(shop.url);
  await field.click();
  await expect(list.getByRole('option', { name: 'gannet detla' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(list.getByRole('option')).toHaveCount(0);

  await page.setViewportSize({ width: 320, height: 640 });
  await hands.replace(field, 'sled');
  await expect(list.getByRole('option').first()).toBeVisible();
  const box = (await list.boundingBox())!;
  expect(box.x).toBeGreaterThanOrEqual(0);
  expect(box.x + box.width).toBeLessThanOrEqual(320);
});

test('an address past the last page, and a search for nothing there is, lead onward', async ({ page }) => {
  await page.goto(`${shop.url}/search?page=999`);
  await page.getByRole('link', { name: 'To the last page' }).click();
  await expect(page).toHaveURL(/page=2/);
  await expect(page.getByRole('main').getByRole('listitem').first()).toBeVisible();
  await page.goto(`${shop.url}/search?q=zzyzx`);
  await page.getByRole('link', { name: 'Show everything there is' }).click();
  await expect(page.locator('#goods-count')).toHaveText('30 products');
  // Pages are links: a click with Ctrl opens a tab, and this page stays.
  const [tab] = await Promise.all([
    page.context().waitForEvent('page'),
    page
      .getByRole('navigation', { name: 'Pages' })
      .getByRole('link', { name: '2' })
      .click({ modifiers: ['ControlOrMeta'] }),
  ]);
  await expect(tab).toHaveURL(/page=2/);
  expect(page.url()).not.toContain('page=2');
});

test('the menu comes out by keys and by touch, and Escape puts it away; the search can be typed in at every width', async ({
  browser,
  page,
}) => {
  const { groups, menu } = await page.goto(shop.url).then(async () => {
    const call = await enter(page, shop);
    const made = await call<{ categories: { id: string; name: string }[] }>('GET', '/api/groups');
    return { groups: made.categories, menu: call };
  });
  const target = (name: string) => ({ kind: 'category', id: groups.find((each) => each.name === name)!.id });
  const item = (name: string, items: object[] = []) => ({ id: null, label: '', target: target(name), items });
  await menu('PUT', '/api/menu', { items: [item('Deltas', [item('Pocket sleds')]), item('Pocket sleds')] });
  await menu('POST', '/api/editions', {});

  await page.goto(shop.url);
  const below = page.getByRole('button', { name: 'Below Deltas' });
  const sub = page.getByRole('navigation', { name: 'Shop', exact: true }).getByRole('link', { name: 'Pocket sleds' });
  await below.focus();
  await expect(below).toHaveAttribute('aria-expanded', 'false');
  await page.keyboard.press('Enter');
  await expect(below).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press('Tab');
  await expect(sub.first()).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(below).toBeFocused();
  await expect(below).toHaveAttribute('aria-expanded', 'false');

  const touched = await browser.newPage({ hasTouch: true, viewport: { width: 900, height: 700 } });
  await touched.goto(shop.url);
  await touched.getByRole('button', { name: 'Below Deltas' }).tap();
  await expect(
    touched.getByRole('navigation', { name: 'Shop', exact: true }).getByRole('link', { name: 'Pocket sleds' }).first(),
  ).toBeVisible();
  await touched.close();

  for (const width of [320, 390, 768, 1024, 1280, 1600]) {
    await page.setViewportSize({ width, height: 800 });
    const box = (await page.getByRole('combobox', { name: 'Search the shop' }).boundingBox())!;
    expect([width, box.width >= 150]).toEqual([width, true]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  }
  await noSeriousFault(page);
});

test('without script filters, sorts and searches are forms and links', async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(`${shop.url}/search`);
  const column = page.getByRole('complementary', { name: 'Filters' });
  await column.getByRole('checkbox', { name: /Tern/ }).check();
  await column.getByRole('checkbox', { name: /Alula/ }).check();
  await column.getByRole('button', { name: 'Show these' }).click();
  await expect(page.locator('#goods-count')).toHaveText('20 products');
  await expect(column.getByRole('checkbox', { name: /Tern/ })).toBeChecked();
  await page.getByLabel('Sort').selectOption('price-down');
  await page.getByRole('button', { name: 'Sort', exact: true }).click();
  await expect(page.getByRole('main').getByRole('listitem').filter({ hasText: '€' }).first()).toContainText('128');
  await expect(page.locator('#goods-count')).toHaveText('20 products');
  await page.getByRole('combobox', { name: 'Search the shop' }).fill('deltas');
  await page.keyboard.press('Enter');
  await expect(page.locator('#goods-count')).toHaveText('15 products');
  await context.close();
});
