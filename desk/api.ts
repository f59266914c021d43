import type { z } from 'zod';
import { problemTypes, type FieldError, type Problem } from '../contract/problem';
import type { Route } from '../contract/route';

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
    for (const file of parts.files) form.append('files', file);
    return form;
  }
  return parts.body === undefined ? undefined : JSON.stringify(parts.body);
}

const offline: Problem = {
  type: problemTypes.failed,
  title: 'The server cannot be reached. What you typed is kept here.',
  status: 0,
};

/** Calls a route of the contract. The one way in which the desk talks to the server. */
export async function call<Query extends z.ZodType, Body extends z.ZodType, Answer extends z.ZodType>(
  route: Route<Query, Body, Answer>,
  parts: CallParts<z.input<Query>, z.input<Body>> = {},
): Promise<z.output<Answer>> {
  const plain = parts as CallParts<object, unknown>;
  const headers: Record<string, string> = {};
  if (plain.body !== undefined) headers['Content-Type'] = 'application/json';
  if (token && route.method !== 'GET') headers['X-Dispona-Token'] = token;
  const response = await fetch(address(route, plain), {
    method: route.method,
    headers,
    body: bodyOf(plain),
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

/** What to say about an error that reached the person. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : 'Something went wrong.';
}
