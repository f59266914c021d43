import { MessageChannel, receiveMessageOnPort, Worker } from 'node:worker_threads';
import { builtOrSource } from '../built-or-source';
import type { Db } from './connection';

/** A thread that is silent for so long will not say any more. */
const PATIENCE_MS = 10_000;

type Message = { rows: string } | { isOver: true } | { failed: string };

/**
 * Begins to read a query, whose rows are JSON texts, in a thread of its own; what it answers waits for the rest, and parses
 * what came already meanwhile. Undefined when the thread fails: then they are to be read in another way.
 */
export function rowsAhead<T>(db: Db, sql: string): () => T[] | undefined {
  const file = builtOrSource(import.meta.url, 'row-reader.js', 'row-reader.mjs');
  if (!file) return () => undefined;
  const { port1: ours, port2: port } = new MessageChannel();
  const sent = new Int32Array(new SharedArrayBuffer(4));
  const worker = new Worker(file, { workerData: { file: db.name, sql, port, sent }, transferList: [port] });
  worker.on('error', () => undefined);
  worker.unref();
  return () => {
    const all: T[] = [];
    try {
      for (let taken = 0; ; taken++) {
        if (Atomics.wait(sent, 0, taken, PATIENCE_MS) === 'timed-out') return undefined;
        const { message } = receiveMessageOnPort(ours) as { message: Message };
        if ('failed' in message) return undefined;
        if ('isOver' in message) return all;
        for (const row of JSON.parse(message.rows) as T[]) all.push(row);
      }
    } finally {
      ours.close();
      void worker.terminate();
    }
  };
}
