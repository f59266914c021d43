import { parentPort, workerData } from 'node:worker_threads';
import { openDatabase } from '../database/connection';
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
  | {
      type: 'failed';
      reason: 'cancelled' | 'refused' | 'error';
      message: string;
      because: { id: number; label: string }[];
    };

function run(): void {
  const { folder, work, actor, cancelled } = workerData as WorkOrder;
  const send = (message: WorkMessage) => parentPort!.postMessage(message);
  const db = openDatabase(folder);
  try {
    const follow = {
      tell: (done: number, total: number) => send({ type: 'progress', done, total }),
      isCancelled: () => Atomics.load(cancelled, 0) === 1,
    };
    send({ type: 'done', result: doWork(work, { db, journal: new Journal(db), actor }, follow) });
  } catch (error) {
    const reason =
      error instanceof CancelledError ? 'cancelled' : error instanceof CannotUndoError ? 'refused' : 'error';
    const because = error instanceof CannotUndoError ? [...error.because] : [];
    send({ type: 'failed', reason, message: (error as Error).message, because });
  } finally {
    db.close();
  }
}

run();
