import { expect, test, type Page } from '@playwright/test';
import { startShop, type RunningShop } from './server';
import { choose, enter, noSeriousFault, saved, type Call } from './steps';

let shop: RunningShop;
let call: Call;
test.beforeEach(async () => void (shop = await startShop()));
test.afterEach(() => shop.stop());

const seen = Number.MAX_SAFE_INTEGER;

/** Adds a product that is to be live; answers its id. */
async function add(title: string, fields: object, stock: number): Promise<string> {
  const { product } = await call('POST', '/api/products', { title, price: 2_000 + title.length * 100 });
  await call('PATCH', `/api/products/${product.id}`, { seen, fields: { status: 'live', ...fields } });
  await setStock(product.id, stock);
  return product.id;
}

async function setStock(id: string, stock: number): Promise<void> {
  const { product } = await call('GET', `/api/products/${id}`);
  const changes = product.variants.map((variant) => ({ id: variant.id, fields: { stock } }));
  await call('PATCH', `/api/products/${id}/variants`, { seen, changes });
}

const onShelf = (page: Page) =>
  page
    .getByRole('region', { name: 'Goods on this shelf' })
    .getByRole('img')
    .or(page.getByRole('region', { name: 'Goods on this shelf' }).getByText(/ without a picture$/));
const shelfTitles = async (page: Page) =>
  (await onShelf(page).allTextContents()).map((text) => text.replace(' without a picture', ''));

