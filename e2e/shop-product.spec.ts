import { expect, test, type Page } from '@playwright/test';
import { Hands } from './hands';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
let ids: Record<string, string> = {};
test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  call = await enter(page, shop);
  ids = await fill(page);
  await page.close();
});
test.afterAll(() => shop.stop());

const titles = ['Avocet delta', 'Bittern sled', 'Curlew box', 'Dunlin foil', 'Egret glider', 'Fulmar kite'];

/** Six kites, the first with three pictures and two colours, the last sold out. */
async function fill(page: Page): Promise<Record<string, string>> {
  const made: Record<string, string> = {};
  const { id: kites } = await call('POST', '/api/categories', { name: 'Kites' });
  const { token } = await call<{ token: string }>('GET', '/api/session');
  for (const [i, title] of titles.entries()) {
    const { product } = await call('POST', '/api/products', { title, price: 2_000 + i * 500 });
    made[title] = product.id;
    await call('PATCH', `/api/products/${product.id}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { status: 'live', categoryIds: [kites], summary: `About the ${title}.` },
    });
    for (const background of i === 0 ? ['#e4572e', '#1d4f91', '#4c8c4a'] : ['#f3a712'])
      await page.request.post(`${shop.url}/api/products/${product.id}/pictures`, {
        headers: { 'X-Dispona-Token': token },
        multipart: {
          files: { name: `${background}.png`, mimeType: 'image/png', buffer: await plainPicture(background) },
        },
      });
  }
  const value = (name: string) => ({ id: null, name, swatch: null, pictureId: null });
  await call('PUT', `/api/products/${made[titles[0]!]}/options`, {
    seen: Number.MAX_SAFE_INTEGER,
    options: [{ id: null, name: 'Colourway', listId: null, values: [value('Ember'), value('Sea')] }],
  });
  const similar = { how: 'picked', ids: titles.slice(1, 3).map((title) => made[title]) };
  await call('PATCH', `/api/products/${made[titles[0]!]}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { similar },
  });
  await stock(call, 'Fulmar kite', made, 0);
  await call('POST', '/api/editions', {});
  return made;
}

