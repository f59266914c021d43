import { parentPort, workerData } from 'node:worker_threads';
import { backUp, BackupError, type BackupCard } from './backup';
import { failureWords } from './failure';

export interface BackupOrder {
  folder: string;
  target: string;
  at: string;
  /** holds 1 as soon as somebody wants it stopped */
  cancelled: Int32Array;
}

export type BackupMessage =
  | { type: 'progress'; done: number; total: number }
  | { type: 'done'; card: BackupCard }
  | { type: 'failed'; words: string };

/** Makes a backup beside the thread that serves the shop, which copying the database would hold up. */
async function run(): Promise<void> {
  const { folder, target, at, cancelled } = workerData as BackupOrder;
  const send = (message: BackupMessage) => parentPort!.postMessage(message);
  try {
    const card = await backUp(folder, target, new Date(at), (done, total) => {
      if (Atomics.load(cancelled, 0) === 1) throw new BackupError('Stopped; no backup was made');
      send({ type: 'progress', done, total });
    });
    send({ type: 'done', card });
  } catch (error) {
    const words = error instanceof BackupError ? error.message : failureWords(error);
    send({ type: 'failed', words: words ?? (error as Error).message });
  }
}

void run();
