import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Hands } from './hands';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, saved, type Call } from './steps';

let shop: RunningShop;
let call: Call;
let host: Server;
/** what the page of the other site is made of */
let lines: string[] = [];
test.beforeAll(async () => {
  shop = await startShop();
  // Styles that would break whatever let them in; a policy as strict as a careful site has.
  const style = 'button, img, li, h2, dialog { display: none !important; font-size: 90px !important }';
  host = createServer((request, response) => {
    if (request.url === '/page.css') return void response.setHeader('Content-Type', 'text/css').end(style);
    response.setHeader('Content-Type', 'text/html');
    response.setHeader(
      'Content-Security-Policy',
      `default-src 'none'; script-src ${shop.url}; img-src ${shop.url}; style-src 'self'; connect-src 'none'`,
    );
    response.end(
      `<!doctype html><html lang="en"><head><title>A club</title><link rel="stylesheet" href="/page.css"></head>` +
        `<body><main><h1>A club</h1>${lines.join('')}</main></body></html>`,
    );
  }).listen(0, '127.0.0.1');
  await new Promise((resolve) => host.once('listening', resolve));
});
test.afterAll(async () => {
  host.closeAllConnections();
  host.close();
  await shop.stop();
});
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});

async function kite(title: string, price: number): Promise<string> {
  const { product, revision } = await call<{ product: { id: string }; revision: number }>('POST', '/api/products', {
    title,
    price,
  });
  await call('PATCH', `/api/products/${product.id}`, { seen: revision, fields: { status: 'live' } });
  return product.id;
}

