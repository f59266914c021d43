import { expect, test, type Page } from '@playwright/test';
import sharp from 'sharp';
import { Hands } from './hands';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { addSection, choose, noSeriousFault, saved } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());
test.setTimeout(240_000);

/** A logo of two colours on a clear ground, wider than it is high. */
const logo = async () =>
  sharp({ create: { width: 600, height: 200, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } })
    .composite([
      { input: { create: { width: 180, height: 180, channels: 3, background: '#7a2e8e' } }, left: 10, top: 10 },
      { input: { create: { width: 380, height: 90, channels: 3, background: '#1c3d5a' } }, left: 210, top: 55 },
    ])
    .png()
    .toBuffer();

/** Follows the list to its next step, which has this title. */
async function next(page: Page, title: string): Promise<void> {
  await page.getByRole('link', { name: /^Set-up/ }).click();
  const line = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: title, exact: true }) });
  await line.getByRole('link', { name: 'Do this next' }).click();
}

test('the set-up list leads from an empty folder to an open shop', async ({ page, browser }) => {
  const hands = new Hands(page, 5);
  const window = page.frameLocator('iframe');

  await test.step('begin', async () => {
    await page.goto(`${shop.url}/desk`);
    await page.getByLabel('Name of the shop').fill('Walk & Wind');
    await page.getByLabel('Your name').fill('Kim');
    await page.getByLabel('E-mail').fill('kim@example.com');
    await page.getByLabel('Password').fill('long enough now');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'From nothing to an open shop' })).toBeVisible();
    await noSeriousFault(page, 'set-up');
  });

  await test.step('examples to look at, which count for nothing', async () => {
    await page.getByRole('button', { name: 'Load examples' }).click();
    await expect(page.getByText('6 example products are in the shop')).toBeVisible();
    await expect(page.getByText('0 of 15 done')).toBeVisible();
  });

  await test.step('what it is about', async () => {
    await next(page, 'Say what the shop is about');
    await hands.replace(page.getByLabel('In one sentence'), 'Kites for any wind.');
    await saved(page);
  });

  await test.step('a product with a picture and a price, on the shop', async () => {
    await next(page, 'Add your first product');
    await page.getByRole('button', { name: 'New product' }).click();
    await hands.replace(page.getByLabel('Title', { exact: true }), 'Harrier delta');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('heading', { name: 'Harrier delta' })).toBeVisible();
    await next(page, 'Give it a picture');
    await page
      .getByLabel('Add pictures')
      .setInputFiles([{ name: 'a.png', mimeType: 'image/png', buffer: await plainPicture('#e4572e') }]);
    await expect(page.locator('#pictures li img')).toHaveCount(1);
    await next(page, 'Give it a price, and put it on the shop');
    await hands.replace(page.getByLabel(/^Price(,|$)/).first(), '64');
    await saved(page);
    await page.getByRole('button', { name: 'Put on the shop' }).click();
    await expect(page.getByRole('button', { name: 'Take off the shop' })).toBeVisible();
  });

  await test.step('tax is right as it is; delivery and returns in two sentences', async () => {
    await page.getByRole('link', { name: /^Set-up/ }).click();
    const tax = page.getByRole('listitem').filter({ hasText: 'Check the tax' });
    await tax.getByRole('button', { name: 'Leave it as it is' }).click();
    const selling = page.getByRole('listitem').filter({ hasText: 'Check what delivery costs' });
    await selling.getByRole('button', { name: 'Leave it as it is' }).click();
    await next(page, 'Say how you deliver and take returns');
    await hands.replace(page.getByLabel('Delivery', { exact: true }), 'Sent within two days.');
    await hands.replace(page.getByLabel('Returns', { exact: true }), '30 days to change your mind.');
    await saved(page);
    await expect(window.getByText('Sent within two days.')).toBeVisible();
  });

  await test.step('the product page is put into another order, seen on a product that has it all', async () => {
    const grip = page
      .getByRole('listitem')
      .filter({ hasText: 'Delivery and returns, in your words' })
      .getByRole('button', { name: /^Move/ });
    await grip.focus();
    await page.keyboard.press('Space');
    for (let i = 0; i < 3; i++) {
      await page.keyboard.press('ArrowUp');
      await page.waitForTimeout(250);
    }
    await page.keyboard.press('Space');
    await page.getByRole('listitem').filter({ hasText: 'SKU' }).getByRole('checkbox').click();
    await saved(page);
    await noSeriousFault(page, 'product page');
  });

  await test.step('a category, in the menu, and a home page', async () => {
    await next(page, 'Make a category and put goods into it');
    await page.getByRole('button', { name: 'Add a category' }).click();
    await page.getByLabel('Name of the new category').fill('Kites');
    await page.getByLabel('Name of the new category').press('Enter');
    await page.getByLabel('Name of the new category').press('Escape');
    await page
      .getByRole('link', { name: /^Kites/ })
      .first()
      .click();
    await choose(page, 'Add a product', 'Harrier delta');
    await expect(window.getByText('Harrier delta').first()).toBeVisible();
    await next(page, 'Put it into the menu');
    await choose(page, 'Add to the menu', 'Kites');
    await expect(page.getByLabel('Words in the menu for Kites')).toBeVisible();
    await next(page, 'Build the home page');
    await addSection(page, 'Strip of goods');
    await choose(page, 'Choose a collection or category', 'Kites');
    await saved(page);
  });

  await test.step('a logo whose colours are taken, and a notice seen at each keystroke', async () => {
    await next(page, 'Choose a look');
    await page.getByRole('link', { name: 'Logo and notice' }).click();
    await page
      .locator('input[type=file][aria-label=Logo]')
      .setInputFiles([{ name: 'logo.png', mimeType: 'image/png', buffer: await logo() }]);
    await saved(page);
    await expect(window.getByRole('banner').getByRole('img', { name: 'Walk & Wind' }).first()).toBeVisible();
    await page.getByRole('link', { name: 'Colours and fonts' }).click();
    await page.getByRole('button', { name: /^Almanac/ }).click();
    await page.getByRole('button', { name: 'Take this look' }).click();
    await page.getByRole('button', { name: 'Colours from your logo' }).click();
    await page.getByRole('button', { name: 'Take this look' }).click();
    await expect(page.getByText('All text is easy to read')).toBeVisible();
    await saved(page);
    const hue = await window.locator('html').evaluate((root) => getComputedStyle(root).getPropertyValue('--color-sea'));
    expect(hue.trim()).not.toBe('#8a3b1f');
  });

  await test.step('two filters hidden, the others in the order that divides best', async () => {
    await page.getByRole('link', { name: 'Listings', exact: true }).click();
    for (const name of ['Brand', 'Stock']) await page.getByRole('checkbox', { name, exact: true }).click();
    await saved(page);
    await noSeriousFault(page, 'listings');
  });

  await test.step('who stands behind it, and legal pages filled with that', async () => {
    await next(page, 'Add the legal pages');
    await page.getByRole('button', { name: 'Make all and put them at the foot' }).click();
    await expect(page.getByText(/still blank: .*Company/).first()).toBeVisible();
    await page.getByRole('link', { name: 'contact details' }).click();
    for (const [label, words] of [
      ['Company', 'Walk & Wind'],
      ['Responsible person', 'Kim Tern'],
      ['Street and number', 'Quay 4'],
      ['Postcode', '1234'],
      ['Town', 'Windhaven'],
      ['Country', 'Netherlands'],
      ['Registration number', '00 12 34'],
      ['VAT number', 'NL0012'],
      ['Mail', 'kim@example.com'],
      ['Phone', '+31 20 555'],
    ] as const)
      await hands.replace(page.getByLabel(label, { exact: true }), words);
    await saved(page);
    await noSeriousFault(page, 'contact');
    await page.getByRole('link', { name: 'Legal pages' }).click();
    await expect(page.getByText('complete')).toHaveCount(5);
  });

  await test.step('the examples go in one step; an address; live', async () => {
    await page.getByRole('link', { name: /^Set-up/ }).click();
    await page.getByRole('button', { name: 'Remove them' }).click();
    await expect(page.getByRole('button', { name: 'Load examples' })).toBeVisible();
    const domain = page.getByRole('listitem').filter({ hasText: 'Choose an address' });
    await domain.getByRole('button', { name: 'Leave it as it is' }).click();
    await next(page, 'Put it live');
    await page.getByRole('button', { name: /^Put .* live$/ }).click();
    await expect(page.getByText('Shoppers see everything you have')).toBeVisible();
  });

  const shopper = await (await browser.newContext({ viewport: { width: 390, height: 800 } })).newPage();
  await test.step('until it is opened, shoppers read that it is closed', async () => {
    expect((await shopper.goto(shop.url))?.status()).toBe(503);
    await next(page, 'Open the shop');
    await page.getByRole('button', { name: 'Open the shop' }).click();
    await expect(page.getByRole('heading', { name: 'The shop is open' })).toBeVisible();
    await expect(page.getByRole('link', { name: /^Set-up/ })).toHaveCount(0);
  });

  await test.step('and then they find it, as it was made', async () => {
    expect((await shopper.goto(shop.url))?.status()).toBe(200);
    await expect(shopper.getByRole('banner').getByRole('img', { name: 'Walk & Wind' }).first()).toBeVisible();
    await shopper
      .getByRole('link', { name: /Harrier delta/ })
      .first()
      .click();
    await expect(shopper.getByText('30 days to change your mind.')).toBeVisible();
    await expect(shopper.getByText(/^SKU/)).toHaveCount(0);
    await noSeriousFault(shopper, 'shop');
    await shopper.goto(`${shop.url}/page/imprint`);
    await expect(shopper.getByText('Kim Tern')).toBeVisible();
    await shopper.setViewportSize({ width: 320, height: 640 });
    expect(await shopper.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  });
});

