import { Router, type Response } from 'express';
import { refusals } from '../shared/refusals';
import type { Job } from '../../contract/bulk';
import { problemTypes } from '../../contract/problem';
import type { Catalog, CatalogEvent } from '../state/catalog';
import { ProblemError } from '../shared/problem';
import { readSession } from '../people/sign-in';
import { sessionOf } from '../http/answer';

/** More subjects than this are not named: the tab then refreshes everything. */
const MAX_SUBJECTS = 200;
const BEAT_MS = 25_000;

/** So many unread bytes belong to a tab that reads nothing any more: it asks again when it wakes. */
const MOST_UNREAD = 256 * 1024;

/** Server-sent events that keep the tabs of the desk and the shop window fresh, as long as the person is signed in. */
export function eventsApi(catalog: Catalog): Router {
  const router = Router();
  router.get('/api/events', (request, response) => {
    if (!sessionOf(response))
      throw new ProblemError({ type: problemTypes.signIn, title: refusals.signInFirst, status: 401 });
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    });
    request.on('close', follow(catalog, response));
  });
  return router;
}

/** Writes what happens to a stream. Answers how to stop. */
function follow(catalog: Catalog, response: Response): () => void {
  const { events } = catalog;
  const write = (text: string) => {
    response.write(text);
    if (response.writableLength > MOST_UNREAD) response.destroy();
  };
  const send = ({ type, id, subjects }: CatalogEvent) => {
    const data = { id, subjects: subjects.length > MAX_SUBJECTS ? null : subjects };
    write(`event: ${type}\ndata: ${JSON.stringify(data)}\n\n`);
  };
  const sendJob = (job: Job) => write(`event: job\ndata: ${JSON.stringify(job)}\n\n`);
  const endIfSignedOut = () => {
    const token = response.locals.sessionToken as string | undefined;
    const session = readSession(catalog.db, token, catalog.clock());
    if (!session || session.suppliers) response.end();
  };
  const beat = setInterval(() => {
    write(': beat\n\n');
    endIfSignedOut();
  }, BEAT_MS);
  events.on('event', send);
  events.on('job', sendJob);
  events.on('signedOut', endIfSignedOut);
  write(': hello\n\n');
  return () => {
    clearInterval(beat);
    events.off('event', send);
    events.off('job', sendJob);
    events.off('signedOut', endIfSignedOut);
  };
}
