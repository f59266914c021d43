import { Router } from 'express';
import { captionsName, filmName } from '../../core/model/film';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { filePath } from './file-store';
import { filmsFolder } from './film-store';

const mediaTypes = { mp4: 'video/mp4', webm: 'video/webm', vtt: 'text/vtt; charset=utf-8' };

/** Films and captions by content hash, in parts where a player asks for some. Only a checked name reaches the disk. */
export function serveFilms(folder: string): Router {
  const router = Router();
  router.get('/films/:file', (request, response, next) => {
    const { file } = request.params;
    if (!filmName.test(file) && !captionsName.test(file)) throw notFound(refusals.noSuchFile);
    const [content, type] = file.split('.') as [string, keyof typeof mediaTypes];
    response.type(mediaTypes[type]);
    response.sendFile(filePath(filmsFolder(folder), content), { maxAge: '1y', immutable: true }, (error) => {
      if (error && !response.headersSent) next(notFound(refusals.noSuchFile));
    });
  });
  return router;
}
