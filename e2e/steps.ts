import AxeBuilder from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';
import type { RunningShop } from './server';

/** Prepares what a walk begins with, past the interface. */
export type Call = <T = Made>(method: string, path: string, data?: object) => Promise<T>;
interface Made {
  id: string;
  product: { id: string; slug: string; variants: { id: string }[] };
}

/** Signs in as the first person, whom it makes where there is none; answers a way to prepare things. */
export async function enter(page: Page, shop: RunningShop): Promise<Call> {
  const body = { shopName: 'Walks', name: 'Kim', email: 'kim@example.com', password: 'long enough now' };
  const made = await page.request.post(`${shop.url}/api/setup`, { data: body });
  const session = await page.request.post(`${shop.url}/api/session`, { data: body });
  const { token } = (await session.json()) as { token: string };
  // A new shop is closed until its seller opens it.
  if (made.ok())
    await page.request.put(`${shop.url}/api/opening`, {
      data: { isClosed: false },
      headers: { 'X-Dispona-Token': token },
    });
  return async <T>(method: string, path: string, data?: object) =>
    (await (
      await page.request.fetch(shop.url + path, { method, data, headers: { 'X-Dispona-Token': token } })
    ).json()) as T;
}

/** Nothing on the page, the shop window aside, keeps anybody out. */
export async function noSeriousFault(page: Page, where = ''): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).disableRules(['frame-tested']).exclude('iframe').analyze();
  const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(grave.map(({ id, nodes }) => `${where} ${id}: ${nodes[0]?.html}`)).toEqual([]);
}

export const saved = (page: Page) => expect(page.getByText('saved just now').first()).toBeVisible();

/** Picks an option of a field with completion; once more where the page moved under the hand and closed the list. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  const field = page.getByRole('combobox', { name: label });
  await expect(async () => {
    await field.click();
    await field.fill(option);
    await page.getByRole('option', { name: option }).first().click({ timeout: 5_000 });
  }).toPass({ timeout: 30_000 });
}

/** Adds a section to the page that is being built; its fields are open then. */
export async function addSection(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a section' }).click();
  await page.getByRole('dialog').getByRole('button', { name }).click();
  await expect(
    page.getByRole('complementary', { name: 'What is chosen' }).getByRole('heading', { name }),
  ).toBeVisible();
}

/** Drags as a hand does: down, along in steps, a rest, and up. */
export async function drag(page: Page, from: Locator, to: Locator): Promise<void> {
  const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(a.x + a.width / 2 + 8, a.y + a.height / 2 + 4, { steps: 3 });
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 12 });
  await page.waitForTimeout(200);
  await page.mouse.up();
}
