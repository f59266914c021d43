import { expect, test } from '@playwright/test';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  await kites(await enter(page, shop));
  await page.close();
});
test.afterAll(() => shop.stop());

/** 240 kites: of each third one is a delta, of each half Norrwind's, and prices rise from 10.00 on. */
async function kites(call: Call): Promise<void> {
  const { id: category } = await call('POST', '/api/categories', { name: 'Deltas', parentId: null });
  const { id: brand } = await call('POST', '/api/brands', { name: 'Norrwind' });
  for (let i = 0; i < 240; i++) {
    const isDelta = i % 3 === 0;
    const title = `${isDelta ? 'Delta' : 'Sled'} ${i}`;
    const { product } = await call('POST', '/api/products', { title, price: 1_000 + i * 50 });
    const seen = Number.MAX_SAFE_INTEGER;
    const fields = {
      status: 'live',
      brandId: i % 2 === 0 ? brand : null,
      categoryIds: isDelta ? [category] : [],
    };
    await call('PATCH', `/api/products/${product.id}`, { seen, fields });
    const changes = product.variants.map(({ id }) => ({ id, fields: { cost: i === 0 ? 900 : 300, stock: 4 } }));
    await call('PATCH', `/api/products/${product.id}/variants`, { seen, changes });
  }
}

test('goods are narrowed, picked, raised with a floor and taken back; a large change goes on by itself', async ({
  page,
}) => {
  await enter(page, shop);
  await page.goto(`${shop.url}/desk/goods`);
  const find = page.getByLabel('Search the goods, or type a condition');

  await test.step('three filters: a category, a brand, a typed price', async () => {
    await page.getByRole('button', { name: 'Deltas 80' }).click();
    await page.getByRole('button', { name: 'Norrwind 40' }).click();
    await find.fill('price at most 88');
    await expect(page.getByText('27 of 240')).toBeVisible();
    await find.press('Enter');
    await expect(page.getByRole('button', { name: 'Price is at most €88.00' })).toBeVisible();
    await expect(find).toHaveValue('');
    // In the address, and so after loading again.
    await page.reload();
    await expect(page.getByText('27 of 240')).toBeVisible();
    await page.getByRole('button', { name: 'Price is at most €88.00' }).click();
    await page.getByLabel('Value of Price').fill('97');
    await page.keyboard.press('Escape');
    await expect(page.getByText('30 of 240')).toBeVisible();
    await page.locator('[data-goods-scroller]').focus();
    await page.getByRole('button', { name: /^Why Delta/ }).click();
    await expect(page.getByText('category is Deltas · it has Deltas')).toBeVisible();
    await page.keyboard.press('Escape');
    await noSeriousFault(page);
  });

  await test.step('all 30 into the tray, prices up 4 % to .90 and never below cost plus 10 %', async () => {
    await page.getByRole('button', { name: 'Pick all 30' }).click();
    await page.getByRole('menuitem', { name: /These 30/ }).click();
    await expect(page.getByText('30 products, kept while you move')).toBeVisible();
    await page.getByRole('button', { name: 'Change prices…' }).click();
    await page.getByLabel('Change by (use a minus to lower)').fill('4');
    await page.getByRole('button', { name: /^Rounded/ }).click();
    await page.getByRole('option', { name: 'to end in .90', exact: true }).click();
    await page.getByLabel('Never below cost plus').fill('10');
    const preview = page.getByRole('list', { name: 'What would change' });
    const first = preview.getByRole('listitem').filter({ hasText: 'Delta 0Price' });
    await expect(first).toContainText('€10.00 → €12.90');
    await expect(first).toContainText('held at the floor');
    await noSeriousFault(page);
    await page.getByRole('button', { name: 'Change 30 products' }).click();
    await expect(page.getByText('Raised prices of 30 products by 4 %')).toBeVisible();
  });

  await test.step('the shop window shows the new price, and undo brings the old one back', async () => {
    await page.goto(`${shop.url}/desk/goods?q=%22delta+6%22`);
    await page.getByRole('row', { name: /Delta 6 / }).hover();
    const window = page.frameLocator('iframe');
    await expect(window.getByText('€13.90').first()).toBeVisible();
    await page.locator('[data-goods-scroller]').focus();
    await page.keyboard.press('Control+z');
    await expect(page.getByText(/^Undone: Raised prices of 30/)).toBeVisible();
    await expect(window.getByText('€13.00').first()).toBeVisible();
  });

  await test.step('whatever matches goes into the tray, and a change of 240 runs in the background', async () => {
    await page.getByRole('button', { name: 'Empty tray' }).click();
    await page.goto(`${shop.url}/desk/goods?q=stock+above+1`);
    await page.getByRole('button', { name: 'Pick all 240' }).click();
    await page.getByRole('menuitem', { name: /Whatever matches/ }).click();
    await expect(page.getByText('240 products: whatever matches stock is above 1')).toBeVisible();
    await page.getByRole('button', { name: 'Change…' }).click();
    await page.getByRole('menuitem', { name: 'Stock' }).click();
    await page.getByLabel('Pieces, for every variant').fill('0');
    await page.getByRole('button', { name: 'Change 240 products' }).click();
    await expect(page.getByText('Changed stock of 240 products')).toBeVisible();
    await expect(page.getByText('0 products: whatever matches stock is above 1')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Work under way' })).toHaveCount(0);
    await page.getByRole('button', { name: 'More', exact: true }).click();
    await page.getByRole('menuitem', { name: 'History' }).click();
    await expect(page.getByRole('heading', { name: 'History' })).toBeVisible();
    const line = page.getByRole('listitem').filter({ hasText: 'Changed stock of 240 products' });
    await expect(line.getByText(/Stock: 4 → 0/).first()).toBeVisible();
    await line.getByRole('button', { name: 'Take back' }).click();
    await expect(page.getByText('240 products: whatever matches stock is above 1')).toBeVisible();
  });
});

test('one thing is changed in its row, columns are chosen, and a view and a collection are kept', async ({ page }) => {
  await enter(page, shop);
  await page.goto(`${shop.url}/desk/goods?q=delta+3`);
  const row = page.getByRole('row', { name: /Delta 3 / });
  await row.getByRole('button', { name: /^Change the price of Delta 3/ }).click();
  await page.getByRole('textbox', { name: 'Price' }).fill('9,99');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(row).toContainText('€9.99');
  await row.hover();
  await page.locator('[data-goods-scroller]').focus();
  await page.keyboard.press('e');
  await page.getByRole('textbox', { name: 'Title' }).fill('Delta 3 light');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /Delta 3 light/ })).toBeVisible();
  await page.getByRole('row', { name: /Delta 3 light/ }).hover();
  await page.getByRole('button', { name: 'Delta 3 light featured' }).click();
  await expect(page.getByRole('button', { name: 'Delta 3 light featured', pressed: true })).toBeVisible();

  await page.getByRole('button', { name: 'Choose columns' }).click();
  await page.getByLabel('Find a column').fill('cost');
  await page.getByRole('checkbox', { name: 'Cost' }).check();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('row', { name: /Delta 3 light/ })).toContainText('€3.00');
  await page.getByRole('columnheader', { name: 'Price' }).getByRole('button').click();
  await expect(page).toHaveURL(/sort=-price/);

  await page.goto(`${shop.url}/desk/goods?q=price+above+100`);
  await page.getByRole('button', { name: 'Keep as …' }).click();
  await page.getByRole('menuitem', { name: /^View/ }).click();
  await page.getByLabel('Name', { exact: true }).fill('Dear ones');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.goto(`${shop.url}/desk/goods`);
  await page.getByRole('button', { name: 'Views' }).click();
  await page.getByRole('button', { name: /^Dear ones/ }).click();
  await expect(page.getByRole('button', { name: 'Price is above €100.00' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep as …' }).click();
  await page.getByRole('menuitem', { name: /^Collection/ }).click();
  await page.getByLabel('Name', { exact: true }).fill('Fine kites');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('In words: every product where price is above €100.00.')).toBeVisible();
});

