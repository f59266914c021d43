import { expect, test, type FrameLocator, type Page } from '@playwright/test';
import { Hands } from './hands';
import { startShop, type RunningShop } from './server';
import { addSection, choose, drag, enter, noSeriousFault, saved, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());
test.setTimeout(180_000);

const built = (page: Page) => page.frameLocator('iframe[title="The page that is being built"]');
const panel = (page: Page) => page.getByRole('complementary', { name: 'What is chosen' });
const outline = (page: Page) => page.getByRole('complementary', { name: 'Sections of the page' });
const sectionNames = (page: Page) => outline(page).locator('li button[aria-pressed] .font-semibold').allTextContents();
const titlesIn = (frame: FrameLocator, nth: number) =>
  frame.locator('[data-section]').nth(nth).locator('[data-card] .font-medium').allTextContents();

const seen = Number.MAX_SAFE_INTEGER;
async function kite(title: string, price: number): Promise<string> {
  const { product } = await call('POST', '/api/products', { title, price });
  await call('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live' } });
  return product.id;
}

test('a landing page is built from nothing, put into the menu, seen wide and on a phone, put live and undone', async ({
  page,
}) => {
  call = await enter(page, shop);
  const { id: kites } = await call('POST', '/api/categories', { name: 'Kites' });
  for (const [i, title] of ['Avocet', 'Bittern', 'Curlew', 'Dunlin', 'Eider', 'Fulmar'].entries()) {
    const id = await kite(title, 1_000 + i);
    await call('PATCH', `/api/products/${id}`, { seen, fields: { categoryIds: [kites] } });
  }
  await call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id: kites }, items: [] }],
  });
  const before = await call<{ undo: { id: number } | null }>('GET', '/api/status');
  const hands = new Hands(page, 3);

  await page.goto(`${shop.url}/desk/shopfront`);
  await page.getByRole('button', { name: 'New page' }).click();
  await hands.type('Beach week', 60);
  await page.getByRole('button', { name: /^Empty page/ }).click();
  await expect(outline(page).getByText('nothing leads here')).toBeVisible();

  await test.step('a hero, typed right on the page', async () => {
    await addSection(page, 'Banner');
    const heading = built(page).getByRole('textbox', { name: 'Heading' });
    await hands.replace(heading, 'One week one bag');
    await expect(panel(page).getByLabel('Heading')).toHaveValue('One week one bag');
    await choose(page, 'A button that leads to', 'Kites');
    await expect(built(page).getByRole('link', { name: 'Kites' }).last()).toBeVisible();
  });

  await test.step('two goods picked by hand, then a rule that skips them', async () => {
    await addSection(page, 'Strip of goods');
    await hands.replace(panel(page).getByLabel('Title', { exact: true }), 'Two to start with');
    await panel(page)
      .getByRole('button', { name: /^Goods from/ })
      .click();
    await page.getByRole('option', { name: 'picked by hand' }).click();
    await choose(page, 'Add a product', 'Bittern');
    await choose(page, 'Add a product', 'Avocet');
    await expect.poll(() => titlesIn(built(page), 1)).toEqual(['Bittern', 'Avocet']);

    await addSection(page, 'Strip of goods');
    await panel(page)
      .getByRole('button', { name: /^Goods from/ })
      .click();
    await page.getByRole('option', { name: 'a rule' }).click();
    await choose(page, 'Add a condition', 'Category');
    await choose(page, 'Value of Category', 'Kites');
    await panel(page).getByLabel('Title', { exact: true }).fill('Also good');
    // There is room for all, so that both would stand here.
    await panel(page)
      .getByLabel(/^Shows/)
      .fill('6');
    await panel(page).getByLabel('Skip what stands above').check();
    await expect(panel(page).getByText('is in “Two to start with” above').first()).toBeVisible();
    const shown = await titlesIn(built(page), 2);
    expect(shown).not.toContain('Avocet');
    expect(shown).not.toContain('Bittern');
    expect(shown.length).toBeGreaterThan(0);
  });

  await test.step('quotes and a note to subscribe; a second strip by copying', async () => {
    await addSection(page, 'Quotes');
    await addSection(page, 'Note to subscribe');
    await outline(page)
      .getByRole('button', { name: /^Also good/ })
      .click();
    await panel(page).getByRole('button', { name: 'Copy below' }).click();
    await expect(panel(page).getByLabel('Title', { exact: true })).toHaveValue('Also good');
    await hands.replace(panel(page).getByLabel('Title', { exact: true }), 'All of them');
    await panel(page)
      .getByRole('button', { name: /^Goods from/ })
      .click();
    await page.getByRole('option', { name: 'newest goods' }).click();
    await panel(page).getByLabel('Skip what stands above').uncheck();
    await expect
      .poll(() => sectionNames(page))
      .toEqual([
        'One week one bag',
        'Two to start with',
        'Also good',
        'All of them',
        '“What somebody said.…”',
        'Hear from us',
      ]);
    await saved(page);
    await noSeriousFault(page, 'page builder');
  });

  await test.step('put into the menu below Kites', async () => {
    await page.getByRole('tab', { name: 'Menu' }).click();
    await choose(page, 'Add to the menu', 'Beach week');
    await expect(page.getByLabel('Words in the menu for Beach week')).toBeVisible();
    await page.getByRole('button', { name: /^Move Beach week/ }).focus();
    await page.keyboard.press('ArrowRight');
    await expect
      .poll(async () =>
        (await call<{ items: { items: unknown[] }[] }>('GET', '/api/menu')).items.map((item) => item.items.length),
      )
      .toEqual([1]);
    await page.getByRole('tab', { name: 'Beach week' }).click();
    await expect(outline(page).getByText('found from Menu')).toBeVisible();
  });

  await test.step('wide and phone', async () => {
    const wide = () =>
      built(page)
        .locator('body')
        .evaluate((body) => body.clientWidth);
    await expect.poll(wide).toBeGreaterThan(1_200);
    await page.getByRole('radio', { name: 'Phone' }).click();
    await expect.poll(wide).toBeLessThanOrEqual(390);
    const overflow = await built(page)
      .locator('html')
      .evaluate((html) => html.scrollWidth - html.clientWidth);
    expect(overflow).toBeLessThanOrEqual(0);
  });

  await test.step('live', async () => {
    await call('POST', '/api/editions', {});
    const html = await (await page.request.get(`${shop.url}/page/beach-week`)).text();
    for (const words of ['One week one bag', 'Two to start with', 'Also good', 'Hear from us'])
      expect(html).toContain(words);
  });

  await test.step('undone back to nothing', async () => {
    for (let steps = 0; steps < 60; steps++) {
      const { undo } = await call<{ undo: { id: number } | null }>('GET', '/api/status');
      if (undo?.id === before.undo?.id) break;
      await call('POST', '/api/undo');
    }
    const { pages } = await call<{ pages: { title: string }[] }>('GET', '/api/pages');
    expect(pages.map(({ title }) => title)).toEqual(['Home']);
  });
});

