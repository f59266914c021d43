import { gzipSync } from 'node:zlib';

type Request = RequestInit & { path: string };

/** What somebody who is signed in sends along, and a product that exists. */
interface Sender {
  productId: string;
  headers: Record<string, string>;
}

export interface HostileRequest {
  what: string;
  /** the status that it is refused or answered with */
  expected: number;
  make: (sender: Sender) => Request;
}

const json = { 'Content-Type': 'application/json' };
const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;
const manyValues = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ id: null, name: `Value ${i}`, swatch: null, pictureId: null }));
const emptyGroups = (count: number) => ({
  match: 'all',
  of: Array.from({ length: count }, () => ({ match: 'all', of: [] })),
});

/** Requests made to keep the server busy. Tests ask for their status, `npm run bench` for how long they hold the thread. */
export const hostileRequests: readonly HostileRequest[] = [
  {
    what: 'a small compressed body that becomes a large one',
    expected: 415,
    make: () => ({
      path: '/api/session',
      method: 'POST',
      headers: { ...json, 'Content-Encoding': 'gzip' },
      body: gzipSync(nested(1_000_000)),
    }),
  },
  {
    what: 'a large body of somebody who is not signed in',
    expected: 413,
    make: () => ({ path: '/api/session', method: 'POST', headers: json, body: nested(2_000_000) }),
  },
  {
    what: 'brackets in brackets',
    expected: 400,
    make: ({ headers }) => ({
      path: '/api/rules/try',
      method: 'POST',
      headers,
      body: `{"rule":${nested(2_000_000)}}`,
    }),
  },
  {
    what: '20,000 option values',
    expected: 422,
    make: ({ productId, headers }) => ({
      path: `/api/products/${productId}/options`,
      method: 'PUT',
      headers,
      body: JSON.stringify({
        seen: 0,
        options: [{ id: null, name: 'Colour', values: manyValues(20_000) }],
        confirmed: true,
      }),
    }),
  },
  {
    what: '66,000 tags in a text',
    expected: 422,
    make: ({ productId, headers }) => ({
      path: `/api/products/${productId}`,
      method: 'PATCH',
      headers,
      body: JSON.stringify({ seen: Number.MAX_SAFE_INTEGER, fields: { description: '<b>'.repeat(66_000) } }),
    }),
  },
  {
    what: '100,000 empty rule groups',
    expected: 422,
    make: ({ headers }) => ({
      path: '/api/rules/try',
      method: 'POST',
      headers,
      body: JSON.stringify({ rule: emptyGroups(100_000) }),
    }),
  },
  {
    what: '10,000 characters to search for',
    expected: 200,
    make: () => ({ path: `/shop-api/listing?q=${encodeURIComponent('kite '.repeat(2_000))}` }),
  },
  {
    what: 'an address of thousands of filters',
    expected: 200,
    make: () => ({ path: `/shop-api/listing?${Array.from({ length: 1_000 }, (_, i) => `f.x${i}=a`).join('&')}` }),
  },
];
