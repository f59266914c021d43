import { expect, test, type Page } from '@playwright/test';
import { Hands } from './hands';
import { startShop, type RunningShop } from './server';
import { enter, saved, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());
test.beforeEach(async ({ page }) => void (call = await enter(page, shop)));

const title = (page: Page) => page.getByLabel('Title', { exact: true });
const summary = (page: Page) => page.getByLabel('Summary', { exact: true });

async function openNew(page: Page, name: string): Promise<string> {
  const { product } = await call('POST', '/api/products', { title: name, price: 2_000 });
  await page.goto(`${shop.url}/desk/goods/${product.id}`);
  await expect(title(page)).toHaveValue(name);
  return product.id;
}

for (const [pace, seed] of [
  [20, 1],
  [60, 2],
  [120, 3],
  [200, 4],
] as const)
  test(`option values typed one after the other are all kept, at ${pace} ms a key and on a slow server`, async ({
    page,
  }) => {
    const id = await openNew(page, `Kite ${pace}`);
    const hands = new Hands(page, seed);
    await hands.slowServer(50, 900);
    await page.getByLabel('New option').click();
    await hands.type('Finish', pace);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('New value of Finish')).toBeFocused();
    // Letters that are commands when nobody is typing.
    const values = ['matt', 'north', 'gloss', 'wide', 'new', 'tall'];
    for (const value of values) {
      await hands.type(value, pace);
      await page.keyboard.press('Enter');
    }
    await page.getByLabel('New option').click();
    await hands.type('Size', pace);
    await page.keyboard.press('Tab');
    await hands.type('S', pace);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toBeHidden();
    await expect(page.getByText('6 × 1 = 6 variants')).toBeVisible();
    await expect.poll(async () => (await call('GET', `/api/products/${id}`)).product.variants.length).toBe(6);
    const names = await page
      .getByLabel('Value of Finish', { exact: true })
      .evaluateAll((inputs) => inputs.map((input) => (input as HTMLInputElement).value));
    expect(names).toEqual(values);
  });