test('sections are chosen, moved and added on the page, undo works there, and shoppers sign up', async ({ page }) => {
  call = await enter(page, shop);
  const { pages } = await call<{ pages: { id: string }[] }>('GET', '/api/pages');
  const text = (id: string, title: string) => ({ id, kind: 'text', title, html: '<p>Words.</p>' });
  await call('PATCH', `/api/pages/${pages[0]!.id}`, {
    sections: [
      text('s_aaaaaa', 'First'),
      text('s_bbbbbb', 'Second'),
      { id: 's_cccccc', kind: 'subscribe', title: 'Hear', text: '', button: 'Tell me', thanks: 'You are on the list.' },
    ],
  });
  await page.goto(`${shop.url}/desk/shopfront`);
  const frame = built(page);
  await expect(frame.locator('[data-building]')).toBeAttached();
  await frame.getByText('Words.').nth(1).click();
  await expect(panel(page).getByLabel('Title', { exact: true })).toHaveValue('Second');
  // Dragged by its grip above the first one.
  const grip = frame.getByRole('button', { name: 'Move Second: drag' });
  const from = (await grip.boundingBox())!;
  const to = (await frame.locator('[data-section="s_aaaaaa"]').boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + 40, to.y + 30, { steps: 6 });
  await page.mouse.move(to.x + 40, to.y + 4);
  await page.mouse.up();
  await expect.poll(() => sectionNames(page)).toEqual(['Second', 'First', 'Hear']);
  await saved(page);
  // Undo of the desk, though the page has the focus.
  await expect(page.getByRole('button', { name: /^Undo.*Home/ })).toBeVisible();
  await page.keyboard.press('ControlOrMeta+z');
  await expect.poll(() => sectionNames(page)).toEqual(['First', 'Second', 'Hear']);
  // The plus between two sections adds there.
  await frame.locator('[data-section="s_aaaaaa"]').hover();
  await frame.getByRole('button', { name: 'Add a section here' }).nth(1).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Line and space' }).click();
  await expect.poll(() => sectionNames(page)).toEqual(['First', 'Line and space', 'Second', 'Hear']);
  await saved(page);

  await call('POST', '/api/editions', {});
  await page.goto(shop.url);
  await page.getByLabel('Your mail address').fill('no address');
  await page.getByRole('button', { name: 'Tell me' }).click();
  await expect(page.getByText('This is not a mail address.')).toBeVisible();
  await page.getByLabel('Your mail address').fill('shopper@example.com');
  await page.getByRole('button', { name: 'Tell me' }).click();
  await expect(page.getByText('You are on the list.')).toBeVisible();
  await noSeriousFault(page, 'home');
});

