import { Router, type Request } from 'express';
import { languageRoutes } from '../../contract/languages';
import { answer, sessionOf, signedIn } from '../http/answer';
import { ProblemError } from '../shared/problem';
import { problemTypes } from '../../contract/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { addLanguage, changeLanguage, draftTexts, dropDrafts, removeLanguage, saveTexts } from './commands';
import { bringFile, takeBrought, translationFile } from './files';
import { languageOrRefuse, matchesAnswer, nextAnswer, overviewAnswer, textsAnswer, thingsAnswer } from './queries';

const ok = { ok: true as const };

/** The language that a request is about. Throws where the shop has no such language, or the person may not translate into it. */
function languageOf(catalog: Catalog, request: Request): string {
  const locale = String(request.params.locale);
  languageOrRefuse(catalog, locale);
  const own = sessionOf(request.res!)?.languages ?? null;
  if (request.method !== 'GET' && own && !own.includes(locale))
    throw new ProblemError({ type: problemTypes.owner, title: refusals.notYourLanguage, status: 403 });
  return locale;
}

/** The languages of the shop, and what is translated into them. */
export function languagesApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, languageRoutes.overview, () => overviewAnswer(catalog));
  answer(router, languageRoutes.add, ({ user, body }) => {
    addLanguage(catalog, user, body.locale);
    return ok;
  });
  answer(router, languageRoutes.change, ({ user, request, body }) => {
    changeLanguage(catalog, user, languageOf(catalog, request), body);
    return ok;
  });
  answer(router, languageRoutes.remove, ({ user, request }) => ({
    dropped: removeLanguage(catalog, user, languageOf(catalog, request)),
  }));
  answer(router, languageRoutes.things, ({ request, query }) =>
    thingsAnswer(catalog, languageOf(catalog, request), query),
  );
  answer(router, languageRoutes.texts, ({ request, query }) =>
    textsAnswer(catalog, languageOf(catalog, request), query),
  );
  answer(router, languageRoutes.matches, ({ request, body }) =>
    matchesAnswer(catalog, languageOf(catalog, request), body.text),
  );
  answer(router, languageRoutes.next, ({ request, query }) => nextAnswer(catalog, languageOf(catalog, request), query));
  answer(router, languageRoutes.save, ({ user, request, body }) => ({
    ok: true as const,
    kept: saveTexts(catalog, user, languageOf(catalog, request), body.texts),
  }));
  answer(router, languageRoutes.draft, ({ user, request, body }) => ({
    drafted: draftTexts(catalog, user, languageOf(catalog, request), body),
  }));
  answer(router, languageRoutes.dropDrafts, ({ user, request }) => ({
    dropped: dropDrafts(catalog, user, languageOf(catalog, request)),
  }));
  answer(router, languageRoutes.bring, ({ request, body }) => bringFile(catalog, languageOf(catalog, request), body));
  answer(router, languageRoutes.take, ({ user, request, body }) => ({
    ok: true as const,
    kept: takeBrought(catalog, user, languageOf(catalog, request), body),
  }));
  router.get('/api/languages/:locale/file', signedIn, (request, response) => {
    const locale = languageOf(catalog, request);
    const { name, type, text } = translationFile(catalog, locale, request.query);
    response.set('Cache-Control', 'no-store').attachment(name).type(type).send(text);
  });
  return router;
}