test('an option that has no values yet waits for one, and asks before it is left', async ({ page }) => {
  await openNew(page, 'Waits');
  await page.getByLabel('New option').click();
  await page.keyboard.type('Colour');
  await page.keyboard.press('Enter');
  await page.keyboard.type('red');
  await page.keyboard.press('Enter');
  await page.getByLabel('New option').click();
  await page.keyboard.type('Size');
  await page.keyboard.press('Enter');
  await page.waitForTimeout(1_000);
  await expect(page.getByLabel('Name of the option')).toHaveCount(2);
  await page.getByRole('link', { name: 'Groups', exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('The option Size has no values yet.');
  await page.getByRole('button', { name: 'Stay' }).click();
  await expect(page.getByLabel('Name of the option').nth(1)).toHaveValue('Size');
});

test('Ctrl+Z in a field takes back what was typed there; elsewhere your last change, which is told before', async ({
  page,
}) => {
  const hands = new Hands(page, 5);
  const id = await openNew(page, 'Plover');
  await hands.add(summary(page), 'Small');
  await saved(page);
  await page.keyboard.press('Tab');
  await hands.add(title(page), ' sled');
  await saved(page);
  await page.keyboard.press('ControlOrMeta+z');
  await expect(title(page)).not.toHaveValue('Plover sled');
  await expect(summary(page)).toHaveValue('Small');
  await saved(page);
  // Beside the fields it is the last saved change, and says which.
  await page.locator('main h1').click();
  await call('PATCH', `/api/products/${id}`, { seen: Number.MAX_SAFE_INTEGER, fields: { summary: 'Smaller' } });
  await expect(summary(page)).toHaveValue('Smaller');
  await expect(page.getByRole('button', { name: /^Undo: Changed summary of “/ })).toBeVisible();
  await page.waitForTimeout(1_100);
  await page.keyboard.press('ControlOrMeta+z');
  await expect(page.getByText(/^Undone: Changed summary of “/)).toBeVisible();
  await expect(summary(page)).toHaveValue('Small');
});

test('leaving in the middle of a word: a link, Back, and a reload keep what was typed', async ({ page }) => {
  const hands = new Hands(page, 7);
  const id = await openNew(page, 'Leaving');
  const stored = async () => (await call<{ product: { title: string } }>('GET', `/api/products/${id}`)).product.title;
  await hands.slowServer(300, 1_200);
  await hands.add(title(page), ' by a link');
  await page.getByRole('link', { name: 'Groups', exact: true }).click();
  await expect(page).toHaveURL(/groups/);
  expect(await stored()).toBe('Leaving by a link');
  await page.getByRole('link', { name: 'Goods', exact: true }).click();
  await page.getByRole('link', { name: 'Leaving by a link' }).click();
  await hands.add(title(page), ' and Back');
  await page.goBack();
  await expect(page).toHaveURL(/goods$/);
  await expect.poll(stored).toBe('Leaving by a link and Back');
  await page.goForward();
  await expect(title(page)).toHaveValue('Leaving by a link and Back');
  await hands.quickServer();
  await hands.add(title(page), ', at last');
  page.on('dialog', (dialog) => void dialog.accept());
  // Whoever leaves all the same has what was typed saved on the way out.
  await page.reload();
  await expect(title(page)).toHaveValue('Leaving by a link and Back, at last');
});

test('what is refused says so in the head, holds up no neighbour, and is asked about before it is left', async ({
  page,
}) => {
  const id = await openNew(page, 'Refused');
  await page.getByRole('link', { name: 'Back to the goods' }).click();
  await page.getByRole('link', { name: 'Refused' }).click();
  await page.getByLabel('Price, Refused', { exact: true }).fill('abc');
  await page.getByLabel('SKU, Refused', { exact: true }).fill('RF-1');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Not saved: Price: Type an amount, like 24.50.')).toBeVisible();
  await expect
    .poll(
      async () =>
        (await call<{ product: { variants: { sku: string }[] } }>('GET', `/api/products/${id}`)).product.variants[0]!
          .sku,
    )
    .toBe('RF-1');
  await page.getByRole('link', { name: 'Shopfront' }).click();
  await expect(page.getByRole('dialog')).toContainText('Type an amount, like 24.50.');
  await page.getByRole('button', { name: 'Stay' }).click();
  await expect(page.getByLabel('Price, Refused', { exact: true })).toBeFocused();
  await expect(page.getByLabel('Price, Refused', { exact: true })).toHaveValue('abc');
  // So does the browser, before the page is closed.
  const asked = page.waitForEvent('dialog');
  const closing = page.close({ runBeforeUnload: true });
  const question = await asked;
  expect(question.type()).toBe('beforeunload');
  await question.dismiss();
  await closing;
  // Back asks too, and whoever leaves all the same gets where Back leads.
  await page.goBack();
  await expect(page.getByRole('dialog')).toContainText('Type an amount, like 24.50.');
  await page.getByRole('button', { name: 'Leave without it' }).click();
  await expect(page).toHaveURL(/\/desk\/goods$/);
  await page.goto(`${shop.url}/desk/goods/${id}`);
  await page.getByLabel('Price, Refused', { exact: true }).fill('19');
  await saved(page);
  await page.getByRole('link', { name: 'Shopfront' }).click();
  await expect(page.getByRole('heading', { name: 'Shopfront' })).toBeVisible();
});

test('a second tab and double clicks: nothing is made twice, and both tabs end up with the same words', async ({
  page,
  context,
}) => {
  await openNew(page, 'Twice');
  const other = await context.newPage();
  await other.goto(page.url());
  await new Hands(page, 8).add(title(page), ' one');
  await page.keyboard.press('Tab');
  await expect(title(other)).toHaveValue('Twice one');
  await new Hands(other, 9).add(summary(other), 'From beside');
  await other.keyboard.press('Tab');
  await expect(summary(page)).toHaveValue('From beside');
  await page.goto(`${shop.url}/desk/goods`);
  await page.getByRole('button', { name: 'New product' }).click();
  await page.getByLabel('Title', { exact: true }).fill('Made once');
  await page.getByRole('button', { name: 'Add it' }).dblclick();
  await expect(page.getByRole('heading', { name: 'Made once' })).toBeVisible();
  await page.getByRole('button', { name: 'Copy as new' }).dblclick();
  await expect(title(page)).toHaveValue('Copy of Made once');
  const { rows } = await call<{ rows: { title: string }[] }>('POST', '/api/goods/list', { text: 'once', limit: 10 });
  expect(rows.map((row) => row.title).sort()).toEqual(['Copy of Made once', 'Made once']);
});

test('what is typed after / is kept, though what finds it is still on its way', async ({ page }) => {
  await call('POST', '/api/products', { title: 'Dotterel roller' });
  await page.route(/find-or-do.*\.js/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1_500));
    await route.continue();
  });
  await page.goto(`${shop.url}/desk/goods`);
  await expect(page.getByLabel('Find or do anything')).toBeVisible();
  await page.keyboard.press('/');
  await new Hands(page).type('dotterel', 60);
  await page.getByRole('option', { name: /Dotterel roller/ }).click();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Dotterel roller');
});

