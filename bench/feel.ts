import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { launchOptions } from '../e2e/browser';
import { Catalog } from '../server/state/catalog';
import { createProduct, changeProduct } from '../server/products/product-writes';
import { changeOptions } from '../server/products/variant-writes';
import { setUp } from '../server/people/set-up';
import { fill } from './fill';
import { ms, spreadOf, type Spread } from './measure';
import { putIntoReport } from './report';

/**
 * What a hand feels, measured in the browser: from a key or a click until it is painted. A bare page with one field does the
 * same in the same run, so that the figures hold on a slow machine too. `FEEL_ROOT` is the folder of another build to measure.
 */
const sizes = (process.env.FEEL_SIZES ?? '180,10000,50000').split(',').map(Number);
const root = resolve(process.env.FEEL_ROOT ?? '.');
const account = { email: 'bench@example.com', password: 'not a secret at all' };
const PAIRS = 15;

interface Felt {
  size: number;
  /** two letters typed, until two frames later */
  title: Spread;
  titleOf500: Spread;
  window: Spread;
  /** letter typed in a heading of a page that is being built, until it is seen there */
  built: Spread;
  filter: Spread;
  listFirst: number;
  scroll: Spread;
}

/** Two letters typed into the field with the cursor at the beginning of a frame; answers until the second frame after them. */
async function lettersToPaint(page: Page, pairs: number): Promise<number[]> {
  const felt: number[] = [];
  for (let i = 0; i < pairs; i++) {
    felt.push(
      await page.evaluate(
        () =>
          new Promise<number>((done) =>
            requestAnimationFrame(() => {
              const start = performance.now();
              for (const letter of 'ab') document.execCommand('insertText', false, letter);
              requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - start)));
            }),
          ),
      ),
    );
    // Now and then long enough that it is saved, as when a person stops to think.
    await page.waitForTimeout(i % 3 === 2 ? 900 : 160);
  }
  return felt;
}

/** From each key in the title until the heading in the shop window shows it painted. */
async function keysToWindow(page: Page, times: number): Promise<number[]> {
  const felt: number[] = [];
  for (let i = 0; i < times; i++) {
    const waiting = page.evaluate(() => {
      const frame = document.querySelector('iframe')!.contentWindow!;
      const field = document.activeElement as HTMLInputElement;
      return new Promise<number>((done) => {
        let start = 0;
        window.addEventListener('keydown', () => (start = performance.now()), { capture: true, once: true });
        const look = () => {
          const heading = frame.document.querySelector('h1')?.textContent?.trim();
          if (start > 0 && heading === field.value.trim()) done(performance.now() - start);
          else frame.requestAnimationFrame(look);
        };
        look();
      });
    });
    await page.waitForTimeout(50);
    await page.keyboard.press('z');
    felt.push(await waiting);
    await page.waitForTimeout(400);
  }
  return felt;
}

/** Milliseconds between frames while a scroller is turned by a wheel for two seconds. */
async function framesWhileScrolling(page: Page, selector: string): Promise<number[]> {
  const box = (await page.locator(selector).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames });
    let last = performance.now();
    const tick = () => {
      const now = performance.now();
      frames.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  for (let i = 0; i < 50; i++) {
    await page.mouse.wheel(0, 160);
    await page.waitForTimeout(40);
  }
  return page.evaluate(() => (window as unknown as { frames: number[] }).frames.slice(2));
}

/** A page that does nothing but take letters and scroll. */
async function bare(context: BrowserContext): Promise<{ title: Spread; scroll: Spread }> {
  const rows = Array.from({ length: 4_000 }, (_, i) => `<p style="margin:0;height:46px">Row ${i}</p>`).join('');
  const html = `<!doctype html><input id="f"><div id="s" style="height:600px;overflow:auto">${rows}</div>`;
  const server = createServer((_request, response) => response.setHeader('Content-Type', 'text/html').end(html));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  await page.locator('#f').click();
  const title = spreadOf(await lettersToPaint(page, PAIRS));
  const scroll = spreadOf(await framesWhileScrolling(page, '#s'));
  await page.close();
  server.close();
  return { title, scroll };
}

