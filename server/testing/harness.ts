import { readOpening, writeOpening } from '../store/opening';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ProductAnswer } from '../../contract/product';
import type { Problem } from '../../contract/problem';
import { ServedShop } from '../app/served-shop';
import { checkAnswer } from './check-answer';
import type { Catalog } from '../state/catalog';
import { noAssets } from '../../shop/render';

export interface Answer<T = unknown> {
  status: number;
  body: T;
  headers: Headers;
}

export interface Harness {
  catalog: Catalog;
  /** what is served: its catalog is another one after a restore */
  shop: ServedShop;
  folder: string;
  url: string;
  /** calls as the person signed in */
  call: <T = unknown>(method: string, path: string, body?: unknown) => Promise<Answer<T>>;
  /** calls as somebody else, or with other headers */
  raw: (path: string, init?: RequestInit) => Promise<Response>;
  cookie: string;
  token: string;
  /** as after a stop and a start; what is asked from then on goes to the new catalog */
  restart: () => void;
  close: () => Promise<void>;
}

export const person = { shopName: 'Test kites', name: 'Kim', email: 'kim@example.com', password: 'a long password' };

/** A server on a fresh folder, with its first person signed in. */
export async function startServer(
  folder = mkdtempSync(join(tmpdir(), 'dispona-')),
  clock?: () => Date,
): Promise<Harness> {
  const errors: unknown[] = [];
  const log = { error: (error: unknown) => void errors.push(error), warn: () => undefined };
  const shop = new ServedShop(folder, { assets: noAssets, origin: 'https://shop.example', log }, clock);
  const { catalog } = shop;
  shop.app.locals.checkAnswer = checkAnswer;
  // As long as in `main`: closing an idle connection must not cross a request that is on its way.
  const server: Server = createServer({ keepAliveTimeout: 75_000 }, shop.handle);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const raw = (path: string, init?: RequestInit) => fetch(url + path, { redirect: 'manual', ...init });
  const first = await raw('/api/setup', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(person),
  });
  const cookie = first.headers.get('set-cookie')!.split(';')[0]!;
  const { token } = (await first.json()) as { token: string };
  // A new shop is closed until its seller opens it.
  writeOpening(catalog.db, { ...readOpening(catalog.db), isClosed: false });
  return {
    catalog,
    shop,
    folder,
    url,
    cookie,
    token,
    raw,
    call: async <T>(method: string, path: string, body?: unknown) => {
      const isForm = body instanceof FormData;
      const response = await raw(path, {
        method,
        headers: {
          Cookie: cookie,
          'X-Dispona-Token': token,
          ...(body === undefined || isForm ? {} : { 'Content-Type': 'application/json' }),
        },
        body: body === undefined || isForm ? body : JSON.stringify(body),
      });
      const text = await response.text();
      const isJson = response.headers.get('content-type')?.includes('json');
      return { status: response.status, headers: response.headers, body: (isJson ? JSON.parse(text) : text) as T };
    },
    restart: () => {
      shop.reopen();
      shop.app.locals.checkAnswer = checkAnswer;
    },
    close: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      shop.catalog.close();
      rmSync(folder, { recursive: true, force: true });
      expect(errors).toEqual([]);
    },
  };
}

/** Adds a product that is to be live. */
export async function addProduct(harness: Harness, title: string, price = 1000): Promise<ProductAnswer> {
  const made = await harness.call<ProductAnswer>('POST', '/api/products', { title, price });
  const { product, revision } = made.body;
  const fields = { status: 'live' };
  return (await harness.call<ProductAnswer>('PATCH', `/api/products/${product.id}`, { seen: revision, fields })).body;
}

/** A server whose shop has these goods live, by title and price; with their ids in that order. */
export async function startShop(
  goods: Readonly<Record<string, number>>,
  clock?: () => Date,
): Promise<Harness & { ids: string[] }> {
  const server = await startServer(undefined, clock);
  const ids: string[] = [];
  for (const [title, price] of Object.entries(goods)) ids.push((await addProduct(server, title, price)).product.id);
  return { ...server, ids };
}

export const problem = (answer: Answer) => answer.body as Problem;
