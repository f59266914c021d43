import { expect, test } from '@playwright/test';
import { Hands } from './hands';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { addSection, choose, enter, noSeriousFault } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());

test('the tour leads from an empty shop to a product that shoppers see, by real work', async ({ page }) => {
  const hands = new Hands(page, 6);
  await enter(page, shop);
  await page.goto(`${shop.url}/desk/`);
  await page.getByRole('button', { name: 'Help, and a tour of three minutes' }).click();
  await noSeriousFault(page, 'help of an empty shop');
  await page.getByRole('button', { name: 'First tour, three minutes' }).click();
  const tour = page.getByRole('complementary', { name: 'First tour' });
  const step = (title: string) => expect(tour.getByRole('heading', { name: title })).toBeVisible();
  const go = () => tour.getByRole('button', { name: 'Take me there' }).click();

  await step('Add a product');
  await go();
  await expect(page.locator('[data-pointed]')).toHaveText(/New product/);
  await page.getByRole('button', { name: 'New product' }).first().click();
  await hands.replace(page.getByLabel('Title', { exact: true }), 'Curlew delta');
  await page.getByLabel('Price').fill('39');
  await page.getByRole('button', { name: 'Add it' }).click();

  await step('Give it a face');
  await go();
  await page
    .getByLabel('Add pictures')
    .setInputFiles([{ name: 'a.png', mimeType: 'image/png', buffer: await plainPicture('#1d4f91') }]);

  await step('Put it on the shop');
  await page.reload();
  await step('Put it on the shop');
  await page.getByRole('button', { name: 'Put on the shop' }).click();

  await step('Make a shelf that fills itself');
  await go();
  await page.getByRole('button', { name: 'Fill by rule' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill('Fresh');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Make|Add/ })
    .click();
  await page.getByRole('combobox', { name: 'Add a condition' }).fill('Stock');
  await page.getByRole('option', { name: 'Stock', exact: true }).click();

  await step('Let shoppers meet it');
  await go();
  await addSection(page, 'Strip of goods');
  await choose(page, 'Choose a collection or category', 'Fresh');
  await noSeriousFault(page, 'the tour over the pages');

  await step('Put it live');
  await go();
  await page.getByRole('button', { name: /^Put \d+ changes? live/ }).click();
  await step('That is the whole way');
  await tour.getByRole('button', { name: 'Done' }).click();
  await expect(tour).toBeHidden();
  expect(await (await fetch(`${shop.url}/`)).text()).toContain('Curlew delta');
});

test('the key ? explains the desk with the goods of the shop; it is searched, and fits a phone', async ({ page }) => {
  await enter(page, shop);
  await page.goto(`${shop.url}/desk/prices`);
  await expect(page.getByRole('heading', { name: 'Prices' })).toBeVisible();
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Help' });
  await expect(help.getByRole('heading', { name: 'The floor' })).toBeVisible();
  await page.getByLabel('Search the help').pressSequentially('pinn', { delay: 60 });
  await expect(help.getByRole('heading', { name: /Pinning and leaving out/ })).toBeVisible();
  await noSeriousFault(page, 'help');
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
  await help.getByRole('button', { name: 'Keys, and conditions to type' }).click();
  await expect(page.getByRole('heading', { name: 'Keys, and conditions to type' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Help' }).click();
  await expect(help.getByRole('heading', { name: 'The floor' })).toBeVisible();
});
