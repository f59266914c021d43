import { MessageChannel, receiveMessageOnPort, Worker } from 'node:worker_threads';
import { builtOrSource } from '../shared/built-or-source';
import type { Db } from '../database/connection';

/** A thread that is silent for so long will not say any more. */
const PATIENCE_MS = 10_000;

type Message = { rows: string; fingerprints: string[] } | { isOver: true } | { failed: string };

/**
 * Begins to read a query, whose rows are JSON texts, in a thread of its own, and answers what they hold as it comes, each with
 * the hash of its text, waiting where it must. Throws when the thread fails.
 */
export function readRowsInThread<T>(db: Db, sql: string, hash: string): Iterable<{ value: T; fingerprint: string }> {
  const file = builtOrSource(import.meta.url, 'row-reader.js', 'row-reader.mjs');
  const { port1: ours, port2: port } = new MessageChannel();
  const sent = new Int32Array(new SharedArrayBuffer(4));
  const worker = new Worker(file, { workerData: { file: db.name, sql, hash, port, sent }, transferList: [port] });
  // Told through silence, which ends.
  worker.on('error', () => undefined);
  worker.unref();
  function* rows(): Generator<{ value: T; fingerprint: string }> {
    try {
      for (let taken = 0; ; taken++) {
        if (Atomics.wait(sent, 0, taken, PATIENCE_MS) === 'timed-out') throw new Error('The reading thread is silent.');
        const { message } = receiveMessageOnPort(ours) as { message: Message };
        if ('failed' in message) throw new Error(message.failed);
        if ('isOver' in message) return;
        const { fingerprints } = message;
        let at = 0;
        for (const value of JSON.parse(message.rows) as T[]) yield { value, fingerprint: fingerprints[at++]! };
      }
    } finally {
      ours.close();
      void worker.terminate();
    }
  }
  return rows();
}
