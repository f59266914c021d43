import { parentPort, workerData } from 'node:worker_threads';
import { Pool } from 'undici';

/** Asks for all addresses with so many clients at once, off the server's thread; says how many did not answer 200. */
const { origin, paths, clients } = workerData;
const pool = new Pool(origin, { connections: clients });
let next = 0;
let failed = 0;

async function ask(path) {
  try {
    const { statusCode, body } = await pool.request({ path, method: 'GET' });
    await body.dump({ limit: Infinity });
    return statusCode === 200;
  } catch {
    return false;
  }
}

const start = performance.now();
await Promise.all(
  Array.from({ length: clients }, async () => {
    while (next < paths.length) if (!(await ask(paths[next++]))) failed++;
  }),
);
const seconds = (performance.now() - start) / 1000;
await pool.destroy();
parentPort.postMessage({ perSecond: paths.length / seconds, failed });
