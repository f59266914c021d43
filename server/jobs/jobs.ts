import { Worker } from 'node:worker_threads';
import { refusals } from '../shared/refusals';
import type { Job } from '../../contract/bulk';
import type { Product } from '../../core/model/product';
import { builtOrSource } from '../shared/built-or-source';
import type { ReadyProducts } from '../store/ready-products';
import type { Db } from '../database/connection';
import { CannotUndoError, type Actor, type Journal } from '../database/journal';
import { failureWords } from '../folder/failure';
import { newId } from '../shared/ids';
import { notFound } from '../shared/problem';
import { MessageQueue } from './message-queue';
import { CancelledError, doWork, type Work, type WorkResult } from './work';
import type { WriteLock } from './write-lock';
import type { WorkMessage, WorkOrder } from './worker';

/** Up to so many rows, work is done at once: starting a thread would take longer. */
export const DONE_AT_ONCE = 200;

/** Ended jobs that are still told. */
const KEPT = 20;

/** Said of what went wrong in a way that nobody foresaw. */
const UNKNOWN = 'Something went wrong here, and nothing was changed. It was not you.';

/** Progress is told at most so often. */
const TELL_EVERY_MS = 100;

/** Work, and what is known of its outcome before it is done. */
export interface Prepared {
  /** undefined when there is nothing to do */
  work: Work | undefined;
  /** products as they will be, by id */
  products?: ReadonlyMap<string, Product>;
  /** instead of the words of the change */
  outcome?: string;
}

/** Work beside came to nothing, in words for people. */
export class StoppedError extends Error {}

const sizeOf = (work: Work | undefined) => (work?.what === 'put' ? work.differences.length : 0);

/** What jobs need of the catalog that they work on. */
export interface JobHost {
  readonly db: Db;
  readonly journal: Journal;
  readonly writes: WriteLock;
  readonly working: { makeReady: (products: ReadonlyMap<string, Product>) => Promise<ReadyProducts> };
  readonly events: { emit: (event: 'job', job: Job) => unknown };
  actor: (user: string | null) => Actor;
  follow: (
    changeId: number,
    subjects: readonly string[],
    ready: ReadyProducts & Partial<MessageQueue>,
  ) => Promise<void>;
}

interface Running {
  job: Job;
  cancelled: Int32Array<SharedArrayBuffer>;
}

/** Long work of one catalog: one at a time, off the thread that answers requests. */
export class Jobs {
  readonly #jobs = new Map<string, Running>();

  constructor(
    readonly catalog: JobHost,
    readonly folder: string,
  ) {}

