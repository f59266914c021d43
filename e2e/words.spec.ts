import { expect, test, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import type { ProductAnswer } from '../contract/product';
import { Hands } from './hands';
import { startShop, type RunningShop } from './server';
import { enter, noSeriousFault, type Call } from './steps';

let shop: RunningShop;
let call: Call;
let harrier: string;
let heron: string;
const seen = Number.MAX_SAFE_INTEGER;

test.beforeAll(async ({ browser }) => {
  shop = await startShop();
  const page = await browser.newPage();
  const prepare = await enter(page, shop);
  const deltas = await prepare('POST', '/api/categories', { name: 'Deltas' });
  const boxes = await prepare('POST', '/api/categories', { name: 'Box kites' });
  const norrwind = await prepare('POST', '/api/brands', { name: 'Norrwind' });
  const make = async (title: string, price: number, fields: object) => {
    const { product } = await prepare<ProductAnswer>('POST', '/api/products', { title, price });
    await prepare('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live', ...fields } });
    return product.id;
  };
  harrier = await make('Harrier delta', 4_000, {
    categoryIds: [deltas.id],
    summary: 'Flies in 2 to 5 Bft.',
    brandId: norrwind.id,
  });
  heron = await make('Heron delta', 6_000, { categoryIds: [deltas.id], summary: 'Carries far.' });
  await make('Crate', 3_000, { categoryIds: [boxes.id] });
  const item = (id: string) => ({ id: null, label: '', target: { kind: 'category', id }, items: [] });
  await prepare('PUT', '/api/menu', { items: [item(deltas.id), item(boxes.id)] });
  await prepare('POST', '/api/editions', {});
  await page.close();
});
test.beforeEach(async ({ page }) => {
  call = await enter(page, shop);
});
test.afterAll(() => shop.stop());

/** German with a kite, on the shop, whatever other walks did. */
async function inGerman(): Promise<void> {
  await call('POST', '/api/languages', { locale: 'de' });
  await call('PATCH', '/api/languages/de', { isOn: true });
  const texts = [{ kind: 'product', id: harrier, path: 'title', source: 'Harrier delta', text: 'Weihe' }];
  await call('PUT', '/api/languages/de/texts', { texts });
  await call('POST', '/api/editions', {});
}

const isOpenHere = (page: Page, path: string) => expect(page).toHaveURL(new RegExp(`${path}$`));

