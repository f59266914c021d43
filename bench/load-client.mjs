import { Agent, get } from 'node:http';
import { parentPort, workerData } from 'node:worker_threads';

/** Asks for all addresses with so many clients at once, off the server's thread; says how many did not answer 200. */
const { urls, clients } = workerData;
const agent = new Agent({ keepAlive: true, maxSockets: clients });
let next = 0;
let failed = 0;

const ask = (url) =>
  new Promise((done) => {
    get(url, { agent }, (response) => {
      response.resume();
      response.on('end', () => done(response.statusCode === 200));
    }).on('error', () => done(false));
  });

const start = performance.now();
await Promise.all(
  Array.from({ length: clients }, async () => {
    while (next < urls.length) if (!(await ask(urls[next++]))) failed++;
  }),
);
agent.destroy();
parentPort.postMessage({ perSecond: urls.length / ((performance.now() - start) / 1000), failed });
