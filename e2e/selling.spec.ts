import { expect, test, type Locator, type Page } from '@playwright/test';
import type { ProductAnswer } from '../contract/product';
import type { Settings } from '../core/model/settings';
import { Hands } from './hands';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
const seen = Number.MAX_SAFE_INTEGER;

test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  const prepare = await enter(page, shop);
  const make = async (title: string, price: number, fields: object = {}, stock: number | null = 10) => {
    const { product } = await prepare<ProductAnswer>('POST', '/api/products', { title, price });
    await prepare('PATCH', `/api/products/${product.id}/variants`, {
      seen,
      changes: [{ id: product.variants[0]!.id, fields: { stock, cost: Math.round(price / 3) } }],
    });
    await prepare('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live', ...fields } });
    return product;
  };
  const kite = await make('Tern', 4_000);
  const line = await make('Line 30 m', 1_000);
  await make('Gift card', 2_500, { kind: 'giftCard' }, null);
  const plan = await make('Plan of a sled', 600, { kind: 'digital', downloadLimit: 2, downloadDays: 30 }, null);
  const file = { name: 'sled.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.4 a plan') };
  const session = (await (await page.request.get(`${shop.url}/api/session`)).json()) as { token: string };
  await page.request.post(`${shop.url}/api/products/${plan.id}/files?role=download`, {
    multipart: { files: file },
    headers: { 'X-Dispona-Token': session.token },
  });
  const slot = (id: string, label: string, of: string) => ({
    id,
    label,
    from: { how: 'picked', ids: [of] },
    min: 1,
    max: 1,
    usual: null,
  });
  const slots = [slot('z_kite0000', 'Kite', kite.id), slot('z_line0000', 'Line', line.id)];
  await make('Starter set', 5_000, { kind: 'bundle', bundle: { slots, pricing: { how: 'parts', off: 1_000 } } }, null);
  const settings = await prepare<Settings>('GET', '/api/settings');
  await prepare('PATCH', '/api/settings', {
    selling: {
      ...settings.selling,
      payments: [
        ...settings.selling.payments,
        { id: 'pay_simcard001', kind: 'card', name: 'Card', words: 'Simulated.', isOn: true, fee: 0 },
      ],
      terms: 'I know the terms.',
    },
  });
  await prepare('POST', '/api/editions', {});
  await page.close();
});
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});
test.afterAll(() => shop.stop());

/** Types over what stands in a field, as people do. */
const typeInto = (page: Page, field: Locator, text: string) => new Hands(page).replace(field, text);

const drawer = (page: Page) => page.getByRole('dialog', { name: 'Basket' });

async function addTo(page: Page, path: string): Promise<void> {
  await page.goto(shop.url + path);
  await page.getByRole('button', { name: 'Add to basket' }).click();
  await expect(drawer(page)).toBeVisible();
  await drawer(page).getByRole('button', { name: 'Close the basket' }).click();
}

async function fillIn(page: Page, mail: string): Promise<void> {
  await typeInto(page, page.getByLabel('Mail address'), mail);
  await page.getByLabel('Name', { exact: true }).fill('Ada Vane');
  if (!(await page.getByLabel('Street and number').isVisible())) return;
  await page.getByLabel('Street and number').fill('Harbour 1');
  await page.getByLabel('Postcode').fill('4401 AB');
  await page.getByLabel('Town').fill('Yerseke');
}

