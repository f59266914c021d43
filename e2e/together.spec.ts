import { expect, test } from '@playwright/test';
import { startShop, type RunningShop } from './server';
import { addSection, enter, saved } from './steps';

let shop: RunningShop;
test.beforeAll(async () => void (shop = await startShop()));
test.afterAll(() => shop.stop());

test('two tabs add to the same page: both sections stay, and the same name typed twice is a choice', async ({
  page,
  context,
}) => {
  const call = await enter(page, shop);
  const { id } = await call('POST', '/api/collections', { name: 'Light wind', source: 'picked' });
  const other = await context.newPage();
  // The other tab does not hear of what happens in the first one.
  await other.route('**/api/events', (route) => route.abort());
  for (const tab of [page, other]) {
    await tab.goto(`${shop.url}/desk/shopfront`);
    await expect(tab.getByText('This page is empty.')).toBeVisible();
  }
  await addSection(page, 'Banner');
  await saved(page);
  await addSection(other, 'Tiles');
  await saved(other);
  const { pages } = await call<{ pages: { sections: { kind: string }[] }[] }>('GET', '/api/pages');
  expect(pages[0]!.sections.map(({ kind }) => kind).sort()).toEqual(['banner', 'tiles']);

  for (const tab of [page, other]) {
    await tab.goto(`${shop.url}/desk/groups/${id}`);
    await expect(tab.getByLabel('Name', { exact: true })).toHaveValue('Light wind');
  }
  await page.getByLabel('Name', { exact: true }).fill('Light wind days');
  await saved(page);
  await other.getByLabel('Name', { exact: true }).fill('Calm days');
  await expect(other.getByText('Theirs: “Light wind days”. Yours: “Calm days”.')).toBeVisible();
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await page.getByLabel('Name', { exact: true }).blur();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Calm days');
});

test('a password is changed in the desk, and a common one is refused at its field', async ({ page }) => {
  await enter(page, shop);
  await page.goto(`${shop.url}/desk`);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Change your password' }).click();
  await page.getByLabel('Your password now').fill('long enough now');
  await page.getByLabel('New password').fill('password12345');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('one of the passwords that are tried first')).toBeVisible();
  await page.getByLabel('New password').fill('three gulls on the pier');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('Your password is changed.')).toBeVisible();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await page.getByLabel('E-mail').fill('kim@example.com');
  await page.getByLabel('Password').fill('three gulls on the pier');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('All is live').or(page.getByText('Review'))).toBeVisible();
});
