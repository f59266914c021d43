import { performance } from 'node:perf_hooks';
import { setImmediate as nextTurn } from 'node:timers/promises';

/** How long long work may hold the thread that answers requests, in ms. */
const HOLD_MS = 12;

/** Lets long work on the thread that answers requests stop for others every few milliseconds: await `pause` in its loops. */
export class Pace {
  #began = performance.now();

  async pause(): Promise<void> {
    if (performance.now() - this.#began < HOLD_MS) return;
    await nextTurn();
    this.#began = performance.now();
  }
}
