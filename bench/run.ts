import { mkdtempSync, rmSync } from 'node:fs';
import { cpus, tmpdir, totalmem } from 'node:os';
import { join } from 'node:path';
import { seedDemo } from '../demo/seed-demo';
import { Catalog } from '../server/state/catalog';
import { measureCore, type CoreFigures } from './core';
import { ms, randomReadNs, spread } from './measure';
import { relevanceWords } from './relevance';
import { writeReport } from './report';
import { measureServer, type ServerFigures } from './server';

async function relevance(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-'));
  const catalog = new Catalog(folder);
  await seedDemo(catalog, () => undefined, false);
  const words = relevanceWords(catalog.live.shop);
  catalog.close();
  rmSync(folder, { recursive: true });
  return words;
}

const sizes = (process.env.BENCH_SIZES ?? '1000,10000,50000').split(',').map(Number);
const log = (line: string) => console.log(line);

const table = (head: string[], rows: string[][]) =>
  [head, head.map(() => '---'), ...rows].map((row) => `| ${row.join(' | ')} |`).join('\n');
const readNs = randomReadNs();
const count = (n: number) => n.toLocaleString('en');
const megabytes = (bytes: number) => `${(bytes / 1024 / 1024).toFixed(1)} MB`;

function report(core: CoreFigures[], server: ServerFigures[], answers: string): string {
  const heads = ['', ...core.map(({ size }) => count(size))];
  const row = (label: string, cells: string[]) => [label, ...cells];
  const ratio = (figures: CoreFigures, peer: number) =>
    `${(figures.peers[peer]!.spread.p95 / figures.finder.p95).toFixed(0)}×`;
  return `# Measurements

Made by \`npm run bench\` on a machine with ${cpus().length} cores and ${(totalmem() / 1024 ** 3).toFixed(0)} GB of memory, Node ${process.version}. Catalogs
come from \`demo/scale.ts\` (seeded). Peers run in the same process right after Dispona, so that ratios hold on a noisy
machine. Milliseconds; where three numbers stand, they are median / 95th percentile / longest. When this run began, one read
somewhere in 8 MB of memory took ${readNs.toFixed(0)} ns; runs are alike only where that is.

## Listing queries in core
${count(500)} mixed queries (words as they are typed, slips, filters of which at most one is on variants), each with a page of 24
and the counts of every value of 15 facets; each is asked three times, round by round, and its middle time counts. Peers
answer the first 80 of them; they count values over the union of a product's variants, which is less work and not exact, and
do not forgive slips. The last row of queries is work that the peers cannot do.

${table(heads, [
  row(
    '**Dispona finder**',
    core.map(({ finder }) => `**${spread(finder)}**`),
  ),
  ...core[0]!.peers.map((peer, i) =>
    row(
      peer.name,
      core.map((figures) => spread(figures.peers[i]!.spread)),
    ),
  ),
  ...core[0]!.peers.map((peer, i) =>
    row(
      `p95 ahead of ${peer.name}`,
      core.map((figures) => ratio(figures, i)),
    ),
  ),
  row(
    'Dispona finder, two or three filters on one variant, with the extent of prices',
    core.map(({ exact }) => spread(exact)),
  ),
  row(
    'variants',
    core.map(({ variants }) => count(variants)),
  ),
  row(
    'index: typed arrays',
    core.map(({ indexBytes }) => megabytes(indexBytes)),
  ),
  row(
    'index: build',
    core.map(({ buildMs }) => ms(buildMs)),
  ),
  row(
    'index: made again from what was kept',
    core.map(({ readMs }) => ms(readMs)),
  ),
])}

## Changes and rules in core

${table(heads, [
  row(
    'one product changed → index and memberships fresh',
    core.map(({ updateMs }) => spread(updateMs)),
  ),
  row(
    '200 rules over everything',
    core.map(({ rulesMs }) => ms(rulesMs)),
  ),
  row(
    '200 collections filled by rule: all members from nothing',
    core.map(({ collectionsMs }) => ms(collectionsMs)),
  ),
  row(
    '– one product changed, against all of them',
    core.map(({ refreshMs }) => spread(refreshMs)),
  ),
  row(
    '– what they share, pair by pair',
    core.map(({ overlapMs }) => ms(overlapMs)),
  ),
  row(
    'a rule edited → members, what each condition does, near misses',
    core.map(({ nearMissMs }) => spread(nearMissMs)),
  ),
  row(
    'up to 5,000 goods by margin, brands spread, sold out last',
    core.map(({ mixMs }) => ms(mixMs)),
  ),
  row(
    'price and margin of every variant, quantity prices where there are any',
    core.map(({ pricingMs }) => ms(pricingMs)),
  ),
])}

## The goods desk on a real SQLite file
The list tells how many products every value of every field would leave, and how four numbers are spread. The change of many
prices is one undoable change, written in a thread; its time ends when both shops are fresh.

${table(
  ['', ...server.map(({ size }) => count(size))],
  [
    row(
      'goods list: 60 rows, counts of all fields, four distributions, loose ends',
      server.map(({ goods }) => spread(goods.list)),
    ),
    row(
      '– each after a price was changed, which makes orders and places anew',
      server.map(({ goods }) => spread(goods.listAfterChange)),
    ),
    row(
      'sheet of 5,000 variants: read',
      server.map(({ goods }) => ms(goods.sheetMs)),
    ),
    row(
      'prices of up to 50,000 variants changed: variants',
      server.map(({ goods }) => count(goods.bulkVariants)),
    ),
    row(
      '– done',
      server.map(({ goods }) => ms(goods.bulkMs)),
    ),
    row(
      '– undone',
      server.map(({ goods }) => ms(goods.undoMs)),
    ),
    row(
      '– longest wait of another request meanwhile',
      server.map(({ goods }) => ms(goods.waitMs)),
    ),
  ],
)}

## The server on a real SQLite file

${table(
  ['', ...server.map(({ size }) => count(size))],
  [
    row(
      'ready after start',
      server.map(({ startMs }) => ms(startMs)),
    ),
    row(
      '– after an update, without an index that was kept',
      server.map(({ startAfreshMs }) => ms(startAfreshMs)),
    ),
    row(
      'stopped, the index kept',
      server.map(({ closeMs }) => ms(closeMs)),
    ),
    row(
      'one price changed: saved, journaled, both shops fresh',
      server.map(({ oneChange }) => spread(oneChange)),
    ),
    row(
      'one price of a product with 500 variants: saved, journaled, both shops fresh, answered',
      server.map(({ largeProduct }) => spread(largeProduct)),
    ),
    row(
      'review of 1,000 changed products',
      server.map(({ reviewMs }) => ms(reviewMs)),
    ),
    row(
      'put 1,000 changed products live',
      server.map(({ putLiveMs }) => ms(putLiveMs)),
    ),
    row(
      'go back to the edition before',
      server.map(({ goBackMs }) => ms(goBackMs)),
    ),
    row(
      'first edition of everything',
      server.map(({ firstEditionMs }) => ms(firstEditionMs)),
    ),
    row(
      'shop-api listing over HTTP, one client',
      server.map(({ httpListing }) => spread(httpListing)),
    ),
    row(
      '– two or three filters on one variant',
      server.map(({ httpExact }) => spread(httpExact)),
    ),
    row(
      'storefront page, server-rendered, one client',
      server.map(({ httpPage }) => spread(httpPage)),
    ),
    row(
      'listing requests per second, 50 clients on the same machine, each request another one',
      server.map(({ requestsPerSecond }) => requestsPerSecond.toFixed(0)),
    ),
    row(
      '– the same 500 requests four times, as kept while nothing changes',
      server.map(({ knownPerSecond }) => knownPerSecond.toFixed(0)),
    ),
    row(
      '– of them failed',
      server.map(({ failed }) => String(failed)),
    ),
    row(
      'longest hold of the thread by a request made to hold it',
      server.map(({ hostileMs }) => ms(hostileMs)),
    ),
  ],
)}

## How good the answers of the search are

${answers} The queries are in \`demo/relevance/judged.ts\`.
`;
}

const core = sizes.map((size) => {
  globalThis.gc?.();
  return measureCore(size, log);
});
const server: ServerFigures[] = [];
for (const size of sizes) {
  globalThis.gc?.();
  server.push(await measureServer(size, log));
}
const text = report(core, server, await relevance());
console.log(`\n${text}`);
if (!process.env.BENCH_SIZES) writeReport(text);
