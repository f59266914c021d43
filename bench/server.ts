import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, createServer, get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { monitorEventLoopDelay, performance } from 'node:perf_hooks';
import { Worker } from 'node:worker_threads';
import { written } from '../core/history/done';
import { makeApp } from '../server/app/app';
import { Catalog } from '../server/state/catalog';
import { productAnswer } from '../server/products/queries';
import { changeProduct, createProduct } from '../server/products/product-writes';
import { changeOptions, changeVariants } from '../server/products/variant-writes';
import { review } from '../server/publishing/review';
import { setUp } from '../server/people/set-up';
import { updateProduct } from '../server/store/put-products';
import { measureGoods, type GoodsFigures } from './goods';
import { ms, spreadOf, timeEach, timeOnce, type Spread } from './measure';
import { benchQueries, type BenchQuery } from './queries';
import { fill } from './fill';
import { hostileRequests } from '../server/testing/hostile-requests';
import { noAssets } from '../shop/render';

const QUERIES = 500;

export interface ServerFigures {
  goods: GoodsFigures;
  size: number;
  startMs: number;
  startAfreshMs: number;
  closeMs: number;
  firstEditionMs: number;
  oneChange: Spread;
  largeProduct: Spread;
  reviewMs: number;
  putLiveMs: number;
  goBackMs: number;
  httpListing: Spread;
  httpExact: Spread;
  httpPage: Spread;
  requestsPerSecond: number;
  knownPerSecond: number;
  failed: number;
  hostileMs: number;
}

const owner = { shopName: 'Bench', name: 'Bench', email: 'bench@example.com', password: 'not a secret' };

/** How long the thread is held at the longest by a request made to hold it, ms; of four times each, the least counts. */
async function longestHold(origin: string, productId: string): Promise<number> {
  const json = { 'Content-Type': 'application/json' };
  const signedIn = await fetch(`${origin}/api/session`, { method: 'POST', headers: json, body: JSON.stringify(owner) });
  const { token } = (await signedIn.json()) as { token: string };
  const cookie = signedIn.headers.get('set-cookie')!.split(';')[0]!;
  const sender = { productId, headers: { ...json, Cookie: cookie, 'X-Dispona-Token': token } };
  let longest = 0;
  for (const request of hostileRequests) {
    const { path, ...init } = request.make(sender);
    let least = Infinity;
    for (let round = 0; round < 4; round++) {
      const delay = monitorEventLoopDelay({ resolution: 1 });
      delay.enable();
      await (await fetch(origin + path, init)).arrayBuffer();
      delay.disable();
      least = Math.min(least, delay.max / 1e6);
    }
    longest = Math.max(longest, least);
  }
  return longest;
}

/** A product with 10 × 10 × 5 variants. */
function addLargeProduct(catalog: Catalog): string {
  const id = createProduct(catalog, null, { title: 'Spar of every sort', kind: 'physical', price: 1_000 });
  const options = [10, 10, 5].map((count, o) => ({
    id: null,
    name: `Option ${o}`,
    listId: null,
    values: Array.from({ length: count }, (_, v) => ({
      id: null,
      name: `Value ${v}`,
      swatch: null,
      pictureId: null,
    })),
  }));
  changeOptions(catalog, null, id, { seen: Number.MAX_SAFE_INTEGER, options, confirmed: true });
  changeProduct(catalog, null, id, { seen: Number.MAX_SAFE_INTEGER, fields: { status: 'live' } });
  return id;
}

/** A query as an address of the storefront's API. */
function addressOf(catalog: Catalog, { text, filters, price, sort }: BenchQuery): string {
  const { categories, brands, tags } = catalog.live.shop;
  const params = new URLSearchParams({ q: text });
  const [category, tag] = [filters.category?.[0], filters.tag?.[0]];
  if (category) params.set('at', `category:${categories.get(category)!.slug}`);
  else if (tag) params.set('at', `tag:${tags.get(tag)!.slug}`);
  if (filters.brand) params.set('f.brand', filters.brand.map((id) => brands.get(id)!.slug).join());
  for (const [facet, values] of Object.entries(filters))
    if (facet.startsWith('option.')) params.set(`f.${facet.slice(7)}`, values.join());
  if (filters.available) params.set('f.stock', 'in');
  if (price) params.set('f.price', `${price.min / 100}..${price.max / 100}`);
  if (!text) params.set('sort', sort);
  return params.toString();
}

const agent = new Agent({ keepAlive: true, maxSockets: 50 });

function fetchOnce(url: string): Promise<boolean> {
  return new Promise((done) => {
    get(url, { agent }, (response) => {
      response.resume();
      response.on('end', () => done(response.statusCode === 200));
    }).on('error', () => done(false));
  });
}

async function spreadOfRequests(urls: readonly string[]): Promise<Spread> {
  const times: number[] = [];
  for (const url of urls) {
    const start = performance.now();
    await fetchOnce(url);
    times.push(performance.now() - start);
  }
  return spreadOf(times);
}