test('somebody who is invited comes in by the link, once, and helps', async ({ page, browser }) => {
  const account = { email: 'kim@example.com', password: 'long enough now' };
  await page.request.post(`${shop.url}/api/session`, { data: account });
  await page.goto(`${shop.url}/desk/shopfront?view=settings&part=people`);
  await page.getByLabel('Their mail address').fill('robin@example.com');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = (await page.getByText(/\/desk\/join#/).textContent())!;
  const robin = await (await browser.newContext()).newPage();
  await robin.goto(link);
  await expect(robin.getByRole('heading', { name: 'Help with Walk & Wind' })).toBeVisible();
  await robin.getByLabel('Your name').fill('Robin');
  await robin.getByLabel('A password').fill('a gust before noon');
  await robin.getByRole('button', { name: 'Come in' }).click();
  await expect(robin.getByRole('link', { name: 'Goods', exact: true })).toBeVisible();
  await robin.goto(`${shop.url}/desk/shopfront?view=settings&part=people`);
  await expect(robin.getByText('robin@example.com')).toBeVisible();
  await expect(robin.getByRole('heading', { name: 'Invite somebody' })).toHaveCount(0);
  const other = await (await browser.newContext()).newPage();
  await other.goto(link);
  await expect(other.getByRole('heading', { name: 'This link does not work' })).toBeVisible();
});
