import { Router } from 'express';
import type { Job } from '../../contract/bulk';
import { problemTypes } from '../../contract/problem';
import type { Catalog, CatalogEvent } from '../catalog/catalog';
import { ProblemError } from '../problem';
import { sessionOf } from './answer';

/** More subjects than this are not named: the tab then refreshes everything. */
const MAX_SUBJECTS = 200;
const BEAT_MS = 25_000;

/** Server-sent events that keep the tabs of the desk and the shop window fresh. */
export function eventsApi(catalog: Catalog): Router {
  const router = Router();
  router.get('/api/events', (request, response) => {
    if (!sessionOf(response))
      throw new ProblemError({ type: problemTypes.signIn, title: 'Please sign in.', status: 401 });
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    });
    response.write(': hello\n\n');
    const send = ({ type, id, subjects }: CatalogEvent) => {
      const data = { id, subjects: subjects.length > MAX_SUBJECTS ? null : subjects };
      response.write(`event: ${type}\ndata: ${JSON.stringify(data)}\n\n`);
    };
    const beat = setInterval(() => response.write(': beat\n\n'), BEAT_MS);
    const sendJob = (job: Job) => response.write(`event: job\ndata: ${JSON.stringify(job)}\n\n`);
    catalog.events.on('event', send);
    catalog.events.on('job', sendJob);
    request.on('close', () => {
      clearInterval(beat);
      catalog.events.off('event', send);
      catalog.events.off('job', sendJob);
    });
  });
  return router;
}