test('letters are commands only when nobody has typed for a second, and can be switched off', async ({ page }) => {
  await page.goto(`${shop.url}/desk/goods`);
  await expect(page.getByRole('complementary', { name: 'Shop window' })).toBeVisible();
  const find = page.getByLabel('Search the goods, or type a condition');
  await find.click();
  await page.keyboard.type('dune');
  await find.blur();
  await page.keyboard.press('w');
  await expect(page.getByRole('complementary', { name: 'Shop window' })).toBeVisible();
  await page.waitForTimeout(1_100);
  await page.keyboard.press('w');
  await expect(page.getByRole('complementary', { name: 'Shop window' })).toBeHidden();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Switch one-letter keys off' }).click();
  await page.keyboard.press('w');
  await page.waitForTimeout(300);
  await expect(page.getByRole('complementary', { name: 'Shop window' })).toBeHidden();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Switch one-letter keys on' }).click();
});

test('categories: Tab while naming keeps the name, F2 keeps the focus, and names typed on are all made', async ({
  page,
}) => {
  const hands = new Hands(page, 11);
  await page.goto(`${shop.url}/desk/groups`);
  await hands.slowServer(100, 700);
  await page.getByRole('button', { name: 'Add a category' }).click();
  for (const name of ['Kites', 'Reels', 'Spares']) {
    await hands.type(name);
    await page.keyboard.press('Enter');
  }
  await hands.type('Hand');
  await page.keyboard.press('Tab');
  await hands.type(' reels');
  await expect(page.getByLabel('Name of the new category')).toHaveValue('Hand reels');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  const tree = page.getByRole('complementary', { name: 'Categories' });
  for (const name of ['Kites', 'Reels', 'Spares', 'Hand reels'])
    await expect(tree.getByRole('list').getByRole('link', { name: new RegExp(`^${name}`) })).toBeVisible();
  const { categories } = await call<{ categories: { name: string; level: number }[] }>('GET', '/api/groups');
  expect(categories.find(({ name }) => name === 'Hand reels')!.level).toBe(2);
  await tree
    .getByRole('list')
    .getByRole('link', { name: /^Kites/ })
    .focus();
  await page.keyboard.press('F2');
  await page.keyboard.press('End');
  await hands.type(' to fly');
  await page.keyboard.press('Enter');
  await expect(tree.getByRole('list').getByRole('link', { name: /^Kites to fly/ })).toBeFocused();
});

test('typed letters show in the shop window before they are saved', async ({ page }) => {
  await openNew(page, 'Windowed');
  const window = page.frameLocator('iframe');
  await expect(window.getByRole('heading', { name: 'Windowed' })).toBeVisible();
  // Nothing is saved in this test: what the window shows was typed.
  await page.route('**/api/products/**', (route) =>
    route.request().method() === 'PATCH' ? new Promise(() => undefined) : route.continue(),
  );
  await new Hands(page, 12).add(title(page), ' in the dunes');
  await expect(window.getByRole('heading', { name: 'Windowed in the dunes' })).toBeVisible();
  await expect(page.getByText('Shoppers cannot see this product: it is a draft.')).toBeVisible();
});
