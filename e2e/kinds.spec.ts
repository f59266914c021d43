import { expect, test } from '@playwright/test';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());

test('a bundle is put together, told what runs out first, and chosen by a shopper with its sum', async ({ page }) => {
  const call = await enter(page, shop);
  const part = async (title: string, price: number, stock: number) => {
    const { product } = await call('POST', '/api/products', { title, price });
    const seen = Number.MAX_SAFE_INTEGER;
    await call('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live' } });
    const changes = product.variants.map(({ id }) => ({ id, fields: { stock } }));
    await call('PATCH', `/api/products/${product.id}/variants`, { seen, changes });
  };
  await part('Harrier delta', 6_000, 9);
  await part('Wren sled', 2_000, 5);
  await part('Twisted line', 1_000, 3);
  const { product } = await call('POST', '/api/products', { title: 'Starter kit', kind: 'bundle' });
  await page.goto(`${shop.url}/desk/goods/${product.id}`);

  await test.step('two slots, the second with one thing in it', async () => {
    const add = async (slot: string, name: string, ...titles: string[]) => {
      await page.getByRole('button', { name: 'Slot', exact: true }).click();
      await page.getByLabel(`Name of slot ${slot}`).fill(name);
      for (const title of titles) {
        const row = page.locator('#bundle li').filter({ has: page.getByLabel(`Name of slot ${name}`) });
        await row.getByRole('combobox', { name: 'Add a product' }).fill(title);
        await page.getByRole('option', { name: title }).click();
        await expect(row.getByText(title, { exact: true }).first()).toBeVisible();
      }
    };
    await add('Part 1', 'Kite', 'Harrier delta', 'Wren sled');
    await add('Part 2', 'Line', 'Twisted line');
    await expect(page.getByText('Can be made 3 times; “Line” runs out first.')).toBeVisible();
  });

  await test.step('priced by its parts, and what does not fit is told where it is typed', async () => {
    await page.getByRole('button', { name: /^How the bundle is priced/ }).click();
    await page.getByRole('option', { name: 'its parts, less a percentage' }).click();
    await expect(page.getByText('Costs €27.00–63.00.')).toBeVisible();
    await page.getByLabel('Fewest pieces of Kite').fill('2');
    await expect(page.getByText('Not saved yet: Kite: the most cannot be below the fewest.')).toBeVisible();
    await page.getByLabel('Fewest pieces of Kite').fill('1');
    await expect(page.getByText('Not saved yet')).toBeHidden();
    await noSeriousFault(page);
  });

  await test.step('a shopper chooses, and sees the sum', async () => {
    await page.getByRole('button', { name: 'Put on the shop' }).click();
    await expect(page.getByText('saved just now').first()).toBeVisible();
    await call('POST', '/api/editions', {});
    await page.goto(`${shop.url}/p/${product.slug}`);
    const sum = page.getByText('Together').locator('..');
    await expect(sum).toContainText('€63.00');
    await expect(sum).toContainText('€7.00 saved');
    await page.getByRole('button', { name: 'Choose Wren sled' }).click();
    await expect(sum).toContainText('€27.00');
    await noSeriousFault(page);
  });
});

test('a digital product gets its files, and the shop gives away the sample only', async ({ page }) => {
  const call = await enter(page, shop);
  const { product } = await call('POST', '/api/products', { title: 'Build plan', kind: 'digital', price: 600 });
  await page.goto(`${shop.url}/desk/goods/${product.id}`);
  const file = (name: string, text: string) => ({ name, mimeType: 'application/pdf', buffer: Buffer.from(text) });
  await page.getByLabel('Add a download').setInputFiles([file('plan.pdf', 'all'), file('again.pdf', 'all')]);
  await expect(page.getByLabel('Name of plan.pdf')).toBeVisible();
  await expect(page.getByText('This is the same file as “plan.pdf”.')).toBeVisible();
  await page.getByLabel('Add a sample').setInputFiles([file('first page.pdf', 'one')]);
  await page.getByLabel('Name of plan.pdf').fill('All pages.pdf');
  await page.getByLabel('How often each can be fetched').fill('often');
  await expect(page.getByText('Type a whole number, or nothing.', { exact: true })).toBeVisible();
  await page.getByLabel('How often each can be fetched').fill('5');
  await expect(page.getByText('saved just now').first()).toBeVisible();
  await page.getByRole('button', { name: 'Put on the shop' }).click();
  await expect(page.getByText('saved just now').first()).toBeVisible();
  await call('POST', '/api/editions', {});
  await page.goto(`${shop.url}/p/${product.slug}`);
  await expect(page.getByText('All pages.pdf')).toBeVisible();
  await expect(page.getByText('Each can be fetched 5 times.')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'first page.pdf' }).click();
  expect((await download).suggestedFilename()).toBe('first page.pdf');
});