test('menus are built by keyboard alone, three levels deep, and a phone reaches every level', async ({ page }) => {
  call = await enter(page, shop);
  for (const name of ['Reels', 'Tails', 'Spars']) await call('POST', '/api/categories', { name });
  await call('PUT', '/api/menu', { items: [] });
  await page.goto(`${shop.url}/desk/shopfront?view=menu`);
  const add = page.getByRole('combobox', { name: 'Add to the menu' });
  await add.focus();
  for (const name of ['Reels', 'Tails', 'Spars']) {
    await new Hands(page, 5).type(name, 40);
    await expect(page.getByRole('option', { name })).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel(`Words in the menu for ${name}`)).toBeVisible();
    await add.focus();
  }
  interface Item {
    label: string;
    items: Item[];
  }
  const shape = async () => {
    const { items } = await call<{ items: Item[] }>('GET', '/api/menu');
    const below = (all: Item[]): unknown[] => all.map((item) => [item.label || '·', below(item.items)]);
    return below(items);
  };
  await page.getByLabel('Words in the menu for Spars').fill('Sticks');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Move Tails/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(shape).toEqual([
    ['·', [['·', []]]],
    ['Sticks', []],
  ]);
  const sticks = page.getByRole('button', { name: /^Move Sticks/ });
  await sticks.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(shape).toEqual([
    [
      '·',
      [
        ['·', []],
        ['Sticks', []],
      ],
    ],
  ]);
  await sticks.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(shape).toEqual([['·', [['·', [['Sticks', []]]]]]]);
  // As deep as it goes.
  await sticks.focus();
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(400);
  expect(await shape()).toEqual([['·', [['·', [['Sticks', []]]]]]]);
  // A heading at the foot, with its words.
  await page
    .getByRole('region', { name: 'The foot of the shop' })
    .getByRole('button', { name: 'Add a heading' })
    .press('Enter');
  await expect(page.getByLabel('Words in the menu for a heading')).toHaveValue('A heading');
  await page.getByLabel('Words in the menu for a heading').fill('Help');
  await page.keyboard.press('Enter');
  await expect
    .poll(async () => (await call<{ footer: Item[] }>('GET', '/api/menu')).footer.map(({ label }) => label))
    .toEqual(['Help']);
  await noSeriousFault(page, 'menus');

  await call('POST', '/api/editions', {});
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(shop.url);
  await page.getByRole('button', { name: 'Menu', exact: true }).focus();
  await page.keyboard.press('Enter');
  const drawer = page.getByRole('dialog', { name: 'Menu' });
  await drawer.locator('summary', { hasText: 'Reels' }).focus();
  await page.keyboard.press('Enter');
  await expect(drawer.getByRole('link', { name: 'Sticks' })).toBeVisible();
  await noSeriousFault(page, 'phone menu');
  await drawer.getByRole('link', { name: 'Sticks' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Spars' })).toBeVisible();
});

test('a page of every sort of section, full of words without an end, is no wider than any screen', async ({ page }) => {
  call = await enter(page, shop);
  const long = 'A title that goes on and on about windandweatherandeverythingelseinonewordthatcannotbebroken '
    .repeat(3)
    .slice(0, 198);
  const html = `<p>${long}</p>`;
  const id = await kite('Long', 1_000);
  const to = { kind: 'address', url: '/search' };
  const goods = { kind: 'picked', ids: [id] };
  const sections = [
    {
      kind: 'banner',
      slides: [
        { title: long, text: long, buttons: [{ words: long.slice(0, 58), to }] },
        { title: long, text: '' },
      ],
    },
    { kind: 'banner', place: 'behind', slides: [{ title: long, text: long, pictureOf: { kind: 'product', id } }] },
    { kind: 'strip', title: long, subtitle: long, source: { kind: 'newest' }, count: 48, columns: 6 },
    { kind: 'strip', title: long, source: { kind: 'newest' }, count: 12, shape: 'row', columns: 3 },
    { kind: 'strip', title: long, source: goods, count: 5, fewer: 'stretch', phoneColumns: 1 },
    { kind: 'tiles', title: long, targets: [{ kind: 'product', id }], shape: 'round' },
    { kind: 'product', title: long, productId: id, text: long },
    { kind: 'listing', title: long, of: null },
    { kind: 'text', title: long, html: html.repeat(4), columns: 3, ground: 'deep' },
    { kind: 'pictureText', title: long, html, share: 'most', button: { words: long.slice(0, 58), to } },
    { kind: 'quotes', title: long, quotes: [{ words: long, who: long.slice(0, 78), stars: 3 }] },
    { kind: 'facts', title: long, facts: [{ icon: 'leaf', title: long.slice(0, 78), words: long }] },
    { kind: 'questions', title: long, questions: [{ question: long, html }] },
    { kind: 'subscribe', title: long, text: long, button: long.slice(0, 38), thanks: long },
    { kind: 'line' },
  ].map((section, i) => ({ id: `s_every${i + 10}`, ...section }));
  const { id: everything } = await call('POST', '/api/pages', { title: 'Everything' });
  const saidBack = await call<{ sections: unknown[] }>('PATCH', `/api/pages/${everything}`, { sections });
  expect(saidBack.sections).toHaveLength(sections.length);
  for (const width of [1280, 768, 390, 320]) {
    await page.setViewportSize({ width, height: 800 });
    await page.goto(`${shop.url}/preview/page/everything`);
    await expect(page.locator('[data-section]')).toHaveCount(sections.length);
    const wider = () =>
      page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    await expect.poll(wider, { message: `at ${width} px` }).toBeLessThanOrEqual(0);
  }
});

test('goods from the tray are dropped on a strip, on the page and on the floor plan, and are held there', async ({
  page,
}) => {
  call = await enter(page, shop);
  const held = await kite('Gannet', 4_000);
  const { pages } = await call<{ pages: { id: string }[] }>('GET', '/api/pages');
  const strip = { kind: 'strip', source: { kind: 'onSale' }, count: 4, emptyWords: 'Soon.' };
  await call('PATCH', `/api/pages/${pages[0]!.id}`, {
    sections: [
      { ...strip, id: 's_onpage', title: 'On the page' },
      { ...strip, id: 's_onplan', title: 'On the plan' },
    ],
  });
  const pins = async (at: number) => {
    const { pages: now } = await call<{ pages: { sections: { pins: string[] }[] }[] }>('GET', '/api/pages');
    return now[0]!.sections[at]!.pins;
  };
  await page.goto(`${shop.url}/desk/goods?q=gannet`);
  // Keys mean rows that can be seen: the count may be there first.
  await expect(page.locator(`[data-row="${held}"]`)).toBeVisible();
  await page.locator('[data-goods-scroller]').focus();
  await page.keyboard.press('Space');
  await page.getByRole('link', { name: 'Shopfront' }).click();
  await expect(built(page).locator('[data-building]')).toBeAttached();
  const tray = page.getByRole('button', { name: 'Show the goods in the tray' });
  await drag(page, tray, built(page).locator('[data-section="s_onpage"]'));
  await expect.poll(() => pins(0)).toEqual([held]);
  await expect(built(page).getByRole('link', { name: /Gannet/ })).toBeVisible();
  await page.getByRole('tab', { name: 'Floor plan' }).click();
  const onPlan = page.getByRole('article', { name: 'Home' }).getByRole('listitem').filter({ hasText: 'On the plan' });
  await drag(page, tray, onPlan.first());
  await expect.poll(() => pins(1)).toEqual([held]);
});
