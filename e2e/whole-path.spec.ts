import { expect, test } from '@playwright/test';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { addSection, choose, noSeriousFault, saved } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());

test('from an empty folder to a product that a shopper finds, and back', async ({ page, browser }) => {
  const failures: string[] = [];
  page.on('pageerror', (error) => failures.push(error.message));

  await test.step('begin the shop', async () => {
    await page.goto(`${shop.url}/desk`);
    await page.getByLabel('Name of the shop').fill('Walk & Wind');
    await page.getByLabel('Your name').fill('Kim');
    await page.getByLabel('E-mail').fill('kim@example.com');
    await page.getByLabel('Password').fill('short');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('at least 12 characters')).toBeVisible();
    await page.getByLabel('Password').fill('long enough now');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'From nothing to an open shop' })).toBeVisible();
  });

  await test.step('make a category', async () => {
    await page.getByRole('link', { name: 'Groups', exact: true }).click();
    await page.getByRole('button', { name: 'Add a category' }).click();
    await page.getByLabel('Name of the new category').fill('Kites');
    await page.getByLabel('Name of the new category').press('Enter');
    await page.getByLabel('Name of the new category').press('Escape');
    await expect(page.getByRole('link', { name: /^Kites/ }).first()).toBeVisible();
  });

  await test.step('add a product; an empty title and a wrong price are told at the field', async () => {
    await page.getByRole('link', { name: 'Goods', exact: true }).click();
    await page.getByRole('button', { name: 'New product' }).click();
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByText('A product needs a title.')).toBeVisible();
    await page.getByLabel('Title', { exact: true }).fill('Harrier delta');
    await page.getByLabel('Price').fill('sixty');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByText('Type an amount, like 24.50.')).toBeVisible();
    await page.getByLabel('Price').fill('64');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('heading', { name: 'Harrier delta' })).toBeVisible();
  });

  await test.step('words save by themselves, and a wrong address stays on screen with its reason', async () => {
    await page.getByLabel('Summary', { exact: true }).fill('Lifts in a whisper.');
    await saved(page);
    await page.getByRole('textbox', { name: 'Description', exact: true }).click();
    await page.keyboard.type('Two lines of words.');
    await saved(page);
    await page.getByLabel('Address').fill('kites/harrier');
    await expect(page.getByRole('alert').filter({ hasText: 'no slashes or spaces' })).toBeVisible();
    await expect(page.getByLabel('Address')).toHaveValue('kites/harrier');
    await page.getByLabel('Address').fill('harrier');
    await saved(page);
  });

  await test.step('two options make four variants; a second value of one name is refused', async () => {
    await page.getByLabel('New option').fill('Colourway');
    await page.getByLabel('New option').press('Enter');
    const value = page.getByLabel('New value of Colourway');
    for (const name of ['Ember', 'Sea']) {
      await value.fill(name);
      await value.press('Enter');
    }
    await expect(page.getByRole('row', { name: /Sea/ })).toBeVisible();
    await value.fill('ember');
    await value.press('Enter');
    await expect(page.getByText('“ember” is already a value of Colourway.', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Back to what is saved' }).click();
    await page.getByLabel('New option').fill('Size');
    await page.getByLabel('New option').press('Enter');
    for (const name of ['Small', 'Large']) {
      await page.getByLabel('New value of Size').fill(name);
      await page.getByLabel('New value of Size').press('Enter');
    }
    await expect(page.getByText('2 × 2 = 4 variants')).toBeVisible();
    await expect(page.getByLabel('Price, Sea · Large', { exact: true })).toHaveValue('64.00');
  });

  await test.step('pictures: two are taken, a text file is refused by name', async () => {
    await page.getByLabel('Add pictures').setInputFiles([
      { name: 'ember.png', mimeType: 'image/png', buffer: await plainPicture('#e4572e') },
      { name: 'sea.png', mimeType: 'image/png', buffer: await plainPicture('#1d4f91', 700, 900) },
      { name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('only words') },
    ]);
    await expect(page.getByText('content is not one')).toBeVisible();
    await expect(page.locator('#pictures li img')).toHaveCount(2);
    await page.getByLabel('Picture of Sea · Large').selectOption({ index: 2 });
    await saved(page);
  });

  await test.step('prices: a sale price above the price and a negative one are told in the cell', async () => {
    const cell = page.getByLabel('Sale price, Ember · Small');
    await cell.fill('70');
    await expect(page.getByRole('alert').filter({ hasText: 'The sale price must be below the price.' })).toBeVisible();
    await cell.fill('-3');
    await expect(page.getByRole('alert').filter({ hasText: 'A price cannot be below zero.' })).toBeVisible();
    await cell.fill('58');
    await page.getByLabel('Price, Sea · Large', { exact: true }).fill('79');
    await page.getByLabel('In stock, Sea · Large').fill('5');
    await page.getByLabel('In stock, Sea · Small').fill('0');
    await saved(page);
  });

  await test.step('belongs to', async () => {
    await choose(page, 'Add a category', 'Kites');
    await page.getByRole('combobox', { name: 'Add a tag' }).fill('light wind');
    await page.getByRole('option', { name: /New tag/ }).click();
    await expect(page.getByRole('button', { name: 'Remove light wind' })).toBeVisible();
    await page.getByRole('button', { name: 'Put on the shop' }).click();
    await expect(page.getByRole('button', { name: 'Take off the shop' })).toBeVisible();
    await noSeriousFault(page, 'product');
  });

  await test.step('a collection filled by rule shows its members while it is made', async () => {
    await page.getByRole('link', { name: 'Groups', exact: true }).click();
    await page.getByRole('button', { name: 'Fill by rule' }).click();
    await page.getByLabel('Name').fill('Whisper wind');
    await page.getByRole('button', { name: 'Make it' }).click();
    await expect(page.getByText('A rule without conditions takes in nothing.')).toBeVisible();
    await choose(page, 'Add a condition', 'Tag');
    await choose(page, 'Value of Tag', 'light wind');
    await expect(page.getByRole('heading', { name: /^1 in/ })).toBeVisible();
    await expect(page.getByText('In words: every product where tag is light wind.')).toBeVisible();
    await saved(page);
    await noSeriousFault(page, 'collection');
  });

  await test.step('place it on the home page and in the menu', async () => {
    await page.getByRole('link', { name: 'Shopfront', exact: true }).click();
    await addSection(page, 'Strip of goods');
    await choose(page, 'Choose a collection or category', 'Whisper wind');
    await saved(page);
    await page.getByRole('tab', { name: 'Menu' }).click();
    await choose(page, 'Add to the menu', 'Whisper wind');
    await expect(page.getByLabel('Words in the menu for Whisper wind')).toBeVisible();
    await choose(page, 'Add to the menu', 'Kites');
    await noSeriousFault(page, 'shopfront');
  });

  await test.step('the shop window shows it already; shoppers do not', async () => {
    const window = page.frameLocator('iframe');
    await expect(window.getByRole('link', { name: /Harrier delta/ }).first()).toBeVisible();
    await expect(window.getByRole('link', { name: 'Whisper wind' }).first()).toBeVisible();
    expect((await page.request.get(`${shop.url}/p/harrier`)).status()).toBe(404);
  });

  await test.step('review, and put it live', async () => {
    await page.getByRole('link', { name: /^Review/ }).click();
    await expect(page.getByRole('link', { name: 'Harrier delta' })).toBeVisible();
    await noSeriousFault(page, 'review');
    await page.getByLabel('What this edition is about').fill('Opening');
    await page.getByRole('button', { name: /^Put .* live$/ }).click();
    await expect(page.getByText('Shoppers see everything you have')).toBeVisible();
  });

  await test.step('a new shop is closed until it is opened', async () => {
    expect((await browser.newContext().then((context) => context.request.get(shop.url))).status()).toBe(503);
    await page.goto(`${shop.url}/desk/shopfront?view=settings&part=opening`);
    await page.getByRole('button', { name: 'Open the shop' }).click();
    await expect(page.getByRole('heading', { name: 'The shop is open' })).toBeVisible();
  });

  const shopper = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  shopper.on('pageerror', (error) => failures.push(error.message));

  await test.step('a shopper searches, filters, sorts, opens the product and picks a variant', async () => {
    await shopper.goto(shop.url);
    await expect(shopper.getByRole('heading', { name: 'Whisper wind' })).toBeVisible();
    await shopper.getByRole('combobox', { name: 'Search the shop' }).pressSequentially('harier');
    await expect(shopper.getByRole('option', { name: /Harrier delta/ })).toBeVisible();
    await shopper.getByRole('combobox', { name: 'Search the shop' }).press('Enter');
    await expect(shopper).toHaveURL(/\/search\?q=harier/);
    await shopper.goto(`${shop.url}/c/kites`);
    await shopper.getByRole('checkbox', { name: /^Sea/ }).click();
    await expect(shopper).toHaveURL(/f\.colourway=sea/);
    await shopper.getByLabel('Sort').selectOption('price-up');
    await expect(shopper).toHaveURL(/sort=price-up/);
    await noSeriousFault(shopper, 'listing');
    await shopper.getByRole('link', { name: /Harrier delta/ }).click();
    await expect(shopper.getByRole('button', { name: 'Sea', pressed: true })).toBeVisible();
    await shopper.getByRole('button', { name: 'Large' }).click();
    await expect(shopper.getByText('€79.00')).toBeVisible();
    await expect(shopper.getByText('In stock')).toBeVisible();
    await shopper.getByRole('button', { name: 'Small' }).click();
    await expect(shopper.getByText('Sold out in this version')).toBeVisible();
    await shopper.getByRole('button', { name: 'Ember' }).click();
    await expect(shopper.getByText('€58.00')).toBeVisible();
    await noSeriousFault(shopper, 'shop product');
  });

  await test.step('undo takes back the last change; going back an edition restores what shoppers saw', async () => {
    await page.getByRole('link', { name: 'Goods', exact: true }).click();
    await page.getByRole('link', { name: 'Harrier delta' }).click();
    await page.getByLabel('Title', { exact: true }).fill('Harrier delta 180');
    await saved(page);
    await page.getByRole('link', { name: /^Review/ }).click();
    await page.getByRole('button', { name: /^Put .* live$/ }).click();
    await expect(page.getByText('Shoppers see everything you have')).toBeVisible();
    await shopper.reload();
    await expect(shopper.getByRole('heading', { name: 'Harrier delta 180' })).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByText('Undone: Changed title of “Harrier delta 180”')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Put 1 change live' })).toBeVisible();
    await page.getByRole('button', { name: 'Go back to this' }).click();
    await page.getByRole('button', { name: 'Make it live again' }).click();
    await expect(page.getByText('Shoppers see everything you have')).toBeVisible();
    await shopper.reload();
    await expect(shopper.getByRole('heading', { name: 'Harrier delta', exact: true })).toBeVisible();
  });

  expect(failures).toEqual([]);
});