  get all(): Job[] {
    return [...this.#jobs.values()].map(({ job }) => job);
  }

  /** Does small work at once. */
  async atOnce(user: string | null, prepare: () => Prepared | Promise<Prepared>): Promise<Job> {
    const { outcome, total } = await this.catalog.writes.shared(async () => {
      const { work, outcome: words } = await prepare();
      const { outcome: done } = work ? this.doHere(work, user) : { outcome: '' };
      return { outcome: words ?? done, total: sizeOf(work) };
    });
    return { id: newId('job'), label: outcome, state: 'done', done: total, total, outcome };
  }

  /** Begins large work, which goes on by itself. Answers how far it is. */
  start(
    label: string,
    total: number,
    user: string | null,
    prepare: () => Promise<Prepared>,
    /** told of the job once it has ended, whatever came of it */
    ended?: (job: Job) => void,
  ): Job {
    const job: Job = { id: newId('job'), label, state: 'waiting', done: 0, total, outcome: '' };
    // What goes wrong is told through the job.
    void this.begin(job, user, prepare)
      .catch(() => undefined)
      .then(() => ended?.(this.#jobs.get(job.id)?.job ?? job));
    return job;
  }

  /**
   * Begins work that changes no goods, such as a backup: it can be followed and stopped like any other, and nobody waits for it.
   * `run` answers the outcome in words, throws StoppedError with words for what people may read.
   */
  beside(
    label: string,
    run: (tell: (done: number, total: number) => void, cancelled: Int32Array<SharedArrayBuffer>) => Promise<string>,
  ): Job {
    const job: Job = { id: newId('job'), label, state: 'running', done: 0, total: 0, outcome: '' };
    const running: Running = { job, cancelled: new Int32Array(new SharedArrayBuffer(4)) };
    this.#follow(running);
    this.#tell(running, {});
    let told = 0;
    const tell = (done: number, total: number) => {
      running.job = { ...running.job, done, total };
      if (Date.now() - told < TELL_EVERY_MS) return;
      told = Date.now();
      this.#tell(running, {});
    };
    const failed = (error: unknown) =>
      this.#tell(running, {
        state: Atomics.load(running.cancelled, 0) === 1 ? 'cancelled' : 'failed',
        outcome: error instanceof StoppedError ? error.message : (failureWords(error) ?? UNKNOWN),
      });
    run(tell, running.cancelled).then((outcome) => this.#tell(running, { state: 'done', outcome }), failed);
    return job;
  }

  #follow(running: Running): void {
    this.#jobs.set(running.job.id, running);
    for (const [id, { job: old }] of this.#jobs)
      if (this.#jobs.size > KEPT && old.state !== 'running' && old.state !== 'waiting') this.#jobs.delete(id);
  }

  /** Does work in a thread, and ends when its outcome is in memory too. */
  async begin(job: Job, user: string | null, prepare: () => Promise<Prepared>): Promise<WorkResult> {
    const running: Running = { job, cancelled: new Int32Array(new SharedArrayBuffer(4)) };
    this.#follow(running);
    const { catalog } = this;
    try {
      return await catalog.writes.exclusive(async () => {
        this.#tell(running, { state: 'running' });
        const { work, products, outcome } = await prepare();
        if (Atomics.load(running.cancelled, 0) === 1) throw new CancelledError();
        const none: WorkResult = { changeId: undefined, subjects: [], outcome: outcome ?? '' };
        const messages = new MessageQueue();
        // What memory needs for the outcome is made ready while the thread writes, or handed over by it afterwards.
        const [result, ready] = work
          ? await Promise.all([
              this.#doInThread(work, user, running, messages),
              products ? catalog.working.makeReady(products) : messages,
            ])
          : [none, messages];
        this.#tell(running, { done: running.job.total });
        if (result.changeId !== undefined) await catalog.follow(result.changeId, result.subjects, ready);
        this.#tell(running, { state: 'done', outcome: outcome ?? result.outcome });
        return result;
      });
    } catch (error) {
      const isCancelled = error instanceof CancelledError;
      const outcome = isCancelled
        ? 'Stopped; nothing was changed'
        : (failureWords(error) ?? (error instanceof CannotUndoError ? error.message : UNKNOWN));
      this.#tell(running, { state: isCancelled ? 'cancelled' : 'failed', outcome });
      throw error;
    }
  }

  cancel(id: string): Job {
    const running = this.#jobs.get(id);
    if (!running) throw notFound(refusals.workEnded);
    Atomics.store(running.cancelled, 0, 1);
    return running.job;
  }

  #tell(running: Running, change: Partial<Job>): void {
    running.job = { ...running.job, ...change };
    this.catalog.events.emit('job', running.job);
  }

  /** Does small work at once, for whoever holds the right to write. */
  doHere(work: Work, user: string | null): WorkResult {
    const { db, journal } = this.catalog;
    const follow = { tell: () => undefined, isCancelled: () => false };
    return doWork(work, { db, journal, actor: this.catalog.actor(user) }, follow);
  }

  /** Ends with the commit; what is handed over after it goes to `messages`. */
  #doInThread(work: Work, user: string | null, running: Running, messages: MessageQueue): Promise<WorkResult> {
    const file = builtOrSource(import.meta.url, 'job-worker.js', 'worker-from-source.mjs');
    const { folder, catalog } = this;
    const order: WorkOrder = {
      folder,
      work,
      actor: catalog.actor(user),
      cancelled: running.cancelled,
    };
    return new Promise((resolve, reject) => {
      const worker = new Worker(file, { workerData: order });
      let told = 0;
      worker.on('message', (message: WorkMessage) => {
        if (message.type === 'progress') {
          running.job = { ...running.job, done: message.done };
          if (Date.now() - told < TELL_EVERY_MS) return;
          told = Date.now();
          this.#tell(running, {});
        } else if (message.type === 'done') resolve(message.result);
        else if (message.type === 'products') messages.take(message.subjects, message.products);
        else if (message.reason === 'cancelled') reject(new CancelledError());
        else if (message.reason === 'refused') reject(new CannotUndoError(message.message, message.because));
        else reject(Object.assign(new Error(message.message), { code: message.code }));
      });
      worker.on('error', reject);
      worker.on('exit', () => {
        messages.end();
        reject(new Error('The work ended too early.'));
      });
    });
  }
}
