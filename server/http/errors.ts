import type { ErrorRequestHandler, Request, Response } from 'express';
import { MulterError } from 'multer';
import { saidAgain, type WordKey } from '../../core/languages/fixed/fixed-words';
import type { Say } from '../../core/languages/fixed/say';
import { problemTypes, type Problem } from '../../contract/problem';
import { CannotUndoError } from '../database/journal';
import { failureWords, isDiskFull } from '../folder/failure';
import { ProblemError } from '../shared/problem';

/** The page for a browser that is told of a problem; undefined where problem details are to be sent. */
export type ProblemPage = (request: Request, problem: Problem) => string | undefined;

function send(response: Response, problem: Problem, page: string | undefined): void {
  response.status(problem.status).set('Cache-Control', 'no-store').vary('Accept');
  if (page !== undefined) response.type('html').send(page);
  else response.type('application/problem+json').send(JSON.stringify(problem));
}

interface HttpError {
  status?: number;
  type?: string;
}

function problemOf(error: unknown): Problem | undefined {
  if (error instanceof ProblemError) return error.problem;
  if (error instanceof CannotUndoError)
    return {
      type: problemTypes.cannotUndo,
      title: error.message,
      status: 409,
      detail: error.because.map(({ label }) => label).join('\n'),
    };
  if (error instanceof MulterError)
    return {
      type: problemTypes.tooLarge,
      title:
        error.code === 'LIMIT_FILE_SIZE'
          ? 'This file is too large: a picture may have up to 25 MB.'
          : 'Too many files at once: send up to 30.',
      status: 413,
    };
  const { status, type } = error as HttpError;
  if (type === 'entity.parse.failed') return { type: problemTypes.invalid, title: 'This is not JSON.', status: 400 };
  if (type === 'entity.too.large') return { type: problemTypes.tooLarge, title: 'This is too large.', status: 413 };
  if (error instanceof URIError)
    return { type: problemTypes.invalid, title: 'This address cannot be read.', status: 400 };
  const failure = failureWords(error);
  if (failure) return { type: problemTypes.failed, title: failure, status: isDiskFull(error) ? 507 : 500 };
  if (status && status >= 400 && status < 500)
    return { type: problemTypes.invalid, title: 'This request cannot be read.', status };
  return undefined;
}

/** A refused upload is let in for so long; after that its sender is told all the same. */
const DRAINED_FOR_MS = 60_000;

/**
 * Waits until a request has come in whole, and throws away what of it nobody read. A browser that is still sending does not
 * read why it was refused, and loses it when the connection closes.
 */
function arrived(request: Request): Promise<void> {
  const isWhole = request.complete || request.readableEnded || request.destroyed;
  const isSending =
    request.headers['content-length'] !== undefined || request.headers['transfer-encoding'] !== undefined;
  if (isWhole || !isSending) return Promise.resolve();
  request.unpipe();
  request.resume();
  return new Promise((resolve) => {
    const timer = setTimeout(resolve, DRAINED_FOR_MS);
    for (const event of ['end', 'close', 'error'])
      request.once(event, () => {
        clearTimeout(timer);
        resolve();
      });
  });
}

/** A problem in the language of the page that it is told on. */
function inItsLanguage(problem: Problem, response: Response): Problem {
  const say = response.locals.say as Say<WordKey> | undefined;
  if (!say) return problem;
  return {
    ...problem,
    title: saidAgain(problem.title, say),
    ...(problem.errors && {
      errors: problem.errors.map((error) => ({ ...error, message: saidAgain(error.message, say) })),
    }),
  };
}

/** Every refusal and failure becomes problem details; only what is a bug of ours is logged. */
export function answerErrors(log: (error: unknown) => void, pageFor: ProblemPage): ErrorRequestHandler {
  return (error, request, response, next) => {
    const known = problemOf(error);
    if (!known) log(error);
    if (response.headersSent) return next(error);
    const problem = known ?? {
      type: problemTypes.failed,
      title: 'Something went wrong here. It was not you.',
      status: 500,
    };
    const told = inItsLanguage(problem, response);
    void arrived(request).then(() => send(response, told, pageFor(request, told)));
  };
}
