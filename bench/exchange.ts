import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { startServer } from '../server/testing/harness';
import { Catalog } from '../server/state/catalog';
import type { Job } from '../contract/bulk';
import type { ImportAnswer, ImportPreview } from '../contract/exchange';
import { EMPTY_RULE } from '../core/model/rule';
import { fill } from './fill';
import { ms } from './measure';
import { putIntoReport } from './report';

const SIZE = 10_000;
const COLUMNS = [
  'slug',
  'title',
  'status',
  'brandId',
  'categoryIds',
  'tagIds',
  'option 1 name',
  'option 1 value',
  'option 2 name',
  'option 2 value',
  'option 3 name',
  'option 3 value',
  'variant sku',
  'variant price',
  'variant cost',
  'variant stock',
];
const megabytes = () => process.memoryUsage().rss / 2 ** 20;

/** Asks the shop again and again until something is over; answers the longest wait, in ms. */
async function longestWait(url: string, over: Promise<unknown>): Promise<number> {
  let isOver = false;
  void over.finally(() => (isOver = true)).catch(() => undefined);
  let longest = 0;
  while (!isOver) {
    const began = performance.now();
    await (await fetch(`${url}/shop-api/listing?q=kite`)).arrayBuffer();
    longest = Math.max(longest, performance.now() - began);
    await new Promise((wait) => setTimeout(wait, 5));
  }
  return longest;
}

/** How long something takes, and how long the shop is silent meanwhile. */
async function timed<T>(url: string, run: () => Promise<T>) {
  const began = performance.now();
  const running = run();
  const wait = longestWait(url, running);
  const value = await running;
  const took = performance.now() - began;
  return { value, took, wait: await wait };
}

async function measure(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-bench-'));
  new Catalog(folder).close();
  fill(folder, SIZE);
  const server = await startServer(folder);
  const { call, url, catalog } = server;
  const variants = [...catalog.working.products.values()].reduce((sum, product) => sum + product.variants.length, 0);
  const lines = [
    `${SIZE.toLocaleString('en')} products with ${variants.toLocaleString('en')} variants, ${COLUMNS.length} columns.`,
  ];
  let most = megabytes();
  const watching = setInterval(() => (most = Math.max(most, megabytes())), 20);
  const settled = async ({ call: ask }: typeof server, job: Job) => {
    let now = job;
    while (now.state === 'waiting' || now.state === 'running') {
      await new Promise((wait) => setTimeout(wait, 20));
      now = (await ask<{ jobs: Job[] }>('GET', '/api/jobs')).body.jobs.find(({ id }) => id === job.id)!;
    }
    if (now.state !== 'done') throw new Error(now.outcome);
    return now;
  };
  const note = (what: string, took: number, wait: number) => {
    const line = `${what}: ${ms(took)} ms; the longest that a shopper waited meanwhile: ${ms(wait)} ms.`;
    lines.push(line);
    console.log(line);
  };
  const which = { ids: [], matching: { text: '', rule: EMPTY_RULE } };
  const body = { which, format: 'csv', per: 'variants', columns: COLUMNS };
  const out = await timed(url, async () => {
    const { file, job } = (await call<{ file: { id: string } | null; job: Job | null }>('POST', '/api/exports', body))
      .body;
    if (job) await settled(server, job);
    return file?.id ?? (await call<{ files: { id: string }[] }>('GET', '/api/exports')).body.files[0]!.id;
  });
  note('Taken out as CSV', out.took, out.wait);
  const file = await (
    await server.raw(`/api/exports/${out.value}/file`, { headers: { Cookie: server.cookie } })
  ).text();
  const [head, ...all] = file.split('\r\n').filter(Boolean);
  // Made-up goods may have the same values twice; what sellers bring has not.
  const met = new Set<string>();
  const rows = all.filter((line) => {
    const cells = line.split(',');
    const variant = [cells[0], ...cells.slice(6, 12)].join();
    return !met.has(variant) && met.add(variant);
  });
  const text = (lines: readonly string[]) => [head, ...lines].join('\r\n');
  // Every price another one, as after a day with a spreadsheet.
  const dearer = (line: string) => line.replace(/(\d+\.?\d*)(?=,[^,]*,[^,]*$)/, (price) => String(Number(price) + 1));
  for (const [what, content] of [
    ['a file that changes every price', text(rows.map(dearer))],
    ['the same goods into an empty shop', text(rows)],
  ] as const) {
    const isEmpty = what.includes('empty');
    const target = isEmpty ? await startServer() : server;
    const form = new FormData();
    form.append('files', new File([content], 'goods.csv'));
    const { id } = (await target.call<ImportAnswer>('POST', '/api/imports', form)).body;
    const preview = () =>
      target.call<ImportPreview>('POST', `/api/imports/${id}/preview`, { only: null, offset: 0, limit: 50 });
    const difference = await timed(target.url, preview);
    note(`Difference with ${what} (${JSON.stringify(difference.value.body.counts)})`, difference.took, difference.wait);
    const again = await timed(target.url, preview);
    note('The same difference asked for again', again.took, again.wait);
    const written = await timed(target.url, async () =>
      settled(target, (await target.call<Job>('POST', `/api/imports/${id}/run`)).body),
    );
    note(`Written (${written.value.outcome})`, written.took, written.wait);
    if (isEmpty) await target.close();
  }
  clearInterval(watching);
  lines.push(`Most memory of the process, with this measurement and both shops in it: ${most.toFixed(0)} MB.`);
  console.log(lines.at(-1));
  await server.close();
  rmSync(folder, { recursive: true, force: true });
  putIntoReport('Import and export', lines.map((line) => `- ${line}`).join('\n'));
}

Object.assign(globalThis, { expect: () => ({ toEqual: () => undefined }) });
await measure();