async function stock(by: Call, title: string, of: Record<string, string>, pieces: number): Promise<void> {
  const { product } = await by('GET', `/api/products/${of[title]}`);
  await by('PATCH', `/api/products/${product.id}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: [{ id: product.variants[0]!.id, fields: { stock: pieces } }],
  });
}

const isWide = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

test('pictures go on by buttons and keys, and open whole; the focus comes back', async ({ page }) => {
  await page.goto(`${shop.url}/p/avocet-delta`);
  const status = page.getByText(/^Picture \d of 3$/);
  await expect(status).toHaveText('Picture 1 of 3');
  await page.getByRole('button', { name: 'Next picture' }).click();
  await expect(status).toHaveText('Picture 2 of 3');
  await page.keyboard.press('ArrowRight');
  await expect(status).toHaveText('Picture 3 of 3');
  await expect(page.getByRole('button', { name: 'Next picture' })).toBeFocused();
  const row = page.getByRole('group', { name: 'Pictures' }).getByRole('list').first();
  await expect.poll(() => row.evaluate((list) => Math.round(list.scrollLeft / list.clientWidth))).toBe(2);
  // A hand that swipes it back is followed.
  await row.hover();
  await page.mouse.wheel(-5_000, 0);
  await expect(status).toHaveText('Picture 1 of 3');
  const whole = page.getByRole('link', { name: /See the whole picture/ }).first();
  await whole.focus();
  await page.keyboard.press('Enter');
  const over = page.getByRole('dialog');
  await expect(over).toBeVisible();
  await page.waitForTimeout(600);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Escape');
  await expect(over).toBeHidden();
  await expect(status).toHaveText('Picture 2 of 3');
});

test('a quick look opens from a card by keys, chooses a version, and leads on; the focus comes back', async ({
  page,
}) => {
  await page.goto(`${shop.url}/c/kites`);
  const look = page.getByRole('button', { name: 'Quick look at Avocet delta' });
  await look.focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Avocet delta' });
  await dialog.getByRole('button', { name: 'Sea' }).click();
  await expect(dialog.getByRole('button', { name: 'Sea' })).toHaveAttribute('aria-pressed', 'true');
  await noSeriousFault(page);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(look).toBeFocused();
  await page.keyboard.press('Enter');
  await dialog.getByRole('button', { name: 'Sea' }).click();
  await dialog.getByRole('link', { name: 'See full details' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Avocet delta');
  await expect(page.getByRole('button', { name: 'Sea' })).toHaveAttribute('aria-pressed', 'true');
});

test('from card to card nothing is loaded again; Back comes to the card that led on; what was seen is shown', async ({
  page,
}) => {
  await page.setViewportSize({ width: 900, height: 500 });
  await page.goto(`${shop.url}/c/kites`);
  await page.evaluate(() => Object.assign(window, { isSame: true }));
  const card = page.getByRole('main').getByRole('link', { name: /Egret glider/ });
  await card.scrollIntoViewIfNeeded();
  await page.waitForTimeout(300);
  const y = await page.evaluate(() => window.scrollY);
  expect(y).toBeGreaterThan(0);
  await card.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Egret glider');
  await expect(page).toHaveTitle(/Egret glider/);
  expect(await page.evaluate(() => window.scrollY)).toBe(0);
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Kites');
  await expect(card).toBeFocused();
  expect(await page.evaluate(() => window.scrollY)).toBe(y);
  await page
    .getByRole('main')
    .getByRole('link', { name: /Avocet delta/ })
    .click();
  await expect(page.getByRole('region', { name: 'Similar' })).toContainText('Bittern sled');
  const seen = page.getByRole('region', { name: 'Seen recently' });
  await expect(seen).toContainText('Egret glider');
  await expect(seen).not.toContainText('Avocet delta');
  await page
    .getByRole('region', { name: 'Similar' })
    .getByRole('link', { name: /Bittern sled/ })
    .click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bittern sled');
  expect(await page.evaluate(() => (window as unknown as { isSame: boolean }).isSame)).toBe(true);
  // A click with a key held opens a tab, as everywhere.
  const [tab] = await Promise.all([
    page.context().waitForEvent('page'),
    page
      .getByRole('region', { name: 'Similar' })
      .getByRole('link')
      .first()
      .click({ modifiers: ['ControlOrMeta'] }),
  ]);
  await tab.close();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bittern sled');
});

test('who waits for something sold out is written to when it is back; a question is answered in the desk', async ({
  page,
}) => {
  const hands = new Hands(page, 5);
  await page.goto(`${shop.url}/p/fulmar-kite`);
  const note = page.getByRole('main').locator('form', { hasText: 'Tell me when it is back' });
  await hands.add(note.getByLabel('Your mail address'), 'ada@example');
  await note.getByRole('button', { name: 'Tell me when it is back' }).click();
  await expect(page.getByRole('alert')).toHaveText('This is not a mail address.');
  await note.getByLabel('Your mail address').fill('ada@example.com');
  await note.getByRole('button', { name: 'Tell me when it is back' }).click();
  await expect(page.getByText('We will write to you once')).toBeVisible();
  await page.getByText('Ask us about it').click();
  await hands.add(page.getByLabel('What would you like to know?'), 'How long is the tail?');
  await page.getByLabel('Your mail address').last().fill('bo@example.com');
  await noSeriousFault(page);
  await page.getByRole('button', { name: 'Send the question' }).click();
  await expect(page.getByText('Thank you. We will write to you.')).toBeVisible();

  await stock(await enter(page, shop), 'Fulmar kite', ids, 4);
  await page.goto(`${shop.url}/desk/orders`);
  await page.getByRole('tab', { name: 'Questions 1' }).click();
  await hands.add(page.getByLabel('Answer to bo@example.com'), 'Three metres.');
  await page.reload();
  await expect(page.getByLabel('Answer to bo@example.com')).toHaveValue('Three metres.');
  await page.getByRole('button', { name: 'Answer', exact: true }).click();
  await expect(page.getByText('All questions are answered.')).toBeVisible();
  await noSeriousFault(page);
  await page.getByRole('tab', { name: 'Mail sent 2' }).click();
  await expect(page.getByText('Fulmar kite is back')).toBeVisible();
});

test('without script versions, pictures and questions are forms and links', async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(`${shop.url}/p/avocet-delta`);
  await page.getByRole('button', { name: 'Sea' }).click();
  await expect(page).toHaveURL(/\?v=v_/);
  await expect(page.getByRole('button', { name: 'Sea' })).toHaveAttribute('aria-pressed', 'true');
  const row = page.getByRole('group', { name: 'Pictures' }).getByRole('list').first();
  await page
    .getByRole('link', { name: /^Show picture/ })
    .nth(2)
    .click();
  await expect.poll(() => row.evaluate((list) => Math.round(list.scrollLeft / list.clientWidth))).toBe(2);
  await page.getByText('Ask us about it').click();
  await page.getByLabel('What would you like to know?').fill('Does it float?');
  await page.getByLabel('Your mail address').fill('cy@example.com');
  await page.getByRole('button', { name: 'Send the question' }).click();
  await expect(page).toHaveURL(/\/p\/avocet-delta\?done=asked/);
  await expect(page.getByText('Thank you. We will write to you.')).toBeVisible();
  await context.close();
});

for (const width of [1280, 390, 320])
  test(`at ${width} px nothing keeps anybody out, and nothing is wider than the screen`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 });
    for (const path of [
      '/',
      '/c/kites',
      '/c/kites?f.price=20..30',
      '/search?q=zeppelin',
      '/p/avocet-delta',
      '/p/fulmar-kite',
      '/p/nothing',
    ]) {
      await page.goto(shop.url + path);
      await expect(page.getByRole('main')).toBeVisible();
      await noSeriousFault(page, `${width} ${path}`);
      expect([path, await isWide(page)]).toEqual([path, 0]);
    }
  });

test('with colours forced, with everything twice as large, and on paper the shop can still be used', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto(`${shop.url}/p/avocet-delta`);
  // What is chosen differs from what is not by more than a colour that is gone.
  const chosen = page.getByRole('button', { name: 'Ember' });
  const outlineOf = (which: typeof chosen) =>
    which.evaluate((button) => getComputedStyle(button).borderStyle + getComputedStyle(button).outlineStyle);
  await expect
    .poll(async () => (await outlineOf(chosen)) === (await outlineOf(page.getByRole('button', { name: 'Sea' }))))
    .toBe(false);
  await page.emulateMedia({ forcedColors: 'none' });
  // 200 % on a screen of 1280 is a page of 640.
  await page.setViewportSize({ width: 640, height: 400 });
  for (const path of ['/c/kites', '/p/avocet-delta']) {
    await page.goto(shop.url + path);
    expect([path, await isWide(page)]).toEqual([path, 0]);
  }
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Search the shop' })).toBeHidden();
  await expect(page.getByText('Ask us about it')).toBeHidden();
});