test('a shopper orders a bundle and a download with a code and part of a gift card; the seller sends it and pays some back', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  // The seller makes an offer as a sentence, gives it a code, and puts it live.
  await page.goto(`${shop.url}/desk/prices`);
  await page.getByRole('button', { name: 'New offer' }).first().click();
  const name = page.getByRole('textbox', { name: /Name of the offer/ });
  await typeInto(page, name, 'First wind');
  await page.getByRole('button', { name: 'What it gives' }).click();
  await page.getByLabel('Off', { exact: true }).fill('20 %');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Which goods' }).click();
  await page.getByRole('button', { name: 'all goods', exact: true }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Conditions on the basket' }).click();
  await page.getByLabel('Shoppers need a code').check();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Switch it on' }).click();
  await page.getByLabel('A code of your own').fill('wind 20');
  await page.getByRole('region', { name: 'Codes' }).getByRole('button', { name: 'Make' }).first().click();
  await expect(page.getByText('WIND20', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /^First wind, 20 % off/ })).toBeVisible();
  // Switching it on saves itself a moment later.
  await expect.poll(async () => JSON.stringify(await call('GET', '/api/offers'))).toContain('"isOn":true');
  await call('POST', '/api/editions', {});

  // Somebody buys a gift card first, and pays by card.
  const ada = await (await browser.newContext()).newPage();
  await addTo(ada, '/p/gift-card');
  await ada.goto(`${shop.url}/checkout`);
  await fillIn(ada, 'ada@example.com');
  await ada.getByRole('radio', { name: /Card/ }).check();
  await ada.getByRole('button', { name: 'Order and pay' }).click();
  await expect(ada.getByText('Something is missing')).toBeVisible();
  await expect(ada.getByLabel('Name', { exact: true })).toHaveValue('Ada Vane');
  await ada.getByLabel('I know the terms.').check();
  await ada.getByRole('button', { name: 'Order and pay' }).dblclick();
  await ada.getByRole('button', { name: 'It is declined' }).click();
  await expect(ada.getByRole('alert')).toHaveText('The card was declined. Nothing was paid.');
  await ada.getByRole('button', { name: 'It pays' }).click();
  const card = (await ada.getByRole('region', { name: 'Gift cards' }).locator('code').textContent())!;

  // From a card in a listing to the product, and on with a bundle and a download.
  await ada.goto(`${shop.url}/search`);
  await ada.locator('[data-product]').filter({ hasText: 'Starter set' }).click();
  await ada.getByRole('button', { name: 'Add to basket' }).click();
  await expect(drawer(ada).getByText('1 × Tern')).toBeVisible();
  await expect(drawer(ada).getByText('€45.00').first()).toBeVisible();
  await drawer(ada).getByRole('button', { name: 'Close the basket' }).click();
  await addTo(ada, '/p/plan-of-a-sled');
  await expect(ada.getByRole('link', { name: 'Basket 2 pieces' })).toBeVisible();
  await ada.goto(`${shop.url}/basket`);
  const code = ada.getByLabel('Code or gift card');
  await code.fill('WIND21');
  await ada.getByRole('button', { name: 'Use' }).click();
  await expect(ada.getByRole('alert')).toHaveText('We do not know this code. Please look at it again.');
  await typeInto(ada, code, 'wind20');
  await ada.keyboard.press('Enter');
  // 20 % off: the set costs 36.00 then, and the plan 4.80; the parcel costs 5.95, and the card pays 25.00.
  await expect(ada.getByText('First wind −€9.00')).toBeVisible();
  await code.fill(card);
  await ada.getByRole('button', { name: 'Use' }).click();
  await expect(ada.getByText('To pay', { exact: true })).toBeVisible();
  const total = ada.locator('dl').getByText('€21.75');
  await expect(total).toBeVisible();
  await noSeriousFault(ada);
  await ada.getByRole('link', { name: 'To the checkout' }).click();
  await fillIn(ada, 'ada@example.com');
  await ada.getByLabel('I know the terms.').check();
  await ada.getByRole('radio', { name: /Bank transfer/ }).check();
  await noSeriousFault(ada);
  await ada.getByRole('button', { name: 'Order and pay' }).click();
  await expect(ada.getByRole('heading', { name: /^Order 10/ })).toBeVisible();
  await expect(ada.getByText('not paid')).toBeVisible();
  const orderUrl = ada.url();

  // The seller: paid, sent, and part of it paid back.
  await page.goto(`${shop.url}/desk/orders`);
  await page
    .getByRole('row', { name: /Starter set/ })
    .getByRole('link')
    .click();
  await page.getByRole('button', { name: 'It is paid' }).click();
  await page.getByRole('button', { name: 'Send a parcel' }).click();
  await page.getByLabel('Tracking number').fill('LL 1');
  await page.getByRole('button', { name: 'Send the parcel' }).click();
  await expect(page.getByText(/^Sent 1 × Starter set, tracking LL 1/)).toBeVisible();
  await page.getByRole('button', { name: 'Money back' }).click();
  await page.getByLabel('Pieces of Plan of a sled').fill('1');
  await page.getByRole('button', { name: 'Pay it back' }).click();
  await expect(page.getByText('sent, refunded in part')).toBeVisible();
  await noSeriousFault(page);

  await ada.goto(orderUrl);
  await expect(ada.getByText('sent, refunded in part')).toBeVisible();
  await expect(ada.getByText('Tracking number LL 1')).toBeVisible();
  await ada.getByRole('link', { name: 'Invoice', exact: true }).click();
  await expect(ada.getByRole('heading', { name: /^Invoice/ })).toBeVisible();
  await expect(ada.getByText('First wind: −€9.00')).toBeVisible();
});

