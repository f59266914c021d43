import { expect, test, type Page } from '@playwright/test';
import type { ProductAnswer } from '../contract/product';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, saved, type Call } from './steps';

let shop: RunningShop;
let call: Call;
let tern: string;
let wren: string;
const seen = Number.MAX_SAFE_INTEGER;
const fits = async (page: Page) =>
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);

test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  const prepare = await enter(page, shop);
  for (const title of ['Tern', 'Wren']) {
    const { product } = await prepare<ProductAnswer>('POST', '/api/products', { title, price: 4_000 });
    await prepare('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live' } });
    if (title === 'Tern') tern = product.id;
    else wren = product.id;
  }
  await prepare('POST', '/api/editions', {});
  await page.close();
});
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});
test.afterAll(() => shop.stop());

test('a supplier is kept, somebody of it is invited, proposes, and the owner takes and refuses', async ({
  page,
  browser,
}) => {
  await page.goto(`${shop.url}/desk/suppliers`);
  await page.getByLabel('Name of a new supplier').pressSequentially('Windwerk', { delay: 20 });
  await page.getByRole('button', { name: 'Add', exact: true }).dblclick();
  await expect(page.getByLabel('Name of the supplier')).toHaveValue('Windwerk');
  await page.getByLabel('Whom you speak to').pressSequentially('Mara', { delay: 40 });
  await page.getByLabel('Delivery time in days').fill('9.5');
  await expect(page.getByRole('alert').filter({ hasText: 'Type whole days.' })).toBeVisible();
  await page.getByLabel('Delivery time in days').fill('9');
  await saved(page);
  await page.getByRole('tab', { name: 'Goods and costs' }).click();
  await page.getByRole('combobox', { name: 'Add a product' }).fill('Ter');
  await page.getByRole('option', { name: 'Tern' }).click();
  await expect(page.getByRole('link', { name: 'Tern', exact: true })).toBeVisible();
  await page.getByLabel('Their number of Tern').fill('W-7');
  await page.getByLabel('Their number of Tern').press('Enter');
  await noSeriousFault(page, 'goods of a supplier');

  await page.goto(`${shop.url}/desk/shopfront?view=settings&part=people`);
  await page.getByLabel('Their mail address').fill('mara@windwerk.example');
  await page.getByRole('button', { name: 'As: helper', exact: true }).click();
  await page.getByRole('option', { name: 'maker' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByRole('status').locator('code').innerText();

  const context = await browser.newContext();
  const mara = await context.newPage();
  await mara.goto(link);
  await mara.getByLabel('Your name').fill('Mara');
  await mara.getByLabel('A password').fill('a gust at dawn');
  await mara.getByRole('button', { name: 'Come in' }).click();
  await expect(mara.getByRole('heading', { name: 'Windwerk' })).toBeVisible();
  await expect(mara.getByText('Wren')).toHaveCount(0);
  await noSeriousFault(mara, 'goods of a maker');
  await mara.getByRole('link', { name: 'Tern' }).click();
  await mara.getByLabel('Summary').pressSequentially('Sewn twice.', { delay: 25 });
  await mara.getByLabel('Cost', { exact: true }).fill('18.50');
  // A tab that is closed in the middle loses nothing.
  await mara.reload();
  await expect(mara.getByLabel('Summary')).toHaveValue('Sewn twice.');
  await mara.getByRole('button', { name: 'Propose it' }).dblclick();
  await expect(mara.getByText('waits for an answer').first()).toBeVisible();
  await mara.getByRole('button', { name: 'Propose a new product' }).click();
  await mara.getByRole('button', { name: 'Propose it' }).click();
  await expect(mara.getByText('A product needs a title.')).toBeVisible();
  await mara.getByLabel('Title').fill('Kittiwake');
  await mara.getByLabel('Price', { exact: true }).fill('49');
  await mara.getByLabel('Pictures to propose').setInputFiles({
    name: 'kittiwake.png',
    mimeType: 'image/png',
    buffer: await plainPicture('#1d4f91'),
  });
  await expect(mara.getByAltText('picture you propose')).toBeVisible();
  await mara.setViewportSize({ width: 390, height: 800 });
  await fits(mara);
  await noSeriousFault(mara, 'a new product of a maker');
  await mara.getByRole('button', { name: 'Propose it' }).click();
  await expect(
    mara.getByRole('region', { name: 'What you proposed' }).getByText('Kittiwake', { exact: true }),
  ).toBeVisible();
  await fits(mara);

  await page.goto(`${shop.url}/desk/proposals`);
  const change = page.getByRole('article', { name: 'Tern' });
  await expect(change.getByLabel('Summary', { exact: true })).toHaveValue('Sewn twice.');
  await change.getByLabel('Cost', { exact: true }).fill('18.20');
  await noSeriousFault(page, 'proposals');
  await change.getByRole('button', { name: 'Take it' }).dblclick();
  await expect(change).toBeHidden();
  const made = page.getByRole('article', { name: 'Kittiwake' });
  await made.getByRole('button', { name: 'Refuse' }).click();
  await expect(made.getByText('Tell them why.')).toBeVisible();
  await made.getByLabel('A word to Mara').fill('Not this season.');
  await made.getByRole('button', { name: 'Refuse' }).click();
  await expect(page.getByText('Nothing to answer')).toBeVisible();
  const { product } = await call<ProductAnswer>('GET', `/api/products/${tern}`);
  expect([product.summary, product.variants[0]!.cost, product.variants[0]!.supplierNumber]).toEqual([
    'Sewn twice.',
    1820,
    'W-7',
  ]);
  await mara.reload();
  await expect(mara.getByText('“Not this season.”')).toBeVisible();
  await expect(mara.getByText('taken', { exact: false }).first()).toBeVisible();
  await mara.goto(`${shop.url}/desk/goods`);
  await expect(mara.getByRole('heading', { name: 'Windwerk' })).toBeVisible();
  await context.close();
});

test('what is low is ordered: pieces changed, the file holds them, the costs of a day to come are kept', async ({
  page,
}) => {
  const { id } = await call('POST', '/api/suppliers', { name: 'Loft & Sons' });
  await call('POST', `/api/suppliers/${id}/goods`, { productIds: [wren], main: true });
  const { product } = await call<ProductAnswer>('GET', `/api/products/${wren}`);
  await call('PATCH', `/api/products/${wren}/variants`, {
    seen,
    changes: [{ id: product.variants[0]!.id, fields: { stock: 1, warnAt: 5, cost: 1_800 } }],
  });
  await page.goto(`${shop.url}/desk/suppliers/${id}?part=order`);
  const pieces = page.getByLabel('Pieces of Wren');
  await expect(pieces).toHaveValue('5');
  await pieces.fill('half');
  await expect(page.getByText('Type a whole number.')).toBeVisible();
  await pieces.fill('12');
  await expect(page.getByText('€216.00')).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Order as CSV' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^order-loft-and-sons-\d{4}-\d\d-\d\d\.csv$/);
  await page.getByRole('tab', { name: 'Goods and costs' }).click();
  await page.getByRole('button', { name: 'Costs of Wren by day' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('From day, line 1').fill('2090-01-01');
  await dialog.getByLabel('Cost, line 1').fill('dear');
  await dialog.getByRole('button', { name: 'Keep them' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Type an amount');
  await dialog.getByLabel('Cost, line 1').fill('19.90');
  await dialog.getByRole('button', { name: 'Keep them' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('button', { name: 'Costs of Wren by day' })).toHaveText('€19.90 from 1 Jan');
  await page.setViewportSize({ width: 390, height: 800 });
  await fits(page);
});

test('two people see where the other is and what they have not saved; a place is signed out from afar', async ({
  page,
  browser,
}) => {
  const { code } = await call<{ code: string }>('POST', '/api/people/invites', {
    email: 'robin@line.example',
    role: 'helper',
  });
  const context = await browser.newContext();
  const robin = await context.newPage();
  await robin.goto(`${shop.url}/desk/join#${code}`);
  await robin.getByLabel('Your name').fill('Robin Reed');
  await robin.getByLabel('A password').fill('kites over the dyke');
  await robin.getByRole('button', { name: 'Come in' }).click();
  await expect(robin.getByRole('navigation', { name: 'Desks' })).toBeVisible();
  await robin.goto(`${shop.url}/desk/goods/${tern}`);
  await expect(robin.getByLabel('Title', { exact: true })).toHaveValue('Tern');

  await page.goto(`${shop.url}/desk/goods`);
  const there = page.getByRole('link', { name: /Robin Reed is at “Tern/ });
  await expect(there).toBeVisible();
  await robin.route('**/api/products/*', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.continue(),
  );
  await robin.getByLabel('Title', { exact: true }).fill('Tern, lighter');
  await expect(page.getByRole('link', { name: /Robin Reed is at “Tern.* has not saved: title/ })).toBeVisible();
  await there.click();
  await expect(page.getByText('Robin Reed is here too, and is changing title.')).toBeVisible();
  await noSeriousFault(page, 'two people on one product');
  await robin.unroute('**/api/products/*');
  await expect(page.getByText('Robin Reed is here too.')).toBeVisible({ timeout: 15_000 });
  await robin.goto('about:blank');
  await expect(page.getByText('Robin Reed is here too.')).toBeHidden();

  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await enter(elsewhere, shop);
  await elsewhere.goto(`${shop.url}/desk/history`);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Where you are signed in' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Sign out of/ })
    .first()
    .click();
  await expect(page.getByRole('dialog').getByText('(here)')).toBeVisible();
  await context.close();
  await other.close();
});
