import { parentPort, workerData } from 'node:worker_threads';
import { readyProduct, type ReadyProduct } from '../store/ready-products';
import { openDatabase, type Db } from '../database/connection';
import { readProducts } from '../store/products';
import { CannotUndoError, Journal, type Actor } from '../database/journal';
import { CancelledError, doWork, type Work, type WorkResult } from './work';

export interface WorkOrder {
  folder: string;
  work: Work;
  actor: Actor;
  /** holds 1 as soon as somebody wants the work stopped */
  cancelled: Int32Array;
}

export type WorkMessage =
  | { type: 'progress'; done: number; total: number }
  | { type: 'done'; result: WorkResult }
  | { type: 'products'; subjects: string[]; products: ReadyProduct[] }
  | {
      type: 'failed';
      reason: 'cancelled' | 'refused' | 'error';
      message: string;
      /** of the system or the database, for others than refusals */
      code?: string;
      because: { id: number; label: string }[];
    };

const HANDED_AT_ONCE = 300;

/** Reads the products that a change touched, for the thread that holds the catalog: reading takes as long as writing did. */
function handOver(db: Db, subjects: readonly string[], send: (message: WorkMessage) => void): void {
  for (let from = 0; from < subjects.length; from += HANDED_AT_ONCE) {
    const some = subjects.slice(from, from + HANDED_AT_ONCE);
    const ids = some.flatMap((subject) => (subject.startsWith('product:') ? [subject.slice('product:'.length)] : []));
    send({ type: 'products', subjects: some, products: readProducts(db, ids).map(readyProduct) });
  }
}

function run(): void {
  const { folder, work, actor, cancelled } = workerData as WorkOrder;
  const send = (message: WorkMessage) => parentPort!.postMessage(message);
  const db = openDatabase(folder);
  try {
    const follow = {
      tell: (done: number, total: number) => send({ type: 'progress', done, total }),
      isCancelled: () => Atomics.load(cancelled, 0) === 1,
    };
    const result = doWork(work, { db, journal: new Journal(db), actor }, follow);
    send({ type: 'done', result });
    if (work.what === 'reverse') handOver(db, result.subjects, send);
  } catch (error) {
    const reason =
      error instanceof CancelledError ? 'cancelled' : error instanceof CannotUndoError ? 'refused' : 'error';
    const because = error instanceof CannotUndoError ? [...error.because] : [];
    const { message, code } = error as Error & { code?: string };
    send({ type: 'failed', reason, message, code, because });
  } finally {
    db.close();
  }
}

run();
