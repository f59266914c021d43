import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { startServer } from '../server/testing/harness';
import { Catalog } from '../server/state/catalog';
import { fill } from './fill';
import { ms, spreadOf } from './measure';
import { putIntoReport } from './report';

const SIZE = 10_000;
/** Goods that one supplier gets. */
const SUPPLIED = 2_000;
const ROUNDS = 5;

/** How long the screens wait on which a shop is looked after, at 10,000 products. */
async function measure(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-bench-'));
  new Catalog(folder).close();
  fill(folder, SIZE);
  const server = await startServer(folder);
  const { call } = server;
  await call('POST', '/api/editions', {});
  const lines = [
    `${SIZE.toLocaleString('en')} products, nothing sold; the first answer, and the middle of ${ROUNDS - 1} more.`,
  ];
  const timed = async (run: () => Promise<unknown>) => {
    const began = performance.now();
    await run();
    return performance.now() - began;
  };
  const note = (line: string) => {
    lines.push(line);
    console.log(line);
  };
  const asked = async (what: string, path: string) => {
    const times: number[] = [];
    for (let i = 0; i < ROUNDS; i++) times.push(await timed(() => call('GET', path)));
    note(`${what}: ${ms(times[0]!)} ms, then ${ms(spreadOf(times.slice(1)).p50)} ms.`);
  };
  await asked('Today', '/api/today');
  await asked('Loose ends', '/api/loose-ends');
  const { id } = (await call<{ id: string }>('POST', '/api/suppliers', { name: 'Windwerk' })).body;
  const productIds = (await call<{ ids: string[] }>('POST', '/api/goods/matching', {})).body.ids.slice(0, SUPPLIED);
  const given = await timed(() => call('POST', `/api/suppliers/${id}/goods`, { productIds, main: true }));
  note(`${SUPPLIED.toLocaleString('en')} products given to a supplier: ${ms(given)} ms.`);
  await asked('What a supplier has of them', `/api/suppliers/${id}`);
  await asked('What to order of them', `/api/suppliers/${id}/reorder`);
  await asked('Review of so many changes', '/api/review');
  await asked('What begins and ends by the clock', '/api/moments');
  const renamed = await timed(() => call('PATCH', `/api/suppliers/${id}`, { name: 'Windwerk Lofts' }));
  note(`The supplier and its goods renamed: ${ms(renamed)} ms.`);
  await server.close();
  rmSync(folder, { recursive: true, force: true });
  putIntoReport('Looking after it', lines.map((line) => `- ${line}`).join('\n'));
}

Object.assign(globalThis, { expect: () => ({ toEqual: () => undefined }) });
await measure();