test('goods stand on a page of another site, open there, fill a basket and lead to the shop; a change shows at the next load', async ({
  page,
}) => {
  const hands = new Hands(page, 5);
  await kite('Tern', 2_500);
  await kite('Wren', 1_000);
  await page.goto(`${shop.url}/desk/shopfront?view=elsewhere`);
  await page.getByRole('button', { name: 'New', exact: true }).click();
  await page.getByRole('button', { name: /^Goods from/ }).click();
  await page.getByRole('option', { name: 'newest goods' }).click();
  const sample = page.frameLocator('iframe[title^="A page of another site"]');
  await expect(sample.getByRole('button', { name: /Tern/ })).toBeVisible();
  await hands.replace(page.getByLabel('Title', { exact: true }), 'From our shop');
  await expect(sample.getByRole('heading', { name: 'From our shop' })).toBeVisible();
  await noSeriousFault(page);
  const snippet = page.getByRole('textbox', { name: 'Lines for the other site' });
  await expect(snippet).toHaveValue(/dispona-goods/);
  const text = await snippet.inputValue();
  // The same goods twice, and once more by another copy of the lines.
  lines = [text, text];
  await saved(page);
  await call('POST', '/api/editions', {});

  const { port } = host.address() as AddressInfo;
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  const problems: string[] = [];
  page.on('console', (message) => message.type() === 'error' && problems.push(message.text()));
  await page.goto(`http://127.0.0.1:${port}/`);
  const first = page.locator('dispona-goods').first();
  await expect(first.getByRole('button', { name: /Tern/ })).toBeVisible();
  await expect(page.locator('dispona-goods').nth(1).getByRole('button', { name: /Wren/ })).toBeVisible();
  // All that is behind a card is there already.
  const before = asked.filter((url) => !/\.webp$/.test(url)).length;
  await first.getByRole('button', { name: /Tern/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Tern' });
  await expect(dialog).toBeVisible();
  expect(asked.filter((url) => !/\.webp$/.test(url)).length).toBe(before);
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await hands.replace(dialog.getByLabel('How many'), '2');
  await dialog.getByRole('button', { name: 'Put into the basket' }).click();
  await expect(dialog.getByText('It is in the basket.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(first.getByText('Basket (2): €50.00')).toBeVisible();
  await page.reload();
  const pay = page.locator('dispona-goods').nth(1).getByRole('link', { name: 'Pay in the shop' });
  await expect(pay).toBeVisible();
  expect(problems).toEqual([]);
  await pay.click();
  await expect(page).toHaveURL(`${shop.url}/basket`);
  await expect(page.getByRole('link', { name: 'Tern' }).first()).toBeVisible();

  const { embeds } = await call<{ embeds: { embed: { id: string; look: object } }[] }>('GET', '/api/embeds');
  const { id, look } = embeds[0]!.embed;
  await call('PATCH', `/api/embeds/${id}`, { look: { ...look, accent: '#aa3300' }, basket: false });
  await call('POST', '/api/editions', {});
  await page.goto(`http://127.0.0.1:${port}/`);
  await expect(first.getByRole('button', { name: /Tern/ })).toBeVisible();
  await expect(first.getByText(/^Basket/)).toBeHidden();
});

test('on a phone goods of another site fit, and open', async ({ page }) => {
  await kite('Gannet', 4_000);
  const { id } = await call<{ id: string }>('POST', '/api/embeds', { name: 'Club' });
  const { embeds } = await call<{ embeds: { embed: { id: string; strip: object } }[] }>('GET', '/api/embeds');
  const { strip } = embeds.find(({ embed }) => embed.id === id)!.embed;
  await call('PATCH', `/api/embeds/${id}`, { strip: { ...strip, source: { kind: 'newest' }, shape: 'row' } });
  await call('POST', '/api/editions', {});
  lines = [
    `<dispona-goods of="${id}"></dispona-goods><script type="module" src="${shop.url}/embed/${id}.js"></script>`,
  ];
  const { port } = host.address() as AddressInfo;
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(`http://127.0.0.1:${port}/`);
  await page.getByRole('button', { name: /Gannet/ }).click();
  await expect(page.getByRole('dialog', { name: 'Gannet' })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
});

test('a feed for a market is made, put live and fetched; a key reads, and is taken back', async ({ page, request }) => {
  await page.goto(`${shop.url}/desk/exchange?part=channels`);
  await page.getByRole('button', { name: 'For Pier market' }).click();
  await expect(page.getByRole('region', { name: 'What Pier market takes' })).toContainText('refused');
  await noSeriousFault(page);
  const address = await page.getByRole('textbox', { name: 'Address of the feed' }).inputValue();
  await call('POST', '/api/editions', {});
  const fetched = await request.get(address);
  expect(JSON.parse((await fetched.text()).split('\n')[0]!)).toHaveProperty('department');
  await page.getByRole('tab', { name: 'Keys' }).click();
  await page.getByLabel('For which program').fill('Stock program');
  await page.getByRole('button', { name: 'Make the key' }).click();
  const key = await page.getByRole('textbox', { name: 'The new key' }).inputValue();
  const read = () =>
    request.post(`${shop.url}/api/goods/list`, { headers: { Authorization: `Bearer ${key}` }, data: {} });
  expect((await read()).status()).toBe(200);
  await page.getByRole('button', { name: 'Take back' }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('No program reads here yet.')).toBeVisible();
  expect((await read()).status()).toBe(401);
});

test('a backup made in the desk brings the whole shop back on the first screen of an empty one', async ({ page }) => {
  await kite('Plover', 3_000);
  await call('POST', '/api/editions', {});
  await page.goto(`${shop.url}/desk/exchange?part=backups`);
  await page.getByRole('button', { name: 'Make a backup now' }).click();
  const link = page.getByRole('region', { name: 'Backups' }).getByRole('link').first();
  await expect(link).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), link.click()]);
  const empty = await startShop();
  try {
    await page.goto(`${empty.url}/desk`);
    await page.getByLabel('A backup').setInputFiles(await download.path());
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    call = await enter(page, empty);
    const { items } = await call<{ items: { title: string }[] }>('GET', '/shop-api/listing');
    expect(items.map(({ title }) => title)).toContain('Plover');
  } finally {
    await empty.stop();
  }
});