test('light wind and in stock, or indoor, but no parts: built, pinned, left out, put live', async ({ page }) => {
  call = await enter(page, shop);
  const tag = async (name: string) => (await call('POST', '/api/tags', { name })).id;
  const [light, indoor] = [await tag('light wind'), await tag('indoor')];
  const { id: parts } = await call('POST', '/api/categories', { name: 'Parts' });
  await add('Harrier', { tagIds: [light] }, 5);
  const wren = await add('Wren', { tagIds: [light] }, 3);
  await add('Plover', { tagIds: [light] }, 0);
  await add('Glider', { tagIds: [indoor] }, 0);
  await add('Spar', { tagIds: [indoor], categoryIds: [parts] }, 9);
  await add('Anchor', {}, 9);

  await page.goto(`${shop.url}/desk/groups`);
  await page.getByRole('button', { name: 'Fill by rule' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Calm days');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByText('A rule without conditions takes in nothing.')).toBeVisible();

  await test.step('nested groups, each condition with what it does', async () => {
    const addGroup = (at: number) => page.getByRole('button', { name: 'group', exact: true }).nth(at).click();
    const condition = async (at: number, field: string) => {
      await page.getByRole('combobox', { name: 'Add a condition' }).nth(at).click();
      await page.getByRole('combobox', { name: 'Add a condition' }).nth(at).fill(field);
      await page.getByRole('option', { name: field, exact: true }).click();
    };
    // The outer group first, then from the inside out, as the buttons of inner groups stand in front.
    await addGroup(0);
    await addGroup(0);
    await page.getByRole('button', { name: 'How many must hold: any' }).nth(1).click();
    await page.getByRole('option', { name: 'all' }).click();
    await condition(0, 'Tag');
    await choose(page, 'Value of Tag', 'light wind');
    await condition(0, 'Stock');
    await condition(1, 'Tag');
    await page.getByRole('combobox', { name: 'Value of Tag' }).nth(1).fill('indoor');
    await page.getByRole('option', { name: /^indoor/ }).click();
    await addGroup(2);
    await page.getByRole('button', { name: 'How many must hold: any' }).nth(1).click();
    await page.getByRole('option', { name: 'none' }).click();
    await condition(2, 'Category');
    await choose(page, 'Value of Category', 'Parts');
    await expect(
      page.getByText(
        'every product where ((tag is light wind and stock is above 0) or tag is indoor) and not (category is Parts)',
      ),
    ).toBeVisible();
    await expect(page.getByRole('heading', { name: /^3 in/ })).toBeVisible();
    await expect(page.getByText('takes out 1').first()).toBeVisible();
    await saved(page);
  });

  await test.step('near misses say what they lack, and any product says why', async () => {
    const near = page.getByRole('region', { name: 'One condition short' });
    await expect(near.getByRole('listitem').filter({ hasText: 'Plover' })).toContainText(
      'needs stock above 0 (it is 0), or tag indoor',
    );
    await expect(near.getByRole('listitem').filter({ hasText: 'Spar' })).toContainText('must not have category Parts');
    const why = page.getByRole('region', { name: 'Why isn’t this in?' });
    await why.getByRole('combobox').fill('Anchor');
    await page.getByRole('option', { name: /^Anchor/ }).click();
    await expect(why).toContainText('Anchor is not in');
  });

  await test.step('two are pinned, one is left out', async () => {
    for (const title of ['Glider', 'Wren']) {
      await page.getByRole('button', { name: `Pin ${title} at the front` }).click({ force: true });
      await expect(page.getByRole('button', { name: `Let ${title} go from the front` })).toBeVisible();
    }
    await expect.poll(() => shelfTitles(page)).toEqual(['Glider', 'Wren', 'Harrier']);
    await page.getByRole('button', { name: 'Leave out: Harrier' }).click({ force: true });
    await expect(page.getByRole('region', { name: 'Left out by hand' })).toContainText('Harrier');
    await expect.poll(() => shelfTitles(page)).toEqual(['Glider', 'Wren']);
    await saved(page);
    await noSeriousFault(page, 'collection');
  });

  await test.step('one that sells out drops without anybody saving the collection', async () => {
    await setStock(wren, 0);
    await expect.poll(() => shelfTitles(page)).toEqual(['Glider']);
    await setStock(wren, 2);
    await expect.poll(() => shelfTitles(page)).toEqual(['Glider', 'Wren']);
  });

  await test.step('the review says it, and once live shoppers see that order; a sale there drops it too', async () => {
    await page.getByRole('link', { name: /^Review/ }).click();
    await expect(page.getByText('Calm days').first()).toBeVisible();
    await page.getByRole('button', { name: /^Put .* live$/ }).click();
    await expect(page.getByText('Shoppers see everything you have')).toBeVisible();
    const shown = async () => {
      const answer = await page.request.get(`${shop.url}/shop-api/listing?at=collection:calm-days`);
      return ((await answer.json()) as { items: { title: string }[] }).items.map(({ title }) => title);
    };
    expect(await shown()).toEqual(['Glider', 'Wren']);
    await setStock(wren, 0);
    expect(await shown()).toEqual(['Glider']);
  });
});

test('categories are typed one after the other, moved by keys and by dragging, and hand their goods over', async ({
  page,
}) => {
  call = await enter(page, shop);
  const { id: parts } = await call('POST', '/api/categories', { name: 'Parts' });
  await add('Spar', { categoryIds: [parts] }, 9);
  await page.goto(`${shop.url}/desk/groups`);
  const tree = page.getByRole('complementary', { name: 'Categories' });
  const row = (name: string) => tree.locator('[data-category]').filter({ hasText: name });
  const rows = async () =>
    (await tree.locator('[data-category]').allTextContents()).map((text) => text.replace(/[\d\s].*$/, ''));
  await tree.getByRole('button', { name: 'Add a category' }).click();
  const line = tree.getByLabel('Name of the new category');
  for (const name of ['Kites', 'Line']) {
    await line.fill(name);
    await line.press('Enter');
    await expect(row(name)).toBeVisible();
    await expect(line).toHaveValue('');
  }
  await line.press('Tab');
  await line.fill('Reels');
  await line.press('Enter');
  await expect(row('Reels')).toBeVisible();
  await line.press('Escape');
  const levels = async () => {
    const { categories } = await call<{ categories: { name: string; level: number }[] }>('GET', '/api/groups');
    return categories.map(({ name, level }) => `${name} ${level}`);
  };
  expect(await levels()).toEqual(['Parts 1', 'Kites 1', 'Line 1', 'Reels 2']);

  await row('Line').press('Alt+ArrowUp');
  await expect.poll(levels).toEqual(['Parts 1', 'Line 1', 'Reels 2', 'Kites 1']);
  await row('Kites').press('Alt+ArrowRight');
  await expect.poll(levels).toEqual(['Parts 1', 'Line 1', 'Reels 2', 'Kites 2']);
  const draggable = (name: string) => tree.locator('[draggable=true]').filter({ hasText: name });
  await draggable('Reels').dragTo(draggable('Parts'));
  await expect.poll(levels).toEqual(['Parts 1', 'Reels 2', 'Line 1', 'Kites 2']);
  await noSeriousFault(page, 'groups');

  await row('Parts').click();
  await page.getByLabel('Text').fill('Small things.');
  await saved(page);
  await expect(page.frameLocator('iframe').getByText('Small things.')).toBeVisible();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await choose(page, 'Another category', 'Kites');
  await page.getByRole('button', { name: 'Delete, products go to “Kites”' }).click();
  await expect.poll(rows).toEqual(['Line', 'Kites']);
  await expect(row('Kites')).toContainText('1');
  await page.keyboard.press('Control+z');
  await expect.poll(rows).toEqual(['Parts', 'Reels', 'Line', 'Kites']);
});

test('a tag written twice is told and merged; shelves are found, folded, and what they share is seen', async ({
  page,
}) => {
  call = await enter(page, shop);
  const { id: right } = await call('POST', '/api/tags', { name: 'Beginner' });
  const { id: wrong } = await call('POST', '/api/tags', { name: 'begginer' });
  const [a, b, c] = [
    await add('Finch', { tagIds: [right] }, 1),
    await add('Siskin', { tagIds: [right] }, 1),
    await add('Dunlin', { tagIds: [wrong] }, 1),
  ];
  await page.goto(`${shop.url}/desk/groups/tags`);
  const near = page.getByRole('region', { name: 'Written twice?' });
  await expect(near).toContainText('begginer');
  await near.getByRole('button', { name: 'Merge …' }).click();
  await page.getByRole('button', { name: 'Merge into “Beginner”' }).click();
  await expect(near).toBeHidden();
  await expect(page.getByRole('link', { name: '3 products' })).toBeVisible();
  await noSeriousFault(page, 'tags');

  await call('POST', '/api/collections', { name: 'First', source: 'picked', picked: [a, b] });
  await call('POST', '/api/collections', { name: 'Second', source: 'picked', picked: [b, c] });
  await page.getByRole('link', { name: 'Collections', exact: true }).click();
  await page.getByRole('searchbox', { name: 'Find a shelf' }).fill('sec');
  await expect(page.getByRole('article')).toHaveCount(1);
  await expect(page).toHaveURL(/q=sec/);
  await page.getByRole('button', { name: 'Fold Second' }).click();
  await expect(page.getByRole('button', { name: 'Unfold Second' })).toBeVisible();

  await page.getByRole('link', { name: 'Overlap', exact: true }).click();
  await page.getByText('As a list', { exact: true }).click();
  await page.getByRole('link', { name: 'First and Second: 1' }).click();
  await expect(page.getByRole('grid').getByRole('link', { name: 'Siskin' })).toBeVisible();
  await expect(page.getByRole('grid').getByRole('link', { name: 'Finch' })).toBeHidden();
});