test('a download is fetched as often as it may be', async ({ browser }) => {
  const bo = await (await browser.newContext()).newPage();
  await addTo(bo, '/p/plan-of-a-sled');
  await bo.goto(`${shop.url}/checkout`);
  await fillIn(bo, 'bo@example.com');
  await bo.getByLabel('I know the terms.').check();
  await bo.getByRole('radio', { name: /Card/ }).check();
  await bo.getByRole('button', { name: 'Order and pay' }).click();
  await bo.getByRole('button', { name: 'It pays' }).click();
  const link = bo.getByRole('link', { name: /sled\.pdf/ });
  for (const left of ['2 times more', 'once more']) {
    await expect(bo.getByText(left)).toBeVisible();
    const [download] = await Promise.all([bo.waitForEvent('download'), link.click()]);
    expect(download.suggestedFilename()).toBe('sled.pdf');
    await bo.reload();
  }
  const address = (await link.getAttribute('href'))!;
  expect((await bo.request.get(shop.url + address)).status()).toBe(404);
});

test('all of it works without script, on a phone', async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 390, height: 800 } });
  const phone = await context.newPage();
  await phone.goto(`${shop.url}/p/tern`);
  await phone.getByRole('button', { name: 'Add to basket' }).click();
  await expect(phone.getByRole('heading', { name: 'Basket' })).toBeVisible();
  await phone.getByLabel('How many of Tern').fill('2');
  await phone.getByRole('button', { name: 'Change', exact: true }).click();
  await expect(phone.getByText('€80.00').first()).toBeVisible();
  await phone.getByRole('button', { name: 'Remove Tern' }).click();
  await phone.getByRole('button', { name: 'Put it back' }).click();
  await phone.getByLabel('Code or gift card').fill('NOTHING');
  await phone.getByRole('button', { name: 'Use' }).click();
  await expect(phone.getByRole('alert')).toContainText('We do not know this code');
  await phone.getByRole('link', { name: 'To the checkout' }).click();
  await phone.getByRole('button', { name: 'Order and pay' }).click();
  await expect(phone.getByText('Type the postcode.')).toBeVisible();
  await phone.getByLabel('Mail address').fill('cy@example.com');
  await phone.getByLabel('Name', { exact: true }).fill('Cy');
  await phone.getByLabel('Street and number').fill('Harbour 2');
  await phone.getByLabel('Postcode').fill('4401 AB');
  await phone.getByLabel('Town').fill('Yerseke');
  await phone.getByLabel('I know the terms.').check();
  await phone.getByRole('button', { name: 'Order and pay' }).click();
  await expect(phone.getByRole('heading', { name: /^Order 10/ })).toBeVisible();
  const width = await phone.locator('html').evaluate(({ scrollWidth }) => scrollWidth);
  expect(width).toBeLessThanOrEqual(390);
});