test('a product is translated by keys alone, while answers take their time; nobody sees it before the edition', async ({
  page,
}) => {
  const hands = new Hands(page, 3);
  await page.goto(`${shop.url}/desk/words`);
  await page.getByRole('button', { name: 'German', exact: true }).click();
  await page.getByRole('checkbox', { name: 'On the shop' }).check();
  await page.getByRole('link', { name: 'German', exact: true }).click();
  await noSeriousFault(page);
  await hands.slowServer(50, 900);
  await page.getByRole('button', { name: 'Begin with the first' }).click();
  const texts = { title: 'Weihe', summary: 'Fliegt bei 2 bis 5 Bft.' };
  const list = page.getByRole('list', { name: 'Texts of Harrier delta' });
  await expect(list.getByRole('textbox', { name: 'title, translated', exact: true })).toBeFocused();
  await hands.type(texts.title);
  await page.keyboard.press('ControlOrMeta+Enter');
  await expect(list.getByRole('textbox', { name: 'summary, translated' })).toBeFocused();
  await hands.type('Fliegt bei 2 bis 6 Bft.');
  await expect(page.getByText(/^Numbers missing/)).toBeVisible();
  await page.keyboard.press('Backspace');
  for (const _ of 'Bft. ') await page.keyboard.press('Backspace');
  await hands.type('5 Bft.');
  await expect(page.getByText(/^Numbers missing/)).toBeHidden();
  await page.keyboard.press('ControlOrMeta+Enter');
  await expect(page.getByRole('list', { name: 'Texts of Heron delta' })).toBeVisible();
  // Half a title, and away: it is kept.
  await hands.type('Reiher');
  await page.getByRole('link', { name: 'All languages' }).click();
  await expect(page.getByRole('link', { name: 'German', exact: true })).toBeVisible();

  const { units } = await call<{ units: { path: string; done: string | null }[] }>(
    'GET',
    `/api/languages/de/texts?kind=product&id=${harrier}`,
  );
  expect(units).toContainEqual(expect.objectContaining({ path: 'title', done: texts.title }));
  expect(units).toContainEqual(expect.objectContaining({ path: 'summary', done: texts.summary }));
  expect(units).toContainEqual(expect.objectContaining({ path: 'slug', done: 'weihe' }));
  expect((await page.request.get(`${shop.url}/de`)).status()).toBe(404);
  await call('POST', '/api/editions', {});
  await page.goto(`${shop.url}/de/p/weihe`);
  await expect(page.getByRole('heading', { name: 'Weihe' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  await page.goto(`${shop.url}/de/p/reiher`);
  await expect(page.getByRole('heading', { name: 'Reiher' })).toBeVisible();
});

test('texts go to a translator as XLIFF, come back, and are looked at before they are taken', async ({ page }) => {
  await inGerman();
  await page.goto(`${shop.url}/desk/words`);
  await page.getByRole('button', { name: 'Files' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Take out as XLIFF 2.1' }).click(),
  ]);
  const text = await readFile(await download.path(), 'utf8');
  const told = text
    .replace(/<source[^>]*>Crate<\/source>/, '$&<target xml:space="preserve">Kiste</target>')
    .replace(/<source[^>]*>Box kites<\/source>/, '$&<target xml:space="preserve">Kastendrachen</target>');
  expect(told.length).toBeGreaterThan(text.length + 80);
  await page.getByLabel('File with translations').setInputFiles({
    name: 'deutsch.xlf',
    mimeType: 'application/xliff+xml',
    buffer: Buffer.from(told),
  });
  const difference = page.getByRole('dialog', { name: /deutsch\.xlf/ });
  await expect(difference.getByText('Kastendrachen')).toBeVisible();
  await noSeriousFault(page);
  await difference.getByRole('checkbox', { name: /of Crate/ }).uncheck();
  await difference.getByRole('button', { name: /^Take 1 / }).dblclick();
  await expect(page.getByText('Took 1 texts.')).toBeVisible();
  await call('POST', '/api/editions', {});
  await page.goto(`${shop.url}/de`);
  await expect(page.getByRole('link', { name: 'Kastendrachen' }).first()).toBeVisible();
  await page.goto(`${shop.url}/de/search?q=crate`);
  await expect(page.getByText('Crate').first()).toBeVisible();
});

test('a shopper changes the language on a page, orders in it, and is written to in it', async ({ page, browser }) => {
  await inGerman();
  const ada = await (await browser.newContext()).newPage();
  await ada.goto(`${shop.url}/p/harrier-delta`);
  await ada.locator('summary').filter({ hasText: 'English' }).click();
  await ada.getByRole('link', { name: 'Deutsch' }).click();
  await isOpenHere(ada, '/de/p/weihe');
  await expect(ada.locator('link[rel=alternate][hreflang=en]')).toHaveAttribute('href', /\/p\/harrier-delta$/);
  await ada.getByRole('button', { name: 'In den Warenkorb' }).click();
  const drawer = ada.getByRole('dialog', { name: 'Warenkorb' });
  await expect(drawer.getByRole('link', { name: 'Weihe' })).toBeVisible();
  await drawer.getByRole('link', { name: 'Zur Kasse' }).click();
  await isOpenHere(ada, '/de/checkout');
  await noSeriousFault(ada);
  const hands = new Hands(ada, 5);
  await hands.replace(ada.getByLabel('E-Mail-Adresse'), 'ada@example.com');
  await ada.getByRole('button', { name: 'Zahlungspflichtig bestellen' }).click();
  await expect(ada.getByText(/Es fehlt noch etwas/)).toBeVisible();
  await ada.getByLabel('Name', { exact: true }).fill('Ada Vane');
  await ada.getByLabel('Straße und Hausnummer').fill('Hafen 1');
  await ada.getByLabel('Postleitzahl').fill('4401 AB');
  await ada.getByLabel('Ort').fill('Yerseke');
  const terms = ada.locator('input[type=checkbox][name=terms]');
  if (await terms.isVisible()) await terms.check();
  await ada.getByRole('button', { name: 'Zahlungspflichtig bestellen' }).dblclick();
  await expect(ada.getByRole('heading', { name: /^Bestellung 10/ })).toBeVisible();
  await ada.goBack();
  await ada.goForward();
  await expect(ada.getByText('Weihe').first()).toBeVisible();
  const { outbox } = await call<{ outbox: { recipient: string; subject: string; text: string }[] }>(
    'GET',
    '/api/letters',
  );
  const letter = outbox.find(({ recipient }) => recipient === 'ada@example.com')!;
  expect(letter.subject).toMatch(/Bestellung/);
  expect(letter.text).toContain('Weihe');
  expect(letter.text).toContain('/de/');
  // The seller reads the order in the shop's own language.
  await page.goto(`${shop.url}/desk/orders`);
  await expect(page.getByRole('row', { name: /Harrier delta|Weihe/ })).toBeVisible();
});

test('a narrowed listing is chosen for search engines; robots, canonical and sitemap agree', async ({ page }) => {
  const hands = new Hands(page, 7);
  await page.goto(`${shop.url}/desk/words?part=engines`);
  await page.getByRole('button', { name: 'Choose one' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox').fill('Deltas');
  await page
    .getByRole('option', { name: /Deltas/ })
    .first()
    .click();
  await dialog.getByRole('button', { name: /^Norrwind/ }).click();
  await hands.replace(dialog.getByLabel('Title'), 'Deltas of Norrwind');
  await dialog.getByRole('button', { name: 'Choose it' }).dblclick();
  await expect(dialog).toBeHidden();
  const chosen = page.getByRole('region', { name: 'Chosen listings' });
  await expect(chosen.getByText('/l/deltas-of-norrwind')).toHaveCount(1);
  await chosen.getByRole('button', { name: 'Words' }).click();
  await hands.replace(chosen.getByLabel('Text on the page'), 'Wide wings from a windy coast.');
  await expect(chosen.locator('[data-unsaved]')).toHaveCount(0);
  await noSeriousFault(page);
  await call('POST', '/api/editions', {});
  const get = async (path: string) => (await page.request.get(shop.url + path)).text();
  const own = await get('/l/deltas-of-norrwind');
  expect(own).toContain('Wide wings from a windy coast.');
  expect(own).not.toContain('content="noindex"');
  expect(/rel="canonical" href="[^"]*(\/l\/[^"]*)"/.exec(own)?.[1]).toBe('/l/deltas-of-norrwind');
  expect(/rel="canonical" href="[^"]*(\/l\/[^"]*)"/.exec(await get('/c/deltas?f.brand=norrwind'))?.[1]).toBe(
    '/l/deltas-of-norrwind',
  );
  expect(await get('/sitemap.xml')).toContain('/l/deltas-of-norrwind</loc>');
  expect(await get('/robots.txt')).not.toMatch(/Disallow: \/l/);
});

test('a path that was asked for in vain is led on at one click, and everything fits a phone', async ({ page }) => {
  await inGerman();
  // Robots are not counted, and this browser says that it has no screen.
  const shopper = await page.context().browser()!.newContext({ userAgent: 'Mozilla/5.0 (X11; Linux) Firefox/140.0' });
  const ada = await shopper.newPage();
  await ada.goto(`${shop.url}/old/harier-delta.html`);
  await page.goto(`${shop.url}/desk/words?part=forwards`);
  await page.getByRole('button', { name: 'Forward to Harrier delta' }).click();
  await expect(page.getByRole('button', { name: 'Delete the forward of /old/harier-delta.html' })).toBeVisible();
  await call('POST', '/api/editions', {});
  await ada.goto(`${shop.url}/old/harier-delta.html`);
  await isOpenHere(ada, '/p/harrier-delta');
  await page.setViewportSize({ width: 390, height: 800 });
  for (const path of ['', '?part=glossary', '?part=searched', '?part=engines', '?part=forwards', '/de']) {
    await page.goto(`${shop.url}/desk/words${path}`);
    await expect(page.locator('main, [role=tablist]').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([path, wide]).toEqual([path, 0]);
    await noSeriousFault(page, path);
  }
  await ada.setViewportSize({ width: 390, height: 800 });
  await ada.goto(`${shop.url}/de/p/weihe`);
  expect(await ada.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
});

/** Makes all texts on a page half as long again, as other languages do. */
const lengthen = () => {
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let text = texts.nextNode(); text; text = texts.nextNode()) {
    const words = text.nodeValue!.trim();
    if (words.length > 1) text.nodeValue = `${words}${words.slice(0, Math.ceil(words.length / 2))}`;
  }
};

test('texts half as long again fit the shop, wide and on a phone', async ({ page }) => {
  await inGerman();
  await page.goto(`${shop.url}/de/p/weihe`);
  await page.getByRole('button', { name: 'In den Warenkorb' }).first().click();
  await expect(page.getByRole('dialog')).toBeVisible();
  for (const width of [390, 1_280]) {
    await page.setViewportSize({ width, height: 800 });
    for (const path of ['', '/c/deltas', '/p/weihe', '/basket', '/checkout']) {
      await page.goto(`${shop.url}/de${path}`);
      await page.waitForLoadState('networkidle');
      await page.evaluate(lengthen);
      const beyond = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect([width, path, beyond]).toEqual([width, path, 0]);
    }
  }
});

test('the shop window marks what is not translated, while one translates', async ({ page }) => {
  await inGerman();
  await page.goto(`${shop.url}/preview/de/p/heron-delta`);
  const marked = () =>
    page.evaluate(() => [...(CSS.highlights.get('untranslated') ?? [])].map((range) => (range as Range).toString()));
  await expect.poll(marked).toContain('Carries far.');
  expect(await marked()).not.toContain('Weihe');
  await call('PUT', '/api/languages/de/texts', {
    texts: [
      {
        kind: 'product',
        id: heron,
        path: 'summary',
        source: 'Carries far.',
        text: 'Trägt weit.',
      },
    ],
  });
  await page.reload();
  await expect(page.getByText('Trägt weit.')).toBeVisible();
  await expect.poll(marked).not.toContain('Carries far.');
});
