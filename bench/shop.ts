import { chromium, type Page } from '@playwright/test';
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { launchOptions } from '../e2e/browser';
import { Catalog } from '../server/state/catalog';
import { relevanceWords } from './relevance';
import { putIntoReport } from './report';

/**
 * What a page of the demo shop weighs, how quickly it answers a hand on a slow processor, and how well its search answers
 * judged queries. `LIGHTHOUSE` names an installed Lighthouse 12, which then measures the same pages on a throttled phone.
 */
const PORT = 4_791;
const origin = `http://127.0.0.1:${PORT}`;
const folder = mkdtempSync(join(tmpdir(), 'dispona-'));
const env = { ...process.env, DISPONA_DATA: folder, PORT: String(PORT), LOG_LEVEL: 'warn' };
const pages = { home: '/', listing: '/c/kites', search: '/search?q=kite', product: '/p/bowed-diamond-140' };
type Name = keyof typeof pages;
const names = Object.keys(pages) as Name[];
const ROUNDS = 7;
const AUDITS = 5;

const kB = (bytes: number) => `${(bytes / 1_000).toFixed(1)} kB`;
const middle = (all: number[]) => [...all].sort((a, b) => a - b)[all.length >> 1]!;
const bytesOf = async (path: string) =>
  Buffer.from(await (await fetch(origin + path, { headers: { Accept: 'text/html' } })).arrayBuffer());

async function weight(path: string) {
  const html = await bytesOf(path);
  const text = html.toString();
  const files = (pattern: RegExp) => [...new Set([...text.matchAll(pattern)].map(([, file]) => file!))];
  const gzipped = async (paths: string[]) =>
    (await Promise.all(paths.map(bytesOf))).reduce((sum, file) => sum + gzipSync(file).length, 0);
  const fonts = await Promise.all(files(/href="([^"]+\.woff2)"/g).map(bytesOf));
  return {
    html: kB(gzipSync(html).length),
    brotli: kB(brotliCompressSync(html, { params: { [constants.BROTLI_PARAM_QUALITY]: 4 } }).length),
    script: kB(await gzipped(files(/(?:src|href)="([^"]+\.js)"/g))),
    style: kB(await gzipped(files(/href="([^"]+\.css)"/g))),
    fonts: kB(fonts.reduce((sum, font) => sum + font.length, 0)),
  };
}

/** The longest time from a press until its answer was painted, of one press; the middle of several. */
async function pressed(page: Page, press: (round: number) => Promise<void>): Promise<number> {
  const longest: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    await page.evaluate(() => {
      const kept = window as unknown as { longest: number };
      kept.longest = 0;
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) kept.longest = Math.max(kept.longest, duration);
      }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
    });
    await press(i);
    await page.waitForTimeout(900);
    longest.push(await page.evaluate(() => (window as unknown as { longest: number }).longest));
  }
  return middle(longest);
}

async function hands() {
  const browser = await chromium.launch(launchOptions);
  const page = await browser.newPage({ viewport: { width: 1_280, height: 800 } });
  const slow = await page.context().newCDPSession(page);
  await page.goto(origin + pages.listing, { waitUntil: 'networkidle' });
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const filter = await pressed(page, () => page.getByRole('checkbox', { name: /Ember/ }).first().click());
  await page.goto(origin + pages.product, { waitUntil: 'networkidle' });
  const values = ['Sea', 'Plum', 'Pine', 'Ember'];
  const variant = await pressed(page, (round) => page.getByRole('button', { name: values[round % 4]! }).click());
  await browser.close();
  return { filter, variant };
}

/** Scores of several audits of one page, those that failed left out. */
function audits(path: string): number[] {
  const program = process.env.LIGHTHOUSE;
  if (!program) return [];
  return Array.from({ length: AUDITS }, () => {
    const { stdout } = spawnSync(
      program,
      [
        origin + path,
        '--quiet',
        '--only-categories=performance',
        '--form-factor=mobile',
        '--output=json',
        `--chrome-flags=${['--headless', ...(launchOptions.args ?? [])].join(' ')}`,
      ],
      { encoding: 'utf8', maxBuffer: 1e9, env: { ...process.env, CHROME_PATH: launchOptions.executablePath } },
    );
    const { categories } = JSON.parse(stdout || '{"categories":null}') as {
      categories: { performance: { score: number } } | null;
    };
    return Math.round((categories?.performance.score ?? 0) * 100);
  }).filter((score) => score > 0);
}

function relevance(): string {
  const catalog = new Catalog(folder);
  const words = relevanceWords(catalog.live.shop);
  catalog.close();
  return words;
}

spawnSync('node', ['dist/server/seed.js'], { env, stdio: 'inherit' });
const server = spawn('node', ['dist/server/main.js'], { env, stdio: 'inherit' });
while (
  !(await fetch(`${origin}/healthz`).then(
    ({ ok }) => ok,
    () => false,
  ))
)
  await new Promise((resolve) => setTimeout(resolve, 200));
const weights = await Promise.all(names.map((name) => weight(pages[name])));
const { filter, variant } = await hands();
const scores = names.map((name) => audits(pages[name]));
server.kill('SIGTERM');
await new Promise((resolve) => server.once('exit', resolve));
const answers = relevance();
rmSync(folder, { recursive: true });

const row = (label: string, cells: string[]) => `| ${[label, ...cells].join(' | ')} |`;
const scoreWords = (all: number[]) =>
  all.length > 0 ? `${middle(all)} (${Math.min(...all)}–${Math.max(...all)})` : '';
putIntoReport(
  'The shop',
  `${answers} The queries are those of \`demo/relevance\`, on which the search was also tuned.

What a page loads before it can be used (made by \`npm run bench:shop\`; scripts and styles with gzip, pictures aside):

${row('', names)}
${row(
  '---',
  names.map(() => '---'),
)}
${row(
  'HTML, gzip',
  weights.map(({ html }) => html),
)}
${row(
  'HTML, brotli',
  weights.map(({ brotli }) => brotli),
)}
${row(
  'scripts',
  weights.map(({ script }) => script),
)}
${row(
  'style',
  weights.map(({ style }) => style),
)}
${row(
  'fonts',
  weights.map(({ fonts }) => fonts),
)}
${row('Lighthouse 12, throttled phone: middle (least–most)', scores.map(scoreWords))}

From a press until its answer is painted, on a processor four times slower, middle of ${ROUNDS}: a filter ${filter} ms, another
variant ${variant} ms.`,
);
console.log(readFileSync('docs/bench.md', 'utf8').split('<!-- part: The shop -->')[1]);
