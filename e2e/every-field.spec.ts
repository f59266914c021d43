import { expect, test, type Page } from '@playwright/test';
import { fieldsOf, Hands, locate, textOf, untilSaved, type Field } from './hands';
import { startShop, type RunningShop } from './server';
import { enter, type Call } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());
test.setTimeout(300_000);

/** What is typed over the numbers of fields that depend on one another; 17 goes into all others. */
const numbers: [RegExp, string][] = [
  [/^Price/, '77'],
  [/^Up to|^Most/, '77'],
  [/^Fewest/, '2'],
];
const isNumberField = ({ name, type, value }: Field) =>
  type === 'number' ||
  /^[\d.,]+( ?(%|g|kg|cm|min|h))?$/.test(value) ||
  /^(Price|Sale price|Cost|In stock|Warn at|Weight|Days|How|For how|From|Up to|wingspan)/.test(name);

/** What is typed into a field: over what is there, or behind it, as people do. */
function wordsFor(field: Field): { text: string; isOver: boolean; isNumber: boolean } {
  if (field.name === 'Address') return { text: '-kept', isOver: false, isNumber: false };
  if (field.name === 'Package size') return { text: '3 x 4 x 5', isOver: true, isNumber: true };
  if (!isNumberField(field)) return { text: ' bc', isOver: false, isNumber: false };
  return { text: numbers.find(([name]) => name.test(field.name))?.[1] ?? '17', isOver: true, isNumber: true };
}

/** Fields that take no plain letters, and those that are sent, not kept. */
const notForLetters = [
  'Mail',
  'Mails are sent from',
  'Phone',
  'What a new link is called',
  'Address of a new link',
  'A new short fact',
];

const digits = (text: string) => text.replace(/\D/g, '');

interface Walk {
  /** every other number has a server that answers late and out of order */
  seed: number;
  /** brings a dialog onto the screen */
  open?: () => Promise<void>;
  /** names of fields that screens of this sort were tried with already; those of this one join them */
  met?: Set<string>;
}

/** Types into every field of a screen at a person's pace; then loads it again and looks what is there. */
async function typeEverywhere(page: Page, url: string, within: string, { seed, open, met = new Set() }: Walk) {
  const hands = new Hands(page, seed);
  const load = async () => {
    await page.goto(url);
    await open?.();
    await expect(page.locator(within).first()).toBeVisible();
    await page.waitForTimeout(1_000);
    // What is folded away saves itself too.
    await page.locator('main details').evaluateAll((all) => all.forEach((each) => each.setAttribute('open', '')));
  };
  await load();
  const all = (await fieldsOf(page, within)).filter(({ type, name }) => !/date|time/.test(type) && !met.has(name));
  expect(all.length, `fields at ${url}`).toBeGreaterThan(0);
  for (const { name } of all) met.add(name);
  // Names that stand in the labels of other fields come last, so that those are still found.
  const isInLabels = ({ value }: Field) => value !== '' && all.some(({ name }) => name.includes(value));
  const fields = [...all.filter((field) => !isInLabels(field)), ...all.filter(isInLabels)];
  if (seed % 2 === 1) await hands.slowServer();
  const typed: { field: Field; expected: string; isNumber: boolean }[] = [];
  // Labels have names in them, and those are changed.
  const renamed = (label: string) =>
    typed
      .filter(({ field }) => isInLabels(field))
      .reduce((now, { field, expected }) => ` ${now} `.replace(` ${field.value} `, ` ${expected} `).trim(), label);
  for (const field of fields) {
    await test.step(`${field.name} ${field.nth}`, async () => {
      const { text, isOver, isNumber } = wordsFor(field);
      const at = locate(page, within, { ...field, name: renamed(field.name) });
      await expect(at, `${field.name} ${field.nth}`).toBeVisible({ timeout: 5_000 });
      const place = await at.elementHandle();
      const before = await textOf(place);
      await (isOver ? hands.replace(place, text) : hands.add(place, text));
      const expected = isOver ? text : before.trimEnd() + text;
      const isHere = () => place.evaluate((element) => element.isConnected && element.contains(document.activeElement));
      expect(await textOf(place), `${field.name} right after typing`).toBe(expected);
      await page.waitForTimeout(hands.between(50, 700));
      expect(await textOf(place), `${field.name} while it is being saved`).toBe(expected);
      expect(await isHere(), `the cursor is still in ${field.name}`).toBe(true);
      await page.keyboard.press('Tab');
      const isRefused = async () => (await place.getAttribute('aria-invalid')) === 'true';
      if (!(await isRefused())) return void typed.push({ field, expected, isNumber });
      // What cannot be saved stays as it was typed, with the reason beside it.
      expect(await textOf(place)).toBe(expected);
      const note = await place.getAttribute('aria-describedby');
      expect((await page.locator(`[id="${note}"]`).textContent())!.length).toBeGreaterThan(10);
      await hands.replace(place, field.value || ' ');
      await page.keyboard.press('Tab');
    });
  }
  await untilSaved(page);
  await hands.quickServer();
  await page.goto('about:blank');
  await load();
  for (const { field, expected, isNumber } of typed) {
    const now = await textOf(locate(page, within, { ...field, name: renamed(field.name) }));
    if (isNumber) expect(digits(now), `${field.name} after loading again`).toContain(digits(expected));
    else expect(now.trim(), `${field.name} after loading again`).toBe(expected.trim());
  }
}

const seen = Number.MAX_SAFE_INTEGER;
const option = (name: string, ...values: string[]) => ({
  id: null,
  name,
  listId: null,
  values: values.map((value) => ({ id: null, name: value, swatch: null, pictureId: null })),
});