/** Many clients at once, on a thread of their own, so that they do not take the server's time. */
function load(
  origin: string,
  paths: readonly string[],
  clients: number,
): Promise<{ perSecond: number; failed: number }> {
  return new Promise((done, fail) => {
    const file = new URL('./load-client.mjs', import.meta.url);
    const worker = new Worker(file, { workerData: { origin, paths, clients } });
    worker.once('message', done);
    worker.once('error', fail);
  });
}

export async function measureServer(size: number, log: (line: string) => void): Promise<ServerFigures> {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-bench-'));
  new Catalog(folder).close();
  const scaled = fill(folder, size);
  const first = new Catalog(folder);
  await setUp(first, owner);
  const firstEditionMs = timeOnce(() => first.putLive('First', null)).ms;
  first.close();
  // As after an update of Dispona, and then as on any other day: everything is live, and little has changed since.
  rmSync(join(folder, 'index.kept'), { force: true });
  globalThis.gc?.();
  const { ms: startAfreshMs, value: afresh } = timeOnce(() => new Catalog(folder));
  const { ms: closeMs } = timeOnce(() => afresh.close());
  globalThis.gc?.();
  const { ms: startMs, value: catalog } = timeOnce(() => new Catalog(folder));
  globalThis.gc?.();

  const some = scaled.products.slice(0, 100);
  const oneChange = spreadOf(
    timeEach(some, ({ id, variants }) =>
      changeVariants(catalog, null, id, Number.MAX_SAFE_INTEGER, [
        { id: variants[0]!.id, fields: { price: variants[0]!.price + 100, salePrice: null } },
      ]),
    ),
  );
  const large = addLargeProduct(catalog);
  const largeProduct = spreadOf(
    timeEach(Array.from({ length: 60 }), () => {
      const variant = catalog.working.products.get(large)!.variants[250]!;
      changeVariants(catalog, null, large, Number.MAX_SAFE_INTEGER, [
        { id: variant.id, fields: { price: variant.price + 100 } },
      ]);
      JSON.stringify(productAnswer(catalog, large));
    }),
  );
  catalog.journal.change(written('Bench: 1,000 products'), catalog.actor(null), () => {
    for (const product of scaled.products.slice(0, 1_000))
      updateProduct(catalog.db, product.id, { summary: 'Another summary' });
  });
  const reviewMs = timeOnce(() => review(catalog)).ms;
  const before = catalog.live.edition;
  const putLiveMs = timeOnce(() => catalog.putLive('Second', null)).ms;
  const goBackMs = timeOnce(() => catalog.goBack(before, 'Back', null)).ms;
  log(
    `${size}: start ${ms(startMs)}, one change ${ms(oneChange.p50)}, review ${ms(reviewMs)}, put live ${ms(putLiveMs)}, back ${ms(goBackMs)} ms`,
  );

  const goods = await measureGoods(catalog, benchQueries(scaled, 200, 'mixed'));
  log(
    `${size}: goods list p95 ${ms(goods.list.p95)} ms, ${goods.bulkVariants} prices ${ms(goods.bulkMs)}, undo ${ms(goods.undoMs)} ms`,
  );

  const server = createServer(
    makeApp({
      catalog,
      assets: noAssets,
      origin: '',
      log: { error: () => undefined, warn: () => undefined },
    }),
  );
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const mixed = benchQueries(scaled, QUERIES, 'mixed').map((query) => addressOf(catalog, query));
  const listing = mixed.map((query) => `/shop-api/listing?${query}`);
  const exact = benchQueries(scaled, QUERIES, 'exact').map((query) => `/shop-api/listing?${addressOf(catalog, query)}`);
  const pages = mixed.slice(0, 150).map((query, i) => (i % 3 === 0 ? `/p/product-${i}` : `/search?${query}`));
  const atOrigin = (path: string) => origin + path;
  await load(origin, listing.slice(0, 100), 4);
  const httpListing = await spreadOfRequests(listing.map(atOrigin));
  const httpExact = await spreadOfRequests(exact.map(atOrigin));
  const httpPage = await spreadOfRequests(pages.map(atOrigin));
  // A parameter that the shop ignores makes each address another one, so that no kept answer can serve it.
  const fresh = [1, 2, 3, 4].flatMap((round) => listing.map((path) => `${path}&round=${round}`));
  const { perSecond, failed } = await load(origin, fresh, 50);
  const again = await load(origin, [...listing, ...listing, ...listing, ...listing], 50);
  log(
    `${size}: HTTP listing p95 ${ms(httpListing.p95)} ms, page p95 ${ms(httpPage.p95)} ms, ${perSecond.toFixed(0)} requests/s, known ones ${again.perSecond.toFixed(0)}`,
  );
  const hostileMs = await longestHold(origin, large);
  agent.destroy();
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  catalog.close();
  rmSync(folder, { recursive: true, force: true });
  return {
    size,
    goods,
    startMs,
    startAfreshMs,
    closeMs,
    firstEditionMs,
    oneChange,
    largeProduct,
    reviewMs,
    putLiveMs,
    goBackMs,
    httpListing,
    httpExact,
    httpPage,
    requestsPerSecond: perSecond,
    knownPerSecond: again.perSecond,
    failed: failed + again.failed,
    hostileMs,
  };
}