/** A folder with so many products, one of which has 500 variants. */
async function prepared(size: number): Promise<{ folder: string; plain: string; large: string }> {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-feel-'));
  new Catalog(folder).close();
  const { products } = fill(folder, size);
  const catalog = new Catalog(folder);
  await setUp(catalog, { shopName: 'Bench', name: 'Bench', ...account });
  const large = createProduct(catalog, null, { title: 'Spar of every sort', kind: 'physical', price: 1_000 });
  const options = [10, 10, 5].map((count, o) => ({
    id: null,
    name: `Option ${o}`,
    listId: null,
    values: Array.from({ length: count }, (_, v) => ({ id: null, name: `Value ${v}`, swatch: null, pictureId: null })),
  }));
  changeOptions(catalog, null, large, { seen: Number.MAX_SAFE_INTEGER, options, confirmed: true });
  changeProduct(catalog, null, large, { seen: Number.MAX_SAFE_INTEGER, fields: { status: 'live' } });
  catalog.putLive('First', null);
  catalog.close();
  return { folder, plain: products.find(({ status }) => status === 'live')!.id, large };
}

async function serve(folder: string): Promise<{ url: string; stop: () => void }> {
  const port = 4780;
  const url = `http://127.0.0.1:${port}`;
  const env = { ...process.env, PORT: String(port), DISPONA_DATA: folder, LOG_LEVEL: 'error' };
  const child = spawn(process.execPath, ['dist/server/main.js'], { cwd: root, env, stdio: 'inherit' });
  for (let i = 0; i < 400; i++) {
    if (
      await fetch(`${url}/healthz`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break;
    await new Promise((wait) => setTimeout(wait, 150));
  }
  return { url, stop: () => void child.kill('SIGKILL') };
}

async function feelTitle(page: Page, url: string): Promise<Spread> {
  await page.goto(url);
  const title = page.getByLabel('Title', { exact: true });
  await title.click();
  await page.waitForTimeout(1_500);
  return spreadOf(await lettersToPaint(page, PAIRS));
}

/** A page with a banner and twelve strips, which are drawn at each key. */
async function feelBuilding(page: Page, url: string, token: string): Promise<Spread> {
  const headers = { 'X-Dispona-Token': token };
  const made = await page.request.post(`${url}/api/pages`, { data: { title: 'Built' }, headers });
  const { id } = (await made.json()) as { id: string };
  const strips = Array.from({ length: 12 }, (_, i) => ({
    id: `s_strip${i + 10}`,
    kind: 'strip',
    title: `Strip ${i}`,
    source: { kind: i % 2 ? 'newest' : 'featured' },
    count: 8,
    skipAbove: true,
  }));
  const sections = [{ id: 's_banner', kind: 'banner', slides: [{ title: 'Fly', text: '' }] }, ...strips];
  await page.request.patch(`${url}/api/pages/${id}`, { data: { sections }, headers });
  await page.goto(`${url}/desk/shopfront?page=${id}&section=s_banner`);
  await page.frameLocator('iframe').locator('[data-building]').waitFor({ state: 'attached' });
  await page.waitForTimeout(1_000);
  await page.getByLabel('Heading', { exact: true }).click();
  await page.keyboard.press('End');
  return spreadOf(await keysToWindow(page, 15));
}

/** From a click on a value of the left column until the rows of the answer are painted. */
async function clicksToList(page: Page): Promise<number[]> {
  const felt: number[] = [];
  for (let i = 0; i < 10; i++) {
    const value = page.locator('aside[aria-label="Narrow the goods"] li button').nth(8 + (i % 4));
    if (i > 0) await page.waitForTimeout(300);
    felt.push(
      await value.evaluate(
        (button) =>
          new Promise<number>((done) => {
            const shown = () => document.querySelector('[aria-rowcount]')?.getAttribute('aria-rowcount');
            const before = shown();
            const start = performance.now();
            (button as HTMLElement).click();
            const look = () => {
              const rows = document.querySelectorAll('[data-row]').length;
              const isOver = performance.now() - start > 5_000;
              if (isOver || (shown() !== before && rows > 0))
                requestAnimationFrame(() => done(performance.now() - start));
              else requestAnimationFrame(look);
            };
            look();
          }),
      ),
    );
    await page.waitForTimeout(300);
    await page.goBack();
    await page.waitForTimeout(500);
  }
  return felt;
}

async function feel(context: BrowserContext, size: number): Promise<Felt> {
  const { folder, plain, large } = await prepared(size);
  const { url, stop } = await serve(folder);
  const page = await context.newPage();
  const session = await page.request.post(`${url}/api/session`, { data: account });
  const { token } = (await session.json()) as { token: string };
  const firsts: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(`${url}/desk/goods`);
    firsts.push(
      await page.evaluate(
        () =>
          new Promise<number>((done) => {
            const look = () =>
              document.querySelector('[data-row]')
                ? requestAnimationFrame(() => done(performance.now()))
                : requestAnimationFrame(look);
            look();
          }),
      ),
    );
  }
  await page.waitForTimeout(1_000);
  const filter = spreadOf(await clicksToList(page));
  const scroll = spreadOf(await framesWhileScrolling(page, '[data-goods-scroller]'));
  const title = await feelTitle(page, `${url}/desk/goods/${plain}`);
  const inWindow = spreadOf(await keysToWindow(page, 15));
  const titleOf500 = await feelTitle(page, `${url}/desk/goods/${large}`);
  const built = await feelBuilding(page, url, token);
  await page.close();
  stop();
  rmSync(folder, { recursive: true, force: true });
  return { size, title, titleOf500, window: inWindow, built, filter, listFirst: spreadOf(firsts).p50, scroll };
}

/** What the browser has to read before the desk shows anything, gzip, kB. */
function firstScript(): number {
  const folder = join(root, 'dist/desk');
  const html = readFileSync(join(folder, 'index.html'), 'utf8');
  const files = [...html.matchAll(/(?:src|href)="\/desk\/(files\/[^"]+\.js)"/g)].map((match) => match[1]!);
  const bytes = [...new Set(files)].filter((file) => existsSync(join(folder, file)));
  return bytes.reduce((sum, file) => sum + gzipSync(readFileSync(join(folder, file))).length, 0) / 1_000;
}

const browser = await chromium.launch(launchOptions);
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
// Functions that are sent to the page name themselves with a helper that is not there.
await context.addInitScript('globalThis.__name = (named) => named');
const nothing = await bare(context);
const felt: Felt[] = [];
for (const size of sizes) {
  felt.push(await feel(context, size));
  console.error(JSON.stringify(felt.at(-1)));
}
await browser.close();

const pair = ({ p50, p95 }: Spread) => `${ms(p50)} / ${ms(p95)}`;
const times = (a: number, b: number) => `${(a / b).toFixed(1)} ×`;
const rows = [
  ['what', 'a bare page', ...felt.map(({ size }) => size.toLocaleString('en'))],
  [
    'two letters typed in a title, until two frames later',
    pair(nothing.title),
    ...felt.map(({ title }) => `${pair(title)} (${times(title.p50, nothing.title.p50)})`),
  ],
  [
    'the same, with 500 variants',
    '',
    ...felt.map(({ titleOf500 }) => `${pair(titleOf500)} (${times(titleOf500.p50, nothing.title.p50)})`),
  ],
  ['letter typed, until the shop window shows it', '', ...felt.map((each) => pair(each.window))],
  ['letter typed in a heading, until the page that is built shows it', '', ...felt.map((each) => pair(each.built))],
  ['filter clicked, until its goods are painted', '', ...felt.map(({ filter }) => pair(filter))],
  ['goods list first shown', '', ...felt.map(({ listFirst }) => ms(listFirst))],
  [
    'between frames while scrolling',
    pair(nothing.scroll),
    ...felt.map(({ scroll }) => `${pair(scroll)} (${times(scroll.p95, nothing.scroll.p95)} at p95)`),
  ],
  ['first script, gzip', '', `${firstScript().toFixed(0)} kB`, ...felt.slice(1).map(() => '')],
];
const introduction = `Measured in Chromium without a graphics card by \`npm run bench:feel\`, from a key or a click until it is painted, beside a page that does
nothing else in the same run. Milliseconds, median / 95th percentile; products of the seeded catalogs, and one of 500 variants.`;
const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
const table = [line(rows[0]!), line(rows[0]!.map(() => '---')), ...rows.slice(1).map(line)].join('\n');
console.log(table);
if (process.env.FEEL_OUT) writeFileSync(process.env.FEEL_OUT, table);
else putIntoReport('What a hand feels', `${introduction}\n\n${table}`);
