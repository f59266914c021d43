import type { Request, RequestHandler, Response, Router } from 'express';
import { z } from 'zod';
import { refusals } from '../shared/refusals';
import { problemTypes, type FieldError } from '../../contract/problem';
import type { KeyScope, Route } from '../../contract/route';
import type { SessionRow } from '../store/people';
import type { WriteLock } from '../jobs/write-lock';
import { invalid, ProblemError } from '../shared/problem';
import { readJson } from './read-json';
import { ReadyJson } from './ready-json';

/** What a handler gets: the parsed request and who sent it. */
export interface Call<Query, Body> {
  params: Record<string, string>;
  query: Query;
  body: Body;
  /** id of the person signed in; empty on open routes */
  user: string;
  request: Request;
  response: Response;
}

type Issue = z.core.$ZodIssue;

/** What is wrong, by field. Where one of several shapes would do, it is said of the shape that is nearest. */
const fieldErrors = (issues: readonly Issue[], above: readonly PropertyKey[] = []): FieldError[] =>
  issues.flatMap((issue) => {
    const path = [...above, ...issue.path];
    if (issue.code === 'invalid_union' && issue.errors.length > 0)
      return fieldErrors(
        issue.errors.reduce((a, b) => (b.length < a.length ? b : a)),
        path,
      );
    return [{ path: path.map((part) => (typeof part === 'symbol' ? String(part) : part)), message: issue.message }];
  });

/** What a request says, as its schema reads it. Throws what is wrong with it, by field. */
export function parse<T extends z.ZodType>(schema: T | undefined, value: unknown): z.output<T> {
  if (!schema) return undefined as z.output<T>;
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  throw invalid(fieldErrors(result.error.issues));
}

/** Who is signed in and looks after the shop; makers, who see but a small part of it, are not among them. */
export const sessionOf = (response: Response) => response.locals.session as SessionRow | undefined;

/** Whoever is signed in, makers too: for what makes sure by itself that they see nothing else. */
export const anySessionOf = (response: Response) =>
  sessionOf(response) ?? (response.locals.maker as SessionRow | undefined);

/** Takes somebody in, to be asked for by `sessionOf` or `anySessionOf`. */
export function letIn(response: Response, session: SessionRow | undefined): void {
  if (session?.suppliers) response.locals.maker = session;
  else response.locals.session = session;
}

const notSignedIn = () => new ProblemError({ type: problemTypes.signIn, title: refusals.signInFirst, status: 401 });

const notAnOwner = () => new ProblemError({ type: problemTypes.owner, title: refusals.onlyOwners, status: 403 });

/** Lets only those pass who are signed in: before what is no call of the contract, such as a file. */
export const signedIn: RequestHandler = (_request, response, next) => {
  if (!sessionOf(response)) throw notSignedIn();
  next();
};

/** Lets only owners pass. */
export const ownersOnly: RequestHandler = (_request, response, next) => {
  const session = sessionOf(response);
  if (!session) throw notSignedIn();
  if (session.role !== 'owner') throw notAnOwner();
  next();
};

/** Programs with a key read what it is for, and nothing else. */
function isForKey(response: Response, { scope }: Route): boolean {
  const scopes = response.locals.scopes as readonly KeyScope[] | undefined;
  if (!scopes || sessionOf(response)) return false;
  if (scopes.length === 0)
    throw new ProblemError({ type: problemTypes.signIn, title: refusals.noSuchKey, status: 401 });
  if (scope === undefined || !scopes.includes(scope))
    throw new ProblemError({ type: problemTypes.owner, title: refusals.notForKey, status: 403 });
  return true;
}

function refuseStrangers(request: Request, response: Response, route: Route): void {
  if (isForKey(response, route)) return;
  const isForOwners = route.owner === true;
  const session = route.makers ? anySessionOf(response) : sessionOf(response);
  if (!session && anySessionOf(response))
    throw new ProblemError({ type: problemTypes.owner, title: refusals.onlyProposes, status: 403 });
  if (!session) throw notSignedIn();
  const isWrite = request.method !== 'GET';
  if (isWrite && request.get('X-Dispona-Token') !== session.csrf)
    throw new ProblemError({
      type: problemTypes.token,
      title: refusals.pageOutOfDate,
      status: 403,
    });
  if (isForOwners && session.role !== 'owner') throw notAnOwner();
  if (isWrite && session.languages && !session.suppliers && !route.translates)
    throw new ProblemError({ type: problemTypes.owner, title: refusals.onlyTranslates, status: 403 });
}

/** What keeps writes apart: set by the application for all routers. */
const writesOf = (request: Request) => request.app.locals.writes as WriteLock;

function send(response: Response, result: unknown, isShared: boolean): void {
  response.set('Cache-Control', isShared ? 'no-cache' : 'no-store');
  if (!(result instanceof ReadyJson)) {
    response.json(result);
    return;
  }
  result.etag ??= (response.app.get('etag fn') as (body: Buffer) => string)(result.bytes);
  response.set('ETag', result.etag).type('json').send(result.bytes);
}

type MaybeReady<T> = T | ReadyJson<T>;

/** Told of each answer before it is sent; tests hold it against the contract. */
type CheckAnswer = (route: Route, answer: unknown) => void;

/** Answers a route of the contract: signed-in check, parsing, calling, JSON. */
export function answer<Query extends z.ZodType, Body extends z.ZodType, Answer extends z.ZodType>(
  router: Router,
  route: Route<Query, Body, Answer>,
  handle: (
    call: Call<z.output<Query>, z.output<Body>>,
  ) => MaybeReady<z.input<Answer>> | Promise<MaybeReady<z.input<Answer>>>,
  ...before: RequestHandler[]
): void {
  const guard: RequestHandler = (request, response, next) => {
    if (!route.open) refuseStrangers(request, response, route);
    next();
  };
  const run: RequestHandler = async (request, response) => {
    const call = {
      params: request.params as Record<string, string>,
      query: parse(route.query, request.query),
      body: parse(route.body, request.body),
      user: anySessionOf(response)?.userId ?? '',
      request,
      response,
    };
    const waits = route.method !== 'GET' && route.waits !== false;
    const result = waits ? await writesOf(request).shared(() => handle(call)) : await handle(call);
    (request.app.locals.checkAnswer as CheckAnswer | undefined)?.(route, result);
    send(response, result, route.shared === true);
  };
  // What is asked is read only once it is known who asks, and that there is something to read.
  const reading = route.body ? [readJson(route.open ? '16kb' : '4mb')] : [];
  const method = route.method.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete';
  router[method](route.path, guard, ...reading, ...before, run);
}
