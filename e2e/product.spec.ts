import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { plainPicture } from './pictures';
import { startShop, type RunningShop } from './server';
import { enter, saved } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());

async function addOption(page: Page, name: string, values: string[]): Promise<void> {
  await page.getByLabel('New option').fill(name);
  await page.getByLabel('New option').press('Enter');
  for (const value of values) {
    await page.getByLabel(`New value of ${name}`).fill(value);
    await page.getByLabel(`New value of ${name}`).press('Enter');
    await expect(page.getByRole('textbox', { name: `Value of ${name}`, exact: true }).last()).toHaveValue(value);
  }
}

test('a product with options, eight variants, pictures, specs and a sale is filled in in one go', async ({ page }) => {
  await enter(page, shop);
  await page.goto(`${shop.url}/desk/goods`);
  const began = Date.now();

  await page.getByRole('button', { name: 'New product' }).first().click();
  await page.getByLabel('Title', { exact: true }).fill('Harrier delta 180');
  await page.getByLabel('Price').fill('64');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('heading', { name: 'Harrier delta 180' })).toBeVisible();

  await test.step('five pictures at once', async () => {
    const colours = ['#e4572e', '#0f6b5f', '#5b3f9e', '#1d4f91', '#f3a712'];
    const files = await Promise.all(
      colours.map(async (colour, i) => ({
        name: `kite-${i}.png`,
        mimeType: 'image/png',
        buffer: await plainPicture(colour),
      })),
    );
    await page.locator('#pictures input[type=file]').setInputFiles(files);
    await expect(page.locator('#pictures img')).toHaveCount(5);
  });

  await test.step('two options make eight variants', async () => {
    await addOption(page, 'Colourway', ['Ember', 'Pine', 'Plum', 'Sea']);
    await addOption(page, 'Line set', ['Without', 'With reel']);
    await expect(page.getByText('4 × 2 = 8 variants')).toBeVisible();
    // The sum is told as the values are typed; the rows stand when the server has made them.
    await expect(page.getByLabel('Price, Sea · With reel', { exact: true })).toBeVisible();
  });

  await test.step('a block of a spreadsheet is pasted; one that is too long is refused as a whole', async () => {
    const price = page.getByLabel('Price, Ember · Without', { exact: true });
    const paste = (block: string) =>
      price.evaluate((input, text) => {
        const data = new DataTransfer();
        data.setData('text/plain', text);
        input.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
      }, block);
    await paste(Array.from({ length: 600 }, () => '70').join('\n'));
    await expect(page.getByText('The block has 600 rows, but only 8 fit from here. Nothing was pasted.')).toBeVisible();
    await expect(price).toHaveValue('64.00');
    await paste(Array.from({ length: 8 }, (_, i) => `${i % 2 ? 79 : 64}\t58\t${i % 2 ? 36.4 : 29.1}`).join('\n'));
    await expect(page.getByLabel('Price, Sea · With reel', { exact: true })).toHaveValue('79.00');
    await expect(page.getByLabel('Cost, Sea · With reel', { exact: true })).toHaveValue('36.40');
    await saved(page);
  });

  await test.step('columns are set by a pattern and by arithmetic', async () => {
    const setColumn = async (column: string, typed: string, button: string) => {
      await page.getByRole('button', { name: 'Set a column' }).click();
      await page.getByRole('button', { name: /^Column:/ }).click();
      await page.getByRole('option', { name: column, exact: true }).click();
      await page.getByLabel('Becomes').fill(typed);
      await page.getByRole('button', { name: button, exact: true }).click();
      await expect(page.getByRole('dialog')).toBeHidden();
    };
    await setColumn('SKU', 'HD180-{colourway:2}-{line:4}', 'Set 8');
    await setColumn('Price', '+10 %', 'Set 8');
    await expect(page.getByLabel('SKU, Plum · With reel', { exact: true })).toHaveValue('HD180-PL-WITH-2');
    await expect(page.getByLabel('Price, Ember · Without', { exact: true })).toHaveValue('70.40');
    await saved(page);
  });

  await test.step('arrows go from cell to cell, and Ctrl+D takes what stands above', async () => {
    await page.getByLabel('In stock, Ember · Without', { exact: true }).fill('12');
    await page.keyboard.press('ArrowDown');
    await expect(page.getByLabel('In stock, Ember · With reel', { exact: true })).toBeFocused();
    await page.keyboard.press('Control+d');
    await expect(page.getByLabel('In stock, Ember · With reel', { exact: true })).toHaveValue('12');
    await saved(page);
  });

  await test.step('a sale, and an end before its start is told at the field', async () => {
    await page.getByLabel('Sale from').fill('2030-05-01T10:00');
    await page.getByLabel('Sale until').fill('2030-04-01T10:00');
    await expect(page.getByText('The end must come after the beginning.', { exact: true })).toBeVisible();
    await expect(page.getByLabel('Sale until')).toHaveValue('2030-04-01T10:00');
    await page.getByLabel('Sale until').fill('2030-06-01T10:00');
    await expect(page.getByText('The end must come after the beginning.')).toBeHidden();
    await saved(page);
  });

  await test.step('specs: a new sheet, then values in any unit', async () => {
    const sheet = page.getByRole('combobox', { name: 'Choose a spec sheet' });
    await sheet.fill('Kite');
    await page.getByRole('option', { name: 'New sheet “Kite”' }).click();
    await page.getByRole('button', { name: 'Add an attribute' }).click();
    await page.getByLabel('Name of attribute 1').fill('Wingspan');
    await page.getByRole('button', { name: /^Type of Wingspan/ }).click();
    await page.getByRole('option', { name: 'Number' }).click();
    await page.getByLabel('Unit of Wingspan').fill('cm');
    await page.getByRole('button', { name: 'Save the sheet' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.getByLabel('Wingspan', { exact: true }).fill('long');
    await expect(page.getByText('Type a number, like 12 cm.', { exact: true })).toBeVisible();
    await page.getByLabel('Wingspan', { exact: true }).fill('1.8 m');
    await page.keyboard.press('Tab');
    await expect(page.getByLabel('Wingspan', { exact: true })).toHaveValue('180\u00a0cm');
    await saved(page);
  });

  console.log(`      filled in after ${((Date.now() - began) / 1000).toFixed(1)} s`);

  await test.step('a wrong barcode is told in its cell and stays as typed', async () => {
    await page.getByRole('button', { name: 'Columns' }).click();
    await page.getByRole('checkbox', { name: 'Barcode' }).check();
    await page.keyboard.press('Escape');
    const barcode = page.getByLabel('Barcode, Ember · Without');
    await barcode.fill('4006381333932');
    await expect(page.getByRole('alert').filter({ hasText: 'The last digit should be 1' })).toBeVisible();
    await page.keyboard.press('Tab');
    await expect(barcode).toHaveValue('4006381333932');
    await barcode.fill('4006381333931');
    await expect(page.getByRole('alert').filter({ hasText: 'The last digit should be 1' })).toBeHidden();
  });

  await test.step('the writing helper proposes, and what is taken stands in place of the paragraph', async () => {
    await page.getByRole('textbox', { name: 'Description', exact: true }).click();
    await page.keyboard.type('comes rigged,in a sleeve  .Sewn , not glued');
    await page.getByRole('button', { name: 'Help with this paragraph' }).click();
    await page.getByRole('button', { name: 'Make it a list' }).click();
    await page.getByRole('button', { name: 'Take it' }).click();
    const points = page.getByRole('textbox', { name: 'Description', exact: true }).getByRole('listitem');
    await expect(points).toHaveText(['Comes rigged, in a sleeve', 'Sewn, not glued']);
    await saved(page);
  });

  await test.step('a combination that is not sold is left out, and brought back', async () => {
    await page.getByRole('button', { name: 'Leave out Pine · Without' }).click();
    await page.getByRole('button', { name: 'Leave it out' }).click();
    await expect(page.getByLabel('SKU, Pine · Without', { exact: true })).toBeHidden();
    await page.getByRole('button', { name: 'Pine · Without', exact: true }).click();
    await expect(page.getByLabel('SKU, Pine · Without', { exact: true })).toHaveValue('');
  });

  await test.step('delivered goods are noted, and the ledger tells it', async () => {
    await page.getByRole('button', { name: 'Stock moved' }).click();
    await page.getByLabel('Pieces, Ember · Without').fill('5');
    await page.getByLabel('Note').fill('delivery 214');
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(page.getByText('delivery 214', { exact: false }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByLabel('In stock, Ember · Without', { exact: true })).toHaveValue('17');
  });

  await test.step('the page has no serious fault of access', async () => {
    const { violations } = await new AxeBuilder({ page }).disableRules(['frame-tested']).exclude('iframe').analyze();
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
    expect(serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
  });

  await test.step('shoppers see it; a copy has its title ready to type over, and undo takes it back', async () => {
    await page.getByRole('button', { name: 'Put on the shop' }).click();
    const window = page.frameLocator('iframe');
    await expect(window.getByText('180\u00a0cm')).toBeVisible();
    await page.getByRole('button', { name: 'Copy as new' }).click();
    const title = page.getByLabel('Title', { exact: true });
    await expect(title).toHaveValue('Copy of Harrier delta 180');
    await page.keyboard.type('Harrier delta 240');
    await expect(page.getByRole('heading', { name: 'Harrier delta 240' })).toBeVisible();
    await expect(page.getByLabel('SKU, Ember · Without', { exact: true })).toHaveValue('');
    await saved(page);
    // Who rests while typing has made more than one change of it.
    for (let stood = 'Harrier delta 240'; stood !== 'Copy of Harrier delta 180'; stood = await title.inputValue()) {
      await page.getByRole('button', { name: 'Undo' }).click();
      await expect(title).not.toHaveValue(stood);
    }
  });
});