async function product(call: Call, title: string, kind: string, fields: object): Promise<string> {
  const { product: made } = await call('POST', '/api/products', { title, kind, price: 2_000 });
  await call('PATCH', `/api/products/${made.id}`, { seen, fields });
  return made.id;
}

test('products of every kind, with options, specs, sales, delivery and slots', async ({ page }) => {
  const call = await enter(page, shop);
  const { id: sheet } = await call('POST', '/api/spec-sheets', { name: 'Kite' });
  const attribute = (id: string, type: string, unit = '') => ({
    id,
    name: id,
    type,
    unit,
    choices: [],
    heading: '',
    required: false,
    shown: true,
    filterable: true,
  });
  await call('PUT', `/api/spec-sheets/${sheet}`, {
    name: 'Kite',
    attributes: [attribute('wingspan', 'number', 'cm'), attribute('sail', 'text')],
  });
  const id = await product(call, 'Harrier', 'physical', {
    specSheetId: sheet,
    customFields: [{ label: 'Sewn in', value: 'the shed' }],
    quantityPrices: [{ from: 5, off: 500 }],
    whenSoldOut: 'order',
    unitPricing: null,
  });
  await call('PUT', `/api/products/${id}/options`, {
    seen,
    options: [option('Colour', 'Red', 'Blue')],
  });
  const met = new Set<string>();
  await typeEverywhere(page, `${shop.url}/desk/goods/${id}`, 'main', { seed: 2, met });
  const part = await product(call, 'Line', 'physical', { status: 'live' });
  const slot = { id: 'z_1', label: 'Line', from: { how: 'picked', ids: [part] }, min: 1, max: 2, usual: null };
  for (const [kind, fields] of [
    ['digital', {}],
    ['service', {}],
    ['giftCard', { ownValue: { from: 1_000, upTo: 20_000 } }],
    ['bundle', { bundle: { slots: [slot], pricing: { how: 'fixed' } } }],
  ] as const) {
    const other = await product(call, `One ${kind}`, kind, fields);
    await typeEverywhere(page, `${shop.url}/desk/goods/${other}`, 'main', { seed: 4, met });
  }
});

test('the same on a server that answers late and out of order', async ({ page }) => {
  const call = await enter(page, shop);
  const id = await product(call, 'Wren', 'physical', { summary: 'Small' });
  await typeEverywhere(page, `${shop.url}/desk/goods/${id}`, 'main', { seed: 3 });
});

test('collections, categories, tags and brands', async ({ page }) => {
  const call = await enter(page, shop);
  const { id: shelf } = await call('POST', '/api/collections', { name: 'Light wind', source: 'picked' });
  const { id: category } = await call('POST', '/api/categories', { name: 'Kites' });
  const { id: tag } = await call('POST', '/api/tags', { name: 'windy' });
  const { id: brand } = await call('POST', '/api/brands', { name: 'Tern' });
  await typeEverywhere(page, `${shop.url}/desk/groups/${shelf}`, 'main', { seed: 11 });
  await typeEverywhere(page, `${shop.url}/desk/groups/category/${category}`, 'main section', { seed: 12 });
  await typeEverywhere(page, `${shop.url}/desk/groups/tags/${tag}`, 'main section', { seed: 13 });
  await typeEverywhere(page, `${shop.url}/desk/groups/brands/${brand}`, 'main section', { seed: 14 });
});

test('pages, the menu and the shop itself', async ({ page }) => {
  const call = await enter(page, shop);
  const { id: shelf } = await call('POST', '/api/collections', { name: 'Beach', source: 'picked' });
  const { id } = await call('POST', '/api/pages', { title: 'Workshop' });
  const sections = [
    { id: 's_000001', kind: 'banner', slides: [{ title: 'Fly', text: 'Now' }] },
    { id: 's_000002', kind: 'strip', title: 'Beach', source: { kind: 'collection', id: shelf }, count: 4 },
    { id: 's_000003', kind: 'quotes', title: 'Said', quotes: [{ words: 'It flies', who: 'Kim' }] },
    { id: 's_000004', kind: 'facts', title: 'Known', facts: [{ title: 'Sent soon', words: 'Within days' }] },
    { id: 's_000005', kind: 'subscribe', title: 'Hear', text: 'Now and then', button: 'Tell', thanks: 'Thanks' },
  ];
  await call('PATCH', `/api/pages/${id}`, { sections });
  await call('PUT', '/api/menu', {
    items: [{ id: null, label: 'Sand', target: { kind: 'collection', id: shelf }, items: [] }],
  });
  const address = `${shop.url}/desk/shopfront?page=${id}`;
  await typeEverywhere(page, address, '[aria-label="What is chosen"]', { seed: 15 });
  for (const [i, section] of sections.entries())
    await typeEverywhere(page, `${address}&section=${section.id}`, '[aria-label="What is chosen"]', { seed: 20 + i });
  await typeEverywhere(page, `${shop.url}/desk/shopfront?view=menu`, 'main', { seed: 17 });
  await typeEverywhere(page, `${shop.url}/desk/shopfront?view=search`, '[aria-label="Words of shoppers"]', {
    seed: 18,
  });
  for (const [i, part] of ['view=settings', 'view=settings&part=contact', 'view=look&part=product'].entries())
    await typeEverywhere(page, `${shop.url}/desk/shopfront?${part}`, 'main', {
      seed: 30 + i,
      met: new Set(notForLetters),
    });
});