test('a sheet takes a pasted block, says what cannot be, and saves as one change', async ({ page, context }) => {
  await enter(page, shop);
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  // What is typed as a condition counts in the sheet too.
  await page.goto(`${shop.url}/desk/goods?q=sled+1,+price+at+most+100`);
  await page.getByRole('link', { name: 'Edit as a sheet' }).click();
  // The list of goods, from which one comes, has rows and cells too.
  const cell = (row: number, column: string) =>
    page
      .getByRole('grid', { name: 'Sheet' })
      .getByRole('row')
      .nth(row)
      .getByRole('gridcell')
      .nth(['Product', 'SKU', 'Price', 'Sale price', 'Cost', 'In stock'].indexOf(column));
  await cell(1, 'SKU').click();
  await page.evaluate(() => navigator.clipboard.writeText('SL-1\t20.00\nSL-2\tmuch\n'));
  await page.keyboard.press('Control+v');
  await expect(cell(1, 'Price')).toHaveText('20.00');
  await expect(page.getByText('1 cell cannot be saved: Type an amount, like 24.50.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save the other 3 cells' })).toBeEnabled();
  await cell(2, 'Price').click();
  await page.keyboard.type('21.5');
  await page.keyboard.press('Enter');
  await page.keyboard.type('30');
  await page.keyboard.press('Enter');
  await cell(1, 'In stock').click();
  await page.keyboard.type('7');
  await page.keyboard.press('Enter');
  await cell(1, 'In stock').click();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+d');
  await expect(cell(3, 'In stock')).toHaveText('7');
  await noSeriousFault(page);
  await page.getByRole('button', { name: 'Save 8 cells' }).click();
  await expect(page.getByText('Changed 8 cells of 3 products in a sheet')).toBeVisible();
  await expect(cell(3, 'Price')).toHaveText('30.00');
  await page.locator('body').press('Control+z');
  await expect(cell(3, 'In stock')).toHaveText('4');
  await cell(1, 'Cost').click();
  await page.keyboard.type('1');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Groups', exact: true }).click();
  await expect(page.getByText('One cell of the sheet is not saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Stay' }).click();
  // No key counts while a dialog is open, and under load this one takes a moment to go.
  await expect(page.getByRole('heading', { name: 'Leave without saving?' })).toBeHidden();
  // Undo takes back what is typed and not saved, never what was saved before.
  await page.locator('body').press('Control+z');
  await expect(cell(1, 'Cost')).toHaveText('3.00');
  await page.locator('body').press('Shift+Control+z');
  await expect(cell(1, 'Cost')).toHaveText('1.00');
  await page.getByRole('link', { name: 'Groups', exact: true }).click();
  await page.getByRole('button', { name: 'Leave without it' }).click();
  await expect(page).toHaveURL(/groups/);
});