test('options: values from a list, dragged by keys, merged when they go, with a picture as swatch', async ({
  page,
}) => {
  const call = await enter(page, shop);
  const choices = ['Ember', 'Pine', 'Sea'].map((name) => ({ name, swatch: '#0f6b5f' }));
  await call('POST', '/api/option-lists', { name: 'Colourway', choices });
  const { product } = await call('POST', '/api/products', { title: 'Petrel', price: 9_000 });
  await page.goto(`${shop.url}/desk/goods/${product.id}`);
  const names = () =>
    page
      .getByLabel('Value of Colourway', { exact: true })
      .evaluateAll((inputs) => inputs.map((input) => (input as HTMLInputElement).value));

  await test.step('all values of a list at once', async () => {
    await page.getByLabel('New option').fill('Colourway');
    await page.getByLabel('New option').press('Enter');
    await page.getByRole('button', { name: 'lists', exact: true }).click();
    await page.getByRole('button', { name: 'Take all of Colourway (3)' }).click();
    await expect(page.getByRole('button', { name: 'list: Colourway' })).toBeVisible();
    expect(await names()).toEqual(['Ember', 'Pine', 'Sea']);
  });

  await test.step('values typed faster than they are saved are all there, each once', async () => {
    const slow = '**/api/products/*/options';
    await page.route(slow, async (route) => {
      await new Promise((wait) => setTimeout(wait, 300));
      await route.continue();
    });
    const field = page.getByLabel('New value of Colourway');
    for (const value of ['Moss', 'Rose', 'Slate']) {
      await field.fill(value);
      await field.press('Enter');
    }
    await expect(page.getByText('6 variants').first()).toBeVisible();
    await expect.poll(names).toEqual(['Ember', 'Pine', 'Sea', 'Moss', 'Rose', 'Slate']);
    await expect(page.getByLabel('In stock, Slate', { exact: true })).toBeVisible();
    await page.unroute(slow);
    for (const value of ['Moss', 'Rose', 'Slate']) {
      await page.getByRole('button', { name: `Remove ${value}` }).click();
      await expect(page.getByLabel(`In stock, ${value}`, { exact: true })).toBeHidden();
    }
  });

  await test.step('Sea goes one to the left by keys', async () => {
    await page.getByRole('button', { name: /^Move Sea/ }).focus();
    // Each key is told to whoever cannot see it; the next one comes after that.
    const told = page.getByRole('status').filter({ hasText: /draggable item/i });
    await page.keyboard.press('Space');
    await expect(told).toContainText('was moved over');
    const whereItWas = (await told.textContent())!;
    await page.keyboard.press('ArrowLeft');
    await expect(told).not.toHaveText(whereItWas);
    await page.keyboard.press('Space');
    await expect.poll(names).toEqual(['Ember', 'Sea', 'Pine']);
  });

  await test.step('a picture stands for a value, and is tied to it from its own side', async () => {
    const picture = { name: 'a.png', mimeType: 'image/png', buffer: await plainPicture('#e4572e') };
    await page.locator('#pictures input[type=file]').setInputFiles([picture]);
    await expect(page.locator('#pictures img')).toHaveCount(1);
    await page.getByRole('button', { name: 'Swatch of Ember' }).click();
    await page.getByRole('button', { name: 'Picture 1 for Ember' }).click();
    await expect(page.getByRole('button', { name: 'Swatch of Ember' }).locator('img')).toBeVisible();
    await page.locator('#pictures img').hover();
    await page.getByRole('button', { name: 'edit', exact: true }).click();
    await page.getByRole('button', { name: 'Ember', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Ember', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'Cancel' }).click();
  });

  await test.step('a value with stock asks, and gives it to another', async () => {
    await page.getByLabel('In stock, Pine', { exact: true }).fill('4');
    await page.getByLabel('In stock, Ember', { exact: true }).fill('3');
    await expect(page.getByText('saved just now').first()).toBeVisible();
    await page.getByRole('button', { name: 'Remove Pine' }).click();
    await expect(page.getByText('Pine: 4 in stock')).toBeVisible();
    await page.getByRole('button', { name: /^Merge into/ }).click();
    await page.getByRole('option', { name: 'Ember' }).click();
    await page.getByRole('button', { name: 'Merge', exact: true }).click();
    await expect(page.getByLabel('In stock, Ember', { exact: true })).toHaveValue('7');
    await expect(page.getByLabel('In stock, Pine', { exact: true })).toBeHidden();
  });

  await test.step('the price says why', async () => {
    await page.getByLabel('Cost, Ember', { exact: true }).fill('30');
    await expect(page.getByText('saved just now').first()).toBeVisible();
    await page.getByRole('button', { name: 'Why: price and margin of Ember' }).click();
    await expect(page.getByText('Left over')).toBeVisible();
    await expect(page.getByText('€44.38')).toBeVisible();
    await page.keyboard.press('Escape');
    await noSeriousFault(page);
  });
});

test('a description takes a table and a link; a category is made where it is needed', async ({ page }) => {
  const call = await enter(page, shop);
  const { product } = await call('POST', '/api/products', { title: 'Fulmar', price: 9_000 });
  await page.goto(`${shop.url}/desk/goods/${product.id}`);
  const text = page.getByRole('textbox', { name: 'Description', exact: true });
  await text.fill('Read more');
  await text.press('Control+a');
  await page.getByRole('button', { name: 'Link', exact: true }).click();
  await page.getByLabel('Leads to').fill('larkandline.example/wind');
  await page.getByRole('button', { name: 'Set the link' }).click();
  await expect(text.getByRole('link')).toHaveAttribute('href', 'https://larkandline.example/wind');
  await text.press('End');
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  await page.getByRole('button', { name: 'Put a table here' }).click();
  await expect(text.getByRole('cell').or(text.getByRole('columnheader'))).toHaveCount(9);
  await page.keyboard.type('Wind');
  await expect(page.getByText('saved just now').first()).toBeVisible();

  await page.getByRole('combobox', { name: 'Add a category' }).fill('Deltas');
  await page.getByRole('option', { name: 'New category “Deltas”' }).click();
  const saved = page.waitForResponse(
    (response) => response.request().method() === 'PATCH' && !!response.request().postData()?.includes('categoryIds'),
  );
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.locator('#belongs').getByText('Deltas', { exact: true })).toBeVisible();
  await saved;

  await page.reload();
  await expect(text.getByRole('columnheader', { name: 'Wind' })).toBeVisible();
  await expect(page.locator('#belongs').getByText('Deltas', { exact: true })).toBeVisible();
});
