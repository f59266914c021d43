import { expect, type ElementHandle, type Locator, type Page } from '@playwright/test';

type Place = Locator | ElementHandle<Node>;

/** Numbers that look random and are the same each time, so that a walk that fails fails again. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

/** Milliseconds between keys, from someone who touch-types to someone who looks for each letter. */
const paces = [20, 60, 120, 200] as const;

/** Types as people do: each letter after a while, a rest after a word, and on while what came before is being saved. */
export class Hands {
  readonly #random: () => number;

  constructor(
    readonly page: Page,
    seed = 1,
  ) {
    this.#random = seeded(seed);
  }

  /** one of the paces, the slower ones less often */
  pace(): number {
    return paces[Math.floor(this.#random() ** 2 * paces.length)]!;
  }

  between = (from: number, to: number): number => from + this.#random() * (to - from);

  async type(text: string, pace: number = this.pace()): Promise<void> {
    for (const letter of text) {
      await this.page.keyboard.type(letter);
      await this.page.waitForTimeout(letter === ' ' ? this.between(250, 700) : pace * this.between(0.7, 1.3));
    }
  }

  /** Puts the cursor at the end of a field and types there. */
  async add(field: Place, text: string): Promise<void> {
    await (field as Locator).click();
    await this.page.keyboard.press('ControlOrMeta+End');
    await this.page.keyboard.press('End');
    await this.type(text);
  }

  /** Types over everything that stands in a field. */
  async replace(field: Place, text: string): Promise<void> {
    await (field as Locator).click();
    await this.page.keyboard.press('ControlOrMeta+a');
    await this.type(text);
  }

  /**
   * From now on answers take their time, and do not come in the order in which they were asked for: those of the desk, or
   * those at addresses that `isMeant` tells.
   */
  async slowServer(
    from = 50,
    to = 1_500,
    isMeant = (url: URL) => url.pathname.startsWith('/api/') && url.pathname !== '/api/events',
  ): Promise<void> {
    await this.page.route(isMeant, async (route) => {
      // The server takes requests as they come; only its answers are late.
      const response = await route.fetch().catch(() => undefined);
      if (!response) return route.abort();
      await new Promise((wait) => setTimeout(wait, this.between(from, to)));
      // Whoever asked may have left meanwhile.
      await route.fulfill({ response }).catch(() => undefined);
    });
  }

  async quickServer(): Promise<void> {
    await this.page.unrouteAll({ behavior: 'ignoreErrors' });
  }
}

const FIELDS =
  'input:not([type=checkbox]):not([type=radio]):not([type=file]):not([type=color]):not([type=search]):not([role=combobox]), textarea, [contenteditable=true]';

export interface Field {
  /** what a person calls it */
  name: string;
  /** which of those of the same name */
  nth: number;
  type: string;
  value: string;
}

/** Every field of a screen that letters can be typed into, but for those that look for something or add it on Enter. */
export async function fieldsOf(page: Page, within: string): Promise<Field[]> {
  const all = await page
    .locator(within)
    .locator(FIELDS)
    .evaluateAll((elements) =>
      elements
        .filter((element) => (element as HTMLElement).offsetParent !== null)
        .map((element) => {
          const input = element as HTMLInputElement;
          const name = input.getAttribute('aria-label') ?? input.labels?.[0]?.textContent?.trim() ?? '';
          const isRich = input.isContentEditable;
          return { name, type: isRich ? 'rich' : input.type, value: isRich ? input.innerText : input.value };
        }),
    );
  const met = new Map<string, number>();
  return all
    .map((field) => {
      const nth = met.get(field.name) ?? 0;
      met.set(field.name, nth + 1);
      return { ...field, nth };
    })
    .filter(({ name }) => !/^(New|Add) /.test(name));
}

export const locate = (page: Page, within: string, { name, nth }: Field): Locator =>
  page.locator(within).getByLabel(name, { exact: true }).locator('visible=true').nth(nth);

export async function textOf(field: Place): Promise<string> {
  const handle = 'elementHandle' in field ? await field.elementHandle({ timeout: 5_000 }) : field;
  return handle.evaluate((element) => {
    const input = element as HTMLInputElement;
    return input.isContentEditable ? input.innerText : input.value;
  });
}

/** Waits until nothing on the screen is unsaved. */
export async function untilSaved(page: Page): Promise<void> {
  await expect(page.locator('[data-unsaved]')).toHaveCount(0, { timeout: 20_000 });
  await expect(page.getByText(/^(typing|saving) …$/)).toHaveCount(0, { timeout: 20_000 });
}
