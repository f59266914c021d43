import type { z } from 'zod';
import { problemTypes, type FieldError, type Problem } from '../../contract/problem';
import type { Route } from '../../contract/route';

/** The server refused or failed; `problem` says why in words for the person. */
export class CallError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }

  /** The server could not be reached at all: worth trying again. */
  get isOffline(): boolean {
    return this.problem.status === 0;
  }

  is(type: keyof typeof problemTypes): boolean {
    return this.problem.type === problemTypes[type];
  }

  get errors(): FieldError[] {
    return this.problem.errors ?? [];
  }
}

let token: string | null = null;

/** The token of the session; sent with every write. */
export function setToken(next: string | null): void {
  token = next;
}

export interface CallParts<Query, Body> {
  params?: Record<string, string>;
  query?: Partial<Query>;
  body?: Body;
  files?: readonly File[];
  /** what is told beside files */
  fields?: Readonly<Record<string, string>>;
  signal?: AbortSignal;
}

function address(route: Route, parts: CallParts<object, unknown>): string {
  const path = route.path.replace(/:(\w+)/g, (_all, name: string) => encodeURIComponent(parts.params![name]!));
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(parts.query ?? {}))
    if (value !== undefined && value !== '') query.set(name, String(value));
  const text = query.toString();
  return text ? `${path}?${text}` : path;
}

function bodyOf(parts: CallParts<object, unknown>): BodyInit | undefined {
  if (parts.files) {
    const form = new FormData();
    for (const [name, value] of Object.entries(parts.fields ?? {})) form.append(name, value);
    for (const file of parts.files) form.append('files', file);
    return form;
  }
  return parts.body === undefined ? undefined : JSON.stringify(parts.body);
}

/** Letters of a body; browsers allow 64 kB for all such writes together. */
const MOST_KEPT_ALIVE = 8_000;

const offline: Problem = {
  type: problemTypes.failed,
  title: 'The server cannot be reached. What you typed is kept here.',
  status: 0,
};

function headersOf(route: Route, parts: CallParts<object, unknown>): Record<string, string> {
  return {
    ...(parts.body !== undefined ? { 'Content-Type': 'application/json' } : {}),
    ...(token && route.method !== 'GET' ? { 'X-Dispona-Token': token } : {}),
  };
}

/** Calls a route of the contract. The one way in which the desk talks to the server. */
export async function call<Query extends z.ZodType, Body extends z.ZodType, Answer extends z.ZodType>(
  route: Route<Query, Body, Answer>,
  parts: CallParts<z.input<Query>, z.input<Body>> = {},
): Promise<z.output<Answer>> {
  const plain = parts as CallParts<object, unknown>;
  const headers = headersOf(route, plain);
  const body = bodyOf(plain);
  // A small write goes on when the page is left in the middle of it.
  const keepalive = route.method !== 'GET' && typeof body === 'string' && body.length < MOST_KEPT_ALIVE;
  const response = await fetch(address(route, plain), {
    method: route.method,
    headers,
    body,
    keepalive,
    signal: parts.signal,
  }).catch((error: unknown) => {
    if (parts.signal?.aborted) throw error;
    throw new CallError(offline);
  });
  const isJson = response.headers.get('content-type')?.includes('json');
  if (response.ok && isJson) return (await response.json()) as z.output<Answer>;
  const problem = isJson
    ? ((await response.json()) as Problem)
    : { ...offline, title: 'The server gave an answer that cannot be read.', status: response.status };
  throw new CallError(problem);
}

/** `call` for files that take their time: tells how much of them has gone out, from 0 to 1, which fetch cannot. */
export function upload<Query extends z.ZodType, Answer extends z.ZodType>(
  route: Route<Query, z.ZodType, Answer>,
  parts: CallParts<z.input<Query>, undefined>,
  tell: (done: number) => void,
): Promise<z.output<Answer>> {
  const plain = parts as CallParts<object, unknown>;
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open(route.method, address(route, plain));
    for (const [name, value] of Object.entries(headersOf(route, plain))) request.setRequestHeader(name, value);
    request.responseType = 'json';
    request.upload.onprogress = ({ loaded, total }) => tell(total > 0 ? loaded / total : 0);
    request.onerror = () => reject(new CallError(offline));
    request.onload = () => {
      const isAnswer = request.status >= 200 && request.status < 300;
      if (isAnswer) resolve(request.response as z.output<Answer>);
      else reject(new CallError((request.response as Problem | null) ?? { ...offline, status: request.status }));
    };
    request.send(bodyOf(plain) as FormData);
  });
}

/** What to say about an error that reached the person. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : 'Something went wrong.';
}
